package ungula.core.rubber;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import ungula.core.rubber.Product.Chemistry;
import ungula.core.rubber.Product.Clarity;
import ungula.core.rubber.Product.Scale;
import ungula.core.rubber.Ratio.Basis;

/** Made-up products that Ungula ships with, to start from. */
public final class ExampleProducts {

  private ExampleProducts() {}

  /** By id. */
  public static Map<String, Product> all() {
    Map<String, Product> all = new LinkedHashMap<>();
    all.put(
        "marram-20",
        new Product(
            "Marram 20 addition, medium",
            Chemistry.ADDITION,
            20.0,
            Scale.SHORE_A,
            "pale green",
            Clarity.OPAQUE,
            1.08,
            1.05,
            1.08,
            weight(100, 10),
            null,
            15.0,
            45.0,
            300.0,
            75.0,
            150.0,
            23.0,
            2.0,
            420.0,
            20.0,
            0.1,
            180.0,
            List.of(new Pack(1100, 38), new Pack(5500, 152), new Pack(22_000, 545)),
            "General rubber for boxes. Thickens for brushing."));
    all.put(
        "eider-00-50",
        new Product(
            "Eider 00-50 addition, very soft",
            Chemistry.ADDITION,
            50.0,
            Scale.SHORE_00,
            "milky",
            Clarity.TRANSLUCENT,
            1.07,
            1.07,
            1.07,
            new Ratio(Basis.VOLUME, 1, 1),
            weight(100, 100),
            8.0,
            25.0,
            240.0,
            40.0,
            90.0,
            23.0,
            2.0,
            850.0,
            16.0,
            0.1,
            200.0,
            List.of(new Pack(1000, 41), new Pack(10_000, 340)),
            "For deep locks. Too soft for tall walls."));
    all.put(
        "samphire-15",
        new Product(
            "Samphire 15 addition, clear",
            Chemistry.ADDITION,
            15.0,
            Scale.SHORE_A,
            "water-white",
            Clarity.CLEAR,
            1.04,
            1.22,
            1.13,
            new Ratio(Basis.VOLUME, 1, 1),
            weight(100, 117.3),
            12.0,
            40.0,
            720.0,
            70.0,
            200.0,
            23.0,
            2.0,
            480.0,
            14.0,
            0.1,
            180.0,
            List.of(new Pack(2000, 88), new Pack(10_000, 395)),
            "To see the cut. The two parts differ in density: mind the ratio."));
    all.put(
        "gannet-25",
        new Product(
            "Gannet 25 condensation, general",
            Chemistry.CONDENSATION,
            25.0,
            Scale.SHORE_A,
            "white",
            Clarity.OPAQUE,
            1.17,
            0.98,
            1.16,
            new Ratio(Basis.PERCENT_OF_BASE, 100, 4),
            null,
            22.0,
            60.0,
            1080.0,
            95.0,
            240.0,
            23.0,
            1.8,
            380.0,
            21.0,
            0.4,
            200.0,
            List.of(new Pack(1040, 27), new Pack(5200, 112), new Pack(20_800, 398)),
            "Not hindered by sulphur clay. Shrinks in the first days."));
    all.put(
        "dulse-30",
        new Product(
            "Dulse 30 condensation, firm",
            Chemistry.CONDENSATION,
            30.0,
            Scale.SHORE_A,
            "red",
            Clarity.OPAQUE,
            1.25,
            1.0,
            null,
            weight(100, 5),
            new Ratio(Basis.PERCENT_OF_BASE, 100, 5),
            26.0,
            90.0,
            1440.0,
            null,
            null,
            23.0,
            1.8,
            250.0,
            18.0,
            0.5,
            220.0,
            List.of(new Pack(5250, 96), new Pack(26_250, 420)),
            "For flat plates and tall walls."));
    all.put(
        "tern-40",
        new Product(
            "Tern 40 addition, fast",
            Chemistry.ADDITION,
            40.0,
            Scale.SHORE_A,
            "grey",
            Clarity.OPAQUE,
            1.14,
            1.1,
            1.13,
            weight(100, 10),
            null,
            18.0,
            8.0,
            45.0,
            null,
            null,
            23.0,
            2.0,
            300.0,
            25.0,
            0.1,
            230.0,
            List.of(new Pack(1100, 44)),
            "Sets before a large batch is poured."));
    return all;
  }

  private static Ratio weight(double base, double hardener) {
    return new Ratio(Basis.WEIGHT, base, hardener);
  }
}

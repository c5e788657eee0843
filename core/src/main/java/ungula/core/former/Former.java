package ungula.core.former;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import ungula.core.castlabel.PlacedLabel;
import ungula.core.master.Tessellation;
import ungula.core.mesh.Extrusion;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxMould;
import ungula.core.mould.BoxShape;
import ungula.core.parting.Key;
import ungula.core.parting.Parting;
import ungula.core.plan.Plan;
import ungula.core.quantity.Numbers;
import ungula.core.sprue.Sprue;

/**
 * A small part that gives a mould some of its shape, or its box: to be printed or turned.
 *
 * @param name with its size, and how many are needed
 * @param mesh standing on z = 0, mm
 */
public record Former(String name, TriangleMesh mesh) {

  /** A sprue's former is glued so deep into the base. */
  private static final double FOOT_MM = 8;

  /** Legs and thickness of an angle round the outside of a corner. */
  private static final double ANGLE_MM = 22;

  private static final double ANGLE_THICK_MM = 3;
  private static final int AROUND = 64;

  /** All that a planned mould asks for; empty when it needs none. */
  public static List<Former> of(Plan plan) {
    List<Former> all = new ArrayList<>();
    plan.parting().ifPresent(p -> parting(p, all));
    plan.sprue().filter(s -> s.lengthMm() > 0).ifPresent(s -> all.add(sprue(s)));
    plan.placedLabel()
        .map(PlacedLabel::label)
        .ifPresent(l -> all.add(new Former("label, mirrored, letters up", l.solid())));
    plan.box().filter(b -> plan.poured()).ifPresent(box -> corners(box.mould(), all));
    return List.copyOf(all);
  }

  private static void parting(Parting parting, List<Former> all) {
    Map<String, List<Key>> alike =
        parting.keys().stream()
            .collect(
                Collectors.groupingBy(
                    k ->
                        (k.domed() ? "dome " : "pin ")
                            + mm(k.diameterMm())
                            + " across, "
                            + mm(k.heightMm())
                            + " high",
                    LinkedHashMap::new,
                    Collectors.toList()));
    alike.forEach(
        (name, keys) -> all.add(new Former(name + times(keys.size()), keys.get(0).solid())));
    if (parting.ring() != null) {
      all.add(new Former("seal ring", parting.ring().solid()));
    }
  }

  private static Former sprue(Sprue sprue) {
    double r = sprue.diameterMm() / 2;
    double high = sprue.lengthMm() + FOOT_MM;
    return new Former(
        "sprue " + mm(sprue.diameterMm()) + " across, with " + mm(FOOT_MM) + " of foot",
        Tessellation.turned(new double[][] {{0, 0}, {r, 0}, {r, high}, {0, high}}, AROUND));
  }

  private static void corners(BoxMould box, List<Former> all) {
    double high = box.wallHeightMm();
    if (box.inside().shape() == BoxShape.BLOCKS) {
      Arrays.stream(box.inside().legsMm())
          .filter(l -> l > 0)
          .boxed()
          .collect(Collectors.groupingBy(l -> l, LinkedHashMap::new, Collectors.counting()))
          .forEach(
              (leg, count) ->
                  all.add(
                      new Former(
                          "corner block " + mm(leg) + times(count.intValue()),
                          Extrusion.prism(new double[] {0, 0, leg, 0, 0, leg}, high))));
    }
    if (box.inside().shape().sided()) {
      double t = ANGLE_THICK_MM;
      double l = ANGLE_MM;
      all.add(
          new Former(
              "corner angle " + mm(high) + " high" + times(4),
              Extrusion.prism(new double[] {0, 0, l, 0, l, t, t, t, t, l, 0, l}, high)));
    }
  }

  private static String times(int count) {
    return count == 1 ? "" : ", " + count + " of it";
  }

  private static String mm(double mm) {
    return Numbers.trimmed(mm, 1) + " mm";
  }
}

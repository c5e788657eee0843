package ungula.core.workshop;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ungula.core.pour.NamedVessel;
import ungula.core.pour.Pace;
import ungula.core.pour.Scale;
import ungula.core.pour.Vessel;
import ungula.core.quantity.Vacuum;
import ungula.core.sentence.Kind;
import ungula.core.sentence.WordBook;

/**
 * What a workshop mixes and weighs with.
 *
 * @param cup smallest vessel
 * @param jug middle one
 * @param bucket largest
 * @param fine scale for small amounts
 * @param coarse scale for large ones
 * @param pace of work
 * @param vacuum the pump reaches; null while it is not said
 */
public record Mixing(
    VesselSize cup,
    VesselSize jug,
    VesselSize bucket,
    ScaleSize fine,
    ScaleSize coarse,
    Pace pace,
    Vacuum vacuum) {

  static final Mixing UNKNOWN =
      new Mixing(
          VesselSize.UNKNOWN,
          VesselSize.UNKNOWN,
          VesselSize.UNKNOWN,
          ScaleSize.UNKNOWN,
          ScaleSize.UNKNOWN,
          Pace.USUAL,
          null);

  /** Of a vessel; null where it is not measured. */
  public record VesselSize(Double bottomMm, Double topMm, Double heightMm) {
    public static final VesselSize UNKNOWN = new VesselSize(null, null, null);

    private Optional<Vessel> vessel() {
      return bottomMm == null || topMm == null || heightMm == null
          ? Optional.empty()
          : Optional.of(new Vessel(bottomMm, topMm, heightMm));
    }
  }

  /** Of a scale; null where it is not known. */
  public record ScaleSize(Double capacityG, Double readG) {
    static final ScaleSize UNKNOWN = new ScaleSize(null, null);

    private Optional<Scale> scale() {
      return capacityG == null || readG == null
          ? Optional.empty()
          : Optional.of(new Scale(capacityG, readG));
    }
  }

  /** Those that are measured, smallest first. */
  public List<NamedVessel> vessels() {
    return Stream.of(named("cup", cup), named("jug", jug), named("bucket", bucket))
        .flatMap(Optional::stream)
        .sorted(Comparator.comparingDouble(n -> n.vessel().volumeMm3()))
        .toList();
  }

  private static Optional<NamedVessel> named(String name, VesselSize size) {
    return size.vessel().map(v -> new NamedVessel(name, v));
  }

  /** Those that are known, finest first. */
  public List<Scale> scales() {
    return Stream.of(fine, coarse)
        .map(ScaleSize::scale)
        .flatMap(Optional::stream)
        .sorted(Comparator.comparingDouble(Scale::readG))
        .toList();
  }

  static void words(WordBook<Workshop> words) {
    for (String vessel : new String[] {"cup", "jug", "bucket"}) {
      String of = " of the mixing " + vessel;
      words
          .open("mixing." + vessel + ".bottomMm", "diameter at the bottom" + of, inside(), "?")
          .open("mixing." + vessel + ".topMm", "diameter at the rim" + of, inside(), "?")
          .open("mixing." + vessel + ".heightMm", "height inside" + of, inside(), "?");
    }
    for (String scale : new String[] {"fine", "coarse"}) {
      words
          .open(
              "mixing." + scale + ".capacityG",
              "most on the " + scale + " scale",
              Kind.mass(1_000_000),
              "?")
          .open(
              "mixing." + scale + ".readG",
              "least the " + scale + " scale tells apart",
              Kind.mass(1000),
              "?");
    }
    words
        .open(
            "mixing.vacuum",
            "vacuum the pump reaches",
            Kind.parsed("vacuum", Vacuum::parse, Vacuum::text),
            "not said")
        .word("mixing.pace.measureMin", "weighing both parts", Kind.minutes(120))
        .word("mixing.pace.mixMin", "stirring", Kind.minutes(120))
        .word("mixing.pace.secondCupMin", "scraping over and stirring again", Kind.minutes(60))
        .word("mixing.pace.degasMin", "pulling a vacuum", Kind.minutes(120))
        .word("mixing.pace.vibrateMin", "vibrating", Kind.minutes(240))
        .word("mixing.pace.pourMm3PerMin", "poured in a minute", Kind.volume(1e8));
  }

  private static Kind<Double> inside() {
    return Kind.length(5, 3000);
  }
}

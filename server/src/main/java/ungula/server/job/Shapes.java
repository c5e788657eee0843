package ungula.server.job;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import ungula.core.choice.Choices;
import ungula.core.choice.MasterChoice;
import ungula.core.choice.MasterSource;
import ungula.core.cutline.CutPlanes;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Foot;
import ungula.core.master.Measured;
import ungula.core.master.PosedMaster;
import ungula.core.master.Solid;
import ungula.core.master.UnitGuess;
import ungula.core.mesh.FillCurve;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.FacingFaces;
import ungula.core.parting.PartedMaster;
import ungula.core.plan.MasterFacts;
import ungula.core.plate.OnPlate;
import ungula.core.plate.Plate;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.study.MeshReport;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;
import ungula.server.model.Models;

/** Masters as they stand, worked out once per model and pose and shared by everything that asks. */
@Component
public class Shapes {

  /** Triangles held in memory over all kept masters: about 300 MB. */
  private static final long ROOM = 4_000_000;

  /** Masters whose distances from face to face are kept: four bytes a facet. */
  private static final int ACROSS_KEPT = 20;

  private final Models models;

  // by what they depend on; oldest used first
  private final Map<Object, Held> posed = new LinkedHashMap<>(16, 0.75f, true);
  private final Map<Object, FacingFaces> across = new LinkedHashMap<>(16, 0.75f, true);
  private final Map<Solid, MeshReport> solids = new LinkedHashMap<>();
  private final Map<MeasuredPlate, OnPlate> measured = new LinkedHashMap<>();

  Shapes(Models models) {
    this.models = models;
  }

  /** A master as it stands, and how moulds of it come apart. */
  private record Held(PosedMaster posed, PartedMaster parted, CutPlanes cuts) {

    static Held of(PosedMaster posed) {
      return new Held(posed, new PartedMaster(posed), new CutPlanes(posed.mesh()));
    }
  }

  private record MeasuredPlate(Measured master, Plate plate) {}

  private record Key(Object shape, double unitMm, Object turn, Plate plate) {}

  /** The master as it stands; empty when only its measures are known, or nothing. */
  public Optional<PosedMaster> posed(Choices choices) {
    return held(choices).map(Held::posed);
  }

  private Optional<Held> held(Choices choices) {
    MasterChoice m = choices.master();
    if (m.source() == MasterSource.FILE && m.model() != null) {
      double unit = unitMm(choices);
      return Optional.of(
          held(
              new Key(m.model(), unit, choices.pose().turn(), choices.laid()),
              () -> models.mesh(m.model()),
              unit,
              choices));
    }
    if (m.source() == MasterSource.SOLID) {
      return Optional.of(
          held(
              new Key(m.solid(), 1, choices.pose().turn(), choices.laid()),
              m.solid()::mesh,
              1,
              choices));
    }
    return Optional.empty();
  }

  /** The master in the model's axes, in millimetres; empty when there is no mesh. */
  public Optional<TriangleMesh> asModelled(Choices choices) {
    MasterChoice m = choices.master();
    if (m.source() == MasterSource.FILE && m.model() != null) {
      double unit = unitMm(choices);
      return Optional.of(models.mesh(m.model()).moved(unit, Rotation.NONE, Vec3.ZERO));
    }
    return m.source() == MasterSource.SOLID ? Optional.of(m.solid().mesh()) : Optional.empty();
  }

  /**
   * From face to face of the master, worked out once for all its poses; of masters laid out, as
   * they lie.
   */
  FacingFaces across(Choices choices, Progress progress) {
    MasterChoice m = choices.master();
    Plate laid = choices.laid();
    Object shape =
        new Key(
            m.source() == MasterSource.FILE ? m.model() : m.solid(),
            unit(choices),
            laid.moves() ? choices.pose().turn() : null,
            laid.moves() ? laid : null);
    synchronized (across) {
      FacingFaces known = across.get(shape);
      if (known == null) {
        TriangleMesh mesh =
            laid.moves() ? posed(choices).orElseThrow().mesh() : asModelled(choices).orElseThrow();
        known = FacingFaces.of(mesh, Parallel.ALL, progress);
        across.put(shape, known);
        if (across.size() > ACROSS_KEPT) {
          across.remove(across.keySet().iterator().next());
        }
      }
      return known;
    }
  }

  private synchronized Held held(
      Key key, Supplier<TriangleMesh> source, double unitMm, Choices choices) {
    Held known = posed.get(key);
    if (known != null) {
      return known;
    }
    Held made = Held.of(PosedMaster.of(source.get(), unitMm, choices.pose(), choices.laid()));
    posed.put(key, made);
    long held = posed.values().stream().mapToLong(p -> p.posed().mesh().triangleCount()).sum();
    var oldest = posed.entrySet().iterator();
    while (held > ROOM && posed.size() > 1) {
      held -= oldest.next().getValue().posed().mesh().triangleCount();
      oldest.remove();
    }
    return made;
  }

  /** What the model file is called in this job. For jobs that have one. */
  String fileName(Choices choices) {
    String here = choices.master().fileName();
    return here != null ? here : models.find(choices.master().model()).orElseThrow().name();
  }

  /** Millimetres per unit of the model file: as said, as the format says, or as guessed. */
  public double unitMm(Choices choices) {
    if (choices.master().unitMm() != null) {
      return choices.master().unitMm();
    }
    return unitMm(models.find(choices.master().model()).orElseThrow());
  }

  /** The same, while nobody has said. */
  static double unitMm(Models.Stored model) {
    return model.unitMm() != null
        ? model.unitMm()
        : UnitGuess.mmPerUnit(model.report().bounds().longest());
  }

  /** The same, where neither the user nor the file says; null otherwise. */
  static Double guessedUnitMm(Choices choices, Models.Stored model) {
    return choices.master().unitMm() == null && model.unitMm() == null ? unitMm(model) : null;
  }

  /** Millimetres per unit of whatever the shape is known from. */
  double unit(Choices choices) {
    return choices.master().source() == MasterSource.FILE ? unitMm(choices) : 1;
  }

  /** What the plan needs to know of the master; null while its size is not known. */
  public MasterFacts facts(Choices choices) {
    MasterChoice m = choices.master();
    switch (m.source()) {
      case FILE -> {
        Optional<Models.Stored> model = Optional.ofNullable(m.model()).flatMap(models::find);
        if (model.isEmpty()) {
          return null;
        }
        return shaped(
            choices,
            model.get().report().scaled(unitMm(choices)),
            guessedUnitMm(choices, model.get()),
            "model file " + fileName(choices));
      }
      case SOLID -> {
        String measures =
            String.join(
                ", ",
                m.solid().kind().measures().stream()
                    .map(name -> measure(m.solid(), name, choices))
                    .toList());
        return shaped(
            choices, solidReport(m.solid()), null, m.solid().kind().text() + " " + measures);
      }
      case MEASURED -> {
        return m.measured().hasSize() ? measured(m.measured(), choices.laid()) : null;
      }
      default -> {
        return null;
      }
    }
  }

  private static String measure(Solid s, String name, Choices choices) {
    return switch (name) {
      case "lengthMm" -> Length.format(s.lengthMm(), choices.units()) + " long";
      case "widthMm" -> Length.format(s.widthMm(), choices.units()) + " wide";
      case "heightMm" -> Length.format(s.heightMm(), choices.units()) + " high";
      case "diameterMm" -> "Ø " + Length.format(s.diameterMm(), choices.units());
      case "topDiameterMm" -> "top Ø " + Length.format(s.topDiameterMm(), choices.units());
      case "tubeDiameterMm" -> "ring " + Length.format(s.tubeDiameterMm(), choices.units());
      case "carvedPct" -> "its face " + Numbers.trimmed(s.carvedPct(), 0) + " % larger than flat";
      case "girths" -> "girths " + s.girths();
      default -> s.profile();
    };
  }

  private synchronized MeshReport solidReport(Solid solid) {
    if (solids.size() > 50) {
      solids.clear();
    }
    return solids.computeIfAbsent(solid, s -> MeshReport.of(s.mesh(), Progress.NONE).report());
  }

  private MasterFacts shaped(Choices choices, MeshReport report, Double guessedUnit, String title) {
    Held held = held(choices).orElseThrow();
    return MasterFacts.of(held.posed(), held.parted(), held.cuts(), report, guessedUnit, title);
  }

  private synchronized OnPlate laid(Measured m, Plate plate) {
    if (measured.size() > 50) {
      measured.clear();
    }
    return measured.computeIfAbsent(
        new MeasuredPlate(m, plate), k -> OnPlate.of(m.footprint(), plate));
  }

  private MasterFacts measured(Measured m, Plate plate) {
    boolean round = m.outline() == Measured.Outline.ROUND;
    double one = round ? Math.PI * m.diameterMm() * m.diameterMm() / 4 : m.lengthMm() * m.widthMm();
    double base = plate.copies() * one;
    OnPlate all = laid(m, plate);
    Vec3 size = all.sizeMm(m.heightMm());
    return new MasterFacts(
        size,
        round
            ? new Vec3(m.diameterMm(), m.diameterMm(), m.heightMm())
            : new Vec3(m.lengthMm(), m.widthMm(), m.heightMm()),
        new Vec3(0, 0, m.heightMm()),
        FillCurve.even(base * m.heightMm(), 0, m.heightMm()),
        all::footprints,
        new Foot(z -> all.footprints()),
        base,
        null,
        null,
        "measured by hand",
        null,
        null,
        () -> all,
        null,
        null,
        null);
  }
}

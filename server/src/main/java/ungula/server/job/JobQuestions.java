package ungula.server.job;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import ungula.core.approach.Approach;
import ungula.core.approach.ApproachSearch;
import ungula.core.choice.BoxChoice;
import ungula.core.choice.Choices;
import ungula.core.choice.CutChoice;
import ungula.core.choice.Hollow;
import ungula.core.choice.LyingChoice;
import ungula.core.choice.MasterSource;
import ungula.core.choice.Materials;
import ungula.core.choice.PartingChoice;
import ungula.core.choice.RubberChoice;
import ungula.core.contact.CastingMaterial;
import ungula.core.contact.Patch;
import ungula.core.contact.Preparation;
import ungula.core.geometry.Rotation;
import ungula.core.hollow.HollowCore;
import ungula.core.jacket.Jacket;
import ungula.core.jacket.OutsideStudy;
import ungula.core.mark.FacetSet;
import ungula.core.mark.Mark;
import ungula.core.mark.Marks;
import ungula.core.master.MasterMaterial;
import ungula.core.master.Solid;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxMould;
import ungula.core.orient.Stand;
import ungula.core.orient.StandSearch;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.Planner;
import ungula.core.plate.Plate;
import ungula.core.quantity.Units;
import ungula.core.record.Recorded;
import ungula.core.release.PieceCover;
import ungula.core.skin.Skin;
import ungula.core.skin.SkinField;
import ungula.core.skin.SkinStudy;
import ungula.core.study.CastStudy;
import ungula.core.study.FormStudy;
import ungula.core.study.HollowStudy;
import ungula.core.study.ReleaseStudy;
import ungula.core.study.RubberStudy;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;
import ungula.core.workshop.WorkHours;
import ungula.core.workshop.Workshop;
import ungula.server.job.Studies.Question;
import ungula.server.model.FieldBytes;
import ungula.server.model.MeshBytes;

/** What can be asked of a job's shape, and how it is found out. For jobs that have one. */
@Component
public class JobQuestions {

  private final Shapes shapes;
  private final Studies studies;

  JobQuestions(Shapes shapes, Studies studies) {
    this.shapes = shapes;
    this.studies = studies;
  }

  /**
   * A body whichever way it stands.
   *
   * @param model file; null for a solid
   */
  private record Body(String model, Solid solid, double unitMm) {}

  private record AskedOfRubber(
      int version, Body body, Rotation turn, Plate plate, RubberStudy.Question question) {}

  private record AskedOfCast(
      int version, Body body, Rotation turn, Plate plate, CastStudy.Question question) {}

  private record AskedOfRound(int version, String cast, String core) {}

  private record AskedOfRelease(
      int version, Body body, Rotation turn, Plate plate, FacetSet threads) {}

  private record AskedOfForm(int version, Body body) {}

  private record AskedOfPieces(int version, Body body) {}

  private record AskedOfCore(
      int version, Body body, Rotation turn, Plate plate, boolean open, double wallMm) {}

  private record AskedOfSkin(int version, Body body, Rotation turn, List<Skin.Plug> plugs) {}

  private record AskedOfOutside(
      int version, int skinVersion, Body body, Rotation turn, double wallMm) {}

  private record AskedOfStands(int version, Body body, double volumeMm3) {}

  private record AskedOfStanding(int version, Body body, double volumeMm3, Rotation turn) {}

  /** How a patch of the rubber came out on the master. */
  private record Tried(Patch patch) {}

  private record AskedOfApproaches(
      int version,
      Body body,
      Rotation turn,
      double liftMm,
      Plate plate,
      BoxChoice mould,
      PartingChoice parting,
      CutChoice cut,
      Hollow hollow,
      Skin skin,
      Jacket jacket,
      RubberChoice rubber,
      CastingMaterial cast,
      Marks marks,
      MasterMaterial material,
      Preparation preparation,
      Units units,
      Tried tried,
      Materials materials,
      Workshop workshop) {}

  private Body body(Choices c) {
    boolean file = c.master().source() == MasterSource.FILE;
    return new Body(
        file ? c.master().model() : null, file ? null : c.master().solid(), shapes.unit(c));
  }

  /** Rubber poured round it in a box. Its values by facet: the wall. */
  Question<RubberStudy> rubber(Choices c, MasterFacts facts, BoxMould box) {
    RubberStudy.Question q =
        new RubberStudy.Question(
            box.block(), box.inside().ring(), box.belowMm(), facts.baseOpen(c.pose().liftMm()));
    return studies.question(
        new AskedOfRubber(RubberStudy.VERSION, body(c), c.pose().turn(), c.laid(), q),
        RubberStudy.class,
        (known, keep, progress) -> {
          RubberStudy.Made made =
              RubberStudy.of(
                  shapes.posed(c).orElseThrow(),
                  shapes.across(c, progress.part(0, 0.3)),
                  q,
                  Parallel.ALL,
                  progress.part(0.3, 1));
          keep.keep(made.study(), made.wallSteps());
        });
  }

  /** A cast in its mould. */
  Question<CastStudy> cast(Choices c, MasterFacts facts, BoxMould box) {
    CastStudy.Question q = castIn(c, facts, box);
    return studies.question(
        new AskedOfCast(CastStudy.VERSION, body(c), c.pose().turn(), c.laid(), q),
        CastStudy.class,
        (known, keep, progress) ->
            keep.keep(
                CastStudy.of(
                    shapes.posed(c).orElseThrow(),
                    q.parted() == null ? null : Planner.seam(q.parted(), c, facts, box),
                    q,
                    Parallel.ALL,
                    progress),
                new byte[0]));
  }

  private static CastStudy.Question castIn(Choices c, MasterFacts facts, BoxMould box) {
    boolean baseOpen = facts.baseOpen(c.pose().liftMm());
    return new CastStudy.Question(
        box.block(),
        box.belowMm(),
        baseOpen,
        c.casting().sprue(),
        c.casting().vents(),
        c.lying().of(c.mould().kind(), baseOpen),
        LyingChoice.sides(c.mould().kind(), baseOpen),
        Planner.parted(c, facts, box).orElse(null));
  }

  /**
   * A hollow cast round its core, once that is known.
   *
   * @param cast what is asked of the mould without its core
   * @param core of it
   */
  Question<HollowStudy> round(
      Choices c,
      MasterFacts facts,
      BoxMould box,
      Question<CastStudy> cast,
      Question<Cores.Kept> core,
      Cores cores) {
    return studies.question(
        new AskedOfRound(HollowStudy.VERSION, cast.id(), core.id()),
        HollowStudy.class,
        (known, keep, progress) -> {
          studies.settle(core, progress.part(0, 0.4));
          HollowCore made = cores.known(core).orElseThrow().core();
          if (made == null) {
            keep.keep(HollowStudy.SOLID, new byte[0]);
            return;
          }
          keep.keep(
              HollowStudy.of(
                  shapes.posed(c).orElseThrow(),
                  made,
                  castIn(c, facts, box),
                  Parallel.ALL,
                  progress.part(0.4, 1)),
              new byte[0]);
        });
  }

  /** Pulling the mould off. Its values by facet: locked. */
  Question<ReleaseStudy> release(Choices c) {
    FacetSet threads = c.marks().of(Mark.THREAD);
    return studies.question(
        new AskedOfRelease(ReleaseStudy.VERSION, body(c), c.pose().turn(), c.laid(), threads),
        ReleaseStudy.class,
        (known, keep, progress) -> {
          ReleaseStudy.Made made =
              ReleaseStudy.of(shapes.posed(c).orElseThrow(), threads, Parallel.ALL, progress);
          keep.keep(made.study(), made.lockedShare());
        });
  }

  /** What it decides however it stands. */
  Question<FormStudy> form(Choices c) {
    return studies.question(
        new AskedOfForm(FormStudy.VERSION, body(c)),
        FormStudy.class,
        (known, keep, progress) ->
            keep.keep(
                FormStudy.of(shapes.asModelled(c).orElseThrow(), Parallel.ALL, progress),
                new byte[0]));
  }

  /** The core of a hollow cast; beside it its mesh. For choices that want one. */
  Question<Cores.Kept> core(Choices c, boolean baseOpen) {
    double wall = c.hollow().wallMm();
    return studies.question(
        new AskedOfCore(HollowCore.VERSION, body(c), c.pose().turn(), c.laid(), baseOpen, wall),
        Cores.Kept.class,
        (known, keep, progress) -> {
          Optional<HollowCore> core =
              HollowCore.of(
                  shapes.posed(c).orElseThrow().mesh(), baseOpen, wall, Parallel.ALL, progress);
          keep.keep(
              core.map(Cores.Kept::of).orElse(Cores.Kept.NOTHING),
              core.map(k -> MeshBytes.of(k.mesh())).orElse(new byte[0]));
        });
  }

  /** What a skin of any thickness takes; beside it the room round the master, nothing plugged. */
  Question<SkinStudy> skin(Choices c) {
    return skin(
        c,
        List.of(),
        progress -> {
          progress.at("Measuring the room round it", 0);
          return SkinField.of(shapes.posed(c).orElseThrow().mesh(), Parallel.ALL, progress);
        });
  }

  /** The same when its recesses are plugged. */
  Question<SkinStudy> plugged(Choices c, Room unplugged) {
    List<Skin.Plug> plugs = c.skin().plugs();
    return skin(
        c,
        plugs,
        progress -> {
          SkinField field = unplugged.of(progress.part(0, 0.5));
          progress.at("Plugging recesses", 0.5);
          return field.plugged(plugs, Parallel.ALL, progress.part(0.5, 1));
        });
  }

  private Question<SkinStudy> skin(Choices c, List<Skin.Plug> plugs, Room room) {
    return studies.question(
        new AskedOfSkin(SkinField.VERSION, body(c), c.pose().turn(), plugs),
        SkinStudy.class,
        (known, keep, progress) -> {
          SkinField field = room.of(progress);
          keep.keep(
              SkinStudy.of(shapes.posed(c).orElseThrow(), field, Parallel.ALL),
              FieldBytes.of(field.field()));
        });
  }

  /** Where a room comes from that another question builds on. */
  @FunctionalInterface
  interface Room {
    SkinField of(Progress progress) throws Exception;
  }

  /** What the outside of a skin so thick decides. */
  Question<OutsideStudy> outside(Choices c, double wallMm, Room room) {
    return studies.question(
        new AskedOfOutside(
            OutsideStudy.VERSION, SkinField.VERSION, body(c), c.pose().turn(), wallMm),
        OutsideStudy.class,
        (known, keep, progress) ->
            keep.keep(
                OutsideStudy.of(
                    room.of(progress.part(0, 0.4)), wallMm, Parallel.ALL, progress.part(0.4, 1)),
                new byte[0]));
  }

  /** How many pieces would free it. Its values by facet: the piece that does. */
  public Question<PieceCover> pieces(Choices c) {
    return studies.question(
        new AskedOfPieces(PieceCover.VERSION, body(c)),
        PieceCover.class,
        (known, keep, progress) -> {
          progress.at("Pulling pieces off it", 0.1);
          TriangleMesh mesh = shapes.asModelled(c).orElseThrow();
          PieceCover cover = PieceCover.of(mesh, Parallel.ALL);
          progress.at("Seeing what each frees", 0.6);
          keep.keep(cover, cover.byFacet(mesh, Parallel.ALL));
        });
  }

  /** Every way the master could stand. */
  Question<StandSearch.Found> stands(Choices c, double volumeMm3) {
    return studies.question(
        new AskedOfStands(StandSearch.VERSION, body(c), volumeMm3),
        StandSearch.Found.class,
        (known, keep, progress) -> {
          StandSearch search =
              new StandSearch(
                  shapes.asModelled(c).orElseThrow(),
                  volumeMm3,
                  known == null ? List.of() : known.stands());
          boolean complete = false;
          try {
            search.run(Parallel.ALL, progress);
            complete = true;
          } finally {
            keep.keep(new StandSearch.Found(search.found(), complete), new byte[0]);
          }
        });
  }

  /** How it stands now, as closely looked at as the best of those. */
  Question<Stand> standing(Choices c, double volumeMm3) {
    return studies.question(
        new AskedOfStanding(StandSearch.VERSION, body(c), volumeMm3, c.pose().turn()),
        Stand.class,
        (known, keep, progress) ->
            keep.keep(
                new StandSearch(shapes.asModelled(c).orElseThrow(), volumeMm3, List.of())
                    .standing(c.pose().turn(), Parallel.ALL, progress),
                new byte[0]));
  }

  /** All moulds that could be made of a master. */
  public record Approaches(List<Approach> all) {}

  /** Every kind of mould that could be made, as far as the choices leave it open. */
  public Question<Approaches> approaches(
      Choices c, Recorded recorded, Materials materials, Workshop workshop) {
    return studies.question(
        new AskedOfApproaches(
            ApproachSearch.VERSION,
            body(c),
            c.pose().turn(),
            c.pose().liftMm(),
            c.plate(),
            c.mould(),
            c.parting(),
            c.cut(),
            c.hollow(),
            c.skin(),
            c.jacket(),
            c.rubber(),
            c.cast().material(),
            c.marks(),
            c.master().material(),
            c.master().preparation(),
            c.units(),
            new Tried(recorded.master().patch()),
            materials,
            workshop.in(WorkHours.USUAL)),
        Approaches.class,
        (known, keep, progress) ->
            keep.keep(
                new Approaches(
                    new ApproachSearch(
                            shapes.asModelled(c).orElseThrow(),
                            shapes.facts(c).report(),
                            c,
                            recorded,
                            materials,
                            workshop,
                            Parallel.ALL)
                        .run(progress)),
                new byte[0]));
  }
}

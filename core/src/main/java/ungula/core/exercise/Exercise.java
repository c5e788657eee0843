package ungula.core.exercise;

import java.time.Instant;
import java.util.List;
import java.util.function.Function;
import ungula.core.demo.HarbourShapes;
import ungula.core.job.Stage;
import ungula.core.mesh.TriangleMesh;
import ungula.core.run.Bench;
import ungula.core.run.RunPlan;
import ungula.core.run.RunPlan.Kind;
import ungula.core.run.RunPlan.Task;
import ungula.core.run.RunState;
import ungula.core.sentence.WordBook.Edit;

/** Something to practise on a made-up master; how well it went is told by the usual rules. */
public enum Exercise {
  LEAST_AIR(
      "Tilt it for the least air",
      "Turn, rest or tip the octopus until as little air as can be stays in the rubber.",
      Stage.MASTER,
      HarbourShapes::octopus,
      "octopus.stl",
      0,
      1,
      "master.material=PRINT_RESIN",
      "master.preparation=CURED",
      "pose.liftMm=10 mm",
      "rubber.product=samphire-15"),
  TWO_VENTS(
      "Place two vents",
      "Give the mould two vents, and no more, so that the least air stays in a cast.",
      Stage.MOULD,
      HarbourShapes::octopus,
      "octopus.stl",
      0,
      1,
      "master.material=PRINT_RESIN",
      "master.preparation=CURED",
      "rubber.product=samphire-15"),
  RATIO(
      "Mix to the ratio",
      "Weigh one batch so that both parts are right, and pour it within its pot life.",
      Stage.BENCH,
      HarbourShapes::finial,
      "finial.stl",
      1,
      1,
      "master.material=WOOD",
      "master.preparation=SEALED",
      "rubber.product=samphire-15",
      "rubber.batches=1"),
  POT_LIFE(
      "Keep the pot life with three batches",
      "Weigh and pour three batches. The clock is hurried: none may wait in its cup.",
      Stage.BENCH,
      HarbourShapes::finial,
      "finial.stl",
      3,
      10,
      "master.material=WOOD",
      "master.preparation=SEALED",
      "rubber.product=samphire-15",
      "rubber.batches=3"),
  WINDOW(
      "Keep a recoat window",
      "Brush two coats: the second has to go on while the first still takes it.",
      Stage.BENCH,
      HarbourShapes::mooringPost,
      "mooring-post.stl",
      2,
      60,
      "master.material=WOOD",
      "master.preparation=SEALED",
      "mould.kind=SKIN",
      "mould.sidesMm=20 mm",
      "rubber.product=marram-20");

  private final String title;
  private final String task;
  private final Stage stage;
  private final Function<HarbourShapes, TriangleMesh> master;
  private final String file;

  /** That are to be used; at the bench only. */
  private final int batches;

  private final double speed;
  private final List<Edit> edits;

  Exercise(
      String title,
      String task,
      Stage stage,
      Function<HarbourShapes, TriangleMesh> master,
      String file,
      int batches,
      double speed,
      String... words) {
    this.title = title;
    this.task = task;
    this.stage = stage;
    this.master = master;
    this.file = file;
    this.batches = batches;
    this.speed = speed;
    this.edits =
        List.of(words).stream().map(w -> w.split("=", 2)).map(w -> Edit.of(w[0], w[1])).toList();
  }

  public String title() {
    return title;
  }

  /** What is to be done, in one or two sentences. */
  public String task() {
    return task;
  }

  /** Where it is done. */
  public Stage stage() {
    return stage;
  }

  /** Whether it is gone through at the bench, as a rehearsal. */
  public boolean bench() {
    return stage == Stage.BENCH;
  }

  public TriangleMesh master(HarbourShapes shapes) {
    return master.apply(shapes);
  }

  /** What the master's file is called. */
  public String file() {
    return file;
  }

  /** How many times as fast as a clock its clock runs. */
  public double speed() {
    return speed;
  }

  /** What is decided before it begins, beside the master. */
  public List<Edit> edits() {
    return edits;
  }

  /**
   * Does all that comes before the first weighing, as it should be done.
   *
   * @throws IllegalStateException where the plan has no weighing
   */
  public static void ahead(Bench bench, Instant at) {
    for (Task t : bench.plan().tasks()) {
      if (t.kind() == Kind.WEIGH) {
        return;
      }
      try {
        switch (t.kind()) {
          case GATE -> bench.gate(at, t.key(), false);
          case VERDICT -> bench.judge(at, t.key(), true);
          default -> bench.tick(at, t.key());
        }
      } catch (Bench.Refused no) {
        throw new IllegalStateException(t.key(), no);
      }
    }
    throw new IllegalStateException("Nothing is weighed");
  }

  /** Whether as many batches as it takes have left their cups. */
  public boolean done(RunPlan plan, RunState state) {
    long used =
        plan.batches().stream()
            .limit(batches)
            .filter(b -> state.progress(b).used() != null)
            .count();
    return used == Math.min(batches, plan.batches().size());
  }
}

package ungula.core.run;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Task;

/**
 * What a plan says now that a run does not go by, because it was planned again after the run was
 * begun.
 */
public final class Replanned {

  /** Steps are named up to so many, the others counted. */
  private static final int NAMED = 4;

  private final RunPlan begun;
  private final RunPlan now;
  private final List<String> says = new ArrayList<>();

  private Replanned(RunPlan begun, RunPlan now) {
    this.begun = begun;
    this.now = now;
  }

  /**
   * In sentences, the batches first; none where nothing changed.
   *
   * @param begun what the run goes by
   * @param now what a run would go by that was begun now
   */
  public static List<String> says(RunPlan begun, RunPlan now) {
    Replanned r = new Replanned(begun, now);
    r.batches();
    r.tasks();
    return List.copyOf(r.says);
  }

  private void batches() {
    if (begun.batches().size() != now.batches().size()) {
      says.add(counted(now.batches()) + " in place of " + begun.batches().size() + ".");
    }
    for (Batch b : now.batches()) {
      begun.batch(b.key()).ifPresent(was -> batch(was, b));
    }
  }

  private String counted(List<Batch> batches) {
    boolean coats = batches.stream().anyMatch(b -> b.key().startsWith("coat."));
    String what = coats ? "coat" : "batch";
    int n = batches.size();
    return n + " " + (n == 1 ? what : coats ? "coats" : "batches");
  }

  private void batch(Batch was, Batch is) {
    if (!was.product().equals(is.product())) {
      says.add(is.title() + ": of another rubber.");
      return;
    }
    String before = weighed(begun, was);
    String after = weighed(now, is);
    if (!before.equals(after)) {
      says.add(is.title() + ": " + after + " in place of " + before + ".");
    }
  }

  private static String weighed(RunPlan plan, Batch b) {
    String first = Weighing.grams(b.firstG(), plan.units());
    return b.hardenerPerBase() == 0
        ? first
        : first
            + " "
            + plan.first(b)
            + " + "
            + Weighing.grams(b.firstG() * b.secondPerFirst(), plan.units())
            + " "
            + plan.second(b);
  }

  private void tasks() {
    Map<String, Task> before = byKey(begun);
    Map<String, Task> after = byKey(now);
    named("New: ", now, t -> !before.containsKey(t.key()));
    named("No longer: ", begun, t -> !after.containsKey(t.key()));
    named(
        "Changed: ",
        now,
        t -> before.containsKey(t.key()) && !before.get(t.key()).what().equals(t.what()));
  }

  /** Steps of batches are not named: the batches are. */
  private static Map<String, Task> byKey(RunPlan plan) {
    return plan.tasks().stream()
        .filter(t -> t.batch().isEmpty())
        .collect(Collectors.toMap(Task::key, t -> t));
  }

  private void named(String what, RunPlan in, Predicate<Task> is) {
    List<String> labels =
        in.tasks().stream()
            .filter(t -> t.batch().isEmpty() && is.test(t))
            .map(Task::label)
            .distinct()
            .toList();
    if (labels.isEmpty()) {
      return;
    }
    int more = labels.size() - NAMED;
    says.add(
        what
            + labels.stream().limit(NAMED).collect(Collectors.joining(", "))
            + (more > 0 ? " and " + more + " more" : "")
            + ".");
  }
}

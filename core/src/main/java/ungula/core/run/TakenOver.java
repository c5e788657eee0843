package ungula.core.run;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ungula.core.run.RunPlan.After;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Task;

/**
 * What a run goes by when it takes over a plan that was made anew: what happened stays as it was
 * told, a pour or a coat that is begun is finished as it was begun, and all the rest is the new
 * plan's.
 */
public final class TakenOver {

  private static final Pattern GROUP = Pattern.compile("((?:pour|coat)\\.\\d+)\\..*");

  private static final String ANEW = "Plan that as it was, or finish this mould as it was begun.";

  /** Levels and areas that differ by less are the same, a share. */
  private static final double SAME = 0.001;

  private final RunPlan begun;
  private final RunPlan now;
  private final Set<String> happened;

  /** Pours and coats that are begun. */
  private final Set<String> groups = new LinkedHashSet<>();

  private TakenOver(RunPlan begun, RunState state, List<Entry> entries, RunPlan now) {
    this.begun = begun;
    this.now = now;
    this.happened = entries.stream().map(begun::taskOf).collect(Collectors.toSet());
    for (Progress p : state.batches()) {
      Batch b = p.batch();
      boolean mixed = p.grams() > 0 || !p.shares().isEmpty() || state.thrownAway(b).totalG() > 0;
      if (mixed || happened.contains(b.weigh())) {
        groups.add(group(b.weigh()));
      }
    }
    for (Task t : begun.tasks()) {
      if (!state.open(t)) {
        happened.add(t.key());
      }
    }
  }

  /**
   * The plan a run goes on by.
   *
   * @param now the plan a run would go by that was begun now
   * @throws Bench.Refused where what is begun cannot be finished in the mould as it is planned now
   */
  static RunPlan of(RunPlan begun, RunState state, List<Entry> entries, RunPlan now)
      throws Bench.Refused {
    TakenOver t = new TakenOver(begun, state, entries, now);
    t.check();
    return new RunPlan(
        t.tasks(),
        t.batches(),
        now.role(),
        now.units(),
        now.pourLineMm(),
        now.insideMm2(),
        begun.cupFirst(),
        begun.casts());
  }

  /** What is planned otherwise by now and is begun, in words: it is finished as it was begun. */
  static List<String> finished(RunPlan begun, RunState state, List<Entry> entries, RunPlan now) {
    TakenOver t = new TakenOver(begun, state, entries, now);
    return t.groups.stream()
        .filter(g -> !of(begun, g).toList().equals(of(now, g).toList()))
        .map(t::named)
        .toList();
  }

  /** The pour or the coat a task or a batch belongs to; its key where it belongs to none. */
  private static String group(String key) {
    Matcher m = GROUP.matcher(key);
    return m.matches() ? m.group(1) : key;
  }

  private static Stream<Batch> of(RunPlan plan, String group) {
    return plan.batches().stream().filter(b -> group(b.weigh()).equals(group));
  }

  /** In a sentence: "the upper half", "coat 2". */
  private String named(String group) {
    String name = of(begun, group).findFirst().map(Batch::name).orElse(group);
    int of = name.indexOf(", ");
    return of > 0 ? "the " + name.substring(of + 2) : group.startsWith("coat") ? name : "the pour";
  }

  private void check() throws Bench.Refused {
    for (String group : groups) {
      String name = named(group);
      String is =
          name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1) + " is begun, and ";
      Batch was = of(begun, group).findFirst().orElseThrow();
      Optional<Batch> then = of(now, group).findFirst();
      if (then.isEmpty()) {
        throw new Bench.Refused(is + "there is none in the new plan. " + ANEW);
      }
      if (!then.get().product().equals(was.product())) {
        throw new Bench.Refused(is + "the new plan takes another rubber. " + ANEW);
      }
      if (!same(begun.pourLineMm(), now.pourLineMm())
          || !same(begun.insideMm2(), now.insideMm2())) {
        throw new Bench.Refused(is + "the new plan has a box of another size. " + ANEW);
      }
    }
  }

  /** What was not kept is taken for the same. */
  private static boolean same(Double a, Double b) {
    return a == null || b == null || Math.abs(a - b) <= SAME * Math.abs(a);
  }

  private boolean isBegun(String key) {
    return groups.contains(group(key));
  }

  private List<Batch> batches() {
    List<Batch> all = new ArrayList<>();
    Set<String> told = new HashSet<>();
    for (Batch b : now.batches()) {
      String group = group(b.weigh());
      if (!groups.contains(group)) {
        all.add(b);
      } else if (told.add(group)) {
        of(begun, group).forEach(all::add);
      }
    }
    return all;
  }

  private List<Task> tasks() {
    Map<String, Task> all = new LinkedHashMap<>();
    Set<String> planned = now.tasks().stream().map(Task::key).collect(Collectors.toSet());
    for (Task t : begun.tasks()) {
      // what happened, and is not asked for any more, comes first
      if (happened.contains(t.key()) && !planned.contains(t.key()) && !isBegun(t.key())) {
        all.put(t.key(), t);
      }
    }
    for (Task t : now.tasks()) {
      if (isBegun(t.key())) {
        begun.tasks().stream()
            .filter(b -> group(b.key()).equals(group(t.key())))
            .forEach(b -> all.put(b.key(), b));
      } else {
        all.put(t.key(), happened.contains(t.key()) ? begun.task(t.key()).orElse(t) : t);
      }
    }
    return all.values().stream().map(t -> linked(t, all)).toList();
  }

  /** A task that waits for nothing that is not there. */
  private Task linked(Task t, Map<String, Task> all) {
    RunPlan its = now.task(t.key()).filter(n -> n.equals(t)).isPresent() ? now : begun;
    List<After> after = t.after().stream().flatMap(a -> there(a, its, all)).distinct().toList();
    return after.equals(t.after())
        ? t
        : new Task(
            t.key(),
            t.kind(),
            t.part(),
            t.label(),
            t.what(),
            t.why(),
            t.minutes(),
            t.batch(),
            after,
            t.shows(),
            t.cares(),
            t.rates());
  }

  /**
   * What is waited for; where it is not there, what stands for it: of a pour that is finished as it
   * was begun its last step, else what it waited for itself.
   */
  private Stream<After> there(After a, RunPlan its, Map<String, Task> all) {
    if (all.containsKey(a.task())) {
      return Stream.of(a);
    }
    if (isBegun(a.task())) {
      return lastOf(group(a.task()), all)
          .map(k -> new After(k, a.begun(), a.leastMin(), a.mostMin(), a.elseMin()))
          .stream();
    }
    return its.task(a.task()).stream()
        .flatMap(t -> t.after().stream())
        .flatMap(before -> there(before, its, all));
  }

  /** The last thing that is done by hand of a pour that is begun. */
  private static Optional<String> lastOf(String group, Map<String, Task> all) {
    return all.values().stream()
        .filter(t -> group(t.key()).equals(group) && !t.batch().isEmpty() && !t.asked())
        .map(Task::key)
        .reduce((x, y) -> y);
  }
}

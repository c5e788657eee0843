package ungula.core.days;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.variables.IntVar;
import org.chocosolver.solver.variables.Task;
import ungula.core.days.Network.After;
import ungula.core.days.Network.Step;

/**
 * The soonest finish of a network by a constraint solver, on half hours. Of networks whose work by
 * hand fits in spans, without groups.
 */
final class Solver {

  private static final int HALF_HOUR = 1800;

  private final Network n;
  private final int slots;
  private final Rules rules;
  private final Model model = new Model();
  private final Map<String, IntVar> begin = new HashMap<>();

  private Solver(Network n, int days) {
    this.n = n;
    this.slots = 48 * days;
    this.rules = new Rules(n);
  }

  /**
   * @param days looked at
   * @return second of the epoch; {@link Long#MAX_VALUE} when there is none in these days
   */
  static long finish(Network n, int days) {
    return new Solver(n, days).finish();
  }

  private long finish() {
    List<IntVar> ends = new ArrayList<>();
    Map<String, Task> tasks = new HashMap<>();
    for (Step s : n.steps()) {
      int takes = halves(s.minutes());
      int[] may = IntStream.range(0, slots).filter(at -> !s.hands() || works(at, takes)).toArray();
      if (may.length == 0) {
        return Long.MAX_VALUE;
      }
      IntVar at = model.intVar(s.key(), may);
      IntVar end = model.offset(at, takes);
      begin.put(s.key(), at);
      ends.add(end);
      tasks.put(s.key(), new Task(at, model.intVar(takes), end));
    }
    n.steps().forEach(this::after);
    shared(tasks);
    IntVar finish = model.intVar("finish", 0, 2 * slots);
    model.max(finish, ends.toArray(IntVar[]::new)).post();
    Solution best = model.getSolver().findOptimalSolution(finish, Model.MINIMIZE);
    return best == null ? Long.MAX_VALUE : n.start() + (long) HALF_HOUR * best.getIntVal(finish);
  }

  private static int halves(double minutes) {
    return (int) Math.round(minutes / 30);
  }

  private boolean works(int at, int takes) {
    return IntStream.range(at, at + takes)
        .allMatch(i -> rules.works(n.start() + (long) HALF_HOUR * i));
  }

  private void after(Step s) {
    IntVar at = begin.get(s.key());
    List<IntVar> least = new ArrayList<>();
    for (After a : s.after()) {
      Step other = n.steps().stream().filter(o -> o.key().equals(a.step())).findFirst().get();
      int from = a.fromBegin() ? 0 : halves(other.minutes());
      IntVar ref = model.offset(begin.get(a.step()), from);
      least.add(model.offset(ref, halves(a.least())));
      if (a.greatest() != null) {
        model.arithm(at, "<=", model.offset(ref, halves(a.greatest()))).post();
      }
    }
    if (!s.hands() && !least.isEmpty()) {
      model.max(at, least.toArray(IntVar[]::new)).post();
    } else {
      least.forEach(l -> model.arithm(at, ">=", l).post());
    }
  }

  private void shared(Map<String, Task> tasks) {
    TreeSet<String> names = new TreeSet<>(List.of(Network.PERSON));
    n.steps().forEach(s -> names.addAll(s.holds()));
    for (String name : names) {
      List<Task> using = new ArrayList<>();
      n.steps().stream()
          .filter(s -> s.holds(name) && s.minutes() > 0)
          .forEach(s -> using.add(tasks.get(s.key())));
      n.busy().stream().filter(b -> b.resource().equals(name)).forEach(b -> using.add(fixed(b)));
      IntVar[] one = using.stream().map(t -> model.intVar(1)).toArray(IntVar[]::new);
      if (!using.isEmpty()) {
        model.cumulative(using.toArray(Task[]::new), one, model.intVar(n.capacity(name))).post();
      }
    }
  }

  private Task fixed(Network.Busy b) {
    int from = (int) ((b.from() - n.start()) / HALF_HOUR);
    int to = (int) ((b.to() - n.start()) / HALF_HOUR);
    return new Task(model.intVar(from), model.intVar(to - from), model.intVar(to));
  }
}

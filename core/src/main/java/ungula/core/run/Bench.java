package ungula.core.run;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ungula.core.device.Reading;
import ungula.core.quantity.Mass;
import ungula.core.run.Entry.Part;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Task;
import ungula.core.run.RunState.Phase;
import ungula.core.run.RunState.Progress;

/**
 * What comes in at the bench, and what is written down of it. Nothing is kept but the plan and the
 * entries: made again of both, it goes on as if nothing had happened. Not for several threads.
 */
public final class Bench {

  private final RunPlan plan;
  private final List<Entry> entries;
  private RunState state;

  /**
   * @param entries so far
   */
  public Bench(RunPlan plan, List<Entry> entries) {
    this.plan = plan;
    this.entries = new ArrayList<>(entries);
    this.state = RunState.of(plan, entries);
  }

  /** It cannot be, and nothing is written down. */
  public static final class Refused extends Exception {
    Refused(String why) {
      super(why);
    }
  }

  public List<Entry> entries() {
    return List.copyOf(entries);
  }

  public RunState state() {
    return state;
  }

  private void add(Entry e) {
    entries.add(e);
    state = RunState.of(plan, entries);
  }

  /**
   * A line of a device. What is none is ignored.
   *
   * @throws Refused when it says that something is wrong
   */
  public void line(Instant at, String line) throws Refused {
    Optional<Reading> reading = Reading.of(line);
    if (reading.isEmpty()) {
      return;
    }
    boolean scale =
        reading.get() instanceof Reading.Weight || reading.get() instanceof Reading.Overload;
    if (scale && state.lost().contains("scale")) {
      add(new Entry.Heard(at, "scale", true));
    }
    if (reading.get() instanceof Reading.Overload) {
      throw new Refused("There is more on the scale than it carries: take it off.");
    }
    if (reading.get() instanceof Reading.Weight w) {
      weigh(at, w);
    }
  }

  private void weigh(Instant at, Reading.Weight w) {
    Optional<Part> part = state.pouring();
    Optional<Double> grams = state.grams(w.grams());
    if (part.isEmpty() || grams.isEmpty()) {
      return;
    }
    double g = grams.get();
    Progress now = state.current().orElseThrow();
    double before = part.get() == Part.BASE ? now.baseG() : now.hardenerG();
    // a reading is right to half of what it shows
    boolean more = g > w.readG() * 1.000_001;
    if (!more) {
      return;
    }
    met(at, now, part.get());
    if (w.settled() && Math.abs(g - before) > w.readG() / 2) {
      store(at, now, part.get(), g, w.grams());
    }
  }

  /** The pot life begins when the second part falls onto the first. */
  private void met(Instant at, Progress now, Part part) {
    if (part == Part.HARDENER && now.met() == null) {
      add(new Entry.Met(at, now.batch().key()));
    }
  }

  private void store(Instant at, Progress now, Part part, double grams, Double shownG) {
    // what nobody has seen to is passed now: that is written down as well
    for (RunPlan.Gate gate : state.open()) {
      add(new Entry.Gated(at, gate.key(), true));
    }
    add(new Entry.Weighed(at, now.batch().key(), part, grams, shownG));
  }

  /**
   * What is in the cup of the part that is poured now, as typed.
   *
   * @throws Refused when nothing is weighed now
   */
  public void typed(Instant at, double grams) throws Refused {
    Part part =
        state
            .pouring()
            .orElseThrow(() -> new Refused("Nothing is weighed now: mix and pour first."));
    if (!(grams > 0)) {
      throw new Refused("Grams are more than nothing.");
    }
    Progress now = state.current().orElseThrow();
    met(at, now, part);
    store(at, now, part, grams, null);
  }

  public void tared(Instant at) {
    add(new Entry.Tared(at));
  }

  /** A device is not heard any more. */
  public void lost(Instant at, String device) {
    if (!state.lost().contains(device)) {
      add(new Entry.Heard(at, device, false));
    }
  }

  /**
   * Something that has to be seen to was, or was passed.
   *
   * @throws Refused when there is no such
   */
  public void gate(Instant at, String key, boolean skipped) throws Refused {
    if (plan.gates().stream().noneMatch(g -> g.key().equals(key))) {
      throw new Refused("There is no gate “" + key + "”.");
    }
    boolean open = state.open().stream().anyMatch(g -> g.key().equals(key));
    if (open || !skipped && !state.done(key)) {
      add(new Entry.Gated(at, key, skipped));
    }
  }

  /**
   * A step is done; done twice it is done once.
   *
   * @throws Refused while something else comes first
   */
  public void tick(Instant at, String key) throws Refused {
    if (plan.gates().stream().anyMatch(g -> g.key().equals(key))) {
      gate(at, key, false);
      return;
    }
    for (Batch b : plan.batches()) {
      if (key.equals(b.base())) {
        asItIs(at, b);
        return;
      }
      for (Task t : b.tasks()) {
        if (t.key().equals(key)) {
          task(at, b, t);
          return;
        }
      }
    }
    throw new Refused("There is no step “" + key + "”.");
  }

  private Progress of(Batch b) {
    return state.batches().stream().filter(p -> p.batch() == b).findFirst().orElseThrow();
  }

  private void asItIs(Instant at, Batch b) throws Refused {
    Progress p = of(b);
    if (p.phase() != Phase.BASE) {
      return;
    }
    checkTurn(b);
    if (!(p.baseG() > 0)) {
      throw new Refused("Nothing was weighed of the " + plan.role().first() + " yet.");
    }
    add(new Entry.Done(at, b.base()));
  }

  private void checkTurn(Batch b) throws Refused {
    Batch now = state.current().orElseThrow().batch();
    if (now != b) {
      throw new Refused("First " + now.key() + ": it is not poured yet.");
    }
  }

  private void task(Instant at, Batch b, Task task) throws Refused {
    if (state.done(task.key())) {
      return;
    }
    checkTurn(b);
    Progress p = of(b);
    switch (p.phase()) {
      case BASE -> throw new Refused(notWeighed(plan.role().first()));
      case HARDENER ->
          throw new Refused(
              p.hardenerG() == 0 ? notWeighed(plan.role().second()) : state.second(p).words());
      case SAVE ->
          throw new Refused(
              "There is too much "
                  + plan.role().second()
                  + ": add "
                  + Mass.format(p.still().orElseThrow().addBaseG(), plan.units())
                  + " of "
                  + plan.role().first()
                  + ", or start again in a clean cup.");
      default -> {
        for (Task before : b.tasks()) {
          if (before == task) {
            break;
          }
          if (!state.done(before.key())) {
            throw new Refused("First: " + before.what());
          }
        }
        add(new Entry.Done(at, task.key()));
      }
    }
  }

  private static String notWeighed(String part) {
    return "The " + part + " is not weighed yet.";
  }

  /**
   * The level in the box, as it was read.
   *
   * @throws Refused when nothing is in the box, or what it should be cannot be known
   */
  public void level(Instant at, double mm) throws Refused {
    if (plan.rise() == null) {
      throw new Refused("There is no box whose level could be read.");
    }
    if (!(mm > 0)) {
      throw new Refused("A level is above the base.");
    }
    Progress last = null;
    for (Progress p : state.batches()) {
      last = p.hardenerG() > 0 ? p : last;
    }
    if (last == null) {
      throw new Refused("Nothing is in the box yet.");
    }
    if (last.batch().density() == null) {
      throw new Refused("The density is not known: say it on the sheet.");
    }
    add(new Entry.LevelRead(at, last.batch().key(), mm));
  }

  /**
   * An entry does not count.
   *
   * @param number of it, from 1
   * @throws Refused when there is none, or no reason
   */
  public void correct(Instant at, int number, String why) throws Refused {
    if (number < 1
        || number > entries.size()
        || entries.get(number - 1) instanceof Entry.Corrected) {
      throw new Refused("There is no entry " + number + " to correct.");
    }
    if (why == null || why.isBlank()) {
      throw new Refused("Say why it is corrected.");
    }
    add(new Entry.Corrected(at, number, why.strip()));
  }
}

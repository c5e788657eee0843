package ungula.core.run;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ungula.core.cast.Made.Result;
import ungula.core.device.Reading;
import ungula.core.quantity.Mass;
import ungula.core.run.Entry.Ingredient;
import ungula.core.run.Progress.Phase;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Kind;
import ungula.core.run.RunPlan.Task;

/**
 * What comes in at the bench, and what is written down of it. Nothing is kept but the plan and the
 * entries: made again of both, it goes on as if nothing had happened. Not for several threads.
 */
public final class Bench {

  /** What is weighed is not poured on to more than so many times of what it is to be. */
  private static final double POURED_ON = 1.5;

  private RunPlan plan;
  private final List<Entry> entries;
  private RunState state;

  /** As the room was last heard of: written down when it matters. */
  private Double roomC;

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

  /** What it goes by: as it was begun, or as it was taken over last. */
  public RunPlan plan() {
    return plan;
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
    if (reading.isPresent()) {
      read(at, reading.get());
    }
  }

  /**
   * What a device says.
   *
   * @throws Refused when it says that something is wrong
   */
  public void read(Instant at, Reading reading) throws Refused {
    boolean scale = reading instanceof Reading.Weight || reading instanceof Reading.Overload;
    if (scale && state.lost().contains("scale")) {
      add(new Entry.Heard(at, "scale", true));
    }
    if (reading instanceof Reading.Overload) {
      throw new Refused("There is more on the scale than it carries: take it off.");
    }
    if (reading instanceof Reading.Room room) {
      roomC = room.degreesC();
    }
    if (reading instanceof Reading.Weight w) {
      weigh(at, w);
    }
  }

  private void weigh(Instant at, Reading.Weight w) {
    Optional<Ingredient> part = state.pouring();
    Optional<Double> grams = state.grams(w.grams());
    if (part.isEmpty() || grams.isEmpty()) {
      return;
    }
    double g = grams.get();
    Progress now = state.current().orElseThrow();
    double before = now.of(part.get());
    // a reading is right to half of what it shows
    if (!(g > w.readG() * 1.000_001) || notYet(at, now.batch()).isPresent()) {
      return;
    }
    boolean weighed = now.phase() == Phase.MIX;
    if (weighed && (g < before || g > POURED_ON * now.targetG(part.get()))) {
      return;
    }
    met(at, now, part.get());
    if (w.settled() && Math.abs(g - before) > w.readG() / 2) {
      store(at, now, part.get(), g, w.grams());
    }
  }

  /** What has to be done before a task: no question that may be passed, nor a wait that is over. */
  private Optional<Task> notYet(Instant at, Task t) {
    return state.before(t).stream().filter(o -> !o.asked() && !state.past(o, at)).findFirst();
  }

  private Optional<Task> notYet(Instant at, Batch b) {
    return plan.task(b.weigh()).flatMap(t -> notYet(at, t));
  }

  /** The pot life begins when the second part falls onto the first. */
  private void met(Instant at, Progress now, Ingredient what) {
    if (what.part() == now.batch().second() && now.met() == null) {
      add(new Entry.Met(at, now.batch().key(), roomC));
    }
  }

  /** What nobody has answered is passed now, and waits are over: that is written down as well. */
  private void pass(Instant at, Task next) {
    for (Task open : state.before(next)) {
      Instant end = state.past(open, at) ? state.over(open).orElseThrow() : at;
      add(open.asked() ? new Entry.Gated(at, open.key(), true) : new Entry.Done(end, open.key()));
    }
  }

  private void store(Instant at, Progress now, Ingredient what, double grams, Double shownG) {
    plan.task(now.batch().weigh()).ifPresent(t -> pass(at, t));
    add(new Entry.Weighed(at, now.batch().key(), what.part(), what.which(), grams, shownG));
  }

  /**
   * The same of a part of a batch, for what may be heard of late.
   *
   * @throws Refused when something else is weighed by now
   */
  public void typed(Instant at, String batch, Ingredient what, double grams) throws Refused {
    boolean same =
        state.current().filter(p -> p.batch().key().equals(batch)).isPresent()
            && state.pouring().filter(now -> now.equals(what)).isPresent();
    if (!same) {
      throw new Refused("Something else is weighed by now: look, then type it again.");
    }
    typed(at, grams);
  }

  /**
   * What is in the cup of the part that is poured now, as typed.
   *
   * @throws Refused when nothing is weighed now
   */
  public void typed(Instant at, double grams) throws Refused {
    Ingredient part =
        state
            .pouring()
            .orElseThrow(() -> new Refused("Nothing is weighed now: mix and pour first."));
    if (!(grams > 0)) {
      throw new Refused("Type more than 0 g.");
    }
    Progress now = state.current().orElseThrow();
    Optional<Task> first = notYet(at, now.batch());
    if (first.isPresent()) {
      throw first(first.get());
    }
    met(at, now, part);
    store(at, now, part, grams, null);
  }

  /**
   * What this run would go on by if it took over a plan; that it was begun by where nothing would
   * be another.
   *
   * @param now the plan a run would go by that was begun now
   * @throws Refused where what is begun cannot be finished as that has it
   */
  public RunPlan goneOn(RunPlan now) throws Refused {
    return TakenOver.of(plan, state, entries, now);
  }

  /** Pours and coats that a plan has otherwise, and that are finished as they were begun. */
  public List<String> finishedAsBegun(RunPlan now) {
    return TakenOver.finished(plan, state, entries, now);
  }

  /**
   * It goes on by a plan that was made anew.
   *
   * @param now the plan a run would go by that was begun now
   * @throws Refused where what is begun cannot be finished as that has it
   */
  public void goOn(Instant at, RunPlan now) throws Refused {
    RunPlan on = goneOn(now);
    if (!on.equals(plan)) {
      List<String> said = Replanned.says(plan, on);
      plan = on;
      add(new Entry.Replanned(at, said));
    }
  }

  public void tared(Instant at) {
    add(new Entry.Tared(at));
  }

  /**
   * Rubber is taken from a pack from here on.
   *
   * @throws Refused when no batch is of its product
   */
  public void pick(Instant at, String product, String lot, String number) throws Refused {
    if (plan.batches().stream().noneMatch(b -> b.product().equals(product))) {
      throw new Refused("Nothing of this rubber is mixed here.");
    }
    add(new Entry.Picked(at, product, lot, number));
  }

  /**
   * What stands on the scale is not known any more until it is set to zero.
   *
   * @param scale that is read in place of the one before; empty where the same was set to zero for
   *     another mould
   */
  public void zeroLost(Instant at, String scale) {
    if (state.zeroed()) {
      add(new Entry.ZeroLost(at, scale));
    }
  }

  /** A device is not heard any more. */
  public void lost(Instant at, String device) {
    if (!state.lost().contains(device)) {
      add(new Entry.Heard(at, device, false));
    }
  }

  private Task task(String key) throws Refused {
    return plan.task(key).orElseThrow(() -> new Refused("There is no step “" + key + "”."));
  }

  private Batch batch(String key) throws Refused {
    return plan.batch(key).orElseThrow(() -> new Refused("There is no batch “" + key + "”."));
  }

  private static Refused first(Task t) {
    return new Refused("First: " + t.what());
  }

  /**
   * Something that has to be seen to was, or was passed.
   *
   * @throws Refused when there is no such
   */
  public void gate(Instant at, String key, boolean skipped) throws Refused {
    Optional<Task> gate = plan.task(key).filter(Task::asked);
    if (gate.isEmpty()) {
      throw new Refused("There is no gate “" + key + "”.");
    }
    Optional<RunState.Ended> before = state.ended(gate.get());
    if (before.isEmpty() || !skipped && before.get().skipped()) {
      add(new Entry.Gated(at, key, skipped));
    }
  }

  /**
   * A step is done; done twice it is done once.
   *
   * @throws Refused while something else comes first
   */
  public void tick(Instant at, String key) throws Refused {
    Optional<Batch> asItIs = plan.batches().stream().filter(b -> b.base().equals(key)).findFirst();
    if (asItIs.isPresent()) {
      asItIs(at, asItIs.get());
      return;
    }
    Task t = task(key);
    if (t.kind() == Kind.RESULT) {
      throw new Refused("Say how the cast came out.");
    }
    if (t.asked()) {
      gate(at, key, false);
    } else if (state.open(t)) {
      if (!t.batch().isEmpty()) {
        checkWeighed(plan.batch(t.batch()).orElseThrow());
      }
      Optional<Task> first = notYet(at, t);
      if (first.isPresent()) {
        throw first(first.get());
      }
      pass(at, t);
      add(new Entry.Done(at, key));
    }
  }

  private void asItIs(Instant at, Batch b) throws Refused {
    Progress p = state.progress(b);
    if (p.phase() != Phase.FIRST) {
      return;
    }
    checkTurn(b);
    if (!(p.firstG() > 0)) {
      throw new Refused("Nothing was weighed of " + RunPlan.the(plan.first(b)) + " yet.");
    }
    add(new Entry.Done(at, b.base()));
  }

  private void checkTurn(Batch b) throws Refused {
    Batch now = state.current().orElseThrow().batch();
    if (now != b) {
      throw new Refused("First " + now.name() + ": it is not poured yet.");
    }
  }

  private void checkWeighed(Batch b) throws Refused {
    Progress p = state.progress(b);
    if (p.phase() == Phase.POURED) {
      return;
    }
    checkTurn(b);
    switch (p.phase()) {
      case FIRST -> throw new Refused(notWeighed(plan.first(b)));
      case SECOND ->
          throw new Refused(
              p.secondG() == 0 ? notWeighed(plan.second(b)) : state.second(p).words());
      case SAVE ->
          throw new Refused(
              "There is too much "
                  + plan.second(b)
                  + ": add "
                  + grams(p.still().orElseThrow().addG())
                  + " of "
                  + plan.first(b)
                  + ", or start again in a clean cup.");
      case STIR_IN -> {
        Ingredient what = p.pouring().orElseThrow();
        throw new Refused(
            "Stir in "
                + grams(p.targetG(what) - p.of(what))
                + " of "
                + plan.called(b, what)
                + " first.");
      }
      default -> {
        // it is in the cup
      }
    }
  }

  private String grams(double g) {
    return Mass.format(g, plan.units());
  }

  private static String notWeighed(String part) {
    return RunPlan.atFirst(part) + " is not weighed yet.";
  }

  /**
   * What was taken for the second part was still the first.
   *
   * @throws Refused when none was, or it is mixed
   */
  public void stillBase(Instant at) throws Refused {
    Progress p = state.current().filter(c -> c.met() != null).orElse(null);
    if (p == null || state.pouring().isEmpty()) {
      String second = state.current().map(c -> plan.second(c.batch())).orElse(plan.role().second());
      throw new Refused("Nothing was taken for " + second + ".");
    }
    Batch batch = p.batch();
    double all = p.firstG() + p.secondG();
    Double shown = null;
    for (int i = 0; i < entries.size(); i++) {
      Entry e = entries.get(i);
      boolean second =
          e instanceof Entry.Weighed w
              && w.batch().equals(p.batch().key())
              && w.part() == batch.second();
      boolean met = e instanceof Entry.Met m && m.batch().equals(p.batch().key());
      if ((second || met) && !RunState.wrong(entries).contains(i + 1)) {
        shown = second ? ((Entry.Weighed) e).shownG() : shown;
        add(new Entry.Corrected(at, i + 1, "It was still " + plan.first(batch) + "."));
      }
    }
    add(new Entry.Weighed(at, batch.key(), batch.first(), 0, all, shown));
  }

  /**
   * A batch is weighed for another mould as well.
   *
   * @param with the other mould's run, what it is called, and its batch
   * @throws Refused when the batch is weighed already, or the other cannot be mixed with it
   */
  public void share(Instant at, String batch, Entry.Shared with, Batch other) throws Refused {
    Progress p = state.progress(batch(batch));
    if (p.phase() != Phase.FIRST) {
      throw new Refused(p.batch().title() + " is weighed already: it is for this mould alone.");
    }
    if (!p.batch().mixesWith(other)) {
      throw new Refused("Both are mixed together only where they are of the same, in one ratio.");
    }
    if (p.shares().stream().noneMatch(s -> s.run().equals(with.run()))) {
      add(new Entry.Shared(at, batch, with.run(), with.mould(), other.key(), other.firstG()));
    }
  }

  /**
   * A batch was mixed in the cup of another mould's.
   *
   * @param mould in which that is made
   * @param from the other batch, all of it
   * @throws Refused when something of the batch was weighed already
   */
  public void fed(Instant at, String batch, String run, String mould, Progress from)
      throws Refused {
    Batch b = batch(batch);
    if (state.progress(b).grams() > 0 || state.progress(b).phase() == Phase.POURED) {
      throw new Refused(b.title() + " is weighed already.");
    }
    double share = b.firstG() / from.targetG(Ingredient.of(from.batch().first()));
    plan.task(b.weigh()).ifPresent(t -> pass(at, t));
    add(new Entry.FedBy(at, batch, run, mould));
    feed(at, b, Ingredient.of(b.first()), share * from.firstG());
    if (from.met() != null) {
      add(new Entry.Met(from.met(), batch, from.metC()));
      feed(at, b, Ingredient.of(b.second()), share * from.secondG());
    }
    for (int i = 0; i < b.stirred().size(); i++) {
      feed(at, b, Ingredient.stirred(i), share * from.stirredG().get(i));
    }
    if (state.progress(b).phase() == Phase.FIRST) {
      // the other was taken as it was
      add(new Entry.Done(at, b.base()));
    }
  }

  private void feed(Instant at, Batch b, Ingredient what, double grams) {
    if (grams > 0) {
      add(new Entry.Weighed(at, b.key(), what.part(), what.which(), grams, null));
    }
  }

  /**
   * What is in the cup is thrown away, and the batch weighed anew.
   *
   * @throws Refused when there is nothing in the cup, or it is poured
   */
  public void startOver(Instant at, String batch) throws Refused {
    Progress p = state.progress(batch(batch));
    if (p.phase() == Phase.POURED) {
      throw new Refused("It is poured already.");
    }
    if (!(p.grams() > 0)) {
      throw new Refused("There is nothing in the cup.");
    }
    List<Task> done = state.tasks(p.batch()).stream().filter(t -> !state.open(t)).toList();
    for (Task t : done) {
      for (int i = 0; i < entries.size(); i++) {
        if (entries.get(i) instanceof Entry.Done d && d.step().equals(t.key())) {
          add(new Entry.Corrected(at, i + 1, "The batch was started again."));
        }
      }
    }
    add(new Entry.StartedOver(at, batch));
  }

  /**
   * A step is not done, and not going to be.
   *
   * @throws Refused when there is no such, or no reason
   */
  public void leaveOut(Instant at, String key, String why) throws Refused {
    Task t = task(key);
    if (why == null || why.isBlank()) {
      throw new Refused("Say why it is left out.");
    }
    if (state.open(t)) {
      add(new Entry.LeftOut(at, key, why.strip()));
    }
  }

  /**
   * Whether something is as it should be.
   *
   * @throws Refused when that is not asked
   */
  public void judge(Instant at, String key, boolean good) throws Refused {
    Task t = task(key);
    if (t.kind() != Kind.VERDICT) {
      throw new Refused("That is not asked of “" + t.label() + "”.");
    }
    Optional<Task> first = notYet(at, t).filter(o -> o.kind() != Kind.WAIT);
    if (first.isPresent()) {
      throw first(first.get());
    }
    if (good) {
      pass(at, t);
    }
    add(new Entry.Judged(at, key, good));
  }

  /**
   * How a cast came out.
   *
   * @param grams it weighs; null where it was not weighed
   * @throws Refused before it is out, or without a reason why it is no good
   */
  public void came(Instant at, String key, Result result, Double grams, String why) throws Refused {
    Task t = task(key);
    if (result == null) {
      throw new Refused("Say how the cast came out.");
    }
    boolean cleans = key.startsWith(FreezeCast.CLEAN);
    if (t.kind() != Kind.RESULT
        || result == Result.STRUCK
        || cleans != (result == Result.CLEANING)) {
      throw new Refused("That is not asked of “" + t.label() + "”.");
    }
    if (grams != null && !(grams > 0)) {
      throw new Refused("A cast weighs more than nothing.");
    }
    boolean good = result == Result.GOOD || result == Result.CLEANING;
    if (!good && (why == null || why.isBlank())) {
      throw new Refused("Say why it is not good.");
    }
    Optional<Task> first = notYet(at, t);
    if (first.isPresent()) {
      throw first(first.get());
    }
    if (state.open(t)) {
      pass(at, t);
      int mould = Integer.parseInt(key.substring(key.lastIndexOf('.') + 1));
      add(new Entry.Came(at, key, mould, result, grams, good ? "" : why.strip()));
    }
  }

  /**
   * The level in the box, as it was read.
   *
   * @throws Refused when nothing is in the box, or what it should be cannot be known
   */
  public void level(Instant at, double mm) throws Refused {
    Progress last = null;
    for (Progress p : state.batches()) {
      boolean poured = p.phase() == Phase.POURED;
      last = p.grams() > 0 && (last == null || poured) ? p : last;
    }
    if (plan.batches().stream().allMatch(b -> b.rise() == null)) {
      throw new Refused("There is no box whose level could be read.");
    }
    if (last == null) {
      throw new Refused("Nothing is in the box yet.");
    }
    level(at, last.batch().key(), mm);
  }

  /**
   * The same after a batch.
   *
   * @throws Refused when it is not in the box, or what the level should be cannot be known
   */
  public void level(Instant at, String batch, double mm) throws Refused {
    Batch b = batch(batch);
    if (!(mm > 0)) {
      throw new Refused("A level has to be above the base.");
    }
    if (b.rise() == null || !(state.progress(b).grams() > 0)) {
      throw new Refused("Nothing is in the box yet.");
    }
    if (b.density() == null) {
      throw new Refused("The density is not known: say it on the sheet.");
    }
    add(new Entry.LevelRead(at, batch, mm));
  }

  /**
   * What the foam of the batch at hand does.
   *
   * @throws Refused when no batch is mixed
   */
  public void foam(Instant at, Entry.Foam what) throws Refused {
    Progress p =
        state
            .current()
            .filter(c -> c.phase() == Phase.MIX)
            .orElseThrow(() -> new Refused("No batch is mixed that could foam."));
    add(new Entry.Foamed(at, p.batch().key(), what));
  }

  /**
   * A picture was taken.
   *
   * @param picture what it is called where it is kept
   * @throws Refused when there is no such step
   */
  public void picture(Instant at, String key, String picture) throws Refused {
    add(new Entry.Pictured(at, task(key).key(), picture));
  }

  /**
   * An entry does not count.
   *
   * @param number of it, from 1
   * @throws Refused when there is none, or no reason
   */
  public void correct(Instant at, int number, String why) throws Refused {
    if (number < 1 || number > entries.size() || !entries.get(number - 1).correctable()) {
      throw new Refused("There is no entry " + number + " to correct.");
    }
    if (why == null || why.isBlank()) {
      throw new Refused("Say why it is corrected.");
    }
    if (entries.get(number - 1) instanceof Entry.Shared s
        && state.progress(batch(s.batch())).phase() != Phase.FIRST) {
      throw new Refused("It is mixed for " + s.mould() + " as well by now: start the batch again.");
    }
    add(new Entry.Corrected(at, number, why.strip()));
  }
}

package ungula.core.step;

import static ungula.core.working.Given.Source.COMPUTED;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ungula.core.plan.MixPart;
import ungula.core.plan.Plan;
import ungula.core.plan.PourPart;
import ungula.core.plan.SkinPart;
import ungula.core.quantity.Timespan;
import ungula.core.rubber.Product;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/**
 * When each batch begins and has to be poured, read off the steps: minutes from the first batch of
 * its pour, and when that pour begins.
 */
public record PourClock(List<Turn> turns) {

  /**
   * One batch in its turn.
   *
   * @param pourMin its pour begins, after the first of the mould
   * @param day its pour begins on, from 1; 0 where that is the day of the first
   * @param meetMin its two parts meet
   * @param byMin until it has to be poured; null while the pot life is not known
   * @param onSealing whether it is poured onto a sealing pour
   * @param latestMin to begin while the batch before still bonds: until it has gelled, and to a
   *     sealing pour while it is tacky; null for the first, and while that is not known
   */
  public record Turn(
      PourPart.Batch batch,
      double pourMin,
      int day,
      double startMin,
      double meetMin,
      double takesMin,
      Double byMin,
      boolean onSealing,
      Double latestMin) {

    /** A time of its pour; of a later day, from the first batch on that day. */
    public String clock(double min) {
      return day == 0 ? Timespan.clock(pourMin + min) : "day " + day + ", " + Timespan.clock(min);
    }

    /** Whether it comes after the one before has gelled. */
    public boolean late() {
      return latestMin != null && latestMin < startMin - 1e-9;
    }
  }

  /** Of batches poured into a box; none of a skin's. */
  public static PourClock of(Steps steps) {
    Plan plan = steps.plan();
    List<Turn> turns = new ArrayList<>();
    if (!plan.poured() || plan.pours().isEmpty() || steps.making().isEmpty()) {
      return new PourClock(turns);
    }
    Double pot = plan.mix().map(MixPart::potMin).orElse(null);
    Product rubber = plan.product();
    Double gel = rubber.inRoomMin(rubber.gelMin(), plan.workshop().roomC());
    SkinPart.Rubber times = plan.pours().get().times();
    Turn before = null;
    Timeline line = steps.timeline();
    long mould = begin(steps, plan.pours().get().list().get(0));
    long first = mould;
    for (PourPart.Batch b : plan.pours().get().list()) {
      String key = PourSteps.key(b);
      long begin = begin(steps, b);
      if (before == null || b.batch().pour() != before.batch.batch().pour()) {
        before = null;
        first = begin;
      }
      boolean onSealing = before != null && before.batch.sealing();
      Double tacky = times == null ? null : Double.valueOf(times.times().openMin());
      Double bonds = onSealing ? tacky : gel;
      double start = Timeline.minutes(first, begin);
      double meet = Timeline.minutes(first, line.of(key + ".stir").begin());
      double takes = Timeline.minutes(begin, end(steps, key));
      Turn turn =
          new Turn(
              b,
              Timeline.minutes(mould, first),
              line.days(mould, first) == 0 ? 0 : 1 + line.days(mould, first),
              start,
              meet,
              takes,
              pot == null ? null : meet + pot,
              onSealing,
              before == null || bonds == null ? null : before.meetMin + bonds - takes);
      turns.add(turn);
      before = turn;
    }
    return new PourClock(List.copyOf(turns));
  }

  private static long begin(Steps steps, PourPart.Batch b) {
    return steps.timeline().of(PourSteps.key(b) + ".weigh").begin();
  }

  /** When a batch is poured, and its air out. */
  private static long end(Steps steps, String key) {
    return Optional.ofNullable(steps.timeline().of(key + ".vibrate"))
        .orElse(steps.timeline().of(key + ".pour"))
        .end();
  }

  void show(FigureBook figures) {
    for (Turn t : turns) {
      start(t, figures);
      latest(t, figures);
    }
  }

  /** When a batch begins, and until when it is poured. */
  private static void start(Turn t, FigureBook figures) {
    String key = t.batch.batch().key();
    boolean turned = t.batch.batch().pour() > 1 && t.startMin == 0;
    Working begins =
        turned
            ? Working.of("when the half before has cured and is turned, cleaned and released")
                .given("after the first batch of all", Timespan.formatMin(t.pourMin), COMPUTED)
                .done()
            : t.onSealing
                ? Working.of("when the sealing pour is tacky")
                    .given("begun after it", Timespan.formatMin(t.startMin), COMPUTED)
                    .done()
                : Working.of("when the batch before is poured")
                    .given("each takes", figures.get("batch.minutes").text(), COMPUTED)
                    .done();
    figures.put(
        key + ".start",
        t.batch.batch().figure("begin"),
        t.pourMin + t.startMin,
        t.clock(t.startMin),
        begins);
    if (t.byMin != null) {
      figures.put(
          key + ".by",
          t.batch.batch().figure("poured by"),
          t.pourMin + t.byMin,
          t.clock(t.byMin),
          Working.of("both parts meet + pot life in your room")
              .given("they meet", t.clock(t.meetMin), COMPUTED)
              .given("pot life", figures.get("rubber.potLife").text(), COMPUTED)
              .done());
    }
  }

  /** A batch still bonds to the one before until that has gelled, to a sealing pour until set. */
  private static void latest(Turn t, FigureBook figures) {
    if (t.latestMin == null) {
      return;
    }
    figures.put(
        t.batch.batch().key() + ".latest",
        t.batch.batch().figure("begin at the latest"),
        t.pourMin + Math.max(0, t.latestMin),
        t.clock(Math.max(0, t.latestMin)),
        (t.onSealing
                ? Working.of("while the sealing pour is tacky − how long this one takes")
                    .given("it is tacky until", t.clock(t.latestMin + t.takesMin), COMPUTED)
                : Working.of("when the batch before has gelled − how long this one takes")
                    .given(
                        "the one before has gelled", t.clock(t.latestMin + t.takesMin), COMPUTED))
            .given("this one takes", Timespan.formatMin(t.takesMin), COMPUTED)
            .step("Later, a line shows where they meet, and they may come apart.")
            .done());
  }
}

package ungula.core.offer;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import ungula.core.days.Hours;
import ungula.core.days.Moments;
import ungula.core.days.Moments.Moment;
import ungula.core.days.Network;
import ungula.core.days.Schedule;
import ungula.core.days.Scheduler;
import ungula.core.quantity.Temperature;
import ungula.core.quantity.Timespan;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.step.Step;
import ungula.core.step.Steps;
import ungula.core.step.Timeline;
import ungula.core.step.Timeline.Kept;
import ungula.core.step.Timeline.Span;
import ungula.core.workshop.WorkHours;

/**
 * What is to be known about the days of a job, and what another beginning or a longer day would
 * give.
 *
 * @param rule what cannot be kept in the hours of work, in a sentence; empty when all can
 * @param notes worth knowing
 * @param offers each with what it brings
 */
public record DaysOffers(String rule, List<Note> notes, List<Offer> offers) {

  /** A wait that takes so much longer is worth a word. */
  private static final double SLOWED = 1.1;

  private static final int LONGER_MIN = 60;
  private static final LocalTime LATEST = LocalTime.MIDNIGHT.minusMinutes(LONGER_MIN);

  /** Beginnings are offered on full five minutes. */
  private static final long FULL = 300;

  /**
   * @param title what happens
   * @param text what comes of it
   * @param step it happens to, by key
   */
  public record Note(String title, String text, String step) {}

  /**
   * @param text what it brings
   * @param button what is done
   * @param edits of the job
   * @param hours edits of the workshop's hours
   */
  public record Offer(String text, String button, List<Edit> edits, List<Edit> hours) {}

  /**
   * @param now nothing is offered that is past; second of the epoch
   */
  public static DaysOffers of(Steps steps, long now) {
    Maker m = new Maker(steps, now);
    if (!steps.making().isEmpty()) {
      m.make();
    }
    return new DaysOffers(m.rule, List.copyOf(m.notes), List.copyOf(m.offers));
  }

  /** How much later or sooner something is finished. Seconds of the epoch. */
  public static String change(long now, long then) {
    double later = Timeline.minutes(now, then);
    return Math.abs(later) < 1
        ? "just as soon"
        : Timespan.formatMin(Math.abs(later)) + (later > 0 ? " later" : " sooner");
  }

  private static final class Maker {
    private final Steps steps;
    private final Timeline line;
    private final List<Note> notes = new ArrayList<>();
    private final List<Offer> offers = new ArrayList<>();
    private final long now;
    private String rule = "";

    Maker(Steps steps, long now) {
      this.steps = steps;
      this.now = now;
      this.line = steps.timeline();
    }

    void make() {
      Schedule s = Scheduler.of(line.network());
      if (line.kept() != Kept.HOURS) {
        rule = named(s.rule());
        if (s.last() != null && s.last() >= now) {
          begin(s.last(), "");
        }
        begin(s.next(), "");
        longer();
      } else {
        missed();
        later(s);
      }
      slowed();
    }

    private String text(long time) {
      return Moments.text(line.at(time).toLocalDateTime());
    }

    /** Keys of steps as what is done. */
    private String named(String sentence) {
      String said = sentence;
      List<Step> all = new ArrayList<>(steps.all());
      all.sort((a, b) -> Integer.compare(b.key().length(), a.key().length()));
      for (Step s : all) {
        said =
            said.replaceAll(
                "(?<![\\w.])" + s.key().replace(".", "\\.") + "(?![\\w.]*\\w)",
                "“" + s.label() + "”");
      }
      return said;
    }

    private String kept(long at) {
      return new Moment(line.at(at).toLocalDateTime(), "").kept();
    }

    private List<Edit> beginning(long at) {
      return List.of(Edit.of("days.begin", kept(at)));
    }

    /** Begun at another time. */
    private void begin(Long at, String brings) {
      if (at == null) {
        return;
      }
      Schedule then = Scheduler.earliest(line.network().from(at, false));
      if (then.feasible()) {
        offers.add(
            new Offer(
                "Begun "
                    + text(at)
                    + (brings.isEmpty() ? " it fits in your hours" : " " + brings)
                    + ", and is finished "
                    + text(then.finish())
                    + ", "
                    + change(line.end(), then.finish())
                    + ".",
                "Begin " + text(at),
                beginning(at),
                List.of()));
      }
    }

    /** A coat that should go on while the last is tacky and cannot in the day. */
    private void missed() {
      List<Step> late =
          steps.making().stream()
              .filter(
                  s ->
                      s.after().stream()
                          .anyMatch(
                              a ->
                                  a.mostMin() != null
                                      && line.days(
                                              line.of(a.key()).begin(), line.of(s.key()).begin())
                                          > 0))
              .toList();
      if (late.isEmpty()) {
        return;
      }
      Step first = late.get(0);
      notes.add(
          new Note(
              "One night between two coats",
              "“"
                  + first.label()
                  + "” no longer fits into the day while the last is tacky: it waits until "
                  + text(line.of(first.key()).begin())
                  + ", and is massaged in thin over set rubber.",
              first.key()));
      Network strict = strict();
      sooner(strict);
      Schedule s = Scheduler.of(strict);
      Step coat =
          steps.making().stream()
              .filter(c -> c.key().startsWith("coat.1."))
              .findFirst()
              .orElse(first);
      if (s.feasible()) {
        long at = s.of(coat.key()).from();
        offers.add(
            new Offer(
                "With “"
                    + coat.label()
                    + "” begun "
                    + text(at)
                    + " all go on while the last is tacky, and it is finished "
                    + text(s.finish())
                    + ", "
                    + change(line.end(), s.finish())
                    + ".",
                "Begin " + coat.label() + " " + text(at),
                List.of(Edit.of("days.pin", coat.key() + " " + kept(at))),
                List.of()));
      }
    }

    private Network strict() {
      return line.network().with(line.network().steps().stream().map(Maker::inWindow).toList());
    }

    /** On the same day earlier, where that is not past. */
    private void sooner(Network strict) {
      long morning =
          line.at(line.begin()).toLocalDate().atStartOfDay(line.at(0).getZone()).toEpochSecond();
      long from = Math.max(now, morning);
      if (from < line.begin()) {
        Schedule s = Scheduler.of(strict.from(from, false));
        if (s.feasible() && s.finish() < line.end()) {
          begin(s.latestStart() / FULL * FULL, "all coats go on while the last is tacky");
        }
      }
    }

    /** Without the way out that a later day is. */
    private static Network.Step inWindow(Network.Step s) {
      return s.waitingOn(
          s.after().stream()
              .map(
                  a ->
                      a.greatest() == null
                          ? a
                          : new Network.After(
                              a.step(), a.least(), a.greatest(), a.fromBegin(), a.perTen()))
              .toList());
    }

    /** How late it can be begun. */
    private void later(Schedule s) {
      if (s.latestStart() != null && s.latestStart() >= line.begin() + FULL) {
        long at = s.latestStart() / FULL * FULL;
        offers.add(
            new Offer(
                "Begun as late as " + text(at) + " it is finished just as soon.",
                "Begin " + text(at),
                beginning(at),
                List.of()));
      }
    }

    /**
     * The day of the first step that does not fit made longer by an hour, or its break left out.
     */
    private void longer() {
      WorkHours hours = steps.plan().workshop().hours();
      LocalDate day = line.at(line.network().start()).toLocalDate();
      List<Hours.Span> today = hours.calendar().of(day);
      if (today.isEmpty()) {
        return;
      }
      LocalTime from = today.get(0).from();
      LocalTime to = today.get(today.size() - 1).to();
      // a day ends at midnight
      boolean late = to.isAfter(LATEST) || to.equals(LocalTime.MIDNIGHT);
      LocalTime later = late ? LocalTime.MIDNIGHT : to.plusMinutes(LONGER_MIN);
      for (LocalTime end : List.of(to, later)) {
        List<Hours.Span> whole = List.of(new Hours.Span(from, end));
        WorkHours other = hours.on(day, whole);
        Schedule s = Scheduler.earliest(line.network().in(other.calendar()));
        if (s.feasible()) {
          String said = Moments.day(day) + " " + WorkHours.text(whole);
          offers.add(
              new Offer(
                  "With work on "
                      + said
                      + " without a break it is finished "
                      + text(s.finish())
                      + ".",
                  "Work " + said,
                  List.of(),
                  List.of(Edit.of("hours.dates", other.datesText()))));
          return;
        }
      }
    }

    /** What a cold room makes slower. */
    private void slowed() {
      for (Step s : steps.making()) {
        if (s.takes().perTen() == null) {
          continue;
        }
        Span at = line.of(s.key());
        double planned = s.takes().minutes();
        double takes = Timeline.minutes(at.begin(), at.end());
        if (takes > SLOWED * planned) {
          long then = at.begin() + Math.round(60 * planned);
          notes.add(
              new Note(
                  "A cold room slows it: " + s.label(),
                  coldest(at)
                      + " It takes "
                      + Timespan.formatMin(takes)
                      + " instead of "
                      + Timespan.formatMin(planned)
                      + ": until "
                      + text(at.end())
                      + " instead of "
                      + text(then)
                      + ".",
                  s.key()));
        }
      }
    }

    private String coldest(Span at) {
      long coldest = at.begin();
      for (long t = at.begin(); t < at.end(); t += 15 * 60) {
        if (line.network().room().at(t) < line.network().room().at(coldest)) {
          coldest = t;
        }
      }
      return "The room is down to "
          + Temperature.format(line.network().room().at(coldest), steps.plan().units())
          + " by "
          + text(coldest)
          + ".";
    }
  }
}

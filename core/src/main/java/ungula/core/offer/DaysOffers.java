package ungula.core.offer;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
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

  /** So much longer on every day of work, tried in turn. */
  private static final int[] LONGER_DAYS_MIN = {15, 30, 60, 120, 240, 480, 720};

  private static final int DAY_MIN = 24 * 60;

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

    /** Keys of steps, and of those that run without a break, as what is done. */
    private String named(String sentence) {
      Map<String, String> labels = new TreeMap<>();
      for (Step s : steps.all()) {
        labels.put(s.unbroken(), s.label());
      }
      steps.all().forEach(s -> labels.put(s.key(), s.label()));
      labels.remove("");
      String said = sentence;
      List<String> keys = new ArrayList<>(labels.keySet());
      keys.sort((a, b) -> Integer.compare(b.length(), a.length()));
      for (String key : keys) {
        said =
            said.replaceAll(
                "(?<![\\w.“])" + key.replace(".", "\\.") + "(?![\\w.]*\\w)",
                "“" + labels.get(key) + "”");
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

    /** The first day without its break, or an hour longer; else every day longer by hours. */
    private void longer() {
      WorkHours hours = steps.plan().workshop().hours();
      LocalDate day = line.at(line.network().start()).toLocalDate();
      List<Hours.Span> today = hours.calendar().of(day);
      if (!today.isEmpty()) {
        for (int minutes : new int[] {0, LONGER_MIN}) {
          List<Hours.Span> whole = whole(today, minutes);
          WorkHours other = hours.on(day, whole);
          if (worked(
              other,
              "on " + Moments.day(day) + " " + WorkHours.text(whole) + " without a break",
              List.of(Edit.of("hours.dates", other.datesText())))) {
            return;
          }
        }
      }
      for (int more : LONGER_DAYS_MIN) {
        WorkHours other = hours.each(spans -> longer(spans, more));
        List<Edit> edits =
            Stream.of(DayOfWeek.values())
                .filter(d -> !hours.week().get(d).isEmpty())
                .map(d -> Edit.of(WorkHours.week(d), WorkHours.text(other.week().get(d))))
                .toList();
        if (worked(other, "every day " + Timespan.formatMin(more) + " longer", edits)) {
          return;
        }
      }
    }

    /** From the first hour to the last, and longer. */
    private static List<Hours.Span> whole(List<Hours.Span> spans, int minutes) {
      List<Hours.Span> all = longer(spans, minutes);
      return List.of(new Hours.Span(all.get(0).from(), all.get(all.size() - 1).to()));
    }

    /** The last of a day's spans longer; a day ends at midnight. */
    private static List<Hours.Span> longer(List<Hours.Span> spans, int minutes) {
      if (spans.isEmpty()) {
        return spans;
      }
      List<Hours.Span> all = new ArrayList<>(spans);
      Hours.Span last = all.remove(all.size() - 1);
      int to = last.to().equals(LocalTime.MIDNIGHT) ? DAY_MIN : last.to().toSecondOfDay() / 60;
      boolean late = to + minutes >= DAY_MIN;
      LocalTime end = late ? LocalTime.MIDNIGHT : last.to().plusMinutes(minutes);
      all.add(new Hours.Span(last.from(), end));
      return all;
    }

    /** Offers other hours where it fits in them. */
    private boolean worked(WorkHours other, String said, List<Edit> edits) {
      Schedule s = Scheduler.earliest(line.network().in(other.calendar()));
      if (s.feasible()) {
        offers.add(
            new Offer(
                "With work " + said + " it is finished " + text(s.finish()) + ".",
                "Work " + said,
                List.of(),
                edits));
      }
      return s.feasible();
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

package ungula.server.days;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.Collectors;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VAlarm;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Action;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import ungula.core.step.DayPlan;
import ungula.core.step.Step;
import ungula.server.job.Job;

/**
 * Days as a calendar reads them (RFC 5545): each stretch of work by hand, and the end of each long
 * wait, with an alarm. Instants are in UTC, the workshop's zone stands beside. What is planned
 * again keeps its name, so that a calendar moves it and does not double it.
 */
final class CalendarFile {

  /** A wait that is over sooner needs no alarm. */
  private static final long LONG = 30 * 60;

  /** Before work by hand. */
  private static final Duration AHEAD = Duration.ofMinutes(-10);

  private final Calendar calendar = new Calendar();
  private final Instant made;

  private CalendarFile(Instant made) {
    this.made = made;
  }

  /**
   * @param made when it is written
   */
  static String of(String name, ZoneId zone, List<Job> jobs, Instant made) {
    CalendarFile file = new CalendarFile(made);
    file.calendar.add(new ProdId("-//Ungula//Days//EN"));
    file.calendar.add(ImmutableVersion.VERSION_2_0);
    file.calendar.add(ImmutableCalScale.GREGORIAN);
    file.calendar.add(new XProperty("X-WR-CALNAME", name));
    file.calendar.add(new XProperty("X-WR-TIMEZONE", zone.getId()));
    jobs.forEach(job -> DayPlan.of(job.plan().steps()).ifPresent(plan -> file.add(job, plan)));
    StringWriter out = new StringWriter();
    try {
      new CalendarOutputter(false).output(file.calendar, out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private void add(Job job, DayPlan plan) {
    for (DayPlan.Block b : plan.blocks()) {
      String told = b.steps().stream().map(Step::what).distinct().collect(Collectors.joining("\n"));
      String key = b.steps().get(0).key() + (b.again() == 0 ? "" : "-" + (b.again() + 1));
      event(job, key, b.labels(), told, b.begin(), b.end(), AHEAD);
    }
    for (DayPlan.Placed p : plan.steps()) {
      if (!p.step().byHand() && p.span().end() - p.span().begin() >= LONG) {
        event(
            job,
            p.step().key(),
            p.step().label() + ": over",
            p.step().what(),
            p.span().end(),
            p.span().end(),
            Duration.ZERO);
      }
    }
  }

  private void event(
      Job job, String key, String says, String told, long begin, long end, Duration alarm) {
    String summary = job.row().name() + ": " + says;
    VEvent event = new VEvent(false);
    event.add(new Uid(job.row().id() + "-" + key + "@ungula"));
    event.add(new DtStamp(made));
    event.add(new Sequence(job.row().version()));
    event.add(new DtStart<>(Instant.ofEpochSecond(begin)));
    event.add(new DtEnd<>(Instant.ofEpochSecond(end)));
    event.add(new Summary(summary));
    event.add(new Description(told));
    VAlarm bell = new VAlarm(alarm);
    bell.add(new Action(Action.VALUE_DISPLAY));
    bell.add(new Description(summary));
    event.add(bell);
    calendar.add(event);
  }
}

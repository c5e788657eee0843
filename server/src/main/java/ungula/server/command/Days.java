package ungula.server.command;

import java.io.PrintStream;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import ungula.core.days.Network;
import ungula.core.days.Schedule;
import ungula.core.days.Scheduler;

/** {@code days FILE}: schedules a network of steps, no server. */
public final class Days implements FileCommand.Answer {

  private static final String USAGE = "days FILE.json [--json]";

  private static final DateTimeFormatter WRITTEN =
      DateTimeFormatter.ofPattern("EEE d MMM HH:mm", Locale.ENGLISH);

  private final ZoneId zone;
  private final Schedule schedule;

  private Days(ZoneId zone, Schedule schedule) {
    this.zone = zone;
    this.schedule = schedule;
  }

  /**
   * @return exit status: 0, 1 when it cannot be done, 2 for bad arguments, 3 for a file that cannot
   *     be read
   */
  public static int run(List<String> args, PrintStream out, PrintStream err) {
    return FileCommand.run(
        USAGE, "One network is scheduled at a time.", args, out, err, Days::answer);
  }

  private static Days answer(byte[] json) throws JsonFile.Unreadable {
    Network network = NetworkFile.read(json);
    return new Days(network.calendar().zone(), Scheduler.of(network));
  }

  @Override
  public int status() {
    return schedule.feasible() ? 0 : 1;
  }

  @Override
  public Map<String, Object> fields() {
    Schedule s = schedule;
    Map<String, Object> all = new LinkedHashMap<>();
    all.put("feasible", s.feasible());
    all.put("finish", local(s.finish()));
    List<Map<String, Object>> steps = new ArrayList<>();
    for (Schedule.Planned p : s.steps()) {
      Map<String, Object> step = new LinkedHashMap<>();
      step.put("key", p.key());
      step.put("from", local(p.from()));
      step.put("to", local(p.to()));
      steps.add(step);
    }
    all.put("steps", steps);
    all.put("latestStart", local(s.latestStart()));
    all.put("rule", s.rule().isEmpty() ? null : s.rule());
    all.put("tryStart", s.feasible() ? null : Arrays.asList(local(s.next()), local(s.last())));
    return all;
  }

  private LocalDateTime at(long instant) {
    return Instant.ofEpochSecond(instant).atZone(zone).toLocalDateTime();
  }

  private String local(Long instant) {
    return instant == null ? null : at(instant).toString();
  }

  @Override
  public void print(PrintStream out) {
    Schedule s = schedule;
    for (Schedule.Planned p : s.steps()) {
      out.printf(
          Locale.ROOT,
          "%s to %s  %s%n",
          WRITTEN.format(at(p.from())),
          WRITTEN.format(at(p.to())),
          p.key());
    }
    if (s.feasible()) {
      out.println("Finished " + WRITTEN.format(at(s.finish())) + ".");
      out.println("As soon when begun by " + WRITTEN.format(at(s.latestStart())) + ".");
      return;
    }
    out.println(s.rule());
    if (s.next() != null) {
      out.println("It can be begun " + WRITTEN.format(at(s.next())) + ".");
    }
    if (s.last() != null) {
      out.println("Before that, " + WRITTEN.format(at(s.last())) + " is the latest.");
    }
  }
}

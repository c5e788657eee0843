package ungula.server.log;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.log.MonthSum;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Share;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.Units;
import ungula.core.table.Csv;
import ungula.server.cast.CastsMade;
import ungula.server.job.Jobs;
import ungula.server.run.RunLogs;
import ungula.server.web.Named;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** What the workshop did, month by month. */
@RestController
@RequestMapping("/api/months")
class SummaryController {

  private static final DateTimeFormatter MONTH =
      DateTimeFormatter.ofPattern("MMMM uuuu", Locale.ENGLISH);

  private final Jobs jobs;
  private final JobLog log;
  private final RunLogs runs;
  private final CastsMade casts;
  private final Habits workshop;

  SummaryController(Jobs jobs, JobLog log, RunLogs runs, CastsMade casts, Habits workshop) {
    this.jobs = jobs;
    this.log = log;
    this.runs = runs;
    this.casts = casts;
    this.workshop = workshop;
  }

  /**
   * What went otherwise than planned.
   *
   * @param times how often
   */
  record Otherwise(String what, int times) {}

  /**
   * A month.
   *
   * @param rubber poured or brushed on at the bench, in words
   * @param rubberG the same, for a bar
   * @param thrown away in the cup, in words; empty for nothing
   * @param scrapShare of all casts, in words; empty where there were none
   * @param hands work at the bench, in words; empty for none
   * @param otherwise the most often first
   */
  record MonthView(
      String month,
      String rubber,
      double rubberG,
      String thrown,
      int moulds,
      int usable,
      int scrap,
      String scrapShare,
      String hands,
      List<Otherwise> otherwise) {}

  /** The newest first. */
  @GetMapping
  List<MonthView> months() {
    ZoneId zone = workshop.current().hours().clock();
    Units units = workshop.current().units();
    List<MonthSum.OfJob> all = new ArrayList<>();
    for (String id : jobs.ids()) {
      try {
        all.add(
            new MonthSum.OfJob(
                runs.benches(id),
                casts.of(id),
                log.happened(id, units).stream().map(JobLog.Happened::line).toList()));
      } catch (Problem unreadable) {
        // a job that cannot be read says so on the shelf; the others count
      }
    }
    return MonthSum.of(all, zone).stream().map(m -> view(m, units)).toList();
  }

  private static MonthView view(MonthSum m, Units units) {
    return new MonthView(
        MONTH.format(m.month()),
        Mass.format(m.rubberG(), units),
        m.rubberG(),
        m.thrownG() > 0 ? Mass.format(m.thrownG(), units) : "",
        m.moulds(),
        m.usable(),
        m.scrap(),
        m.usable() + m.scrap() == 0 ? "" : Share.format(m.scrapShare(), 0),
        m.handsMin() < 1 ? "" : Timespan.formatMin(m.handsMin()),
        m.otherwise().entrySet().stream()
            .map(e -> new Otherwise(e.getKey(), e.getValue()))
            .toList());
  }

  /** The same as a table. RFC 4180, UTF-8. */
  @GetMapping(value = "/table.csv", produces = "text/csv;charset=UTF-8")
  ResponseEntity<String> monthsCsv() {
    List<Map<String, String>> rows = new ArrayList<>();
    for (MonthView m : months()) {
      Map<String, String> row = new LinkedHashMap<>();
      row.put("month", m.month);
      row.put("rubber", m.rubber);
      row.put("thrown away", m.thrown);
      row.put("moulds", String.valueOf(m.moulds));
      row.put("casts", String.valueOf(m.usable));
      row.put("scrap", String.valueOf(m.scrap));
      row.put("work at the bench", m.hands);
      rows.add(row);
    }
    return Named.attachment("Months.csv").body(Csv.write(rows));
  }
}

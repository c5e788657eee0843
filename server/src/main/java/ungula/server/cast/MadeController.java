package ungula.server.cast;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.cast.Made;
import ungula.core.days.Moments;
import ungula.core.geometry.Vec3;
import ungula.core.quantity.Mass;
import ungula.core.table.Csv;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.mould.Moulds;
import ungula.server.web.Named;
import ungula.server.web.Problem;

/** The casts of a job that were made, and what became of them. */
@RestController
@RequestMapping("/api/jobs/{id}/casts")
class MadeController {

  private final Jobs jobs;
  private final CastSpots spots;
  private final CastsMade made;
  private final Moulds moulds;

  MadeController(Jobs jobs, CastSpots spots, CastsMade made, Moulds moulds) {
    this.jobs = jobs;
    this.spots = spots;
    this.made = made;
    this.moulds = moulds;
  }

  /**
   * A cast that was made.
   *
   * @param at in words
   * @param mass it weighed, in words; empty where it was not weighed
   * @param struck why it does not count; empty where it does
   * @param spot where it is not good, as the master is drawn; null where nobody showed it
   */
  record MadeView(
      int number,
      String at,
      String who,
      int mould,
      Made.Result result,
      String mass,
      String why,
      String struck,
      @Nullable Vec3 spot) {}

  /**
   * What a mould gave.
   *
   * @param casts of it so far, those before they were counted as well
   * @param gives what it gives in all, about; 0 where nobody knows
   * @param filled moulds that a mix fills which begins with it
   * @param code of its label; empty while it is to be made
   */
  record MouldGave(int mould, int casts, int gives, List<Integer> filled, String code) {}

  /**
   * @param cleanings first casts of a cut mould, which count for its wear alone
   * @param casts newest first
   * @param lastG of the newest that was weighed, as it can be typed; empty while none was, and
   *     where a pour gives several
   */
  record MadeResponse(
      int usable,
      int repair,
      int scrap,
      int cleanings,
      List<MouldGave> moulds,
      List<MadeView> casts,
      String lastG) {}

  /**
   * @param id of the deed: delivered twice it counts once
   * @param mass as typed; empty where it was not weighed
   * @param why it is no good, or does not count
   * @param strikes number of the record that does not count
   */
  record NewMade(
      String id,
      @Nullable String who,
      int mould,
      Made.Result result,
      @Nullable String mass,
      @Nullable String why,
      @Nullable Integer strikes) {}

  @GetMapping("/made")
  MadeResponse made(@PathVariable String id) {
    Job job = jobs.find(id);
    ZoneId zone = job.plan().plan().workshop().hours().clock();
    Made all = made.of(id);
    Integer chosen = job.choices().rubber().moulds();
    List<Moulds.Standing> standing = moulds.standing(id, chosen == null ? 1 : chosen);
    List<Integer> numbers = standing.stream().map(Moulds.Standing::number).toList();
    boolean alone = job.plan().plan().life().filter(l -> l.castsOfAPour() > 1).isEmpty();
    CastSpots.Of where = spots.of(job);
    int gives = job.plan().plan().life().map(l -> (int) l.casts()).orElse(0);
    List<MadeView> views =
        new ArrayList<>(
            all.casts().stream()
                .filter(c -> c.result() != Made.Result.STRUCK)
                .map(c -> view(c, all, where, job, zone))
                .toList());
    Collections.reverse(views);
    return new MadeResponse(
        all.usable(),
        all.count(Made.Result.REPAIR),
        all.count(Made.Result.SCRAP),
        all.count(Made.Result.CLEANING),
        standing.stream()
            .map(
                m ->
                    new MouldGave(
                        m.number(),
                        m.gave(),
                        m.expects() == null ? gives : m.expects(),
                        job.choices().cast().series().filled(m.number(), numbers),
                        m.code()))
            .toList(),
        views,
        all.lastG().filter(g -> alone).map(g -> g + " g").orElse(""));
  }

  private MadeView view(Made.Cast c, Made all, CastSpots.Of where, Job job, ZoneId zone) {
    return new MadeView(
        c.number(),
        Moments.text(c.at().atZone(zone).toLocalDateTime()),
        c.who(),
        c.mould(),
        c.result(),
        c.grams() == null ? "" : Mass.format(c.grams(), job.choices().units()),
        c.why(),
        all.strike(c).map(Made.Cast::why).orElse(""),
        where.of(c.number()));
  }

  /** All of them as a table, what does not count as well. RFC 4180, UTF-8. */
  @GetMapping(value = "/casts.csv", produces = "text/csv;charset=UTF-8")
  ResponseEntity<String> madeCsv(@PathVariable String id) {
    List<Map<String, String>> rows = new ArrayList<>();
    for (MadeView c : made(id).casts()) {
      Map<String, String> row = new LinkedHashMap<>();
      row.put("cast", String.valueOf(c.number));
      row.put("at", c.at);
      row.put("who", c.who);
      row.put("mould", String.valueOf(c.mould));
      row.put("result", c.result.name().toLowerCase(Locale.ROOT));
      row.put("mass", c.mass);
      row.put("why", c.why);
      row.put("does not count", c.struck);
      rows.add(row);
    }
    return Named.attachment(jobs.name(id) + ", casts.csv").body(Csv.write(rows));
  }

  /** Records a cast, or strikes one that was. */
  @PostMapping("/made")
  MadeResponse addMade(@PathVariable String id, @RequestBody NewMade body) {
    boolean weighed = body.mass() != null && !body.mass().isBlank();
    made.add(
        id,
        new CastsMade.NewCast(
            body.id(),
            body.who() == null ? "" : body.who().strip(),
            body.mould(),
            body.result(),
            weighed ? (Double) Mass.parseG(body.mass(), jobs.find(id).choices().units()) : null,
            body.why() == null ? "" : body.why().strip(),
            body.strikes() == null ? 0 : body.strikes()));
    return made(id);
  }

  /**
   * @param place on the surface of the model: facet and where on it; empty takes it back
   */
  record CastSpot(int number, @Nullable String who, String place) {}

  /** Shows where a cast is not good. */
  @PostMapping("/made/spots")
  MadeResponse addSpot(@PathVariable String id, @RequestBody CastSpot body) {
    Job job = jobs.find(id);
    if (!spots.drawn(job)) {
      throw Problem.gone("The shape of this master");
    }
    String who = body.who() == null ? "" : body.who().strip();
    made.placed(id, body.number(), who, CastSpots.model(job.choices()), body.place());
    return made(id);
  }
}

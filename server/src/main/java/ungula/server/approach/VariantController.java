package ungula.server.approach;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.choice.Choices;
import ungula.core.job.JobPlan;
import ungula.core.working.Figure;
import ungula.core.working.KeyedBy;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.web.Json;
import ungula.server.web.Problem;

/** Ways of making a job's mould that were kept beside the one chosen, to be compared again. */
@RestController
@RequestMapping("/api/jobs/{id}/variants")
class VariantController {

  /** What variants are compared by. */
  private static final List<String> COMPARED = List.of("rubber.box", "rubber.cost", "box.cost");

  private final VariantMapper mapper;
  private final Jobs jobs;
  private final Json json;

  VariantController(VariantMapper mapper, Jobs jobs, Json json) {
    this.mapper = mapper;
    this.jobs = jobs;
    this.json = json;
  }

  /**
   * @param name its kind and walls, in words
   * @param now whether it is as the job stands
   * @param figures rubber and costs
   * @param cautions how many there are
   */
  record VariantView(
      String id,
      String name,
      boolean now,
      @KeyedBy("JobFigure") Map<String, Figure> figures,
      int cautions) {}

  @GetMapping
  List<VariantView> variants(@PathVariable String id) {
    Job job = jobs.find(id);
    return mapper.of(id).stream().map(row -> view(job, row)).toList();
  }

  private VariantView view(Job job, VariantMapper.Row row) {
    Choices choices = choices(row, job);
    JobPlan plan = jobs.planOf(job, choices);
    Map<String, Figure> figures = new HashMap<>(plan.figures());
    figures.keySet().retainAll(COMPARED);
    return new VariantView(
        row.id(), row.name(), choices.equals(job.choices()), figures, plan.cautions().size());
  }

  /** The mould as it was kept, of the master as it is now. */
  private Choices choices(VariantMapper.Row row, Job job) {
    return json.read(row.choices(), Choices.class).mouldOf(job.choices());
  }

  /** Keeps the mould as it stands. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  @Transactional
  public void keepVariant(@PathVariable String id) {
    Job job = jobs.find(id);
    Choices c = job.choices();
    int number = mapper.of(id).stream().mapToInt(VariantMapper.Row::number).max().orElse(0) + 1;
    String name = number + ". " + c.mould().kind().text() + " in a " + c.mould().shape().text();
    mapper.add(
        new VariantMapper.Row(UUID.randomUUID().toString(), id, number, name, json.write(c)));
  }

  /** Makes it the mould of the job; undo brings the one before back. */
  @PostMapping("/{variant}/taken")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeVariant(
      @PathVariable String id, @PathVariable String variant, @RequestParam int version) {
    VariantMapper.Row row = mapper.find(id, variant);
    if (row == null) {
      throw Problem.gone("This variant");
    }
    jobs.replace(
        id,
        version,
        choices(row, jobs.find(id)),
        "choose variant " + row.name().replaceFirst("[.]", ","));
  }

  @DeleteMapping("/{variant}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void forgetVariant(@PathVariable String id, @PathVariable String variant) {
    mapper.drop(id, variant);
  }
}

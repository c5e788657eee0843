package ungula.server.run;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mould.SectionDrawing;
import ungula.core.run.Bench;
import ungula.core.run.Replanned;
import ungula.core.run.RunPlan;
import ungula.server.job.Drawings;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.web.Json;
import ungula.server.web.Problem;

/** The plans that runs go by: frozen when a run is begun, or when it takes one over. */
@Component
class RunPlans {

  private final RunMapper mapper;
  private final Jobs jobs;
  private final Drawings drawings;
  private final Freezing freezing;
  private final Json json;

  RunPlans(RunMapper mapper, Jobs jobs, Drawings drawings, Freezing freezing, Json json) {
    this.mapper = mapper;
    this.jobs = jobs;
    this.drawings = drawings;
    this.freezing = freezing;
    this.json = json;
  }

  private String section(Job job) {
    return json.write(drawings.section(job, Cut.FRONT, null));
  }

  /**
   * Freezes the plan of a job as it is for a run.
   *
   * @param moulds that are cast from; empty to make a mould
   */
  void begin(String id, String jobId, List<Integer> moulds, OffsetDateTime at) {
    Job job = jobs.find(jobId);
    String plan = json.write(freezing.of(job, moulds));
    String numbers = moulds.stream().map(String::valueOf).collect(Collectors.joining(","));
    mapper.add(new RunMapper.Row(id, jobId, plan, at, null, numbers), section(job));
  }

  /** What a run goes by: as it was begun, or as it was taken over last. */
  RunPlan of(RunMapper.Row run) {
    RunMapper.PlanRow taken = mapper.takenOver(run.id());
    return json.read(taken == null ? run.plan() : taken.plan(), RunPlan.class);
  }

  /** The section of the mould a run makes, as it was planned. */
  SectionDrawing drawing(Going g) {
    if (g.rehearsal != null) {
      return g.rehearsal.drawing;
    }
    RunMapper.PlanRow taken = mapper.takenOver(g.id);
    RunMapper.Drawing kept = mapper.drawing(g.id);
    if (kept == null) {
      throw Problem.gone("This run");
    }
    String drawing = taken == null ? kept.drawing() : taken.drawing();
    return json.read(drawing, SectionDrawing.class);
  }

  /**
   * What the job's plan says now that a run does not go by.
   *
   * @param says in sentences; empty where nothing is another, or it is not known yet
   * @param may whether the run can go on by it
   * @param why it cannot, where it could not be finished; empty else
   * @param asBegun pours and coats that are planned otherwise, and finished as they were begun
   */
  record PlanChanges(List<String> says, boolean may, String why, List<String> asBegun) {}

  PlanChanges changes(Going g) {
    Job job = jobs.find(g.jobId);
    if (!job.plan().steps().whole()) {
      return new PlanChanges(List.of(), false, "", List.of());
    }
    RunPlan now = freezing.of(job, g.bench.plan().casts());
    synchronized (g) {
      RunPlan begun = g.bench.plan();
      try {
        List<String> says = Replanned.says(begun, g.bench.goneOn(now));
        return new PlanChanges(says, !says.isEmpty(), "", g.bench.finishedAsBegun(now));
      } catch (Bench.Refused no) {
        return new PlanChanges(Replanned.says(begun, now), false, no.getMessage(), List.of());
      }
    }
  }

  /** Goes on by the job's plan as it is now. */
  Runs.Doing goOn(Going g, Instant at) {
    if (g.rehearsal != null) {
      throw Problem.gone("A run that is kept");
    }
    Job job = jobs.find(g.jobId);
    RunPlan now = freezing.of(job, g.bench.plan().casts());
    return b -> b.goOn(at, now);
  }

  /** Keeps what a run takes over with an entry, and goes by from then on. */
  void takenOver(Going g, int number) {
    String section = section(jobs.find(g.jobId));
    mapper.takeOver(new RunMapper.PlanRow(g.id, number, json.write(g.bench.plan()), section));
  }
}

package ungula.server.archive;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import ungula.server.cast.CastsMade;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.model.Models;
import ungula.server.run.RunLogs;
import ungula.server.stock.Stocks;

/** Whether all that is kept can be read, every file is there, and every job can be planned. */
@Component
class Checks {

  private final Jobs jobs;
  private final Models models;
  private final RunLogs runs;
  private final CastsMade casts;
  private final Stocks stocks;

  Checks(Jobs jobs, Models models, RunLogs runs, CastsMade casts, Stocks stocks) {
    this.jobs = jobs;
    this.models = models;
    this.runs = runs;
    this.casts = casts;
    this.stocks = stocks;
  }

  /**
   * @param jobs that were looked at
   * @param wrong what is wrong, each in one sentence; empty where all is well
   */
  record Checked(int jobs, int runs, int casts, List<String> wrong) {}

  Checked check() {
    List<String> wrong = new ArrayList<>();
    int many = 0;
    int made = 0;
    List<String> ids = jobs.ids();
    for (String id : ids) {
      String name = id;
      try {
        name = jobs.name(id);
        Job job = jobs.find(id);
        String model = job.choices().master().model();
        if (model != null && !models.there(model)) {
          wrong.add(name + ": the file of its model is not there.");
        }
        many += runs.of(id).size();
        made += casts.of(id).casts().size();
        stocks.log(id, job.choices().units());
      } catch (RuntimeException e) {
        wrong.add(name + ": " + e.getMessage());
      }
    }
    return new Checked(ids.size(), many, made, List.copyOf(wrong));
  }
}

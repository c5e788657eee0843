package ungula.server.stock;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.offer.RubberOffers;
import ungula.server.job.Jobs;

/** How each rubber would do for a job. */
@RestController
@RequestMapping("/api/jobs/{id}/rubbers")
class RubbersController {

  private final Jobs jobs;
  private final Rubbers rubbers;

  RubbersController(Jobs jobs, Rubbers rubbers) {
    this.jobs = jobs;
    this.rubbers = rubbers;
  }

  /** Best first; empty while the master's size is not known. */
  @GetMapping
  List<RubberOffers.Candidate> rubbers(@PathVariable String id) {
    return rubbers.weighedFor(jobs.find(id), rubbers.usableG());
  }
}

package ungula.server.approach;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.approach.Approach;
import ungula.core.approach.Proposal;
import ungula.core.caution.Caution;
import ungula.core.choice.Choices;
import ungula.core.job.Assumed;
import ungula.core.offer.RubberOffers.Candidate;
import ungula.core.quantity.Mass;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.working.Figure;
import ungula.core.working.KeyedBy;
import ungula.server.job.Drawings;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.job.WorkView;
import ungula.server.stock.Rubbers;
import ungula.server.web.Named;
import ungula.server.web.Problem;

/** What mould and rubber are proposed for a job that has only a master. */
@RestController
@RequestMapping("/api/jobs/{id}/proposal")
class ProposalController {

  private static final int WIDTH = 640;
  private static final int HEIGHT = 480;

  private final Jobs jobs;
  private final ApproachFinder finder;
  private final Rubbers rubbers;
  private final Drawings drawings;

  ProposalController(Jobs jobs, ApproachFinder finder, Rubbers rubbers, Drawings drawings) {
    this.jobs = jobs;
    this.finder = finder;
    this.rubbers = rubbers;
    this.drawings = drawings;
  }

  /**
   * @param text what speaks for it and against it, as a sentence
   * @param stock how much of it is on the shelf; empty when none is
   */
  record ProposedRubber(String name, String text, String stock) {}

  /**
   * @param title of the mould
   * @param picture where that of the mould is
   * @param rubber null where none does
   * @param edits that choose all of it, and say what it rests on
   * @param rests what it rests on that nobody has said, in a few words each
   * @param figures of the job as it would be
   * @param stops titles of the cautions that would stop it
   */
  record ProposalView(
      String title,
      String picture,
      @Nullable ProposedRubber rubber,
      List<Edit> edits,
      List<String> rests,
      @KeyedBy("JobFigure") Map<String, Figure> figures,
      List<String> stops) {}

  /**
   * @param says which mould to make and why; empty when none works
   * @param proposal null until it is found, and when no mould works
   */
  record ProposalResponse(WorkView work, String says, @Nullable ProposalView proposal) {}

  @GetMapping
  ProposalResponse proposal(@PathVariable String id) {
    return view(jobs.find(id));
  }

  /** Looks for it in the background. */
  @PostMapping
  ProposalResponse findProposal(@PathVariable String id) {
    Job job = jobs.find(id);
    finder.ask(job);
    return view(job);
  }

  /**
   * The master in the mould proposed.
   *
   * @param of names all it depends on
   */
  @GetMapping(value = "/picture", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> proposalPicture(@PathVariable String id, @RequestParam String of)
      throws IOException {
    Job job = jobs.find(id);
    Approach best =
        Proposal.of(job.choices(), finder.found(job).ranked(), edits -> List.of(), Map.of())
            .orElseThrow(() -> Problem.gone("This proposal"))
            .approach();
    return Named.picture(
        drawings
            .picture(jobs.with(job, best.edits()), WIDTH, HEIGHT)
            .orElseThrow(() -> Problem.gone("A picture")));
  }

  private ProposalResponse view(Job job) {
    ApproachFinder.Found found = finder.found(job);
    if (found.work().state() != WorkView.State.READY) {
      return new ProposalResponse(found.work(), "", null);
    }
    Map<String, Double> usable = rubbers.usableG();
    return new ProposalResponse(
        found.work(),
        found.ranked().brief(),
        Proposal.of(
                job.choices(),
                found.ranked(),
                edits -> rubbers.weighedFor(jobs.with(job, edits), usable),
                usable)
            .map(p -> view(job, p, usable))
            .orElse(null));
  }

  private ProposalView view(Job job, Proposal proposal, Map<String, Double> usable) {
    Job chosen = jobs.with(job, proposal.edits());
    List<Edit> edits = new ArrayList<>(proposal.edits());
    List<Assumed> assumed = chosen.plan().assumed();
    assumed.stream().map(Assumed::confirm).filter(Objects::nonNull).forEach(edits::add);
    Choices c = chosen.choices();
    String picture = Choices.fingerprint(Jobs.surfaceKey(c), c.pose(), c.laid(), c.mould());
    Optional<Candidate> rubber = proposal.rubber();
    return new ProposalView(
        proposal.approach().title(),
        "/api/jobs/" + job.row().id() + "/proposal/picture?of=" + picture,
        rubber
            .map(
                r ->
                    new ProposedRubber(
                        r.name(),
                        r.text(),
                        proposal.owned()
                            ? Mass.format(usable.get(r.product()), job.choices().units())
                            : ""))
            .orElse(null),
        edits,
        assumed.stream().map(Assumed::text).toList(),
        chosen.plan().figures(),
        chosen.plan().cautions().stream()
            .filter(caution -> caution.level() == Caution.Level.STOP)
            .map(Caution::title)
            .toList());
  }
}

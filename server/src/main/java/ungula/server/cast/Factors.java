package ungula.server.cast;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;
import ungula.core.cast.Made;
import ungula.core.choice.CastAmount;
import ungula.core.choice.Choices;
import ungula.core.learn.CastFactor;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.web.Problem;

/** What a shop's own casts weigh for each gram of their masters. */
@Component
class Factors {

  private final CastMapper mapper;
  private final CastsMade made;
  private final Jobs jobs;

  Factors(CastMapper mapper, CastsMade made, Jobs jobs) {
    this.mapper = mapper;
    this.made = made;
    this.jobs = jobs;
  }

  /** Of masters and casts of the same materials as a job's; empty while too few were weighed. */
  Optional<CastFactor> of(Job job) {
    if (job.choices().cast().amount().masterG() == null) {
      // nothing to multiply it with
      return Optional.empty();
    }
    List<CastFactor.Own> own = new ArrayList<>();
    for (String id : mapper.weighed()) {
      try {
        Choices c = jobs.choices(id);
        CastAmount amount = c.cast().amount();
        if (alike(c, job.choices()) && amount.masterG() != null) {
          weighed(made.of(id))
              .ifPresent(g -> own.add(new CastFactor.Own(jobs.name(id), g / amount.masterG())));
        }
      } catch (Problem unreadable) {
        // a job that cannot be read teaches nothing
      }
    }
    return CastFactor.of(own);
  }

  private static boolean alike(Choices a, Choices b) {
    return a.master().material() == b.master().material()
        && a.cast().material() == b.cast().material()
        && Objects.equals(a.cast().product(), b.cast().product());
  }

  /** The middle of what a job's casts weigh. */
  private static Optional<Double> weighed(Made made) {
    List<Double> grams =
        made.counting().stream().map(Made.Cast::grams).filter(Objects::nonNull).sorted().toList();
    return grams.isEmpty() ? Optional.empty() : Optional.of(grams.get(grams.size() / 2));
  }
}

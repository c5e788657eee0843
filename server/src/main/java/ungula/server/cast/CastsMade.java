package ungula.server.cast;

import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import ungula.core.cast.Made;
import ungula.core.cast.Made.Result;
import ungula.core.run.Entry;
import ungula.server.job.Jobs;
import ungula.server.mould.Moulds;
import ungula.server.web.Problem;

/** The casts that were made: appended, and struck by a further record. */
@Component
public class CastsMade {

  private static final int MOST_WHO = 20;
  private static final int MOST_WHY = 200;
  private static final int MOST_MOULDS = 500;

  private final CastMapper mapper;
  private final Jobs jobs;
  private final Moulds moulds;
  private final TransactionTemplate whole;
  private final Clock clock;

  CastsMade(CastMapper mapper, Jobs jobs, Moulds moulds, TransactionTemplate whole, Clock clock) {
    this.mapper = mapper;
    this.jobs = jobs;
    this.moulds = moulds;
    this.whole = whole;
    this.clock = clock;
  }

  /** What a job's moulds gave. */
  public Made of(String jobId) {
    return new Made(
        mapper.of(jobId).stream()
            .map(
                r ->
                    new Made.Cast(
                        r.number(),
                        r.at().toInstant(),
                        r.who(),
                        r.mould(),
                        r.result(),
                        r.grams(),
                        r.why(),
                        r.strikes()))
            .toList());
  }

  /**
   * What is recorded.
   *
   * @param id of the deed: delivered twice it counts once
   * @param grams null where it was not weighed
   */
  record NewCast(
      String id, String who, int mould, Result result, Double grams, String why, int strikes) {}

  /**
   * @throws Problem when it cannot be, saying why
   */
  void add(String jobId, NewCast cast) {
    jobs.find(jobId);
    check(cast);
    append(jobId, cast, clock.instant());
  }

  /** A cast that came out at the bench; its run and entry make it one deed. */
  public void came(String jobId, String run, int entry, String who, Entry.Came c) {
    append(
        jobId,
        new NewCast(act(run, entry), who, c.mould(), c.result(), c.grams(), c.why(), 0),
        c.at());
  }

  /** What a run said of a cast does not count. */
  public void corrected(String jobId, String run, Entry.Corrected c, String who) {
    mapper.of(jobId).stream()
        .filter(r -> r.act().equals(act(run, c.number())))
        .findFirst()
        .ifPresent(
            r ->
                append(
                    jobId,
                    new NewCast(
                        act(run, c.number()) + "x",
                        who,
                        r.mould(),
                        Result.STRUCK,
                        null,
                        c.why(),
                        r.number()),
                    c.at()));
  }

  /**
   * Where a cast came from.
   *
   * @param run at the bench; empty where it was counted by hand
   */
  public record Whence(String run, int mould) {}

  /** Empty where there is no such cast. */
  public Optional<Whence> whence(String jobId, int number) {
    return mapper.of(jobId).stream()
        .filter(r -> r.number() == number && r.result() != Result.STRUCK)
        .findFirst()
        .map(r -> new Whence(r.act().replaceFirst(":?[^:]*$", ""), r.mould()));
  }

  private static String act(String run, int entry) {
    return run + ":" + entry;
  }

  private void append(String jobId, NewCast cast, Instant at) {
    whole.executeWithoutResult(
        status -> {
          // whoever records at the same moment waits here
          mapper.hold(jobId);
          List<CastMapper.Row> before = mapper.of(jobId);
          if (before.stream().anyMatch(r -> r.act().equals(cast.id))) {
            return;
          }
          if (cast.result == Result.STRUCK
              && before.stream()
                  .noneMatch(r -> r.number() == cast.strikes && r.result() != Result.STRUCK)) {
            throw Problem.gone("This cast");
          }
          mapper.add(
              new CastMapper.Row(
                  jobId,
                  before.size() + 1,
                  cast.id,
                  OffsetDateTime.ofInstant(at, ZoneOffset.UTC),
                  shortened(cast.who, MOST_WHO),
                  cast.mould,
                  cast.result,
                  cast.grams,
                  shortened(cast.why, MOST_WHY),
                  cast.result == Result.STRUCK ? cast.strikes : 0));
          moulds.pulled(jobId, mould(cast, before));
        });
  }

  /** It came out of; of a strike, what that strikes did. */
  private static int mould(NewCast cast, List<CastMapper.Row> before) {
    return before.stream()
        .filter(r -> cast.result == Result.STRUCK && r.number() == cast.strikes)
        .findFirst()
        .map(CastMapper.Row::mould)
        .orElse(cast.mould);
  }

  /**
   * Says where a cast is not good.
   *
   * @param model the place is on
   * @param place on its surface, as it is read again; empty takes it back
   */
  void placed(String jobId, int number, String who, String model, String place) {
    if (mapper.of(jobId).stream().noneMatch(r -> r.number() == number)) {
      throw Problem.gone("This cast");
    }
    if (!place.matches("(\\d{1,9} [\\d.E-]{1,22} [\\d.E-]{1,22})?")) {
      throw refused("A place is a facet and where on it.");
    }
    OffsetDateTime now = OffsetDateTime.ofInstant(clock.instant(), ZoneOffset.UTC);
    mapper.place(new CastMapper.Place(jobId, number, now, who, model, place));
  }

  /** Where casts of a model are not good, by number. */
  Map<Integer, String> places(String jobId, String model) {
    Map<Integer, String> all = new HashMap<>();
    for (CastMapper.Place p : mapper.places(jobId)) {
      if (p.model().equals(model) && !p.place().isEmpty()) {
        all.put(p.number(), p.place());
      } else {
        all.remove(p.number());
      }
    }
    return all;
  }

  private static String shortened(String text, int most) {
    return text.substring(0, Math.min(most, text.length()));
  }

  private static void check(NewCast cast) {
    if (cast.id == null || !cast.id.matches("[\\w-]{1,36}")) {
      throw refused("What is done has an id of 1 to 36 letters, digits, - and _.");
    }
    if (cast.mould < 1 || cast.mould > MOST_MOULDS) {
      throw refused("Say which mould it came out of, from 1.");
    }
    if (cast.grams != null && !(cast.grams > 0)) {
      throw refused("A cast weighs more than nothing.");
    }
    boolean good = cast.result == Result.GOOD;
    if (!good && cast.why.isBlank()) {
      throw refused("Say why it is not good.");
    }
  }

  private static Problem refused(String why) {
    return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "Not recorded", why);
  }
}

package ungula.server.mould;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import ungula.core.contact.RubberAge;
import ungula.core.library.Code;
import ungula.core.library.Condition;
import ungula.core.library.Mould;
import ungula.core.library.Wear;
import ungula.core.plan.JacketPart;
import ungula.core.plan.LifePart;
import ungula.core.plan.Plan;
import ungula.core.quantity.Units;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.workshop.Workshop;
import ungula.server.job.Jobs;
import ungula.server.product.Products;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/**
 * The moulds there are. One is there once it was made at the bench, once a cast out of it was
 * recorded, or once somebody says so; what is said of it is recorded, and it is never deleted.
 */
@Component
public class Moulds {

  private static final int MOST_WHO = 20;
  private static final int MOST_WHY = 200;

  private static final SecureRandom RANDOM = new SecureRandom();

  private final MouldMapper mapper;
  private final Jobs jobs;
  private final Products products;
  private final Habits workshop;
  private final TransactionTemplate whole;
  private final Clock clock;

  Moulds(
      MouldMapper mapper,
      Jobs jobs,
      Products products,
      Habits workshop,
      TransactionTemplate whole,
      Clock clock) {
    this.mapper = mapper;
    this.jobs = jobs;
    this.products = products;
    this.workshop = workshop;
    this.whole = whole;
    this.clock = clock;
  }

  /** Moulds that were cast from before moulds were kept. */
  @EventListener(ApplicationReadyEvent.class)
  @Order(0)
  void known() {
    whole.executeWithoutResult(
        status -> mapper.castFrom().forEach(u -> pulled(u.jobId(), u.number())));
  }

  /**
   * What a mould was made in.
   *
   * @param product its rubber, as that is kept; null when not known
   * @param lot number of its pack; null when not known
   */
  public record MadeIn(String runId, LocalDate day, String product, String lot) {}

  /** Whether a mould is known to be made in a run. */
  public boolean knows(String runId) {
    return mapper.ofRun(runId) > 0;
  }

  /** A mould was made at the bench. */
  public void made(String jobId, MadeIn in) {
    whole.executeWithoutResult(
        status -> {
          mapper.hold(jobId);
          if (knows(in.runId)) {
            return;
          }
          List<MouldMapper.Row> its = mapper.of(jobId);
          Optional<MouldMapper.Row> castFrom =
              its.stream().filter(r -> r.runId() == null && r.made() == null).findFirst();
          int number = castFrom.map(MouldMapper.Row::number).orElse(unused(its));
          MouldMapper.Row row = row(castFrom.map(MouldMapper.Row::id), jobId, number, in);
          if (castFrom.isPresent()) {
            mapper.madeIn(row);
          } else {
            mapper.add(row);
          }
        });
  }

  private static int unused(List<MouldMapper.Row> its) {
    return 1 + its.stream().mapToInt(MouldMapper.Row::number).max().orElse(0);
  }

  /** A cast out of a mould was recorded, or struck: what it gave is counted again. */
  public void pulled(String jobId, int number) {
    if (mapper.of(jobId).stream().noneMatch(r -> r.number() == number)) {
      mapper.add(row(Optional.empty(), jobId, number, new MadeIn(null, null, null, null)));
    }
    mapper.count(jobId, number);
  }

  private MouldMapper.Row row(Optional<String> id, String jobId, int number, MadeIn in) {
    Optional<Plan> plan = plan(jobId);
    Product planned = plan.map(p -> p.brief().product()).orElse(null);
    Product rubber = in.product == null ? planned : products.find(in.product).orElse(planned);
    Integer before =
        plan.filter(p -> number == 1)
            .map(p -> p.choices().cast().series().gaveBefore())
            .orElse(null);
    return new MouldMapper.Row(
        id.orElseGet(() -> UUID.randomUUID().toString()),
        plan.flatMap(this::castIn).orElseGet(this::unusedCode),
        jobId,
        null,
        number,
        in.runId,
        rubber == null ? null : rubber.chemistry(),
        null,
        in.day,
        rubber == null ? null : rubber.name(),
        in.lot,
        plan.flatMap(Plan::life).map(Moulds::expects).orElse(null),
        before == null ? 0 : before,
        null,
        null,
        Condition.GOOD,
        plan.flatMap(Plan::jacket).map(Moulds::jacket).orElse(null),
        null,
        null,
        0,
        null,
        null);
  }

  /** Null where the plan has it give none: then nobody knows what it gives. */
  private static Integer expects(LifePart life) {
    return life.casts() < 1 ? null : (Integer) (int) life.casts();
  }

  private static String jacket(JacketPart jacket) {
    int parts = jacket.sections().count();
    return jacket.brief().choices().jacket().kind().text()
        + (parts == 1 ? "" : ", in " + parts + " parts");
  }

  /** Empty where the job cannot be read. */
  private Optional<Plan> plan(String jobId) {
    try {
      return Optional.of(jobs.find(jobId).plan().plan());
    } catch (Problem unreadable) {
      return Optional.empty();
    }
  }

  /** The code on a label that is cast into it; empty where another mould has it. */
  private Optional<String> castIn(Plan plan) {
    return plan.label()
        .map(l -> l.brief().choices().label().code())
        .filter(code -> mapper.find(code) == null);
  }

  /** A code no mould has. */
  public String unusedCode() {
    String code = Code.next(RANDOM);
    while (mapper.find(code) != null) {
      code = Code.next(RANDOM);
    }
    return code;
  }

  /**
   * A mould that casts of a job are poured in.
   *
   * @param gave casts so far, those before they were counted as well
   * @param expects casts in all; null: as the job is planned
   * @param code of its label; empty while it is to be made
   */
  public record Standing(int number, int gave, Integer expects, String code) {}

  /**
   * Moulds of a job that are cast from: those there are and that are not retired, then as many to
   * be made as it takes.
   *
   * @param wanted so many at least
   */
  public List<Standing> standing(String jobId, int wanted) {
    List<MouldMapper.Row> its = mapper.of(jobId);
    List<Standing> all =
        new ArrayList<>(
            its.stream()
                .filter(r -> r.retired() == null)
                .map(r -> new Standing(r.number(), gave(r), r.expects(), r.code()))
                .toList());
    Map<Integer, MouldMapper.Row> known =
        its.stream().collect(Collectors.toMap(MouldMapper.Row::number, Function.identity()));
    IntStream.iterate(1, n -> n + 1)
        .filter(n -> !known.containsKey(n))
        .limit(Math.max(0, wanted - all.size()))
        .forEach(n -> all.add(new Standing(n, n == 1 ? before(jobId) : 0, null, "")));
    return List.copyOf(all);
  }

  private int before(String jobId) {
    Integer before = jobs.choices(jobId).cast().series().gaveBefore();
    return before == null ? 0 : before;
  }

  private static int gave(MouldMapper.Row r) {
    return r.gaveBefore() + r.pulls();
  }

  /**
   * @throws Problem where one of the moulds is retired
   */
  public void inUse(String jobId, List<Integer> numbers) {
    for (MouldMapper.Row r : mapper.of(jobId)) {
      if (r.retired() != null && numbers.contains(r.number())) {
        throw new Problem(
            HttpStatus.CONFLICT,
            "Retired",
            "Mould "
                + r.number()
                + " ("
                + r.code()
                + ") is retired: "
                + r.retired()
                + ". Cast from another, or put it back in use on its page.");
      }
    }
  }

  /** The run a mould of a job was made in; empty where nobody followed it. */
  public Optional<String> run(String jobId, int number) {
    return mapper.of(jobId).stream()
        .filter(r -> r.number() == number && r.runId() != null)
        .findFirst()
        .map(MouldMapper.Row::runId);
  }

  /** Where the master of each job is. */
  Map<String, String> masters() {
    Map<String, String> all = new HashMap<>();
    mapper.masters().forEach(m -> all.put(m.jobId(), m.said()));
    return all;
  }

  /** All there are, the retired ones as well. */
  List<MouldMapper.Row> all() {
    return mapper.all();
  }

  MouldMapper.Row find(String typed) {
    MouldMapper.Row row = Code.read(typed).map(mapper::find).orElse(null);
    if (row == null) {
      throw Problem.gone("A mould with this code");
    }
    return row;
  }

  List<MouldMapper.Said> said(MouldMapper.Row row) {
    return mapper.records(row.id());
  }

  /**
   * Puts a mould among the others that nobody followed at the bench.
   *
   * @param jobId it was made for; null for none
   * @param of what it is of, where it was made for none
   * @return its code
   */
  public String add(String jobId, String of) {
    if (jobId != null) {
      jobs.find(jobId);
    } else if (of.isBlank() || of.length() > 120) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "Of what?",
          "Say what the mould is of, in no more than 120 characters.");
    }
    return whole.execute(
        status -> {
          MadeIn in = new MadeIn(null, null, null, null);
          MouldMapper.Row row;
          if (jobId == null) {
            row = unnamed(of.strip());
          } else {
            mapper.hold(jobId);
            row = row(Optional.empty(), jobId, unused(mapper.of(jobId)), in);
          }
          mapper.add(row);
          return row.code();
        });
  }

  private MouldMapper.Row unnamed(String of) {
    return new MouldMapper.Row(
        UUID.randomUUID().toString(),
        unusedCode(),
        null,
        null,
        1,
        null,
        null,
        of,
        null,
        null,
        null,
        null,
        0,
        null,
        null,
        Condition.GOOD,
        null,
        null,
        null,
        0,
        null,
        null);
  }

  /** Records what somebody says of a mould. */
  public void say(String code, String who, List<Edit> edits) {
    Units units = workshop.current().units();
    whole.executeWithoutResult(
        status -> {
          MouldMapper.Row row = find(code);
          Mould now = row.mould().edit(edits, units);
          row.mould().changedIn(now).forEach((word, said) -> record(row, who, word, said));
          mapper.say(row.id(), now);
        });
  }

  /**
   * Takes a mould out of use, or back.
   *
   * @param why empty where it is used again
   */
  public void retire(String code, String who, String why) {
    whole.executeWithoutResult(
        status -> {
          MouldMapper.Row row = find(code);
          String said = why.strip().substring(0, Math.min(MOST_WHY, why.strip().length()));
          record(row, who, "retired", said);
          mapper.retire(row.id(), said.isEmpty() ? null : said);
        });
  }

  private void record(MouldMapper.Row row, String who, String word, String said) {
    OffsetDateTime now = OffsetDateTime.ofInstant(clock.instant(), ZoneOffset.UTC);
    String by = who.strip().substring(0, Math.min(MOST_WHO, who.strip().length()));
    mapper.record(new MouldMapper.Said(row.id(), now, by, word, said));
  }

  /**
   * What moulds are held against, read once for many.
   *
   * @param keeps how long rubber does
   */
  record Now(LocalDate today, ZoneId zone, RubberAge keeps) {

    LocalDate day(OffsetDateTime at) {
      return LocalDate.ofInstant(at.toInstant(), zone);
    }

    /** How far a mould is used up. */
    Wear wear(MouldMapper.Row r) {
      Double lasts = r.lasts();
      if (lasts == null && r.chemistry() != null) {
        lasts = keeps.of(r.chemistry());
      }
      LocalDate first = r.firstCast() == null ? null : day(r.firstCast());
      return Wear.of(gave(r), r.expects(), r.pulls(), first, r.made(), lasts, today);
    }
  }

  Now now() {
    Workshop w = workshop.current();
    ZoneId zone = w.hours().clock();
    return new Now(LocalDate.ofInstant(clock.instant(), zone), zone, w.keeps());
  }
}

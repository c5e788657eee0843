package ungula.server.stock;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import ungula.core.diagnose.CaseRecord;
import ungula.core.log.HandLog;
import ungula.core.log.LogLine;
import ungula.core.pour.PlannedBatch;
import ungula.core.quantity.Units;
import ungula.core.rubber.Pack;
import ungula.core.rubber.Parts;
import ungula.core.rubber.Product;
import ungula.core.stock.Lot;
import ungula.core.stock.ShoppingList.Need;
import ungula.core.stock.Stock;
import ungula.server.job.Job;
import ungula.server.job.JobLists;
import ungula.server.product.Products;
import ungula.server.web.Json;
import ungula.server.web.Problem;

/** The packs on the shelf: what is in them, and what batches take out. */
@Component
public class Stocks {

  private final StockMapper mapper;
  private final Products products;
  private final Json json;
  private final Clock clock;

  Stocks(StockMapper mapper, Products products, Json json, Clock clock) {
    this.clock = clock;
    this.mapper = mapper;
    this.products = products;
    this.json = json;
  }

  public LocalDate today() {
    return LocalDate.now(clock);
  }

  /** What there is of a product. */
  public Stock of(String productId) {
    return of(productId, mapper.lotsOf(productId));
  }

  /** The same of packs that are read already. */
  Stock of(String productId, List<StockMapper.LotRow> rows) {
    Map<String, Lot> lots = new LinkedHashMap<>();
    rows.forEach(row -> lots.put(row.id(), lot(row)));
    return new Stock(product(productId), lots);
  }

  /** Whether a pack is past the last day it is good. */
  public boolean over(Product product, Lot lot) {
    return lot.keeping(product, today()) == Lot.Keeping.OVER;
  }

  /** Mass that can be mixed of a product, g. */
  public double usableG(String productId) {
    return of(productId).usableG(today());
  }

  private Product product(String id) {
    return products.find(id).orElseThrow(() -> Problem.gone("This product"));
  }

  Lot lot(StockMapper.LotRow row) {
    return json.read(row.lot(), Lot.class);
  }

  /** A full pack, received today. */
  @Transactional
  public String add(String productId, Pack pack) {
    return keep(productId, Lot.full(product(productId), pack, today()));
  }

  @Transactional
  public String add(String productId, Lot lot) {
    product(productId);
    return keep(productId, lot);
  }

  private String keep(String productId, Lot lot) {
    String id = UUID.randomUUID().toString();
    mapper.addLot(new StockMapper.LotRow(id, 1, productId, false, json.write(lot)));
    return id;
  }

  /**
   * What was planned for a batch when it was recorded, so that planning anew does not change it.
   *
   * @param name of the batch, in words
   */
  public record Planned(String name, double baseG, double hardenerG) {

    static Planned of(Job job, PlannedBatch batch) {
      return new Planned(
          ("Batch " + batch.number() + " " + batch.of()).strip(),
          job.plan().figures().get(batch.base()).value(),
          batch.hardener().isEmpty() ? 0 : job.plan().figures().get(batch.hardener()).value());
    }
  }

  /**
   * A batch as it was mixed.
   *
   * @param run it was mixed in; empty for none
   * @param product by id
   * @param number in the order they are mixed, from 1
   * @param pour it belongs to, from 1
   * @param batch of that pour
   * @param lot it was taken from first; null for the stock's own order
   */
  public record Mixed(
      String run,
      String product,
      int number,
      int pour,
      int batch,
      Planned planned,
      Parts parts,
      String lot) {

    static Mixed byHand(String product, PlannedBatch b, Planned planned, Parts parts) {
      return new Mixed("", product, b.number(), b.pour(), b.batch(), planned, parts, null);
    }
  }

  /**
   * Records a batch, once, and takes it out of the stock.
   *
   * @return what was not there
   */
  @Transactional
  public Stock.Drawn mix(String jobId, Mixed m) {
    return take(jobId, m);
  }

  private Stock.Drawn take(String jobId, Mixed m) {
    // whoever records at the same moment waits here
    Stock stock = of(m.product, mapper.holdLotsOf(m.product));
    Stock.Drawn drawn = stock.draw(m.parts.firstG(), m.parts.secondG(), today(), m.lot);
    OffsetDateTime now = OffsetDateTime.now(clock).withOffsetSameInstant(ZoneOffset.UTC);
    StockMapper.MixedRow record =
        new StockMapper.MixedRow(
            UUID.randomUUID().toString(),
            jobId,
            m.product,
            m.pour,
            m.batch,
            0,
            json.write(m.planned),
            m.parts.firstG(),
            m.parts.secondG(),
            json.write(drawn.taken()),
            now,
            m.run);
    boolean before = mapper.mixedOf(jobId).stream().anyMatch(r -> same(r, m));
    try {
      if (before) {
        throw new DuplicateKeyException("");
      }
      mapper.addMixed(record);
    } catch (DuplicateKeyException recorded) {
      throw new Problem(
          HttpStatus.CONFLICT,
          "Already recorded",
          m.planned.name()
              + " is recorded already. Take that record back first to record it again.");
    }
    for (Stock.Taken t : drawn.taken()) {
      StockMapper.LotRow row = mapper.lot(t.lot());
      save(row, lot(row).taken(t.baseG(), t.hardenerG(), today()));
    }
    return drawn;
  }

  /** Whether a record is of the same batch, mixed in the same run. */
  private static boolean same(StockMapper.MixedRow r, Mixed m) {
    return r.runId().equals(m.run)
        && (r.pour() == 0 ? r.batch() == m.number : r.pour() == m.pour && r.batch() == m.batch);
  }

  /**
   * Has a run's batch recorded as it was mixed, in place of what was recorded of it before. One
   * that was recorded by hand since the run was begun is not taken from the stock twice.
   *
   * @param since when the run was begun
   * @param mixed whether it is, and still counts
   */
  @Transactional
  public void settle(String jobId, Instant since, Mixed m, boolean mixed) {
    List<StockMapper.MixedRow> all = mapper.mixedOf(jobId);
    Optional<StockMapper.MixedRow> before = all.stream().filter(r -> same(r, m)).findFirst();
    if (before.isPresent()) {
      boolean right =
          mixed
              && before.get().baseG() == m.parts.firstG()
              && before.get().hardenerG() == m.parts.secondG();
      if (right) {
        return;
      }
      takeBack(before.get());
    }
    boolean byHand =
        all.stream()
            .anyMatch(
                r ->
                    r.runId().isEmpty()
                        && r.pour() == m.pour
                        && r.batch() == m.batch
                        && r.at().toInstant().isAfter(since));
    if (mixed && !byHand) {
      take(jobId, m);
    }
  }

  /** Batches of a job that were put down by hand, in the order they were. */
  public List<LogLine> log(String jobId, Units units) {
    return mapper.mixedOf(jobId).stream()
        .filter(r -> r.runId().isEmpty())
        .map(
            r -> {
              Planned p = planned(r);
              return HandLog.batch(
                  r.at().toInstant(),
                  p == null ? "A batch" : p.name(),
                  p == null ? null : new Parts(p.baseG(), p.hardenerG()),
                  new Parts(r.baseG(), r.hardenerG()),
                  units);
            })
        .toList();
  }

  /** Those of which what was planned was kept, for who looks into what went wrong. */
  public List<CaseRecord.Batch> byHand(String jobId) {
    return mapper.mixedOf(jobId).stream()
        .filter(r -> r.runId().isEmpty() && planned(r) != null && planned(r).baseG() > 0)
        .map(
            r ->
                new CaseRecord.Batch(
                    r.baseG(), r.hardenerG(), planned(r).hardenerG() / planned(r).baseG()))
        .toList();
  }

  /** What was planned for a recorded batch; null when that was not kept yet. */
  Planned planned(StockMapper.MixedRow record) {
    return record.planned() == null ? null : json.read(record.planned(), Planned.class);
  }

  /** Whether a record is of a batch of the plan. */
  static boolean is(StockMapper.MixedRow record, PlannedBatch batch) {
    return record.pour() == 0
        ? record.batch() == batch.number()
        : record.pour() == batch.pour() && record.batch() == batch.batch();
  }

  /** Batches of a job's first pour that are not recorded yet. */
  List<PlannedBatch> toMix(Job job) {
    List<StockMapper.MixedRow> mixed = mapper.mixedOf(job.row().id());
    return job.plan().plan().batches().each().stream()
        .filter(b -> b.pour() == 1 && mixed.stream().noneMatch(m -> is(m, b)))
        .toList();
  }

  /** Strikes a batch out, and puts what it took back. */
  @Transactional
  public void unmix(String jobId, String id) {
    StockMapper.MixedRow mixed = mapper.mixed(jobId, id);
    if (mixed == null) {
      throw Problem.gone("This batch");
    }
    takeBack(mixed);
  }

  private void takeBack(StockMapper.MixedRow mixed) {
    mapper.dropMixed(mixed.id());
    for (Stock.Taken t : taken(mixed)) {
      StockMapper.LotRow row = mapper.lot(t.lot());
      boolean closed = t.opened() && !openedByAnother(t.lot());
      save(row, lot(row).givenBack(t.baseG(), t.hardenerG(), closed));
    }
  }

  private List<Stock.Taken> taken(StockMapper.MixedRow record) {
    return List.of(json.read(record.taken(), Stock.Taken[].class));
  }

  /** A pack stays open for the earliest of the batches still taken from it: that one opened it. */
  private boolean openedByAnother(String lot) {
    List<StockMapper.MixedRow> others = mapper.mixedFrom(lot);
    if (others.isEmpty()) {
      return false;
    }
    List<Stock.Taken> its = new ArrayList<>(taken(others.get(0)));
    its.replaceAll(t -> t.lot().equals(lot) ? t.opening() : t);
    mapper.saveTaken(others.get(0).id(), json.write(its));
    return true;
  }

  private void save(StockMapper.LotRow row, Lot lot) {
    if (mapper.saveLot(row.id(), row.version(), json.write(lot)) == 0) {
      throw Problem.conflict("The stock");
    }
  }

  /** What jobs still need: what their plans ask for, less what is already mixed. */
  List<Need> needs(List<JobLists.Needing> jobs) {
    List<Need> needs = new ArrayList<>();
    for (JobLists.Needing job : jobs) {
      List<StockMapper.MixedRow> mixed = mapper.mixedOf(job.id());
      for (Job.Needed needed : job.needs()) {
        Parts done =
            mixed.stream()
                .filter(m -> m.productId().equals(needed.product()))
                .map(m -> new Parts(m.baseG(), m.hardenerG()))
                .reduce(Parts.NONE, Parts::plus);
        Parts left = needed.parts().less(done);
        if (left.totalG() > 1) {
          needs.add(new Need(job.name(), needed.product(), needed.grade(), left));
        }
      }
    }
    return needs;
  }
}

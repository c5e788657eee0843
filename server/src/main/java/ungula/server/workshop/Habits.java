package ungula.server.workshop;

import jakarta.annotation.PostConstruct;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;
import ungula.core.days.Moments;
import ungula.core.workshop.WorkHours;
import ungula.core.workshop.Workshop;
import ungula.server.web.Json;
import ungula.server.web.Problem;

/** The workshop's habits as kept, read once per version. */
@Component
public class Habits {

  private final WorkshopMapper mapper;
  private final Json json;
  private final Clock clock;
  private final AtomicReference<Read> last = new AtomicReference<>();

  Habits(WorkshopMapper mapper, Json json, Clock clock) {
    this.mapper = mapper;
    this.json = json;
    this.clock = clock;
  }

  @PostConstruct
  void begin() {
    if (mapper.find() == null) {
      mapper.begin(json.write(Workshop.DEFAULT));
    }
  }

  /** The habits as last read, with the version they were read at. */
  record Read(int version, Workshop workshop) {}

  /** The habits as they stand. */
  public Workshop current() {
    return read().workshop;
  }

  Read read() {
    WorkshopMapper.Row row = row();
    Read known = last.get();
    if (known == null || known.version != row.version()) {
      Workshop kept = json.read(row.habits(), Workshop.class);
      known = new Read(row.version(), kept.in(kept.hours().in(clock.getZone())));
      last.set(known);
    }
    return known;
  }

  /** Second of the epoch. */
  public long now() {
    return clock.instant().getEpochSecond();
  }

  /** The clock on the workshop's wall, for what is typed now. */
  public Moments today() {
    WorkHours hours = current().hours();
    return new Moments(LocalDateTime.ofInstant(clock.instant(), hours.clock()), hours::morning);
  }

  private WorkshopMapper.Row row() {
    return mapper.find();
  }

  /** Saves a change made on a version, or refuses it when there is a newer one. */
  Read save(int version, UnaryOperator<Workshop> change) {
    Read now = read();
    if (now.version != version) {
      throw Problem.conflict("The workshop");
    }
    Workshop changed = change.apply(now.workshop);
    if (mapper.save(version, json.write(changed)) == 0) {
      throw Problem.conflict("The workshop");
    }
    return new Read(version + 1, changed);
  }

  /** Changes them as they stand now. */
  public void change(UnaryOperator<Workshop> change) {
    save(row().version(), change);
  }

  /** Replaces the habits, for the made-up shelf. */
  public void begin(Workshop workshop) {
    save(row().version(), before -> workshop);
  }

  /** Whether the made-up shelf was already put up once on this data. */
  public boolean demoOffered() {
    return row().demoOffered();
  }

  public void markDemoOffered() {
    mapper.markDemoOffered();
  }
}

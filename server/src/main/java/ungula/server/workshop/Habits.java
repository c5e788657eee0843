package ungula.server.workshop;

import java.util.concurrent.atomic.AtomicReference;
import org.springframework.stereotype.Component;
import ungula.core.plan.Workshop;
import ungula.server.web.Json;
import ungula.server.web.Problem;

/** The workshop's habits as kept, read once per version. */
@Component
public class Habits {

  private final WorkshopMapper mapper;
  private final Json json;
  private final AtomicReference<Read> last = new AtomicReference<>();

  Habits(WorkshopMapper mapper, Json json) {
    this.mapper = mapper;
    this.json = json;
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
      known = new Read(row.version(), json.read(row.habits(), Workshop.class));
      last.set(known);
    }
    return known;
  }

  private WorkshopMapper.Row row() {
    WorkshopMapper.Row row = mapper.find();
    if (row == null) {
      mapper.begin(json.write(Workshop.DEFAULT));
      row = mapper.find();
    }
    return row;
  }

  /** Saves a change made on a version, or refuses it when there is a newer one. */
  Read save(int version, Workshop changed) {
    if (mapper.save(version, json.write(changed)) == 0) {
      throw Problem.conflict("The workshop");
    }
    return new Read(version + 1, changed);
  }

  /** Replaces the habits, for the made-up shelf. */
  public void begin(Workshop workshop) {
    save(row().version(), workshop);
  }

  /** Whether the made-up shelf was already put up once on this data. */
  public boolean demoOffered() {
    return row().demoOffered();
  }

  public void markDemoOffered() {
    row();
    mapper.markDemoOffered();
  }
}

package ungula.server.workshop;

import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.plan.Workshop;
import ungula.core.sentence.Word;
import ungula.core.sentence.WordBook;
import ungula.server.web.Json;
import ungula.server.web.Problem;

/** The workshop's habits and limits. There is one workshop. */
@RestController
@RequestMapping("/api/workshop")
public class WorkshopController {

  private static final WordBook<Workshop> WORDS = Workshop.words();

  private final WorkshopMapper mapper;
  private final Json json;
  private final AtomicReference<Read> read = new AtomicReference<>();

  /** The habits as last read, with the version they were read at. */
  private record Read(int version, Workshop workshop) {}

  WorkshopController(WorkshopMapper mapper, Json json) {
    this.mapper = mapper;
    this.json = json;
  }

  public record WorkshopResponse(int version, Map<String, Word.State> words) {}

  /**
   * @param version the edits were made on
   */
  public record WorkshopEdits(int version, List<WordBook.Edit> edits) {}

  @GetMapping
  WorkshopResponse workshop() {
    WorkshopMapper.Row row = row();
    return response(row.version(), json.read(row.habits(), Workshop.class));
  }

  @PostMapping("/edits")
  @Transactional
  public WorkshopResponse editWorkshop(@RequestBody WorkshopEdits body) {
    Workshop now = current();
    Workshop changed = WORDS.edit(now, body.edits(), now.units());
    if (mapper.save(body.version(), json.write(changed)) == 0) {
      throw Problem.conflict("The workshop");
    }
    return response(body.version() + 1, changed);
  }

  private static WorkshopResponse response(int version, Workshop workshop) {
    return new WorkshopResponse(version, WORDS.states(workshop, workshop.units()));
  }

  private WorkshopMapper.Row row() {
    WorkshopMapper.Row row = mapper.find();
    if (row == null) {
      mapper.begin(json.write(Workshop.DEFAULT));
      row = mapper.find();
    }
    return row;
  }

  /** The habits as they stand. */
  public Workshop current() {
    WorkshopMapper.Row row = row();
    Read last = read.get();
    if (last == null || last.version != row.version()) {
      last = new Read(row.version(), json.read(row.habits(), Workshop.class));
      read.set(last);
    }
    return last.workshop;
  }

  /** Whether the made-up shelf was already put up once on this data. */
  public boolean demoOffered() {
    return row().demoOffered();
  }

  public void markDemoOffered() {
    row();
    mapper.markDemoOffered();
  }

  /** Replaces the habits, for the made-up shelf. */
  public void begin(Workshop workshop) {
    mapper.save(row().version(), json.write(workshop));
  }
}

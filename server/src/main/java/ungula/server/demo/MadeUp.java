package ungula.server.demo;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.demo.HarbourShapes;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.io.StlWriter;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.work.Progress;
import ungula.server.model.Models;
import ungula.server.workshop.Habits;

/** Masters nobody has, as if their files had been dropped on the page. */
@Component
public class MadeUp {

  private final Models models;
  private final Habits workshop;

  private final HarbourShapes shapes;

  /**
   * @param detail of the masters, 1 as they are shown; tests do with less
   */
  MadeUp(Models models, Habits workshop, @Value("${ungula.detail:1}") double detail) {
    this.shapes = new HarbourShapes(detail);
    this.models = models;
    this.workshop = workshop;
  }

  /** Keeps a master as a file; takes seconds. */
  public Models.Stored keep(Function<HarbourShapes, TriangleMesh> master, String fileName) {
    try {
      Path file = Files.createTempFile("ungula-demo", ".stl");
      try (OutputStream out = Files.newOutputStream(file)) {
        StlWriter.write(master.apply(shapes), out);
      }
      return models.keep(file, fileName, Progress.NONE);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What a fresh job of a master is like after some edits. */
  public Choices choices(Models.Stored master, List<Edit> edits) {
    List<Edit> all = new ArrayList<>();
    all.add(Edit.of("master.source", "FILE"));
    all.add(Edit.of("master.model", master.id()));
    all.add(Edit.of("master.unitMm", "1"));
    all.addAll(edits);
    return ChoiceWords.edit(Choices.fresh(workshop.current().units()), all, null);
  }
}

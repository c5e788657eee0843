package ungula.server.workshop;

import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.contact.CastingMaterial;
import ungula.core.mould.SheetStock;
import ungula.core.sentence.Word;
import ungula.core.sentence.WordBook;
import ungula.core.working.KeyedBy;
import ungula.core.workshop.Rate;
import ungula.core.workshop.WorkHours;
import ungula.core.workshop.Workshop;

/** The workshop's habits and limits. There is one workshop. */
@RestController
@RequestMapping("/api/workshop")
class WorkshopController {

  private final Habits habits;

  WorkshopController(Habits habits) {
    this.habits = habits;
  }

  /**
   * A row of a table of the workshop's.
   *
   * @param word the words in it begin so
   * @param text what it is of
   */
  record Row(String word, String text) {}

  /**
   * How long work by hand takes.
   *
   * @param word how long
   * @param text what is done
   * @param per what it is counted by; empty when it is done once
   * @param reason what is in it
   */
  record RateRow(String word, String text, String per, String reason) {}

  /**
   * @param sheets boxes are made of
   * @param casts what is cast, with the life of moulds for it
   * @param rates of work by hand
   * @param weekdays with their hours
   */
  record WorkshopResponse(
      int version,
      @KeyedBy("WorkshopWord") Map<String, Word.State> words,
      List<Row> sheets,
      List<Row> casts,
      List<RateRow> rates,
      List<Row> weekdays) {}

  /**
   * @param version the edits were made on
   */
  record WorkshopEdits(int version, List<WordBook.Edit> edits) {}

  @GetMapping
  WorkshopResponse workshop() {
    return response(habits.read());
  }

  @PostMapping("/edits")
  @Transactional
  public WorkshopResponse editWorkshop(@RequestBody WorkshopEdits body) {
    return response(habits.save(body.version(), now -> now.edited(body.edits(), habits.today())));
  }

  private static WorkshopResponse response(Habits.Read read) {
    return new WorkshopResponse(
        read.version(),
        read.workshop().states(),
        Arrays.stream(SheetStock.values()).map(s -> new Row(Workshop.boards(s), s.text())).toList(),
        Arrays.stream(CastingMaterial.values())
            .map(c -> new Row(Workshop.lives(c), c.text()))
            .toList(),
        Arrays.stream(Rate.values())
            .map(r -> new RateRow(Workshop.rates(r), r.text(), r.per(), r.reason()))
            .toList(),
        Arrays.stream(DayOfWeek.values())
            .map(d -> new Row(WorkHours.week(d), WorkHours.name(d)))
            .toList());
  }
}

package ungula.server.mould;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.days.Moments;
import ungula.core.library.Code;
import ungula.core.library.Condition;
import ungula.core.library.Mould;
import ungula.core.library.Wear;
import ungula.core.quantity.Day;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Units;
import ungula.core.sentence.Word;
import ungula.core.sentence.WordBook;
import ungula.core.table.Csv;
import ungula.core.working.KeyedBy;
import ungula.server.mould.Moulds.Now;
import ungula.server.web.Named;

/** The moulds there are: each with its page, found by what it is of, where it lies or its code. */
@RestController
@RequestMapping("/api/moulds")
class MouldController {

  private static final int PAGE = 50;

  private final Moulds moulds;

  MouldController(Moulds moulds) {
    this.moulds = moulds;
  }

  /** Which of them are listed. */
  enum Which {
    IN_USE,
    /** Of those in use, what is used up or torn, or will be soon. */
    WEARING,
    RETIRED
  }

  /**
   * A mould in the list.
   *
   * @param of what it is of
   * @param number among the moulds of its job; 0 where it has none
   * @param job it was made for; null for none
   * @param made day, in words; empty when not known
   * @param gave casts so far
   * @param gives in all, in words; empty when nobody knows
   * @param left in it, in words; empty when nobody knows
   * @param used when it was cast from last, in words; empty when never
   * @param anew when it has to be made anew, in words; empty when that cannot be told
   * @param why that is so, or why it is retired; empty when there is no reason to say
   */
  record MouldListed(
      String code,
      String of,
      int number,
      @Nullable String job,
      String place,
      Condition condition,
      String made,
      String rubber,
      int gave,
      String gives,
      String left,
      String used,
      String anew,
      Wear.State wear,
      String why) {}

  /**
   * @param found so many in all
   * @param moulds some of them, from the one that was asked for on
   * @param counts of each list, whatever is sought
   */
  record MouldList(int found, List<MouldListed> moulds, Map<Which, Integer> counts) {}

  private record Worn(MouldMapper.Row row, Wear wear, String master, Now now) {

    boolean is(Which which) {
      boolean retired = row.retired() != null;
      return switch (which) {
        case IN_USE -> !retired;
        case RETIRED -> retired;
        case WEARING -> !retired && wearing();
      };
    }

    private boolean wearing() {
      Wear.State state = wear.state(now.today());
      return row.condition() != Condition.GOOD
          || state == Wear.State.SOON
          || state == Wear.State.OVER;
    }

    /** Whether all words that are sought stand somewhere in what is known of it. */
    boolean fits(List<String> sought) {
      String all =
          Stream.of(
                  row.code(),
                  row.called(),
                  row.place(),
                  row.rubber(),
                  row.lot(),
                  row.jacket(),
                  row.note(),
                  master)
              .filter(t -> t != null)
              .reduce("", (a, b) -> a + "\n" + b)
              .toLowerCase(Locale.ROOT);
      return sought.stream().allMatch(all::contains);
    }

    LocalDate anew() {
      return wear.anewOn() == null ? LocalDate.MAX : wear.anewOn();
    }

    String nameAndNumber() {
      return row.called().toLowerCase(Locale.ROOT) + " " + String.format("%05d", row.number());
    }
  }

  private Stream<Worn> worn() {
    Map<String, String> masters = moulds.masters();
    Now now = moulds.now();
    return moulds.all().stream().map(r -> worn(r, masters, now));
  }

  private static Worn worn(MouldMapper.Row r, Map<String, String> masters, Now now) {
    return new Worn(r, now.wear(r), masters.getOrDefault(r.jobId(), ""), now);
  }

  /**
   * @param q words that all have to stand in what is known of a mould; empty for all
   * @param from so many are passed over
   */
  @GetMapping
  MouldList moulds(
      @RequestParam(defaultValue = "") String q,
      @RequestParam(defaultValue = "IN_USE") Which which,
      @RequestParam(defaultValue = "0") int from) {
    List<Worn> all = worn().toList();
    String text = Code.read(q).filter(c -> q.contains("/")).orElse(q);
    List<String> sought =
        Stream.of(text.toLowerCase(Locale.ROOT).split("\\s+")).filter(w -> !w.isEmpty()).toList();
    Comparator<Worn> order =
        which == Which.WEARING
            ? Comparator.comparing(Worn::anew).thenComparing(Worn::nameAndNumber)
            : Comparator.comparing(Worn::nameAndNumber);
    List<Worn> found =
        all.stream().filter(w -> w.is(which) && w.fits(sought)).sorted(order).toList();
    return new MouldList(
        found.size(),
        found.stream().skip(Math.max(0, from)).limit(PAGE).map(w -> listed(w)).toList(),
        Map.of(
            Which.IN_USE, count(all, Which.IN_USE),
            Which.WEARING, count(all, Which.WEARING),
            Which.RETIRED, count(all, Which.RETIRED)));
  }

  private static int count(List<Worn> all, Which which) {
    return (int) all.stream().filter(w -> w.is(which)).count();
  }

  private MouldListed listed(Worn w) {
    MouldMapper.Row r = w.row;
    return new MouldListed(
        r.code(),
        r.called(),
        r.jobId() == null ? 0 : r.number(),
        r.jobId(),
        text(r.place()),
        r.condition(),
        r.made() == null ? "" : Day.format(r.made()),
        text(r.rubber()),
        w.wear.gave(),
        r.expects() == null ? "" : String.valueOf(r.expects()),
        left(w.wear),
        r.lastCast() == null ? "" : Day.format(w.now.day(r.lastCast())),
        w.wear.anewOn() == null ? "" : Day.format(w.wear.anewOn()),
        w.wear.state(w.now.today()),
        r.retired() == null ? why(w) : r.retired());
  }

  private static String text(String known) {
    return known == null ? "" : known;
  }

  private static String left(Wear wear) {
    return wear.left() == null ? "" : wear.left() + (wear.left() == 1 ? " cast" : " casts");
  }

  private static String why(Worn w) {
    if (w.row.condition() != Condition.GOOD) {
      return "It is " + w.row.condition().text() + ".";
    }
    LocalDate anew = w.wear.anewOn();
    if (anew == null) {
      return "";
    }
    if (!anew.isAfter(w.now.today())) {
      return anew.equals(w.wear.wornOn()) ? "It gave all it was to give." : "Its rubber is old.";
    }
    return anew.equals(w.wear.wornOn()) ? "By its casts." : "By the age of its rubber.";
  }

  /**
   * What was said of a mould.
   *
   * @param what of it, in words
   */
  record MouldSaid(String at, String who, String what, String said) {}

  /**
   * A mould.
   *
   * @param mould as it is listed
   * @param pace it is cast from, in words; empty while there is none
   * @param worn when it gave all at that pace, in words; empty when that cannot be told
   * @param aged when its rubber is too old, in words; empty when that cannot be told
   * @param retired why it is not used any more; null while it is
   * @param run it was made in; null where nobody followed it at the bench
   * @param master where its master is; empty when nobody said
   * @param said of it, the newest first
   */
  record MouldResponse(
      MouldListed mould,
      @KeyedBy("MouldWord") Map<String, Word.State> words,
      String pace,
      String worn,
      String aged,
      @Nullable String retired,
      @Nullable String run,
      String master,
      List<MouldSaid> said) {}

  /** One mould, by its code as it was typed, or scanned with the address it stands in. */
  @GetMapping("/{code}")
  MouldResponse mould(@PathVariable String code) {
    MouldMapper.Row row = moulds.find(code);
    Worn worn = worn(row, moulds.masters(), moulds.now());
    Wear wear = worn.wear;
    List<MouldSaid> said =
        new ArrayList<>(
            moulds.said(row).stream()
                .map(s -> new MouldSaid(at(s.at(), worn.now), s.who(), what(s.word()), s.said()))
                .toList());
    Collections.reverse(said);
    return new MouldResponse(
        listed(worn),
        row.mould().states(Units.METRIC),
        wear.perYear() == null ? "" : Numbers.significant(wear.perYear(), 2) + " casts a year",
        wear.wornOn() == null ? "" : Day.format(wear.wornOn()),
        wear.agedOn() == null ? "" : Day.format(wear.agedOn()),
        row.retired(),
        row.runId(),
        worn.master,
        List.copyOf(said));
  }

  private static String at(OffsetDateTime at, Now now) {
    return Moments.text(at.atZoneSameInstant(now.zone()).toLocalDateTime());
  }

  private static String what(String word) {
    return word.equals("retired") ? "Retired" : Mould.words().label(word);
  }

  /**
   * A mould that nobody followed at the bench.
   *
   * @param job it was made for; null for none
   * @param of what it is of, where it was made for none
   */
  record NewMould(@Nullable String job, @Nullable String of) {}

  @PostMapping
  MouldResponse addMould(@RequestBody NewMould body) {
    return mould(moulds.add(body.job(), body.of() == null ? "" : body.of()));
  }

  /**
   * @param who says so
   */
  record MouldEdits(@Nullable String who, List<WordBook.Edit> edits) {}

  @PostMapping("/{code}/edits")
  MouldResponse editMould(@PathVariable String code, @RequestBody MouldEdits body) {
    moulds.say(code, body.who() == null ? "" : body.who(), body.edits());
    return mould(code);
  }

  /**
   * @param why it is not used any more; empty where it is used again
   */
  record Retiring(@Nullable String who, String why) {}

  @PostMapping("/{code}/retired")
  MouldResponse retireMould(@PathVariable String code, @RequestBody Retiring body) {
    moulds.retire(code, body.who() == null ? "" : body.who(), body.why());
    return mould(code);
  }

  /** All moulds as a table, the retired ones as well. RFC 4180, UTF-8. */
  @GetMapping(value = "/table.csv", produces = "text/csv;charset=UTF-8")
  ResponseEntity<String> mouldsCsv() {
    List<Map<String, String>> rows =
        worn().sorted(Comparator.comparing(Worn::nameAndNumber)).map(w -> cells(w)).toList();
    return Named.attachment("Moulds.csv").body(Csv.write(rows));
  }

  private Map<String, String> cells(Worn w) {
    MouldListed m = listed(w);
    Map<String, String> row = new LinkedHashMap<>();
    row.put("code", m.code);
    row.put("of", m.of);
    row.put("number", m.number == 0 ? "" : String.valueOf(m.number));
    row.put("where", m.place);
    row.put("condition", m.condition.text());
    row.put("made", m.made);
    row.put("rubber", m.rubber);
    row.put("lot", text(w.row.lot()));
    row.put("jacket", text(w.row.jacket()));
    row.put("casts", String.valueOf(m.gave));
    row.put("casts in all", m.gives);
    row.put("last used", m.used);
    row.put("anew by", m.anew);
    row.put("retired", text(w.row.retired()));
    row.put("note", text(w.row.note()));
    row.put("where its master is", w.master);
    return row;
  }
}

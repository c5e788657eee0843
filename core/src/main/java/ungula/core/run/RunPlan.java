package ungula.core.run;

import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import ungula.core.quantity.Units;
import ungula.core.rubber.Product;
import ungula.core.run.Entry.Ingredient;
import ungula.core.run.Entry.Part;
import ungula.core.working.Figure;
import ungula.core.workshop.Rate;

/**
 * What of a plan is frozen when a run is begun: planned again, it stays what this run went by.
 *
 * @param tasks in the order they are told, each after all that it waits for
 * @param batches in the order they are mixed
 * @param role of what is mixed, for what its parts are called
 * @param pourLineMm as high as rubber stands in the mould; null where there is no box
 * @param insideMm2 area of the box inside; null where there is none, or it was not kept
 * @param casts moulds that are cast from, from 1; empty where a mould is made
 * @param cupFirst whether the scale is believed only once it was set to nothing with the cup on it
 */
public record RunPlan(
    List<Task> tasks,
    List<Batch> batches,
    Product.Role role,
    Units units,
    Double pourLineMm,
    Double insideMm2,
    boolean cupFirst,
    List<Integer> casts) {

  /** Without a box of which something is known, and without casts. */
  public RunPlan(
      List<Task> tasks, List<Batch> batches, Product.Role role, Units units, boolean cupFirst) {
    this(tasks, batches, role, units, null, null, cupFirst, List.of());
  }

  public RunPlan {
    casts = casts == null ? List.of() : List.copyOf(casts);
    tasks = List.copyOf(tasks);
    batches = List.copyOf(batches);
  }

  public enum Kind {
    /** Hands on. */
    HANDS,
    /** The mould works, not you. */
    WAIT,
    /** To be seen to; what is passed without it is written down as skipped. */
    GATE,
    /** Whether something is as it should be. */
    VERDICT,
    /** A batch on the scale. */
    WEIGH,
    /** A batch in the vacuum chamber. */
    DEGAS,
    /** A batch leaves the cup for the box. */
    POUR,
    /** How high the rubber stands. */
    LEVEL,
    /** How a cast came out. */
    RESULT
  }

  /**
   * A step as it was planned.
   *
   * @param key such as {@code pour.1.2.stir}
   * @param part of the work it belongs to, as a heading
   * @param label the same in a few words
   * @param what one imperative sentence, with its own numbers
   * @param why one line of reason; empty where it goes without saying
   * @param minutes it takes, in the room as it was planned
   * @param batch it is done with; empty for none
   * @param shows what one wants to know at that moment, each with its working as planned
   * @param cares what may go wrong at it, in words
   * @param rates of work its time was planned by, minutes for each of what they are counted by
   */
  public record Task(
      String key,
      Kind kind,
      String part,
      String label,
      String what,
      String why,
      double minutes,
      String batch,
      List<After> after,
      List<Figure> shows,
      List<String> cares,
      Map<Rate, Double> rates) {

    /** By no rate of work. */
    public Task(
        String key,
        Kind kind,
        String part,
        String label,
        String what,
        String why,
        double minutes,
        String batch,
        List<After> after,
        List<Figure> shows,
        List<String> cares) {
      this(key, kind, part, label, what, why, minutes, batch, after, shows, cares, Map.of());
    }

    /** What was kept before rates were noted has none. */
    public Task {
      rates =
          rates == null || rates.isEmpty()
              ? Map.of()
              : Collections.unmodifiableMap(new EnumMap<>(rates));
      after = List.copyOf(after);
      shows = List.copyOf(shows);
      cares = List.copyOf(cares);
    }

    /** Whether it asks for enough rubber, and a pack may be picked. */
    public boolean ofLot() {
      return kind == Kind.GATE && key.endsWith("." + Gates.RUBBER);
    }

    /** Something passed with a record where nobody answers it. */
    public boolean asked() {
      return kind == Kind.GATE || kind == Kind.VERDICT || kind == Kind.LEVEL;
    }
  }

  /**
   * What a task waits for.
   *
   * @param begun whether its times count from when the other began; of a batch on the scale that is
   *     when its parts met
   * @param leastMin at least so long after
   * @param mostMin no later than so long after; null when there is no window
   * @param elseMin where that was missed, so long after instead; null where it cannot be missed
   */
  public record After(String task, boolean begun, double leastMin, Double mostMin, Double elseMin) {

    /** As soon as the other is done. */
    public static After end(String task) {
      return new After(task, false, 0, null, null);
    }
  }

  /**
   * Something stirred into a batch.
   *
   * @param share grams of it for each gram of base and hardener
   * @param early whether it is blended into the part that goes in first, before the other follows
   */
  public record Stirred(String name, double share, boolean early) {}

  /**
   * A batch as it was planned.
   *
   * @param key such as {@code pour.1.2}
   * @param pour it belongs to, from 1; of a skin its coat; {@link #CAST} of what is cast
   * @param batch of that pour, from 1; 0 is a sealing pour
   * @param name in words, "batch 2, upper half"
   * @param product what its rubber is called where it is kept; empty where that is not
   * @param baseG of the base, what the sheet names first
   * @param hardenerPerBase grams of the hardener for each gram of the base; 0 where there is none
   * @param hardenerFirst whether the hardener goes into the cup first, and the base follows it
   * @param stirred in, one after the other
   * @param tolerance share of a part's target that is still right
   * @param density of the mix, g/cm³; null where it is not known
   * @param potLifeMin in the room as planned, from when its parts meet; null where it is not known
   * @param roomC as planned
   * @param perTen how many times shorter its pot life is in a room 10 °C warmer
   * @param used key of the task by which it leaves the cup
   * @param rise of the box it goes into; null without one
   */
  public record Batch(
      String key,
      int pour,
      int batch,
      String name,
      String product,
      double baseG,
      double hardenerPerBase,
      boolean hardenerFirst,
      List<Stirred> stirred,
      double tolerance,
      Double density,
      Double potLifeMin,
      double roomC,
      double perTen,
      String used,
      Rise rise) {

    /** No pour of a mould. */
    public static final int CAST = -1;

    public Batch {
      stirred = stirred == null ? List.of() : List.copyOf(stirred);
    }

    /** The part that goes into the cup first. */
    public Part first() {
      return hardenerFirst ? Part.HARDENER : Part.BASE;
    }

    /** The part that follows it. */
    public Part second() {
      return hardenerFirst ? Part.BASE : Part.HARDENER;
    }

    /** Grams of the part that goes in first. */
    public double firstG() {
      return hardenerFirst ? baseG * hardenerPerBase : baseG;
    }

    /** Grams of the part that follows for each gram of the first; 0 where none does. */
    public double secondPerFirst() {
      return hardenerFirst ? 1 / hardenerPerBase : hardenerPerBase;
    }

    /**
     * Whether it can be mixed in one cup with another: of the same, as fast, in the same shares.
     */
    public boolean mixesWith(Batch other) {
      return product.equals(other.product)
          && Objects.equals(potLifeMin, other.potLifeMin)
          && hardenerPerBase == other.hardenerPerBase
          && hardenerFirst == other.hardenerFirst
          && stirred.equals(other.stirred);
    }

    /** Its name as a sentence begins with it. */
    public String title() {
      return name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1);
    }

    /** Its weighing. */
    public String weigh() {
      return key + ".weigh";
    }

    /** What went in first is taken as it is, though it is not what was planned. */
    public String base() {
      return key + ".base";
    }
  }

  /** What something that is weighed is called. */
  public String called(Batch b, Ingredient what) {
    return switch (what.part()) {
      case BASE -> role.first();
      case HARDENER -> role.second();
      case ADDITIVE -> b.stirred.get(what.which()).name();
    };
  }

  /** A part's name in a sentence: "the hardener", "part B". */
  public static String the(String name) {
    return name.startsWith("part ") ? name : "the " + name;
  }

  /** The same at its beginning. */
  static String atFirst(String name) {
    String said = the(name);
    return said.substring(0, 1).toUpperCase(Locale.ROOT) + said.substring(1);
  }

  /** What goes into the cup first is called. */
  public String first(Batch b) {
    return called(b, Ingredient.of(b.first()));
  }

  /** What follows it is called. */
  public String second(Batch b) {
    return called(b, Ingredient.of(b.second()));
  }

  /** Whether a batch is poured onto the first half, the mould turned over. */
  public boolean turned(Batch b) {
    return b.rise != null && b.pour > 1;
  }

  /** A level of a batch's pour above what is the base of the mould as it is drawn, mm. */
  public double drawnMm(Batch b, double mm) {
    return turned(b) ? pourLineMm - mm : mm;
  }

  public Optional<Task> task(String key) {
    return tasks.stream().filter(t -> t.key.equals(key)).findFirst();
  }

  public Optional<Batch> batch(String key) {
    return batches.stream().filter(b -> b.key.equals(key)).findFirst();
  }

  /** Key of the task at which something happened; empty where it belongs to none. */
  public String taskOf(Entry e) {
    if (e instanceof Entry.Gated g) {
      return g.gate();
    } else if (e instanceof Entry.Done d) {
      return batches.stream()
          .filter(b -> b.base().equals(d.step()))
          .map(Batch::weigh)
          .findFirst()
          .orElse(d.step());
    } else if (e instanceof Entry.LeftOut l) {
      return l.step();
    } else if (e instanceof Entry.Judged j) {
      return j.step();
    } else if (e instanceof Entry.Came c) {
      return c.step();
    } else if (e instanceof Entry.Pictured p) {
      return p.step();
    } else if (e instanceof Entry.Weighed w) {
      return batch(w.batch()).map(Batch::weigh).orElse("");
    } else if (e instanceof Entry.StartedOver s) {
      return batch(s.batch()).map(Batch::weigh).orElse("");
    } else if (e instanceof Entry.Shared s) {
      return batch(s.batch()).map(Batch::weigh).orElse("");
    } else if (e instanceof Entry.FedBy f) {
      return batch(f.batch()).map(Batch::weigh).orElse("");
    } else if (e instanceof Entry.LevelRead l) {
      return of(l.batch(), Kind.LEVEL);
    } else if (e instanceof Entry.Foamed f) {
      return of(f.batch(), Kind.DEGAS);
    }
    return "";
  }

  private String of(String batch, Kind kind) {
    return tasks.stream()
        .filter(t -> t.kind == kind && t.batch.equals(batch))
        .map(Task::key)
        .findFirst()
        .orElse("");
  }
}

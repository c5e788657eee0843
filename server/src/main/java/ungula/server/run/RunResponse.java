package ungula.server.run;

import java.util.List;
import org.jspecify.annotations.Nullable;
import ungula.core.run.Clock;
import ungula.core.run.Degas;
import ungula.core.run.Entry;
import ungula.core.run.Level;
import ungula.core.run.RunPlan.Kind;
import ungula.core.run.Weighing;
import ungula.core.working.Figure;
import ungula.server.device.Devices.Scale;

/**
 * A run as it stands. Times are milliseconds of the epoch, and in words by the workshop's clock.
 *
 * @param job it makes the mould of
 * @param version rises with everything that happens
 * @param now when it was asked
 * @param next key of what is to be done next; empty when all is done
 * @param done how many steps are behind, of all
 * @param sharing moulds the batch at the scale can be weighed for as well
 * @param casts moulds that are cast from; empty where one is made
 * @param rehearsal whether nothing of it is kept
 * @param speed of its clock; 1 of one that is kept
 * @param lengthUnit of what is typed without one
 * @param massUnit the same of grams
 */
record RunResponse(
    String id,
    String job,
    String name,
    String begun,
    @Nullable String ended,
    int version,
    long now,
    String next,
    int done,
    String lengthUnit,
    String massUnit,
    List<TaskStep> tasks,
    List<BatchView> batches,
    List<ClockView> clocks,
    List<EntryView> entries,
    @Nullable Weighing weighing,
    List<SharedBatches.SharedMould> sharing,
    List<Integer> casts,
    boolean rehearsal,
    double speed,
    @Nullable Practised exercise) {

  /**
   * An exercise at the bench.
   *
   * @param task what is to be done
   * @param done whether it is
   */
  record Practised(String title, String task, boolean done) {}

  enum Status {
    OPEN,
    READY,
    /** A wait that runs. */
    RUNNING,
    DONE,
    SKIPPED
  }

  /**
   * A step.
   *
   * @param at when it ended; empty while it is open
   * @param takes how long; empty for a look
   * @param first what comes before it and is not done; empty when nothing is
   * @param opens when it may be begun; empty when at once
   * @param notGood when it was last found not to be as it should; empty when it was not
   * @param lot whether a pack may be picked at it
   * @param pictures taken at it, by id
   */
  record TaskStep(
      String key,
      Kind kind,
      String part,
      String label,
      String what,
      String why,
      String batch,
      Status status,
      String at,
      String takes,
      String first,
      String opens,
      String notGood,
      List<Figure> shows,
      List<String> cares,
      boolean lot,
      List<String> pictures) {}

  /**
   * A batch.
   *
   * @param mayTakeBase whether some of the first part is in the cup, which may be taken as it is
   * @param expected level for what is weighed so far; empty where there is none
   * @param drawnMm where it stands on the drawing of the mould; null where there is none
   * @param turned whether it is poured with the mould turned over
   * @param poured whether it is
   * @param level null before it is read
   * @param first what goes into its cup first is called
   * @param stillBase whether something was just taken for the second part
   * @param cup whether there is anything in the cup
   */
  record BatchView(
      String key,
      String name,
      String first,
      boolean turned,
      boolean poured,
      boolean mayTakeBase,
      boolean stillBase,
      boolean cup,
      String expected,
      @Nullable Double drawnMm,
      @Nullable LevelView level,
      Entry.@Nullable Foam foam) {}

  /**
   * @param said in one sentence
   * @param lookAt in this order; empty when all is well
   */
  record LevelView(Level.Verdict verdict, String said, List<String> lookAt) {}

  /**
   * @param from in words
   * @param until in words
   */
  record ClockView(
      String key,
      Clock.What what,
      String label,
      long fromMs,
      long untilMs,
      String from,
      String until,
      List<RingView> rings) {}

  record RingView(long atMs, String says) {}

  /**
   * @param step it happened at; empty for none
   * @param counts false when it was corrected
   * @param correctable whether it may be
   */
  record EntryView(
      int number,
      String step,
      String at,
      String who,
      String text,
      boolean counts,
      boolean correctable) {}

  /**
   * What changes at every moment; sent to all screens.
   *
   * @param version of the run: when it is another, the run is read again
   * @param scale what it shows; empty when it is not heard
   * @param laden whether something stands on the scale
   * @param scaleSays how it is, in words
   * @param elsewhere the job the scale is read for, when that is another; empty else
   * @param others scales that are heard and not read
   * @param weighing what is to be done at the scale; null when nothing is
   * @param speed of the clock of a rehearsal; 1 of one that is kept
   * @param clock what there is to say of the computer's clock; empty for nothing
   */
  record Live(
      int version,
      long now,
      String scale,
      boolean settled,
      boolean laden,
      String scaleSays,
      boolean scaleThere,
      String elsewhere,
      List<Scale> others,
      String room,
      String gauge,
      List<Double> trend,
      @Nullable Degas degas,
      @Nullable Weighing weighing,
      String clock,
      double speed) {}
}

package ungula.server.days;

import java.util.List;
import org.jspecify.annotations.Nullable;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.step.Step;
import ungula.core.working.Figure;

/**
 * When a job is done, day by day. Times are told by the clock of the workshop.
 *
 * @param rule what cannot be kept in the hours of work: then there are no days; empty when all can
 * @param begin when it is begun, such as "Tue 9 Feb 8:30"
 * @param held whether that is later than was said, because of other jobs
 * @param told what it comes to; null where it cannot be kept
 * @param back when to be back at the bench; null when nothing more is to be done
 * @param chain steps that decide the finish, by key
 * @param notes worth knowing
 * @param offers what another beginning or a longer day would give
 * @param schools what each way to follow one coat by the next comes to; none but for a skin
 */
record DaysResponse(
    String rule,
    String begin,
    boolean held,
    @Nullable DaysTold told,
    @Nullable DaysBack back,
    List<DayView> days,
    List<PlacedStep> steps,
    List<String> chain,
    List<DaysNote> notes,
    List<DaysOffer> offers,
    List<SchoolView> schools) {

  /**
   * @param hands work by hand in all
   * @param waits what is waited for in all
   * @param finish when the first cast is out
   */
  record DaysTold(Figure hands, Figure waits, Figure finish) {}

  /**
   * @param name of the weekday
   * @param text day and month
   * @param today whether it is
   * @param hours of work, minutes of the clock
   * @param taken by other jobs, minutes of the clock
   */
  record DayView(
      String date,
      String name,
      String text,
      boolean today,
      List<DayHours> hours,
      List<DayTaken> taken) {}

  record DayHours(int from, int to) {}

  /** Hands that another job has. */
  record DayTaken(int from, int to) {}

  /**
   * @param at when to be back
   * @param what for
   */
  record DaysBack(String at, String what) {}

  /**
   * A step with its time.
   *
   * @param label in a few words
   * @param group it runs with without a break; empty for none
   * @param at when it begins, by the clock alone
   * @param from when it begins, in words
   * @param to when it ends, in words
   * @param begin the same instant
   * @param end the same instant
   * @param pieces of it, by day
   * @param window in which it may begin; null where none closes
   * @param pinned whether somebody said when it begins
   */
  record PlacedStep(
      String key,
      String part,
      String label,
      String what,
      Step.Kind kind,
      String group,
      String at,
      String from,
      String to,
      String begin,
      String end,
      Figure takes,
      List<DayPiece> pieces,
      @Nullable DayPiece window,
      boolean pinned) {}

  /**
   * @param day from 0
   * @param from minute of its clock
   */
  record DayPiece(int day, int from, int to) {}

  /**
   * @param step it happens to, by key
   */
  record DaysNote(String title, String text, String step) {}

  /**
   * @param edits of the job
   * @param hours edits of the workshop
   */
  record DaysOffer(String text, String button, List<Edit> edits, List<Edit> hours) {}

  /**
   * @param text how one coat follows the other
   * @param cured until the skin has cured
   * @param until the same in words
   * @param days with coats
   * @param chosen whether it is so now
   * @param edits that choose it
   */
  record SchoolView(
      String text, Figure cured, String until, int days, boolean chosen, List<Edit> edits) {}
}

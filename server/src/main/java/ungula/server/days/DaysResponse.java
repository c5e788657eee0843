package ungula.server.days;

import java.util.List;
import org.jspecify.annotations.Nullable;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.step.Step;

/**
 * When a job is done, day by day. Times are told by the clock of the workshop.
 *
 * @param fits whether all of it keeps to the hours of work; what is shown else works through breaks
 *     or nights, and says so
 * @param rule what cannot be kept; empty when all can
 * @param begin when it is begun, such as "Tue 9 Feb 8:30"
 * @param finish when it is finished, and what that is
 * @param back when to be back at the bench; null when nothing more is to be done
 * @param hands work by hand in all
 * @param waits what is waited for in all
 * @param chain steps that decide the finish, by key
 * @param notes worth knowing
 * @param offers what another beginning or a longer day would give
 * @param schools what each way to follow one coat by the next comes to; none but for a skin
 */
record DaysResponse(
    boolean fits,
    String rule,
    String begin,
    DaysFinish finish,
    @Nullable DaysBack back,
    String hands,
    String waits,
    List<DayView> days,
    List<PlacedStep> steps,
    List<String> chain,
    List<DaysNote> notes,
    List<DaysOffer> offers,
    List<SchoolView> schools) {

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
   * @param at when
   * @param what comes out then
   */
  record DaysFinish(String at, String what) {}

  /**
   * @param at when to be back
   * @param iso the same instant
   * @param what for
   */
  record DaysBack(String at, String iso, String what) {}

  /**
   * A step with its time.
   *
   * @param label in a few words
   * @param group it runs with without a break; empty for none
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
      String from,
      String to,
      String begin,
      String end,
      String takes,
      List<DayPiece> pieces,
      @Nullable DayPiece window,
      boolean pinned) {}

  /**
   * @param day from 0
   * @param from minute of its clock
   */
  record DayPiece(int day, int from, int to) {}

  record DaysNote(String title, String text) {}

  /**
   * @param edits of the job
   * @param hours edits of the workshop
   */
  record DaysOffer(String text, String button, List<Edit> edits, List<Edit> hours) {}

  /**
   * @param text how one coat follows the other
   * @param cured when the skin has cured, in words
   * @param days with coats
   * @param chosen whether it is so now
   * @param edits that choose it
   */
  record SchoolView(String text, String cured, int days, boolean chosen, List<Edit> edits) {}
}

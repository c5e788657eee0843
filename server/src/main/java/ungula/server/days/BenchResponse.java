package ungula.server.days;

import java.util.List;
import org.jspecify.annotations.Nullable;
import ungula.server.days.DaysResponse.DayView;
import ungula.server.days.DaysResponse.DaysBack;

/**
 * All jobs on one bench.
 *
 * @param days from the first on which something is done to the last
 * @param jobs in the order they are done
 * @param waiting jobs that could be begun, and of which nobody says when
 * @param shares moulds that could be poured of the same batch
 * @param tools there is one of, and when each is in use
 */
record BenchResponse(
    List<DayView> days,
    List<BenchJob> jobs,
    List<WaitingJob> waiting,
    List<Share> shares,
    List<Tool> tools) {

  /**
   * @param begin in words
   * @param finish in words; empty while its days are not known
   * @param back when to be at it next; null when nothing more is to be done
   * @param later how much later it is finished than it would be alone; empty when it is not
   * @param fits whether it keeps to the hours of work
   */
  record BenchJob(
      String id,
      String name,
      String begin,
      String finish,
      @Nullable DaysBack back,
      String later,
      boolean fits,
      List<BenchBar> bars) {}

  /**
   * A part of a step on a day.
   *
   * @param day from 0
   * @param from minute of its clock
   */
  record BenchBar(String label, boolean hands, int day, int from, int to) {}

  /**
   * @param first what is done first, and how long it takes
   */
  record WaitingJob(String id, String name, String first) {}

  /**
   * @param text which jobs pour what when
   * @param product by id
   */
  record Share(String text, String product) {}

  /**
   * @param name such as "chamber"
   * @param text when it is used, or that it is idle
   */
  record Tool(String name, String text) {}

  /**
   * What rings.
   *
   * @param now by the clock of the server, which may not be that of the page
   * @param alarms in turn
   */
  record AlarmsResponse(String now, List<Alarm> alarms) {}

  /**
   * The end of a wait.
   *
   * @param at the instant
   * @param text what is over
   */
  record Alarm(String at, String job, String name, String text) {}

  /**
   * What there is to do between two times of a day.
   *
   * @param planned what is planned then
   * @param free minutes in which hands have nothing planned
   * @param could what else fits into them: first steps of jobs nobody has begun
   */
  record Between(String from, String to, List<String> planned, int free, List<String> could) {}
}

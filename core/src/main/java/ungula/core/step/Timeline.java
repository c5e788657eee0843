package ungula.core.step;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import ungula.core.step.Step.After;

/**
 * When each step of a job can be done, by one person who does them in the order they are told, as
 * early as can be. Work by hand keeps within the hours of a day; waits run through the night.
 * Minutes from the first step, which is begun as a day of work begins. Days off are not known here.
 */
public final class Timeline {

  /** Hours of work in a day. */
  public static final double WORKING_MIN = 9 * 60;

  static final double DAY_MIN = 24 * 60;

  /** Rounding of sums of minutes. */
  private static final double ROUNDING = 1e-9;

  /**
   * @param nextDay whether it waits for the morning of a later day
   */
  public record Span(double beginMin, double endMin, boolean nextDay) {}

  private final List<Step> steps;
  private final Map<String, Span> spans = new LinkedHashMap<>();
  private double free;

  private Timeline(List<Step> steps) {
    this.steps = steps;
  }

  /**
   * @param steps each after all that it waits for
   */
  static Timeline of(List<Step> steps) {
    Timeline t = new Timeline(steps);
    for (int i = 0; i < steps.size(); ) {
      int to = t.groupEnd(i);
      t.place(steps.subList(i, to));
      i = to;
    }
    return t;
  }

  private int groupEnd(int from) {
    String group = steps.get(from).unbroken();
    int to = from + 1;
    while (!group.isEmpty() && to < steps.size() && steps.get(to).unbroken().equals(group)) {
      to++;
    }
    return to;
  }

  /** Steps that run without a break, or one alone. */
  private void place(List<Step> group) {
    Step first = group.get(0);
    boolean work = group.stream().anyMatch(Step::byHand);
    double length = group.stream().mapToDouble(s -> s.takes().minutes()).sum();
    double begin = earliest(first);
    boolean nextDay = false;
    if (work) {
      begin = working(Math.max(begin, free), length);
      for (After a : first.after()) {
        boolean other = a.nextDayMin() != null;
        if (other && (a.mostMin() == null || day(begin) > day(from(a)))) {
          nextDay = true;
          begin = working(Math.max(begin, morning(from(a) + a.nextDayMin(), from(a))), length);
        }
      }
    }
    double at = begin;
    for (Step s : group) {
      double end = group.size() == 1 && work ? worked(at, length) : at + s.takes().minutes();
      spans.put(s.key(), new Span(at, end, nextDay && s == first));
      at = end;
    }
    if (work) {
      free = at;
    }
  }

  private double earliest(Step step) {
    return step.after().stream().mapToDouble(a -> from(a) + a.leastMin()).max().orElse(0);
  }

  private double from(After a) {
    Span other = spans.get(a.key());
    return a.from() == After.From.BEGIN ? other.beginMin : other.endMin;
  }

  /** Which day a time is on, from 0. */
  static double day(double min) {
    return Math.floor((min + ROUNDING) / DAY_MIN);
  }

  /** The beginning of the first day after one that is no earlier than a time. */
  private static double morning(double least, double after) {
    double next = (day(after) + 1) * DAY_MIN;
    return Math.max(next, Math.ceil((least - ROUNDING) / DAY_MIN) * DAY_MIN);
  }

  /** From when on so much is done within the hours of one day, or begun as one begins. */
  private static double working(double earliest, double length) {
    double within = earliest - day(earliest) * DAY_MIN;
    boolean fits = within + length <= WORKING_MIN + ROUNDING || within < ROUNDING;
    return fits ? earliest : (day(earliest) + 1) * DAY_MIN;
  }

  /** When work alone that is longer than a day is done, going on each morning. */
  private static double worked(double begin, double length) {
    double at = begin;
    double left = length;
    while (left > WORKING_MIN + ROUNDING) {
      left -= WORKING_MIN;
      at = (day(at) + 1) * DAY_MIN;
    }
    return at + left;
  }

  /** Of each step, by its key, in the order they are told. */
  public Map<String, Span> spans() {
    return spans;
  }

  public Span of(String key) {
    return spans.get(key);
  }

  /** When the last step is done; 0 without any. */
  public double endMin() {
    return spans.values().stream().mapToDouble(Span::endMin).max().orElse(0);
  }
}

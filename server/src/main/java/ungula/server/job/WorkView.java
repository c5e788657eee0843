package ungula.server.job;

import java.util.Optional;
import ungula.server.job.Studies.Question;
import ungula.server.task.Tasks.TaskView;

/**
 * How far the answer to a question of the shape is.
 *
 * @param doing what it is at
 * @param fraction of the whole
 * @param problem why it failed
 */
public record WorkView(State state, String doing, double fraction, String problem) {

  public enum State {
    /** There is no shape to ask about. */
    NONE,
    /** Nobody has asked yet. */
    OPEN,
    WORKING,
    READY,
    STOPPED,
    FAILED
  }

  /**
   * @param question empty without a shape
   * @param ready whether the whole answer is known
   */
  public static WorkView of(
      Optional<? extends Question<?>> question, boolean ready, Studies studies) {
    TaskView task = ready ? null : question.flatMap(studies::last).orElse(null);
    State state =
        question
            .map(q -> ready ? State.READY : state(task, studies.known(q).isPresent()))
            .orElse(State.NONE);
    return new WorkView(
        state,
        task == null ? "" : task.doing(),
        task == null ? 0 : task.fraction(),
        task == null ? "" : task.problem());
  }

  /**
   * @param now the answer is known by now, though it was not when its content was looked for: the
   *     next look has it
   */
  private static State state(TaskView task, boolean now) {
    if (task == null) {
      return State.OPEN;
    }
    return switch (task.state()) {
      case RUNNING -> State.WORKING;
      case CANCELLED -> State.STOPPED;
      case FAILED -> State.FAILED;
      case DONE -> now ? State.WORKING : State.OPEN;
    };
  }
}

package ungula.core.pour;

import java.util.List;

/**
 * The batches of a plan.
 *
 * @param each in the order they are mixed; empty while nothing can be weighed
 * @param reason why they are no larger, as a sentence; empty when one does, or when their number
 *     was asked for
 * @param fewer what would make fewer of them do, in words
 */
public record Batches(List<PlannedBatch> each, String reason, List<String> fewer) {

  public static final Batches NONE = new Batches(List.of(), "", List.of());
}

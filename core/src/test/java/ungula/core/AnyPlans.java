package ungula.core;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import ungula.core.job.JobPlan;

/** Plans at random in the usual workshop, made once for all tests that look at some. */
public final class AnyPlans {

  private static final Random RANDOM = new Random(60);
  private static final List<Planned> MADE = new ArrayList<>();

  private AnyPlans() {}

  public record Planned(AnyPlan any, JobPlan plan) {}

  /** Always the same. */
  public static synchronized List<Planned> first(int count) {
    List<AnyPlan> more =
        Stream.generate(() -> AnyPlan.any(RANDOM)).limit(Math.max(0, count - MADE.size())).toList();
    MADE.addAll(more.parallelStream().map(any -> new Planned(any, any.plan())).toList());
    return List.copyOf(MADE.subList(0, count));
  }
}

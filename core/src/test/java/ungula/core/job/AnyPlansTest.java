package ungula.core.job;

import static ungula.core.PlanCount.SMALL;

import java.io.IOException;
import java.util.List;
import org.testng.annotations.Test;
import ungula.core.AnyPlans;
import ungula.core.Golden;
import ungula.core.PlanCount;

/** What plans at random come to. */
public class AnyPlansTest {

  @Test
  public void theyComeToWhatTheyCameTo() throws IOException {
    PlanCount count = new PlanCount();
    List<AnyPlans.Planned> any = AnyPlans.first(500);
    for (int i = 0; i < any.size(); i++) {
      count.count(i % 2 == 0 ? any.get(i).plan() : any.get(i).any().plan(SMALL));
    }
    Golden.same(AnyPlansTest.class, "plans.txt", count.said());
  }
}

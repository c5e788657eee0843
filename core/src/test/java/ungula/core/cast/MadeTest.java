package ungula.core.cast;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import ungula.core.cast.Made.Cast;
import ungula.core.cast.Made.Result;

public class MadeTest {

  private static final Instant AT = Instant.parse("2027-03-01T07:00:00Z");

  private static Cast cast(int number, int mould, Result result, Double grams) {
    return new Cast(number, AT, "MB", mould, result, grams, "", 0);
  }

  private static Cast strike(int number, int of) {
    return new Cast(number, AT, "MB", 1, Result.STRUCK, null, "pressed by mistake", of);
  }

  @Test
  public void whatIsStruckDoesNotCountAndStays() {
    List<Cast> all = new ArrayList<>();
    all.add(cast(1, 1, Result.GOOD, 151.0));
    all.add(cast(2, 2, Result.SCRAP, null));
    all.add(cast(3, 1, Result.REPAIR, 149.0));
    Made before = new Made(all);
    assertEquals(before.usable(), 2);
    assertEquals(before.count(Result.SCRAP), 1);
    assertEquals(before.of(1), 2);
    assertEquals(before.of(2), 1);
    assertEquals(before.lastG(), Optional.of(149.0));
    all.add(strike(4, 3));
    Made after = new Made(all);
    assertEquals(after.casts().size(), 4);
    assertEquals(after.usable(), 1);
    assertEquals(after.of(1), 1);
    assertEquals(after.lastG(), Optional.of(151.0));
    assertEquals(after.strike(all.get(2)).orElseThrow().why(), "pressed by mistake");
    assertTrue(after.strike(all.get(0)).isEmpty());
  }

  @Test
  public void beforeTheFirstThereIsNothing() {
    Made none = new Made(List.of());
    assertEquals(none.usable(), 0);
    assertTrue(none.lastG().isEmpty());
  }
}

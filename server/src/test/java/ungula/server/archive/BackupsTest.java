package ungula.server.archive;

import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.testng.annotations.Test;

/** When a backup is made by itself. */
public class BackupsTest {

  private static final Instant NOW = Instant.parse("2027-03-01T07:00:00Z");

  @Test
  public void oneIsDueOnceADay() {
    assertTrue(Backups.due(Optional.empty(), NOW));
    assertTrue(Backups.due(Optional.of(NOW.minus(Duration.ofHours(24))), NOW));
    assertFalse(Backups.due(Optional.of(NOW.minus(Duration.ofHours(24)).plusMillis(1)), NOW));
  }
}

package ungula.server.device;

import java.util.Optional;
import ungula.core.device.DeviceKind;
import ungula.core.device.Reading;

/** What is read at a bench: the workshop's devices, or the stand-ins of a rehearsal. */
public interface Instruments {

  /** Whether there is one of a kind. */
  boolean there(DeviceKind kind);

  /** What one of a kind says now; empty while none is heard. */
  Optional<Reading> says(DeviceKind kind);

  /**
   * Sets the scale to nothing.
   *
   * @return whether it did; empty when none answers
   */
  Optional<Boolean> tare();
}

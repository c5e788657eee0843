package ungula.server.device;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import ungula.core.device.DeviceKind;
import ungula.core.device.Reading;
import ungula.core.device.StandIn;
import ungula.core.device.StandInGauge;
import ungula.core.device.StandInRoom;
import ungula.core.device.StandInScale;

/** Stand-ins of one rehearsal. A hand works them, and they follow real time. */
public final class Rehearsed implements Instruments {

  private final Map<DeviceKind, StandIn> devices = new EnumMap<>(DeviceKind.class);
  private long lastNanos = System.nanoTime();

  /**
   * @param seed of what is chance in them
   */
  public Rehearsed(long seed) {
    devices.put(DeviceKind.SCALE, StandInScale.usual(seed));
    devices.put(DeviceKind.GAUGE, StandInGauge.usual(seed));
    devices.put(DeviceKind.ROOM, StandInRoom.usual(seed));
  }

  private void pass() {
    long nanos = System.nanoTime();
    double seconds = (nanos - lastNanos) / 1e9;
    lastNanos = nanos;
    devices.values().forEach(d -> d.pass(seconds));
  }

  /** What a hand does to one; what was done, or what could be. */
  public synchronized String hand(DeviceKind kind, String deed) {
    pass();
    return devices.get(kind).hand(deed);
  }

  @Override
  public boolean there(DeviceKind kind) {
    return true;
  }

  @Override
  public synchronized Optional<Reading> says(DeviceKind kind) {
    pass();
    return Reading.of(devices.get(kind).line());
  }

  @Override
  public synchronized Optional<Boolean> tare() {
    pass();
    String answer = devices.get(DeviceKind.SCALE).hear("T");
    return answer.isEmpty() ? Optional.empty() : Optional.of(answer.equals("T OK"));
  }
}

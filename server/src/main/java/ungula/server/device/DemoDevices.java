package ungula.server.device;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import ungula.core.device.DeviceKind;
import ungula.core.device.StandIn;
import ungula.core.device.StandInGauge;
import ungula.core.device.StandInRoom;
import ungula.core.device.StandInScale;

/** Stand-ins of the made-up shelf: heard over the same line as a real device. */
@Component
@ConditionalOnProperty("ungula.demo")
class DemoDevices {

  private static final long SEED = 1;

  private final Devices devices;
  private final Map<DeviceKind, StandInDoor> doors = new EnumMap<>(DeviceKind.class);

  DemoDevices(Devices devices) {
    this.devices = devices;
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() throws IOException {
    for (DeviceKind kind : DeviceKind.values()) {
      StandInDoor door = new StandInDoor(standIn(kind), 0);
      doors.put(kind, door);
      devices.standIn(kind, "made-up " + kind.text(), door.port());
    }
  }

  private static StandIn standIn(DeviceKind kind) {
    return switch (kind) {
      case SCALE -> StandInScale.usual(SEED);
      case GAUGE -> StandInGauge.usual(SEED);
      case ROOM -> StandInRoom.usual(SEED);
    };
  }

  /** What a hand does to one; empty when there is none. */
  Optional<String> hand(DeviceKind kind, String deed) {
    return Optional.ofNullable(doors.get(kind)).map(d -> d.hand(deed));
  }

  @PreDestroy
  void end() throws IOException {
    for (StandInDoor door : doors.values()) {
      door.close();
    }
  }
}

package ungula.server.device;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import ungula.core.device.DeviceKind;
import ungula.core.device.Reading;
import ungula.server.web.Problem;

/** The devices of the workshop, each listened to by itself. */
@Component
public class Devices implements Instruments {

  /** What others want to know of devices; told on the device's own thread. */
  public interface Listener {
    void heard(DeviceKind kind, Instant at, Reading reading);

    void lost(DeviceKind kind, Instant at);

    /** Another scale is read from here on; told before its first reading is. */
    void switched(Instant at, String scale);
  }

  /** A scale there is beside the one that is read. */
  public record Scale(String id, String name) {}

  /**
   * A device and how it is.
   *
   * @param builtIn whether it is a stand-in of the made-up shelf
   * @param counts whether it is the one of its kind that is read
   */
  record Device(DeviceMapper.Row row, boolean builtIn, Connection.Health health, boolean counts) {}

  private record Kept(DeviceMapper.Row row, boolean builtIn, Connection connection) {}

  private final DeviceMapper mapper;
  private final Clock clock;
  private final Map<String, Kept> all = new LinkedHashMap<>();

  /** Which scale is read; null before one is heard. It stays until another is taken. */
  private String picked;

  private final List<Listener> listeners = new CopyOnWriteArrayList<>();

  Devices(DeviceMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  public void listen(Listener listener) {
    listeners.add(listener);
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    picked = mapper.picked();
    mapper.all().forEach(row -> open(row, false));
  }

  @PreDestroy
  synchronized void end() {
    all.values().forEach(k -> k.connection.close());
  }

  private final class Ear implements Connection.Ear {
    @Override
    public void heard(Connection of, Instant at, Reading reading) {
      if (first(of.kind()).filter(c -> c == of).isPresent()) {
        if (of.kind() == DeviceKind.SCALE) {
          reads(of).ifPresent(name -> listeners.forEach(l -> l.switched(at, name)));
        }
        listeners.forEach(l -> l.heard(of.kind(), at, reading));
      }
    }

    @Override
    public void lost(Connection of, Instant at) {
      if (first(of.kind()).filter(c -> c == of || !c.health().heard()).isPresent()) {
        listeners.forEach(l -> l.lost(of.kind(), at));
      }
    }
  }

  /**
   * The first that is heard is read from then on: another knows nothing of what it was set to.
   *
   * @return what a scale is called that was not read before
   */
  private synchronized Optional<String> reads(Connection scale) {
    if (picked != null && all.containsKey(picked)) {
      return Optional.empty();
    }
    Optional<Kept> kept = all.values().stream().filter(k -> k.connection == scale).findFirst();
    kept.ifPresent(k -> pick(k.row.id()));
    return kept.map(k -> k.row.name());
  }

  private void pick(String id) {
    picked = id;
    mapper.pick(id);
  }

  /** Reads a scale in place of another. */
  public void take(String id) {
    Device to = find(id);
    if (!to.row.kind().equals(DeviceKind.SCALE.name())) {
      throw Problem.gone("This scale");
    }
    synchronized (this) {
      if (id.equals(picked)) {
        return;
      }
      pick(id);
    }
    listeners.forEach(l -> l.switched(clock.instant(), to.row.name()));
  }

  /** Scales that are heard beside the one that is read. */
  public synchronized List<Scale> otherScales() {
    Optional<Connection> counts = first(DeviceKind.SCALE);
    return all.values().stream()
        .filter(k -> k.connection.kind() == DeviceKind.SCALE && k.connection.health().heard())
        .filter(k -> counts.filter(c -> c == k.connection).isEmpty())
        .map(k -> new Scale(k.row.id(), k.row.name()))
        .toList();
  }

  /** The one that counts of several: the scale that was picked, else the first that is heard. */
  private synchronized Optional<Connection> first(DeviceKind kind) {
    Kept pick = kind == DeviceKind.SCALE && picked != null ? all.get(picked) : null;
    if (pick != null) {
      return Optional.of(pick.connection);
    }
    List<Connection> its =
        all.values().stream().map(Kept::connection).filter(c -> c.kind() == kind).toList();
    return its.stream()
        .filter(c -> c.health().heard())
        .findFirst()
        .or(() -> its.stream().findFirst());
  }

  private boolean counts(Connection c) {
    return first(c.kind()).filter(its -> its == c).isPresent();
  }

  private synchronized void open(DeviceMapper.Row row, boolean builtIn) {
    Connection c =
        new Connection(DeviceKind.valueOf(row.kind()), row.host(), row.port(), clock, new Ear());
    Kept before = all.put(row.id(), new Kept(row, builtIn, c));
    if (before != null) {
      before.connection.close();
    }
    c.begin();
  }

  /** A stand-in that is not kept. */
  void standIn(DeviceKind kind, String name, int port) {
    open(new DeviceMapper.Row(kind.name(), kind.name(), name, "127.0.0.1", port), true);
  }

  synchronized List<Device> all() {
    return all.values().stream()
        .map(k -> new Device(k.row, k.builtIn, k.connection.health(), counts(k.connection)))
        .toList();
  }

  Device add(DeviceKind kind, String name, String host, int port) {
    DeviceMapper.Row row =
        new DeviceMapper.Row(UUID.randomUUID().toString(), kind.name(), name, host, port);
    mapper.add(row);
    open(row, false);
    return find(row.id());
  }

  Device change(String id, String name, String host, int port) {
    Device now = find(id);
    DeviceMapper.Row row = new DeviceMapper.Row(id, now.row.kind(), name, host, port);
    if (now.builtIn || mapper.save(row) == 0) {
      throw Problem.gone("A device of your own");
    }
    open(row, false);
    return find(id);
  }

  synchronized void remove(String id) {
    find(id);
    mapper.remove(id);
    all.remove(id).connection.close();
  }

  Device find(String id) {
    return all().stream()
        .filter(d -> d.row.id().equals(id))
        .findFirst()
        .orElseThrow(() -> Problem.gone("This device"));
  }

  @Override
  public boolean there(DeviceKind kind) {
    return first(kind).isPresent();
  }

  @Override
  public Optional<Reading> says(DeviceKind kind) {
    return first(kind)
        .map(Connection::health)
        .filter(Connection.Health::heard)
        .map(Connection.Health::reading);
  }

  @Override
  public Optional<Boolean> tare() {
    return first(DeviceKind.SCALE).flatMap(Connection::tare);
  }
}

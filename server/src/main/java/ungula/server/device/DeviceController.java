package ungula.server.device;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.device.DeviceKind;
import ungula.core.device.Reading;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Temperature;
import ungula.core.quantity.Units;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** Devices at the bench, and how they are. */
@RestController
@RequestMapping("/api/devices")
class DeviceController {

  private static final Pattern ADDRESS = Pattern.compile("([A-Za-z0-9.-]{1,110}):(\\d{1,5})");
  private static final int MOST_NAME = 60;
  private static final int MOST_PORT = 65_535;

  private final Devices devices;
  private final Optional<DemoDevices> demo;
  private final Habits workshop;

  DeviceController(Devices devices, Optional<DemoDevices> demo, Habits workshop) {
    this.devices = devices;
    this.demo = demo;
    this.workshop = workshop;
  }

  /**
   * @param kind in words
   * @param address host and port
   * @param builtIn whether it is a stand-in of the made-up shelf
   * @param heard whether it is heard now
   * @param says what it said last; empty before
   * @param trouble why it is not heard; empty when it is
   * @param ignored lines that were none of such a device
   * @param counts whether it is the one of its kind that the bench reads
   */
  record DeviceView(
      String id,
      DeviceKind kind,
      String text,
      String name,
      String address,
      boolean builtIn,
      boolean heard,
      String says,
      String trouble,
      long ignored,
      boolean counts) {}

  /**
   * What a device said when it was asked once.
   *
   * @param line as it came; empty when none did
   * @param says what that means; empty when it is no reading
   * @param trouble why there is no reading; empty when there is
   */
  record ReadOnce(String line, String says, String trouble) {}

  /**
   * @param address host and port, as typed
   */
  record NewDevice(DeviceKind kind, @Nullable String name, String address) {}

  /**
   * @param deed such as "put 45"
   */
  record Deed(String deed) {}

  /**
   * @param said what was done, or what could be
   */
  record DeedDone(String said) {}

  @GetMapping
  List<DeviceView> devices() {
    return devices.all().stream().map(this::view).toList();
  }

  private DeviceView view(Devices.Device d) {
    Connection.Health h = d.health();
    DeviceKind kind = DeviceKind.valueOf(d.row().kind());
    return new DeviceView(
        d.row().id(),
        kind,
        kind.text(),
        d.row().name(),
        d.row().host() + ":" + d.row().port(),
        d.builtIn(),
        h.heard(),
        h.reading() == null ? "" : says(h.reading(), workshop.current().units()),
        h.trouble(),
        h.ignored(),
        d.counts());
  }

  /** What a device says, in words. */
  static String says(Reading r, Units units) {
    if (r instanceof Reading.Weight w) {
      return Numbers.fixed(w.grams(), 1) + " g" + (w.settled() ? ", still" : ", moving");
    } else if (r instanceof Reading.Pressure p) {
      return p.absolute()
          ? Numbers.fixed(p.kPa(), 1) + " kPa"
          : Numbers.fixed(-p.kPa(), 1) + " kPa below the air outside";
    } else if (r instanceof Reading.Room room) {
      return Temperature.format(room.degreesC(), units)
          + ", "
          + Numbers.fixed(room.humidityPct(), 0)
          + " % humidity";
    }
    return "more on it than it carries";
  }

  @PostMapping
  DeviceView addDevice(@RequestBody NewDevice body) {
    Matcher at = address(body.address());
    return view(devices.add(body.kind(), name(body), at.group(1), Integer.parseInt(at.group(2))));
  }

  /** Waits for one reading of a device, kept or not yet, and says what came. */
  @PostMapping("/readings")
  ReadOnce readDevice(@RequestBody NewDevice body) {
    Matcher at = address(body.address());
    Connection.Once once = Connection.once(body.kind(), at.group(1), Integer.parseInt(at.group(2)));
    return new ReadOnce(
        once.line(),
        once.reading() == null ? "" : says(once.reading(), workshop.current().units()),
        once.trouble());
  }

  /** Names a device anew, or listens to it at another address. */
  @PostMapping("/{id}")
  DeviceView changeDevice(@PathVariable String id, @RequestBody NewDevice body) {
    Matcher at = address(body.address());
    return view(devices.change(id, name(body), at.group(1), Integer.parseInt(at.group(2))));
  }

  private static String name(NewDevice body) {
    String name = body.name() == null ? "" : body.name().strip();
    return name.isEmpty()
        ? body.kind().text()
        : name.substring(0, Math.min(MOST_NAME, name.length()));
  }

  private static Matcher address(String typed) {
    Matcher m = ADDRESS.matcher(typed == null ? "" : typed.strip());
    if (!m.matches() || Integer.parseInt(m.group(2)) > MOST_PORT || m.group(2).matches("0+")) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "Not an address",
          "“"
              + typed
              + "” is no address of a device: give host and port, such as 192.168.1.20:4001.");
    }
    return m;
  }

  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeDevice(@PathVariable String id) {
    devices.remove(id);
  }

  /** What a hand does to a stand-in. */
  @PostMapping("/stand-ins/{kind}")
  DeedDone handStandIn(@PathVariable DeviceKind kind, @RequestBody Deed body) {
    return new DeedDone(
        demo.flatMap(d -> d.hand(kind, body.deed())).orElseThrow(() -> Problem.gone("A stand-in")));
  }
}

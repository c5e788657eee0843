package ungula.server.run;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import ungula.core.device.DeviceKind;
import ungula.core.device.Reading;
import ungula.core.quantity.Vacuum;
import ungula.core.run.Bench;
import ungula.core.run.Degas;
import ungula.server.device.Devices;
import ungula.server.workshop.Habits;

/** What scale, gauge and thermometer say goes to the run at the scale. */
@Component
class RunReadings implements Devices.Listener {

  private static final Logger LOG = LoggerFactory.getLogger(RunReadings.class);

  private final Runs runs;
  private final Devices devices;
  private final Habits workshop;
  private final Trend trend = new Trend();

  RunReadings(Runs runs, Devices devices, Habits workshop) {
    this.runs = runs;
    this.devices = devices;
    this.workshop = workshop;
    devices.listen(this);
  }

  @Override
  public void heard(DeviceKind kind, Instant at, Reading reading) {
    if (reading instanceof Reading.Pressure p) {
      trend.add(new Degas.Point(at, Degas.absoluteKpa(p, airKpa())));
    }
    if (kind != DeviceKind.GAUGE) {
      said(b -> b.read(at, reading));
    }
    runs.changed();
  }

  @Override
  public void switched(Instant at, String scale) {
    zeroLost("", at, scale);
    runs.changed();
  }

  /**
   * What runs go by that was on the scale counts no more.
   *
   * @param but the run for which it does
   * @param scale that is read in place of the one before; empty for the same
   */
  void zeroLost(String but, Instant at, String scale) {
    for (RunMapper.Listed r : runs.going()) {
      try {
        if (!r.id().equals(but)) {
          runs.keep(runs.find(r.id()), null, "", b -> b.zeroLost(at, scale));
        }
      } catch (Bench.Refused | RuntimeException e) {
        LOG.error("A run does not know that the scale is another", e);
      }
    }
  }

  /** Scales that are heard and not read. */
  List<Devices.Scale> otherScales() {
    return devices.otherScales();
  }

  @Override
  public void lost(DeviceKind kind, Instant at) {
    if (kind == DeviceKind.SCALE) {
      said(b -> b.lost(at, "scale"));
    }
    runs.changed();
  }

  private void said(Runs.Doing doing) {
    try {
      Optional<String> run = runs.atScale();
      if (run.isPresent()) {
        runs.keep(runs.find(run.get()), null, "", doing);
      }
    } catch (Bench.Refused no) {
      // an overload shows on the scale itself
    } catch (RuntimeException e) {
      LOG.error("A reading was not kept", e);
    }
  }

  /** Outside, where the workshop lies. */
  double airKpa() {
    return Vacuum.airKpa(workshop.current().air().altitudeM());
  }

  /** What the gauge of a run showed lately, the oldest first. */
  List<Degas.Point> trend(Going g) {
    return g.rehearsal == null ? trend.points() : g.rehearsal.trend.points();
  }
}

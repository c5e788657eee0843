package ungula.core.device;

import ungula.core.quantity.Choosable;

/** What is heard at the bench. */
public enum DeviceKind implements Choosable {
  SCALE("scale"),
  GAUGE("vacuum gauge"),
  ROOM("thermometer");

  private final String text;

  DeviceKind(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }

  /** Whether a reading is of such a device. */
  public boolean says(Reading reading) {
    return switch (this) {
      case SCALE -> reading instanceof Reading.Weight || reading instanceof Reading.Overload;
      case GAUGE -> reading instanceof Reading.Pressure;
      case ROOM -> reading instanceof Reading.Room;
    };
  }
}

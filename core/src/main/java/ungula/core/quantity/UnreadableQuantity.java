package ungula.core.quantity;

/** Text that is not the quantity asked for. The message says what would be. */
public class UnreadableQuantity extends IllegalArgumentException {

  public UnreadableQuantity(String message) {
    super(message);
  }
}

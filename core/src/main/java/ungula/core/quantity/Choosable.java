package ungula.core.quantity;

/** Implemented by enums whose constants are chosen by name in a sentence. */
public interface Choosable {

  /** As it stands in the sentence. */
  String text();
}

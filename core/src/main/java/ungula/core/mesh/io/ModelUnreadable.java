package ungula.core.mesh.io;

/** A file that is not a model Ungula can read. The message says what, where and what to do. */
public class ModelUnreadable extends Exception {

  public ModelUnreadable(String message) {
    super(message);
  }
}

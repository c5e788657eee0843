package ungula.core.mesh.io;

/** The file formats read. */
public enum ModelFormat {
  STL_ASCII("STL (text)"),
  STL_BINARY("STL (binary)"),
  OBJ("OBJ"),
  PLY("PLY"),
  OFF("OFF"),
  THREE_MF("3MF");

  private final String title;

  ModelFormat(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }
}

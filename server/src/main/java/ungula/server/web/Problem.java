package ungula.server.web;

import org.springframework.http.HttpStatus;

/** Something the user can be told and can act on. Becomes a problem detail (RFC 9457). */
public class Problem extends RuntimeException {

  private final HttpStatus status;
  private final String title;
  private final String word;

  public Problem(HttpStatus status, String title, String detail) {
    this(status, title, detail, null);
  }

  /**
   * @param word the word of the sentence it is about
   */
  public Problem(HttpStatus status, String title, String detail, String word) {
    super(detail);
    this.status = status;
    this.title = title;
    this.word = word;
  }

  public static Problem gone(String what) {
    return new Problem(
        HttpStatus.NOT_FOUND, "Not here", what + " is not here. It may have been removed.");
  }

  public static Problem conflict(String what) {
    return new Problem(
        HttpStatus.CONFLICT,
        "Changed in another window",
        what
            + " was changed in another window meanwhile. That change is shown now; yours was not"
            + " made. Look, then make it again.");
  }

  HttpStatus status() {
    return status;
  }

  String title() {
    return title;
  }

  String word() {
    return word;
  }
}

package ungula.server.web;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;

/** Files that leave under a name of their own. */
public final class Named {

  private Named() {}

  /** An answer to be saved as a file. */
  public static ResponseEntity.BodyBuilder attachment(String name) {
    return with(ContentDisposition.attachment(), name);
  }

  /** An answer to be looked at, and saved under the name. */
  public static ResponseEntity.BodyBuilder inline(String name) {
    return with(ContentDisposition.inline(), name);
  }

  private static ResponseEntity.BodyBuilder with(ContentDisposition.Builder how, String name) {
    String named = how.filename(name, StandardCharsets.UTF_8).build().toString();
    return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, named);
  }
}

package ungula.server.web;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import javax.imageio.ImageIO;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;

/** Files that leave under a name of their own, and pictures. */
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

  /** A PNG whose address names all it depends on. */
  public static ResponseEntity<byte[]> picture(BufferedImage image) throws IOException {
    return ResponseEntity.ok()
        .cacheControl(CacheControl.maxAge(Duration.ofDays(365)))
        .body(png(image));
  }

  public static byte[] png(BufferedImage image) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  private static ResponseEntity.BodyBuilder with(ContentDisposition.Builder how, String name) {
    String named = how.filename(name, StandardCharsets.UTF_8).build().toString();
    return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, named);
  }
}

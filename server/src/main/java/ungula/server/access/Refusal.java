package ungula.server.access;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;

/** What is refused before it reaches the application says so as the application would. */
final class Refusal {

  private Refusal() {}

  /**
   * @param detail plain words, without quotation marks or line breaks
   */
  static void write(HttpServletResponse to, HttpStatus status, String title, String detail)
      throws IOException {
    to.setStatus(status.value());
    to.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    to.setCharacterEncoding(StandardCharsets.UTF_8);
    to.getWriter()
        .write(
            "{\"title\":\""
                + title
                + "\",\"status\":"
                + status.value()
                + ",\"detail\":\""
                + detail
                + "\"}");
  }
}

package ungula.server.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Keeps what is asked short: only model files, which are counted where they are received, are long.
 */
final class BodyLimit extends OncePerRequestFilter {

  static final int MOST_BYTES = 2 << 20;

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String type = request.getContentType();
    boolean file = type != null && type.startsWith(MediaType.APPLICATION_OCTET_STREAM_VALUE);
    if (file || request.getContentLengthLong() == 0) {
      chain.doFilter(request, response);
      return;
    }
    if (request.getContentLengthLong() > MOST_BYTES) {
      refuse(response);
    } else if (request.getContentLengthLong() > 0) {
      chain.doFilter(request, response);
    } else {
      // nobody said how long it is: as much of it is read as may be sent
      byte[] body = request.getInputStream().readNBytes(MOST_BYTES + 1);
      if (body.length > MOST_BYTES) {
        refuse(response);
      } else {
        chain.doFilter(new Read(request, body), response);
      }
    }
  }

  private static void refuse(HttpServletResponse response) throws IOException {
    Refusal.write(
        response,
        HttpStatus.CONTENT_TOO_LARGE,
        "Too large",
        "At most 2 MB can be sent at once. Nothing was changed.");
  }

  /** A request whose body is read already. */
  private static final class Read extends HttpServletRequestWrapper {
    private final ByteArrayInputStream body;

    Read(HttpServletRequest request, byte[] body) {
      super(request);
      this.body = new ByteArrayInputStream(body);
    }

    @Override
    public ServletInputStream getInputStream() {
      return new ServletInputStream() {
        @Override
        public int read() {
          return body.read();
        }

        @Override
        public int read(byte[] into, int from, int length) {
          return body.read(into, from, length);
        }

        @Override
        public boolean isFinished() {
          return body.available() == 0;
        }

        @Override
        public boolean isReady() {
          return true;
        }

        @Override
        public void setReadListener(ReadListener listener) {
          throw new UnsupportedOperationException();
        }
      };
    }
  }
}

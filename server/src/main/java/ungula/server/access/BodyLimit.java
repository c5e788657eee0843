package ungula.server.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Keeps what is asked short: only model files, which are counted where they are received, are long.
 */
final class BodyLimit extends OncePerRequestFilter {

  static final long MOST_BYTES = 2 << 20;

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
      return;
    }
    try {
      chain.doFilter(new Counted(request), response);
    } catch (TooLong e) {
      refuse(response);
    }
  }

  private static void refuse(HttpServletResponse response) throws IOException {
    Refusal.write(
        response,
        HttpStatus.CONTENT_TOO_LARGE,
        "Too large",
        "At most 2 MB can be sent at once. Nothing was changed.");
  }

  private static final class TooLong extends RuntimeException {
    TooLong() {
      super("More than " + MOST_BYTES + " bytes", null, false, false);
    }
  }

  /** A request without a length, counted as it is read. */
  private static final class Counted extends HttpServletRequestWrapper {

    Counted(HttpServletRequest request) {
      super(request);
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
      ServletInputStream in = super.getInputStream();
      return new ServletInputStream() {
        private long read;

        private int counted(int n) {
          read += Math.max(0, n);
          if (read > MOST_BYTES) {
            throw new TooLong();
          }
          return n;
        }

        @Override
        public int read() throws IOException {
          int b = in.read();
          counted(b < 0 ? 0 : 1);
          return b;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
          return counted(in.read(into, from, length));
        }

        @Override
        public boolean isFinished() {
          return in.isFinished();
        }

        @Override
        public boolean isReady() {
          return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
          in.setReadListener(listener);
        }
      };
    }
  }
}

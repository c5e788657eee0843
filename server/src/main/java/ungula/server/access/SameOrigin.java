package ungula.server.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses changes asked for by a page of another site. A browser names the page's origin, or how it
 * relates to this one; a program that names neither is no page, and goes on working.
 */
final class SameOrigin extends OncePerRequestFilter {

  private static final Set<String> LOOKING = Set.of("GET", "HEAD", "OPTIONS");

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (LOOKING.contains(request.getMethod()) || ours(request)) {
      chain.doFilter(request, response);
    } else {
      Refusal.write(
          response,
          HttpStatus.FORBIDDEN,
          "Another site",
          "A page of another site asked for this change. Nothing was changed.");
    }
  }

  private static boolean ours(HttpServletRequest request) {
    String origin = request.getHeader(HttpHeaders.ORIGIN);
    String site = request.getHeader("Sec-Fetch-Site");
    boolean originOurs =
        origin == null
            || origin.equalsIgnoreCase(
                request.getScheme() + "://" + request.getHeader(HttpHeaders.HOST));
    boolean siteOurs = site == null || site.equals("same-origin") || site.equals("none");
    return originOurs && siteOurs;
  }
}

package pied.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets only this machine's own pages in: the Host must be a name of the loopback address and the
 * Origin, if there is one, the same host. So no page from elsewhere can talk to Pied through the
 * browser of the person who runs it. Bodies are bounded.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class Gatekeeper extends OncePerRequestFilter {
  private static final Set<String> OWN = Set.of("127.0.0.1", "localhost", "[::1]");
  private static final long LARGEST = 4L << 20;

  /** Model files are larger. */
  private static final long LARGEST_MODEL = 256L << 20;

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String host = request.getHeader("Host");
    String origin = request.getHeader("Origin");
    if (host == null || !OWN.contains(host.replaceFirst(":\\d+$", ""))) {
      refuse(response, 421, "Pied answers only on this machine, under 127.0.0.1 or localhost.");
    } else if (origin != null && !host.equals(authority(origin))) {
      refuse(response, 403, "Pied answers only its own pages.");
    } else if (request.getContentLengthLong() > largest(request)) {
      refuse(response, 413, "The request is larger than " + (largest(request) >> 20) + " MB.");
    } else if (request.getContentLengthLong() < 0
        && request.getHeader("Transfer-Encoding") != null) {
      refuse(response, 411, "The request must say how long it is.");
    } else {
      chain.doFilter(request, response);
    }
  }

  private static long largest(HttpServletRequest request) {
    return request.getRequestURI().endsWith("/imports") ? LARGEST_MODEL : LARGEST;
  }

  private static String authority(String origin) {
    try {
      return URI.create(origin).getAuthority();
    } catch (IllegalArgumentException e) {
      return null;
    }
  }

  private static void refuse(HttpServletResponse response, int status, String why)
      throws IOException {
    response.setStatus(status);
    response.setContentType("application/problem+json");
    response
        .getOutputStream()
        .write(
            ("{\"status\":" + status + ",\"title\":\"Refused\",\"detail\":\"" + why + "\"}")
                .getBytes(StandardCharsets.UTF_8));
  }
}

package pied.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.Collections;
import java.util.Enumeration;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import pied.server.IdleDetector;

/**
 * Lets only this machine's own pages in: the Host must be a name of the loopback address, the
 * Origin, if there is one, the same host, and what the browser says comes from another site is
 * turned away. So no page from elsewhere can talk to Pied through the browser of the person who
 * runs it, look into it, or show it in a frame. Bodies are bounded.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class Gatekeeper extends OncePerRequestFilter {
  /** Where the page finds the word that lets its own styles in. */
  static final String NONCE = "pied.nonce";

  private static final Set<String> OWN = Set.of("127.0.0.1", "localhost", "[::1]");
  private static final String HEALTH = "/api/health";
  private static final String LIVE = "/api/live/";
  private static final SecureRandom RANDOM = new SecureRandom();

  private final IdleDetector idle;

  Gatekeeper(IdleDetector idle) {
    this.idle = idle;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String host = request.getHeader("Host");
    String origin = request.getHeader("Origin");
    closed(request, response);
    if (host == null || !OWN.contains(host.replaceFirst(":\\d+$", ""))) {
      refuse(response, 421, "Pied answers only on this machine, under 127.0.0.1 or localhost.");
    } else if (origin != null && !host.equals(authority(origin))) {
      refuse(response, 403, "Pied answers only its own pages.");
    } else if (foreign(request)) {
      refuse(response, 403, "Pied answers only its own pages.");
    } else if (request.getContentLengthLong() > Bodies.largest(request)) {
      refuse(
          response, 413, "The request is larger than " + (Bodies.largest(request) >> 20) + " MB.");
    } else if (request.getContentLengthLong() < 0
        && request.getHeader("Transfer-Encoding") != null) {
      refuse(response, 411, "The request must say how long it is.");
    } else if (request.getContentType() != null && request.getContentType().contains("*")) {
      refuse(response, 415, "Say what the body is: application/json.");
    } else if (request.getRequestURI().startsWith(LIVE)) {
      chain.doFilter(new Plain(request), response);
    } else {
      if (!request.getRequestURI().startsWith(HEALTH)) {
        idle.worked();
      }
      chain.doFilter(request, response);
    }
  }

  /** Whether the browser says that another site asks; to follow a link to the page is allowed. */
  private static boolean foreign(HttpServletRequest request) {
    String site = request.getHeader("Sec-Fetch-Site");
    boolean other = "cross-site".equals(site) || "same-site".equals(site);
    boolean link =
        "navigate".equals(request.getHeader("Sec-Fetch-Mode"))
            && "document".equals(request.getHeader("Sec-Fetch-Dest"))
            && request.getMethod().equals("GET")
            && !request.getRequestURI().startsWith("/api");
    return other && !link;
  }

  /** Nothing from elsewhere, nothing inline but the page's own styles, shown in no frame. */
  private static void closed(HttpServletRequest request, HttpServletResponse response) {
    byte[] word = new byte[12];
    RANDOM.nextBytes(word);
    String nonce = Base64.getUrlEncoder().withoutPadding().encodeToString(word);
    request.setAttribute(NONCE, nonce);
    // the page that describes the interface brings its styles with it
    boolean docs = request.getRequestURI().startsWith("/api/swagger-ui");
    String styles = docs ? "'unsafe-inline'" : "'nonce-" + nonce + "'";
    response.setHeader(
        "Content-Security-Policy",
        "default-src 'self'; style-src 'self' "
            + styles
            + "; img-src 'self' data: blob:; connect-src 'self' blob:; object-src 'none';"
            + " base-uri 'none'; form-action 'self'; frame-ancestors 'none'");
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("X-Frame-Options", "DENY");
    response.setHeader("Referrer-Policy", "no-referrer");
    response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
    response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
  }

  /** A request for a live channel without compression, which doubles the way of short messages. */
  private static final class Plain extends HttpServletRequestWrapper {
    private static final String EXTENSIONS = "Sec-WebSocket-Extensions";

    Plain(HttpServletRequest request) {
      super(request);
    }

    @Override
    public String getHeader(String name) {
      return EXTENSIONS.equalsIgnoreCase(name) ? null : super.getHeader(name);
    }

    @Override
    public Enumeration<String> getHeaders(String name) {
      return EXTENSIONS.equalsIgnoreCase(name)
          ? Collections.emptyEnumeration()
          : super.getHeaders(name);
    }
  }

  private static String authority(String origin) {
    try {
      return URI.create(origin).getAuthority();
    } catch (IllegalArgumentException e) {
      return null;
    }
  }

  static void refuse(HttpServletResponse response, int status, String why) throws IOException {
    response.setStatus(status);
    response.setContentType("application/problem+json");
    response
        .getOutputStream()
        .write(
            ("{\"status\":" + status + ",\"title\":\"Refused\",\"detail\":\"" + why + "\"}")
                .getBytes(StandardCharsets.UTF_8));
  }
}

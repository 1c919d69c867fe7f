package pied.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.boot.availability.ApplicationAvailability;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * While Pied is being made ready, and the demo furnished, nothing is answered but how it is:
 * whoever opens the page then waits, and does not see an empty list.
 */
@Component
class NotYetReady extends OncePerRequestFilter {
  private static final String API = "/api/";
  private static final String HEALTH = "/api/health";

  private final ApplicationAvailability availability;
  private volatile boolean ready;

  NotYetReady(ApplicationAvailability availability) {
    this.availability = availability;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    String path = request.getRequestURI();
    ready |= availability.getReadinessState() == ReadinessState.ACCEPTING_TRAFFIC;
    return ready || !path.startsWith(API) || path.startsWith(HEALTH);
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    response.setStatus(HttpStatus.SERVICE_UNAVAILABLE.value());
    response.setHeader(HttpHeaders.RETRY_AFTER, "1");
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response.setCharacterEncoding(StandardCharsets.UTF_8.name());
    response
        .getWriter()
        .write(
            "{\"title\":\"Not ready\",\"status\":503,"
                + "\"detail\":\"Pied is being made ready; ask again in a second.\"}");
  }
}

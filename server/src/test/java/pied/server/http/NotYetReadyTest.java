package pied.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import org.junit.jupiter.api.Test;
import org.springframework.boot.availability.ApplicationAvailability;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

/** Until it is ready nothing is answered but how it is. */
class NotYetReadyTest {
  private final ApplicationAvailability availability = mock(ApplicationAvailability.class);
  private final NotYetReady filter = new NotYetReady(availability);

  private int status(String path) throws Exception {
    MockHttpServletResponse response = new MockHttpServletResponse();
    filter.doFilter(new MockHttpServletRequest("GET", path), response, new MockFilterChain());
    return response.getStatus();
  }

  @Test
  void whoComesTooEarlyIsToldToComeAgain() throws Exception {
    when(availability.getReadinessState()).thenReturn(ReadinessState.REFUSING_TRAFFIC);
    assertThat(status("/api/projects")).isEqualTo(503);
    assertThat(status("/api/health/readiness")).isEqualTo(200);
    assertThat(status("/")).isEqualTo(200);
    when(availability.getReadinessState()).thenReturn(ReadinessState.ACCEPTING_TRAFFIC);
    assertThat(status("/api/projects")).isEqualTo(200);
  }
}

package pied.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;

import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.slf4j.Logger;
import org.springframework.http.ProblemDetail;

class ProblemsTest {
  @Test
  void whatIsPiedsFaultIsSaidInWordsWithTheNumberThatIsInTheLog() {
    Logger log = mock(Logger.class);
    IllegalStateException e = new IllegalStateException("secret of the house");
    ProblemDetail p = Problems.failed(e, log);
    ArgumentCaptor<String> number = ArgumentCaptor.forClass(String.class);
    verify(log).error(any(String.class), number.capture(), eq(e));
    assertThat(p.getStatus()).isEqualTo(500);
    assertThat(p.getDetail())
        .contains(number.getValue(), "nothing was changed")
        .doesNotContain("secret");
  }
}

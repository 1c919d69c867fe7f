package pied.server.http;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.web.servlet.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is said where no controller is to answer. */
@RestController
class ErrorPage implements ErrorController {
  private static final Logger LOG = LoggerFactory.getLogger(ErrorPage.class);

  @RequestMapping("/error")
  ResponseEntity<ProblemDetail> error(HttpServletRequest request) {
    Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
    HttpStatus status =
        code instanceof Integer i && HttpStatus.resolve(i) != null
            ? HttpStatus.resolve(i)
            : HttpStatus.NOT_FOUND; // somebody came here by himself
    ProblemDetail p;
    if (status.is5xxServerError()) {
      Object e = request.getAttribute(RequestDispatcher.ERROR_EXCEPTION);
      p = Problems.failed(e instanceof Throwable t ? t : new IllegalStateException("" + e), LOG);
    } else {
      p = ProblemDetail.forStatusAndDetail(status, words(status));
      p.setTitle(status == HttpStatus.NOT_FOUND ? "Not there" : "Refused");
    }
    return ResponseEntity.status(p.getStatus())
        .contentType(MediaType.APPLICATION_PROBLEM_JSON)
        .body(p);
  }

  private static String words(HttpStatus status) {
    return switch (status) {
      case NOT_FOUND -> "There is nothing under this address.";
      case METHOD_NOT_ALLOWED -> "That cannot be done with what is under this address.";
      default -> "The request cannot be answered (" + status.value() + ").";
    };
  }
}

package pied.server.web;

import com.fasterxml.jackson.core.exc.StreamReadException;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.exc.InvalidTypeIdException;
import com.fasterxml.jackson.databind.exc.UnrecognizedPropertyException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import pied.core.Refusal;
import pied.server.store.SpaceStore;

/** Says what went wrong, in words, as problem+json (RFC 9457). */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
  @ExceptionHandler(Refusal.class)
  ProblemDetail refused(Refusal e) {
    return problem(HttpStatus.UNPROCESSABLE_ENTITY, "Refused", e.getMessage());
  }

  @ExceptionHandler(SpaceStore.Missing.class)
  ProblemDetail missing(SpaceStore.Missing e) {
    return problem(HttpStatus.NOT_FOUND, "Not there", e.getMessage());
  }

  @ExceptionHandler(SpaceStore.Stale.class)
  ProblemDetail stale(SpaceStore.Stale e) {
    return problem(HttpStatus.CONFLICT, "Changed meanwhile", e.getMessage());
  }

  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof Refusal r) { // an outer layer may only say where
        return ResponseEntity.unprocessableEntity().body(refused(r));
      }
    }
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof InvalidTypeIdException i) {
        String id = i.getTypeId() == null ? "nothing" : cut(i.getTypeId());
        return ResponseEntity.unprocessableEntity()
            .body(
                problem(
                    HttpStatus.UNPROCESSABLE_ENTITY,
                    "Refused",
                    "“" + id + "” is not an edit Pied knows."));
      }
      if (t instanceof UnrecognizedPropertyException u) {
        return ResponseEntity.unprocessableEntity()
            .body(
                problem(
                    HttpStatus.UNPROCESSABLE_ENTITY,
                    "Refused",
                    "“" + cut(u.getPropertyName()) + "” has no meaning here."));
      }
      if (t instanceof StreamReadException) {
        break;
      }
      if (t instanceof JsonMappingException m
          && !(t.getCause() instanceof StreamReadException)
          && !m.getPath().isEmpty()) {
        String where =
            cut(
                m.getPath().stream()
                    .map(
                        r ->
                            r.getFieldName() != null
                                ? r.getFieldName()
                                : String.valueOf(r.getIndex()))
                    .collect(java.util.stream.Collectors.joining("/")));
        return ResponseEntity.badRequest()
            .body(
                problem(
                    HttpStatus.BAD_REQUEST,
                    "Not readable",
                    "The request has something unreadable at " + where + "."));
      }
    }
    return ResponseEntity.badRequest()
        .body(
            problem(
                HttpStatus.BAD_REQUEST, "Not readable", "The request is not well-formed JSON."));
  }

  private static String cut(String s) {
    return s.length() <= 60 ? s : s.substring(0, 57) + "…";
  }

  private static ProblemDetail problem(HttpStatus status, String title, String detail) {
    ProblemDetail p = ProblemDetail.forStatusAndDetail(status, detail);
    p.setTitle(title);
    return p;
  }
}

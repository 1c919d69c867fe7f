package pied.server.http;

import com.fasterxml.jackson.core.exc.StreamReadException;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.exc.InvalidNullException;
import com.fasterxml.jackson.databind.exc.InvalidTypeIdException;
import com.fasterxml.jackson.databind.exc.UnrecognizedPropertyException;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.HttpMediaTypeNotSupportedException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import pied.core.Nullable;
import pied.core.edit.Declined;
import pied.core.units.Refusal;
import pied.server.space.SpaceStore;
import pied.server.store.Later;
import pied.server.store.Missing;
import pied.server.store.NotKept;

/** Says what went wrong, in words, as problem+json (RFC 9457). */
@RestControllerAdvice
public class Problems extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

  @ExceptionHandler(Refusal.class)
  ProblemDetail refused(Refusal e) {
    ProblemDetail p = problem(HttpStatus.UNPROCESSABLE_ENTITY, "Refused", e.getMessage());
    p.setProperty("code", e.why().code());
    p.setProperty("arguments", e.why().argumentsIn(e.unit()));
    if (e instanceof Declined d) {
      p.setProperty("offers", d.offers());
    }
    return p;
  }

  @ExceptionHandler(Missing.class)
  ProblemDetail missing(Missing e) {
    return problem(HttpStatus.NOT_FOUND, "Not there", e.getMessage());
  }

  @ExceptionHandler({SpaceStore.Stale.class, SpaceStore.Outdated.class})
  ProblemDetail changedMeanwhile(RuntimeException e) {
    return problem(HttpStatus.CONFLICT, "Changed meanwhile", e.getMessage());
  }

  @ExceptionHandler(SpaceStore.Busy.class)
  ResponseEntity<ProblemDetail> busy(SpaceStore.Busy e) {
    return later(problem(HttpStatus.SERVICE_UNAVAILABLE, "Busy", e.getMessage()), 1);
  }

  @ExceptionHandler(NotKept.class)
  ResponseEntity<ProblemDetail> notKept(NotKept e) {
    HttpStatus status = e.full() ? HttpStatus.INSUFFICIENT_STORAGE : HttpStatus.SERVICE_UNAVAILABLE;
    return later(problem(status, "Not saved", e.getMessage()), 1);
  }

  /** Something that may be asked for again, but not at once. */
  @ExceptionHandler(Later.class)
  ResponseEntity<ProblemDetail> later(Later e) {
    return later(problem(HttpStatus.SERVICE_UNAVAILABLE, "Busy", e.getMessage()), e.seconds());
  }

  private static ResponseEntity<ProblemDetail> later(ProblemDetail p, int seconds) {
    return ResponseEntity.status(p.getStatus())
        .header(HttpHeaders.RETRY_AFTER, String.valueOf(seconds))
        .body(p);
  }

  @ExceptionHandler(MultipartException.class)
  ProblemDetail noParts(MultipartException e) {
    return problem(
        HttpStatus.BAD_REQUEST,
        "Not readable",
        "A model file is sent as multipart/form-data, in a part named “file”.");
  }

  /** A page was left while its answer was on its way: nobody listens. */
  @Override
  protected ResponseEntity<Object> handleAsyncRequestNotUsableException(
      AsyncRequestNotUsableException e, WebRequest request) {
    return null;
  }

  /** Whatever else goes wrong is Pied's fault: it is said so, with a number that is in the log. */
  @ExceptionHandler(Exception.class)
  ProblemDetail failed(Exception e) {
    return failed(e, LOG);
  }

  static ProblemDetail failed(Throwable e, Logger log) {
    String number = UUID.randomUUID().toString().substring(0, 8);
    log.error("Failure {}", number, e);
    return problem(
        HttpStatus.INTERNAL_SERVER_ERROR,
        "Failed",
        "Something in Pied went wrong, and nothing was changed. In its log it is number "
            + number
            + ".");
  }

  @Override
  protected ResponseEntity<Object> handleNoResourceFoundException(
      NoResourceFoundException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
    return ResponseEntity.status(status)
        .body(problem(HttpStatus.NOT_FOUND, "Not there", "There is nothing under this address."));
  }

  @Override
  protected ResponseEntity<Object> handleHttpMediaTypeNotSupported(
      HttpMediaTypeNotSupportedException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    return ResponseEntity.status(status)
        .body(
            problem(
                HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                "Not readable",
                "This is asked for with a body of the type application/json."));
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
    ResponseEntity<Object> meant = unreadable(e);
    return meant != null
        ? meant
        : ResponseEntity.badRequest()
            .body(
                problem(
                    HttpStatus.BAD_REQUEST,
                    "Not readable",
                    "The request is not well-formed JSON."));
  }

  /** What of it cannot be read; null if it is nothing in particular. */
  private @Nullable ResponseEntity<Object> unreadable(HttpMessageNotReadableException e) {
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof InvalidTypeIdException i) {
        String id = i.getTypeId() == null ? "nothing" : cut(i.getTypeId());
        return refusing("“" + id + "” is not an edit Pied knows.");
      }
      if (t instanceof UnrecognizedPropertyException u) {
        return refusing("“" + cut(u.getPropertyName()) + "” has no meaning here.");
      }
      if (t instanceof InvalidNullException n) {
        return refusing(
            "There is a gap in the list at "
                + where(n)
                + "; what is left out there has no id and no measures.");
      }
      if (t instanceof StreamReadException) {
        break;
      }
      if (t instanceof JsonMappingException m
          && !(t.getCause() instanceof StreamReadException)
          && !m.getPath().isEmpty()) {
        String where = where(m);
        return ResponseEntity.badRequest()
            .body(
                problem(
                    HttpStatus.BAD_REQUEST,
                    "Not readable",
                    "The request has something unreadable at " + where + "."));
      }
    }
    return null;
  }

  private static ResponseEntity<Object> refusing(String words) {
    return ResponseEntity.unprocessableEntity()
        .body(problem(HttpStatus.UNPROCESSABLE_ENTITY, "Refused", words));
  }

  /** Where in a request something is. */
  private static String where(JsonMappingException m) {
    return cut(
        m.getPath().stream()
            .map(r -> r.getFieldName() != null ? r.getFieldName() : String.valueOf(r.getIndex()))
            .collect(java.util.stream.Collectors.joining("/")));
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

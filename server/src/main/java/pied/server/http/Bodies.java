package pied.server.http;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.Semaphore;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Waits for the bodies of requests without using up a thread, and not for ever: however many are
 * half sent, everybody else is answered. Model files, which are long, come a few at a time.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class Bodies extends OncePerRequestFilter {
  private static final long LARGEST = 4L << 20;

  /** Model files, pictures and archives are larger. */
  private static final long LARGEST_FILE = 256L << 20;

  /** So many of them come in at once. */
  private static final int FILES = 4;

  private static final String BODY = Bodies.class.getName();

  private final long patience;
  private final Semaphore files = new Semaphore(FILES);

  /**
   * @param patience longest time a body may take, seconds; 0: the request's own thread waits for
   *     it, for want of a container that does otherwise
   */
  Bodies(@Value("${pied.body.seconds:15}") long patience) {
    this.patience = patience;
  }

  /** The longest body a request may have, bytes. */
  static long largest(HttpServletRequest request) {
    return isFile(request) ? LARGEST_FILE : LARGEST;
  }

  private static boolean isFile(HttpServletRequest request) {
    String to = request.getRequestURI();
    return to.endsWith("/imports") || to.endsWith("/pictures") || to.equals("/api/archives");
  }

  @Override
  protected boolean shouldNotFilterAsyncDispatch() {
    return false; // it is dispatched anew once its body is here
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (request.getAttribute(BODY) instanceof byte[] body) {
      chain.doFilter(new Whole(request, body), response);
    } else if (request.getContentLengthLong() <= 0 || patience <= 0) {
      chain.doFilter(request, response);
    } else if (!isFile(request)) {
      read(request, response);
    } else if (files.tryAcquire()) {
      try {
        chain.doFilter(request, response);
      } finally {
        files.release();
      }
    } else {
      Gatekeeper.refuse(
          response, 503, FILES + " files are on their way already; send this one in a moment.");
    }
  }

  private void read(HttpServletRequest request, HttpServletResponse response) throws IOException {
    AsyncContext context = request.startAsync(request, response);
    context.setTimeout(patience * 1000);
    AtomicBoolean over = new AtomicBoolean();
    context.addListener(patience(context, response, over));
    ServletInputStream in = request.getInputStream();
    ByteArrayOutputStream body = new ByteArrayOutputStream();
    in.setReadListener(
        new ReadListener() {
          @Override
          public void onDataAvailable() throws IOException {
            byte[] chunk = new byte[8192];
            while (!over.get() && in.isReady() && !in.isFinished()) {
              int n = in.read(chunk);
              if (n > 0) {
                body.write(chunk, 0, n);
              }
            }
          }

          @Override
          public void onAllDataRead() {
            if (over.compareAndSet(false, true)) {
              request.setAttribute(BODY, body.toByteArray());
              context.dispatch();
            }
          }

          @Override
          public void onError(Throwable t) {
            if (over.compareAndSet(false, true)) {
              context.complete();
            }
          }
        });
  }

  /** Waits for the rest of a body so long, and no longer. */
  private AsyncListener patience(
      AsyncContext context, HttpServletResponse response, AtomicBoolean over) {
    return new AsyncListener() {
      @Override
      public void onTimeout(AsyncEvent event) throws IOException {
        if (over.compareAndSet(false, true)) {
          response.setHeader("Connection", "close");
          Gatekeeper.refuse(
              response, 408, "The rest of the request did not come within " + patience + " s.");
          context.complete();
        }
      }

      @Override
      public void onError(AsyncEvent event) {
        over.set(true);
      }

      @Override
      public void onComplete(AsyncEvent event) {
        over.set(true);
      }

      @Override
      public void onStartAsync(AsyncEvent event) {
        // nothing to do
      }
    };
  }

  /** A request whose body is here. */
  private static final class Whole extends HttpServletRequestWrapper {
    private final byte[] body;

    Whole(HttpServletRequest request, byte[] body) {
      super(request);
      this.body = body;
    }

    @Override
    public ServletInputStream getInputStream() {
      ByteArrayInputStream in = new ByteArrayInputStream(body);
      return new ServletInputStream() {
        @Override
        public boolean isFinished() {
          return in.available() == 0;
        }

        @Override
        public boolean isReady() {
          return true;
        }

        @Override
        public void setReadListener(ReadListener listener) {
          throw new IllegalStateException("It is all here.");
        }

        @Override
        public int read() {
          return in.read();
        }

        @Override
        public int read(byte[] into, int from, int most) {
          return in.read(into, from, most);
        }
      };
    }

    @Override
    public BufferedReader getReader() {
      return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
    }
  }
}

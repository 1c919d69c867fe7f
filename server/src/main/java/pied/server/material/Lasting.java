package pied.server.material;

import java.time.Duration;
import org.springframework.http.CacheControl;

/** How long a tile or a picture may be kept by whoever asked. */
public final class Lasting {
  /** What the address stands for never changes. */
  public static final CacheControl FOR_EVER =
      CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable();

  private Lasting() {}
}

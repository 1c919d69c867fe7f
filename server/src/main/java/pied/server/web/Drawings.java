package pied.server.web;

import java.util.Map;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import pied.core.Kept;
import pied.core.catalog.Article;
import pied.core.drawing.Eye;
import pied.core.drawing.LineDrawing;
import pied.core.piece.Shapes;
import pied.core.size.Size;

/** Line drawings of shapes, kept once made; those of the catalog's cards are made at leisure. */
@Component
class Drawings {
  private static final int KEPT = 2000;

  /** Start and those who came to work go first, ms. */
  private static final long LEISURE = 20_000;

  private record Key(String article, Size size, Eye eye) {}

  private final Shapes shapes;
  private final Map<Key, LineDrawing> made = Kept.latest(KEPT);

  Drawings(Shapes shapes) {
    this.shapes = shapes;
  }

  /** The lines of an article at a size; the eye is given in the article's own directions. */
  LineDrawing lines(String article, Size size, Eye eye) {
    Key key = new Key(article, size, eye);
    LineDrawing d = made.get(key);
    if (d == null) {
      d = LineDrawing.of(shapes.mesh(article, size), eye);
      made.put(key, d);
    }
    return d;
  }

  @EventListener(ApplicationReadyEvent.class)
  void drawCards() {
    Thread t =
        new Thread(
            () -> {
              try {
                Thread.sleep(LEISURE);
              } catch (InterruptedException e) {
                return;
              }
              for (Article a : shapes.catalog().all()) {
                lines(a.id(), a.size(), Eye.FRONT);
              }
            },
            "cards");
    t.setDaemon(true);
    t.setPriority(Thread.MIN_PRIORITY);
    t.start();
  }
}

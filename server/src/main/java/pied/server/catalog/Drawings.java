package pied.server.catalog;

import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import pied.core.BoundedCache;
import pied.core.catalog.Article;
import pied.core.drawing.Eye;
import pied.core.drawing.LineDrawing;
import pied.core.drawing.Lines;
import pied.core.piece.Form;
import pied.core.piece.Shapes;
import pied.server.IdleDetector;

/** Line drawings of shapes, kept once made; those of the catalog's cards are made at leisure. */
@Component
class Drawings implements Lines {
  /** Of the memory there is. */
  private static final double SHARE = 0.05;

  private record Key(Form form, Eye eye) {}

  private final Shapes shapes;
  private final IdleDetector idle;
  private final long after;
  private final Map<Key, LineDrawing> made = BoundedCache.room(SHARE, LineDrawing::bytes);

  /**
   * @param after seconds until the cards are drawn; negative for never
   */
  Drawings(Shapes shapes, IdleDetector idle, @Value("${pied.cards.after:20}") long after) {
    this.shapes = shapes;
    this.idle = idle;
    this.after = after;
  }

  /** The lines of a form; the eye is given in the article's own directions. */
  @Override
  public LineDrawing lines(Form form, Eye eye) {
    Key key = new Key(form, eye);
    LineDrawing d = made.get(key);
    if (d == null) {
      d = LineDrawing.of(shapes.mesh(form), eye);
      made.put(key, d);
    }
    return d;
  }

  @EventListener(ApplicationReadyEvent.class)
  void drawCards() {
    if (after < 0) {
      return;
    }
    Thread t =
        new Thread(
            () -> {
              try {
                Thread.sleep(1000 * after);
                for (Article a : shapes.catalog().all()) {
                  idle.await(); // those who work go first
                  lines(new Form(a.id(), a.size()), Eye.FRONT);
                  idle.await();
                  lines(new Form(a.id(), a.size()), Eye.PLAN);
                }
              } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
              }
            },
            "cards");
    t.setDaemon(true);
    t.setPriority(Thread.MIN_PRIORITY);
    t.start();
  }
}

package pied.core.space;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import pied.core.catalog.Article;
import pied.core.catalog.ArticleReader;
import pied.core.material.Finish;
import pied.core.size.Size;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Vec;

/** What sits in openings: doors and windows, built to the size of the opening. */
final class Joinery {
  private static final Map<Opening.OpeningKind, Article> ARTICLES =
      Map.of(
          Opening.OpeningKind.door, read("door"),
          Opening.OpeningKind.doubleDoor, read("double-door"),
          Opening.OpeningKind.slidingDoor, read("sliding-door"),
          Opening.OpeningKind.window, read("window"));

  private Joinery() {}

  private static Article read(String name) {
    try (InputStream in = Joinery.class.getResourceAsStream("/shell/" + name + ".yaml")) {
      return ArticleReader.read(name, new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Whether something sits in an opening of this kind. */
  static boolean has(Opening o) {
    return ARTICLES.containsKey(o.kind());
  }

  /** The mesh, its front toward the side to which it opens. */
  static Mesh mesh(Wall wall, Opening o) {
    Size size = new Size(o.width(), wall.thickness(), o.height());
    Mesh mesh = ARTICLES.get(o.kind()).recipe().build(size);
    // turned about to open outward, its sides change places
    boolean mirrored =
        o.kind() == Opening.OpeningKind.door && (o.hinge() == Opening.Hand.right) == inward(o);
    return mirrored ? mesh.mirrored() : mesh;
  }

  private static boolean inward(Opening o) {
    return o.opens() == Opening.OpeningWay.in;
  }

  static Pose place(Wall wall, Opening o) {
    Vec at = wall.spot(o.from() + o.width() / 2, -wall.thickness() / 2).at(o.sill());
    return Pose.of(at, inward(o) ? wall.turn() : wall.turn() + 180);
  }

  /** How its parts look. */
  static Map<String, Finish> looks() {
    Map<String, Finish> all = new LinkedHashMap<>();
    ARTICLES.values().forEach(a -> a.finishes().forEach((k, f) -> all.put(k, f.finish())));
    return all;
  }
}

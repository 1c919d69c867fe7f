package pied.core.piece;

import java.util.Map;
import pied.core.BoundedCache;
import pied.core.catalog.Article;
import pied.core.catalog.Catalog;
import pied.core.size.Size;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Vec;

/** Meshes of articles at sizes, built once and kept while they are in use. Safe for threads. */
public final class Shapes {
  /** Of the memory there is. */
  private static final double SHARE = 0.2;

  private final Catalog catalog;
  private final Map<Form, Mesh> meshes = BoundedCache.room(SHARE, Mesh::bytes);

  public Shapes(Catalog catalog) {
    this.catalog = catalog;
  }

  public Catalog catalog() {
    return catalog;
  }

  public Article article(Piece p) {
    return catalog.article(p.article());
  }

  /** The mesh of a form, in its own frame, made ready for all questions. */
  public Mesh mesh(Form form) {
    return meshes.computeIfAbsent(form, this::built);
  }

  private Mesh built(Form form) {
    Article article = catalog.article(form.article());
    Size size = form.size();
    Size base = form.stretched() ? article.nearest(size) : size;
    Mesh mesh = article.recipe().build(base);
    if (!base.equals(size)) {
      mesh =
          mesh.stretched(
              new Vec(
                  size.width() / base.width(),
                  size.height() / base.height(),
                  size.depth() / base.depth()));
    }
    if (form.mirrored()) {
      mesh = mesh.mirrored();
    }
    mesh.ready();
    return mesh;
  }

  /** The mesh of an article at a size, in its own frame. */
  public Mesh mesh(String article, Size size) {
    return mesh(new Form(article, size));
  }

  public Mesh mesh(Piece p) {
    return mesh(p.form());
  }

  /** The height of the highest point of a piece, metres. */
  public double high(Piece p) {
    return p.lean().equals(Lean.NONE) ? p.at().y() + p.size().height() : farthest(p, 1);
  }

  /** How far up (1) or down (-1) a piece reaches; its box reaches farther where that is empty. */
  private double farthest(Piece p, int way) {
    Mesh mesh = mesh(p);
    Pose pose = p.pose();
    double most = Double.NEGATIVE_INFINITY;
    for (int v = 0; 3 * v < mesh.xyz().length; v++) {
      most = Math.max(most, way * pose.apply(mesh.vertex(v)).y());
    }
    return most;
  }

  /** The height of the lowest point of a piece, metres. */
  public double low(Piece p) {
    return p.lean().equals(Lean.NONE) ? p.at().y() : -farthest(p, -1);
  }
}

package pied.core.piece;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.BoundedCache;
import pied.core.catalog.Article;
import pied.core.catalog.Catalog;
import pied.core.material.PictureFiles;
import pied.core.recipe.Head;
import pied.core.size.Size;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Vec;

/** Meshes of articles at sizes, built once and kept while they are in use. Safe for threads. */
public final class Shapes {
  /** Of the memory there is. */
  private static final double SHARE = 0.2;

  /** Facets of a lighter form, of those it has. */
  private static final double LESS = 0.34;

  /** Of so many forms it is remembered whether they are symmetric. */
  private static final int KEPT = 2_000;

  /** What is mirrored may differ by so much and look the same, metres. */
  private static final double CELL = 0.008;

  private final Catalog catalog;
  private final PictureFiles pictures;
  private final Map<Form, Mesh> meshes = BoundedCache.room(SHARE, Mesh::bytes);

  private final Map<Form, Mesh> lighter = BoundedCache.room(SHARE / 4, Mesh::bytes);

  private final Map<Form, Boolean> symmetric = BoundedCache.latest(KEPT);

  private final Map<List<Object>, List<Vec>> glowing = BoundedCache.latest(KEPT);

  public Shapes(Catalog catalog) {
    this(catalog, PictureFiles.NONE);
  }

  /**
   * @param pictures where own pictures are had
   */
  public Shapes(Catalog catalog, PictureFiles pictures) {
    this.catalog = catalog;
    this.pictures = pictures;
  }

  public PictureFiles pictures() {
    return pictures;
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

  /** The mesh of a form with fewer triangles where it is round, to be drawn quickly. */
  public Mesh lighter(Form form) {
    return lighter.computeIfAbsent(form, f -> built(f, LESS));
  }

  private Mesh built(Form form) {
    Mesh mesh = built(form, 1);
    mesh.ready();
    return mesh;
  }

  private Mesh built(Form form, double detail) {
    Article article = catalog.article(form.article());
    Size size = form.size();
    Size base = form.stretched() ? article.nearest(size) : size;
    Head head = form.head() == null || !form.mirrored() ? form.head() : form.head().mirrored();
    Mesh mesh = article.recipe().build(base, detail, head);
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
    return mesh;
  }

  /**
   * Whether a form mirrored left to right is the same again to the eye: beside each corner of its
   * mirrored mesh lies one of the same part, at most two cells of {@link #CELL} away. What is round
   * may begin elsewhere, and sides may be cut into other triangles.
   */
  public boolean symmetric(Form form) {
    Form plain = form.withMirrored(false);
    Boolean known = symmetric.get(plain);
    if (known == null) { // reckoned twice at worst; nobody waits for it meanwhile
      known = symmetric(mesh(plain));
      symmetric.put(plain, known);
    }
    return known;
  }

  private static boolean symmetric(Mesh mesh) {
    Set<Corner> there = new HashSet<>();
    for (int c = 0; c < mesh.corners().length; c++) {
      there.add(Corner.of(mesh, c, 1));
    }
    for (int c = 0; c < mesh.corners().length; c++) {
      if (!Corner.of(mesh, c, -1).isNear(there)) {
        return false;
      }
    }
    return true;
  }

  /** The cell in which a corner of a triangle lies, and its part. */
  private record Corner(int part, long x, long y, long z) {
    static Corner of(Mesh mesh, int c, int side) {
      Vec v = mesh.vertex(mesh.corners()[c]);
      return new Corner(
          mesh.partOf()[c / 3],
          Math.round(side * v.x() / CELL),
          Math.round(v.y() / CELL),
          Math.round(v.z() / CELL));
    }

    boolean isNear(Set<Corner> there) {
      for (int i = 0; i < 27; i++) {
        Corner near = new Corner(part, x + i % 3 - 1, y + i / 3 % 3 - 1, z + i / 9 - 1);
        if (there.contains(near)) {
          return true;
        }
      }
      return false;
    }
  }

  /** The mesh of an article at a size, in its own frame. */
  public Mesh mesh(String article, Size size) {
    return mesh(new Form(article, size));
  }

  /**
   * The middles of the things that glow on a piece, in its own frame; for none the middle of all.
   */
  public List<Vec> glowing(Piece p) {
    List<Vec> straight = straight(p);
    Head head = p.lamp().head();
    if (head == null) {
      return straight;
    }
    Vec pivot = pivot(p);
    return straight.stream().map(v -> head.turned(v.minus(pivot)).plus(pivot)).toList();
  }

  /** What the head of a lantern turns about, in the frame of the piece: its lens looks along it. */
  public Vec pivot(Piece p) {
    List<Vec> lenses = straight(p);
    return new Vec(0, lenses.stream().mapToDouble(Vec::y).average().orElse(0), 0);
  }

  private List<Vec> straight(Piece p) {
    return glowing.computeIfAbsent(
        List.of(p.form(), p.finishes()), k -> Glow.of(article(p), p.finishes(), mesh(p.form())));
  }

  public Mesh mesh(Piece p) {
    return mesh(p.shape());
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

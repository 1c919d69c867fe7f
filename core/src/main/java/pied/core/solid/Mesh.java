package pied.core.solid;

import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;

/**
 * A triangle mesh with named finish parts. Immutable by agreement: the arrays are shared, not
 * copied, and nobody writes to them. Triangles turn counter-clockwise seen from outside. Vertices
 * may stand doubled where the shading has a crease; for closedness they are welded by place.
 */
public final class Mesh {
  private final double[] xyz;
  private final float[] normals;
  private final int[] corners;
  private final int[] partOf;
  private final List<String> parts;
  private final float[] uv;
  private final Box box;

  /** By this it is known to who does not want to hold on to it. */
  private final Object self = new Object();

  private volatile MeshTree tree;
  private volatile Mapping mapping;
  private Mesh same = this;
  private Vec from = Vec.ZERO;
  private volatile Topology topology;

  /**
   * @param xyz three coordinates a vertex, metres
   * @param normals three a vertex, of length 1, or null where only the geometry matters
   * @param corners three vertex numbers a triangle
   * @param partOf for every triangle the number of its finish part, or null for one part
   * @param parts names of the finish parts, at least one
   * @throws IllegalArgumentException if there is no triangle, a corner is out of range or a
   *     coordinate is not a number
   */
  public Mesh(double[] xyz, float[] normals, int[] corners, int[] partOf, List<String> parts) {
    this(xyz, normals, corners, partOf, parts, null);
  }

  /**
   * With pictures on it.
   *
   * @param uv for every corner of every triangle where it is on the picture of its part: to the
   *     right and down, 0 to 1; or null
   */
  public Mesh(
      double[] xyz,
      float[] normals,
      int[] corners,
      int[] partOf,
      List<String> parts,
      @Nullable float[] uv) {
    if (uv != null && uv.length != 2 * corners.length) {
      throw new IllegalArgumentException("Every corner has two numbers of its place on a picture");
    }
    if (corners.length == 0 || corners.length % 3 != 0 || xyz.length % 3 != 0) {
      throw new IllegalArgumentException("A mesh needs whole triangles, at least one");
    }
    for (int c : corners) {
      if (c < 0 || c >= xyz.length / 3) {
        throw new IllegalArgumentException("A triangle names vertex " + c + ", which is not there");
      }
    }
    for (double v : xyz) {
      if (!Double.isFinite(v)) {
        throw new IllegalArgumentException("A coordinate is not a number");
      }
    }
    this.xyz = xyz;
    this.normals = normals;
    this.corners = corners;
    this.partOf = partOf == null ? new int[corners.length / 3] : partOf;
    this.parts = List.copyOf(parts);
    this.uv = uv;
    this.box = Box.around(xyz);
  }

  /** Geometry only, one unnamed part. */
  public static Mesh of(double[] xyz, int[] corners) {
    return new Mesh(xyz, null, corners, null, List.of("body"));
  }

  /** A closed box between two corners. */
  public static Mesh ofBox(Vec a, Vec b) {
    double[] p = new double[24];
    for (int i = 0; i < 8; i++) {
      p[3 * i] = (i & 1) == 0 ? a.x() : b.x();
      p[3 * i + 1] = (i & 2) == 0 ? a.y() : b.y();
      p[3 * i + 2] = (i & 4) == 0 ? a.z() : b.z();
    }
    int[] c = {
      0, 4, 6, 0, 6, 2, 1, 3, 7, 1, 7, 5, 0, 1, 5, 0, 5, 4, 2, 6, 7, 2, 7, 3, 0, 2, 3, 0, 3, 1, 4,
      5, 7, 4, 7, 6
    };
    return of(p, c);
  }

  public double[] xyz() {
    return xyz;
  }

  /** Vertex normals, or null. */
  public float[] normals() {
    return normals;
  }

  public int[] corners() {
    return corners;
  }

  public int[] partOf() {
    return partOf;
  }

  public List<String> parts() {
    return parts;
  }

  /**
   * How much room it takes, bytes, with the tree and the neighbourhoods it has once it was asked
   * anything: 103 bytes a triangle for the tree (measured, docs/core.md), and about as much for the
   * rest.
   */
  public long bytes() {
    int triangles = corners.length / 3;
    return 12L * xyz.length
        + 16L * triangles
        + (uv == null ? 0 : 24L * triangles)
        + 48L * triangles // its mapping
        + 200L * triangles;
  }

  /** Where the corners of its triangles are on pictures, two numbers each; or null. */
  public @Nullable float[] uv() {
    return uv;
  }

  public Box box() {
    return box;
  }

  public int triangles() {
    return corners.length / 3;
  }

  /** The corners of a triangle: nine numbers. */
  void triangle(int t, double[] out) {
    for (int k = 0; k < 3; k++) {
      System.arraycopy(xyz, 3 * corners[3 * t + k], out, 3 * k, 3);
    }
  }

  public Vec vertex(int v) {
    return new Vec(xyz[3 * v], xyz[3 * v + 1], xyz[3 * v + 2]);
  }

  Object self() {
    return self;
  }

  /** The tree over this mesh, built when first asked for. */
  public MeshTree tree() {
    MeshTree t = tree;
    if (t == null) {
      synchronized (this) {
        if (tree == null) {
          tree = new MeshTree(this);
        }
        t = tree;
      }
    }
    return t;
  }

  /** Where what repeats on it lies; worked out when first asked for. */
  public Mapping mapping() {
    if (same != this) {
      return same.mapping();
    }
    Mapping m = mapping;
    if (m == null) {
      synchronized (this) {
        if (mapping == null) {
          mapping = Unfolding.of(this, from);
        }
        m = mapping;
      }
    }
    return m;
  }

  /** The same mesh, what repeats on it measured from another point. */
  public Mesh measuredFrom(Vec point) {
    Mesh m = new Mesh(xyz, normals, corners, partOf, parts, uv);
    m.from = point;
    return m;
  }

  /** The same mesh with left and right exchanged. */
  public Mesh mirrored() {
    double[] p = xyz.clone();
    float[] n = normals == null ? null : normals.clone();
    for (int i = 0; i < p.length; i += 3) {
      p[i] = -p[i];
      if (n != null) {
        n[i] = -n[i];
      }
    }
    int[] c = corners.clone();
    for (int i = 0; i < c.length; i += 3) {
      int k = c[i + 1];
      c[i + 1] = c[i + 2];
      c[i + 2] = k;
    }
    float[] picture = uv == null ? null : uv.clone();
    for (int i = 0; picture != null && i < picture.length; i += 6) {
      System.arraycopy(uv, i + 2, picture, i + 4, 2);
      System.arraycopy(uv, i + 4, picture, i + 2, 2);
    }
    return new Mesh(p, n, c, partOf, parts, picture);
  }

  /**
   * The same mesh stretched from zero; normals are those of the stretched faces.
   *
   * @param by factors, more than zero
   */
  public Mesh stretched(Vec by) {
    double[] f = {by.x(), by.y(), by.z()};
    double[] p = xyz.clone();
    for (int i = 0; i < p.length; i++) {
      p[i] *= f[i % 3];
    }
    float[] n = normals == null ? null : normals.clone();
    for (int i = 0; n != null && i + 2 < n.length; i += 3) {
      double x = n[i] / f[0];
      double y = n[i + 1] / f[1];
      double z = n[i + 2] / f[2];
      double l = Math.sqrt(x * x + y * y + z * z);
      n[i] = (float) (x / l);
      n[i + 1] = (float) (y / l);
      n[i + 2] = (float) (z / l);
    }
    return new Mesh(p, n, corners, partOf, parts, uv);
  }

  /** The same mesh standing elsewhere. */
  public Mesh at(Pose pose) {
    double[] p = new double[xyz.length];
    float[] n = normals == null ? null : new float[xyz.length];
    for (int i = 0; i < xyz.length; i += 3) {
      Vec v = pose.apply(new Vec(xyz[i], xyz[i + 1], xyz[i + 2]));
      p[i] = v.x();
      p[i + 1] = v.y();
      p[i + 2] = v.z();
      if (n != null) {
        Vec d = pose.direct(new Vec(normals[i], normals[i + 1], normals[i + 2]));
        n[i] = (float) d.x();
        n[i + 1] = (float) d.y();
        n[i + 2] = (float) d.z();
      }
    }
    Mesh moved = new Mesh(p, n, corners, partOf, parts, uv);
    moved.same = same; // what is on it goes with it
    return moved;
  }

  /** Several meshes as one; parts of the same name become one part. */
  public static Mesh join(List<Mesh> meshes) {
    int nv = 0;
    int nt = 0;
    boolean shaded = true;
    for (Mesh m : meshes) {
      nv += m.xyz.length;
      nt += m.triangles();
      shaded &= m.normals != null;
    }
    double[] p = new double[nv];
    float[] n = shaded ? new float[nv] : null;
    int[] c = new int[3 * nt];
    int[] part = new int[nt];
    boolean pictures = meshes.stream().anyMatch(m -> m.uv != null);
    float[] uv = pictures ? new float[6 * nt] : null;
    List<String> names = new ArrayList<>();
    int v = 0;
    int t = 0;
    for (Mesh m : meshes) {
      System.arraycopy(m.xyz, 0, p, v, m.xyz.length);
      if (n != null) {
        System.arraycopy(m.normals, 0, n, v, m.xyz.length);
      }
      for (int i = 0; i < m.corners.length; i++) {
        c[3 * t + i] = m.corners[i] + v / 3;
      }
      for (int i = 0; i < m.triangles(); i++) {
        String name = m.parts.get(m.partOf[i]);
        if (!names.contains(name)) {
          names.add(name);
        }
        part[t + i] = names.indexOf(name);
      }
      if (m.uv != null) {
        System.arraycopy(m.uv, 0, uv, 6 * t, m.uv.length);
      }
      v += m.xyz.length;
      t += m.triangles();
    }
    return new Mesh(p, n, c, part, names, uv);
  }

  /** Whether every edge is shared by triangles that run along it in opposite directions. */
  public boolean isClosed() {
    return topology().closed;
  }

  /**
   * Works out all that is asked of a mesh again and again, which is otherwise done when it is first
   * asked.
   */
  public void ready() {
    tree().split();
    topology();
  }

  /** Whether it is closed and every connected piece of it has its outside outward. */
  boolean isOutward() {
    return topology().outward;
  }

  /** Whether a point may be so far inside at all: whether it is inside the box of a part. */
  boolean mayHold(double x, double y, double z, double depth) {
    return box.min().x() < x
        && x < box.max().x()
        && box.min().y() < y
        && y < box.max().y()
        && box.min().z() < z
        && z < box.max().z()
        && topology().mayHold(x, y, z, depth);
  }

  /** Every place where the mesh has a corner, once. */
  int[] places() {
    return topology().places;
  }

  /** A point well inside every connected part, if it is closed. */
  List<Vec> insides() {
    return topology().insides;
  }

  /** One vertex of every connected piece of the mesh. */
  int[] representatives() {
    return topology().representatives;
  }

  /** The volume enclosed, m³; meaningful for a closed mesh only. */
  public double volume() {
    double six = 0;
    for (int t = 0; t < corners.length; t += 3) {
      six += vertex(corners[t]).dot(vertex(corners[t + 1]).cross(vertex(corners[t + 2])));
    }
    return six / 6;
  }

  /**
   * For every vertex the first vertex at the same place (within a hundredth of a millimetre), so
   * that a crease in the shading is not a gap.
   */
  public int[] welded() {
    return Topology.welded(xyz);
  }

  private Topology topology() {
    Topology t = topology;
    if (t == null) {
      t = new Topology(this);
      topology = t;
    }
    return t;
  }
}

package pied.core.model;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.catalog.Article;
import pied.core.catalog.Catalog;
import pied.core.catalog.Mounting;
import pied.core.material.Finish;
import pied.core.material.FinishPart;
import pied.core.size.Size;
import pied.core.solid.Lighter;
import pied.core.solid.Mesh;
import pied.core.solid.MeshMaker;
import pied.core.solid.Vec;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * A model file on its way into a project: what it seems to be, and the article that comes of it. It
 * arrives as one piece, upright, over its own middle and plausibly large, wherever it was built.
 */
public final class Arrival {
  /** A model of more triangles gets a lighter form, which is placed and drawn. */
  public static final int HEAVY = 200_000;

  /** So many triangles the lighter form has. */
  static final int LIGHT = 100_000;

  /** What most furniture measures in its longest direction, metres. */
  private static final double USUAL = 0.9;

  /**
   * How it is taken.
   *
   * @param unit metres a unit of the file
   * @param up which direction of the file is up: "x", "y" or "z", with a minus for the other way
   * @param turn about the vertical, degrees: quarter turns that bring its front to the front
   */
  public record Taken(
      double unit, String up, int turn, String name, Mounting mounting, boolean onTops) {
    public Taken withUnit(double v) {
      return new Taken(v, up, turn, name, mounting, onTops);
    }
  }

  private final ModelReader.Read read;
  private final Model drawn;
  private final double error;
  private final Taken guess;
  private final List<Message> said = new ArrayList<>();

  private Arrival(ModelReader.Read read, Catalog catalog, @Nullable String project) {
    this.read = read;
    if (read.model().triangles() > HEAVY) {
      Lighter.Lightened lighter = Lighter.of(read.model().mesh(), LIGHT);
      drawn = read.model().with(lighter.mesh());
      error = lighter.error();
    } else {
      drawn = read.model();
      error = 0;
    }
    this.guess = judge(catalog, project);
  }

  /**
   * Judges a model.
   *
   * @param catalog what is in it helps to tell what a name such as "armchair" should measure
   * @param project into which it is brought: of those that others brought in only its own count
   */
  public static Arrival of(ModelReader.Read read, Catalog catalog, @Nullable String project) {
    return new Arrival(read, catalog, project);
  }

  /** Whether it is drawn in a lighter form, and the full one is kept for the hand-over. */
  public boolean heavy() {
    return drawn != read.model();
  }

  public ModelReader.Read read() {
    return read;
  }

  public Taken guess() {
    return guess;
  }

  /** What was worked out, in sentences. */
  public List<Message> said() {
    return said;
  }

  // ---- judging

  private Taken judge(Catalog catalog, @Nullable String project) {
    String name = name(read.file());
    List<Article> like = like(catalog, project, name);
    Article alike = like.isEmpty() ? null : like.get(0);
    double[] raw = extent();
    String up = up(raw, alike);
    double[] turned = turned(raw, up);
    double unit = unit(turned, alike);
    Mounting mounting = alike == null ? Mounting.STANDS : alike.mounting();
    boolean tops = alike != null ? alike.standsOnTops() : turned[1] * unit < 0.4;
    if (read.model().skipped() > 0) {
      said.add(
          Message.of(
              "{} without area, or nowhere, left out.",
              read.model().skipped() + (read.model().skipped() == 1 ? " triangle" : " triangles")));
    }
    for (String lost : read.model().lost()) {
      said.add(
          Message.of(
              "The picture “{}” did not come along, or cannot be shown; bring it together with the"
                  + " model, as PNG or JPEG.",
              lost));
    }
    if (heavy()) {
      said.add(
          Message.of(
              "It has {} triangles: drawn in a lighter form of {}, which is {} mm off at most;"
                  + " the full one is kept for the hand-over.",
              String.format(Locale.ROOT, "%,d", read.model().triangles()),
              String.format(Locale.ROOT, "%,d", drawn.triangles()),
              tenths(error * unit * 1000)));
    }
    return new Taken(unit, up, 0, name, mounting, tops);
  }

  /** Rounded up to two digits, so that what is said is not less than what is. */
  private static String tenths(double mm) {
    return mm < 0.01 ? "0.01" : String.format(Locale.ROOT, "%.2f", Math.ceil(mm * 100) / 100);
  }

  /** Only words count: a slip or the beginning of one decides nothing. */
  private static List<Article> like(Catalog catalog, @Nullable String project, String name) {
    return catalog.called(name.replaceAll("[^A-Za-z ]", " "), project);
  }

  /** A file's name as a person would say it. */
  static String name(String file) {
    String n = file.substring(file.lastIndexOf('/') + 1).replaceFirst("\\.[A-Za-z0-9]{1,5}$", "");
    n =
        n.replaceAll("([a-z])([A-Z])", "$1 $2")
            .replaceAll("[_\\-.]+", " ")
            .replaceAll("\\s+", " ")
            .strip();
    n = n.isEmpty() ? "Model" : n.length() > 80 ? n.substring(0, 80) : n;
    return Character.toUpperCase(n.charAt(0)) + n.substring(1);
  }

  private double[] extent() {
    double[] e = {1e300, 1e300, 1e300, -1e300, -1e300, -1e300};
    for (Model.ModelPart p : read.model().parts()) {
      double[] xyz = p.xyz();
      for (int i = 0; i < xyz.length; i++) {
        e[i % 3] = Math.min(e[i % 3], xyz[i]);
        e[3 + i % 3] = Math.max(e[3 + i % 3], xyz[i]);
      }
    }
    return new double[] {e[3] - e[0], e[4] - e[1], e[5] - e[2]};
  }

  /** Width, height and depth when this direction is up. */
  private static double[] turned(double[] raw, String up) {
    return switch (up.charAt(up.length() - 1)) {
      case 'z' -> new double[] {raw[0], raw[2], raw[1]};
      case 'x' -> new double[] {raw[1], raw[0], raw[2]};
      default -> raw;
    };
  }

  private String up(double[] raw, Article alike) {
    Character told = read.model().up();
    if (told != null) {
      return String.valueOf(told);
    }
    double y = footing(1);
    double z = footing(2);
    String by;
    String up;
    if (alike != null
        && Math.abs(likeness(turned(raw, "y"), alike) - likeness(turned(raw, "z"), alike)) > 0.2) {
      up = likeness(turned(raw, "y"), alike) < likeness(turned(raw, "z"), alike) ? "y" : "z";
      by = "by the proportions of " + alike.name().toLowerCase(Locale.ROOT);
    } else if (Math.max(y, z) > 1.5 * Math.min(y, z)) {
      up = y > z ? "y" : "z";
      by = "by what it stands on";
    } else if (Math.abs(lopsided(1, raw) - lopsided(2, raw)) > 0.03) {
      up = lopsided(1, raw) > lopsided(2, raw) ? "y" : "z";
      by = "since it is the same both ways along the other";
    } else {
      up = read.format().equals("STL") ? "z" : "y";
      by = "as usual for " + read.format();
    }
    said.add(Message.of("The file does not say what is up; {} was taken, {}.", up, by));
    return up;
  }

  /** How unlike the proportions are: the sum of differences of the logarithms. */
  private static double likeness(double[] whd, Article a) {
    double[] own = {a.size().width(), a.size().height(), a.size().depth()};
    double scale = 0;
    for (int k = 0; k < 3; k++) {
      scale += Math.log(Math.max(Tolerance.NONE, whd[k]) / own[k]) / 3;
    }
    double off = 0;
    for (int k = 0; k < 3; k++) {
      off += Math.abs(Math.log(Math.max(Tolerance.NONE, whd[k]) / own[k]) - scale);
    }
    return off;
  }

  /** How far the points that touch the ground spread, if this direction were up: 0 to 1. */
  private double footing(int up) {
    double[] raw = extent();
    double low = 1e300;
    for (Model.ModelPart p : read.model().parts()) {
      for (int i = up; i < p.xyz().length; i += 3) {
        low = Math.min(low, p.xyz()[i]);
      }
    }
    double[] e = {1e300, 1e300, -1e300, -1e300};
    int a = (up + 1) % 3;
    int b = (up + 2) % 3;
    for (Model.ModelPart p : read.model().parts()) {
      double[] q = p.xyz();
      for (int i = 0; i + 2 < q.length; i += 3) {
        if (q[i + up] - low < 0.01 * raw[up]) {
          e[0] = Math.min(e[0], q[i + a]);
          e[1] = Math.min(e[1], q[i + b]);
          e[2] = Math.max(e[2], q[i + a]);
          e[3] = Math.max(e[3], q[i + b]);
        }
      }
    }
    double whole = raw[a] * raw[b];
    return whole <= 0 ? 0 : Math.max(0, (e[2] - e[0]) * (e[3] - e[1]) / whole);
  }

  /**
   * How far the middle of its surface is from the middle of its box along an axis, as a share of
   * the box: most things differ between top and bottom, few between left and right.
   */
  private double lopsided(int axis, double[] raw) {
    if (raw[axis] <= 0) {
      return 0;
    }
    double low = 1e300;
    double area = 0;
    double moment = 0;
    for (Model.ModelPart p : read.model().parts()) {
      double[] q = p.xyz();
      for (int i = axis; i < q.length; i += 3) {
        low = Math.min(low, q[i]);
      }
      int[] c = p.corners();
      for (int k = 0; k + 2 < c.length; k += 3) {
        Vec a = at(q, c[k]);
        double twice = at(q, c[k + 1]).minus(a).cross(at(q, c[k + 2]).minus(a)).length();
        area += twice;
        moment +=
            twice * (q[3 * c[k] + axis] + q[3 * c[k + 1] + axis] + q[3 * c[k + 2] + axis]) / 3;
      }
    }
    return area <= 0 ? 0 : Math.abs((moment / area - low) / raw[axis] - 0.5);
  }

  private static Vec at(double[] q, int i) {
    return new Vec(q[3 * i], q[3 * i + 1], q[3 * i + 2]);
  }

  private double unit(double[] whd, Article alike) {
    if (read.model().unit() != null) {
      return read.model().unit();
    }
    double most = Math.max(whd[0], Math.max(whd[1], whd[2]));
    double wanted =
        alike == null
            ? USUAL
            : Math.max(alike.size().width(), Math.max(alike.size().height(), alike.size().depth()));
    double best = 1;
    for (double unit : new double[] {1, 0.01, 0.001}) {
      if (Math.abs(Math.log(most * unit / wanted)) < Math.abs(Math.log(most * best / wanted))) {
        best = unit;
      }
    }
    String words = best == 1 ? "metres" : best == 0.01 ? "centimetres" : "millimetres";
    said.add(
        Message.of(
            "{} units in its longest direction: taken as {} = {}{}.",
            most >= 10
                ? String.format(Locale.ROOT, "%.0f", most)
                : String.format(Locale.ROOT, "%.2f", most),
            words,
            Message.length(most * best),
            alike == null ? "" : ", as large as " + alike.name().toLowerCase(Locale.ROOT)));
    return best;
  }

  // ---- building

  /**
   * The mesh as it is taken: upright, over its own middle, one mesh with a part for each material;
   * of a heavy model the lighter form.
   *
   * @throws Refusal if it would be too large or too small to be seen
   */
  public Mesh mesh(Taken t) {
    List<Mesh> meshes = new ArrayList<>();
    List<double[]> placed = Upright.placed(drawn, t);
    for (int i = 0; i < placed.size(); i++) {
      Model.ModelPart p = drawn.parts().get(i);
      double[] q = placed.get(i);
      MeshMaker maker = new MeshMaker();
      for (int k = 0; k + 2 < q.length; k += 3) {
        maker.point(q[k], q[k + 1], q[k + 2]);
      }
      for (int k = 0; k + 2 < p.corners().length; k += 3) {
        int[] c = p.corners();
        if (p.uv() == null) {
          maker.triangle(c[k], c[k + 1], c[k + 2]);
        } else {
          maker.triangle(c[k], c[k + 1], c[k + 2], Arrays.copyOfRange(p.uv(), 2 * k, 2 * k + 6));
        }
      }
      meshes.add(maker.mesh(p.name()));
    }
    return Mesh.join(meshes);
  }

  /** The full form of a heavy model, as it is taken; without normals. */
  public Mesh full(Taken t) {
    List<Model.ModelPart> parts = new ArrayList<>();
    List<double[]> placed = Upright.placed(read.model(), t);
    for (int i = 0; i < placed.size(); i++) {
      Model.ModelPart p = read.model().parts().get(i);
      parts.add(
          new Model.ModelPart(
              p.name(), p.colour(), placed.get(i), p.corners(), p.uv(), p.picture()));
    }
    return new Model(parts, null, null, 0, List.of()).mesh();
  }

  /** The size of a mesh that stands over its own middle; a flat one is a little thick. */
  public static Size size(Mesh m) {
    Vec s = m.box().size();
    return new Size(
        Math.max(s.x(), Tolerance.HAIR),
        Math.max(s.z(), Tolerance.HAIR),
        Math.max(s.y(), Tolerance.HAIR));
  }

  /** Its parts, each in its colour. */
  public Map<String, FinishPart> finishes() {
    Map<String, FinishPart> all = new LinkedHashMap<>();
    read.model()
        .parts()
        .forEach(p -> all.put(p.name(), new FinishPart(p.name(), Finish.of(p.colour(), 0.7, 0))));
    return all;
  }

  /** Pictures on its parts, by their names; a heavy model is drawn without. */
  public Map<String, byte[]> pictures() {
    return pictures(drawn);
  }

  /** Pictures on the parts of its full form. */
  public Map<String, byte[]> fullPictures() {
    return pictures(read.model());
  }

  private static Map<String, byte[]> pictures(Model model) {
    Map<String, byte[]> all = new LinkedHashMap<>();
    for (Model.ModelPart p : model.parts()) {
      if (p.picture() != null) {
        all.put(p.name(), p.picture());
      }
    }
    return all;
  }
}

package pied.core.model;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
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
import pied.core.model.UnitGuess.WeighedUnit;
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

  /** Shortest that can be placed, metres. */
  private static final double LEAST = 0.001;

  /** What is longer, or shorter, or so many times another than its name says, is unlikely. */
  private static final double LARGE = 10;

  private static final double SMALL = 0.03;
  private static final double ODD = 3;

  /** So many edges of a part are looked at. */
  private static final int SAMPLED = 2_000;

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
  private final List<Double> others = new ArrayList<>();

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

  /** Other units that are likely, too, the likeliest first: metres a unit. */
  public List<Double> others() {
    return others;
  }

  /** How a unit is called; null where it has no name. */
  public static @Nullable String unitName(double metres) {
    return UnitGuess.UNITS.entrySet().stream()
        .filter(u -> Math.abs(u.getValue() - metres) < Tolerance.SAME)
        .map(Map.Entry::getKey)
        .findFirst()
        .orElse(null);
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
    UpGuess.UpGuessed guessed = UpGuess.of(read.model(), read.format(), alike);
    String up = guessed.up();
    if (guessed.by() != null) {
      said.add(
          Message.of(
              "The file does not say what is up; {} was taken, {}.", guessed.up(), guessed.by()));
    }
    double[] turned = UpGuess.turned(UpGuess.extent(read.model()), up);
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

  private double unit(double[] whd, @Nullable Article alike) {
    double most = Math.max(whd[0], Math.max(whd[1], whd[2]));
    List<WeighedUnit> likely = UnitGuess.of(read.format(), whd, edge(), alike);
    Double told = read.model().unit();
    if (told != null) {
      return told(told, most, likely, alike);
    }
    WeighedUnit best = likely.get(0);
    if (!isPossible(most * best.metres())) {
      return none(most);
    }
    likely.stream().skip(1).map(WeighedUnit::metres).forEach(others::add);
    said.add(
        Message.of(
            "{} units in its longest direction: taken as {} = {}{}.",
            most >= 10
                ? String.format(Locale.ROOT, "%.0f", most)
                : String.format(Locale.ROOT, "%.2f", most),
            best.words(),
            Message.length(most * best.metres()),
            best.why()));
    return best.metres();
  }

  /** What a file says is believed, unless nothing could come of it; what is unlikely is said. */
  private double told(double told, double most, List<WeighedUnit> likely, @Nullable Article alike) {
    double length = most * told;
    boolean possible = isPossible(length);
    double wanted = alike == null ? length : UnitGuess.longest(alike);
    boolean odd =
        length > LARGE || length < SMALL || length > ODD * wanted || length < wanted / ODD;
    if (possible && !odd) {
      return told;
    }
    WeighedUnit better =
        likely.stream()
            .filter(w -> Math.abs(w.metres() / told - 1) > 0.01)
            .findFirst()
            .orElse(null);
    if (better == null) {
      return possible ? told : none(most);
    }
    Message or =
        Message.of("{} it would be {}", better.words(), Message.length(most * better.metres()));
    if (possible) {
      others.add(better.metres());
      said.add(
          Message.of(
              "By its own unit it is {} long, which is unlikely; in {}.",
              Message.length(length),
              or));
      return told;
    }
    likely.stream().map(WeighedUnit::metres).filter(m -> m != better.metres()).forEach(others::add);
    others.remove(told);
    said.add(
        Message.of(
            "By its own unit it would be {} long, which cannot be placed; taken as {}.",
            Message.length(length),
            better.words()));
    return better.metres();
  }

  private static boolean isPossible(double length) {
    return length <= Size.MOST && length >= LEAST;
  }

  /** In no unit with a name it can be placed. */
  private double none(double most) {
    said.add(
        Message.of(
            "In none of the usual units it is between {} and {} long; it is shown one metre long."
                + " Say what it measures.",
            Message.length(LEAST),
            Message.length(Size.MOST)));
    return 1 / most;
  }

  /** A usual length of its edges, units of the file. */
  private double edge() {
    List<Double> all = new ArrayList<>();
    for (Model.ModelPart p : read.model().parts()) {
      int[] c = p.corners();
      int step = 3 * Math.max(1, c.length / 3 / SAMPLED);
      for (int k = 0; k + 2 < c.length; k += step) {
        all.add(UpGuess.at(p.xyz(), c[k]).distance(UpGuess.at(p.xyz(), c[k + 1])));
      }
    }
    Collections.sort(all);
    return all.isEmpty() ? 0 : all.get(all.size() / 2);
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
      Mesh m = maker.meshOfAny(p.name());
      if (m != null) {
        meshes.add(m);
      }
    }
    if (meshes.isEmpty()) {
      throw new Refusal("In that unit nothing of it is left; choose another one.");
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

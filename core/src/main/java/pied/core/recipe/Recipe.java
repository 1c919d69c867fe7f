package pied.core.recipe;

import com.ezylang.evalex.Expression;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.joml.Quaterniond;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.size.Size;
import pied.core.solid.Box;
import pied.core.solid.Mesh;
import pied.core.solid.MeshMaker;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/**
 * The text from which an article's mesh is built for any width × depth × height. A recipe is a list
 * of parts; {@code docs/recipes.md} tells what each may say. The mesh stands in the article's own
 * frame: x across, y up from the underside, z to the front, the middle of the underside at zero.
 */
public final class Recipe implements Buildable {
  private static final int MOST_TRIANGLES = 200_000;

  private final JsonNode let;
  private final JsonNode parts;
  private final Map<String, Expression> compiled = new HashMap<>();

  /**
   * @param let names for values, in order, or a missing node
   * @param parts the list of parts
   */
  public Recipe(JsonNode let, JsonNode parts) {
    if (!parts.isArray() || parts.isEmpty()) {
      throw new Refusal("A recipe needs a list of parts");
    }
    this.let = let;
    this.parts = parts;
  }

  /**
   * Builds the mesh.
   *
   * @throws Refusal if the text is not a recipe, with the part it is about
   */
  @Override
  public Mesh build(Size size) {
    return build(size, 1);
  }

  @Override
  public Mesh build(Size size, double detail) {
    return build(size, detail, null);
  }

  @Override
  public synchronized Mesh build(Size size, double detail, @Nullable Head head) {
    Scope scope = new Scope(compiled, detail);
    scope.let("w", size.width());
    scope.let("d", size.depth());
    scope.let("h", size.height());
    scope.let("pan", head == null ? 0 : head.pan());
    scope.let("tilt", head == null ? 0 : head.tilt());
    names(let, scope);
    List<Mesh> made = new ArrayList<>();
    all(parts, scope, made);
    if (made.isEmpty()) {
      throw new Refusal("A recipe made nothing");
    }
    return Mesh.join(made);
  }

  private void names(JsonNode let, Scope scope) {
    for (Map.Entry<String, JsonNode> e : let.properties()) {
      scope.let(e.getKey(), scope.number(e.getValue(), e.getKey()));
    }
  }

  private void all(JsonNode parts, Scope scope, List<Mesh> made) {
    for (JsonNode part : parts) {
      if (!part.isObject() || part.size() != 1) {
        throw new Refusal("A part of a recipe is one word and what belongs to it, not {}", part);
      }
      Map.Entry<String, JsonNode> e = part.properties().iterator().next();
      one(e.getKey(), e.getValue(), scope, made);
      int n = made.stream().mapToInt(Mesh::triangles).sum();
      if (n > MOST_TRIANGLES) {
        throw new Refusal("A recipe made more than {} triangles", MOST_TRIANGLES);
      }
    }
  }

  private void one(String word, JsonNode n, Scope scope, List<Mesh> made) {
    switch (word) {
      case "repeat" -> repeat(n, scope, made);
      case "mirror" -> mirror(n, scope, made);
      case "move" -> move(n, scope, made);
      case "fit" -> fit(n, scope, made);
      case "when" -> {
        if (scope.holds(n.path("is"))) {
          inside(n, scope, made);
        }
      }
      default -> made.add(form(word, n, scope).mesh(n.path("finish").asText("body")));
    }
  }

  private void inside(JsonNode n, Scope scope, List<Mesh> made) {
    names(n.path("let"), scope);
    all(n.path("parts"), scope, made);
  }

  private MeshMaker form(String word, JsonNode n, Scope s) {
    return switch (word) {
      case "board" -> Forms.board(low(n, s), high(n, s), s.number(n.get("ease"), 0.002));
      case "cushion" ->
          Forms.cushion(
              low(n, s),
              high(n, s),
              s.number(n.get("corner"), 0.04),
              s.number(n.get("crown"), 0),
              Math.max(3, Math.min(16, s.facets(n.get("grid"), 8))));
      case "drape" ->
          Forms.drape(
              low(n, s),
              high(n, s),
              (int) s.number(n.get("folds"), 6),
              s.facets(null, 8),
              s.number(n.get("thick"), 0.004));
      case "turned" ->
          Forms.turned(point(n.path("at"), s), line(n, "profile", s), around(n, s, 32));
      case "tube" -> tube(n, s);
      case "extrude" -> extrude(n, s);
      default ->
          throw new Refusal(
              "A recipe asks for “{}”; it may ask for board, cushion, drape, turned, tube,"
                  + " extrude, repeat, mirror, move, fit or when",
              word);
    };
  }

  private static int around(JsonNode n, Scope s, int otherwise) {
    return Math.max(s.least(6), Math.min(96, s.facets(n.get("around"), otherwise)));
  }

  private static MeshMaker tube(JsonNode n, Scope s) {
    JsonNode r = n.path("radius");
    List<double[]> line = new ArrayList<>();
    JsonNode path = n.path("path");
    for (int i = 0; i < path.size(); i++) {
      Vec p = point(path.get(i), s);
      double radius = s.number(r.isArray() ? r.get(Math.min(i, r.size() - 1)) : r, "radius");
      line.add(new double[] {p.x(), p.y(), p.z(), radius});
    }
    if (line.size() < 2) {
      throw new Refusal("A tube needs a path of two points or more");
    }
    if (n.path("curve").asBoolean(false)) {
      line = Forms.curved(line, Math.max(1, s.facets(n.get("steps"), 6)));
    }
    double[] radii = line.stream().mapToDouble(p -> Math.max(Tolerance.HAIR, p[3])).toArray();
    return Forms.tube(
        line.stream().map(p -> new Vec(p[0], p[1], p[2])).toList(),
        radii,
        s.number(n.get("flat"), 1),
        around(n, s, 14));
  }

  private static MeshMaker extrude(JsonNode n, Scope s) {
    List<List<double[]>> holes = new ArrayList<>();
    for (JsonNode hole : n.path("holes")) {
      holes.add(pairs(hole, s));
    }
    JsonNode range = n.path("from").isMissingNode() ? n.path("range") : n;
    double from =
        range.isArray() ? s.number(range.get(0), "range") : s.number(n.get("from"), "from");
    double to = range.isArray() ? s.number(range.get(1), "range") : s.number(n.get("to"), "to");
    int axis = "xyz".indexOf(n.path("axis").asText("z"));
    return Forms.extrude(line(n, "outline", s), holes, axis, from, to);
  }

  private static List<double[]> line(JsonNode n, String name, Scope s) {
    List<double[]> points = pairs(n.path(name), s);
    if (points.size() < 2) {
      throw new Refusal("A recipe's {} needs points [a, b]", name);
    }
    return n.path("curve").asBoolean(false)
        ? Forms.curved(points, Math.max(1, s.facets(n.get("steps"), 6)))
        : points;
  }

  private static List<double[]> pairs(JsonNode list, Scope s) {
    List<double[]> out = new ArrayList<>();
    for (JsonNode p : list) {
      out.add(new double[] {s.number(p.get(0), "point"), s.number(p.get(1), "point")});
    }
    return out;
  }

  private static Vec point(JsonNode n, Scope s) {
    if (n.isMissingNode()) {
      return Vec.ZERO;
    }
    return new Vec(s.number(n.get(0), "x"), s.number(n.get(1), "y"), s.number(n.get(2), "z"));
  }

  private static Vec low(JsonNode n, Scope s) {
    return end(n, s, 0);
  }

  private static Vec high(JsonNode n, Scope s) {
    return end(n, s, 1);
  }

  private static Vec end(JsonNode n, Scope s, int i) {
    double[] p = new double[3];
    for (int k = 0; k < 3; k++) {
      String name = "xyz".substring(k, k + 1);
      p[k] = s.number(n.path(name).get(i), name);
      if (i == 1 && p[k] <= s.number(n.path(name).get(0), name)) {
        throw new Refusal("A part's {} runs from more to less: {}", name, n);
      }
    }
    return new Vec(p[0], p[1], p[2]);
  }

  private void repeat(JsonNode n, Scope scope, List<Mesh> made) {
    int count = (int) Math.round(scope.number(n.get("count"), "count"));
    String name = n.path("as").asText("i");
    if (count > 5000) {
      throw new Refusal("A recipe repeats a part {} times", count);
    }
    for (int i = 0; i < count; i++) {
      scope.let(name, i);
      inside(n, scope, made);
    }
    scope.forget(name);
  }

  private void mirror(JsonNode n, Scope scope, List<Mesh> made) {
    List<Mesh> own = new ArrayList<>();
    inside(n, scope, own);
    Mesh one = Mesh.join(own);
    made.add(one);
    boolean deep = n.path("across").asText("x").equals("z");
    // front and back exchanged is left and right exchanged, turned half round
    made.add(deep ? one.mirrored().at(Pose.of(Vec.ZERO, 180)) : one.mirrored());
  }

  private void move(JsonNode n, Scope scope, List<Mesh> made) {
    List<Mesh> own = new ArrayList<>();
    inside(n, scope, own);
    JsonNode t = n.path("turn");
    Quaterniond q =
        new Quaterniond()
            .rotateY(Math.toRadians(scope.number(t.get("y"), 0)))
            .rotateX(Math.toRadians(scope.number(t.get("x"), 0)))
            .rotateZ(Math.toRadians(scope.number(t.get("z"), 0)));
    made.add(Mesh.join(own).at(Pose.of(point(n.path("by"), scope), q)));
  }

  /** Stretches what is inside to fill a range; for things of no fixed thickness, such as leaves. */
  private void fit(JsonNode n, Scope scope, List<Mesh> made) {
    List<Mesh> own = new ArrayList<>();
    inside(n, scope, own);
    Mesh one = Mesh.join(own);
    Box box = one.box();
    double[] p = one.xyz().clone();
    float[] normals = one.normals().clone();
    double[] lo = {box.min().x(), box.min().y(), box.min().z()};
    double[] size = {box.size().x(), box.size().y(), box.size().z()};
    double[] from = new double[3];
    double[] factor = new double[3];
    for (int k = 0; k < 3; k++) {
      JsonNode range = n.path("xyz".substring(k, k + 1));
      from[k] = range.isMissingNode() ? lo[k] : scope.number(range.get(0), "fit");
      double to = range.isMissingNode() ? lo[k] + size[k] : scope.number(range.get(1), "fit");
      factor[k] = (to - from[k]) / size[k];
    }
    for (int i = 0; i < p.length; i++) {
      p[i] = from[i % 3] + (p[i] - lo[i % 3]) * factor[i % 3];
    }
    for (int i = 0; i < normals.length; i += 3) {
      Vec v =
          new Vec(normals[i] / factor[0], normals[i + 1] / factor[1], normals[i + 2] / factor[2])
              .unit();
      normals[i] = (float) v.x();
      normals[i + 1] = (float) v.y();
      normals[i + 2] = (float) v.z();
    }
    made.add(new Mesh(p, normals, one.corners(), one.partOf(), one.parts()));
  }
}

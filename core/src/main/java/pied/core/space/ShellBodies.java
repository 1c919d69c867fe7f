package pied.core.space;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import pied.core.Refusal;
import pied.core.catalog.Article;
import pied.core.catalog.ArticleReader;
import pied.core.size.Size;
import pied.core.solid.Body;
import pied.core.solid.Mesh;
import pied.core.solid.MeshMaker;
import pied.core.solid.Pose;
import pied.core.solid.Prism;
import pied.core.solid.Vec;

/** The bodies of a shell: floor, ceiling, walls with their openings cut, doors and windows. */
public final class ShellBodies {
  public static final String FLOOR = "floor";
  public static final String CEILING = "ceiling";
  public static final String WALL = "wall:";
  public static final String OPENING = "opening:";

  private static final double SLAB = 0.2;
  private static final Map<Opening.Kind, Article> JOINERY =
      Map.of(Opening.Kind.door, joinery("door"), Opening.Kind.window, joinery("window"));

  private ShellBodies() {}

  private static Article joinery(String name) {
    try (InputStream in = ShellBodies.class.getResourceAsStream("/shell/" + name + ".yaml")) {
      return ArticleReader.read(name, new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** All bodies of a shell. Ids are "floor", "ceiling", "wall:A", "opening:…". */
  public static List<Body> of(Shell shell) {
    List<Body> bodies = new ArrayList<>();
    bodies.add(new Body(FLOOR, slab(shell, -SLAB, 0, "floor"), Pose.HERE));
    bodies.add(
        new Body(
            CEILING, slab(shell, shell.height(), shell.height() + SLAB, "ceiling"), Pose.HERE));
    for (Wall wall : shell.walls()) {
      List<Opening> own =
          shell.openings().stream().filter(o -> o.wall().equals(wall.name())).toList();
      bodies.add(new Body(WALL + wall.name(), mesh(shell, wall, own), Pose.HERE));
      for (Opening o : own) {
        bodies.add(new Body(OPENING + o.id(), joinery(shell, o), place(shell, wall, o)));
      }
    }
    return bodies;
  }

  private static Mesh slab(Shell shell, double from, double to, String finish) {
    MeshMaker maker = new MeshMaker();
    // x is the second direction after y, so the figure is drawn in (z, x) to face outward
    Coordinate[] c = new Coordinate[shell.outline().size() + 1];
    for (int i = 0; i < c.length; i++) {
      Spot p = shell.outline().get(i % shell.outline().size());
      c[i] = new Coordinate(p.z(), p.x());
    }
    Prism.add(maker, Shell.PLANE.createPolygon(c), (p, far) -> new Vec(p.y, far ? to : from, p.x));
    return maker.mesh(finish);
  }

  private static Mesh mesh(Shell shell, Wall wall, List<Opening> openings) {
    double length = wall.length();
    Geometry face = rectangle(0, 0, length, shell.height());
    for (Opening o : openings) {
      if (o.from() < 0 || o.from() + o.width() > length || o.sill() + o.height() > shell.height()) {
        throw new Refusal("The " + o.kind() + " does not fit into wall " + wall.name() + ".");
      }
      face =
          face.difference(
              rectangle(o.from(), o.sill(), o.from() + o.width(), o.sill() + o.height()));
    }
    if (!(face instanceof Polygon polygon)) {
      throw new Refusal("The openings cut wall " + wall.name() + " in two.");
    }
    Vec t = wall.along();
    Vec n = wall.inward();
    double from = wall.station(wall.outerFrom());
    double to = wall.station(wall.outerTo());
    MeshMaker maker = new MeshMaker();
    Prism.add(
        maker,
        polygon,
        (c, near) -> {
          double s = c.x;
          if (!near) {
            s = s == 0 ? from : s == length ? to : s;
          }
          return wall.from().at(c.y).along(t, s).along(n, near ? 0 : -shell.thickness());
        });
    return maker.mesh("wall");
  }

  private static Polygon rectangle(double x0, double y0, double x1, double y1) {
    LinearRing ring =
        Shell.PLANE.createLinearRing(
            new Coordinate[] {
              new Coordinate(x0, y0),
              new Coordinate(x1, y0),
              new Coordinate(x1, y1),
              new Coordinate(x0, y1),
              new Coordinate(x0, y0)
            });
    return Shell.PLANE.createPolygon(ring);
  }

  private static Mesh joinery(Shell shell, Opening o) {
    return JOINERY.get(o.kind()).recipe().build(new Size(o.width(), shell.thickness(), o.height()));
  }

  private static Pose place(Shell shell, Wall wall, Opening o) {
    Vec at =
        wall.from()
            .at(o.sill())
            .along(wall.along(), o.from() + o.width() / 2)
            .along(wall.inward(), -shell.thickness() / 2);
    return Pose.of(at, wall.turn());
  }

  /** Colours of the finish parts of doors and windows, by part. */
  public static Map<String, String> colours() {
    Map<String, String> all = new LinkedHashMap<>();
    JOINERY.values().forEach(a -> a.finishes().forEach((k, f) -> all.put(k, f.colour())));
    return all;
  }
}

package pied.core.space;

import com.fasterxml.jackson.annotation.JsonIgnore;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/**
 * What a room is made of.
 *
 * @param outline inner corners, clockwise on the plan, from the back left one; at least three
 * @param height of the ceiling above the floor, metres
 * @param thickness of the walls, metres
 * @param finishes colours by part: floor, wall, ceiling, joinery
 */
public record Shell(
    List<Spot> outline,
    double height,
    double thickness,
    List<Opening> openings,
    Map<String, String> finishes) {
  static final GeometryFactory PLANE = new GeometryFactory();

  public Shell {
    outline = List.copyOf(outline);
    openings = List.copyOf(openings);
    finishes = Map.copyOf(finishes);
  }

  /** The walls in order, named A, B, C…; wall A is the first edge of the outline. */
  @JsonIgnore
  public List<Wall> walls() {
    int n = outline.size();
    List<Spot> outer = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      outer.add(mitre(outline.get((i + n - 1) % n), outline.get(i), outline.get((i + 1) % n)));
    }
    List<Wall> walls = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      int j = (i + 1) % n;
      walls.add(new Wall(name(i), outline.get(i), outline.get(j), outer.get(i), outer.get(j)));
    }
    return walls;
  }

  private static String name(int i) {
    String letter = String.valueOf((char) ('A' + i % 26));
    return i < 26 ? letter : letter + (i / 26);
  }

  /** The outer corner: where the two lines, moved outward by the thickness, meet. */
  private Spot mitre(Spot a, Spot b, Spot c) {
    double ux = b.x() - a.x();
    double uz = b.z() - a.z();
    double vx = c.x() - b.x();
    double vz = c.z() - b.z();
    double lu = Math.hypot(ux, uz);
    double lv = Math.hypot(vx, vz);
    ux /= lu;
    uz /= lu;
    vx /= lv;
    vz /= lv;
    double k = 1 + ux * vx + uz * vz; // outward normals are (uz, -ux) and (vz, -vx)
    double f = thickness / Math.max(0.2, k);
    return new Spot(b.x() + (uz + vz) * f, b.z() - (ux + vx) * f);
  }

  /** The wall of this name, or null. */
  public Wall wall(String name) {
    return walls().stream().filter(w -> w.name().equals(name)).findFirst().orElse(null);
  }

  /** The floor as a polygon of the plan (x, z). */
  @JsonIgnore
  public Polygon floor() {
    return polygon(outline);
  }

  static Polygon polygon(List<Spot> corners) {
    Coordinate[] c = new Coordinate[corners.size() + 1];
    for (int i = 0; i < corners.size(); i++) {
      c[i] = new Coordinate(corners.get(i).x(), corners.get(i).z());
    }
    c[corners.size()] = c[0].copy();
    return PLANE.createPolygon(c);
  }

  /** Whether a point of the plan lies over the floor. */
  public boolean holds(Spot p) {
    return floor().intersects(PLANE.createPoint(new Coordinate(p.x(), p.z())));
  }

  /** Floor area, m². */
  public double area() {
    return floor().getArea();
  }

  /** Extent of the outline: width across and depth, metres. */
  @JsonIgnore
  public Spot extent() {
    var e = floor().getEnvelopeInternal();
    return new Spot(e.getWidth(), e.getHeight());
  }
}

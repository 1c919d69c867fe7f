package pied.core.space;

import com.fasterxml.jackson.annotation.JsonIgnore;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.material.Finishes;
import pied.core.solid.Vec;

/**
 * What a room or a stage is made of.
 *
 * @param outline inner corners, clockwise on the plan, from the back left one; at least three
 * @param height of the ceiling, or of the grid of a stage, above the floor, metres
 * @param thickness of the walls, metres
 * @param thicknesses of single walls that differ, by name; 0 where there is no wall
 * @param skirting null for none
 * @param stage null for a room
 * @param datum the point positions are read from
 * @param north where north is on the plan, degrees counter-clockwise from its head
 * @param finishes colours by part: floor, wall, "wall:A", ceiling, joinery…
 */
@RecordBuilder
public record Shell(
    List<Spot> outline,
    double height,
    double thickness,
    Map<String, Double> thicknesses,
    List<Opening> openings,
    List<Partition> partitions,
    List<Column> columns,
    List<Platform> platforms,
    List<Flight> flights,
    List<Bar> bars,
    @Nullable Skirting skirting,
    @Nullable Stage stage,
    Vec datum,
    double north,
    Finishes finishes)
    implements ShellBuilder.With {
  static final GeometryFactory PLANE = new GeometryFactory();

  public Shell {
    outline = List.copyOf(outline);
    thicknesses = thicknesses == null ? Map.of() : Map.copyOf(thicknesses);
    openings = copy(openings);
    partitions = copy(partitions);
    columns = copy(columns);
    platforms = copy(platforms);
    flights = copy(flights);
    bars = copy(bars);
    datum = datum == null ? Vec.ZERO : datum;
    finishes = finishes == null ? Finishes.NONE : finishes;
  }

  /** A room of walls with openings. */
  public Shell(
      List<Spot> outline,
      double height,
      double thickness,
      List<Opening> openings,
      Finishes finishes) {
    this(
        outline, height, thickness, null, openings, null, null, null, null, null, null, null, null,
        0, finishes);
  }

  private static <T> List<T> copy(List<T> list) {
    return list == null ? List.of() : List.copyOf(list);
  }

  /** All that is built into it and can be taken away, by what it is called. */
  @JsonIgnore
  public Map<String, List<? extends Part>> parts() {
    Map<String, List<? extends Part>> all = new java.util.LinkedHashMap<>();
    all.put("partitions", partitions);
    all.put("openings", openings);
    all.put("columns", columns);
    all.put("platforms", platforms);
    all.put("flights", flights);
    all.put("bars", bars);
    return all;
  }

  /** Names of all that can be picked: walls, corners, and what is built in. */
  @JsonIgnore
  public List<PartName> partNames() {
    List<PartName> all = new java.util.ArrayList<>();
    walls().forEach(w -> all.add(PartName.wall(w.name())));
    for (int i = 0; i < outline.size(); i++) {
      all.add(PartName.corner(i));
    }
    parts().values().forEach(list -> list.forEach(p -> all.add(p.name())));
    return all;
  }

  /** The part of this name that is built into it; null for none. */
  public @Nullable Part part(PartName name) {
    for (List<? extends Part> some : parts().values()) {
      for (Part p : some) {
        if (p.name().equals(name)) {
          return p;
        }
      }
    }
    return null;
  }

  /** The name of what stands on the floor under this id and can be stood upon. */
  public PartName platformOrFlight(String id) {
    boolean flight = flights.stream().anyMatch(f -> f.id().equals(id));
    return new PartName(flight ? PartName.PartKind.flight : PartName.PartKind.platform, id);
  }

  // ---- walls

  /** Another that is the same. */
  Shell like() {
    return withFinishes(finishes);
  }

  /** The walls in order, named A, B, C…; wall A is the first edge of the outline. */
  @JsonIgnore
  public List<Wall> walls() {
    return Built.of(this).walls();
  }

  /** Name of the wall that begins at this corner. */
  public static String name(int corner) {
    String letter = String.valueOf((char) ('A' + corner % 26));
    return corner < 26 ? letter : letter + (corner / 26);
  }

  /** The wall or the partition of this name, or null. */
  public Wall wall(String name) {
    for (Partition p : partitions) {
      if (p.id().equals(name)) {
        return p.face();
      }
    }
    return walls().stream().filter(w -> w.name().equals(name)).findFirst().orElse(null);
  }

  /** The opening of this id, or null. */
  public Opening opening(String id) {
    return openings.stream().filter(o -> o.id().equals(id)).findFirst().orElse(null);
  }

  /** The face of a wall or a partition that one sees from within, looking along; null for none. */
  public @Nullable Wall faceSeen(String wall, Vec along) {
    return faces().stream()
        .filter(w -> w.name().equals(wall) && w.inward().dot(along) < 0)
        .findFirst()
        .orElse(null);
  }

  /** Everything one can fix something to: walls, and both faces of partitions. */
  @JsonIgnore
  public List<Wall> faces() {
    return Built.of(this).faces();
  }

  /** How a part of it is called in a sentence; what is gone is called by its sort. */
  public String nameOf(PartName part) {
    return switch (part.kind()) {
      case wall -> wallName(part.id());
      case skirting -> "the skirting of wall " + part.id();
      case opening -> {
        Opening o = opening(part.id());
        yield o == null ? "an opening" : "the " + o.words();
      }
      case ceiling -> stage != null ? "the grid" : "the ceiling";
      case column, platform, flight, bar -> "the " + part.id();
      default -> "the " + part.text();
    };
  }

  /** How a wall or a partition is called in a sentence. */
  public String wallName(String name) {
    return partitions.stream().anyMatch(p -> p.id().equals(name)) ? "the " + name : "wall " + name;
  }

  // ---- floor

  /** The floor as a figure of the plan (x, z): the outline, and on a stage the apron. */
  @JsonIgnore
  public Geometry floor() {
    return Built.of(this).floor();
  }

  /** The floor within the outline alone. */
  @JsonIgnore
  public Polygon within() {
    return Built.of(this).within();
  }

  /** The apron of a stage on the plan, or null. */
  @JsonIgnore
  public @Nullable Polygon apron() {
    return Built.of(this).apron();
  }

  /** Extent of a figure of the plan: x, and z as y. */
  public static Envelope envelope(List<Spot> figure) {
    return polygon(figure).getEnvelopeInternal();
  }

  /** A figure of the plan (x, z) between corners. */
  public static Polygon figure(List<Spot> corners) {
    return polygon(corners);
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
    var point = PLANE.createPoint(new Coordinate(p.x(), p.z()));
    if (within().intersects(point)) {
      return true;
    }
    Polygon apron = apron();
    return apron != null && apron.intersects(point);
  }

  /** Whether a figure of the plan lies over the floor, but for a tenth of a millimetre. */
  public boolean holds(List<Spot> figure) {
    return floor().buffer(Tolerance.HAIR).covers(polygon(figure));
  }

  /**
   * Height of the floor at a point of the plan: of the rake, or of the highest platform, step or
   * ramp there.
   *
   * @return metres; not a number outside
   */
  public double floorAt(Spot p) {
    if (!holds(p)) {
      return Double.NaN;
    }
    double y = stage == null ? 0 : stage.rise(p.z());
    for (Platform f : platforms) {
      if (covers(f.outline(), p)) {
        y = Math.max(y, f.height());
      }
    }
    for (Flight f : flights) {
      if (covers(f.outline(), p)) {
        y = Math.max(y, f.heightAt(f.down(p)));
      }
    }
    return y;
  }

  private static boolean covers(List<Spot> figure, Spot p) {
    return polygon(figure).intersects(PLANE.createPoint(new Coordinate(p.x(), p.z())));
  }

  /** Floor area, m². */
  @JsonIgnore
  public double area() {
    return floor().getArea();
  }

  /** Length of the outline, metres. */
  public double perimeter() {
    return within().getLength();
  }

  /** Air within the outline, m³. */
  public double volume() {
    double wedge = 0;
    if (stage != null && stage.rake() > 0) { // the rake takes away a wedge of it
      Geometry raked =
          within()
              .intersection(
                  PLANE.toGeometry(new org.locationtech.jts.geom.Envelope(-1e4, 1e4, -1e4, 0)));
      wedge = raked.isEmpty() ? 0 : -raked.getCentroid().getY() * stage.rake() * raked.getArea();
    }
    return within().getArea() * height - wedge;
  }

  /** Extent of the outline: width across and depth, metres. */
  @JsonIgnore
  public Spot extent() {
    var e = polygon(outline).getEnvelopeInternal();
    return new Spot(e.getWidth(), e.getHeight());
  }

  /** What an id of a partition, column, platform, flight or bar begins with, and a free number. */
  public String freeId(String begins) {
    for (int n = 1; ; n++) {
      String id = begins + " " + n;
      if (!taken(id)) {
        return id;
      }
    }
  }

  /** Whether a part of the shell has this id. */
  public boolean taken(String id) {
    return openings.stream().anyMatch(o -> o.id().equals(id))
        || partitions.stream().anyMatch(o -> o.id().equals(id))
        || columns.stream().anyMatch(o -> o.id().equals(id))
        || platforms.stream().anyMatch(o -> o.id().equals(id))
        || flights.stream().anyMatch(o -> o.id().equals(id))
        || bars.stream().anyMatch(o -> o.id().equals(id));
  }

  // ---- with something else

  public Shell withOutline(List<Spot> corners, Map<String, Double> thick, List<Opening> holes) {
    return with(b -> b.outline(corners).thicknesses(thick).openings(holes));
  }

  public Shell withMeasures(double newHeight, double newThickness, Skirting newSkirting) {
    return with(b -> b.height(newHeight).thickness(newThickness).skirting(newSkirting));
  }

  public Shell withDatum(Vec v, double newNorth) {
    return with(b -> b.datum(v).north(newNorth));
  }

  /** The same without all that is built into it. */
  public Shell bare() {
    return with(
        b ->
            b.openings(null)
                .partitions(null)
                .columns(null)
                .platforms(null)
                .flights(null)
                .bars(null));
  }
}

package pied.core.space;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import pied.core.Tolerance;
import pied.core.material.Finish;
import pied.core.solid.Body;
import pied.core.solid.Mesh;
import pied.core.solid.MeshMaker;
import pied.core.solid.Pose;
import pied.core.solid.Prism;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/** The bodies of a shell: floor, ceiling, walls with their openings cut, what is built in. */
public final class ShellBodies {
  /** How much of what is behind it a pane lets see, and how bright it is: there is day outside. */
  private static final double CLEAR = 0.55;

  private static final double BRIGHT = 0.8;

  private static final double SLAB = 0.2;

  private final Shell shell;
  private final List<Body> bodies = new ArrayList<>();

  private ShellBodies(Shell shell) {
    this.shell = shell;
  }

  /** All bodies of a shell. Each is known by the name of its part. */
  public static List<Body> of(Shell shell) {
    ShellBodies b = new ShellBodies(shell);
    b.build();
    return b.bodies;
  }

  private void build() {
    add(PartName.FLOOR, floor());
    MeshMaker ceiling = new MeshMaker();
    slab(ceiling, shell.within(), shell.height(), shell.height() + SLAB);
    if (shell.apron() != null) {
      // what hangs over the apron hangs from the grid as well
      slab(ceiling, shell.apron(), shell.height(), shell.height() + SLAB);
    }
    add(PartName.CEILING, ceiling.mesh("ceiling"));
    for (Wall wall : shell.walls()) {
      if (!wall.open()) {
        wall(wall);
      }
    }
    skirting();
    shell.partitions().forEach(p -> wall(p.face()));
    for (Column c : shell.columns()) {
      MeshMaker maker = new MeshMaker();
      slab(maker, footprint(c), 0, shell.height());
      add(c.name(), maker.mesh("column"));
    }
    for (Platform p : shell.platforms()) {
      MeshMaker maker = new MeshMaker();
      slab(maker, Shell.polygon(p.outline()), 0, p.height());
      add(p.name(), maker.mesh("platform"));
    }
    shell.flights().forEach(f -> add(f.name(), flight(f)));
    shell.bars().forEach(b -> add(b.name(), bar(b)));
    if (shell.stage() != null && shell.stage().seats() != null) {
      add(PartName.AUDITORIUM, Auditorium.mesh(shell.stage()));
    }
  }

  private void add(PartName name, Mesh mesh) {
    bodies.add(new Body(name, mesh, Pose.HERE));
  }

  // ---- floors

  private Mesh floor() {
    MeshMaker maker = new MeshMaker();
    double under = shell.stage() == null ? -SLAB : Math.min(-SLAB, -shell.stage().level());
    if (shell.stage() == null || shell.stage().rake() == 0) {
      slab(maker, shell.within(), under, 0);
    } else {
      // the rake begins at the setting line; each side of it is one plane
      raked(maker, shell.within().intersection(half(-1e4, 0)), under);
      raked(maker, shell.within().intersection(half(0, 1e4)), under);
    }
    Polygon apron = shell.apron();
    if (apron != null) {
      slab(maker, apron, under, 0);
    }
    return maker.mesh("floor");
  }

  private static Geometry half(double from, double to) {
    return Shell.PLANE.toGeometry(new Envelope(-1e4, 1e4, from, to));
  }

  private void raked(MeshMaker maker, Geometry figure, double under) {
    for (int i = 0; i < figure.getNumGeometries(); i++) {
      if (figure.getGeometryN(i) instanceof Polygon part && part.getArea() > Tolerance.SAME) {
        Prism.add(
            maker,
            turned(part),
            (p, far) -> new Vec(p.y, far ? shell.stage().rise(p.x) : under, p.x));
      }
    }
  }

  /** The body between two heights over a figure of the plan. */
  private static void slab(MeshMaker maker, Polygon figure, double from, double to) {
    Prism.add(maker, turned(figure), (p, far) -> new Vec(p.y, far ? to : from, p.x));
  }

  /** x is the second direction after y, so the figure is drawn in (z, x) to face outward. */
  private static Polygon turned(Polygon figure) {
    Polygon copy = (Polygon) figure.copy();
    copy.apply(
        (Coordinate c) -> {
          double x = c.x;
          c.x = c.y;
          c.y = x;
        });
    copy.geometryChanged();
    return copy;
  }

  /** The figure of a column on the plan. */
  public static Polygon footprint(Column c) {
    if (!c.round()) {
      double w = c.width() / 2;
      double d = c.depth() / 2;
      return Shell.polygon(
          List.of(c.at().plus(-w, -d), c.at().plus(w, -d), c.at().plus(w, d), c.at().plus(-w, d)));
    }
    List<Spot> round = new ArrayList<>();
    int n = 48;
    for (int i = 0; i < n; i++) {
      double a = 2 * Math.PI * i / n;
      round.add(c.at().plus(c.width() / 2 * Math.cos(a), c.width() / 2 * Math.sin(a)));
    }
    return Shell.polygon(round);
  }

  private static Mesh flight(Flight f) {
    List<Coordinate> profile = new ArrayList<>();
    profile.add(new Coordinate(0, Math.min(0, f.base())));
    profile.add(new Coordinate(f.run(), Math.min(0, f.base())));
    if (f.kind() == Flight.FlightKind.ramp) {
      if (f.base() > 0) {
        profile.add(new Coordinate(f.run(), f.base()));
      }
      profile.add(new Coordinate(0, f.top()));
    } else {
      for (int i = f.count(); i > 0; i--) {
        double y = f.base() + (f.count() - i + 1) * f.riser();
        profile.add(new Coordinate(i * f.going(), y));
        profile.add(new Coordinate((i - 1) * f.going(), y));
      }
    }
    profile.add(profile.get(0).copy());
    MeshMaker maker = new MeshMaker();
    Prism.add(
        maker,
        Shell.PLANE.createPolygon(profile.toArray(Coordinate[]::new)),
        (p, far) -> f.spot(p.x, far ? -f.width() / 2 : f.width() / 2).at(p.y));
    return maker.mesh("platform");
  }

  private static Mesh bar(Bar b) {
    int n = 24;
    Coordinate[] round = new Coordinate[n + 1];
    double r = Bar.TUBE / 2;
    for (int i = 0; i <= n; i++) {
      double a = 2 * Math.PI * (i % n) / n;
      round[i] = new Coordinate(b.trim() + r * Math.cos(a), b.z() + r * Math.sin(a));
    }
    MeshMaker maker = new MeshMaker();
    Prism.add(
        maker,
        Shell.PLANE.createPolygon(round),
        (p, far) -> new Vec(b.x() + (far ? 0.5 : -0.5) * b.length(), p.x, p.y));
    return maker.mesh("bar");
  }

  // ---- walls

  private void wall(Wall wall) {
    List<Opening> own =
        shell.openings().stream().filter(o -> o.wall().equals(wall.name())).toList();
    add(PartName.wall(wall.name()), mesh(wall, own).measuredFrom(leftFoot(wall)));
    for (Opening o : own) {
      if (Joinery.has(o)) {
        bodies.add(new Body(o.name(), Joinery.mesh(wall, o), Joinery.place(wall, o)));
      }
    }
  }

  /**
   * Where what repeats on a wall begins: at its foot on the left as one looks at it from inside.
   */
  public static Vec leftFoot(Wall wall) {
    Vec right = Vec.UP.cross(wall.inward());
    boolean begins = right.dot(wall.along()) > 0;
    return begins
        ? wall.from().at(wall.base())
        : wall.from().at(wall.base()).along(wall.along(), wall.length());
  }

  /**
   * A wall in layers: each depth at which a niche ends begins another one, and every layer is cut
   * by what reaches through it.
   */
  private static Mesh mesh(Wall wall, List<Opening> openings) {
    TreeSet<Double> depths = new TreeSet<>(List.of(0.0, wall.thickness()));
    for (Opening o : openings) {
      if (o.kind() == Opening.OpeningKind.niche) {
        depths.add(o.depth());
      }
    }
    MeshMaker maker = new MeshMaker();
    for (double from : depths.headSet(wall.thickness())) {
      double to = depths.higher(from);
      Geometry face = rectangle(0, wall.base(), wall.length(), wall.height());
      for (Opening o : openings) {
        if (o.kind() != Opening.OpeningKind.niche || o.depth() > from) {
          // the apron goes on through the proscenium, with nothing of the wall under it
          double foot = o.id().equals(Opening.PROSCENIUM) ? wall.base() : o.sill();
          face = face.difference(rectangle(o.from(), foot, o.to(), o.head()));
        }
      }
      layer(maker, wall, face, from / wall.thickness(), to / wall.thickness());
    }
    try {
      return maker.mesh(PartName.wall(wall.name()).text());
    } catch (IllegalArgumentException e) {
      throw new Refusal("The openings leave nothing of wall {}.", wall.name());
    }
  }

  private static void layer(MeshMaker maker, Wall wall, Geometry face, double from, double to) {
    Vec t = wall.along();
    Vec n = wall.inward();
    double length = wall.length();
    double first = wall.station(wall.outerFrom());
    double last = wall.station(wall.outerTo());
    for (int i = 0; i < face.getNumGeometries(); i++) {
      if (!(face.getGeometryN(i) instanceof Polygon part) || part.getArea() < Tolerance.SAME) {
        continue;
      }
      Prism.add(
          maker,
          part,
          (c, near) -> {
            double depth = near ? from : to;
            double s =
                c.x == 0 ? first * depth : c.x == length ? length + (last - length) * depth : c.x;
            return wall.from().at(c.y).along(t, s).along(n, -depth * wall.thickness());
          });
    }
  }

  /** How high what is left of a wall stands that is out of the way, metres. */
  private static final double STUB = 0.04;

  /**
   * The feet of the walls, which are seen where a wall is left out of a picture so that one can
   * look in: where it stands and how thick it is, with its doorways. Each is called {@code cut:}
   * and the name of its wall.
   */
  public static List<Body> cuts(Shell shell) {
    List<Body> all = new ArrayList<>();
    for (Wall wall : shell.walls()) {
      if (wall.open()) {
        continue;
      }
      Geometry foot = rectangle(0, wall.base(), wall.length(), wall.base() + STUB);
      for (Opening o : shell.openings()) {
        if (o.wall().equals(wall.name()) && o.kind() != Opening.OpeningKind.niche) {
          foot = foot.difference(rectangle(o.from(), o.sill(), o.to(), o.head()));
        }
      }
      MeshMaker maker = new MeshMaker();
      layer(maker, wall, foot, 0, 1);
      if (!maker.empty()) {
        all.add(new Body("cut:" + PartName.wall(wall.name()).text(), maker.mesh("cut"), Pose.HERE));
      }
    }
    return all;
  }

  static Polygon rectangle(double x0, double y0, double x1, double y1) {
    return (Polygon) Shell.PLANE.toGeometry(new Envelope(x0, x1, y0, y1));
  }

  // ---- skirting

  private void skirting() {
    Skirting skirting = shell.skirting();
    if (skirting == null) {
      return;
    }
    List<Wall> walls = shell.walls();
    double[] by = walls.stream().mapToDouble(w -> w.open() ? 0 : -skirting.depth()).toArray();
    Spot[][] inner = Offsets.around(shell.outline(), by);
    for (int i = 0; i < walls.size(); i++) {
      Wall w = walls.get(i);
      if (w.open()) {
        continue;
      }
      MeshMaker maker = new MeshMaker();
      double at = 0;
      List<Opening> low =
          shell.openings().stream()
              .filter(o -> o.wall().equals(w.name()) && o.sill() < skirting.height())
              .sorted(java.util.Comparator.comparingDouble(Opening::from))
              .toList();
      double first = w.station(inner[i][1]);
      double last = w.station(inner[(i + 1) % walls.size()][0]);
      for (Opening o : low) {
        board(maker, w, at, o.from(), at == 0 ? first : at, o.from());
        at = o.to();
      }
      board(maker, w, at, w.length(), at == 0 ? first : at, last);
      if (!maker.empty()) {
        add(PartName.skirting(w.name()), maker.mesh("skirting"));
      }
    }
  }

  private void board(
      MeshMaker maker, Wall w, double from, double to, double innerFrom, double innerTo) {
    if (to - from < 0.001 || innerTo - innerFrom < 0.001) {
      return;
    }
    double d = shell.skirting().depth();
    slab(
        maker,
        Shell.polygon(
            List.of(w.spot(from, 0), w.spot(to, 0), w.spot(innerTo, d), w.spot(innerFrom, d))),
        0,
        shell.skirting().height());
  }

  private static final Map<String, Finish> USUAL = usual();

  private static Map<String, Finish> usual() {
    Map<String, Finish> all = new LinkedHashMap<>();
    usual(all, "floor", Finish.PLAIN, "#D8C3A0");
    usual(all, "wall", "plaster", "#F1EADD");
    usual(all, "ceiling", "paint-matt", "#FBF7EE");
    usual(all, "skirting", "paint-eggshell", "#EDE3D2");
    usual(all, "column", "plaster", "#E9DFCC");
    usual(all, "platform", Finish.PLAIN, "#C2A67C");
    usual(all, "cut", Finish.PLAIN, "#4A4037");
    usual(all, "bar", "steel-blackened", "#4A4744");
    usual(all, "seat", "velvet", "#8E6A5E");
    usual(all, "house", Finish.PLAIN, "#A69C90");
    all.putAll(Joinery.looks());
    all.computeIfPresent("glass", (part, f) -> f.withTransparency(CLEAR).withEmission(BRIGHT));
    return all;
  }

  private static void usual(Map<String, Finish> all, String part, String of, String colour) {
    all.put(part, Finish.of(colour).withMaterial(of).over(Finish.CARD));
  }

  /** How the parts of this shell look: its own finishes, and the usual where it names none. */
  public static Map<String, Finish> looks(Shell shell) {
    Map<String, Finish> own = shell.finishes().parts();
    Finish usual = USUAL.get("wall");
    Finish wall = own.containsKey("wall") ? own.get("wall").over(usual) : usual;
    Map<String, Finish> all = new LinkedHashMap<>(USUAL);
    shell.faces().forEach(w -> all.put(PartName.wall(w.name()).text(), wall));
    own.forEach((part, f) -> all.put(part, f.over(all.getOrDefault(part, Finish.CARD))));
    return all;
  }
}

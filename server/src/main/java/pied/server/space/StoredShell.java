package pied.server.space;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import pied.core.solid.Vec;
import pied.core.space.Bar;
import pied.core.space.Column;
import pied.core.space.Flight;
import pied.core.space.Opening;
import pied.core.space.Partition;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.Skirting;
import pied.core.space.Spot;
import pied.core.space.Stage;
import pied.server.material.StoredFinish;

/**
 * A shell as it is stored in forms 1 to 3. The names here are those in people's files and stay,
 * whatever becomes of the shell at work; another form gets records of its own.
 */
@JsonIgnoreProperties(ignoreUnknown = true)
record StoredShell(
    List<Point> outline,
    double height,
    double thickness,
    Map<String, Double> thicknesses,
    List<Hole> openings,
    List<Screen> partitions,
    List<Post> columns,
    List<Raised> platforms,
    List<Stairs> flights,
    List<Pipe> bars,
    Board skirting,
    Boards stage,
    Place datum,
    double north,
    Map<String, StoredFinish> finishes) {

  record Point(double x, double z) {
    static Point of(Spot s) {
      return new Point(s.x(), s.z());
    }

    Spot live() {
      return new Spot(x, z);
    }
  }

  record Place(double x, double y, double z) {
    static Place of(Vec v) {
      return new Place(v.x(), v.y(), v.z());
    }

    Vec live() {
      return new Vec(x, y, z);
    }
  }

  record Hole(
      String id,
      String kind,
      String wall,
      double from,
      double width,
      double sill,
      double height,
      String hinge,
      String opens,
      double depth) {
    static Hole of(Opening o) {
      return new Hole(
          o.id(),
          o.kind().name(),
          o.wall(),
          o.from(),
          o.width(),
          o.sill(),
          o.height(),
          o.hinge() == null ? null : o.hinge().name(),
          o.opens() == null ? null : o.opens().name(),
          o.depth());
    }

    Opening live() {
      return new Opening(
          id,
          Opening.OpeningKind.valueOf(kind),
          wall,
          from,
          width,
          sill,
          height,
          hinge == null ? null : Opening.Hand.valueOf(hinge),
          opens == null ? null : Opening.OpeningWay.valueOf(opens),
          depth);
    }
  }

  record Screen(String id, Point from, Point to, double thickness, double height) {
    static Screen of(Partition p) {
      return new Screen(p.id(), Point.of(p.from()), Point.of(p.to()), p.thickness(), p.height());
    }

    Partition live() {
      return new Partition(id, from.live(), to.live(), thickness, height);
    }
  }

  record Post(String id, Point at, double width, double depth, boolean round) {
    static Post of(Column c) {
      return new Post(c.id(), Point.of(c.at()), c.width(), c.depth(), c.round());
    }

    Column live() {
      return new Column(id, at.live(), width, depth, round);
    }
  }

  record Raised(String id, List<Point> outline, double height) {
    static Raised of(Platform p) {
      return new Raised(p.id(), each(p.outline(), Point::of), p.height());
    }

    Platform live() {
      return new Platform(id, each(outline, Point::live), height);
    }
  }

  record Stairs(
      String id,
      String kind,
      Point at,
      double turn,
      double width,
      int count,
      double riser,
      double going,
      double base) {
    static Stairs of(Flight f) {
      return new Stairs(
          f.id(),
          f.kind().name(),
          Point.of(f.at()),
          f.turn(),
          f.width(),
          f.count(),
          f.riser(),
          f.going(),
          f.base());
    }

    Flight live() {
      return new Flight(
          id, Flight.FlightKind.valueOf(kind), at.live(), turn, width, count, riser, going, base);
    }
  }

  record Pipe(String id, double x, double z, double trim, double length) {
    static Pipe of(Bar b) {
      return new Pipe(b.id(), b.x(), b.z(), b.trim(), b.length());
    }

    Bar live() {
      return new Bar(id, x, z, trim, length);
    }
  }

  record Board(double height, double depth) {}

  record Boards(double level, double rake, Front apron, StoredSeats seats) {
    static Boards of(Stage s) {
      Stage.Apron a = s.apron();
      Stage.Seats t = s.seats();
      return new Boards(
          s.level(),
          s.rake(),
          a == null ? null : new Front(a.width(), a.depth(), a.curve()),
          t == null ? null : new StoredSeats(t.first(), t.pitch(), t.rise(), t.rows(), t.width()));
    }

    Stage live() {
      return new Stage(
          level,
          rake,
          apron == null ? null : new Stage.Apron(apron.width, apron.depth, apron.curve),
          seats == null
              ? null
              : new Stage.Seats(seats.first, seats.pitch, seats.rise, seats.rows, seats.width));
    }
  }

  record Front(double width, double depth, double curve) {}

  record StoredSeats(double first, double pitch, double rise, int rows, double width) {}

  static StoredShell of(Shell s) {
    Skirting k = s.skirting();
    return new StoredShell(
        each(s.outline(), Point::of),
        s.height(),
        s.thickness(),
        s.thicknesses(),
        each(s.openings(), Hole::of),
        each(s.partitions(), Screen::of),
        each(s.columns(), Post::of),
        each(s.platforms(), Raised::of),
        each(s.flights(), Stairs::of),
        each(s.bars(), Pipe::of),
        k == null ? null : new Board(k.height(), k.depth()),
        s.stage() == null ? null : Boards.of(s.stage()),
        Place.of(s.datum()),
        s.north(),
        StoredFinish.of(s.finishes()));
  }

  Shell live() {
    return new Shell(
        each(outline, Point::live),
        height,
        thickness,
        thicknesses,
        each(openings, Hole::live),
        each(partitions, Screen::live),
        each(columns, Post::live),
        each(platforms, Raised::live),
        each(flights, Stairs::live),
        each(bars, Pipe::live),
        skirting == null ? null : new Skirting(skirting.height, skirting.depth),
        stage == null ? null : stage.live(),
        datum == null ? null : datum.live(),
        north,
        StoredFinish.live(finishes));
  }

  static <A, B> List<B> each(List<A> all, Function<A, B> how) {
    return all == null ? null : all.stream().map(how).toList();
  }
}

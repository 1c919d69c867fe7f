package pied.core.edit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.locationtech.jts.geom.Envelope;
import pied.core.Refusal;
import pied.core.catalog.Finish;
import pied.core.measure.Marks;
import pied.core.solid.Vec;
import pied.core.space.Bar;
import pied.core.space.Column;
import pied.core.space.Flight;
import pied.core.space.Opening;
import pied.core.space.Outlines;
import pied.core.space.Partition;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.Skirting;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Stage;
import pied.core.space.Wall;
import pied.core.units.LengthUnit;

/** Applies one edit to a shell. Whether what comes out can be built is checked afterwards. */
final class ShellEditor {
  private static final Pattern PERCENT = Pattern.compile("\\s*([0-9]+(?:[.,][0-9]+)?)\\s*%\\s*");
  private static final Pattern RATIO =
      Pattern.compile("\\s*1\\s*(?::|/|in)\\s*([0-9]+(?:[.,][0-9]+)?)\\s*");

  private final Space space;
  private final Shell shell;
  private final LengthUnit unit;

  private ShellEditor(Space space, LengthUnit unit) {
    this.space = space;
    this.shell = space.shell();
    this.unit = unit;
  }

  /**
   * The shell after, the walls that have other names, what there is to say, and the body that was
   * made or altered (null if none in particular).
   */
  record Result(Shell shell, Map<String, String> renamed, List<String> said, String part) {}

  static Result apply(Space space, ShellEdit edit, LengthUnit unit) {
    return new ShellEditor(space, unit).apply(edit);
  }

  private Result apply(ShellEdit edit) {
    if (edit instanceof ShellEdit.SetOpening e) {
      return opening(e);
    } else if (edit instanceof ShellEdit.SetPartition e) {
      return partition(e);
    } else if (edit instanceof ShellEdit.SetColumn e) {
      return column(e);
    } else if (edit instanceof ShellEdit.SetPlatform e) {
      return platform(e);
    } else if (edit instanceof ShellEdit.SetFlight e) {
      return flight(e);
    } else if (edit instanceof ShellEdit.SetBar e) {
      return bar(e);
    } else if (edit instanceof ShellEdit.ShiftPart e) {
      return shift(e);
    } else if (edit instanceof ShellEdit.RemoveParts e) {
      return done(remove(e), null);
    } else if (edit instanceof ShellEdit.Build e) {
      return done(build(e), null);
    } else if (edit instanceof ShellEdit.Rows e) {
      return done(rows(e), null);
    } else if (edit instanceof ShellEdit.WallThickness e) {
      return done(thickness(e), "wall:" + e.wall());
    } else if (edit instanceof ShellEdit.SetDatum e) {
      return datum(e);
    } else if (edit instanceof ShellEdit.Paint e) {
      return done(paint(e), null);
    }
    return outline(edit);
  }

  private static Result done(Shell shell, String part) {
    return new Result(shell, Map.of(), List.of(), part);
  }

  // ---- the outline

  private Result outline(ShellEdit edit) {
    OutlineEditor editor = new OutlineEditor(shell);
    OutlineEditor.Result r;
    String part = null;
    if (edit instanceof ShellEdit.Outline e) {
      List<Spot> corners = need(e.corners(), "corners").stream().map(p -> spot(p, null)).toList();
      // counted before anything is computed from them
      Shell probe = shell.withOutline(corners, Map.of(), List.of());
      pied.core.space.ShellCheck.outline(probe);
      r = editor.replace(Outlines.clockwise(corners));
    } else if (edit instanceof ShellEdit.MoveCorner e) {
      Spot now =
          e.corner() >= 0 && e.corner() < shell.outline().size()
              ? shell.outline().get(e.corner())
              : null;
      r =
          editor.moveCorner(
              e.corner(), place(e.place(), e.to(), now, "to"), !Boolean.FALSE.equals(e.square()));
      part = "corner:" + e.corner();
    } else if (edit instanceof ShellEdit.AddCorner e) {
      Double at = e.at() == null ? null : e.at().length(unit, 0);
      r = editor.addCorner(need(e.wall(), "wall"), at);
      part = "corner:" + (OutlineEditor.edge(shell, e.wall()) + 1);
    } else if (edit instanceof ShellEdit.RemoveCorner e) {
      r = editor.removeCorner(e.corner());
    } else if (edit instanceof ShellEdit.MoveWall e) {
      r = editor.moveWall(need(e.wall(), "wall"), signed(need(e.by(), "by")));
      part = "wall:" + e.wall();
    } else if (edit instanceof ShellEdit.WallLength e) {
      int i = OutlineEditor.edge(shell, need(e.wall(), "wall"));
      double now = shell.walls().get(i).length();
      r = editor.wallLength(e.wall(), need(e.length(), "length").length(unit, now), e.moves());
      part = "wall:" + e.wall();
    } else {
      throw new Refusal("This edit is not known.");
    }
    return new Result(r.shell(), r.renamed(), r.said(), part);
  }

  private Shell thickness(ShellEdit.WallThickness e) {
    OutlineEditor.edge(shell, need(e.wall(), "wall"));
    double now = shell.thicknesses().getOrDefault(e.wall(), shell.thickness());
    double t = need(e.thickness(), "thickness").length(unit, now);
    if (t == 0 && shell.openings().stream().anyMatch(o -> o.wall().equals(e.wall()))) {
      throw new Refusal("There are openings in wall " + e.wall() + "; take them away first.");
    }
    Map<String, Double> next = new LinkedHashMap<>(shell.thicknesses());
    if (t == shell.thickness()) {
      next.remove(e.wall()); // as the others
    } else {
      next.put(e.wall(), t);
    }
    return shell.withOutline(shell.outline(), next, shell.openings());
  }

  private Shell build(ShellEdit.Build e) {
    Skirting s = shell.skirting();
    if (e.skirtingHeight() != null || e.skirtingDepth() != null) {
      double h = length(e.skirtingHeight(), s == null ? 0.08 : s.height());
      double d = length(e.skirtingDepth(), s == null ? 0.015 : s.depth());
      s = h == 0 ? null : new Skirting(h, d);
    }
    Shell next =
        shell
            .withMeasures(
                length(e.height(), shell.height()), length(e.thickness(), shell.thickness()), s)
            .withDatum(
                shell.datum(),
                e.north() == null ? shell.north() : e.north().angle(shell.north()) % 360);
    if (e.level() == null
        && e.rake() == null
        && e.apronWidth() == null
        && e.apronDepth() == null
        && e.apronCurve() == null) {
      return next;
    }
    Stage stage = stage();
    Stage.Apron a = stage.apron();
    if (e.apronWidth() != null || e.apronDepth() != null || e.apronCurve() != null) {
      double width = length(e.apronWidth(), a == null ? shell.extent().x() : a.width());
      double depth = length(e.apronDepth(), a == null ? 0 : a.depth());
      a =
          depth == 0
              ? null
              : new Stage.Apron(width, depth, length(e.apronCurve(), a == null ? 0 : a.curve()));
    }
    return next.withStage(
        new Stage(
            length(e.level(), stage.level()),
            e.rake() == null ? stage.rake() : rake(e.rake()),
            a,
            stage.seats()));
  }

  /**
   * A rake as it is written: a percentage, a ratio, or the rise a metre.
   *
   * @return metres a metre
   */
  static double rake(String text) {
    Matcher percent = PERCENT.matcher(text);
    if (percent.matches()) {
      return number(percent.group(1)) / 100;
    }
    Matcher ratio = RATIO.matcher(text);
    if (ratio.matches() && number(ratio.group(1)) > 0) {
      return 1 / number(ratio.group(1));
    }
    try {
      return Double.parseDouble(text.strip().replace(',', '.'));
    } catch (NumberFormatException e) {
      throw new Refusal("“" + text + "” is not a rake. Type 5 %, 1:20 or 0.05.");
    }
  }

  private static double number(String text) {
    return Double.parseDouble(text.replace(',', '.'));
  }

  private Stage stage() {
    if (shell.stage() == null) {
      throw new Refusal("This is a room; rake, apron and seats belong to a stage.");
    }
    return shell.stage();
  }

  private Shell rows(ShellEdit.Rows e) {
    Stage st = stage();
    if (Boolean.TRUE.equals(e.none())) {
      return shell.withStage(new Stage(st.level(), st.rake(), st.apron(), null));
    }
    Stage.Seats s =
        st.seats() == null ? new Stage.Seats(2.5, 0.9, 0.12, 8, shell.extent().x()) : st.seats();
    return shell.withStage(
        new Stage(
            st.level(),
            st.rake(),
            st.apron(),
            new Stage.Seats(
                length(e.first(), s.first()),
                length(e.pitch(), s.pitch()),
                length(e.rise(), s.rise()),
                e.rows() == null ? s.rows() : e.rows().whole(s.rows()),
                length(e.width(), s.width()))));
  }

  // ---- openings

  private Result opening(ShellEdit.SetOpening e) {
    Opening now = e.part() == null ? null : find(shell.openings(), Opening::id, e.part());
    Opening.Kind kind =
        e.kind() != null ? e.kind() : now != null ? now.kind() : need(e.kind(), "kind");
    boolean anew = now == null || kind != now.kind() && now.kind() == Opening.Kind.window;
    double width = length(e.width(), now == null ? kind.width() : now.width());
    double sill = length(e.sill(), anew ? kind.sill() : now.sill());
    double height = length(e.height(), anew ? kind.height() : now.height());
    if (e.wall() == null && e.at() == null && now == null) {
      throw new Refusal("Say which wall the " + kind.words() + " goes into, or where.");
    }
    String name = e.wall() != null ? e.wall() : now != null ? now.wall() : null;
    double from = now == null ? Double.NaN : now.from();
    if (e.at() != null) {
      Spot p = spot(e.at(), null);
      Wall wall = nearest(p);
      name = wall.name();
      double wanted = byHand(wall.station(p) - width / 2);
      from = free(wall, now, wanted, width, sill, height);
    }
    Wall wall = shell.wall(name);
    if (wall == null) {
      throw new Refusal("There is no wall “" + name + "”.");
    }
    if (Double.isNaN(from)) {
      from = free(wall, now, (wall.length() - width) / 2, width, sill, height);
    } else if (e.at() == null && e.width() != null && now != null) {
      from = now.from() + (now.width() - width) / 2; // it keeps its middle
    }
    if (e.toEnd() != null) {
      from = wall.length() - e.toEnd().length(unit, wall.length() - from - width) - width;
    }
    if (e.gap() != null) {
      double before = before(wall, now);
      from = before + e.gap().length(unit, from - before);
    }
    from = tidy(length(e.from(), from));
    String id = now != null ? now.id() : shell.freeId(kind.words());
    Opening next =
        new Opening(
            id,
            kind,
            name,
            from,
            width,
            sill,
            height,
            e.hinge() != null ? e.hinge() : now == null ? null : now.hinge(),
            e.opens() != null ? e.opens() : now == null ? null : now.opens(),
            length(e.depth(), now == null ? 0 : now.depth()));
    return done(shell.withOpenings(put(shell.openings(), Opening::id, next)), "opening:" + id);
  }

  /** What is set by hand goes by whole centimetres. */
  private static double byHand(double v) {
    return Math.rint(v * 100) / 100;
  }

  private static double tidy(double v) {
    return Math.rint(v * 1e9) / 1e9 + 0.0;
  }

  /** Where the opening before this one ends along the wall, or 0. */
  private double before(Wall wall, Opening now) {
    return shell.openings().stream()
        .filter(o -> now != null && o.wall().equals(wall.name()) && o.from() < now.from())
        .mapToDouble(Opening::to)
        .max()
        .orElse(0);
  }

  /** The wall or partition nearest to a point; of a partition the face that has the stations. */
  private Wall nearest(Spot p) {
    Wall w =
        shell.faces().stream()
            .min(Comparator.comparingDouble(f -> f.distance(p)))
            .orElseThrow(() -> new Refusal("There is no wall here."));
    return shell.wall(w.name());
  }

  /** The place on a wall nearest to the one wanted where an opening overlaps no other. */
  private double free(
      Wall wall, Opening self, double wanted, double width, double sill, double height) {
    double last = wall.length() - width;
    double best = Math.max(0, Math.min(last, wanted));
    List<Opening> others =
        shell.openings().stream()
            .filter(
                o ->
                    o.wall().equals(wall.name())
                        && !o.equals(self)
                        && o.sill() < sill + height
                        && sill < o.head())
            .toList();
    List<Double> tries = new ArrayList<>(List.of(best));
    others.forEach(
        o -> {
          tries.add(o.to());
          tries.add(o.from() - width);
        });
    return tries.stream()
        .filter(s -> s >= -1e-9 && s <= last + 1e-9)
        .filter(
            s -> others.stream().noneMatch(o -> o.from() < s + width - 1e-9 && s < o.to() - 1e-9))
        .min(Comparator.comparingDouble(s -> Math.abs(s - wanted)))
        .orElse(best);
  }

  // ---- what stands in the space

  private Result partition(ShellEdit.SetPartition e) {
    Partition now = e.part() == null ? null : find(shell.partitions(), Partition::id, e.part());
    Spot from = place(e.start(), e.from(), now == null ? null : now.from(), "from");
    Spot to = place(e.end(), e.to(), now == null ? null : now.to(), "to");
    if (e.length() != null) {
      double l = e.length().length(unit, from.distance(to));
      double f = l / from.distance(to);
      to = from.plus((to.x() - from.x()) * f, (to.z() - from.z()) * f);
    }
    String id = now != null ? now.id() : shell.freeId("partition");
    Partition next =
        new Partition(
            id,
            from,
            to,
            length(e.thickness(), now == null ? 0.1 : now.thickness()),
            length(e.height(), now == null ? shell.height() : now.height()));
    return done(shell.withPartitions(put(shell.partitions(), Partition::id, next)), "wall:" + id);
  }

  private Result column(ShellEdit.SetColumn e) {
    Column now = e.part() == null ? null : find(shell.columns(), Column::id, e.part());
    String id = now != null ? now.id() : shell.freeId("column");
    boolean round = e.round() != null ? e.round() : now != null && now.round();
    double width = length(e.width(), now == null ? 0.3 : now.width());
    double depth = round ? width : length(e.depth(), now == null ? width : now.depth());
    Spot at = place(e.to(), e.at(), now == null ? null : now.at(), "at");
    return done(
        shell.withColumns(
            put(shell.columns(), Column::id, new Column(id, at, width, depth, round))),
        "column:" + id);
  }

  private Result platform(ShellEdit.SetPlatform e) {
    Platform now = e.part() == null ? null : find(shell.platforms(), Platform::id, e.part());
    String id = now != null ? now.id() : shell.freeId("platform");
    List<Spot> outline;
    if (e.outline() != null) {
      outline = Outlines.clockwise(e.outline().stream().map(p -> spot(p, null)).toList());
    } else if (now != null) {
      outline = now.outline();
    } else {
      Spot at = spot(need(e.at(), "at"), null);
      outline = List.of(at.plus(-1, -0.5), at.plus(1, -0.5), at.plus(1, 0.5), at.plus(-1, 0.5));
    }
    Envelope box = box(outline);
    double w = box.getWidth();
    double d = box.getHeight();
    double fx = length(e.width(), w) / w;
    double fz = length(e.depth(), d) / d;
    if (!(fx > 0 && fz > 0)) {
      throw new Refusal("A platform measures more than 0.");
    }
    Spot middle =
        new Spot((box.getMinX() + box.getMaxX()) / 2, (box.getMinY() + box.getMaxY()) / 2);
    Spot to = place(e.to(), e.at(), middle, "at");
    if (e.at() != null && now == null) {
      to = inside(to, w * fx / 2, d * fz / 2);
    }
    Spot target = to;
    List<Spot> next =
        outline.stream()
            .map(
                p ->
                    new Spot(
                        tidy(target.x() + (p.x() - middle.x()) * fx),
                        tidy(target.z() + (p.z() - middle.z()) * fz)))
            .toList();
    double height = length(e.height(), now == null ? 0.2 : now.height());
    return done(
        shell.withPlatforms(put(shell.platforms(), Platform::id, new Platform(id, next, height))),
        "platform:" + id);
  }

  /** A point moved in so that a rectangle about it stays within the extent of the floor. */
  private Spot inside(Spot p, double halfWidth, double halfDepth) {
    Envelope e = shell.within().getEnvelopeInternal();
    double x = Math.max(e.getMinX() + halfWidth, Math.min(e.getMaxX() - halfWidth, p.x()));
    double z = Math.max(e.getMinY() + halfDepth, Math.min(e.getMaxY() - halfDepth, p.z()));
    return new Spot(x, z);
  }

  private static Envelope box(List<Spot> outline) {
    Envelope e = new Envelope();
    outline.forEach(p -> e.expandToInclude(p.x(), p.z()));
    return e;
  }

  private Result flight(ShellEdit.SetFlight e) {
    Flight now = e.part() == null ? null : find(shell.flights(), Flight::id, e.part());
    Flight.Kind kind = e.kind() != null ? e.kind() : now != null ? now.kind() : Flight.Kind.steps;
    Flight start = now;
    if (e.platform() != null) {
      Platform p = find(shell.platforms(), Platform::id, e.platform());
      start = Flights.against(shell, p, null, kind, now);
    } else if (e.to() != null && now != null) {
      Spot to = place(e.to(), null, now.at(), "to");
      start =
          new Flight(
              now.id(),
              kind,
              to,
              now.turn(),
              now.width(),
              now.count(),
              now.riser(),
              now.going(),
              now.base());
    } else if (e.at() != null) {
      start = Flights.near(shell, spot(e.at(), now == null ? null : now.at()), kind, now);
    } else if (now == null) {
      need(e.at(), "at");
    }
    String id = now != null ? now.id() : shell.freeId(kind == Flight.Kind.ramp ? "ramp" : "steps");
    int count =
        e.count() != null && kind == Flight.Kind.steps
            ? e.count().whole(start.count())
            : start.count();
    double riser = length(e.riser(), start.riser());
    if (e.count() != null && e.riser() == null && now != null && kind == Flight.Kind.steps) {
      // the same height in other steps; one more riser leads onto the platform
      riser = now.riser() * (now.count() + 1) / (count + 1);
    }
    Flight next =
        new Flight(
            id,
            kind,
            start.at(),
            e.turn() == null ? start.turn() : ((e.turn().angle(start.turn()) % 360) + 360) % 360,
            length(e.width(), start.width()),
            count,
            riser,
            length(e.going(), start.going()),
            start.base());
    return done(shell.withFlights(put(shell.flights(), Flight::id, next)), "flight:" + id);
  }

  private Result bar(ShellEdit.SetBar e) {
    Bar now = e.part() == null ? null : find(shell.bars(), Bar::id, e.part());
    String id = now != null ? now.id() : shell.freeId("bar");
    Envelope box = shell.within().getEnvelopeInternal();
    Spot middle =
        now == null
            ? new Spot((box.getMinX() + box.getMaxX()) / 2, (box.getMinY() + box.getMaxY()) / 2)
            : new Spot(now.x(), now.z());
    Spot at = place(e.to(), e.at(), middle, "at");
    double usual = Math.max(0.3, box.getWidth() - 1);
    if (now == null) { // a new one hangs in the middle of the space
      at = new Spot(middle.x(), at.z());
    }
    Bar next =
        new Bar(
            id,
            at.x(),
            at.z(),
            length(e.trim(), now == null ? Math.max(0.5, shell.height() - 0.5) : now.trim()),
            length(e.length(), now == null ? usual : now.length()));
    return done(shell.withBars(put(shell.bars(), Bar::id, next)), "bar:" + id);
  }

  // ---- by hand

  private Result shift(ShellEdit.ShiftPart e) {
    String part = need(e.part(), "part");
    Spot by = e.by() == null ? new Spot(0, 0) : spot(e.by(), new Spot(0, 0));
    int colon = part.indexOf(':');
    String id = part.substring(colon + 1);
    return switch (part.substring(0, colon + 1)) {
      case "corner:" -> {
        int i = corner(id);
        Spot to = moved(shell.outline().get(i), by);
        yield apply(new ShellEdit.MoveCorner(i, point(to), null, !Boolean.TRUE.equals(e.free())));
      }
      case "wall:" -> shiftWall(id, by);
      case "opening:" -> {
        Opening o = find(shell.openings(), Opening::id, id);
        Spot middle = shell.wall(o.wall()).spot(o.from() + o.width() / 2, 0);
        double up = e.up() == null ? 0 : e.up().length(unit, 0);
        boolean aside = by.x() != 0 || by.z() != 0;
        yield apply(
            new ShellEdit.SetOpening(
                id,
                null,
                aside ? point(middle.plus(by.x(), by.z())) : null,
                null,
                null,
                null,
                null,
                null,
                up == 0 ? null : Amount.of(Math.max(0, byHand(o.sill() + up))),
                null,
                null,
                null,
                null));
      }
      case "column:" -> {
        Column c = find(shell.columns(), Column::id, id);
        yield apply(new ShellEdit.SetColumn(id, point(moved(c.at(), by)), null, null, null, null));
      }
      case "platform:" -> {
        Platform p = find(shell.platforms(), Platform::id, id);
        Spot first = moved(p.outline().get(0), by);
        double dx = first.x() - p.outline().get(0).x();
        double dz = first.z() - p.outline().get(0).z();
        Platform next = p.withOutline(p.outline().stream().map(c -> tidy(c.plus(dx, dz))).toList());
        yield done(
            shell.withPlatforms(put(shell.platforms(), Platform::id, next)), "platform:" + id);
      }
      case "flight:" -> {
        Flight f = find(shell.flights(), Flight::id, id);
        yield apply(
            new ShellEdit.SetFlight(
                id, null, point(moved(f.at(), by)), null, null, null, null, null, null, null));
      }
      case "bar:" -> {
        Bar b = find(shell.bars(), Bar::id, id);
        Spot to = moved(new Spot(b.x(), b.z()), by);
        yield apply(new ShellEdit.SetBar(id, point(to), null, null, null));
      }
      default -> throw new Refusal("“" + part + "” cannot be moved.");
    };
  }

  private Result shiftWall(String name, Spot by) {
    for (Partition p : shell.partitions()) {
      if (p.id().equals(name)) {
        Spot from = moved(p.from(), by);
        double dx = from.x() - p.from().x();
        double dz = from.z() - p.from().z();
        Partition next =
            new Partition(name, from, tidy(p.to().plus(dx, dz)), p.thickness(), p.height());
        return done(
            shell.withPartitions(put(shell.partitions(), Partition::id, next)), "wall:" + name);
      }
    }
    Wall w = shell.walls().get(OutlineEditor.edge(shell, name));
    double out = -(by.x() * w.inward().x() + by.z() * w.inward().z());
    return apply(new ShellEdit.MoveWall(name, Amount.of(byHand(out))));
  }

  private int corner(String number) {
    int i = number.matches("\\d{1,4}") ? Integer.parseInt(number) : -1;
    if (i < 0 || i >= shell.outline().size()) {
      throw new Refusal("There is no such corner.");
    }
    return i;
  }

  private static Spot moved(Spot p, Spot by) {
    // a direction in which the hand did not move stays to the last bit
    return new Spot(
        by.x() == 0 ? p.x() : byHand(p.x() + by.x()), by.z() == 0 ? p.z() : byHand(p.z() + by.z()));
  }

  private static Spot tidy(Spot p) {
    return new Spot(tidy(p.x()), tidy(p.z()));
  }

  private static Edit.PlanPoint point(Spot p) {
    return new Edit.PlanPoint(Amount.of(p.x()), Amount.of(p.z()));
  }

  // ---- taking away, datum, colours

  private Shell remove(ShellEdit.RemoveParts e) {
    Shell next = shell;
    for (String part : need(e.parts(), "parts")) {
      String id = part == null ? "" : part.substring(part.indexOf(':') + 1);
      UnaryOperator<Shell> without =
          switch (part == null ? "" : part.substring(0, Math.max(0, part.indexOf(':')))) {
            case "opening" -> s -> s.withOpenings(drop(s.openings(), Opening::id, id));
            case "wall" -> {
              if (shell.walls().stream().anyMatch(w -> w.name().equals(id))) {
                throw new Refusal(
                    "Wall "
                        + id
                        + " belongs to the outline. Take one of its corners away, or give it the"
                        + " thickness 0 to leave the edge open.");
              }
              yield s ->
                  s.withPartitions(drop(s.partitions(), Partition::id, id))
                      .withOpenings(
                          s.openings().stream().filter(o -> !o.wall().equals(id)).toList());
            }
            case "column" -> s -> s.withColumns(drop(s.columns(), Column::id, id));
            case "platform" -> s -> s.withPlatforms(drop(s.platforms(), Platform::id, id));
            case "flight" -> s -> s.withFlights(drop(s.flights(), Flight::id, id));
            case "bar" -> s -> s.withBars(drop(s.bars(), Bar::id, id));
            default -> throw new Refusal("“" + part + "” cannot be taken away.");
          };
      next = without.apply(next);
    }
    return next;
  }

  private Result datum(ShellEdit.SetDatum e) {
    Edit.Place3 to = need(e.to(), "to");
    Vec now = shell.datum();
    Vec wanted = new Vec(length(to.x(), now.x()), length(to.y(), now.y()), length(to.z(), now.z()));
    List<String> said = new ArrayList<>();
    if (Boolean.TRUE.equals(e.mark())) {
      Marks.Mark mark =
          Marks.nearest(
              space, new Spot(wanted.x(), wanted.z()), e.within() == null ? 0.3 : e.within());
      if (mark != null) {
        wanted = mark.at();
        said.add("The datum is on " + mark.words() + ".");
      }
    }
    if (!wanted.finite() || wanted.length() > 1000) {
      throw new Refusal("The datum would be too far away.");
    }
    return new Result(shell.withDatum(wanted, shell.north()), Map.of(), said, null);
  }

  private Shell paint(ShellEdit.Paint e) {
    Map<String, String> next = new LinkedHashMap<>(shell.finishes());
    String part = need(e.part(), "part");
    if (!pied.core.space.ShellBodies.colours(shell).containsKey(part)) {
      throw new Refusal("The shell has no part “" + part + "” to colour.");
    }
    if (e.colour() == null) {
      next.remove(part);
    } else {
      next.put(part, Finish.colour(e.colour()));
    }
    return shell.withFinishes(next);
  }

  // ---- help

  /**
   * A place as it is said: read from the datum, or a point of the plan, or where it is.
   *
   * @param now null for something new, which must have a place
   */
  private Spot place(Edit.Place3 read, Edit.PlanPoint at, Spot now, String name) {
    if (read != null) {
      Vec v = Places.read(read, (now == null ? new Spot(0, 0) : now).at(0), shell.datum(), unit);
      return new Spot(v.x(), v.z());
    }
    return at == null && now != null ? now : spot(need(at, name), now);
  }

  private Spot spot(Edit.PlanPoint p, Spot now) {
    if (p == null) {
      throw new Refusal("A point of the plan is missing.");
    }
    double x =
        p.x() == null && now != null
            ? now.x()
            : need(p.x(), "x").length(unit, now == null ? 0 : now.x());
    double z =
        p.z() == null && now != null
            ? now.z()
            : need(p.z(), "z").length(unit, now == null ? 0 : now.z());
    return new Spot(x, z);
  }

  /** A typed minus means here what it says. */
  private double signed(Amount a) {
    return a.length(unit, 0);
  }

  private double length(Amount a, double now) {
    return a == null ? now : a.length(unit, now);
  }

  private static <T> T need(T value, String name) {
    if (value == null) {
      throw new Refusal("The edit lacks “" + name + "”.");
    }
    return value;
  }

  private static <T> T find(List<T> all, Function<T, String> id, String wanted) {
    String bare = wanted.substring(wanted.indexOf(':') + 1);
    return all.stream()
        .filter(t -> id.apply(t).equals(bare))
        .findFirst()
        .orElseThrow(() -> new Refusal("There is no “" + bare + "” in this space."));
  }

  /** The list with one part replaced or, if it is new, added. */
  private static <T> List<T> put(List<T> all, Function<T, String> id, T next) {
    List<T> out = new ArrayList<>();
    boolean there = false;
    for (T t : all) {
      boolean same = id.apply(t).equals(id.apply(next));
      there |= same;
      out.add(same ? next : t);
    }
    if (!there) {
      out.add(next);
    }
    return out;
  }

  private static <T> List<T> drop(List<T> all, Function<T, String> id, String gone) {
    find(all, id, gone);
    return all.stream().filter(t -> !id.apply(t).equals(gone)).collect(Collectors.toList());
  }
}

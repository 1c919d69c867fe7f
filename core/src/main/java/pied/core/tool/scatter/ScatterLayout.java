package pied.core.tool.scatter;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import pied.core.Tolerance;
import pied.core.catalog.Article;
import pied.core.catalog.Mounting;
import pied.core.piece.Form;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.place.Boards;
import pied.core.place.Footprint;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.place.Underlay;
import pied.core.size.Size;
import pied.core.solid.Body;
import pied.core.solid.Box;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Flight;
import pied.core.space.PartName;
import pied.core.space.Platform;
import pied.core.space.Sample;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.tool.repeat.Arrangement;
import pied.core.tool.repeat.LaidOut;
import pied.core.tool.repeat.Mixed;
import pied.core.tool.repeat.Shape;
import pied.core.units.Deadline;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * Strews pieces over floors, tops and boards by throwing darts: a place is taken if it is far
 * enough from all others, and if what comes there has room, with all of its foot on what carries
 * it. The distance between middles begins near that of the densest packing and shrinks only when
 * nothing more is found, so that they are spread as evenly as chance lets them (Poisson-disk
 * sampling; Cook 1986, dart throwing with a shrinking radius after McCool and Fiume 1992).
 *
 * <p>Expected cost: so many throws for each piece, each looking at the cells of a grid near it.
 */
final class ScatterLayout {
  /** The first distance between middles, as a share of that of the densest packing of discs. */
  private static final double FIRST = 0.8;

  /** It shrinks by this when so many throws for each that is lacking found nothing. */
  private static final double SHRINK = 0.9;

  private static final int THROWS = 30;

  /** Below this share of the first distance only the true outlines count. */
  private static final double LAST = 0.12;

  /** Sizes by chance are one of so many, since each has a mesh of its own. */
  private static final int SIZES = 9;

  private static final GeometryFactory PLANE = new GeometryFactory();

  /** Where they may come down. */
  private record StrewnArea(
      Geometry figure, PreparedGeometry ready, double high, On on, double size) {
    /** Whether it is the floor, and no board. */
    boolean isFloor() {
      return Double.isNaN(high);
    }
  }

  /** One of a mix at one of its sizes. */
  private record Grown(Shape shape, Sample sample, Form form) {}

  private final Space space;
  private final ScatterRule rule;
  private final Mixed mix;
  private final Set<String> ignored;
  private final Deadline deadline;
  private final SplittableRandom random;
  private final List<StrewnArea> areas = new ArrayList<>();
  private final Map<List<Object>, Grown> grown = new HashMap<>();
  private final Set<Integer> tired = new HashSet<>();
  private StrewnGrid grid;

  ScatterLayout(Space space, ScatterRule rule, Mixed mix, Set<String> ignored, Deadline deadline) {
    this.space = space;
    this.rule = rule;
    this.mix = mix;
    this.ignored = ignored;
    this.deadline = deadline;
    random = new SplittableRandom(rule.seed());
  }

  LaidOut laid() {
    check();
    find();
    double all = areas.stream().mapToDouble(StrewnArea::size).sum();
    if (!(all > Tolerance.FINE)) {
      throw new Refusal(
          rule.onto().isEmpty()
              ? "There is no floor in that outline."
              : "Nothing can stand on that.");
    }
    int n = wanted(all);
    List<Integer> order = mix.shuffled(n, random);
    double radius = mix.shapes.stream().mapToDouble(Shape::radius).max().orElseThrow();
    grid = new StrewnGrid(Math.max(2 * radius + rule.least(), 0.05), rule.least());
    double apart = FIRST * Math.sqrt(2 * all / (Math.sqrt(3) * n));
    double last = LAST * apart;
    List<LaidOut.LaidPlace> places = new ArrayList<>();
    int lost = 0;
    int thrown = 0;
    int i = 0;
    while (i < n) {
      deadline.check();
      LaidOut.LaidPlace place = thrown(i, order.get(i), apart);
      if (place != null) {
        places.add(place);
        i++;
        thrown = 0;
        continue;
      }
      thrown++;
      if (thrown < THROWS * (n - i < 8 ? 4 : 2)) {
        continue;
      }
      thrown = 0;
      if (apart > last) {
        apart *= SHRINK;
      } else if (apart > 0) {
        apart = 0;
      } else if (mix.size() > 1 && others(order, i)) {
        continue; // another of the mix may have room
      } else {
        lost = n - i;
        break;
      }
    }
    return new LaidOut(places, lost == 0 ? List.of() : List.of(said(places.size(), n)));
  }

  private int wanted(double area) {
    return rule.density() == null
        ? Arrangement.checked(rule.count())
        : Arrangement.checked(Math.round(rule.density() * area));
  }

  private static Message said(int have, int n) {
    return have == 0
        ? Message.of("There is no room for any of them.")
        : Message.of("{} of {} have room; the other {} have none.", have, n, n - have);
  }

  /** Brings one of another sort forward that was not tried yet; whether there is one. */
  private boolean others(List<Integer> order, int i) {
    int kind = order.get(i);
    tired.add(kind);
    for (int k = i + 1; k < order.size(); k++) {
      if (!tired.contains(order.get(k))) {
        order.set(i, order.get(k));
        order.set(k, kind);
        return true;
      }
    }
    return false;
  }

  private void check() {
    if (rule.least() < 0 || rule.off() < 0) {
      throw new Refusal("A distance is 0 or more.");
    }
    if (rule.sizing() < 0 || rule.sizing() > 0.9) {
      throw new Refusal("Sizes may differ by up to 90%.");
    }
    for (Shape s : mix.shapes) {
      Article a = space.article(s.sample().parts().get(0));
      if (a.mounting() != Mounting.STANDS) {
        throw new Refusal("Only what stands can be strewn about; {} does not.", a.name());
      }
    }
  }

  // ---- where

  private void find() {
    if (!rule.onto().isEmpty()) {
      for (String id : rule.onto()) {
        Piece p = space.piece(id);
        for (Boards.CarryingBoard b : Boards.of(space, p)) {
          add(b.figure(), b.high(), b.on());
        }
      }
      return;
    }
    Geometry floor = space.shell().within();
    if (!rule.outline().isEmpty()) {
      floor = floor.intersection(Shell.figure(rule.outline()));
    }
    if (rule.about() != null) {
      if (!(rule.radius() > 0.01)) {
        throw new Refusal("Say how far from the point they may lie.");
      }
      Geometry disc =
          PLANE
              .createPoint(new Coordinate(rule.about().x(), rule.about().z()))
              .buffer(rule.radius(), 32);
      floor = floor.intersection(disc);
    }
    add(floor, Double.NaN, null);
  }

  private void add(Geometry figure, double high, On on) {
    if (!figure.isEmpty() && figure.getArea() > 0) {
      areas.add(
          new StrewnArea(
              figure, PreparedGeometryFactory.prepare(figure), high, on, figure.getArea()));
    }
  }

  // ---- a throw

  private LaidOut.LaidPlace thrown(int number, int sample, double apart) {
    StrewnArea area = area();
    Envelope e = area.figure.getEnvelopeInternal();
    double x = e.getMinX() + random.nextDouble() * e.getWidth();
    double z = e.getMinY() + random.nextDouble() * e.getHeight();
    double spin = random.nextDouble() * 2 - 1;
    int size = rule.sizing() == 0 ? SIZES / 2 : random.nextInt(SIZES);
    double chance = random.nextDouble();
    double wanted = apart;
    if (rule.about() != null) {
      // denser toward the middle: fewer are taken farther out, and those there are farther apart
      double far = rule.about().distance(new Spot(x, z)) / rule.radius();
      if (chance < far * far * 0.75) {
        return null;
      }
      wanted = apart * (0.6 + 0.8 * far);
    }
    Vec flat = new Vec(x, Double.isNaN(area.high) ? 0 : area.high, z);
    if (grid.tooNear(flat, wanted, area.isFloor())) {
      return null;
    }
    Grown g = grown(sample, size);
    double turn = rule.turn() + spin * rule.turning();
    Geometry outline = g.shape.outline(flat, turn);
    if (!area.ready.covers(outline)) {
      return null;
    }
    StrewnGrid.Strewn lies = new StrewnGrid.Strewn(flat, outline, g.shape.radius());
    if (grid.touches(lies, area.isFloor())) {
      return null;
    }
    LaidOut.LaidPlace place =
        Double.isNaN(area.high)
            ? onFloor(number, sample, g, flat, turn, outline)
            : new LaidOut.LaidPlace(number, sample, new Stance(flat, turn), area.on, g.form);
    if (place == null || !hasRoom(g, place, outline)) {
      return null;
    }
    grid.add(lies);
    return place;
  }

  private StrewnArea area() {
    if (areas.size() == 1) {
      return areas.get(0);
    }
    double all = areas.stream().mapToDouble(StrewnArea::size).sum();
    double at = random.nextDouble() * all;
    for (StrewnArea a : areas) {
      at -= a.size;
      if (at <= 0) {
        return a;
      }
    }
    return areas.get(areas.size() - 1);
  }

  private Grown grown(int sample, int size) {
    return grown.computeIfAbsent(
        List.of(sample, size),
        k -> {
          Sample s = mix.shapes.get(sample).sample();
          double f = 1 + rule.sizing() * (2.0 * size / (SIZES - 1) - 1);
          if (rule.sizing() == 0 || s.parts().size() > 1) {
            return new Grown(mix.shapes.get(sample), s, null);
          }
          Piece p = s.parts().get(0);
          Size to =
              space
                  .article(p)
                  .nearest(
                      new Size(p.size().width() * f, p.size().depth() * f, p.size().height() * f));
          Form form = new Form(p.article(), to, p.form().mirrored(), false);
          Sample own = new Sample(List.of(p.withForm(form)), s.share());
          return new Grown(new Shape(space, own), own, form);
        });
  }

  // ---- coming to rest

  private LaidOut.LaidPlace onFloor(
      int number, int sample, Grown g, Vec flat, double turn, Geometry outline) {
    Shell shell = space.shell();
    for (Flight f : shell.flights()) {
      if (outline.intersects(Shell.figure(f.outline()))) {
        return null; // steps are for walking
      }
    }
    On on = On.FLOOR;
    for (Platform f : shell.platforms()) {
      Geometry top = Shell.figure(f.outline());
      if (outline.intersects(top)) {
        if (!top.covers(outline)) {
          return null; // it would reach over an edge
        }
        on = On.platform(f.id());
      }
    }
    double y = shell.floorAt(new Spot(flat.x(), flat.z()));
    if (Double.isNaN(y)) {
      return null;
    }
    boolean raked = shell.stage() != null && shell.stage().rake() > 0;
    if (!raked || on.kind() == On.OnKind.platform) {
      return new LaidOut.LaidPlace(
          number, sample, new Stance(flat.along(Vec.UP, y), turn), on, g.form);
    }
    Piece p = g.sample.parts().get(0);
    Rest rest =
        new Resting(space, p.form(), p.lean(), ignored, false).settle(flat.along(Vec.UP, y), turn);
    return rest.on().equals(On.FLOOR)
        ? new LaidOut.LaidPlace(number, sample, new Stance(rest.at(), turn), rest.on(), g.form)
        : null;
  }

  /** Whether nothing that is there is in the way, or nearer than it may be. */
  private boolean hasRoom(Grown g, LaidOut.LaidPlace place, Geometry outline) {
    Pose there = place.stance().pose();
    for (Piece p : g.sample.parts()) {
      Mesh mesh = space.shapes().mesh(p);
      Vec at = there.apply(p.at());
      Pose pose = Stance.pose(at, place.stance().turn() + p.turn(), p.lean());
      Box box = pose.box(mesh.box());
      Vec wide = new Vec(rule.off(), 0, rule.off());
      for (Body b : space.bodies().near(box.grown(wide))) {
        if (ignored.contains(b.id()) || flatUnder(b, box) || Underlay.lets(space, p, b)) {
          continue;
        }
        if (space.bodies().overlapped(mesh, pose, Resting.CONTACT, o -> o == b) != null) {
          return false;
        }
        boolean carrier = place.on() != null && b.id().equals(place.on().id());
        if (rule.off() > 0
            && space.has(b.id())
            && !carrier
            && Footprint.of(b.mesh(), b.pose()).isWithinDistance(outline, rule.off())) {
          return false;
        }
      }
    }
    return true;
  }

  /** The level floor under it, on which it stands. */
  private static boolean flatUnder(Body b, Box box) {
    return PartName.is(b, PartName.PartKind.floor)
        && b.box().max().y() <= box.min().y() + Tolerance.FINE;
  }
}

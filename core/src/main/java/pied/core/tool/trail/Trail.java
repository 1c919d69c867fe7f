package pied.core.tool.trail;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.RepeatedArticle;
import pied.core.edit.Walls;
import pied.core.edit.Wanting;
import pied.core.measure.Side;
import pied.core.piece.Piece;
import pied.core.place.Hung;
import pied.core.solid.Vec;
import pied.core.space.Bar;
import pied.core.space.Outlines;
import pied.core.space.Part;
import pied.core.space.PartName;
import pied.core.space.Platform;
import pied.core.space.Rule;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.tool.repeat.Repeating;
import pied.core.units.Refusal;

/**
 * Repeats something along a path, along walls, or along an edge; or adjusts such a trail. What is
 * not said is as it was.
 *
 * @param pieces what is repeated
 * @param group id of the trail to adjust
 * @param of articles to repeat instead
 * @param path corners of a path that was drawn
 * @param closed whether that ends where it begins
 * @param along walls in their order ("wall:A"), a platform, a piece, or a bar or a truss from which
 *     they hang, in place of a path
 * @param side of a piece; its front if nothing is said
 * @param inside of an edge: within it, and not outside
 * @param count how many; without a distance they are spread over all of it
 * @param gap from side to side; with a number that many stand so from where it begins, without one
 *     as many as there is room for
 * @param pitch from middle to middle, likewise
 * @param offset of their sides from the path, to its right; along walls and edges from those
 * @param facing how they look
 * @param turn degrees, of all, or more than they look
 * @param refill whether places that were taken out are filled again
 */
@JsonTypeName("trail")
@RecordBuilder
public record Trail(
    @Nullable List<String> pieces,
    @Nullable String group,
    @Nullable List<RepeatedArticle> of,
    @Nullable List<PlanPoint> path,
    @Nullable Boolean closed,
    @Nullable List<String> along,
    @Nullable Side side,
    @Nullable Boolean inside,
    @Nullable Amount count,
    @Nullable Amount gap,
    @Nullable Amount pitch,
    @Nullable Amount offset,
    @Nullable Rule.RepeatFacing facing,
    @Nullable Amount turn,
    @Nullable Boolean refill)
    implements Edit, TrailBuilder.With {

  /**
   * @param high where what goes along it stands, metres; not a number where it hangs from it
   */
  private record TrailLine(List<Spot> spots, boolean closed, @Nullable String along, double high) {
    boolean hangs() {
      return Double.isNaN(high);
    }

    Spot middle() {
      Spot a = spots.get(0);
      Spot b = spots.get(1);
      return new Spot((a.x() + b.x()) / 2, (a.z() + b.z()) / 2);
    }
  }

  @Override
  public void make(EditSession session) {
    Repeating r = Repeating.of(session, pieces, group, of);
    TrailRule old = r.old(TrailRule.class);
    TrailLine line = line(r);
    if (old == null) {
      old = begun(r, line);
    } else if (line != null) {
      boolean other = (old.along() == null) != (line.along == null) || line.hangs();
      Double usual = line.along == null || line.hangs() ? null : 0.0;
      old =
          old.withPath(line.spots)
              .withClosed(line.closed)
              .withAlong(line.along)
              .withOffset(other ? usual : old.offset());
    }
    r.lay(formed(r, old), Boolean.TRUE.equals(refill));
  }

  /** As it begins, where nothing is said of it. */
  private static TrailRule begun(Repeating r, @Nullable TrailLine line) {
    if (line == null) {
      throw new Refusal("Draw a path, or say along which walls or edge.");
    }
    Piece first = r.first();
    if (line.hangs()) {
      return new TrailRule(
          line.spots,
          false,
          line.along,
          5,
          null,
          false,
          null,
          Rule.RepeatFacing.inward,
          0,
          r.hangs(line.middle()).y());
    }
    boolean by = line.along != null;
    double high =
        first != null ? first.at().y() : line.high > 0 ? line.high : r.high(line.spots.get(0));
    return new TrailRule(
        line.spots,
        line.closed,
        line.along,
        5,
        null,
        false,
        by ? 0.0 : null,
        by ? Rule.RepeatFacing.inward : Rule.RepeatFacing.along,
        0,
        high);
  }

  /** With all that is said of it. */
  private TrailRule formed(Repeating r, TrailRule old) {
    TrailRule next = old;
    boolean apart = gap != null || pitch != null;
    if (apart) {
      next = next.withApart(r.apart(gap, pitch, old.apart())).withCount(null);
    }
    if (count != null) {
      next = next.withCount(Repeating.count(count, old.count() == null ? 0 : old.count()));
    }
    if (apart || count != null) {
      next = next.withSpaced(apart && count != null);
    }
    if (offset != null) {
      next = next.withOffset(r.length(offset, old.offset() == null ? 0 : old.offset()));
    }
    if (facing != null) {
      Piece first = r.first();
      double fixed = facing == Rule.RepeatFacing.fixed && first != null ? first.turn() : 0;
      next = next.withFacing(facing).withTurn(fixed);
    }
    if (turn != null) {
      next = next.withTurn(turn.angle(old.turn()));
    }
    return next;
  }

  private @Nullable TrailLine line(Repeating r) {
    Space space = r.session().space();
    if (path != null) {
      List<Spot> spots = new ArrayList<>();
      for (PlanPoint p : path) {
        spots.add(new Spot(r.length(p.x(), 0), r.length(p.z(), 0)));
      }
      if (spots.size() < 2) {
        throw new Wanting(
            spots.isEmpty() ? "Click where the path begins." : "Click where the path goes on.");
      }
      if (spots.size() > 500) {
        throw new Refusal("A path has up to 500 corners.");
      }
      return new TrailLine(spots, Boolean.TRUE.equals(closed), null, 0);
    }
    if (along == null || along.isEmpty()) {
      return null;
    }
    String first = along.get(0);
    if (space.has(first) && Hung.isRigged(space, first)) {
      return ofTruss(r, space.piece(first));
    }
    if (space.has(first)) {
      return ofPiece(space, space.piece(first));
    }
    PartName part = PartName.read(first);
    if (part.kind() == PartName.PartKind.bar) {
      Bar b = Part.find(space.shell().bars(), part.id());
      double half = b.length() / 2;
      List<Spot> tube = List.of(new Spot(b.x() - half, b.z()), new Spot(b.x() + half, b.z()));
      return new TrailLine(tube, false, b.id(), Double.NaN);
    }
    if (part.kind() == PartName.PartKind.platform) {
      return ofPlatform(space.shell(), part.id());
    }
    return ofWalls(space.shell());
  }

  /**
   * The wall next to a point of the plan, or both that meet near it.
   *
   * @param within so near to a corner both are meant, metres
   */
  public static List<String> meant(Shell shell, Spot p, double within) {
    Wall next = Wall.nearest(shell.walls(), p, "to go along");
    List<Wall> walls = shell.walls();
    for (int i = 0; i < walls.size(); i++) {
      Wall w = walls.get(i);
      Wall after = walls.get((i + 1) % walls.size());
      if (w.to().distance(p) <= within && (w == next || after == next)) {
        return List.of("wall:" + w.name(), "wall:" + after.name());
      }
    }
    return List.of("wall:" + next.name());
  }

  /** Walls one after the other; those that meet are one path. */
  private TrailLine ofWalls(Shell shell) {
    List<Wall> walls = new ArrayList<>();
    for (String name : along) {
      walls.add(Walls.named(shell, name));
    }
    if (walls.size() > 1 && !meet(walls.get(0), walls.get(1))) {
      Collections.reverse(walls);
    }
    List<Spot> spots = new ArrayList<>();
    StringBuilder words = new StringBuilder();
    for (int i = 0; i < walls.size(); i++) {
      Wall w = walls.get(i);
      if (i > 0 && !meet(walls.get(i - 1), w)) {
        throw new Refusal("Walls {} and {} do not meet.", walls.get(i - 1).name(), w.name());
      }
      if (i == 0) {
        spots.add(w.from());
      }
      spots.add(w.to());
      words.append(i == 0 ? "" : i == walls.size() - 1 ? " and " : ", ").append(w.name());
    }
    String called = (walls.size() == 1 ? "wall " : "walls ") + words;
    return new TrailLine(spots, false, called, 0);
  }

  private static boolean meet(Wall a, Wall b) {
    return a.to().distance(b.from()) < Tolerance.FINE;
  }

  private TrailLine ofPlatform(Shell shell, String id) {
    Platform p = Walls.platform(shell, id);
    List<Spot> ring = new ArrayList<>(Outlines.clockwise(p.outline()));
    boolean within = !Boolean.FALSE.equals(inside);
    if (!within) {
      Collections.reverse(ring);
    }
    return new TrailLine(ring, true, "the edge of the " + id, within ? p.height() : 0);
  }

  /** Along the tube of it that they hang from, from its left to its right. */
  private static TrailLine ofTruss(Repeating r, Piece p) {
    double half = p.size().width() / 2;
    Vec tube = r.hangs(new Spot(p.at().x(), p.at().z()));
    Vec off = new Vec(tube.x() - p.at().x(), 0, tube.z() - p.at().z());
    Vec a = p.pose().apply(new Vec(-half, 0, 0)).plus(off);
    Vec b = p.pose().apply(new Vec(half, 0, 0)).plus(off);
    List<Spot> ends = List.of(new Spot(a.x(), a.z()), new Spot(b.x(), b.z()));
    return new TrailLine(ends, false, p.name(), Double.NaN);
  }

  private TrailLine ofPiece(Space space, Piece p) {
    Side s = side == null ? Side.front : side;
    Vec out = s.outward();
    if (s == Side.top || s == Side.under) {
      throw new Refusal("Say which upright side: left, right, front or back.");
    }
    boolean within = Boolean.TRUE.equals(inside);
    double x = p.size().width() / 2;
    double z = p.size().depth() / 2;
    // the side as one goes along it with the outside to the right
    Vec along = new Vec(out.z(), 0, -out.x());
    Vec mid = new Vec(out.x() * x, 0, out.z() * z);
    double half = Math.abs(along.x()) * x + Math.abs(along.z()) * z;
    Vec a = p.pose().apply(mid.along(along, -half));
    Vec b = p.pose().apply(mid.along(along, half));
    List<Spot> spots =
        within
            ? List.of(new Spot(b.x(), b.z()), new Spot(a.x(), a.z()))
            : List.of(new Spot(a.x(), a.z()), new Spot(b.x(), b.z()));
    return new TrailLine(
        spots,
        false,
        "the " + s.called() + " of " + p.name(),
        within ? space.shapes().high(p) : p.at().y());
  }
}

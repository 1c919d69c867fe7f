package pied.core.tool.lineup;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.LineSegment;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Bulk;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Offer;
import pied.core.edit.Walls;
import pied.core.edit.Wanting;
import pied.core.measure.Hold;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.space.Skirting;
import pied.core.space.Space;
import pied.core.space.Wall;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * Brings a part of each piece in line with a part of something, in one, two or three directions; in
 * all others it stays as it is, to the last bit. What stands comes to rest again unless it is lined
 * up in height.
 *
 * @param pieces the lead last; a group of which all is named goes as one
 * @param to with what; the lead if none is said
 * @param what the wall ("wall:A"), the platform ("platform:platform 1") or the id of the piece
 * @param at the point that was picked
 * @param across which parts: left, middle or right
 * @param deep which parts: back, middle or front
 * @param high which parts: under, middle or top
 * @param nearness of a wall or an edge: the near side, the middle or the far side of each comes
 *     onto it
 * @param off how far from a wall or an edge that part is then, metres
 * @param mark in place of sides: the mark of each piece's own box that is brought there
 * @param own whether across and deep are those of the lead, and not of the space
 */
@JsonTypeName("lineUp")
@RecordBuilder
public record LineUp(
    List<String> pieces,
    @Nullable LineUpTo to,
    @Nullable String what,
    @Nullable Vec at,
    @Nullable LineUpMeeting across,
    @Nullable LineUpMeeting deep,
    @Nullable LineUpMeeting high,
    @Nullable LineUpPart nearness,
    @Nullable Amount off,
    @Nullable String mark,
    @Nullable Boolean own)
    implements Edit, LineUpBuilder.With {

  /** What they are lined up with. */
  public enum LineUpTo {
    lead,
    /** The outline of all of them. */
    all,
    piece,
    wall,
    /** The nearest edge of a platform. */
    edge,
    /** The centre line of a stage, and its setting line; of a room the middle of it. */
    centre,
    datum,
    floor,
    point
  }

  /** Parts of a piece in a direction. */
  public enum LineUpPart {
    left,
    middle,
    right,
    back,
    front,
    under,
    top,
    near,
    far;

    /** -1 for what is farther back along the direction, 0 for the middle, 1 for the other side. */
    int side() {
      return switch (this) {
        case left, back, under, near -> -1;
        case middle -> 0;
        case right, front, top, far -> 1;
      };
    }
  }

  /**
   * Which parts come together.
   *
   * @param part of the pieces
   * @param with of what they are lined up with, where that has sides; null for the same
   */
  public record LineUpMeeting(LineUpPart part, @Nullable LineUpPart with) {}

  private record LineUpLine(Vec way, LineUpPart part, double at) {}

  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    LineUpTo target = to == null ? LineUpTo.lead : to;
    List<Bulk> all = target == LineUpTo.lead ? Bulk.byLead(session, ids) : Bulk.of(session, ids);
    Bulk lead = all.get(all.size() - 1);
    if (target == LineUpTo.lead) {
      goesAlong(all, lead);
    }
    if ((target == LineUpTo.lead || target == LineUpTo.all) && all.size() < 2) {
      throw new Refusal("Select what is to be lined up as well; the lead is picked last.");
    }
    List<Bulk> moved = target == LineUpTo.lead ? all.subList(0, all.size() - 1) : all;
    boolean heights = high != null;
    boolean facing = to == LineUpTo.wall || to == LineUpTo.edge;
    List<LineUpLine> sides = sides(session.space(), all, lead);
    if (sides.isEmpty() && !facing) {
      throw new Refusal("Say which of their sides are to be in line, such as the left sides.");
    }
    Map<Bulk, Vec> ways = new LinkedHashMap<>();
    for (Bulk b : moved) {
      session.deadline().check();
      Vec way = Vec.ZERO;
      for (LineUpLine line : facing ? List.of(toward(session, b)) : sides) {
        double now = mark == null ? place(b, line.way(), line.part()) : marked(b, line.way());
        way = way.along(line.way(), line.at() - now);
      }
      ways.put(b, way);
    }
    Bulk.move(session, ways, !heights);
  }

  /** What stands on one of them cannot stay where it is while that is lined up with it. */
  private void goesAlong(List<Bulk> all, Bulk lead) {
    for (Bulk b : all.subList(0, all.size() - 1)) {
      if (b.moves(lead.lead().id())) {
        List<String> turned = new ArrayList<>(pieces);
        turned.remove(b.lead().id());
        turned.add(b.lead().id());
        String top = lead.lead().name();
        String under = b.lead().name();
        throw new Declined(
            Message.of("{} stands on {} and goes where that goes.", top, under),
            List.of(new Offer("Line up " + top + " with " + under, List.of(withPieces(turned)))));
      }
    }
  }

  private static double place(Bulk b, Vec way, LineUpPart part) {
    return switch (part.side()) {
      case -1 -> b.low(way);
      case 1 -> b.high(way);
      default -> b.middle(way);
    };
  }

  private double marked(Bulk b, Vec way) {
    Piece p = b.lead();
    Hold hold = Hold.read(mark).orElse(new Hold(0, 0, 0));
    return p.pose().apply(hold.on(p.size())).dot(way);
  }

  /** The directions of the space or of the lead in which they move, and to where. */
  private List<LineUpLine> sides(Space space, List<Bulk> all, Bulk lead) {
    List<LineUpLine> lines = new ArrayList<>();
    boolean ofLead = Boolean.TRUE.equals(own);
    Vec right = ofLead ? level(lead.lead().pose().direct(new Vec(1, 0, 0))) : new Vec(1, 0, 0);
    Vec front = ofLead ? level(lead.lead().pose().direct(new Vec(0, 0, 1))) : new Vec(0, 0, 1);
    add(
        lines,
        space,
        all,
        lead,
        right,
        across,
        "across",
        List.of(LineUpPart.left, LineUpPart.right));
    add(lines, space, all, lead, front, deep, "deep", List.of(LineUpPart.back, LineUpPart.front));
    add(lines, space, all, lead, Vec.UP, high, "high", List.of(LineUpPart.under, LineUpPart.top));
    return lines;
  }

  private static Vec level(Vec v) {
    if (Math.hypot(v.x(), v.z()) < 0.1) {
      throw new Refusal("The lead lies on a side; line them up in the directions of the space.");
    }
    return new Vec(v.x(), 0, v.z()).unit();
  }

  private void add(
      List<LineUpLine> lines,
      Space space,
      List<Bulk> all,
      Bulk lead,
      Vec way,
      @Nullable LineUpMeeting m,
      String direction,
      List<LineUpPart> sides) {
    if (m == null) {
      return;
    }
    LineUpPart part = need(m.part(), direction + ".part");
    LineUpPart with = m.with() == null ? part : m.with();
    if (!fits(part, sides) || !fits(with, sides)) {
      throw new Refusal(
          "In the direction {} a side is {}, middle or {}.", direction, sides.get(0), sides.get(1));
    }
    lines.add(new LineUpLine(way, part, target(space, all, lead, way, with)));
  }

  private static boolean fits(LineUpPart p, List<LineUpPart> sides) {
    return p == LineUpPart.middle || sides.contains(p);
  }

  private double target(Space space, List<Bulk> all, Bulk lead, Vec way, LineUpPart with) {
    Shell shell = space.shell();
    return switch (to == null ? LineUpTo.lead : to) {
      case lead -> mark == null ? place(lead, way, with) : marked(lead, way);
      case all -> ofAll(all, way, with);
      case piece -> {
        Piece p = space.piece(what);
        yield place(Bulk.single(space, p), way, with);
      }
      case point -> {
        if (at == null) {
          throw new Wanting("Click the point.");
        }
        yield at.dot(way);
      }
      case datum -> shell.datum().dot(way);
      case floor -> floor(way);
      case centre -> centre(shell).dot(way);
      case wall, edge ->
          throw new Refusal("With a wall or an edge only near, middle or far can be said.");
    };
  }

  private static double ofAll(List<Bulk> all, Vec way, LineUpPart with) {
    double high = Bulk.high(all, way);
    double low = -Bulk.high(all, way.times(-1));
    return with.side() < 0 ? low : with.side() > 0 ? high : (low + high) / 2;
  }

  private static double floor(Vec way) {
    if (way.y() < 0.5) {
      throw new Refusal("With the floor only undersides, middles or tops can be in line.");
    }
    return 0;
  }

  /** Where the centre line and the setting line cross; of a room its middle. */
  private static Vec centre(Shell shell) {
    if (shell.stage() != null) {
      return Vec.ZERO;
    }
    var e = Shell.envelope(shell.outline());
    return new Vec((e.getMinX() + e.getMaxX()) / 2, 0, (e.getMinY() + e.getMaxY()) / 2);
  }

  /** At a right angle to a wall's face or to the edge next to it, outward from there. */
  private LineUpLine toward(EditSession session, Bulk b) {
    LineUpLine face = face(session.space().shell(), b);
    double away = off == null ? skirting(session.space().shell(), b) : session.length(off, 0);
    return new LineUpLine(face.way(), face.part(), face.at() + away);
  }

  /** What stands on the floor against a wall stands against its skirting. */
  private double skirting(Shell shell, Bulk b) {
    Skirting s = shell.skirting();
    boolean at = to == LineUpTo.wall && nearness == LineUpPart.near && s != null;
    boolean outline =
        at && shell.walls().stream().anyMatch(w -> w.name().equals(PartName.read(what).id()));
    return outline && b.low(Vec.UP) < s.height() ? s.depth() : 0;
  }

  private LineUpLine face(Shell shell, Bulk b) {
    LineUpPart part = need(nearness, "nearness");
    if (part != LineUpPart.near && part != LineUpPart.far && part != LineUpPart.middle) {
      throw new Refusal("Say whether the near side, the middle or the far side comes onto it.");
    }
    Vec here = b.lead().at();
    if (to == LineUpTo.wall) {
      Wall wall = Walls.named(shell, what);
      double face = wall.inward().dot(wall.from().at(0));
      boolean behind = wall.inward().dot(here) < face;
      return behind
          ? new LineUpLine(wall.inward().times(-1), part, -face)
          : new LineUpLine(wall.inward(), part, face);
    }
    LineSegment edge = Walls.edge(shell, PartName.read(need(what, "what")).id(), here);
    Vec along = new Vec(edge.p1.x - edge.p0.x, 0, edge.p1.y - edge.p0.y).unit();
    Vec off = new Vec(-along.z(), 0, along.x());
    double face = off.dot(new Vec(edge.p0.x, 0, edge.p0.y));
    return off.dot(here) < face
        ? new LineUpLine(off.times(-1), part, -face)
        : new LineUpLine(off, part, face);
  }
}

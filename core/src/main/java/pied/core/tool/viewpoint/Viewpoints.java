package pied.core.tool.viewpoint;

import java.util.List;
import java.util.Locale;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit.PlanPoint;
import pied.core.edit.EditSession;
import pied.core.piece.Piece;
import pied.core.show.LightLook;
import pied.core.show.ShownNames;
import pied.core.show.Viewpoint;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.PartName;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.units.Message;
import pied.core.units.Refusal;
import pied.core.units.Text;

/** What edits of viewpoints share. */
final class Viewpoints {
  /** Eyes are between these above the floor, metres: below a cat, above a fly tower. */
  private static final double LOWEST = 0.05;

  private static final double HIGHEST = 60;

  /** Nearer than this, what one looks at gives no direction, metres. */
  private static final double NEAREST = 0.01;

  private static final int MOST_LIFTED = 200;

  /** So far within an opening one stands, metres. */
  private static final double WITHIN = 0.4;

  private Viewpoints() {}

  /**
   * A viewpoint of an id or a name.
   *
   * @throws Refusal if none that is kept has it
   */
  static Viewpoint named(EditSession session, String viewpoint) {
    Viewpoint found = ShownNames.named(session.space().showing().viewpoints(), viewpoint);
    if (found == null) {
      throw new Refusal("No viewpoint “{}” is kept in this space.", Text.clean(viewpoint));
    }
    return found;
  }

  static String free(EditSession session, String name, @Nullable String own) {
    return ShownNames.free(session.space().showing().viewpoints(), "viewpoint", name, own);
  }

  /**
   * An eye above a point of the plan.
   *
   * @throws Refusal where there is no floor
   */
  static Vec above(EditSession session, Vec at, double height) {
    double floor = session.space().shell().floorAt(new Spot(at.x(), at.z()));
    if (Double.isNaN(floor)) {
      throw new Refusal("There is no floor to stand on there.");
    }
    if (!(height >= LOWEST && height <= HIGHEST)) {
      throw new Refusal(
          "Eyes are between {} and {} above the floor.",
          Message.length(LOWEST),
          Message.length(HIGHEST));
    }
    return new Vec(at.x(), floor + height, at.z());
  }

  static Vec point(EditSession session, PlanPoint p) {
    double x = EditSession.need(p.x(), "x").metres(session.unit());
    double z = EditSession.need(p.z(), "z").metres(session.unit());
    return new Vec(x, 0, z);
  }

  /** The eye of somebody who sits on a piece, or stands where it is. */
  static Vec eye(EditSession session, Piece p, double height) {
    Vec at = p.at();
    double floor = session.space().shell().floorAt(new Spot(at.x(), at.z()));
    return new Vec(at.x(), (Double.isNaN(floor) ? p.at().y() : floor) + height, at.z());
  }

  /** The opening of a name such as "opening:d1"; null for none. */
  static @Nullable Opening opening(Space space, String name) {
    PartName part = PartName.read(name);
    return part.kind() == PartName.PartKind.opening ? space.shell().opening(part.id()) : null;
  }

  static String nameOf(Space space, String from) {
    Opening o = opening(space, from);
    return o != null ? space.nameOf(o.name()) : space.has(from) ? space.piece(from).name() : from;
  }

  /** The eye of somebody who stands before the middle of an opening, within. */
  static Vec eye(EditSession session, Opening o, @Nullable Amount height) {
    Wall wall = session.space().shell().wall(o.wall());
    Vec at = wall.spot(o.from() + o.width() / 2, WITHIN).at(0);
    return above(session, at, session.length(height, Viewpoint.STANDING));
  }

  /** A metre ahead of a piece, level. */
  static Vec facing(Piece p) {
    Vec front = p.pose().direct(new Vec(0, 0, 1));
    Vec level = new Vec(front.x(), 0, front.z());
    return level.length() < NEAREST ? new Vec(0, 0, 1) : level.unit();
  }

  static List<String> lifted(@Nullable List<String> bodies) {
    if (bodies == null) {
      return List.of();
    }
    if (bodies.size() > MOST_LIFTED
        || bodies.stream().anyMatch(b -> b == null || b.length() > 80)) {
      throw new Refusal("Up to {} parts of a shell can be left out of a picture.", MOST_LIFTED);
    }
    return bodies;
  }

  static Vec ahead(Vec eye, Vec target) {
    Vec way = target.minus(eye);
    if (!way.finite() || way.length() < NEAREST) {
      throw new Refusal("One has to look at something else than where one stands.");
    }
    return target;
  }

  /**
   * A lens as it was said.
   *
   * @param lens millimetres of a full frame, as a number or a text such as "24 mm"; or an angle
   *     such as "60°"
   */
  static double lens(Amount lens) {
    double mm;
    if (lens.text() == null) {
      mm = lens.number();
    } else {
      String t = lens.text().strip();
      try {
        double v =
            Double.parseDouble(t.replaceAll("(?i)mm|°|deg(rees)?", "").strip().replace(',', '.'));
        boolean angle = t.contains("°") || t.toLowerCase(Locale.ROOT).contains("deg");
        mm = angle ? Viewpoint.lens(v) : v;
      } catch (NumberFormatException e) {
        throw new Refusal("A lens is so many millimetres, such as 24, or an angle, such as 60°.");
      }
    }
    if (!(mm >= Viewpoint.SHORTEST && mm <= Viewpoint.LONGEST)) {
      throw new Refusal(
          "A lens has between {} and {} mm of a full frame.",
          (int) Viewpoint.SHORTEST,
          (int) Viewpoint.LONGEST);
    }
    return mm;
  }

  static @Nullable String look(EditSession session, @Nullable String look) {
    if (look == null || look.isEmpty()) {
      return null;
    }
    if (session.space().showing().get(LightLook.key(look)) == null) {
      throw new Refusal("That look is not in this space.");
    }
    return look;
  }

  /** Ids of the pieces that are hidden now. */
  static List<String> hidden(Space space) {
    return space.pieces().stream().filter(space::hidden).map(Piece::id).toList();
  }
}

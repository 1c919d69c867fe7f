package pied.core.tool.row;

import java.util.ArrayList;
import java.util.List;
import pied.core.Tolerance;
import pied.core.piece.Stance;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Rule;
import pied.core.tool.repeat.Arrangement;
import pied.core.tool.repeat.LaidOut;
import pied.core.tool.repeat.Mixed;
import pied.core.tool.repeat.Shape;
import pied.core.units.Message;
import pied.core.units.Refusal;

/** The places of a row, of rows behind one another, and of tiers. */
final class RowLayout {
  /** Places of the next row, and of the next tier, are numbered from so much more on. */
  private static final long ROW = 1L << 16;

  private static final long TIER = 1L << 32;

  private static final double SAME = Tolerance.SAME;

  private final RowRule rule;
  private final Mixed mix;

  RowLayout(RowRule rule, Mixed mix) {
    this.rule = rule;
    this.mix = mix;
  }

  LaidOut laid() {
    List<Message> said = new ArrayList<>();
    boolean one = rule.rows() == 1 && rule.tiers() == 1 && rule.length() == null;
    double rowPitch = rule.rows() == 1 ? 0 : pitch(back(), rule.rowsApart(), "rows");
    double tierPitch = rule.tiers() == 1 ? 0 : pitch(Vec.UP, rule.tiersApart(), "tiers");
    int count = Arrangement.checked(rule.count());
    double pitch = one ? 0 : pitch(rule.way(), rule.apart(), "pieces");
    if (rule.length() != null) {
      double room = room();
      count =
          Arrangement.checked(
              1 + (long) Math.floor(room / Math.max(pitch, Tolerance.NEAR) + Tolerance.SAME));
      if (rule.evened() && count > 1) {
        pitch = room / (count - 1);
      }
      said.add(
          Message.of(
              "{} {} into {}.", count, count == 1 ? "fits" : "fit", Message.length(rule.length())));
    }
    Arrangement.checked((long) count * rule.rows() * rule.tiers());
    return new LaidOut(places(count, one, pitch, rowPitch, tierPitch), said);
  }

  private List<LaidOut.LaidPlace> places(
      int count, boolean one, double pitch, double rowPitch, double tierPitch) {
    Vec back = back();
    List<LaidOut.LaidPlace> places = new ArrayList<>();
    for (int t = 0; t < rule.tiers(); t++) {
      for (int r = 0; r < rule.rows(); r++) {
        Vec at = rule.at().along(back, r * rowPitch).along(Vec.UP, t * tierPitch);
        double side = rule.staggered() && r % 2 == 1 ? half(pitch) : 0;
        at = at.along(rule.way(), side);
        Shape last = null;
        for (int i = 0; i < count; i++) {
          int s = mix.next();
          Shape shape = mix.shapes.get(s);
          if (last != null) {
            at = at.along(rule.way(), one ? step(last, shape, rule.way(), rule.apart()) : pitch);
          }
          long place = i + r * ROW + t * TIER;
          places.add(new LaidOut.LaidPlace(place, s, new Stance(at, rule.turn() + chance(place))));
          last = shape;
        }
      }
    }
    return places;
  }

  /** How far one is turned by chance, the same whenever it is asked. */
  private double chance(long place) {
    return rule.turning() == 0
        ? 0
        : (new java.util.SplittableRandom(place).nextDouble() * 2 - 1) * rule.turning();
  }

  /** What the length to fill leaves beside the first one, metres. */
  private double room() {
    double room = rule.length() - ends();
    if (room < -SAME) {
      throw new Refusal(
          "A length of {} has no room for one of them.", Message.length(rule.length()));
    }
    return room;
  }

  private double half(double pitch) {
    return pitch / 2;
  }

  /** What the first and the last reach beyond their places along the row, together. */
  private double ends() {
    Vec way = rule.way();
    double before = 0;
    double behind = 0;
    for (Shape s : mix.shapes) {
      before = Math.max(before, s.reach(way.times(-1), rule.turn()));
      behind = Math.max(behind, s.reach(way, rule.turn()));
    }
    return before + behind;
  }

  /** Where the next row is: behind them, or if that is where the row goes, to their right. */
  private Vec back() {
    Vec front = Pose.of(Vec.ZERO, rule.turn()).direct(new Vec(0, 0, 1));
    if (Math.abs(rule.way().y()) > 0.5) {
      return front.times(-1);
    }
    Vec side = new Vec(-rule.way().z() + 0.0, 0, rule.way().x());
    double toFront = side.dot(front);
    return toFront > SAME ? side.times(-1) : side;
  }

  private double step(Shape last, Shape next, Vec way, Rule.Apart apart) {
    checked(apart, "pieces");
    return apart.middles()
        ? apart.by()
        : next.touching(last, way, rule.turn(), rule.turn()) + apart.by();
  }

  /** The same for any two of the mix. */
  private double pitch(Vec way, Rule.Apart apart, String what) {
    checked(apart, what);
    if (apart.middles()) {
      return apart.by();
    }
    double most = 0;
    for (Shape a : mix.shapes) {
      for (Shape b : mix.shapes) {
        most = Math.max(most, b.touching(a, way, rule.turn(), rule.turn()));
      }
    }
    return most + apart.by();
  }

  private static void checked(Rule.Apart apart, String what) {
    if (apart.by() < 0 || apart.middles() && apart.by() < Tolerance.NEAR) {
      throw new Refusal("The distance between {} is to be more than that.", what);
    }
  }
}

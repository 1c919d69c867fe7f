package pied.core.paper;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Geometry;
import pied.core.Tolerance;
import pied.core.drawing.Dimension;
import pied.core.paper.Mark.Anchor;

/**
 * Lays chains of dimensions on a drawing, so that no chain covers another, nor the walls, and no
 * number another number.
 */
final class SheetMeasures {
  /** From what is measured to the first chain, and from chain to chain, millimetres. */
  private static final double FIRST = 6;

  private static final double NEXT = 6;
  private static final double TICK = 1.0;
  private static final double OVER = 0.7;
  private static final int TRIES = 12;

  private final Board board;
  private final TakenRoom bands = new TakenRoom();

  SheetMeasures(Board board) {
    this.board = board;
  }

  /** What chains keep off, millimetres on the drawing. */
  void avoid(Geometry figure) {
    bands.add(figure);
  }

  /** Dimensions of one line: they go out together. */
  private record MeasureChain(List<Dimension> own, double outX, double outY) {
    /** Where along the direction outward its points lie at most, metres. */
    double base() {
      return own.stream()
          .mapToDouble(d -> Math.max(d.x1() * outX + d.y1() * outY, d.x2() * outX + d.y2() * outY))
          .max()
          .orElse(0);
    }
  }

  void add(List<Dimension> dimensions) {
    Map<String, List<Dimension>> chains = new LinkedHashMap<>();
    for (Dimension d : dimensions) {
      if (d.level() == 0) {
        dimension(
            d, d.x1() * board.k(), d.y1() * board.k(), d.x2() * board.k(), d.y2() * board.k());
        continue;
      }
      double off = d.x1() * d.outX() + d.y1() * d.outY();
      String line =
          Math.round(d.outX() * 1e4)
              + " "
              + Math.round(d.outY() * 1e4)
              + " "
              + d.level()
              + " "
              + Math.round(off * 1e3);
      chains.computeIfAbsent(line, k -> new ArrayList<>()).add(d);
    }
    for (List<Dimension> own : chains.values()) {
      chain(new MeasureChain(own, own.get(0).outX(), own.get(0).outY()), own.get(0).level());
    }
  }

  private void chain(MeasureChain c, int level) {
    double off = c.base() * board.k() + FIRST + (level - 1) * NEXT;
    Geometry band = band(c, off);
    for (int i = 0; i < TRIES && !bands.free(band); i++) {
      off += NEXT / 2;
      band = band(c, off);
    }
    bands.add(band);
    for (Dimension d : c.own) {
      double[] a = at(d.x1(), d.y1(), c, off);
      double[] b = at(d.x2(), d.y2(), c, off);
      extension(d.x1() * board.k(), d.y1() * board.k(), a, c);
      extension(d.x2() * board.k(), d.y2() * board.k(), b, c);
      dimension(d, a[0], a[1], b[0], b[1]);
    }
  }

  /** A point of the model moved out onto the line of the chain, millimetres. */
  private double[] at(double x, double y, MeasureChain c, double off) {
    double now = (x * c.outX + y * c.outY) * board.k();
    return new double[] {
      x * board.k() + c.outX * (off - now), y * board.k() + c.outY * (off - now)
    };
  }

  private Geometry band(MeasureChain c, double off) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    double ax = -c.outY;
    double ay = c.outX;
    for (Dimension d : c.own) {
      for (double[] p : new double[][] {{d.x1(), d.y1()}, {d.x2(), d.y2()}}) {
        double along = (p[0] * ax + p[1] * ay) * board.k();
        low = Math.min(low, along);
        high = Math.max(high, along);
      }
    }
    double turn = Math.toDegrees(Math.atan2(-ay, ax));
    return TakenRoom.turned(
        c.outX * off, c.outY * off, turn, low + 0.5, -NEXT / 2 + 0.3, high - 0.5, NEXT / 2 - 0.3);
  }

  private void extension(double x, double y, double[] to, MeasureChain c) {
    double far = (to[0] - x) * c.outX + (to[1] - y) * c.outY;
    if (far > 2) {
      board.add(
          new Mark.MarkLine(
              new double[] {
                x + 1.5 * c.outX, y + 1.5 * c.outY, to[0] + OVER * c.outX, to[1] + OVER * c.outY
              },
              Pen.DIMENSION));
    }
  }

  private void dimension(Dimension d, double x1, double y1, double x2, double y2) {
    double length = Math.hypot(x2 - x1, y2 - y1);
    if (length < Tolerance.FINE) {
      return;
    }
    double ux = (x2 - x1) / length;
    double uy = (y2 - y1) / length;
    board.add(new Mark.MarkLine(new double[] {x1, y1, x2, y2}, Pen.DIMENSION));
    for (double[] p : new double[][] {{x1, y1}, {x2, y2}}) {
      double tx = (ux - uy) * TICK * 0.7;
      double ty = (uy + ux) * TICK * 0.7;
      board.add(
          new Mark.MarkLine(new double[] {p[0] - tx, p[1] - ty, p[0] + tx, p[1] + ty}, Pen.EDGE));
    }
    number(d.text(), (x1 + x2) / 2, (y1 + y2) / 2, ux, uy, length);
  }

  /** The number stands over the line; where that has no room, farther off with a leader. */
  private void number(String text, double x, double y, double ux, double uy, double length) {
    double turn = Math.toDegrees(Math.atan2(-uy, ux));
    if (turn > 90.001 || turn <= -89.999) {
      turn += turn > 0 ? -180 : 180;
    }
    double r = Math.toRadians(turn);
    double upX = -Math.sin(r);
    double upY = -Math.cos(r);
    double size = Board.SMALL;
    boolean fits = Type.width(text, size) <= length - 0.6;
    for (int i = 0; i < 24; i++) {
      double up =
          i % 2 == 0 ? 0.6 + i / 2 * (size + 0.6) : -0.6 - size * 0.75 - i / 2 * (size + 0.6);
      if (!fits && i < 2) {
        continue;
      }
      Mark.MarkText t =
          new Mark.MarkText(text, x + upX * up, y + upY * up, size, Anchor.middle, turn, false);
      if (board.texts().free(TakenRoom.box(t)) || i == 23) {
        if (i > 1) {
          double to = up > 0 ? up - 0.3 : up + size * 0.75 + 0.3;
          board.add(
              new Mark.MarkLine(new double[] {x, y, x + upX * to, y + upY * to}, Pen.DIMENSION));
        }
        board.put(t);
        return;
      }
    }
  }
}

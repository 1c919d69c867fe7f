package pied.core.space;

import java.util.List;
import java.util.Locale;
import org.locationtech.jts.geom.Envelope;
import pied.core.solid.Vec;
import pied.core.units.Entry;
import pied.core.units.LengthUnit;

/** Reads positions from the datum as they are typed; on a stage in its words too. */
public final class Positions {
  /** Words of a direction, and those of the opposite. */
  public enum Direction {
    across(List.of("stage left", "left"), List.of("stage right", "right")),
    deep(List.of("downstage", "down", "front"), List.of("upstage", "up", "back"));

    private final List<String> forth;
    private final List<String> back;

    Direction(List<String> forth, List<String> back) {
      this.forth = forth;
      this.back = back;
    }
  }

  private Positions() {}

  /** The word of a stage for the side of the datum on which a position is. */
  public static String side(Direction d, double from) {
    return d == Direction.across
        ? from < 0 ? "stage right" : "stage left"
        : from > 0 ? "downstage" : "upstage";
  }

  /**
   * A position from the datum as it is read: on a stage with its word and never with a sign.
   *
   * @param from metres
   */
  public static String words(Shell shell, Direction d, double from, LengthUnit unit) {
    return shell.stage() == null
        ? unit.fine(from)
        : unit.fine(Math.abs(from)) + " " + side(d, from);
  }

  /** A place from the datum as it is read: across, deep and high. */
  public static String words(Shell shell, Vec from, LengthUnit unit) {
    return String.join(
        ", ",
        words(shell, Direction.across, from.x(), unit),
        words(shell, Direction.deep, from.z(), unit),
        unit.fine(from.y()) + (shell.stage() == null ? "" : " high"));
  }

  /**
   * A position that was typed where it is shown: on a stage without a sign, with a word beside it.
   *
   * @param at where it is, in the directions of the space
   * @return the coordinate there, in the directions of the space, metres
   */
  public static double typed(Direction d, String text, Vec at, LengthUnit unit, Shell shell) {
    Vec p = at.minus(shell.datum());
    double datum = d == Direction.across ? shell.datum().x() : shell.datum().z();
    return datum + typed(d, text, d == Direction.across ? p.x() : p.z(), unit, shell);
  }

  /**
   * The same from the datum.
   *
   * @param from the position there is, from the datum, metres
   */
  public static double typed(Direction d, String text, double from, LengthUnit unit, Shell shell) {
    int sign = shell.stage() != null && from < 0 ? -1 : 1;
    return typed(d, text, sign, from, unit, shell);
  }

  /**
   * A position along a direction as it was typed where one stands: with its word ("1.05 stage
   * right") it is that; a minus sign means so much less, as everywhere, unless that would lead out
   * of the space and the position with that sign does not.
   *
   * @param sign 1 if the number that stands there grows along the direction, -1 if it shrinks
   * @param from the position there is, from the datum, metres
   */
  public static double typed(
      Direction d, String text, int sign, double from, LengthUnit unit, Shell shell) {
    String t = text.strip().toLowerCase(Locale.ROOT).replace('\u2212', '-');
    for (String word : d.forth) {
      if (t.endsWith(word)) {
        return number(t, word, unit);
      }
    }
    for (String word : d.back) {
      if (t.endsWith(word)) {
        return -number(t, word, unit);
      }
    }
    double less = sign * Entry.length(text, unit).from(sign * from);
    if (t.startsWith("-")) {
      double there = sign * Entry.length("=" + t, unit).from(0);
      if (!holds(shell, d, less) && holds(shell, d, there)) {
        return there;
      }
    }
    return less;
  }

  private static double number(String t, String word, LengthUnit unit) {
    return Entry.length("=" + t.substring(0, t.length() - word.length()), unit).from(0);
  }

  /** Whether a minus sign may mean either: so much less, or a position on the other side. */
  public static boolean eitherWay(Shell shell, Direction d) {
    return holds(shell, d, -0.5) && holds(shell, d, 0.5);
  }

  private static boolean holds(Shell shell, Direction d, double fromDatum) {
    Envelope e = shell.floor().getEnvelopeInternal();
    double at = fromDatum + (d == Direction.across ? shell.datum().x() : shell.datum().z());
    return d == Direction.across
        ? at >= e.getMinX() && at <= e.getMaxX()
        : at >= e.getMinY() && at <= e.getMaxY();
  }
}

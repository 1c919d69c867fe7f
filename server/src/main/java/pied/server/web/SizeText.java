package pied.server.web;

import pied.core.size.Size;
import pied.core.units.LengthUnit;

/** A size as it is written on cards and in the schedule. */
public final class SizeText {
  private SizeText() {}

  public static String of(Size s, LengthUnit u) {
    return u.fine(s.width()) + " × " + u.fine(s.depth()) + " × " + u.fine(s.height());
  }
}

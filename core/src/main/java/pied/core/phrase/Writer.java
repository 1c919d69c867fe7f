package pied.core.phrase;

import java.util.ArrayList;
import java.util.List;
import pied.core.edit.Edit;
import pied.core.solid.Vec;
import pied.core.space.Positions;
import pied.core.space.Positions.Direction;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.units.Angle;
import pied.core.units.LengthUnit;

/** Writes phrases: lengths in the chosen unit, places in the words of the space. */
public final class Writer {
  public final Space space;
  public final Shell shell;
  public final LengthUnit unit;
  public final List<Phrase> out = new ArrayList<>();

  /**
   * @param unit of lengths that are written
   */
  public Writer(Space space, LengthUnit unit) {
    this.space = space;
    this.shell = space.shell();
    this.unit = unit;
  }

  /** Words to be read. */
  public Writer text(String s) {
    out.add(Phrase.text(s));
    return this;
  }

  /** A length to be read and typed. */
  public Writer length(double value, String label, String slot, Edit edit) {
    out.add(Phrase.field(unit.fine(value), label, slot, edit));
    return this;
  }

  /** A value to be read and typed. */
  public Writer field(String text, String label, String slot, Edit edit) {
    out.add(Phrase.field(text, label, slot, edit));
    return this;
  }

  /** An angle to be read and typed. */
  public Writer angle(double degrees, String label, String slot, Edit edit) {
    return field(Angle.text(degrees), label, slot, edit);
  }

  /** A name; a click selects the piece. */
  public Writer word(String text, String piece) {
    out.add(Phrase.word(text, piece));
    return this;
  }

  /** The name of a part of the shell. */
  public Writer part(String text, String part) {
    out.add(Phrase.part(text, part));
    return this;
  }

  /** What it is now, and what else it can be. */
  public Writer choice(String now, String label, Phrase.Option... options) {
    out.add(new Phrase.PhraseChoice(now, label, List.of(options)));
    return this;
  }

  /** What else can be said. */
  public Writer more(String text, String label, List<Phrase.Option> options) {
    out.add(new Phrase.PhraseMore(text, label, options));
    return this;
  }

  /** Something to do. */
  public Writer action(String text, Edit edit) {
    out.add(new Phrase.PhraseAction(text, edit));
    return this;
  }

  /**
   * A place read from the datum: so far across and deep, on a stage "stage left" and "upstage".
   *
   * @param slot of the edit that takes a place
   */
  public Writer place(Vec at, Edit edit, String slot) {
    Vec p = at.minus(shell.datum());
    if (shell.stage() == null) {
      position(p.x(), Direction.across, "Across from the datum, to the middle", slot + ".x", edit)
          .text(" across, ");
      return position(
              p.z(), Direction.deep, "Deep from the datum, to the middle", slot + ".z", edit)
          .text(" deep");
    }
    String side = Positions.side(Direction.across, p.x());
    position(
            Math.abs(p.x()),
            Direction.across,
            "Distance to " + side + " of the datum, to the middle",
            slot + (p.x() < 0 ? ".stageRight" : ".stageLeft"),
            edit)
        .text(" " + side + ", ");
    String way = Positions.side(Direction.deep, p.z());
    return position(
            Math.abs(p.z()),
            Direction.deep,
            "Distance " + way + " of the datum, to the middle",
            slot + (p.z() > 0 ? ".downstage" : ".upstage"),
            edit)
        .text(" " + way);
  }

  /** A position to be read and typed, with what a sign means where that is in doubt. */
  private Writer position(double value, Direction d, String label, String slot, Edit edit) {
    String words = d == Direction.across ? "1.05 stage right" : "1.05 upstage";
    String other = shell.stage() == null ? "=-1.05" : words;
    String hint =
        Positions.eitherWay(shell, d)
            ? "-1.05 is so much less than now; the position is " + other
            : null;
    out.add(Phrase.field(unit.fine(value), label, slot, edit, hint));
    return this;
  }
}

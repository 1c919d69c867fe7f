package pied.core.piece;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.material.Finishes;
import pied.core.size.Size;
import pied.core.solid.Pose;
import pied.core.solid.Vec;

/**
 * One article placed in a space.
 *
 * @param form what its mesh is built from
 * @param stance where it is
 * @param attached whether it stays with its carrier without standing on it
 * @param finishes those that differ from the article's own
 * @param lamp how it is switched, should it be a lamp
 */
@RecordBuilder
public record Piece(
    String id,
    String name,
    Form form,
    Stance stance,
    On on,
    boolean attached,
    Finishes finishes,
    Keeping keeping,
    Lamp lamp)
    implements PieceBuilder.With {

  public Piece {
    finishes = finishes == null ? Finishes.NONE : finishes;
    keeping = keeping == null ? Keeping.PLAIN : keeping;
    lamp = lamp == null ? Lamp.PLAIN : lamp;
  }

  /** One just put somewhere. */
  public Piece(String id, String name, Form form, Stance stance, On on, Finishes finishes) {
    this(id, name, form, stance, on, false, finishes, Keeping.PLAIN);
  }

  /** One of which nothing is said as a lamp. */
  public Piece(
      String id,
      String name,
      Form form,
      Stance stance,
      On on,
      boolean attached,
      Finishes finishes,
      Keeping keeping) {
    this(id, name, form, stance, on, attached, finishes, keeping, Lamp.PLAIN);
  }

  // ---- parts of its form and its stance

  public String article() {
    return form.article();
  }

  public Size size() {
    return form.size();
  }

  public Vec at() {
    return stance.at();
  }

  public double turn() {
    return stance.turn();
  }

  public Lean lean() {
    return stance.lean();
  }

  public Pose pose() {
    return stance.pose();
  }

  /** What it is built from, its head turned as that of its lamp. */
  public Form shape() {
    return lamp.head() == null ? form : form.withHead(lamp.head());
  }

  /** Whether it is where another is, in the same shape. */
  public boolean fills(Piece o) {
    return this == o || shape().equals(o.shape()) && stance.equals(o.stance);
  }

  /** Whether it is another but for its colours and how it is kept in order. */
  public boolean is(Piece o) {
    return this == o
        || name.equals(o.name)
            && shape().equals(o.shape())
            && stance.equals(o.stance)
            && on.equals(o.on)
            && attached == o.attached;
  }

  // ---- the same elsewhere, or otherwise

  /** The same but for what is no matter of a lock: locked and hidden, and burning, as another. */
  public Piece shownAs(Piece o) {
    return withKeeping(keeping.shownAs(o.keeping)).withLamp(o.lamp);
  }

  public Piece withSize(Size v) {
    return withForm(form.withSize(v));
  }

  public Piece withAt(Vec v) {
    return withStance(stance.withAt(v));
  }

  /** Turned to an angle, degrees; any may be given. */
  public Piece withTurn(double v) {
    return withStance(stance.withTurn(v));
  }

  public Piece withLean(Lean v) {
    return withStance(stance.withLean(v));
  }

  public Piece moved(Vec by) {
    return withStance(stance.moved(by));
  }
}

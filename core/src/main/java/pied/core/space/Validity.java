package pied.core.space;

import java.util.Collection;
import java.util.regex.Pattern;
import pied.core.Tolerance;
import pied.core.catalog.Article;
import pied.core.piece.Keeping;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.units.Message;
import pied.core.units.Refusal;
import pied.core.units.Text;

/**
 * The last look at what is about to be kept: whatever was asked for, and whichever way it came, a
 * piece that is stored has a place, a size, a name and a carrier that make sense.
 */
public final class Validity {
  /**
   * Farthest from the middle of the plan anything may be, metres: ten times the largest outline. A
   * piece that is lost beyond the walls is still found; numbers stay exact to a nanometre.
   */
  public static final double FARTHEST = 1000;

  /** Most pieces of a space. */
  public static final int MOST_PIECES = 20_000;

  /** What is flat has a thickness all the same, metres. */
  private static final double THINNEST = Tolerance.FINE;

  /** Sights come from no farther, metres. */
  private static final double FARTHEST_EYE = 10_000;

  private static final Pattern ID = Pattern.compile("[A-Za-z0-9][A-Za-z0-9._-]{0,63}");

  private Validity() {}

  /**
   * An id for a new piece: letters, digits, dots, dashes and underscores, and none that a part of a
   * shell has.
   *
   * @throws Refusal if it is none
   */
  public static String id(String id) {
    if (id == null
        || !ID.matcher(id).matches()
        || PartName.read(id).kind() != PartName.PartKind.other) {
      throw new Refusal(
          "An id for a piece has 1 to 64 letters, digits, dots, dashes or underscores, and is not"
              + " that of a part of the shell.");
    }
    return id;
  }

  /**
   * A point of the space.
   *
   * @throws Refusal if it is none, or out of all measure
   */
  public static Vec point(Vec p) {
    if (!p.finite() || p.length() > 2 * FARTHEST) {
      throw new Refusal("That is no point of this space.");
    }
    return p;
  }

  /**
   * The direction of a line of sight.
   *
   * @throws Refusal if it points nowhere, or comes from out of all measure
   */
  public static Vec sight(Vec from, Vec along) {
    boolean ok =
        from != null
            && along != null
            && from.finite()
            && along.finite()
            && from.length() <= FARTHEST_EYE
            && along.length() > Tolerance.SAME
            && along.length() < 1e9;
    if (!ok) {
      throw new Refusal("The line of sight points nowhere.");
    }
    return along.unit();
  }

  /** Whether a point is where things may be. */
  public static boolean near(Vec p) {
    return p.finite()
        && Math.abs(p.x()) <= FARTHEST
        && Math.abs(p.y()) <= FARTHEST
        && Math.abs(p.z()) <= FARTHEST;
  }

  /**
   * A place for something.
   *
   * @throws Refusal if it is out of all measure
   */
  public static Vec place(String name, Vec at) {
    if (!near(at)) {
      throw new Refusal(
          "{} would be more than {} away; that is too far.", name, Message.length(FARTHEST));
    }
    return at;
  }

  /**
   * Looks at pieces as they are in a space.
   *
   * @throws Refusal if one of them cannot be kept; it says which and why
   */
  public static void pieces(Space space, Collection<Piece> changed) {
    changed.forEach(p -> piece(space, p));
  }

  /**
   * A size anything may have.
   *
   * @throws Refusal if it is none
   */
  public static Size size(String name, Size s) {
    for (Measure m : Measure.values()) {
      if (!(m.of(s) >= THINNEST && m.of(s) <= Size.MOST)) {
        throw new Refusal("{} would have no size it can have.", name);
      }
    }
    return s;
  }

  private static void piece(Space space, Piece p) {
    id(p.id());
    Text.name("A piece", p.name());
    place(p.name(), p.at());
    size(p.name(), p.size());
    boolean turned = p.turn() >= 0 && p.turn() < 360;
    boolean leans = Math.abs(p.lean().by()) <= 180 && Double.isFinite(p.lean().toward());
    if (!turned || !leans) {
      throw new Refusal("{} would be turned by no angle there is.", p.name());
    }
    Article article = space.article(p);
    article.finishes(p.finishes());
    Keeping k = p.keeping();
    if (space.filing().layer(k.layer()) == null) {
      throw new Refusal("{} would be on a layer that is not there.", p.name());
    }
    if (k.group() != null && space.filing().group(k.group()) == null) {
      throw new Refusal("{} would be in a group that is not there.", p.name());
    }
    if (!there(space, p.on()) || p.id().equals(p.on().id())) {
      throw new Refusal("{} would be carried by something that is not there.", p.name());
    }
  }

  /** Whether what is to carry something is there. */
  public static boolean there(Space space, On on) {
    Shell shell = space.shell();
    return switch (on.kind()) {
      case floor, ceiling, held, nothing -> true;
      case piece -> space.has(on.id());
      case wall -> shell.wall(on.id()) != null;
      case platform ->
          shell.platforms().stream().anyMatch(x -> x.id().equals(on.id()))
              || shell.flights().stream().anyMatch(x -> x.id().equals(on.id()));
      case bar -> shell.bars().stream().anyMatch(x -> x.id().equals(on.id()));
      case opening -> shell.opening(on.id()) != null;
    };
  }
}

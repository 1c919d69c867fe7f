package pied.core.tool.finish;

import java.util.List;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.material.Finish;
import pied.core.piece.Piece;
import pied.core.space.KeptPart;
import pied.core.space.PartName;
import pied.core.space.ShellBodies;
import pied.core.space.Space;
import pied.core.units.Refusal;
import pied.core.units.Text;

/**
 * A part that can be given a finish.
 *
 * @param pieces of one article; null for a part of the shell
 * @param part key of the part, or name of the part of the shell
 */
public record FinishTarget(@Nullable List<String> pieces, String part) {
  /** How it looks now; complete. */
  public Finish shown(Space space) {
    if (pieces == null) {
      Decorate.natural(space.shell(), part);
      return ShellBodies.looks(space.shell()).get(part);
    }
    if (pieces.isEmpty()) {
      throw new Refusal("Select what it is for first.");
    }
    Piece p = space.piece(pieces.get(0));
    space.article(p).natural(part);
    return space.article(p).look(part, p.finishes()).finish();
  }

  /**
   * How it would look if it were given a finish; complete.
   *
   * @param given what is missing is as its material has it, or without one stays
   * @throws Refusal if it cannot have it
   */
  public Finish with(Finish given, Space space) {
    Finish shown = shown(space);
    Finish all = given;
    Finish natural;
    if (pieces == null) {
      natural = Decorate.natural(space.shell(), part);
    } else {
      Piece first = space.piece(pieces.get(0));
      natural = space.article(first).natural(part);
      all = Filling.of(given, first, part, space.shapes());
    }
    Finish own = Given.own(all, natural, shown, space.shapes());
    return own == null ? natural : own.over(natural);
  }

  /** What it is called: "Seat of Dining chair 3", "Wall A". */
  public String title(Space space) {
    if (pieces == null) {
      boolean one = part.indexOf(':') > 0;
      return one ? KeptPart.title(space, PartName.read(part)) : Text.capital(ofShell(part));
    }
    Piece p = space.piece(pieces.get(0));
    Article article = space.article(p);
    String name = article.finishes().get(part).name();
    return pieces.size() == 1
        ? name + " of " + p.name()
        : name + " of " + pieces.size() + " × " + article.name();
  }

  private static String ofShell(String part) {
    return switch (part) {
      case "wall" -> "all walls";
      case "joinery" -> "frames";
      case "leaf" -> "leaves";
      case "platform" -> "platforms";
      case "column" -> "columns";
      case "bar" -> "bars";
      case "seat" -> "seats";
      default -> part;
    };
  }
}

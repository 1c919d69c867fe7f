package pied.core.space;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.piece.Keeping;
import pied.core.units.Text;

/**
 * How a part of the shell is kept in order, as a piece is: on a layer, in a group, locked, hidden,
 * remarked upon, and a twin of another.
 *
 * @param name its own; null for the one that it is known by
 * @param keeping the other one of a pair of twins is named by the text of its {@link PartName}
 */
@RecordBuilder
public record KeptPart(PartName part, @Nullable String name, Keeping keeping)
    implements KeptPartBuilder.With {
  /** How a part of the shell is called where a sentence begins: "Platform 1", "The door". */
  public static String title(Space space, PartName part) {
    String name = space.nameOf(part);
    return Text.capital(name.equals("the " + part.id()) ? part.id() : name);
  }

  /** One of which there is nothing to keep. */
  static KeptPart plain(PartName part) {
    return new KeptPart(part, null, Keeping.PLAIN);
  }

  /** Whether there is nothing to keep of it. */
  public boolean plainly() {
    return name == null && keeping.equals(Keeping.PLAIN);
  }
}

package pied.core.tool.keep;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Offer;
import pied.core.piece.Partner;
import pied.core.piece.Piece;
import pied.core.space.Space;
import pied.core.tool.twin.PartTwins;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * Removes pieces; what they carried comes to rest on what is beneath. Of a pair of twins it is
 * asked whether both go, or this one alone.
 */
@JsonTypeName("remove")
@RecordBuilder
public record Remove(List<String> pieces) implements Edit {
  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    ask(session, ids);
    session.say(gone(session, ids));
    session.takeOut(ids);
  }

  /** The edits that take out these and nothing else: twins whose other one stays are parted. */
  public static List<Edit> alone(Space space, List<String> ids) {
    List<String> paired = paired(space, ids);
    Edit remove = new Remove(ids);
    return paired.isEmpty() ? List.of(remove) : List.of(new PartTwins(paired), remove);
  }

  /** Those whose twin is not among them. */
  private static List<String> paired(Space space, List<String> ids) {
    Set<String> all = Set.copyOf(ids);
    List<String> paired = new ArrayList<>();
    for (String id : ids) {
      Partner twin = space.piece(id).keeping().twin();
      if (twin != null && twin.piece() != null && !all.contains(twin.piece())) {
        paired.add(id);
      }
    }
    return paired;
  }

  /** What stays alone would go as well; that is for one to say. */
  private static void ask(EditSession session, List<String> ids) {
    List<String> paired = paired(session.space(), ids);
    if (paired.isEmpty()) {
      return;
    }
    List<String> both = new ArrayList<>(ids);
    paired.forEach(id -> both.add(session.piece(id).keeping().twin().piece()));
    Piece first = session.piece(paired.get(0));
    String other = session.piece(first.keeping().twin().piece()).name();
    boolean one = paired.size() == 1;
    throw new Declined(
        new Refusal(
            one
                ? Message.of("{} is a twin of {}. Are both to be taken out?", first.name(), other)
                : Message.of(
                    "{} of these are twins of others. Are both of each to be taken out?",
                    paired.size())),
        List.of(
            new Offer(one ? "Take out both" : "Take out both of each", List.of(new Remove(both))),
            new Offer(
                one ? "Take out this one alone" : "Take out these alone",
                List.of(new PartTwins(paired), new Remove(ids)))));
  }

  private static String gone(EditSession session, List<String> ids) {
    String first = session.piece(ids.get(0)).name();
    return switch (ids.size()) {
      case 1 -> first + " is taken out.";
      case 2 -> first + " and " + session.piece(ids.get(1)).name() + " are taken out.";
      default -> first + " and " + (ids.size() - 1) + " more are taken out.";
    };
  }
}

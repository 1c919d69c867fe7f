package pied.core.tool.keep;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.edit.BuiltIn;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Offer;
import pied.core.edit.Picked;
import pied.core.piece.Partner;
import pied.core.space.KeptPart;
import pied.core.space.PartName;
import pied.core.space.Space;
import pied.core.tool.twin.PartTwins;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * Removes pieces and parts of the shell; what they carried comes to rest on what is beneath. Of a
 * pair of twins it is asked whether both go, or this one alone.
 */
@JsonTypeName("remove")
@RecordBuilder
public record Remove(List<String> pieces) implements Edit {
  @Override
  public void make(EditSession session) {
    Picked picked = session.picked(pieces);
    ask(session, picked);
    session.say(gone(session.space(), picked));
    if (!picked.pieces().isEmpty()) {
      session.takeOut(picked.pieces());
    }
    if (!picked.onlyPieces()) {
      BuiltIn.remove(session, picked.parts());
    }
  }

  /** The edits that take out these and nothing else: twins whose other one stays are parted. */
  public static List<Edit> alone(Space space, List<String> ids) {
    List<String> paired = paired(space, ids);
    Edit remove = new Remove(ids);
    return paired.isEmpty() ? List.of(remove) : List.of(new PartTwins(paired), remove);
  }

  private static @Nullable Partner twin(Space space, String id) {
    return space.has(id)
        ? space.piece(id).keeping().twin()
        : space.filing().part(PartName.read(id)).keeping().twin();
  }

  /** Those whose twin is not among them. */
  private static List<String> paired(Space space, List<String> ids) {
    Set<String> all = Set.copyOf(ids);
    List<String> paired = new ArrayList<>();
    for (String id : ids) {
      Partner twin = twin(space, id);
      if (twin != null && twin.piece() != null && !all.contains(twin.piece())) {
        paired.add(id);
      }
    }
    return paired;
  }

  /** What stays alone would go as well; that is for one to say. */
  private static void ask(EditSession session, Picked picked) {
    Space space = session.space();
    List<String> ids = new ArrayList<>(picked.parts().stream().map(PartName::text).toList());
    ids.addAll(picked.pieces());
    List<String> paired = paired(space, ids);
    if (paired.isEmpty()) {
      return;
    }
    List<String> both = new ArrayList<>(ids);
    paired.forEach(id -> both.add(twin(space, id).piece()));
    String first = paired.get(0);
    String other = called(space, twin(space, first).piece());
    boolean one = paired.size() == 1;
    throw new Declined(
        new Refusal(
            one
                ? Message.of(
                    "{} is a twin of {}. Are both to be taken out?", title(space, first), other)
                : Message.of(
                    "{} of these are twins of others. Are both of each to be taken out?",
                    paired.size())),
        List.of(
            new Offer(one ? "Take out both" : "Take out both of each", List.of(new Remove(both))),
            new Offer(
                one ? "Take out this one alone" : "Take out these alone",
                List.of(new PartTwins(paired), new Remove(ids)))));
  }

  private static String called(Space space, String id) {
    return space.has(id) ? space.piece(id).name() : space.nameOf(PartName.read(id));
  }

  private static String title(Space space, String id) {
    return space.has(id) ? space.piece(id).name() : KeptPart.title(space, PartName.read(id));
  }

  private static String gone(Space space, Picked picked) {
    List<String> names = new ArrayList<>();
    picked.pieces().forEach(id -> names.add(space.piece(id).name()));
    picked.parts().forEach(p -> names.add(space.nameOf(p)));
    String first =
        picked.pieces().isEmpty() ? KeptPart.title(space, picked.parts().get(0)) : names.get(0);
    return switch (names.size()) {
      case 1 -> first + " is taken out.";
      case 2 -> first + " and " + names.get(1) + " are taken out.";
      default -> first + " and " + (names.size() - 1) + " more are taken out.";
    };
  }
}

package pied.core.edit;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import pied.core.Nullable;
import pied.core.space.KeptPart;
import pied.core.space.PartName;
import pied.core.space.Space;
import pied.core.units.Message;
import pied.core.units.Refusal;

/** Something that is done to pieces alone was asked of a part of the shell. */
final class PiecesOnly extends Refusal {
  private static final long serialVersionUID = 1;

  private final transient List<PartName> parts;

  /**
   * @param parts those that were named, at least one
   * @param why what the edit says of parts
   */
  PiecesOnly(Space space, List<PartName> parts, String why) {
    super(Message.of("{} is built in: {}.", KeptPart.title(space, parts.get(0)), why));
    this.parts = List.copyOf(parts);
  }

  /**
   * @throws PiecesOnly if there is a wall or a corner of the outline among some parts
   */
  static void outline(Space space, List<PartName> parts) {
    List<PartName> none = parts.stream().filter(p -> space.shell().part(p) == null).toList();
    if (!none.isEmpty()) {
      throw new PiecesOnly(
          space,
          none,
          "it belongs to the outline, which is altered in the sentence about it and by dragging");
    }
  }

  /** The refusal, with the offer to do it to the pieces alone where there are any. */
  Refusal of(Edit edit) {
    Edit rest = without(edit, parts.stream().map(PartName::text).collect(Collectors.toSet()));
    return rest == null
        ? this
        : new Declined(this, List.of(new Offer("Do it to the pieces alone", List.of(rest))));
  }

  /** The same edit for fewer pieces; null where none are left, or it names them otherwise. */
  private static @Nullable Edit without(Edit edit, Set<String> gone) {
    RecordComponent[] all = edit.getClass().getRecordComponents();
    List<Object> with = new ArrayList<>();
    boolean fewer = false;
    try {
      for (RecordComponent c : all) {
        Object v = c.getAccessor().invoke(edit);
        if (c.getName().equals("pieces") && v instanceof List<?> ids) {
          v = ids.stream().filter(id -> !gone.contains(id)).toList();
          fewer = !((List<?>) v).isEmpty();
        }
        with.add(v);
      }
      Class<?>[] types = Arrays.stream(all).map(RecordComponent::getType).toArray(Class<?>[]::new);
      return fewer
          ? (Edit) edit.getClass().getDeclaredConstructor(types).newInstance(with.toArray())
          : null;
    } catch (IllegalAccessException
        | NoSuchMethodException
        | InstantiationException
        | InvocationTargetException e) {
      throw new IllegalStateException(e);
    }
  }
}

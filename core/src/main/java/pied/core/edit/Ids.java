package pied.core.edit;

import java.util.Iterator;
import java.util.List;
import java.util.function.Supplier;

/** Where the ids of what edits make come from. */
public final class Ids {
  private Ids() {}

  /** These once more, and others after them. */
  public static Supplier<String> again(List<String> known, Supplier<String> more) {
    Iterator<String> left = List.copyOf(known).iterator();
    return () -> left.hasNext() ? left.next() : more.get();
  }

  /** The same ids, each noted as it is given. */
  public static Supplier<String> noted(Supplier<String> ids, List<String> notes) {
    return () -> {
      String id = ids.get();
      notes.add(id);
      return id;
    };
  }
}

package pied.core.say;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;

/** Something said of an edit: the edit with that, or null if it is not said here. */
public interface Clause<E> {
  @Nullable
  E read(Reading r, Nouns n, E edit);

  /** An edit of which nothing more is said. */
  static List<Edit> only(Reading r, Nouns n, Edit edit) {
    return List.of(all(r, n, edit, List.of()));
  }

  /** All that is said up to the end, in any order. */
  static <E> E all(Reading r, Nouns n, E edit, List<Clause<E>> clauses) {
    E now = edit;
    r.comma();
    r.quietly("and");
    while (!r.done() && !r.then()) {
      int before = r.at();
      E next = null;
      for (Clause<E> c : clauses) {
        next = c.read(r, n, now);
        if (next != null) {
          break;
        }
        r.back(before);
      }
      if (next == null) {
        throw r.unread().after(now);
      }
      now = next;
      r.comma();
      r.quietly("and");
    }
    for (Clause<E> c : clauses) { // what could still be said is told
      int before = r.at();
      c.read(r, n, now);
      r.back(before);
    }
    return now;
  }
}

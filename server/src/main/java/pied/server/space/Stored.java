package pied.server.space;

import com.fasterxml.jackson.databind.node.ObjectNode;
import pied.core.edit.Change;
import pied.core.space.Shell;
import pied.server.space.SpaceWire.Changed;
import pied.server.store.Json;

/**
 * Values as they are kept: packed JSON. Each has the number of its form; what was written in an
 * older one is brought to the present form before it is read. Shells, changes and answers have
 * records of their own, so that renaming something in the core breaks no old data; {@code
 * StoredTest} holds the present form.
 */
final class Stored {
  /**
   * The present form. 1: pieces taken out and put in have no place in the order. 2: they have. 3: a
   * change is a list of differences, of any kind of thing. 4: each part of a shell is one.
   */
  static final int FORM = 4;

  private Stored() {}

  static byte[] write(Change change) {
    return Json.packed(StoredChange.of(change));
  }

  static byte[] write(Shell shell) {
    return Json.packed(StoredShell.of(shell));
  }

  static byte[] write(Changed answer) {
    return Json.packed(StoredAnswer.of(answer));
  }

  static Change change(int form, byte[] packed) {
    ObjectNode tree = (ObjectNode) Json.tree(packed);
    if (form < 2) {
      StoredChange.second(tree);
    }
    if (form < 3) {
      tree = StoredChange.third(tree);
    }
    return Json.value(tree, StoredChange.class).live();
  }

  static Shell shell(int form, byte[] packed) {
    return Json.value(Json.tree(packed), StoredShell.class).live();
  }

  static Changed answer(int form, byte[] packed) {
    return Json.value(Json.tree(packed), StoredAnswer.class).live();
  }
}

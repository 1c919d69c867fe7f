package pied.core.edit;

import java.lang.reflect.RecordComponent;

/**
 * A place that takes typed text: the prototype of an edit, and where in it the text goes.
 *
 * @param edit with all it needs but what is typed
 * @param slot name of the component that takes the text, with dots between names: "size.width"
 */
public record Blank(Edit edit, String slot) {
  /**
   * @throws IllegalArgumentException if the edit has no such component
   */
  public Blank {
    Class<?> type = edit.getClass();
    for (String name : slot.split("\\.")) {
      type = component(type, name);
      if (type == null) {
        throw new IllegalArgumentException("There is no " + slot + " in " + edit);
      }
    }
  }

  private static Class<?> component(Class<?> type, String name) {
    if (type.isRecord()) {
      for (RecordComponent c : type.getRecordComponents()) {
        if (c.getName().equals(name)) {
          return c.getType();
        }
      }
    }
    return null;
  }
}

package pied.core.show;

import java.util.List;
import pied.core.Nullable;
import pied.core.units.Refusal;
import pied.core.units.Text;

/** Names of what is kept of how a space is shown; large and small letters are the same. */
public final class ShownNames {
  private ShownNames() {}

  /** The one of an id or a name; null for none. */
  public static <T extends Shown> @Nullable T named(List<T> all, String said) {
    for (T s : all) {
      if (s.id().equals(said) || s.name().equalsIgnoreCase(said)) {
        return s;
      }
    }
    return null;
  }

  /**
   * A name that none of the others has.
   *
   * @param sort of what they are: "look"
   * @param own id of the one that is called so; null for one that is yet to be
   * @throws Refusal if it is none, or another has it
   */
  public static String free(
      List<? extends Shown> all, String sort, String name, @Nullable String own) {
    String called = Text.name("A " + sort, name);
    for (Shown s : all) {
      if (!s.id().equals(own) && s.name().equalsIgnoreCase(called)) {
        throw new Refusal("There is a {} “{}” already.", sort, s.name());
      }
    }
    return called;
  }

  /** A name with the first number behind it, from one on, that none has. */
  public static String next(List<? extends Shown> all, String begins, int from) {
    for (int n = from; ; n++) {
      String name = begins + " " + n;
      if (all.stream().noneMatch(s -> s.name().equalsIgnoreCase(name))) {
        return name;
      }
    }
  }
}

package pied.core.check;

import java.util.Collection;
import java.util.Set;
import java.util.function.BiConsumer;
import pied.core.space.Space;
import pied.core.space.Subjects;

/** The space as the one subject: whatever is touched can alter what is found. */
record WholeSpace() implements Subjects<Space> {
  private static final String KEY = "space";

  @Override
  public void all(Space space, BiConsumer<String, Space> each) {
    each.accept(KEY, space);
  }

  @Override
  public Set<String> altered(Space before, Space now, Collection<String> touched) {
    return touched.isEmpty() ? Set.of() : Set.of(KEY);
  }
}

package pied.core.edit;

import java.util.Collection;
import pied.core.space.Group;

/** Groups that nothing is in any more go. */
final class EmptyGroups {
  private EmptyGroups() {}

  /** Takes away those of some groups in which nothing is left, and then those they were in. */
  static void dissolve(EditSession session, Collection<String> groups) {
    groups.forEach(g -> dissolve(session, g));
  }

  private static void dissolve(EditSession session, String group) {
    Group g = session.filing().group(group);
    if (g != null && session.space().empty(group)) {
      session.file(session.filing().withoutGroup(group));
      if (g.in() != null) {
        dissolve(session, g.in());
      }
    }
  }
}

package pied.core.tool.group;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.edit.EditSession;
import pied.core.space.Group;
import pied.core.units.Refusal;

/** What the edits of groups have in common. */
final class Groups {
  private Groups() {}

  /**
   * The group of an id.
   *
   * @throws Refusal if there is none
   */
  static Group named(EditSession session, String id) {
    Group g = session.filing().group(EditSession.need(id, "group"));
    if (g == null) {
      throw new Refusal("There is no such group in this space; it may have been dissolved.");
    }
    return g;
  }

  /** The name itself, or with the first free number behind it. */
  static String freeName(EditSession session, String name) {
    Set<String> taken =
        session.filing().groups().stream().map(Group::name).collect(Collectors.toSet());
    return Names.free(name, taken);
  }

  /**
   * What is put together: whole groups that lie within a group, and pieces by themselves.
   *
   * @param groups ids
   * @param pieces ids
   */
  record Parts(List<String> groups, List<String> pieces) {}

  /**
   * Some pieces as parts: of groups of which all pieces are among them the outermost, as long as it
   * is inside of what they are all in.
   *
   * @param in the group they are all in; null for none
   */
  static Parts parts(EditSession session, List<String> ids, @Nullable String in) {
    Set<String> all = Set.copyOf(ids);
    Map<String, Boolean> full = new HashMap<>();
    Set<String> groups = new LinkedHashSet<>();
    List<String> pieces = new ArrayList<>();
    for (String id : ids) {
      String whole = null;
      for (String g : session.filing().about(session.piece(id).keeping().group())) {
        boolean complete =
            full.computeIfAbsent(g, k -> all.containsAll(session.space().members(k)));
        if (g.equals(in) || !complete) {
          break;
        }
        whole = g;
      }
      if (whole == null) {
        pieces.add(id);
      } else {
        groups.add(whole);
      }
    }
    return new Parts(List.copyOf(groups), pieces);
  }

  /** The innermost group that all these pieces are in; null if there is none. */
  static @Nullable String common(EditSession session, List<String> ids) {
    List<String> common = null;
    for (String id : ids) {
      List<String> own = session.filing().about(session.piece(id).keeping().group());
      if (common == null) {
        common = new ArrayList<>(own);
      } else {
        common.retainAll(own);
      }
    }
    return common == null || common.isEmpty() ? null : common.get(0);
  }

  /** Puts parts into a group; null for out of all. */
  static void put(EditSession session, Parts parts, @Nullable String into) {
    for (String g : parts.groups) {
      Group group = session.filing().group(g);
      session.leave(group.in());
      session.file(session.filing().with(group.withIn(into)));
    }
    session.alter(parts.pieces, p -> p.withKeeping(p.keeping().inGroup(into)));
  }

  /**
   * @throws Refusal if groups would be too deep in one another
   */
  static void checkDepth(EditSession session) {
    for (Group g : session.filing().groups()) {
      if (session.filing().about(g.id()).size() > Group.DEEPEST) {
        throw new Refusal(
            "Groups go up to {} deep into one another; dissolve one first.", Group.DEEPEST);
      }
    }
  }
}

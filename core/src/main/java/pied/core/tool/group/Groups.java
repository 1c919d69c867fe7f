package pied.core.tool.group;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.edit.BuiltIn;
import pied.core.edit.EditSession;
import pied.core.edit.Picked;
import pied.core.space.Group;
import pied.core.space.PartName;
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
   * @param parts of the shell
   */
  record Members(List<String> groups, List<String> pieces, List<PartName> parts) {}

  /**
   * What was picked as members: of groups of which all is among it the outermost, as long as it is
   * inside of what they are all in.
   *
   * @param in the group they are all in; null for none
   */
  static Members members(EditSession session, Picked picked, @Nullable String in) {
    Set<String> all = Set.copyOf(picked.pieces());
    Set<PartName> built = Set.copyOf(picked.parts());
    Map<String, Boolean> full = new HashMap<>();
    Set<String> groups = new LinkedHashSet<>();
    List<String> pieces = new ArrayList<>();
    Predicate<String> complete =
        g ->
            full.computeIfAbsent(
                g,
                k ->
                    all.containsAll(session.space().members(k))
                        && built.containsAll(session.space().filing().partsIn(k)));
    for (String id : picked.pieces()) {
      String whole = whole(session, session.piece(id).keeping().group(), in, complete);
      if (whole == null) {
        pieces.add(id);
      } else {
        groups.add(whole);
      }
    }
    List<PartName> parts = new ArrayList<>();
    for (PartName p : picked.parts()) {
      String whole = whole(session, session.filing().part(p).keeping().group(), in, complete);
      if (whole == null) {
        parts.add(p);
      } else {
        groups.add(whole);
      }
    }
    return new Members(List.copyOf(groups), pieces, parts);
  }

  private static @Nullable String whole(
      EditSession session,
      @Nullable String group,
      @Nullable String in,
      Predicate<String> complete) {
    String whole = null;
    for (String g : session.filing().about(group)) {
      if (g.equals(in) || !complete.test(g)) {
        break;
      }
      whole = g;
    }
    return whole;
  }

  /** The innermost group that all of this is in; null if there is none. */
  static @Nullable String common(EditSession session, Picked picked) {
    List<String> groups = new ArrayList<>();
    picked.pieces().forEach(id -> groups.add(session.piece(id).keeping().group()));
    picked.parts().forEach(p -> groups.add(session.filing().part(p).keeping().group()));
    List<String> common = null;
    for (String group : groups) {
      List<String> own = session.filing().about(group);
      if (common == null) {
        common = new ArrayList<>(own);
      } else {
        common.retainAll(own);
      }
    }
    return common == null || common.isEmpty() ? null : common.get(0);
  }

  /** Puts members into a group; null for out of all. */
  static void put(EditSession session, Members members, @Nullable String into) {
    for (String g : members.groups) {
      Group group = session.filing().group(g);
      session.leave(group.in());
      session.file(session.filing().with(group.withIn(into)));
    }
    session.alter(members.pieces, p -> p.withKeeping(p.keeping().inGroup(into)));
    BuiltIn.keep(session, members.parts, k -> k.withKeeping(k.keeping().inGroup(into)));
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

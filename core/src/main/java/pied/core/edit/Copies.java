package pied.core.edit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.piece.Keeping;
import pied.core.piece.On;
import pied.core.piece.Partner;
import pied.core.piece.Piece;
import pied.core.space.Filing;
import pied.core.space.Group;
import pied.core.space.KeptPart;
import pied.core.space.Motion;
import pied.core.space.PartName;
import pied.core.space.Repetition;

/**
 * Makes copies of pieces: with ids and names of their own, unlocked, carried by one another as the
 * first ones are. Of a group of which all are copied there is a copy too; a copy of a part of a
 * group is in that group.
 */
public final class Copies {
  private final EditSession session;
  private final Map<String, String> ids = new LinkedHashMap<>();
  private final Map<String, String> groups = new HashMap<>();

  /**
   * @param all ids of the pieces that are copied, as they are in the session
   */
  public Copies(EditSession session, Iterable<String> all) {
    this.session = session;
    all.forEach(id -> ids.put(id, session.newId()));
  }

  /** The id of the copy of a piece. */
  public String of(String id) {
    return ids.get(id);
  }

  /**
   * Puts them in.
   *
   * @param placed the first ones as their copies shall be; each has been named to the constructor
   */
  public void put(List<Piece> placed) {
    put(placed, Set.of());
  }

  /**
   * As above.
   *
   * @param onFirst those of them whose copies stand on one of the first ones, and not on its copy
   */
  public void put(List<Piece> placed, Set<String> onFirst) {
    copyGroups(placed);
    List<Piece> made = new ArrayList<>();
    for (Piece p : placed) {
      boolean along =
          p.on().kind() == On.OnKind.piece
              && ids.containsKey(p.on().id())
              && !onFirst.contains(p.id());
      String group = p.keeping().group();
      Keeping keeping = p.keeping().withLocked(false);
      made.add(
          p.withId(ids.get(p.id()))
              .withOn(along ? On.piece(ids.get(p.on().id())) : p.on())
              .withName(session.freeName(Names.bare(p.name())))
              .withKeeping(
                  (groups.containsKey(group)
                          ? keeping.withGroup(groups.get(group))
                          : keeping.withSlot(null))
                      .withTwin(wanting(keeping.twin()))));
    }
    session.put(made);
  }

  /**
   * The copy of a twin becomes one of a pair too, of which the other is not there yet; of both of a
   * pair the copies are twins no more, since the line does not go along.
   */
  private @Nullable Partner wanting(@Nullable Partner p) {
    return p == null || ids.containsKey(p.piece()) ? null : new Partner(p.twin(), null, true);
  }

  private void copyGroups(List<Piece> placed) {
    Set<String> about = new HashSet<>();
    ids.keySet()
        .forEach(id -> about.addAll(session.filing().about(session.piece(id).keeping().group())));
    List<Group> whole =
        about.stream()
            .filter(g -> ids.keySet().containsAll(session.space().members(g)))
            .map(session.filing()::group)
            .toList();
    if (whole.isEmpty()) {
      return;
    }
    Filing filing = session.filing();
    Set<String> taken = filing.groups().stream().map(Group::name).collect(Collectors.toSet());
    whole.forEach(g -> groups.put(g.id(), session.newId()));
    for (Group g : whole) {
      String called = Names.free(Names.bare(g.name()), taken);
      taken.add(called);
      Group copy = new Group(groups.get(g.id()), called, inside(g.in()), moved(g, placed));
      filing = filing.with(copy);
    }
    session.file(filing);
  }

  /** The rule of a group, where its copy is; null if it has none, or the copy leans. */
  private @Nullable Repetition moved(Group g, List<Piece> placed) {
    if (g.repeats() == null) {
      return null;
    }
    for (Piece p : placed) {
      if (p.keeping().slot() != null && g.id().equals(p.keeping().group())) {
        Motion m = Motion.between(session.piece(p.id()).stance(), p.stance());
        return m == null ? null : g.repeats().moved(m);
      }
    }
    return null;
  }

  /** A copy of a part of the shell is kept as that is, in the copy of its group if there is one. */
  public void keep(PartName part, PartName copy) {
    KeptPart own = session.filing().part(part);
    String group = own.keeping().group();
    Keeping k =
        own.keeping()
            .withLocked(false)
            .withTwin(null)
            .withGroup(group == null ? null : groups.getOrDefault(group, group));
    session.file(session.filing().with(new KeptPart(copy, null, k)));
  }

  private @Nullable String inside(@Nullable String group) {
    return groups.getOrDefault(group, group);
  }
}

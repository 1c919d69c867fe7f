package pied.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import pied.core.Nullable;
import pied.core.piece.Piece;
import pied.core.space.Ordered;
import pied.core.space.Shell;
import pied.core.space.Space;

/**
 * What was added, altered and removed. Reversed, it undoes itself, to the last bit, the order of
 * the pieces included.
 *
 * @param shell null if the shell is the same
 */
public record Change(
    List<Ordered> added, List<Altered> altered, List<Ordered> removed, @Nullable Rebuilt shell) {
  /** One piece before and after; its place in the order is the same. */
  public record Altered(Piece before, Piece after) {}

  /** The shell before and after. */
  public record Rebuilt(Shell before, Shell after) {}

  /**
   * What turns one space into another.
   *
   * @param touched ids of all pieces that may be others, or there in one of them only
   */
  public static Change between(Space before, Space after, Collection<String> touched) {
    List<Ordered> added = new ArrayList<>();
    List<Altered> altered = new ArrayList<>();
    List<Ordered> removed = new ArrayList<>();
    for (String id : touched) {
      boolean was = before.has(id);
      boolean is = after.has(id);
      boolean stayed = was && is && before.placeOf(id) == after.placeOf(id);
      if (stayed && !before.piece(id).equals(after.piece(id))) {
        altered.add(new Altered(before.piece(id), after.piece(id)));
      }
      if (is && !stayed) {
        added.add(new Ordered(after.piece(id), after.placeOf(id)));
      }
      if (was && !stayed) {
        removed.add(new Ordered(before.piece(id), before.placeOf(id)));
      }
    }
    added.sort(Comparator.comparingLong(Ordered::place));
    altered.sort(Comparator.comparingLong(a -> before.placeOf(a.before.id())));
    removed.sort(Comparator.comparingLong(Ordered::place));
    Rebuilt shell =
        before.shell().equals(after.shell()) ? null : new Rebuilt(before.shell(), after.shell());
    return new Change(added, altered, removed, shell);
  }

  /** Whether nothing is another afterwards. */
  public boolean none() {
    return added.isEmpty() && altered.isEmpty() && removed.isEmpty() && shell == null;
  }

  public Change reversed() {
    return new Change(
        removed,
        altered.stream().map(a -> new Altered(a.after, a.before)).toList(),
        added,
        shell == null ? null : new Rebuilt(shell.after, shell.before));
  }

  public Space apply(Space space) {
    Space rebuilt = shell == null ? space : space.with(shell.after);
    return rebuilt
        .without(removed.stream().map(p -> p.piece().id()).toList())
        .with(altered.stream().map(Altered::after).toList())
        .putting(added);
  }

  /** Pieces as they are afterwards: added and altered. */
  public List<Piece> changed() {
    Map<String, Piece> all = new TreeMap<>();
    added.forEach(p -> all.put(p.piece().id(), p.piece()));
    altered.forEach(a -> all.put(a.after.id(), a.after));
    return List.copyOf(all.values());
  }

  /** Ids of pieces that are not there afterwards. */
  public List<String> gone() {
    List<String> back = added.stream().map(p -> p.piece().id()).toList();
    return removed.stream().map(p -> p.piece().id()).filter(id -> !back.contains(id)).toList();
  }
}

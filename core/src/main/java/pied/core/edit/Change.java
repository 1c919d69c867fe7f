package pied.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import pied.core.Nullable;
import pied.core.piece.Piece;
import pied.core.space.Shell;
import pied.core.space.Space;

/**
 * What was added, altered and removed. Reversed, it undoes itself.
 *
 * @param shell null if the shell is the same
 */
public record Change(
    List<Piece> added, List<Altered> altered, List<Piece> removed, @Nullable Rebuilt shell) {
  /** One piece before and after. */
  public record Altered(Piece before, Piece after) {}

  /** The shell before and after. */
  public record Rebuilt(Shell before, Shell after) {}

  /** What turns one space into another. */
  public static Change between(Space before, Space after) {
    List<Piece> added = new ArrayList<>();
    List<Altered> altered = new ArrayList<>();
    List<Piece> removed = new ArrayList<>();
    for (Piece p : after.pieces()) {
      if (!before.has(p.id())) {
        added.add(p);
      } else if (!before.piece(p.id()).equals(p)) {
        altered.add(new Altered(before.piece(p.id()), p));
      }
    }
    for (Piece p : before.pieces()) {
      if (!after.has(p.id())) {
        removed.add(p);
      }
    }
    Rebuilt shell =
        before.shell().equals(after.shell()) ? null : new Rebuilt(before.shell(), after.shell());
    return new Change(added, altered, removed, shell);
  }

  public Change reversed() {
    return new Change(
        removed,
        altered.stream().map(a -> new Altered(a.after, a.before)).toList(),
        added,
        shell == null ? null : new Rebuilt(shell.after, shell.before));
  }

  public Space apply(Space space) {
    List<Piece> in = new ArrayList<>(added);
    altered.forEach(a -> in.add(a.after));
    Space rebuilt = shell == null ? space : space.with(shell.after);
    return rebuilt.without(removed.stream().map(Piece::id).toList()).with(in);
  }

  /** Pieces as they are afterwards: added and altered. */
  public List<Piece> changed() {
    Map<String, Piece> all = new TreeMap<>();
    added.forEach(p -> all.put(p.id(), p));
    altered.forEach(a -> all.put(a.after.id(), a.after));
    return List.copyOf(all.values());
  }
}

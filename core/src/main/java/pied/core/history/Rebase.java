package pied.core.history;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import pied.core.edit.Change;
import pied.core.piece.Keeping;
import pied.core.piece.Piece;
import pied.core.space.Difference;
import pied.core.space.Difference.OfBuilt;
import pied.core.space.Difference.OfFrame;
import pied.core.space.Difference.OfPart;
import pied.core.space.Difference.OfPiece;
import pied.core.space.Difference.PlacedPart;
import pied.core.space.KeptPart;
import pied.core.space.Ordered;
import pied.core.space.Part;
import pied.core.space.Shell;
import pied.core.space.ShellCheck;
import pied.core.space.ShellDifference;
import pied.core.space.Space;
import pied.core.space.Validity;
import pied.core.units.Refusal;

/**
 * A change made on another space than the one it was made for, since others went on meanwhile. Of a
 * piece each of its aspects stands for itself: its name, form, stance with what carries it,
 * finishes, layer, group, whether it is locked and hidden, and remark. What is as it was before the
 * change becomes as it was after it; what is otherwise by now is left, and said.
 *
 * @param possible what can be made
 * @param left what cannot, in words: "Oak chair"
 */
public record Rebase(Change possible, List<String> left) {
  private static final String THE_ROOM = "the room itself";
  private static final String ORDER = "layers and groups";

  /**
   * @param now the space as it is
   * @param wanted the change, as it was for another
   */
  public static Rebase of(Space now, Change wanted) {
    List<Difference> possible = new ArrayList<>();
    Set<String> left = new LinkedHashSet<>();
    for (Difference d : wanted.all()) {
      if (d instanceof OfPiece p) {
        piece(now, p, possible, left);
      } else if (stands(now, d)) {
        possible.add(d instanceof OfPart p ? here(now, p) : d);
      } else if (d instanceof OfBuilt) {
        // what follows it stays too
        return new Rebase(new Change(List.of()), List.of(called(now, d)));
      } else {
        left.add(called(now, d));
      }
    }
    if (!builds(now.shell(), possible)) {
      return new Rebase(new Change(List.of()), List.of(THE_ROOM));
    }
    return sound(now, possible, left);
  }

  /** Whether what is no piece is as it was before the change. */
  private static boolean stands(Space now, Difference d) {
    if (d instanceof Difference.OfShell s) {
      return now.shell().equals(s.before());
    }
    if (d instanceof OfFrame f) {
      return now.shell().bare().equals(f.before());
    }
    if (d instanceof OfPart p) {
      PlacedPart is = ShellDifference.placed(now.shell(), p.part());
      Part was = p.before() == null ? null : p.before().part();
      return Objects.equals(is == null ? null : is.part(), was);
    }
    if (d instanceof Difference.OfLayers l) {
      return now.filing().layers().equals(l.before());
    }
    if (d instanceof Difference.OfGroup g) {
      String id = (g.before() == null ? g.after() : g.before()).id();
      return Objects.equals(now.filing().group(id), g.before());
    }
    if (d instanceof Difference.OfTwin t) {
      String id = (t.before() == null ? t.after() : t.before()).id();
      return Objects.equals(now.filing().twin(id), t.before());
    }
    if (d instanceof Difference.OfKeptPart k) {
      return now.filing().part(k.after().part()).equals(k.before());
    }
    if (d instanceof Difference.OfShown s) {
      return Objects.equals(now.showing().get(s.key()), s.before());
    }
    Difference.OfSelection s = (Difference.OfSelection) d;
    String name = (s.before() == null ? s.after() : s.before()).name();
    return Objects.equals(now.filing().selection(name), s.before());
  }

  /** The same at the place that the part has now among those of its kind. */
  private static OfPart here(Space now, OfPart d) {
    PlacedPart is = ShellDifference.placed(now.shell(), d.part());
    boolean altered = d.after() != null && is != null;
    return new OfPart(is, altered ? new PlacedPart(d.after().part(), is.place()) : d.after());
  }

  /** What a difference is about, in words. */
  static String called(Space now, Difference d) {
    if (d instanceof OfPiece p) {
      return (p.after() == null ? p.before() : p.after()).piece().name();
    }
    if (d instanceof OfPart p) {
      return now.nameOf(p.part().name());
    }
    if (d instanceof OfBuilt) {
      return THE_ROOM;
    }
    return d instanceof Difference.OfShown s ? s.name() : ORDER;
  }

  private static void piece(Space now, OfPiece d, List<Difference> possible, Set<String> left) {
    Ordered is = now.ordered(d.id());
    if (!d.altered()) {
      Piece before = d.before() == null ? null : d.before().piece();
      if (Objects.equals(before, is == null ? null : is.piece())) {
        possible.add(is == null ? d : new OfPiece(is, null));
      } else {
        left.add(is == null ? before.name() : is.piece().name());
      }
      return;
    }
    if (is == null) {
      left.add(d.before().piece().name());
      return;
    }
    Piece was = d.before().piece();
    Piece then = d.after().piece();
    Piece next = is.piece();
    for (Aspect<?> a : Aspect.ALL) {
      if (a.changes(was, then)) {
        if (a.changes(is.piece(), was)) {
          left.add(is.piece().name());
        } else {
          next = a.take().apply(next, then);
        }
      }
    }
    if (!next.equals(is.piece())) {
      possible.add(new OfPiece(is, new Ordered(next, is.place())));
    }
  }

  /** Leaves out what would not make sense in the space as it is, such as a carrier that is gone. */
  private static Rebase sound(Space now, List<Difference> possible, Set<String> left) {
    while (true) {
      Space then = now.apply(possible);
      if (possible.removeIf(d -> !(d instanceof OfPiece) && orphans(then, d))) {
        left.add(ORDER);
        continue;
      }
      Set<String> bad = new LinkedHashSet<>();
      for (Piece p : new Change(possible).changed()) {
        if (!sound(then, p)) {
          bad.add(p.id());
        }
      }
      // what stands on something that would go
      for (Difference d : possible) {
        if (d instanceof OfPiece p && p.after() == null) {
          for (String c : now.carriedBy(p.id())) {
            if (then.has(c) && !sound(then, then.piece(c))) {
              bad.add(p.id());
            }
          }
        }
      }
      if (bad.isEmpty()) {
        return new Rebase(new Change(possible), List.copyOf(left));
      }
      for (String id : bad) {
        Ordered o = now.ordered(id);
        left.add(o == null ? then.piece(id).name() : o.piece().name());
      }
      possible.removeIf(d -> d instanceof OfPiece p && bad.contains(p.id()));
    }
  }

  /** Whether pieces would be on a layer, in a group or on a part of the shell that is gone. */
  private static boolean orphans(Space then, Difference d) {
    if (d instanceof Difference.OfGroup g) {
      return g.after() == null && !then.empty(g.before().id());
    }
    if (d instanceof Difference.OfTwin t) {
      return t.after() == null
          && Stream.concat(
                  then.pieces().stream().map(Piece::keeping),
                  then.filing().parts().stream().map(KeptPart::keeping))
              .map(Keeping::twin)
              .anyMatch(p -> p != null && p.twin().equals(t.before().id()));
    }
    if (d instanceof Difference.OfLayers) {
      return then.pieces().stream().anyMatch(p -> then.filing().layer(p.keeping().layer()) == null);
    }
    return d instanceof OfBuilt
        && then.pieces().stream().anyMatch(p -> !Validity.there(then, p.on()));
  }

  /** Whether parts that others altered meanwhile leave room for it. */
  private static boolean builds(Shell now, List<Difference> possible) {
    List<OfBuilt> built = new Change(possible).built();
    try {
      if (!built.isEmpty()) {
        ShellCheck.checked(ShellDifference.applied(now, built));
      }
      return true;
    } catch (Refusal e) {
      return false;
    }
  }

  private static boolean sound(Space space, Piece p) {
    try {
      Validity.pieces(space, List.of(p));
      return true;
    } catch (Refusal e) {
      return false;
    }
  }
}

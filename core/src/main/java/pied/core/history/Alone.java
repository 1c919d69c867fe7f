package pied.core.history;

import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import pied.core.Nullable;
import pied.core.edit.Change;
import pied.core.piece.Keeping;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.space.Difference;
import pied.core.space.Difference.OfPiece;
import pied.core.space.PartName;
import pied.core.space.PartName.PartKind;
import pied.core.space.Space;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * One change out of the middle of a history, taken out or done again by itself, while all that came
 * after it stays. That is so only where nothing that came after it has to do with the same: neither
 * altered it, nor came to stand on it.
 */
public final class Alone {
  private final Space now;
  private final Change wanted;
  private final boolean out;
  private final Message words;
  private final Iterable<Change> later;

  /**
   * @param now the space as it is
   * @param change as it was made
   * @param out whether it is taken out, or else done again
   * @param later changes that stand and came after it, the latest first; read only where something
   *     may have to do with the same
   */
  public Alone(Space now, Change change, boolean out, Iterable<Change> later) {
    this.now = now;
    this.wanted = out ? change.reversed() : change;
    this.out = out;
    this.words = InWords.of(change, now, null);
    this.later = later;
  }

  /**
   * What is to be made of the space as it is.
   *
   * @throws Refusal if something that came after it has to do with the same, with what
   */
  public Rebase made() {
    Set<String> own = wanted.pieces().map(OfPiece::id).collect(Collectors.toSet());
    nothingCameOntoIt(own);
    carriersStand(own);
    Rebase r = Rebase.of(now, wanted);
    if (!r.left().isEmpty()) {
      Set<PartName> parts = parts(wanted);
      Change by =
          touching(
              d ->
                  d.pieces().anyMatch(p -> own.contains(p.id()))
                      || parts(d).stream().anyMatch(parts::contains)
                      || d.filing() && wanted.filing()
                      || d.showing() && wanted.showing());
      throw refusal("{} was changed since: “{}”", r.left().get(0), by);
    }
    nothingSetItSince();
    return r;
  }

  /** What came later may have made the same of it again: without this change it still would. */
  private void nothingSetItSince() {
    for (Change c : later) {
      for (Difference d : c.all()) {
        for (Difference own : wanted.all()) {
          if (shared(own, d)) {
            String what = Rebase.called(now, own);
            throw refusal("{} was changed since: “{}”", what, c);
          }
        }
      }
    }
  }

  private static boolean shared(Difference a, Difference b) {
    return a.subject().equals(b.subject())
        && !(a instanceof OfPiece p && b instanceof OfPiece q && !Aspect.shared(p, q));
  }

  /** What would be elsewhere is to be carried there as it was then. */
  private void carriersStand(Set<String> own) {
    Set<On> carriers =
        wanted
            .pieces()
            .filter(d -> moves(d) && d.piece() != null)
            .map(d -> d.piece().on())
            .filter(on -> on.id() != null && !on.held())
            .filter(on -> on.kind() != On.OnKind.piece || !own.contains(on.id()))
            .collect(Collectors.toCollection(LinkedHashSet::new));
    if (carriers.isEmpty()) {
      return;
    }
    for (Change c : later) { // each is read from the store: once for all carriers
      Set<PartName> parts = parts(c);
      Set<String> moved = moved(c);
      for (On on : carriers) {
        boolean piece = on.kind() == On.OnKind.piece;
        if (piece ? moved.contains(on.id()) : on(on, parts)) {
          String carrier = piece && !now.has(on.id()) ? "What carried it" : now.nameOf(on);
          throw refusal("{} was changed since: “{}”", carrier, c);
        }
      }
    }
  }

  /** Ids of the pieces that are elsewhere or otherwise afterwards. */
  private static Set<String> moved(Change change) {
    return change.pieces().filter(Alone::moves).map(OfPiece::id).collect(Collectors.toSet());
  }

  /** Whether a piece is put in, taken out, or elsewhere or otherwise afterwards. */
  private static boolean moves(OfPiece d) {
    return !d.altered() || !d.before().piece().fills(d.after().piece());
  }

  private static Set<PartName> parts(Change change) {
    return change.built().stream()
        .flatMap(d -> Stream.concat(d.names().stream(), d.reversed().names().stream()))
        .collect(Collectors.toSet());
  }

  private @Nullable Change touching(Predicate<Change> same) {
    for (Change c : later) {
      if (same.test(c)) {
        return c;
      }
    }
    return null;
  }

  private Refusal refusal(String why, String what, @Nullable Change by) {
    Message reason =
        by == null
            ? Message.of("{} was changed since", what)
            : Message.of(why, what, InWords.of(by, now, null));
    return new Refusal(
        Message.of(
            "“{}” cannot be {} by itself: {}. One can go back to before it.",
            words,
            out ? "taken out" : "put back",
            reason));
  }

  /**
   * Nothing that came later stood on, hung from or was fixed to what would be elsewhere or
   * otherwise, nor was in a group or on a layer that it has made.
   */
  private void nothingCameOntoIt(Set<String> own) {
    Set<String> moved = moved(wanted);
    Set<PartName> parts = parts(wanted);
    Set<String> made = made(wanted);
    if (moved.isEmpty() && parts.isEmpty() && made.isEmpty()) {
      return;
    }
    for (Change c : later) {
      for (OfPiece d : c.pieces().filter(x -> x.after() != null).toList()) {
        Piece p = d.piece();
        boolean carried =
            p.on().kind() == On.OnKind.piece ? moved.contains(p.on().id()) : on(p.on(), parts);
        if (carried && !own.contains(p.id())) {
          throw refusal("{} stood on it since: “{}”", p.name(), c);
        }
        if (isKeptBy(made, p.keeping())) {
          throw refusal("{} was put with it since: “{}”", p.name(), c);
        }
      }
      for (Difference d : c.all()) {
        if (d instanceof Difference.OfKeptPart k && isKeptBy(made, k.after().keeping())) {
          throw refusal("{} was put with it since: “{}”", now.nameOf(k.after().part()), c);
        }
      }
    }
  }

  private static boolean isKeptBy(Set<String> made, Keeping k) {
    return made.contains(k.layer())
        || k.group() != null && made.contains(k.group())
        || k.twin() != null && made.contains(k.twin().twin());
  }

  /** Ids of layers, groups and lines of twins that would go. */
  private static Set<String> made(Change wanted) {
    Set<String> all = new HashSet<>();
    for (Difference d : wanted.all()) {
      if (d instanceof Difference.OfLayers l) {
        l.before().forEach(x -> all.add(x.id()));
        l.after().forEach(x -> all.remove(x.id()));
      } else if (d instanceof Difference.OfGroup g && g.after() == null) {
        all.add(g.before().id());
      } else if (d instanceof Difference.OfTwin t && t.after() == null) {
        all.add(t.before().id());
      }
    }
    return all;
  }

  private static boolean on(On on, Set<PartName> parts) {
    return switch (on.kind()) {
      case wall -> parts.contains(PartName.wall(on.id()));
      case opening -> parts.contains(PartName.opening(on.id()));
      case bar -> parts.contains(new PartName(PartKind.bar, on.id()));
      case platform ->
          parts.contains(new PartName(PartKind.platform, on.id()))
              || parts.contains(new PartName(PartKind.flight, on.id()));
      default -> false;
    };
  }
}

package pied.server.store;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import java.util.List;
import java.util.Map;
import pied.core.edit.Change;
import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.size.Size;
import pied.core.space.Ordered;
import pied.server.store.StoredShell.Place;

/**
 * A change as it is stored in form 2. The names here are those in people's files and stay, whatever
 * becomes of a change at work; another form gets records of its own.
 */
@JsonIgnoreProperties(ignoreUnknown = true)
record StoredChange(
    List<Placed> added, List<Altered> altered, List<Placed> removed, Rebuilt shell) {

  record Placed(Thing piece, Long place) {
    static Placed of(Ordered o) {
      return new Placed(Thing.of(o.piece()), o.place());
    }

    Ordered live() {
      return new Ordered(piece.live(), place);
    }
  }

  record Altered(Thing before, Thing after) {}

  record Rebuilt(StoredShell before, StoredShell after) {}

  record Measures(double width, double depth, double height) {}

  record Out(double toward, double by) {}

  record Carrier(String kind, String id) {}

  @JsonIgnoreProperties(ignoreUnknown = true)
  record Thing(
      String id,
      String article,
      String name,
      Measures size,
      Place at,
      double turn,
      Out lean,
      Carrier on,
      Map<String, String> finishes,
      boolean held) {
    static Thing of(Piece p) {
      return new Thing(
          p.id(),
          p.article(),
          p.name(),
          new Measures(p.size().width(), p.size().depth(), p.size().height()),
          Place.of(p.at()),
          p.turn(),
          new Out(p.lean().toward(), p.lean().by()),
          new Carrier(p.on().kind().name(), p.on().id()),
          p.finishes(),
          p.held());
    }

    Piece live() {
      return new Piece(
          id,
          article,
          name,
          new Size(size.width, size.depth, size.height),
          at.live(),
          turn,
          lean == null ? Lean.NONE : new Lean(lean.toward, lean.by),
          new On(On.Kind.valueOf(on.kind), on.id),
          finishes == null ? Map.of() : finishes,
          held);
    }
  }

  static StoredChange of(Change c) {
    return new StoredChange(
        StoredShell.each(c.added(), Placed::of),
        StoredShell.each(c.altered(), a -> new Altered(Thing.of(a.before()), Thing.of(a.after()))),
        StoredShell.each(c.removed(), Placed::of),
        c.shell() == null
            ? null
            : new Rebuilt(StoredShell.of(c.shell().before()), StoredShell.of(c.shell().after())));
  }

  Change live() {
    return new Change(
        StoredShell.each(added, Placed::live),
        StoredShell.each(altered, a -> new Change.Altered(a.before.live(), a.after.live())),
        StoredShell.each(removed, Placed::live),
        shell == null ? null : new Change.Rebuilt(shell.before.live(), shell.after.live()));
  }
}

package pied.core.carry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Tag;
import net.jqwik.api.statistics.Statistics;
import pied.core.Choices;
import pied.core.Rooms;
import pied.core.check.Checks;
import pied.core.check.Snag;
import pied.core.edit.Outcome;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.solid.Vec;
import pied.core.space.Spot;
import pied.core.tool.move.PutDown;

/** What holds after any put-down, in rooms furnished at random. */
@Tag("thorough")
class CarryPropertiesTest {
  private static final List<String> ARTICLES =
      List.of(
          "dining-chair",
          "sideboard",
          "cafe-table",
          "jar",
          "bowl",
          "trunk",
          "open-shelf",
          "vase",
          "stool",
          "table-lamp",
          "cup-and-saucer",
          "armchair");

  /** Anything at all is asked; what can be put down is. */
  private static CarryAsk ask(Rooms room, Random r) {
    List<Piece> all = List.copyOf(room.space.pieces());
    List<String> ids = new ArrayList<>();
    int n = r.nextInt(4) == 0 ? 2 : 1;
    for (int i = 0; i < n; i++) {
      String id = all.get(r.nextInt(all.size())).id();
      if (!ids.contains(id)) {
        ids.add(id);
      }
    }
    Spot at = null;
    CarryAsk.CarrySight ray = null;
    if (r.nextBoolean()) {
      at = new Spot(r.nextDouble() * 7 - 0.5, r.nextDouble() * 5 - 0.5);
    } else {
      Vec to = new Vec(r.nextDouble() * 6, r.nextDouble() * 1.5, r.nextDouble() * 4);
      Vec from = new Vec(3, 2.2, 9);
      ray = new CarryAsk.CarrySight(from, to.minus(from));
    }
    return new CarryAsk(
        ids,
        null,
        null,
        null,
        r.nextInt(6) == 0,
        null,
        null,
        at,
        ray,
        false,
        r.nextInt(3),
        r.nextBoolean() ? 0.1 : 0,
        false,
        true,
        false,
        null,
        null,
        null,
        45.0 * r.nextInt(8),
        null);
  }

  @Property(tries = 40)
  void afterAnyPutDownAllIsAsItShouldBe(@ForAll Choices r) {
    Rooms room = new Rooms();
    for (int i = 0; i < 10; i++) {
      String article = ARTICLES.get(r.nextInt(ARTICLES.size()));
      room.put("p" + i, article, 0.5 + 5 * r.nextDouble(), 0.5 + 3 * r.nextDouble());
    }
    if (Checks.of(room.space).stream().anyMatch(s -> s.kind() != Snag.SnagKind.unstable)) {
      tried(false);
      return; // placed without room to begin with
    }
    for (int i = 0; i < 6; i++) {
      CarryAsk q = ask(room, r);
      var before = room.space;
      Outcome done;
      try {
        done = room.apply(new PutDown(q, null));
        tried(true);
      } catch (pied.core.units.Refusal e) {
        tried(false);
        assertThat(room.space).isSameAs(before);
        continue;
      }
      if (q.pieces().size() == 1) { // of several, those that follow may be named as overlapping
        sound(room, q);
      } else {
        noLoops(room);
        room.space = before;
      }
      var undone = done.change().reversed().apply(done.space());
      assertThat(List.copyOf(undone.pieces())).containsExactlyInAnyOrderElementsOf(before.pieces());
    }
  }

  /** Most of what is tried must come to something, or the property says nothing. */
  private static void tried(boolean done) {
    Statistics.label("put down").collect(done).coverage(c -> c.check(true).percentage(p -> p > 50));
  }

  private static void sound(Rooms room, CarryAsk q) {
    for (Snag s : Checks.of(room.space)) {
      assertThat(s.kind()).as(s.words() + " " + q).isEqualTo(Snag.SnagKind.unstable);
    }
    for (Piece p : room.space.pieces()) {
      if (p.on().kind() == On.OnKind.piece || p.on().kind() == On.OnKind.floor) {
        assertThat(Reach.of(room.space, p, Side.under).distance())
            .as(p.name() + " touches what carries it")
            .isLessThan(Resting.CONTACT);
      }
    }
    noLoops(room);
  }

  private static void noLoops(Rooms room) {
    for (Piece p : room.space.pieces()) {
      Set<String> seen = new HashSet<>();
      for (Piece q = p; q.on().kind() == On.OnKind.piece; q = room.space.piece(q.on().id())) {
        assertThat(seen.add(q.id())).as("carriers form a loop").isTrue();
      }
    }
  }
}

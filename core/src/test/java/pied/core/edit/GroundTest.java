package pied.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import pied.core.Choices;
import pied.core.Rooms;
import pied.core.material.Finish;
import pied.core.material.Finishes;
import pied.core.piece.Piece;
import pied.core.solid.Box;
import pied.core.solid.Vec;
import pied.core.space.Outlines;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.tool.move.Settle;
import pied.core.tool.shell.MoveCorner;
import pied.core.tool.shell.MoveWall;
import pied.core.tool.shell.SetPlatform;

/** Where the floor is another, and that those who stand elsewhere need not be looked at. */
class GroundTest {
  private static final Shell ROOM =
      new Shell(Outlines.rectangle(6, 4), 2.8, 0.2, List.of(), Finishes.NONE);

  private static Box at(double x, double z) {
    return new Box(new Vec(x - 0.1, 0, z - 0.1), new Vec(x + 0.1, 1, z + 0.1));
  }

  private static Shell wide(double w) {
    List<Spot> corners = List.of(new Spot(0, 0), new Spot(w, 0), new Spot(w, 4), new Spot(0, 4));
    return ROOM.withOutline(corners, Map.of(), List.of());
  }

  private static Platform platform(double x, double height) {
    return new Platform(
        "platform 1",
        List.of(new Spot(x, 1), new Spot(x + 1, 1), new Spot(x + 1, 2), new Spot(x, 2)),
        height);
  }

  @Test
  void sameShellsDifferNowhere() {
    Ground g =
        new Ground(ROOM, ROOM.withFinishes(Finishes.NONE.with("wall", Finish.of("#112233"))));
    assertThat(g.isAnother(at(3, 2))).isFalse();
    assertThat(g.isAnother(at(5.95, 2))).isFalse();
  }

  @Test
  void aStripIsAnotherWhereAWallMoved() {
    Shell before = wide(6);
    for (double w : new double[] {6.5, 5.5}) {
      Ground g = new Ground(before, wide(w));
      double inStrip = (6 + w) / 2;
      assertThat(g.isAnother(at(inStrip, 2))).isTrue();
      assertThat(g.isAnother(at(Math.min(6, w) - 0.05, 2))).as("it reaches into it").isTrue();
      assertThat(g.isAnother(at(Math.min(6, w) - 0.2, 2))).isFalse();
      assertThat(g.isAnother(at(1, 1))).isFalse();
    }
  }

  @Test
  void aPlatformIsAnotherWhereItWasAndWhereItIs() {
    Shell one = ROOM.withPlatforms(List.of(platform(1, 0.2)));
    Shell two = ROOM.withPlatforms(List.of(platform(3, 0.2)));
    Ground moved = new Ground(one, two);
    assertThat(moved.isAnother(at(1.5, 1.5))).isTrue();
    assertThat(moved.isAnother(at(3.5, 1.5))).isTrue();
    assertThat(moved.isAnother(at(2.5, 1.5))).isFalse();
    Ground raised = new Ground(one, ROOM.withPlatforms(List.of(platform(1, 0.3))));
    assertThat(raised.isAnother(at(1.5, 1.5))).isTrue();
    assertThat(raised.isAnother(at(3.5, 1.5))).isFalse();
  }

  @Test
  void anotherRakeIsAnotherFloorEverywhere() {
    Shell stage = Rooms.stage().shell();
    Ground g = new Ground(stage, stage.withStage(stage.stage().withRake(0.1)));
    assertThat(g.isAnother(at(0, -3))).isTrue();
    assertThat(g.isAnother(at(0, 0.5))).isTrue();
  }

  private static Piece settled(Rooms room, Space space, Piece p) {
    room.space = space;
    room.apply(new Settle(List.of(p.id())));
    return room.piece(p.id());
  }

  @Property(tries = 12)
  void whoWasNotLookedAtWouldNotHaveMoved(@ForAll Choices r) {
    Rooms room = new Rooms();
    String[] articles = {"stool", "cafe-table", "cup-and-saucer", "bottle"};
    for (int i = 0; i < 10; i++) {
      room.put(
          "p" + i,
          articles[r.nextInt(articles.length)],
          0.5 + 5 * r.nextDouble(),
          0.5 + 3 * r.nextDouble());
    }
    Space before = room.space;
    room.apply(
        switch (r.nextInt(3)) {
          case 0 -> new MoveWall("B", Amount.of(r.nextDouble() - 0.4));
          case 1 ->
              new SetPlatform(
                  null,
                  Rooms.point(1.5 + 3 * r.nextDouble(), 1.5 + r.nextDouble()),
                  null,
                  null,
                  Amount.of(1),
                  Amount.of(1),
                  Amount.of(0.3));
          default -> new MoveCorner(1, Rooms.point(5.6, 0.2), null, null);
        });
    Space after = room.space;
    for (Piece p : before.pieces()) {
      boolean same = after.piece(p.id()).equals(p);
      boolean stands = p.on().kind() == pied.core.piece.On.OnKind.floor;
      // what is crowded in among others would come up out of them, whatever the floor
      if (same && stands && settled(room, before, p).equals(p)) {
        Piece settled = settled(room, after, p);
        assertThat(settled.on()).isEqualTo(p.on());
        assertThat(settled.at().minus(p.at()).length()).isLessThan(1e-4);
      }
    }
  }
}

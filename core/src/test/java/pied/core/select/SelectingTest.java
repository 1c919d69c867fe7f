package pied.core.select;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.joml.Matrix4d;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pied.core.Choices;
import pied.core.Rooms;
import pied.core.drawing.Elevation;
import pied.core.piece.Piece;
import pied.core.select.Meant.MeantBy;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Spot;
import pied.core.units.Refusal;

class SelectingTest {
  private Rooms room;

  @BeforeEach
  void furnish() {
    room = new Rooms();
    room.put("a", "stool", 1, 1);
    room.put("b", "stool", 2, 1);
    room.put("t", "cafe-table", 4, 3);
    room.put("u", "cup-and-saucer", 4, 3);
    room.put("m", "round-mirror", 3, 0.1);
  }

  private List<String> find(MeantBy by, List<String> pieces, String open, String value) {
    return Selecting.of(room.space, new Meant(by, pieces, open, value, null, null, null));
  }

  private List<String> find(MeantBy by, String... pieces) {
    return find(by, List.of(pieces), null, null);
  }

  private List<String> within(boolean touched, Meant.MeantIn in, Spot... figure) {
    return Selecting.of(
        room.space, new Meant(MeantBy.figure, null, null, null, List.of(figure), in, touched));
  }

  private List<String> within(boolean touched, double x1, double z1, double x2, double z2) {
    return within(touched, null, new Spot(x1, z1), new Spot(x2, z2));
  }

  // ---- what they have in common

  @Test
  void byWhatTheyHaveInCommonWithTheLeadLast() {
    assertThat(find(MeantBy.article, "a")).containsExactly("b", "a");
    assertThat(find(MeantBy.kind, "b")).containsExactly("a", "b");
    assertThat(find(MeantBy.kind, List.of(), null, "tabletop")).containsExactly("u");
    assertThat(find(MeantBy.carried, "t")).containsExactly("u");
    assertThat(find(MeantBy.all)).containsExactly("a", "b", "t", "u", "m");
    assertThat(find(MeantBy.others, "a", "t")).containsExactly("b", "u", "m");
    assertThatThrownBy(() -> find(MeantBy.kind))
        .isInstanceOf(Refusal.class)
        .hasMessage("Select a piece first; what is like it is found then.");
  }

  @Test
  void aBranchOfAKindIsOfThatKind() {
    String kind = room.space.article(room.piece("a")).kind();
    String branch = kind.substring(0, kind.indexOf('/'));
    assertThat(find(MeantBy.kind, List.of(), null, branch)).contains("a", "b");
    assertThat(find(MeantBy.kind, List.of(), null, branch.substring(0, 3))).isEmpty();
  }

  @Test
  void byColourAndByAllThatIsLikeIt() {
    String part = room.space.article(room.piece("a")).finishes().keySet().iterator().next();
    assertThat(find(MeantBy.like, "a")).containsExactly("b", "a");
    room.json("{'do':'recolour','pieces':['b'],'part':'" + part + "','colour':'#123456'}");
    assertThat(find(MeantBy.like, "a")).containsExactly("a");
    assertThat(find(MeantBy.finish, List.of(), null, "#123456")).containsExactly("b");
    assertThat(find(MeantBy.finish, List.of("b"), null, null)).containsExactly("b");
  }

  @Test
  void byLayerAndByAName() {
    room.json("{'do':'toLayer','pieces':['a','t'],'named':'Back'}");
    assertThat(find(MeantBy.layer, "t")).containsExactly("a", "t");
    room.json("{'do':'nameSelection','name':'Tea','pieces':['t','u','a']}");
    room.json("{'do':'remove','pieces':['u']}");
    assertThat(find(MeantBy.named, List.of(), null, "Tea")).containsExactly("t", "a");
    assertThatThrownBy(() -> find(MeantBy.named, List.of(), null, "Lunch"))
        .hasMessage("There is no selection of the name “Lunch”.");
  }

  @Test
  void whatIsHiddenIsNotMeant() {
    room.json("{'do':'hide','pieces':['b'],'hidden':true}");
    room.json("{'do':'toLayer','pieces':['u'],'named':'Back'}");
    room.json("{'do':'layer','layer':'" + room.piece("u").keeping().layer() + "','hidden':true}");
    assertThat(find(MeantBy.all)).containsExactly("a", "t", "m");
    assertThat(find(MeantBy.article, "a")).containsExactly("a");
    assertThat(within(true, 0, 0, 6, 4))
        .as("what is set into the walls is touched too")
        .containsExactly("opening:d1", "opening:w1", "a", "t", "m");
    assertThat(find(MeantBy.piece, "b")).containsExactly("b");
  }

  // ---- groups

  @Test
  void aClickMeansTheOutermostGroupThatIsNotOpened() {
    room.json("{'do':'group','id':'g','pieces':['a','b']}");
    room.json("{'do':'group','id':'h','pieces':['g','t']}");
    assertThat(find(MeantBy.piece, "a")).containsExactlyInAnyOrder("b", "t", "a").endsWith("a");
    assertThat(find(MeantBy.piece, List.of("a"), "h", null)).containsExactly("b", "a");
    assertThat(find(MeantBy.piece, List.of("a"), "g", null)).containsExactly("a");
    assertThat(find(MeantBy.piece, List.of("t"), "h", null)).containsExactly("t");
    assertThat(find(MeantBy.piece, List.of("u"), "h", null)).containsExactly("u");
    assertThat(find(MeantBy.all, List.of(), "g", null)).containsExactly("a", "b");
    assertThat(find(MeantBy.group, "a")).containsExactly("b", "a");
    // what they have in common goes through groups
    assertThat(find(MeantBy.article, "a")).containsExactly("b", "a");
    // a figure takes the whole of what it takes a part of
    assertThat(within(false, 0.5, 0.5, 1.5, 1.5)).containsExactlyInAnyOrder("a", "b", "t");
  }

  // ---- figures

  @Test
  void aRectangleTakesWhatItEnclosesOrTouchesByItsTrueOutline() {
    double half = room.piece("a").size().width() / 2;
    assertThat(within(false, 0, 0, 1 + half + 1e-6, 2)).containsExactly("a");
    assertThat(within(false, 0, 0, 1 + half - 1e-3, 2)).isEmpty();
    assertThat(within(true, 0, 0, 1 - half + 1e-3, 2)).containsExactly("a");
    assertThat(within(true, 0, 0, 1 - half - 1e-3, 2)).isEmpty();
    assertThat(within(false, 6, 4, 0, -1)).hasSize(5);
    assertThat(within(false, 1, 1, 1, 1)).isEmpty();
  }

  @Test
  void theCornerOfABoxThatIsEmptyIsNotTouched() {
    // a round top leaves the corners of its box empty
    double half = room.piece("t").size().width() / 2;
    double corner = half * 0.98;
    assertThat(within(true, 4 + corner, 3 + corner, 5, 3.9)).isEmpty();
    assertThat(within(true, 4 + half * 0.5, 3 + half * 0.5, 5, 3.9)).contains("t");
  }

  @Test
  void aLineThatCrossesItselfTakesAllItGoesRound() {
    Spot[] eight = {new Spot(0.5, 0.5), new Spot(2.5, 1.5), new Spot(2.5, 0.5), new Spot(0.5, 1.5)};
    assertThat(within(true, null, eight)).containsExactly("a", "b");
    assertThatThrownBy(() -> within(true, null, new Spot(0, 0)))
        .hasMessage("Draw a figure of 2 to 4000 corners round what is meant.");
  }

  @Test
  void anElevationTakesOnlyWhatIsSeenInIt() {
    Meant.MeantIn wall =
        new Meant.MeantIn(new Elevation.ElevationLook(Elevation.LookWay.wall, "A", null), null);
    // all of the sheet: what stands farther away than one looks from is behind one's back
    assertThat(within(false, wall, new Spot(-1, -4), new Spot(7, 1)))
        .containsExactly("a", "b", "m");
    // the stools stand on the floor, the mirror hangs over them
    assertThat(within(true, wall, new Spot(-1, -0.3), new Spot(7, 1))).containsExactly("a", "b");
  }

  @Property(tries = 40)
  void enclosedIsThatEveryCornerIsInsideWhateverTheView(@ForAll Choices r) {
    furnish();
    for (Piece p : List.copyOf(room.space.pieces())) {
      if (!p.id().equals("m") && r.nextBoolean()) {
        room.json("{'do':'turn','pieces':['" + p.id() + "'],'by':" + r.nextInt(360) + "}");
      }
    }
    Matrix4d view =
        new Matrix4d()
            .perspective(0.8, 1.3, 0.05, 300)
            .lookAt(3 + 4 * r.nextGaussian(), 3 + r.nextDouble() * 4, 9, 3, 1, 2, 0, 1, 0);
    double[] m = view.get(new double[16]);
    List<Double> columns = new ArrayList<>();
    for (double v : m) {
      columns.add(v);
    }
    double x = -r.nextDouble();
    double y = -r.nextDouble();
    double w = 1.6 * r.nextDouble();
    Spot a = new Spot(x, y);
    Spot b = new Spot(x + w, y + w);
    Meant.MeantIn set = new Meant.MeantIn(null, columns);
    List<String> inside = within(false, set, a, b);
    List<String> touched = within(true, set, a, b);
    assertThat(touched).containsAll(inside);
    for (Piece p : room.space.pieces()) {
      boolean all = true;
      boolean any = false;
      Mesh mesh = room.space.shapes().mesh(p);
      for (int v = 0; v < mesh.xyz().length / 3; v++) {
        Vec q = p.pose().apply(mesh.vertex(v));
        org.joml.Vector4d c = view.transform(new org.joml.Vector4d(q.x(), q.y(), q.z(), 1));
        double u = c.x / c.w;
        double t = c.y / c.w;
        boolean in = u >= a.x() && u <= b.x() && t >= a.z() && t <= b.z();
        all &= in;
        any |= in;
      }
      assertThat(inside.contains(p.id())).as(p.id()).isEqualTo(all);
      if (any) {
        assertThat(touched).contains(p.id());
      }
    }
  }

  @Test
  void aViewThatIsNoneIsRefused() {
    Meant.MeantIn none = new Meant.MeantIn(null, List.of(1.0, 2.0));
    assertThatThrownBy(() -> within(true, none, new Spot(0, 0), new Spot(1, 1)))
        .isInstanceOf(Refusal.class);
    Meant.MeantIn nowhere = new Meant.MeantIn(new Elevation.ElevationLook(null, null, null), null);
    assertThatThrownBy(() -> within(true, nowhere, new Spot(0, 0), new Spot(1, 1)))
        .hasMessage("Say which way the drawing looks.");
  }
}

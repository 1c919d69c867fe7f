package pied.core.tool.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pied.core.Choices;
import pied.core.Rooms;
import pied.core.edit.Amount;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.edit.Offer;
import pied.core.edit.Outcome;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Group;
import pied.core.space.Layer;
import pied.core.tool.size.SizeAsOne;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** Layers, groups, locked and hidden pieces, as edits make them. */
class OrderTest {
  private Rooms room;

  @BeforeEach
  void furnish() {
    room = new Rooms();
    room.put("a", "stool", 1, 1);
    room.put("b", "stool", 2, 1);
    room.put("c", "stool", 3, 1);
    room.put("t", "cafe-table", 3, 3);
    room.put("u", "cup-and-saucer", 3, 3);
  }

  private void refused(String edit, String words) {
    assertThatThrownBy(() -> room.json(edit)).isInstanceOf(Refusal.class).hasMessage(words);
  }

  private List<String> layers() {
    return room.space.filing().layers().stream().map(Layer::name).toList();
  }

  private Group group(String id) {
    return room.space.filing().group(id);
  }

  // ---- layers

  @Test
  void aLayerIsMadeOnTheWay() {
    room.json("{'do':'toLayer','pieces':['a','b'],'named':'Seating'}");
    assertThat(layers()).containsExactly("Main", "Seating");
    Layer seating = room.space.layer(room.piece("a"));
    assertThat(seating.name()).isEqualTo("Seating");
    assertThat(room.space.layer(room.piece("c"))).isEqualTo(Layer.FIRST);
    room.json("{'do':'toLayer','pieces':['c'],'named':' seating '}");
    assertThat(layers()).hasSize(2);
    assertThat(room.space.layer(room.piece("c"))).isEqualTo(seating);
  }

  @Test
  void aNameThatIsTakenAndTheLastLayerAreRefused() {
    room.json("{'do':'newLayer','id':'l','name':'Lights'}");
    refused(
        "{'do':'newLayer','name':'lights'}",
        "There is a layer “Lights” already; take another name, or use that one.");
    refused(
        "{'do':'layer','layer':'first','name':'Lights'}",
        "There is a layer “Lights” already; take another name, or use that one.");
    room.json("{'do':'layer','layer':'l','name':'LIGHTS'}");
    room.json("{'do':'removeLayer','layer':'first'}");
    assertThat(room.space.layer(room.piece("a")).id()).isEqualTo("l");
    assertThat(room.said).containsExactly("5 pieces are on the layer LIGHTS now.");
    refused(
        "{'do':'removeLayer','layer':'l'}",
        "LIGHTS is the last layer, and every piece is on one; rename it instead.");
    refused(
        "{'do':'layer','layer':'l','colour':'blue'}",
        "A colour is written as #RRGGBB, such as #B4674B.");
  }

  @Test
  void layersAreOrderedColouredAndKeepWhatIsNotSaid() {
    room.json("{'do':'newLayer','id':'l','name':'Lights','colour':'#2f6690'}");
    room.json("{'do':'newLayer','id':'p','name':'Props'}");
    room.json("{'do':'layer','layer':'p','to':0,'locked':true}");
    room.json("{'do':'layer','layer':'l','hidden':true}");
    assertThat(room.space.filing().layers())
        .containsExactly(
            new Layer("p", "Props", null, false, true),
            Layer.FIRST,
            new Layer("l", "Lights", "#2F6690", true, false));
    room.json("{'do':'layer','layer':'l','colour':''}");
    assertThat(room.space.filing().layer("l").colour()).isNull();
  }

  @Test
  void whatComesInIsOnTheCurrentLayer() {
    room.json("{'do':'newLayer','id':'l','name':'Lights'}");
    Edit place =
        new pied.core.tool.place.Place(
            "new", "stool", null, Rooms.point(4, 1), null, null, null, null);
    Outcome on =
        Edits.apply(
            room.space,
            List.of(place),
            LengthUnit.M,
            "l",
            () -> "x",
            pied.core.units.Deadline.NONE);
    assertThat(on.space().piece("new").keeping().layer()).isEqualTo("l");
    // a layer that was removed meanwhile is none
    Outcome gone =
        Edits.apply(
            room.space,
            List.of(place),
            LengthUnit.M,
            "gone",
            () -> "x",
            pied.core.units.Deadline.NONE);
    assertThat(gone.space().piece("new").keeping().layer()).isEqualTo(Layer.FIRST.id());
  }

  // ---- locked and hidden

  @Test
  void aLockedPieceOffersToBeUnlocked() {
    room.json("{'do':'lock','pieces':['a'],'locked':true}");
    assertThatThrownBy(() -> room.json("{'do':'turn','pieces':['a','b'],'by':90}"))
        .hasMessage("Stool is locked, so nothing is done to it.")
        .isInstanceOfSatisfying(
            Declined.class,
            d -> {
              assertThat(d.offers())
                  .extracting(Offer::words)
                  .containsExactly("Unlock it", "Unlock and do it");
              room.apply(d.offers().get(1).edits().toArray(Edit[]::new));
            });
    assertThat(room.piece("a").turn()).isEqualTo(90);
    assertThat(room.piece("a").keeping().locked()).isFalse();
  }

  @Test
  void allThatIsLockedIsSaidAndUnlockedAtOnce() {
    room.json("{'do':'lock','pieces':['a','c'],'locked':true}");
    assertThatThrownBy(() -> room.json("{'do':'turn','pieces':['a','b','c'],'by':90}"))
        .hasMessage("2 of these pieces are locked, Stool among them, so nothing is done to them.")
        .isInstanceOfSatisfying(
            Declined.class, d -> room.apply(d.offers().get(1).edits().toArray(Edit[]::new)));
    assertThat(List.of("a", "b", "c")).allMatch(id -> room.piece(id).turn() == 90);
  }

  @Test
  void aLockedLayerIsNamedAndUnlocked() {
    room.json("{'do':'toLayer','pieces':['t','u'],'named':'Tea'}");
    String tea = room.piece("t").keeping().layer();
    room.json("{'do':'layer','layer':'" + tea + "','locked':true}");
    assertThatThrownBy(() -> room.json("{'do':'moveBy','pieces':['t'],'by':{'x':0.1}}"))
        .hasMessage(
            "2 of these pieces are locked, Round café table among them, so nothing is done to"
                + " them.")
        .isInstanceOfSatisfying(
            Declined.class,
            d -> assertThat(d.offers().get(0).words()).isEqualTo("Unlock the layer Tea"));
    refused(
        "{'do':'rename','piece':'u','name':'Cup'}",
        "Cup and saucer is on the layer Tea, which is locked, so nothing is done to it.");
    // a copy is nobody's locked piece
    room.json("{'do':'copy','pieces':['a']}");
  }

  @Test
  void allButThoseAreHiddenAndAllComeBack() {
    room.json("{'do':'hide','pieces':['t','u'],'hidden':true,'which':'others'}");
    assertThat(room.space.pieces())
        .filteredOn(room.space::hidden)
        .extracting(Piece::id)
        .containsExactly("a", "b", "c");
    room.json("{'do':'layer','layer':'first','hidden':true}");
    assertThat(room.space.pieces()).allMatch(room.space::hidden);
    room.json("{'do':'hide','hidden':false,'which':'all','layers':true}");
    assertThat(room.space.pieces()).noneMatch(room.space::hidden);
  }

  // ---- groups

  @Test
  void aGroupIsInAnotherAndGoesWhenNothingIsLeftInIt() {
    room.json("{'do':'group','id':'g','pieces':['a','b'],'name':'Pair'}");
    room.json("{'do':'group','id':'h','pieces':['g','c']}");
    assertThat(group("g")).isEqualTo(new Group("g", "Pair", "h"));
    assertThat(group("h")).isEqualTo(new Group("h", "Group", null));
    assertThat(room.space.members("h")).containsExactlyInAnyOrder("a", "b", "c");
    Outcome out = room.json("{'do':'remove','pieces':['a','b']}");
    assertThat(group("g")).isNull();
    assertThat(group("h")).isNotNull();
    assertThat(out.change().reversed().apply(room.space).filing().group("g"))
        .isEqualTo(new Group("g", "Pair", "h"));
    room.json("{'do':'dissolve','group':'h'}");
    assertThat(room.space.filing().groups()).isEmpty();
  }

  @Test
  void aGroupOfTwoOfAGroupIsWithinIt() {
    room.json("{'do':'group','id':'g','pieces':['a','b','c']}");
    room.json("{'do':'group','id':'h','pieces':['a','b']}");
    assertThat(group("h").in()).isEqualTo("g");
    refused("{'do':'group','pieces':['a','b']}", "These are the group Group 2 already.");
    refused(
        "{'do':'group','pieces':['t']}",
        "A group is made of two things at least; select more of them.");
    room.json("{'do':'dissolve','group':'g'}");
    assertThat(group("g")).isNull();
    assertThat(group("h").in()).isNull();
    assertThat(room.piece("c").keeping().group()).isNull();
    assertThat(room.piece("a").keeping().group()).isEqualTo("h");
  }

  @Test
  void aGroupDoesNotGoIntoItself() {
    room.json("{'do':'group','id':'g','pieces':['a','b'],'name':'Pair'}");
    room.json("{'do':'group','id':'h','pieces':['g','c'],'name':'Three'}");
    refused(
        "{'do':'intoGroup','pieces':['h'],'group':'h'}",
        "The group Three cannot be put into itself.");
    refused(
        "{'do':'intoGroup','pieces':['h'],'group':'g'}",
        "The group Three cannot be put into Pair, which is in it.");
  }

  @Test
  void groupsAreNoDeeperInOneAnotherThanTwenty() {
    room.put("z", "bottle", 5, 3);
    room.json("{'do':'group','id':'g1','pieces':['a','b']}");
    String last = "g1";
    for (int i = 2; i <= Group.DEEPEST; i++) {
      room.json("{'do':'copy','pieces':['z'],'by':{'x':0.001,'y':0,'z':0}}");
      String more = new ArrayList<>(room.space.pieces()).get(room.space.pieces().size() - 1).id();
      room.json("{'do':'group','id':'g%d','pieces':['%s','%s']}".formatted(i, last, more));
      last = "g" + i;
    }
    assertThat(room.space.filing().about("g1")).hasSize(Group.DEEPEST);
    refused(
        "{'do':'group','pieces':['" + last + "','c']}",
        "Groups go up to 20 deep into one another; dissolve one first.");
  }

  @Test
  void aWholeGroupIsTurnedAsOneAndAPartOfItByItself() {
    room.json("{'do':'group','id':'g','pieces':['a','b']}");
    Vec a = room.piece("a").at();
    room.json("{'do':'turn','pieces':['a','b','c'],'by':90}");
    assertThat(room.piece("a").at().z()).isEqualTo(1.5, org.assertj.core.data.Offset.offset(1e-9));
    assertThat(room.piece("a").at().x()).isEqualTo(1.5, org.assertj.core.data.Offset.offset(1e-9));
    assertThat(room.piece("c").at()).isEqualTo(new Vec(3, 0, 1));
    Vec turned = room.piece("a").at();
    room.json("{'do':'turn','pieces':['a'],'by':90}");
    assertThat(room.piece("a").at()).isEqualTo(turned).isNotEqualTo(a);
  }

  @Test
  void aWholeGroupIsSizedAsOne() {
    room.json("{'do':'group','id':'g','pieces':['a','b']}");
    double wide = SizeAsOne.whole(room.space, List.of("a", "b")).size().x();
    room.json(
        "{'do':'size','pieces':['g'],'size':{'width':'200%'},'together':'all','beyond':'stretch'}");
    double now = SizeAsOne.whole(room.space, List.of("a", "b")).size().x();
    assertThat(now / wide).isEqualTo(2, org.assertj.core.data.Offset.offset(1e-9));
  }

  /** Everything of a piece but its ids and names, read from where its copy was set. */
  private record Bare(
      Object form, Object stance, Object finishes, String layer, List<String> groups, Object on) {}

  @Property(tries = 60)
  void aGroupThatIsCopiedIsEqualUpToIds(@ForAll Choices r) {
    furnish();
    room.json("{'do':'newLayer','id':'l','name':'Lights'}");
    List<String> ids = List.of("a", "b", "c", "t", "u");
    for (int i = 0; i < 4; i++) {
      List<String> some = ids.stream().filter(id -> r.nextBoolean()).collect(Collectors.toList());
      try {
        room.apply(
            new pied.core.tool.group.MakeGroup(some, "g" + i, null),
            new pied.core.tool.layer.ToLayer(some, r.nextBoolean() ? "l" : "first", null));
      } catch (Refusal e) {
        continue;
      }
    }
    var by = new Edit.Place3(Amount.of(0), Amount.of(0), Amount.of(0));
    Outcome out = room.apply(new Copy(ids, by));
    List<Piece> made =
        out.change().pieces().filter(d -> d.before() == null).map(d -> d.piece()).toList();
    assertThat(made.stream().map(p -> bare(p, made)).collect(Collectors.toSet()))
        .isEqualTo(
            ids.stream()
                .map(room::piece)
                .map(p -> bare(p, ids.stream().map(room::piece).toList()))
                .collect(Collectors.toSet()));
    assertThat(made).extracting(Piece::name).doesNotHaveDuplicates();
    assertThat(room.space.filing().groups()).extracting(Group::name).doesNotHaveDuplicates();
  }

  /** With each group as how many of these it holds, the innermost first. */
  private Bare bare(Piece p, List<Piece> among) {
    List<String> ids = among.stream().map(Piece::id).toList();
    List<String> groups =
        room.space.filing().about(p.keeping().group()).stream()
            .map(
                g ->
                    room.space.members(g).stream()
                        .map(room::piece)
                        .map(q -> q.at().toString())
                        .sorted()
                        .toList()
                        .toString())
            .toList();
    boolean along = p.on().kind() == pied.core.piece.On.OnKind.piece && ids.contains(p.on().id());
    Object on = along ? room.piece(p.on().id()).at() : p.on();
    return new Bare(p.form(), p.stance(), p.finishes(), p.keeping().layer(), groups, on);
  }
}

package pied.server.space;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.zip.InflaterInputStream;
import org.junit.jupiter.api.Test;
import pied.core.edit.Change;
import pied.core.edit.Offer;
import pied.core.material.Finish;
import pied.core.material.Finishes;
import pied.core.material.Laying;
import pied.core.piece.Form;
import pied.core.piece.Keeping;
import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Partner;
import pied.core.piece.Piece;
import pied.core.piece.Slot;
import pied.core.piece.Stance;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.space.Bar;
import pied.core.space.Column;
import pied.core.space.Difference;
import pied.core.space.Difference.OfFrame;
import pied.core.space.Difference.OfPart;
import pied.core.space.Difference.OfPiece;
import pied.core.space.Difference.OfShell;
import pied.core.space.Difference.PlacedPart;
import pied.core.space.Filing;
import pied.core.space.Flight;
import pied.core.space.Group;
import pied.core.space.KeptPart;
import pied.core.space.Layer;
import pied.core.space.NamedSelection;
import pied.core.space.Opening;
import pied.core.space.Ordered;
import pied.core.space.PartName;
import pied.core.space.Partition;
import pied.core.space.Platform;
import pied.core.space.Repetition;
import pied.core.space.Rule;
import pied.core.space.Sample;
import pied.core.space.Shell;
import pied.core.space.Skirting;
import pied.core.space.Spot;
import pied.core.space.Stage;
import pied.core.space.Twin;
import pied.core.tool.keep.Remove;
import pied.core.tool.ring.RingRule;
import pied.core.tool.row.RowRule;
import pied.core.tool.scatter.ScatterRule;
import pied.core.tool.trail.TrailRule;
import pied.core.units.LengthUnit;
import pied.core.units.Message;
import pied.server.space.KeepingWire.FilingView;
import pied.server.space.SpaceWire.Changed;
import pied.server.store.Json;

/** The form in which things are stored: whoever changes it must raise its number and read both. */
class StoredTest {
  private static final ObjectMapper JSON = new ObjectMapper();

  private static final Shell SHELL =
      new Shell(
          List.of(new Spot(0, 0), new Spot(6, 0), new Spot(6, 4), new Spot(0, 4)),
          2.8,
          0.2,
          Map.of("B", 0.35),
          List.of(
              new Opening(
                  "door 1",
                  Opening.OpeningKind.door,
                  "C",
                  1,
                  0.9,
                  0,
                  2.05,
                  Opening.Hand.values()[0],
                  Opening.OpeningWay.values()[0],
                  0)),
          List.of(new Partition("partition 1", new Spot(2, 0), new Spot(2, 2), 0.1, 2)),
          List.of(new Column("column 1", new Spot(5, 3), 0.3, 0.3, true)),
          List.of(
              new Platform(
                  "platform 1", List.of(new Spot(3, 1), new Spot(4, 1), new Spot(4, 2)), 0.2)),
          List.of(
              new Flight(
                  "steps 1", Flight.FlightKind.steps, new Spot(1, 3), 90, 1, 2, 0.175, 0.28, 0)),
          List.of(new Bar("bar 1", 3, 1.5, 2.5, 4)),
          new Skirting(0.08, 0.015),
          new Stage(0.9, 0.05, new Stage.Apron(6, 1.2, 0.3), new Stage.Seats(2.5, 0.9, 0.12, 8, 6)),
          new Vec(0.1, 0, 0.2),
          12.5,
          Finishes.NONE.with("wall", Finish.of("#AABBCC")));

  private static Piece piece(String id, double x) {
    return new Piece(
        id,
        "Stool",
        new Form("stool", new Size(0.36, 0.36, 0.46), x > 0.4, x > 0.4),
        new Stance(new Vec(x, 0, 1.1), 33.3, new Lean(10, 2.5)),
        On.piece("t"),
        true,
        Finishes.NONE.with("seat", Finish.of("#102030")),
        new Keeping("back", "set", false, true, "for the second act"));
  }

  private static final Rule ROW =
      new RowRule(
          new Vec(1, 0.1, 2),
          33.3,
          new Vec(1, 0, 0),
          8,
          new Rule.Apart(0.2, false),
          4.5,
          true,
          2,
          new Rule.Apart(0.9, true),
          1,
          new Rule.Apart(0, false),
          true,
          12.5);

  private static final Rule TRAIL =
      new TrailRule(
          List.of(new Spot(0, 0), new Spot(1 / 3.0, 2)),
          false,
          "wall A",
          24,
          null,
          false,
          0.1,
          Rule.RepeatFacing.inward,
          0,
          0.2);

  private static final Rule RING =
      new RingRule(
          new Spot(1, 2),
          "t",
          List.of(new Spot(0, 0), new Spot(1, 0), new Spot(1, 1)),
          6,
          0.1,
          null,
          Rule.RepeatFacing.outward,
          10,
          270,
          5,
          0);

  private static final Rule SCATTER =
      new ScatterRule(
          List.of("a"), List.of(), new Spot(3, 1), 1.5, 40, 2.5, 0.02, 10, 180, 0.2, 0.1, 7);

  private static Group repeated(String id, Rule rule) {
    Sample sample = new Sample(List.of(piece("0", 0)), 2);
    return new Group(
        id,
        "Many",
        null,
        new Repetition(rule, List.of(sample), new TreeSet<>(List.of(3L, 65536L))));
  }

  /** One that fills a place, and has a twin. */
  private static Piece ofMany(Piece p) {
    return p.withKeeping(
        p.keeping().withSlot(new Slot(4L, 1, true)).withTwin(new Partner("m", "e", false)));
  }

  private static JsonNode text(byte[] packed) throws Exception {
    return JSON.readTree(new InflaterInputStream(new ByteArrayInputStream(packed)));
  }

  @Test
  void wordsAreReadInAnyUnitHoweverLongAgoTheyWereKept() {
    Message moved =
        Message.of(
            "Moved {}{}",
            "Stool {} 2",
            Message.join(", ", List.of(Message.length(0.25), Message.bare(1e-7))));
    Message read = StoredWords.read(StoredWords.write(moved));
    for (LengthUnit unit : LengthUnit.values()) {
      assertThat(read.in(unit)).isEqualTo(moved.in(unit));
    }
    String earlier = "Sized Stool to \uE000b0.4\uE001 × \uE000b0.4\uE001 × \uE000l0.45\uE001";
    assertThat(StoredWords.read(earlier).in(LengthUnit.CM))
        .isEqualTo("Sized Stool to 40.0 × 40.0 × 45.0 cm");
    assertThat(StoredWords.read("Put in \uE000lhalf\uE001 {}").in(LengthUnit.M))
        .isEqualTo("Put in \uE000lhalf\uE001 {}");
  }

  @Test
  void whatIsStoredComesBackToTheLastBit() {
    assertThat(Stored.shell(Stored.FORM, Stored.write(SHELL))).isEqualTo(SHELL);
    Shell bare = new Shell(SHELL.outline(), 3, 0.1, List.of(), Finishes.NONE);
    assertThat(Stored.shell(Stored.FORM, Stored.write(bare))).isEqualTo(bare);
    Change change =
        new Change(
            List.of(
                new OfShell(bare, SHELL),
                new OfFrame(bare, SHELL),
                new OfPart(null, new PlacedPart(SHELL.openings().get(0), 2)),
                new OfPart(new PlacedPart(SHELL.flights().get(0), 0), null),
                new Difference.OfLayers(
                    List.of(Layer.FIRST),
                    List.of(new Layer("back", "Back", "#2F6690", true, true), Layer.FIRST)),
                new Difference.OfGroup(null, new Group("set", "Set", "all")),
                new Difference.OfGroup(new Group("old", "Old", null), null),
                new Difference.OfSelection(null, new NamedSelection("Tea", List.of("a", "b"))),
                new Difference.OfSelection(new NamedSelection("Tea", List.of("a")), null),
                new Difference.OfGroup(null, repeated("row", ROW)),
                new Difference.OfGroup(repeated("trail", TRAIL), repeated("trail", RING)),
                new Difference.OfGroup(null, repeated("scatter", SCATTER)),
                new Difference.OfTwin(
                    null, new Twin("m", new Vec(1, 0, 2), new Vec(0.6, 0, 0.8), false)),
                new Difference.OfKeptPart(
                    new KeptPart(PartName.opening("door 1"), null, Keeping.PLAIN),
                    new KeptPart(
                        PartName.opening("door 1"),
                        "The back door",
                        new Keeping("back", "set", true, false, "to be painted")
                            .withTwin(new Partner("m", "opening:door 2", true)))),
                new OfPiece(null, new Ordered(ofMany(piece("d", 0.9)), 9L)),
                new OfPiece(null, new Ordered(piece("a", 0.1), 7L)),
                new OfPiece(new Ordered(piece("b", 0.2), 4L), new Ordered(piece("b", 1 / 3.0), 4L)),
                new OfPiece(new Ordered(piece("c", 0.3), 2L), null)));
    assertThat(Stored.change(Stored.FORM, Stored.write(change))).isEqualTo(change);
  }

  @Test
  void theFormStaysAsItIsInPeoplesFiles() throws Exception {
    Change change = new Change(List.of(new OfPiece(null, new Ordered(piece("a", 0.5), 7L))));
    JsonNode then =
        JSON.readTree(
            """
            {"things":[{"of":"piece","after":{"piece":{"id":"a","article":"stool","name":"Stool",
              "size":{"width":0.36,"depth":0.36,"height":0.46},"at":{"x":0.5,"y":0.0,"z":1.1},
              "turn":33.3,"lean":{"toward":10.0,"by":2.5},"on":{"kind":"piece","id":"t"},
              "finishes":{"seat":"#102030"},"held":true,"mirrored":true,"stretched":true,
              "layer":"back","group":"set","hidden":true,
              "remark":"for the second act"},"place":7}}]}
            """);
    assertThat(text(Stored.write(change)).toString()).isEqualTo(then.toString());
    assertThat(text(Stored.write(SHELL)).fieldNames())
        .toIterable()
        .containsExactly(
            "outline",
            "height",
            "thickness",
            "thicknesses",
            "openings",
            "partitions",
            "columns",
            "platforms",
            "flights",
            "bars",
            "skirting",
            "stage",
            "datum",
            "north",
            "finishes");
    assertThat(text(Stored.write(SHELL)).at("/openings/0").fieldNames())
        .toIterable()
        .containsExactly(
            "id", "kind", "wall", "from", "width", "sill", "height", "hinge", "opens", "depth");
    assertThat(text(Stored.write(SHELL)).at("/flights/0/riser").asDouble()).isEqualTo(0.175);
  }

  @Test
  void allOfAFinishIsKept() {
    Finish whole =
        new Finish(
            "#102030",
            0.3,
            1.0,
            0.25,
            0.5,
            0.1,
            0.2,
            0.9,
            "oak-planks",
            new Laying(0.14, 90.0, 0.1, 0.2, 0.002, "#111111"));
    Finish matt = Finish.of(null).withRoughness(1.0);
    Piece p = piece("a", 0.5).withFinishes(Finishes.NONE.with("seat", whole).with("legs", matt));
    Change change = new Change(List.of(new OfPiece(null, new Ordered(p, 7L))));
    assertThat(Stored.change(Stored.FORM, Stored.write(change))).isEqualTo(change);
  }

  private static final String OLD =
      """
      {"id":"c","article":"stool","name":"Stool","size":{"width":0.4,"depth":0.4,"height":0.46},
       "at":{"x":%s,"y":0,"z":1},"turn":33.3,"lean":{"toward":0,"by":0},
       "on":{"kind":"floor","id":null},"finishes":{"seat":"#102030"},"held":false}""";

  private static Piece old(double x) {
    return new Piece(
        "c",
        "Stool",
        new Form("stool", new Size(0.4, 0.4, 0.46)),
        new Stance(new Vec(x, 0, 1), 33.3),
        On.FLOOR,
        Finishes.NONE.with("seat", Finish.of("#102030")));
  }

  private static byte[] packed(String json, Object... values) throws Exception {
    return Json.packed(JSON.readTree(json.formatted(values)));
  }

  @Test
  void ofFormOneAPieceAloneIsAPieceWithoutAPlace() throws Exception {
    byte[] one =
        packed("{'added':[],'altered':[],'removed':[%s]}".replace('\'', '"'), OLD.formatted(1));
    assertThat(Stored.change(1, one).all())
        .containsExactly(new OfPiece(new Ordered(old(1), null), null));
  }

  @Test
  void ofFormTwoListsBecomeDifferences() throws Exception {
    byte[] two =
        packed(
            """
            {"added":[{"piece":%s,"place":3}],"altered":[{"before":%s,"after":%s}],
             "removed":[{"piece":%s,"place":2}],"shell":{"before":%s,"after":%s}}""",
            OLD.formatted(1),
            OLD.formatted(2),
            OLD.formatted(3),
            OLD.formatted(4),
            text(Stored.write(SHELL)),
            text(Stored.write(SHELL)));
    assertThat(Stored.change(2, two).all())
        .containsExactly(
            new OfShell(SHELL, SHELL),
            new OfPiece(new Ordered(old(4), 2L), null),
            new OfPiece(new Ordered(old(2), null), new Ordered(old(3), null)),
            new OfPiece(null, new Ordered(old(1), 3L)));
  }

  @Test
  void anAnswerComesBackAndOneOfFormTwoIsRead() throws Exception {
    Changed answer =
        new Changed(
            7,
            List.of(old(1)),
            List.of("gone"),
            List.of("c"),
            List.of("It is said."),
            List.of(new Offer("take it out", List.of(new Remove(List.of("c"))))),
            true,
            null,
            null,
            "wall:A",
            null,
            true,
            false);
    assertThat(Stored.answer(3, Stored.write(answer))).isEqualTo(answer);
    // how pieces are kept in order is read anew with the space
    Changed filed =
        new Changed(
            7,
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            false,
            FilingView.of(Filing.PLAIN),
            null,
            null,
            null,
            true,
            false);
    assertThat(Stored.answer(3, Stored.write(filed)).shell()).isTrue();
    byte[] two =
        packed(
            """
            {"revision":7,"changed":[%s],"removed":["gone"],"said":[],
             "offers":[{"words":"no such","edits":[{"do":"unheard of"}]}],"shell":false,
             "part":null,"canUndo":true,"canRedo":false}""",
            OLD.formatted(1));
    Changed read = Stored.answer(2, two);
    assertThat(read.changed()).containsExactly(old(1));
    assertThat(read.offers()).isEmpty();
    assertThat(read.made()).isEmpty();
  }
}

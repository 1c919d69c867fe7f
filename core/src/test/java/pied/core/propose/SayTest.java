package pied.core.propose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import pied.core.Rooms;
import pied.core.check.Checks;
import pied.core.edit.Edit;
import pied.core.phrase.Phrase;
import pied.core.piece.Piece;
import pied.core.register.Sentences;
import pied.core.register.Tools;
import pied.core.say.Ask;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

class SayTest {
  private static final ObjectMapper JSON = Tools.json();

  private final AtomicInteger ids = new AtomicInteger();
  private final Rooms room = furnished();

  /** A round table, a counter, three shelves, a platform, stools and a sofa. */
  static Rooms furnished() {
    Rooms room = new Rooms();
    room.json("{'do':'platform','at':{'x':4.8,'z':3},'width':1.6,'depth':1.2,'height':0.2}");
    room.put("t", "round-table", 2, 2.5);
    room.put("k", "service-counter", 4.3, 1.2);
    room.put("a", "open-shelf", 0.6, 0.3);
    room.put("b", "open-shelf", 1.6, 0.3);
    room.put("s", "stool", 0.5, 3.4, 20);
    room.put("s2", "stool", 3.3, 3.4, 40);
    room.put("s3", "stool", 3.4, 2.6);
    return room;
  }

  private Ask ask(String... selected) {
    return new Ask(room.space, List.of(selected), LengthUnit.M, () -> "x" + ids.incrementAndGet());
  }

  private Understood said(String text, String... selected) {
    Understood u = Say.understand(ask(selected), text);
    assertThat(u.wrong()).as(text).isNull();
    return u;
  }

  private Say.Done make(String text, String... selected) {
    Say.Done done =
        Say.make(
            room.space,
            text,
            List.of(selected),
            LengthUnit.M,
            null,
            () -> "x" + ids.incrementAndGet(),
            Deadline.NONE);
    room.space = done.outcome().space();
    return done;
  }

  private static String json(Edit e) {
    try {
      return JSON.writeValueAsString(e);
    } catch (JsonProcessingException x) {
      throw new IllegalStateException(x);
    }
  }

  private static Edit edit(String json) {
    try {
      return JSON.readValue(json.replace('\'', '"'), Edit.class);
    } catch (JsonProcessingException x) {
      throw new IllegalArgumentException(json, x);
    }
  }

  // ---- what it is read as

  static Stream<String[]> sentences() {
    return Stream.of(
        new String[] {
          "0.42 x 0.42 x 0.66",
          "{'do':'size','pieces':['s','s2'],'size':{'width':0.42,'depth':0.42,'height':0.66}}"
        },
        new String[] {"turn 30", "{'do':'turn','pieces':['s','s2'],'by':30.0}"},
        new String[] {
          "paint the floor oak herringbone, turned by 45°",
          "{'do':'decorate','part':'floor',"
              + "'finish':{'material':'oak-herringbone','laid':{'turn':45.0}}}"
        },
        new String[] {
          "cover wall A in square tiles, one 0.15 wide, turned 45",
          "{'do':'decorate','part':'wall:A',"
              + "'finish':{'material':'tile-square','laid':{'width':0.15,'turn':45.0}}}"
        },
        new String[] {
          "paint all the walls moss green",
          "{'do':'decorate','part':'wall','finish':{'colour':'#6A7B4B'}}"
        },
        new String[] {
          "paint the seats moss green velvet",
          "{'do':'finish','pieces':['s','s2'],'part':'seat',"
              + "'finish':{'colour':'#6A7B4B','material':'velvet'}}"
        },
        new String[] {
          "8 in a row, 0.2 apart, along wall A",
          "{'do':'row','pieces':['s','s2'],'count':8,'gap':0.2,'along':'wall','wall':'wall:A'}"
        },
        new String[] {
          "left sides level with the lead",
          "{'do':'lineUp','pieces':['s','s2'],'to':'lead','across':{'part':'left'}}"
        },
        new String[] {"onto the counter", "{'do':'settleOnto','pieces':['s','s2'],'onto':'k'}"},
        new String[] {
          "ring of 6 around the round table, 0.1 off, facing in",
          "{'do':'ring','pieces':['s','s2'],'count':6,'around':'t','gap':0.1,'facing':'inward'}"
        },
        new String[] {
          "same height as the lead", "{'do':'sizeAs','pieces':['s','s2'],'measures':['height']}"
        },
        new String[] {
          "1.2 from wall B",
          "{'do':'lineUp','pieces':['s','s2'],'to':'wall','what':'wall:B','nearness':'near',"
              + "'off':1.2}"
        },
        new String[] {
          "40 books on the shelves, seed 7",
          "{'do':'scatter','of':[{'article':'books'}],'onto':['a','b'],'count':40,'seed':7}"
        },
        new String[] {
          "books and cups on the open shelves",
          null // without a number it is a piece that is placed
        },
        new String[] {
          "6 rows of 9 theatre seats at 1, 1, rows 0.9 from row to row",
          "{'do':'row','of':[{'article':'theatre-seat'}],'rows':6,'count':9,'rowPitch':0.9,"
              + "'at':{'x':1,'z':1}}"
        },
        new String[] {
          "24 small trees along walls A and B",
          "{'do':'trail','of':[{'article':'small-tub-tree'}],'along':['wall:A','wall:B'],"
              + "'count':24}"
        },
        new String[] {
          "even gaps across", "{'do':'spaceOut','pieces':['s','s2'],'how':'even','along':'across'}"
        },
        new String[] {"touching", "{'do':'spaceOut','pieces':['s','s2'],'how':'touching'}"},
        new String[] {
          "twin about the centre line", "{'do':'twin','pieces':['s','s2'],'about':{'by':'centre'}}"
        },
        new String[] {
          "1.2 wide and 0.8 high",
          "{'do':'size','pieces':['s','s2'],'size':{'width':1.2,'height':0.8}}"
        },
        new String[] {
          "the stools: undersides in line with all of them",
          "{'do':'lineUp','pieces':['s','s2','s3'],'to':'all','high':{'part':'under'}}"
        });
  }

  @ParameterizedTest
  @MethodSource("sentences")
  void readsWhatIsSaid(String text, String edit) {
    Understood u = Say.understand(ask("s", "s2"), text);
    if (edit == null) {
      assertThat(u.edits()).isEmpty();
      return;
    }
    assertThat(u.wrong()).isNull();
    assertThat(u.edits()).hasSize(1);
    assertThat(json(u.edits().get(0))).isEqualTo(json(edit(edit)));
    if (!(edit.contains("sizeAs"))) {
      assertThat(Phrase.said(u.words())).isNotEmpty();
    }
  }

  static Stream<String> edits() {
    String own = "'pieces':['s','s2']";
    return Stream.of(
        "{'do':'lineUp'," + own + ",'across':{'part':'left'}}",
        "{'do':'lineUp',"
            + own
            + ",'across':{'part':'right','with':'left'},'deep':{'part':'middle'}}",
        "{'do':'lineUp'," + own + ",'to':'all','high':{'part':'top'},'deep':{'part':'back'}}",
        "{'do':'lineUp'," + own + ",'to':'wall','what':'wall:C','nearness':'far'}",
        "{'do':'lineUp'," + own + ",'to':'wall','what':'wall:C','nearness':'near','off':0.425}",
        "{'do':'lineUp'," + own + ",'to':'edge','what':'platform:platform 1','nearness':'middle'}",
        "{'do':'lineUp'," + own + ",'to':'centre','across':{'part':'middle'}}",
        "{'do':'lineUp'," + own + ",'to':'datum','deep':{'part':'front'}}",
        "{'do':'lineUp'," + own + ",'to':'floor','high':{'part':'under'}}",
        "{'do':'lineUp',"
            + own
            + ",'to':'point','at':{'x':1.125,'y':0.0,'z':2.0},'deep':{'part':'front'}}",
        "{'do':'lineUp',"
            + own
            + ",'to':'piece','what':'t','across':{'part':'left','with':'middle'}}",
        "{'do':'lineUp'," + own + ",'across':{'part':'left'},'own':true}",
        "{'do':'spaceOut'," + own + "}",
        "{'do':'spaceOut',"
            + own
            + ",'how':'gap','by':0.25,'along':'wall','wall':'wall:A','from':'last'}",
        "{'do':'spaceOut'," + own + ",'how':'middles','by':1.2,'along':'line','from':'middle'}",
        "{'do':'spaceOut'," + own + ",'how':'touching','along':'depth','from':'lead','boxes':true}",
        "{'do':'row'," + own + ",'count':8,'gap':0.2,'along':'wall','wall':'wall:A'}",
        "{'do':'row'," + own + ",'count':9,'pitch':0.55,'rows':6,'rowPitch':0.9,'staggered':true}",
        "{'do':'row'," + own + ",'gap':0.1,'length':3.2,'evened':true,'along':'back'}",
        "{'do':'row','of':[{'article':'stool'},{'article':'crate'}],'count':5,'at':{'x':1.0,'z':2.0},"
            + "'tiers':2,'tierGap':0.0,'rows':1,'rowGap':0.1}",
        "{'do':'trail'," + own + ",'along':['wall:A','wall:B'],'count':24,'offset':0.1}",
        "{'do':'trail','of':[{'article':'bar-stool'}],'along':['k'],'side':'front','gap':0.3,"
            + "'facing':'outward'}",
        "{'do':'trail',"
            + own
            + ",'path':[{'x':1.0,'z':1.0},{'x':4.0,'z':1.0},{'x':4.0,'z':3.0}],"
            + "'pitch':0.75,'facing':'fixed','turn':90.0}",
        "{'do':'trail'," + own + ",'along':['platform:platform 1'],'count':6,'inside':true}",
        "{'do':'ring'," + own + ",'count':6,'around':'t','gap':0.1}",
        "{'do':'ring',"
            + own
            + ",'count':5,'at':{'x':3.0,'z':1.5},'radius':1.2,'arc':120.0,'from':-60.0,"
            + "'facing':'outward','turn':15.0}",
        "{'do':'scatter','of':[{'article':'books'},{'article':'cup-and-saucer'}],'onto':['a','b'],"
            + "'count':40,'seed':7}",
        "{'do':'scatter',"
            + own
            + ",'about':{'x':3.0,'z':2.0},'radius':1.5,'count':9,'sizing':20.0,"
            + "'turning':45.0,'off':0.2,'least':0.05,'turn':10.0}",
        "{'do':'scatter',"
            + own
            + ",'density':2.0,'outline':[{'x':1.0,'z':1.0},{'x':4.0,'z':1.0},"
            + "{'x':4.0,'z':3.0}]}",
        "{'do':'twin'," + own + ",'about':{'by':'wall','wall':'wall:A'}}",
        "{'do':'twin'," + own + ",'about':{'by':'across','at':{'x':2.85}}}",
        "{'do':'twin'," + own + ",'about':{'by':'deep','at':{'z':1.1}}}",
        "{'do':'twin',"
            + own
            + ",'about':{'by':'drawn','at':{'x':0.0,'z':0.0},'to':{'x':3.0,'z':4.0}}}",
        "{'do':'twin'," + own + ",'about':{'by':'point','at':{'x':3.0,'z':2.0}}}",
        "{'do':'turn'," + own + ",'by':-30.0}",
        "{'do':'turn'," + own + ",'to':90.0}",
        "{'do':'size'," + own + ",'size':{'width':1.2,'height':0.805}}",
        "{'do':'settleOnto'," + own + ",'onto':'k'}",
        "{'do':'moveTo'," + own + ",'to':{'x':1.0,'z':2.0}}",
        "{'do':'remove'," + own + "}");
  }

  /** What core writes for an edit says that edit: written again it is the same. */
  @ParameterizedTest
  @MethodSource("edits")
  void whatIsWrittenCanBeSaid(String text) {
    Edit e = edit(text);
    for (LengthUnit unit : new LengthUnit[] {LengthUnit.M, LengthUnit.MM, LengthUnit.CM}) {
      String words = Phrase.said(Sentences.write(room.space, e, unit));
      Understood u =
          Say.understand(new Ask(room.space, List.of("s", "s2"), unit, () -> "x"), words);
      assertThat(u.wrong()).as(words).isNull();
      assertThat(Phrase.said(Sentences.write(room.space, u.edits().get(0), unit))).isEqualTo(words);
      assertThat(done(u.edits().get(0))).as(words).isEqualTo(done(e));
    }
  }

  /** What an edit makes of the room, or why not. */
  private Object done(Edit e) {
    int[] n = {0};
    try {
      return List.copyOf(
          pied.core.edit.Edits.apply(room.space, List.of(e), LengthUnit.M, () -> "y" + n[0]++)
              .space()
              .pieces());
    } catch (Refusal r) {
      return r.getMessage();
    }
  }

  /** All that can be chosen in a sentence can be said too. */
  @ParameterizedTest
  @MethodSource("edits")
  void whatIsChosenInItCanBeSaid(String text) {
    for (Phrase p : Sentences.write(room.space, edit(text), LengthUnit.M)) {
      List<Phrase.Option> options =
          p instanceof Phrase.PhraseChoice c
              ? c.options()
              : p instanceof Phrase.PhraseMore m ? m.options() : List.of();
      for (Phrase.Option o : options) {
        String words = Phrase.said(Sentences.write(room.space, o.edit(), LengthUnit.M));
        Understood u = Say.understand(ask("s", "s2"), words);
        assertThat(u.wrong()).as(words).isNull();
        assertThat(Phrase.said(Sentences.write(room.space, u.edits().get(0), LengthUnit.M)))
            .isEqualTo(words);
      }
    }
  }

  // ---- what cannot be read

  @ParameterizedTest
  @ValueSource(
      strings = {
        "8 in a row, 0.2 apart, sideways",
        "left sides level with",
        "ring of",
        "ring of 6 around the",
        "0.4 x 0.4 x",
        "twin about",
        "turn",
        "fnord",
        "line up",
        "40 books on",
      })
  void refusesAtTheWordAndSaysWhatCouldStandThere(String text) {
    Understood u = Say.understand(ask("s", "s2"), text);
    assertThat(u.wrong()).isNotNull();
    var before = room.space;
    assertThatThrownBy(() -> make(text, "s", "s2")).isInstanceOf(Refusal.class);
    assertThat(room.space).isSameAs(before);
  }

  @Test
  void whatMakesSenseSoFarIsShownAlready() {
    Understood u = Say.understand(ask("s"), "8 in a row, 0.2 apart, alo");
    assertThat(u.wrong()).isNotNull();
    assertThat(json(u.edits().get(0)))
        .isEqualTo(json(edit("{'do':'row','pieces':['s'],'count':8,'gap':0.2}")));
  }

  @Test
  void theWordIsNamedWithWhatCouldStandThere() {
    Understood u = Say.understand(ask("s", "s2"), "8 in a row, 0.2 apart, sideways");
    assertThat(u.wrong()).contains("“sideways”").contains("to its left").contains("along");
    assertThat(u.at()).isEqualTo("8 in a row, 0.2 apart, ".length());
  }

  @Test
  void itCompletesAsOneTypes() {
    assertThat(texts("ring of 6 ar")).contains("around");
    assertThat(texts("onto Serv")).contains("Service counter");
    assertThat(texts("8 in a row, to its ")).contains("to its left", "to its back");
    assertThat(texts("8 in a row")).contains("staggered");
    assertThat(texts("1.2 from wall ")).contains("A", "B", "C", "D");
    assertThat(texts("a theatre s")).contains("Theatre seat");
  }

  private List<String> texts(String typed) {
    return Say.understand(ask("s", "s2"), typed).next().stream()
        .map(Understood.SayNext::text)
        .toList();
  }

  @Test
  void whichOfSeveralIsMeantHasToBeSaid() {
    Understood u = Say.understand(ask("t"), "face the stool 9");
    assertThat(u.wrong()).isNotNull();
    assertThat(Say.understand(ask("t"), "onto the shelf").wrong()).contains("say which");
    assertThat(said("onto Open shelf 2", "s").edits()).hasSize(1);
  }

  @Test
  void whatIsTooLongIsRefused() {
    String words = "eight ".repeat(10_000);
    assertThatThrownBy(() -> Say.understand(ask("s"), words))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("up to 600 letters");
    assertThatThrownBy(() -> make(words)).hasMessageContaining("40000");
    assertThatThrownBy(() -> make("turn 5\n".repeat(600), "s")).hasMessageContaining("500 lines");
    assertThatThrownBy(() -> make(" ")).hasMessageContaining("Nothing was said");
    assertThatThrownBy(() -> make("turn 30")).hasMessageContaining("No piece was named");
    assertThatThrownBy(() -> make("1000000 in a row", "s")).hasMessageContaining("Up to 5000");
  }

  // ---- a text

  @Test
  void aTextIsDoneLineByLineAllOrNothing() {
    var before = room.space;
    assertThatThrownBy(() -> make("a stool at 4, 3.5\n# a remark\n\nturn 30\nfnord", "s"))
        .hasMessageContaining("Line 5: ")
        .hasMessageContaining("fnord");
    assertThat(room.space).isSameAs(before);
    Say.Done done =
        make(
            """
            a café table at 3.2, 0.8, called Corner table
            # what follows is about it
            turn 15
            ring of 2 upholstered chairs around it, 0.05 off
            a teapot on Corner table
            select the stools
            0.40 wide, 0.40 deep
            """);
    assertThat(done.understood()).hasSize(5);
    Piece table =
        room.space.pieces().stream()
            .filter(p -> p.name().equals("Corner table"))
            .findFirst()
            .orElseThrow();
    assertThat(table.turn()).isEqualTo(15, within(1e-9));
    assertThat(room.space.pieces().stream().filter(p -> p.article().equals("teapot")))
        .allSatisfy(p -> assertThat(p.on().id()).isEqualTo(table.id()));
    assertThat(room.piece("s").size().width()).isEqualTo(0.4, within(1e-9));
    var back = done.outcome().change().reversed().apply(room.space);
    assertThat(List.copyOf(back.pieces())).isEqualTo(List.copyOf(before.pieces()));
    assertThat(back.filing()).isEqualTo(before.filing());
  }

  @Test
  void whatWasMadeStandsSoundly() {
    make("5 bar stools along the front of the counter, 0.2 off, facing in");
    assertThat(Checks.of(room.space))
        .noneMatch(s -> room.piece(s.piece()).article().equals("bar-stool"));
  }

  // ---- one after the other

  @Test
  void whatWasMadeIsKnownBehindThen() {
    Say.Done done = make("a jug at 4, 3.6 then turn 30 then 4 in a row, 0.1 apart then turn to 90");
    assertThat(done.selected()).hasSize(4);
    for (String id : done.selected()) {
      assertThat(room.piece(id).turn()).isCloseTo(90, within(1e-9));
    }
    Understood u = said("a jug at 1, 1 then turn 30");
    var out = pied.core.edit.Edits.apply(room.space, u.edits(), LengthUnit.M, u.ids(() -> "later"));
    assertThat(out.space().piece(out.change().made().get(0)).turn()).isCloseTo(30, within(1e-9));
  }

  @Test
  void refusalsCountSentences() {
    assertThatThrownBy(() -> make("turn 10 then hang 1 below", "s"))
        .hasMessageStartingWith("Sentence 2: ")
        .hasMessageContaining("does not hang");
    assertThatThrownBy(() -> make("a sideboard against wall A, 0.40 from wall B, top at 3000"))
        .hasMessageNotContaining("Edit ");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "a crate at 2, 2, underside at 0.80",
        "a crate at 2, 2, 0.8",
        "a crate at 2, 2, 0.8, turned 45, 0.3 high",
        "a crate at 2, 2 then underside at 0.8",
        "a crate at 1, 1 then at 2, 2, 0.80",
        "a crate at 1, 1 then at 2, 2, underside at 80 cm"
      })
  void howHighItIsCanBeSaidAsTheCaptionSaysIt(String text) {
    Say.Done done = make(text);
    Piece crate = room.piece(done.selected().get(0));
    assertThat(crate.at().x()).isCloseTo(2, within(1e-9));
    assertThat(crate.at().y()).isCloseTo(0.8, within(1e-9));
    make("top at 1.5", crate.id());
    assertThat(room.space.shapes().high(room.piece(crate.id()))).isCloseTo(1.5, within(1e-9));
  }

  // ---- what is read back is what is done

  @Test
  void fourAlongAWallSoFarApartAreFourSoFarApart() {
    Understood u = said("4 along wall A, 0.2 apart", "s3");
    assertThat(Phrase.said(u.words())).startsWith("4 along wall A, 0.20 apart");
    make("4 along wall A, 0.2 apart", "s3");
    List<Piece> four =
        room.space.members(room.piece("s3").keeping().group()).stream()
            .map(room::piece)
            .sorted(java.util.Comparator.comparingDouble(p -> p.at().x()))
            .toList();
    assertThat(four).hasSize(4);
    double wide = room.space.shapes().mesh(four.get(0)).box().size().x();
    for (int i = 1; i < 4; i++) {
      assertThat(four.get(i).at().x() - four.get(i - 1).at().x())
          .isCloseTo(wide + 0.2, within(1e-6));
    }
    assertThatThrownBy(() -> make("40 along wall A, 0.2 apart", "s"))
        .hasMessageContaining("40 so far apart have no room along it;");
  }
}

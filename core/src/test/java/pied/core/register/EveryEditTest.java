package pied.core.register;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.annotation.JsonTypeName;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import pied.core.Rooms;
import pied.core.edit.Change;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.edit.Offer;
import pied.core.edit.Outcome;
import pied.core.history.Rebase;
import pied.core.piece.Keeping;
import pied.core.piece.Lamp;
import pied.core.piece.On;
import pied.core.piece.Partner;
import pied.core.piece.Piece;
import pied.core.show.Showing;
import pied.core.space.Filing;
import pied.core.space.Group;
import pied.core.space.Rule;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.tool.Tool;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/**
 * What holds for every edit there is, by one example of each at least: what it did can be undone
 * and done again, also from text, to the last bit; and it reaches pieces through the one gate only.
 * An edit in the register without an example fails the first test.
 */
class EveryEditTest {
  private static final ObjectMapper JSON = Tools.json();

  private static final String CARRY =
      "'down':0,'near':0.1,'level':false,'free':false,'each':false,'turn':0";

  /** A photometric file of the least that there may be. */
  private static final String CURVE =
      "IESNA:LM-63-2002\\nTILT=NONE\\n1 900 1 3 1 1 2 0 0 0 1 1 9 0 45 90 0 99 70 0";

  /** In a room with chest, stool, table with a cup on it, lamp and mirror; what is built in it. */
  private static final List<String> ROOM =
      List.of(
          "{'do':'place','article':'stool','at':{'x':3,'z':3.2}}",
          "{'do':'place','article':'bottle','ray':{'from':{'x':4.5,'y':2,'z':4},"
              + "'along':{'x':0,'y':-0.64,'z':-1}}}",
          "{'do':'putDown','carry':{'pieces':['s'],'copy':false,'at':{'x':3.4,'z':3},"
              + CARRY
              + "}}",
          "{'do':'putDown','carry':{'pieces':['t'],'copy':true,'at':{'x':2.6,'z':2.2},"
              + CARRY
              + "}}",
          "{'do':'putDown','carry':{'article':'stool','copy':false,'at':{'x':3.4,'z':3},"
              + CARRY
              + "}}",
          "{'do':'moveBy','pieces':['t'],'by':{'x':0.1,'z':-0.2}}",
          "{'do':'moveBy','pieces':['c','s'],'by':{'x':0.1},'stops':true}",
          "{'do':'moveBy','pieces':['u'],'by':{'y':0.3}}",
          "{'do':'moveTo','pieces':['c'],'to':{'x':'2.2 m'}}",
          "{'do':'setDistance','piece':'c','side':'left','distance':0.4}",
          "{'do':'topAt','pieces':['t','u'],'height':1.2}",
          "{'do':'hang','pieces':['l'],'below':'30cm'}",
          "{'do':'settle','pieces':['o2']}",
          "{'do':'holdThere','pieces':['o2']}",
          "{'do':'settleOnto','pieces':['f'],'onto':'t'}",
          "{'do':'settleOnto','pieces':['u']}",
          "{'do':'beside','pieces':['s','c'],'side':'right','gap':'5cm'}",
          "{'do':'level','pieces':['f','t'],'side':'top'}",
          "{'do':'attach','pieces':['s'],'to':'c'}",
          "{'do':'attach','pieces':['a']}",
          "{'do':'turn','pieces':['t','c'],'by':33.3}",
          "{'do':'turn','pieces':['t','c'],'by':33.3,'together':true}",
          "{'do':'turn','pieces':['c'],'by':90,'axis':'width','about':'under front'}",
          "{'do':'turnAs','pieces':['t','c']}",
          "{'do':'turnFrom','pieces':['c'],'centre':{'x':1,'y':0,'z':0.4},"
              + "'from':{'x':2,'y':0,'z':0.4},'to':{'x':2,'y':0,'z':2}}",
          "{'do':'along','pieces':['t'],'to':'wall:B','about':'left front under'}",
          "{'do':'face','pieces':['s'],'what':'piece','piece':'t'}",
          "{'do':'leanAgainst','pieces':['c'],'angle':80}",
          "{'do':'size','pieces':['t'],'size':{'height':0.9}}",
          "{'do':'size','pieces':['c'],'size':{'width':9},'beyond':'stretch'}",
          "{'do':'sizeAsOne','pieces':['s','f'],'size':{'width':'50%'},'together':'all',"
              + "'beyond':'stretch'}",
          "{'do':'sizeAs','pieces':['c','t'],'measures':['height']}",
          "{'do':'knownLength','pieces':['f'],'from':{'x':2,'y':0,'z':2},"
              + "'to':{'x':2,'y':0.1,'z':2},'length':0.11,'beyond':'stretch'}",
          "{'do':'fill','piece':'c','measures':['width'],'beyond':'nearest'}",
          "{'do':'pullSide','piece':'c','side':'right','near':0.1,"
              + "'ray':{'from':{'x':2.1,'y':5,'z':0.4},'along':{'x':0,'y':-1,'z':0}}}",
          "{'do':'mirror','pieces':['c']}",
          "{'do':'rename','piece':'s','name':'The stool'}",
          "{'do':'recolour','pieces':['c'],'part':'fronts','colour':'#102030'}",
          "{'do':'finish','pieces':['c'],'part':'fronts','finish':{'material':'walnut'}}",
          "{'do':'finish','pieces':['s'],'part':'seat','alike':'article',"
              + "'finish':{'material':'velvet','colour':'#405060'}}",
          "{'do':'lay','pieces':['c'],'part':'fronts','turn':'90','width':'70cm'}",
          "{'do':'exchange','pieces':['t','s'],'article':'crate'}",
          "{'do':'copy','pieces':['t','s']}",
          "{'do':'copy','pieces':['g']}",
          "{'do':'copyOnto','pieces':['u'],'onto':['c']}",
          "{'do':'asLead','pieces':['s','o','t'],'traits':['turn','layer']}",
          "{'do':'bringIn','pieces':['o2'],'at':{'x':3,'z':3}}",
          "{'do':'paste','pieces':[{'id':'p','article':'stool','name':'Stool 4',"
              + "'size':{'width':0.36,'depth':0.36,'height':0.46},'mirrored':false,"
              + "'stretched':false,'at':{'x':9,'y':0,'z':2},'turn':30,'on':{'kind':'floor',"
              + "'id':null},'attached':false,'group':'p1'}],"
              + "'groups':[{'id':'p1','name':'Tea table','in':null}],'at':{'x':3,'z':3}}",
          "{'do':'lock','pieces':['c'],'locked':true}",
          "{'do':'lock','locked':true,'which':'all'}",
          "{'do':'unlock','layers':['shut']}",
          "{'do':'hide','pieces':['t'],'hidden':true,'which':'others'}",
          "{'do':'hide','hidden':false,'which':'all','layers':true}",
          "{'do':'remark','pieces':['c','s'],'remark':'from the store'}",
          "{'do':'nameSelection','name':'Seats','pieces':['s','on']}",
          "{'do':'nameSelection','name':'Old','pieces':null}",
          "{'do':'newLayer','name':'Lights','colour':'#2f6690'}",
          "{'do':'layer','layer':'first','name':'Furniture','hidden':true,'to':1}",
          "{'do':'toLayer','pieces':['s','c'],'named':'Seating'}",
          "{'do':'toLayer','pieces':['s'],'layer':'far'}",
          "{'do':'removeLayer','layer':'far'}",
          "{'do':'group','pieces':['c','s'],'name':'Corner'}",
          "{'do':'group','pieces':['g','s']}",
          "{'do':'intoGroup','pieces':['c'],'group':'g'}",
          "{'do':'intoGroup','pieces':['t'],'group':null}",
          "{'do':'renameGroup','group':'g','name':'Tea'}",
          "{'do':'dissolve','group':'g'}",
          "{'do':'turn','pieces':['t','u'],'by':45}",
          "{'do':'size','pieces':['g'],'size':{'width':'110%'},'together':'all',"
              + "'beyond':'stretch'}",
          "{'do':'remove','pieces':['t','s']}",
          "{'do':'lean','pieces':['s'],'by':12}",
          "{'do':'bringIn','pieces':['o']}",
          "{'do':'outline','corners':[{'x':0,'z':0},{'x':6,'z':0},{'x':6,'z':3.5},{'x':0,'z':3.5}]}",
          "{'do':'moveCorner','corner':1,'to':{'x':6.5,'z':0.2}}",
          "{'do':'addCorner','wall':'D'}",
          "{'do':'removeCorner','corner':3}",
          "{'do':'moveWall','wall':'A','by':-0.1}",
          "{'do':'moveWall','wall':'B','by':0.4}",
          "{'do':'wallLength','wall':'A','length':5.4}",
          "{'do':'wallThickness','wall':'A','thickness':0.3}",
          "{'do':'build','height':2.6,'skirtingHeight':0.1}",
          "{'do':'opening','kind':'window','wall':'A'}",
          "{'do':'opening','part':'d1','from':1.5}",
          "{'do':'partition','from':{'x':4,'z':1},'to':{'x':4,'z':3}}",
          "{'do':'column','at':{'x':5,'z':3}}",
          "{'do':'platform','at':{'x':2,'z':2},'width':3,'depth':3,'height':0.3}",
          "{'do':'platform','part':'platform 1','height':0.5}",
          "{'do':'flight','at':{'x':1.2,'z':3}}",
          "{'do':'bar','at':{'x':3,'z':1}}",
          "{'do':'shift','part':'platform:platform 1','by':{'x':0.2,'z':0.1}}",
          "{'do':'shift','part':'wall:A','by':{'x':0,'z':0.2}}",
          "{'do':'removeParts','parts':['platform:platform 1','opening:d1']}",
          "{'do':'datum','to':{'x':1,'z':1}}",
          "{'do':'paint','part':'wall','colour':'#aabbcc'}",
          "{'do':'decorate','part':'floor','finish':{'material':'oak-herringbone'}}",
          "{'do':'decorate','part':'wall:A','finish':{'material':'paper-sprig'}}",
          "{'do':'lamps','pieces':['l'],'level':'40 %','circuit':'Table'}",
          "{'do':'lamps','which':{'kind':'lamps'},'on':false}",
          "{'do':'aim','pieces':['n'],'to':'c'}",
          "{'do':'shutters','pieces':['n'],'left':'30 %','top':0.1}",
          "{'do':'takeCurve','pieces':['l'],'text':'" + CURVE.replace("9", "8") + "'}",
          "{'do':'lamps','pieces':['l'],'curve':'Disc'}",
          "{'do':'removeCurve','curve':'Disc'}",
          "{'do':'day','date':'2026-06-21','hour':'17:30','sky':'overcast','latitude':-33.9}",
          "{'do':'keepLook','name':'Evening','fade':5}",
          "{'do':'keepLook','look':'Tea'}",
          "{'do':'recallLook','look':'tea'}",
          "{'do':'look','look':'Tea','name':'High tea','to':1}",
          "{'do':'removeLook','look':'Tea'}",
          "{'do':'keepViewpoint','stand':{'x':1,'z':3.5},'to':{'x':4,'z':1},'lens':'60°'}",
          "{'do':'keepViewpoint','from':'s','ratio':1.5}",
          "{'do':'viewpoint','viewpoint':'Door','lens':'24 mm','height':1.1,'upright':true}",
          "{'do':'viewpoint','viewpoint':'Door','toward':{'x':1,'z':1},'to':3}",
          "{'do':'removeViewpoint','viewpoint':'Door'}");

  private static final List<String> STAGE =
      List.of(
          "{'do':'seats','rows':5}",
          "{'do':'extent','width':11,'depth':7}",
          "{'do':'build','rake':'1:12','level':1.1}",
          "{'do':'lean','pieces':['n'],'withFloor':true}",
          "{'do':'turn','pieces':['s'],'to':90}");

  /** In a room with a row R of stools, a pair of trunks that are twins by T, and a table. */
  private static final List<String> MANY =
      List.of(
          "{'do':'lineUp','pieces':['a','b','t'],'across':{'part':'left'},'deep':{'part':'front'}}",
          "{'do':'lineUp','pieces':['a'],'to':'wall','what':'B','nearness':'near'}",
          "{'do':'spaceOut','pieces':['a','b','t'],'how':'gap','by':'30cm','along':'line'}",
          "{'do':'row','pieces':['a'],'count':3,'gap':0.05}",
          "{'do':'row','group':'R','count':2,'gap':0.4}",
          "{'do':'row','group':'R','of':[{'article':'bucket'}]}",
          "{'do':'trail','pieces':['a'],'along':['wall:B'],'count':3}",
          "{'do':'trail','pieces':['a','b'],'path':[{'x':1,'z':1},{'x':5,'z':3}],'gap':0.3}",
          "{'do':'ring','pieces':['a'],'around':'t','count':4}",
          "{'do':'ring','group':'R','around':'t'}",
          "{'do':'scatter','pieces':['a','b'],'count':6,'about':{'x':3,'z':2},'radius':1}",
          "{'do':'scatter','of':[{'article':'bottle'}],'onto':['t'],'count':4,'seed':3}",
          "{'do':'twin','pieces':['t'],'about':{'by':'across','at':{'x':2.8}}}",
          "{'do':'twinLine','twin':'T','off':3.2}",
          "{'do':'partTwins','pieces':['k']}",
          "{'do':'single','piece':'k'}",
          "{'do':'moveBy','pieces':['k'],'by':{'x':0.3,'z':-0.2}}",
          "{'do':'turn','pieces':['k'],'by':30}",
          "{'do':'remove','pieces':['k','K']}",
          "{'do':'copy','pieces':['k'],'by':{'z':-1}}",
          "{'do':'copy','pieces':['R'],'by':{'z':1}}",
          "{'do':'moveBy','pieces':['R'],'by':{'x':0.2}}",
          "{'do':'turn','pieces':['r'],'by':30}",
          "{'do':'remove','pieces':['r']}",
          "{'do':'dissolve','group':'R'}",
          "{'do':'place','article':'bottle','ray':{'from':{'x':1,'y':3,'z':3},"
              + "'along':{'x':0,'y':-1,'z':0}}}");

  /** All examples. */
  static List<String> texts() {
    return Stream.of(ROOM, STAGE, MANY).flatMap(List::stream).toList();
  }

  private static Rooms many() {
    Rooms room = new Rooms();
    room.put("r", "stool", 1, 1, 10);
    room.json("{'do':'row','pieces':['r'],'count':4,'gap':0.2}");
    room.put("k", "trunk", 1, 3, 20);
    room.json("{'do':'twin','pieces':['k'],'about':{'by':'centre'}}");
    room.put("t", "cafe-table", 3, 2.4);
    room.put("a", "stool", 2.2, 2);
    room.put("b", "bucket", 4, 1.8, 15);
    return room;
  }

  /** Its row and its line of twins are called R and T in examples. */
  private static Stream<Example> examplesOfMany() {
    Rooms many = many();
    String row = many.space.filing().groups().get(0).id();
    String line = many.space.filing().twins().get(0).id();
    String other = many.piece("k").keeping().twin().piece();
    return MANY.stream()
        .map(
            e ->
                new Example(
                    many,
                    e.replace("'R'", "'" + row + "'")
                        .replace("'T'", "'" + line + "'")
                        .replace("'K'", "'" + other + "'")));
  }

  private static Rooms room() {
    Rooms room = new Rooms();
    room.json("{'do':'platform','at':{'x':4.8,'z':0.8},'width':1,'depth':1,'height':0.2}");
    room.put("c", "chest-of-drawers", 1, 0.4);
    room.put("s", "stool", 3, 2);
    room.put("t", "cafe-table", 4, 3, 20);
    room.put("u", "cup-and-saucer", 4, 3);
    room.put("f", "bottle", 2, 2);
    room.put("l", "pendant-lamp", 3, 2);
    room.put("m", "round-mirror", 3, 0.1);
    room.put("on", "stool", 4.8, 0.8);
    room.put("o", "stool", 5, 2);
    room.json("{'do':'moveTo','pieces':['o'],'to':{'x':8,'y':0}}");
    room.put("o2", "bottle", 1.5, 2.5);
    room.json("{'do':'moveTo','pieces':['o2'],'to':{'y':0.7}}");
    room.put("a", "bottle", 1.5, 3);
    room.json("{'do':'attach','pieces':['a'],'to':'c'}");
    room.json("{'do':'newLayer','id':'far','name':'Far'}");
    room.json("{'do':'toLayer','pieces':['f','m'],'layer':'far'}");
    room.json("{'do':'group','id':'g','pieces':['t','u'],'name':'Tea table'}");
    room.json("{'do':'nameSelection','name':'Old','pieces':['f']}");
    room.json("{'do':'hide','pieces':['on'],'hidden':true}");
    room.json("{'do':'layer','layer':'far','hidden':true}");
    room.json("{'do':'newLayer','id':'shut','name':'Shut'}");
    room.json("{'do':'layer','layer':'shut','locked':true}");
    room.put("n", "profile-spot", 3, 3.5, 180);
    room.json("{'do':'keepLook','name':'Tea'}");
    room.json(
        "{'do':'keepViewpoint','name':'Door','stand':{'x':5,'z':3.5},'to':{'x':2,'z':1},"
            + "'look':'"
            + room.space.showing().looks().get(0).id()
            + "'}");
    room.json("{'do':'lamps','pieces':['l'],'level':'70 %'}");
    room.json("{'do':'takeCurve','name':'Disc','text':'" + CURVE + "'}");
    return room;
  }

  private static Rooms stage() {
    Rooms stage = Rooms.stage();
    stage.put("s", "stool", 1, -2);
    stage.put("n", "stool", 2, -2);
    stage.json("{'do':'lean','pieces':['s'],'withFloor':true}");
    return stage;
  }

  private record Example(Rooms in, String edit) {
    @Override
    public String toString() {
      return edit;
    }
  }

  static Stream<Example> examples() {
    Rooms room = room();
    Rooms stage = stage();
    return Stream.of(
            ROOM.stream().map(e -> new Example(room, e)),
            STAGE.stream().map(e -> new Example(stage, e)),
            examplesOfMany())
        .flatMap(s -> s);
  }

  private record State(
      Shell shell, Filing filing, Showing showing, List<Piece> pieces, List<Long> places) {
    static State of(Space s) {
      return new State(
          s.shell(),
          s.filing(),
          s.showing(),
          List.copyOf(s.pieces()),
          s.pieces().stream().map(p -> s.ordered(p.id()).place()).toList());
    }
  }

  private static Edit read(String edit) throws Exception {
    return JSON.readValue(edit.replace('\'', '"'), Edit.class);
  }

  private static Outcome make(Space space, Edit edit) {
    return make(space, List.of(edit));
  }

  private static Outcome make(Space space, List<Edit> edits) {
    int[] n = {0};
    return Edits.apply(space, edits, LengthUnit.M, () -> "new" + n[0]++);
  }

  @Test
  void everyEditInTheRegisterHasAnExample() throws Exception {
    Set<String> known =
        Tools.edits().stream()
            .map(e -> e.getAnnotation(JsonTypeName.class).value())
            .collect(Collectors.toCollection(TreeSet::new));
    assertThat(known).as("no two of one name").hasSize(Tools.edits().size());
    Set<String> shown = new TreeSet<>();
    for (Example e : examples().toList()) {
      shown.add(JSON.readTree(e.edit.replace('\'', '"')).get("do").asText());
    }
    assertThat(shown).isEqualTo(known);
  }

  @Test
  void everyEditAndEveryToolThereIsIsInTheRegister() {
    JavaClasses core =
        new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("pied.core");
    assertThat(names(Tools.edits().stream())).isEqualTo(those(core, Edit.class));
    assertThat(names(Tools.ALL.stream().map(Object::getClass))).isEqualTo(those(core, Tool.class));
    assertThat(names(Tools.ALL.stream().flatMap(t -> t.rules().stream())))
        .isEqualTo(those(core, Rule.class));
  }

  private static Set<String> names(Stream<? extends Class<?>> classes) {
    return classes.map(Class::getName).collect(Collectors.toCollection(TreeSet::new));
  }

  private static Set<String> those(JavaClasses all, Class<?> sort) {
    return all.stream()
        .filter(c -> c.isAssignableTo(sort) && !c.isInterface())
        .map(JavaClass::getName)
        .collect(Collectors.toCollection(TreeSet::new));
  }

  @ParameterizedTest
  @MethodSource("examples")
  void isUndoneAndDoneAgainToTheLastBitAlsoFromText(Example example) throws Exception {
    Space before = example.in.space;
    Edit edit = read(example.edit);
    Outcome done = make(before, edit);
    assertThat(done.change().none()).as("it does something").isFalse();
    Change change = JSON.readValue(JSON.writeValueAsString(done.change()), Change.class);
    Space back = change.reversed().apply(done.space());
    assertThat(State.of(back)).isEqualTo(State.of(before));
    assertThat(State.of(change.apply(back))).isEqualTo(State.of(done.space()));
    Edit again = JSON.readValue(JSON.writeValueAsString(edit), Edit.class);
    assertThat(State.of(make(before, again).space())).isEqualTo(State.of(done.space()));
  }

  @ParameterizedTest
  @MethodSource("examples")
  void whereNobodyWentOnAnUndoThatLooksFirstIsTheSame(Example example) throws Exception {
    Outcome done = make(example.in.space, read(example.edit));
    Rebase r = Rebase.of(done.space(), done.change().reversed());
    assertThat(r.left()).isEmpty();
    assertThat(State.of(r.possible().apply(done.space()))).isEqualTo(State.of(example.in.space));
  }

  @ParameterizedTest
  @MethodSource("examples")
  void whatIsNearIsAsIfTheSpaceWereBuiltAnew(Example example) throws Exception {
    Space after = make(example.in.space, read(example.edit)).space();
    Space anew = new Space(after.shell(), after.pieces(), Rooms.SHAPES).with(after.filing());
    assertThat(after.bodies().all())
        .usingElementComparator((a, b) -> a.solid().equals(b.solid()) ? 0 : 1)
        .isEqualTo(anew.bodies().all());
    for (Piece p : after.pieces()) {
      assertThat(after.carriedBy(p.id())).isEqualTo(anew.carriedBy(p.id()));
    }
    for (Group g : after.filing().groups()) {
      assertThat(after.members(g.id())).isEqualTo(anew.members(g.id())).isNotEmpty();
    }
  }

  @ParameterizedTest
  @MethodSource("examples")
  void whoeverIsNotThereIsRefused(Example example) throws Exception {
    JsonNode edit = JSON.readTree(example.edit.replace('\'', '"'));
    String text = edit.toString();
    if (edit.path("pieces").path(0).isTextual() || edit.has("piece")) {
      String key = edit.has("pieces") ? "pieces" : "piece";
      String other =
          text.replaceAll("\"" + key + "\":(\\[?)\"[^\"]*\"", "\"" + key + "\":$1\"nobody\"");
      Edit of = JSON.readValue(other, Edit.class);
      assertThatThrownBy(() -> make(example.in.space, of))
          .isInstanceOf(Refusal.class)
          .hasMessageContaining("There is no piece “nobody”");
    }
  }

  @ParameterizedTest
  @MethodSource("examples")
  void whatIsLockedStaysAsItIs(Example example) throws Exception {
    stays(
        example.in.space.with(
            example.in.space.pieces().stream()
                .map(p -> p.withKeeping(p.keeping().withLocked(true)))
                .toList()),
        read(example.edit));
  }

  @ParameterizedTest
  @MethodSource("examples")
  void whatIsOnALockedLayerStaysAsItIs(Example example) throws Exception {
    Filing filing = example.in.space.filing();
    stays(
        example.in.space.with(
            filing.withLayers(filing.layers().stream().map(l -> l.withLocked(true)).toList())),
        read(example.edit));
  }

  /** Nothing of what is locked is another but for being locked and hidden; or it is refused. */
  private static void stays(Space locked, Edit edit) {
    Outcome out;
    try {
      out = make(locked, edit);
    } catch (Declined e) {
      assertThat(e).hasMessageMatching(".* locked, .*so nothing is done to .*");
      assertThat(e.offers()).extracting(Offer::words).anyMatch(w -> w.startsWith("Unlock"));
      // what is offered last does it
      make(locked, e.offers().get(0).edits());
      return;
    }
    assertThat(out.change().pieces())
        .allMatch(
            d ->
                d.before() == null
                    || d.piece() != null
                        && d.piece()
                            .withKeeping(d.piece().keeping().shownAs(Keeping.PLAIN))
                            .withLamp(Lamp.PLAIN)
                            .equals(
                                d.before()
                                    .piece()
                                    .withKeeping(
                                        d.before().piece().keeping().shownAs(Keeping.PLAIN))
                                    .withLamp(Lamp.PLAIN)));
  }

  @ParameterizedTest
  @MethodSource("examples")
  void whatIsHiddenStaysAsItIsUnlessItIsNamedOrCarriedByWhatIs(Example example) throws Exception {
    Space space = example.in.space;
    String edit = example.edit;
    boolean ofAll =
        edit.contains("'which'") || edit.contains("'removeLayer'") || edit.contains("'recallLook'");
    if (ofAll) {
      return; // they say so
    }
    Set<String> named = new HashSet<>();
    for (Piece p : space.pieces()) {
      boolean itself = edit.contains("'" + p.id() + "'");
      boolean itsGroup = edit.contains("'" + p.keeping().group() + "'");
      Partner twin = p.keeping().twin();
      boolean itsTwin =
          twin != null
              && (edit.contains("'" + twin.twin() + "'")
                  || edit.contains("'" + twin.piece() + "'"));
      if (itself || itsGroup || itsTwin || p.on().kind() != On.OnKind.piece && follows(edit)) {
        named.add(p.id());
      }
    }
    Set<String> may = space.withCarried(named);
    Space hidden =
        space.with(
            space.pieces().stream()
                .map(p -> p.withKeeping(p.keeping().withHidden(!may.contains(p.id()))))
                .toList());
    Outcome out = make(hidden, read(edit));
    assertThat(out.change().pieces().filter(d -> d.before() != null))
        .allMatch(d -> may.contains(d.id()));
  }

  /** Pieces go with the shell when that is altered, hidden or not. */
  private static boolean follows(String edit) throws Exception {
    return read(edit).getClass().getPackageName().endsWith(".shell");
  }

  @Test
  void anEditThatForgetsTheGateFails() {
    Space space = room().space;
    Edit forgetful = bench -> bench.set(bench.piece("c").withName("Other"));
    assertThatThrownBy(() -> make(space, forgetful)).isInstanceOf(IllegalStateException.class);
    Edit other =
        bench -> {
          bench.chosen("s");
          bench.set(bench.piece("c").withName("Other"));
        };
    assertThatThrownBy(() -> make(space, other)).isInstanceOf(IllegalStateException.class);
    Edit remover = bench -> bench.remove(List.of("c"));
    assertThatThrownBy(() -> make(space, remover)).isInstanceOf(IllegalStateException.class);
  }

  @Test
  void aNameGivenInOneRequestIsTakenForTheNextInIt() {
    Rooms room = new Rooms();
    String place = "{'do':'place','article':'stool','at':{'x':%d,'z':2}%s}";
    room.apply(
        Stream.of(
                place.formatted(1, ""),
                place.formatted(2, ",'name':'Stool 2'"),
                place.formatted(3, ""))
            .map(EveryEditTest::quietly)
            .toArray(Edit[]::new));
    assertThat(room.space.pieces())
        .extracting(Piece::name)
        .containsExactly("Stool", "Stool 2", "Stool 3");
  }

  private static Edit quietly(String edit) {
    try {
      return read(edit);
    } catch (Exception e) {
      throw new IllegalArgumentException(edit, e);
    }
  }

  @Test
  void aColourIsKeptInCapitalsWhicheverWayItCame() {
    Rooms room = new Rooms();
    room.json(
        "{'do':'place','piece':'c','article':'chest-of-drawers','at':{'x':1,'z':1},"
            + "'finishes':{'fronts':'#ab12cd'}}");
    assertThat(room.piece("c").finishes().of("fronts").colour()).isEqualTo("#AB12CD");
    room.json("{'do':'recolour','pieces':['c'],'part':'knobs','colour':'#fe0102'}");
    assertThat(room.piece("c").finishes().of("knobs").colour()).isEqualTo("#FE0102");
  }

  @Test
  void whoIsChosenBringsWhatItCarries() {
    Space space = room().space;
    Edit shifts =
        bench -> {
          bench.chosen("t");
          bench.set(bench.piece("u").withName("Cup"));
        };
    assertThat(make(space, shifts).space().piece("u").name()).isEqualTo("Cup");
  }
}

package pied.server.handover;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatNoException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.BooleanNode;
import com.fasterxml.jackson.databind.node.DoubleNode;
import com.fasterxml.jackson.databind.node.IntNode;
import com.fasterxml.jackson.databind.node.LongNode;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Consumer;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import pied.core.check.Checks;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.space.Space;
import pied.core.tool.group.MakeGroup;
import pied.core.tool.keep.NameSelection;
import pied.core.tool.row.RowBuilder;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.server.Given;
import pied.server.OneServer;
import pied.server.space.ProjectStore;
import pied.server.space.SpaceStore;
import pied.server.space.SpaceWire.EditRequest;
import pied.server.space.SpaceWire.SpaceName;
import pied.server.store.Json;

/** Archives made to hurt: bounded in all they ask for, and what they hold obeys what edits obey. */
@OneServer
class HostileArchivesTest {
  @Autowired private SpaceStore store;
  @Autowired private ProjectStore projects;
  @Autowired private Archives archives;
  private Map<String, byte[]> files;
  private String first;

  private String project;

  @BeforeEach
  void aProject() throws IOException {
    project = projects.newProject("House " + System.nanoTime()).id();
    first = projects.newSpace(project, "Room", Given.shell()).id();
    edit(Given.put("a", "stool", 1, 1), Given.put("b", "service-counter", 3, 2));
    edit(new MakeGroup(List.of("a", "b"), "g", "Pair"));
    edit(new NameSelection("Mine", List.of("a")));
    aProjectAsItIs();
  }

  private void aProjectAsItIs() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    archives.write(project, out);
    files = new LinkedHashMap<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(out.toByteArray()))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        files.put(e.getName(), in.readAllBytes());
      }
    }
  }

  private void edit(Edit... edits) {
    store.edit(first, new EditRequest(null, null, "m", List.of(edits)));
  }

  private byte[] zip() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      zip.setLevel(1);
      for (Map.Entry<String, byte[]> e : files.entrySet()) {
        zip.putNextEntry(new ZipEntry(e.getKey()));
        zip.write(e.getValue());
        zip.closeEntry();
      }
    }
    return out.toByteArray();
  }

  private HandoverWire.TakenIn taken() throws IOException {
    return archives.takeIn(new ByteArrayInputStream(zip()));
  }

  private void alter(String file, Consumer<ObjectNode> how) throws IOException {
    ObjectNode tree = (ObjectNode) Json.MAPPER.readTree(files.get(file));
    how.accept(tree);
    files.put(file, tree.toString().getBytes(StandardCharsets.UTF_8));
  }

  private static Stream<ObjectNode> things(ObjectNode space, String of) {
    return Stream.iterate(0, i -> i + 1)
        .limit(space.at("/contents/things").size())
        .map(i -> (ObjectNode) space.at("/contents/things").get(i))
        .filter(t -> t.path("of").asText().equals(of));
  }

  /** Alters the piece of an id in the contents. */
  private void piece(String id, Consumer<ObjectNode> how) throws IOException {
    alter(
        "spaces/001.json",
        s ->
            things(s, "piece")
                .map(t -> (ObjectNode) t.at("/after/piece"))
                .filter(p -> p.path("id").asText().equals(id))
                .forEach(how));
  }

  private Space space(HandoverWire.TakenIn in) {
    return store.space(in.project().spaces().get(0).id());
  }

  // ---- how much

  @Test
  void aFileListedTwentyThousandTimesIsTakenInOnce() throws IOException {
    alter(
        "pied.json",
        c -> {
          ArrayNode spaces = (ArrayNode) c.get("spaces");
          for (int i = 0; i < 20_000; i++) {
            spaces.addObject().put("file", "spaces/001.json").put("name", "Room");
          }
        });
    HandoverWire.TakenIn in = taken();
    assertThat(in.project().spaces()).hasSize(1);
    assertThat(in.said())
        .anyMatch(s -> s.contains("20000 of its spaces are listed more than once"));
  }

  @Test
  void aHundredThousandMissingSpacesAreSaidInFewSentences() throws IOException {
    alter(
        "pied.json",
        c -> {
          ArrayNode spaces = (ArrayNode) c.get("spaces");
          for (int i = 0; i < 20_000; i++) {
            spaces.addObject().put("file", "x" + i + ".json").put("name", "y");
          }
        });
    HandoverWire.TakenIn in = taken();
    assertThat(in.said()).hasSizeLessThan(50);
    assertThat(Json.text(in.said()).length()).isLessThan(20_000);
    alter("pied.json", c -> c.put("project", "x".repeat(3 << 20)));
    assertThatThrownBy(this::taken).isInstanceOf(Refusal.class).hasMessageContaining("longer than");
  }

  @Test
  void zerosWithoutEndAreNotUnpacked() throws IOException {
    files.put("zeros.bin", new byte[300 << 20]);
    files.put("spaces/001.json", new byte[200 << 20]);
    long before = Runtime.getRuntime().totalMemory();
    assertThatThrownBy(this::taken)
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("Nothing of it is of use");
    assertThat(before).isPositive();
    files.put("more.bin", new byte[900 << 20]);
    assertThatThrownBy(this::taken).isInstanceOf(Refusal.class).hasMessageContaining("larger");
  }

  @Test
  void whereNothingIsOfUseNoProjectIsMade() throws IOException {
    int before = projects.projects().size();
    alter("spaces/001.json", s -> s.put("form", 99));
    assertThatThrownBy(this::taken)
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("does not know");
    assertThat(projects.projects()).hasSize(before);
  }

  // ---- what

  @Test
  void groupsWithoutEndAreEachByThemselves() throws IOException {
    alter(
        "spaces/001.json",
        s -> {
          ArrayNode all = (ArrayNode) s.at("/contents/things");
          things(s, "group").forEach(t -> ((ObjectNode) t.get("after")).put("in", "g"));
          for (int i = 0; i < 3_000; i++) { // and a chain, three thousand deep
            ObjectNode g = all.addObject().put("of", "group").putObject("after");
            g.put("id", "d" + i).put("name", "D" + i).put("in", "d" + (i + 1));
          }
        });
    HandoverWire.TakenIn in = taken();
    Space s = space(in);
    assertThat(in.said()).anyMatch(t -> t.contains("in one another without end"));
    s.filing().groups().forEach(g -> assertThat(s.filing().about(g.id())).hasSizeLessThan(21));
    String id = in.project().spaces().get(0).id();
    store.edit(id, new EditRequest(null, null, "m", List.of(Given.put("n", "stool", 5, 1))));
    store.edit(
        id,
        new EditRequest(null, null, "m", List.of(new MakeGroup(List.of("n", "a"), null, null))));
  }

  @Test
  void whatIsOfNoSizeItComesInIsStretchedOrLeftOut() throws IOException {
    piece("b", p -> ((ObjectNode) p.get("size")).put("depth", 0.01));
    Space thin = space(taken());
    assertThat(thin.piece("b").form().stretched()).isTrue();
    assertThatNoException().isThrownBy(() -> Checks.of(thin));
    piece("b", p -> ((ObjectNode) p.get("size")).put("depth", 1e-4));
    Space sheet = space(taken());
    assertThat(sheet.piece("b").form().stretched()).isTrue();
    assertThatNoException().isThrownBy(() -> Checks.of(sheet));
    assertThat(sheet.bodies().all()).isNotEmpty();
    piece("b", p -> ((ObjectNode) p.get("size")).put("depth", 1e-7));
    HandoverWire.TakenIn in = taken();
    assertThat(space(in).has("b")).isFalse();
    assertThat(in.said()).anyMatch(t -> t.contains("no size it can have"));
  }

  @Test
  void whatStandsOnItselfStandsOnNothing() throws IOException {
    piece("a", p -> p.putObject("on").put("kind", "piece").put("id", "b"));
    piece("b", p -> p.putObject("on").put("kind", "piece").put("id", "a"));
    HandoverWire.TakenIn in = taken();
    for (Piece p : space(in).pieces()) {
      assertThat(p.on()).isEqualTo(On.NOTHING);
    }
    assertThat(in.said()).anyMatch(t -> t.contains("carried by nothing"));
  }

  @Test
  void layersAreAsManyAndAsNamedAsLayersCanBe() throws IOException {
    alter(
        "spaces/001.json",
        s -> {
          ObjectNode t = ((ArrayNode) s.at("/contents/things")).insertObject(0).put("of", "layers");
          t.putArray("before");
          ArrayNode now = t.putArray("after");
          for (int i = 0; i < 1_001; i++) {
            String id = i == 7 ? "l6" : "l" + i;
            now.addObject()
                .put("id", id)
                .put("name", i == 3 ? "x".repeat(300) : "L" + i)
                .put("colour", i == 5 ? "red" : "#102030")
                .put("hidden", false)
                .put("locked", false);
          }
        });
    HandoverWire.TakenIn in = taken();
    assertThat(space(in).filing().layers()).hasSizeLessThanOrEqualTo(200).hasSizeGreaterThan(190);
    assertThat(in.said())
        .anyMatch(t -> t.contains("may have up to 120 letters"))
        .anyMatch(t -> t.contains("#RRGGBB"))
        .anyMatch(t -> t.contains("no id of its own"));
  }

  @Test
  void aRevisionOutOfAllMeasureBeginsAnew() throws IOException {
    alter("spaces/001.json", s -> s.put("revision", Long.MAX_VALUE));
    HandoverWire.TakenIn in = taken();
    String id = in.project().spaces().get(0).id();
    long was = store.seen(id).revision();
    store.edit(id, new EditRequest(null, null, "m", List.of(Given.put("n", "stool", 5, 1))));
    assertThat(store.seen(id).revision()).isEqualTo(was + 1).isPositive();
  }

  @Test
  void aHistoryBackToWhatCannotBeIsForgottenFromThere() throws IOException {
    alter(
        "spaces/001.json",
        s -> {
          for (var step : s.get("history")) {
            for (var t : step.at("/change/things")) {
              if (t.at("/before/piece").isObject()) {
                ((ObjectNode) t.at("/before/piece/size")).put("width", 1e308);
              }
              if (t.at("/after/piece").isObject() && !t.has("before")) {
                ((ObjectNode) t).set("before", t.get("after").deepCopy());
                ((ObjectNode) t.at("/before/piece/size")).put("width", 1e308);
              }
            }
          }
        });
    HandoverWire.TakenIn in = taken();
    assertThat(in.said()).anyMatch(t -> t.contains("can be undone"));
    String id = in.project().spaces().get(0).id();
    for (int i = 0; i < 4; i++) {
      try {
        store.undo(id, null);
      } catch (Refusal e) {
        assertThat(e.getMessage()).isNotBlank();
      }
      store.space(id).pieces().forEach(p -> assertThat(p.size().width()).isLessThan(200));
    }
    assertThat(store.history(id, 0, LengthUnit.M).deeds()).hasSizeLessThan(4);
  }

  @Test
  void selectionsHoldWhatIsThereAndTextsNoMarks() throws IOException {
    alter(
        "spaces/001.json",
        s ->
            things(s, "selection")
                .forEach(
                    t -> {
                      ArrayNode ids = ((ObjectNode) t.get("after")).putArray("pieces");
                      for (int i = 0; i < 200_000; i++) {
                        ids.add("p" + i);
                      }
                      ids.add("a");
                    }));
    piece("a", p -> p.put("name", "St\uE000l5\uE001ool"));
    Space s = space(taken());
    assertThat(s.filing().selections().get(0).pieces()).containsExactly("a");
    assertThat(s.piece("a").name()).doesNotContain("\uE000").doesNotContain("\uE001");
  }

  @Test
  void othersAreNotKeptWaitingByManySpaces() throws Exception {
    byte[] one = files.get("spaces/001.json");
    alter(
        "pied.json",
        c -> {
          ArrayNode spaces = (ArrayNode) c.get("spaces");
          for (int i = 2; i < 150; i++) {
            spaces.addObject().put("file", "s" + i + ".json").put("name", "Room " + i);
          }
        });
    for (int i = 2; i < 150; i++) {
      files.put("s" + i + ".json", one);
    }
    List<Long> waits = new java.util.concurrent.CopyOnWriteArrayList<>();
    Thread other =
        new Thread(
            () -> {
              while (!Thread.interrupted()) {
                long t = System.nanoTime();
                edit(new NameSelection("S" + waits.size() % 9, List.of("a")));
                waits.add((System.nanoTime() - t) / 1_000_000);
              }
            });
    other.start();
    HandoverWire.TakenIn in = taken();
    other.interrupt();
    other.join(180_000);
    assertThat(in.project().spaces()).extracting(SpaceName::name).hasSize(149);
    assertThat(waits).as("edits came through in between").hasSizeGreaterThan(20);
  }

  // ---- whatever is in it

  private static final JsonNode[] NASTY = {
    new TextNode(""),
    new TextNode("x".repeat(70_000)),
    new TextNode("\uE000l5\uE001"),
    new TextNode("piece"),
    new TextNode("a"),
    new TextNode("b"),
    IntNode.valueOf(-1),
    IntNode.valueOf(Integer.MAX_VALUE),
    LongNode.valueOf(Long.MIN_VALUE),
    DoubleNode.valueOf(1e308),
    DoubleNode.valueOf(-1e-300),
    DoubleNode.valueOf(0),
    NullNode.instance,
    BooleanNode.TRUE,
    Json.MAPPER.createArrayNode(),
    Json.MAPPER.createObjectNode()
  };

  /**
   * Any value of a space's file is another: it is refused, or what comes of it can be worked in.
   */
  @Test
  void anyValueMayBeAnother() throws IOException {
    edit(RowBuilder.builder().pieces(List.of("a")).count(Amount.of(3)).gap(Amount.of(0.1)).build());
    aProjectAsItIs();
    int tries = Integer.getInteger("pied.fuzz.tries", 100);
    byte[] whole = files.get("spaces/001.json");
    int kept = 0;
    for (long seed = 0; seed < tries; seed++) {
      Random r = new Random(seed);
      ObjectNode tree = (ObjectNode) Json.MAPPER.readTree(whole);
      for (int k = 0; k < 1 + r.nextInt(4); k++) {
        hurt(tree, r);
      }
      files.put("spaces/001.json", tree.toString().getBytes(StandardCharsets.UTF_8));
      HandoverWire.TakenIn in;
      try {
        in = taken();
      } catch (Refusal e) {
        assertThat(e.getMessage()).isNotBlank();
        continue;
      }
      kept++;
      String id = in.project().spaces().get(0).id();
      try {
        Checks.of(store.space(id));
        store.view(id, null);
        store.history(id, 0, LengthUnit.M);
        for (int i = 0; i < 5; i++) {
          store.undo(id, null);
          Checks.of(store.space(id));
        }
      } catch (Refusal e) {
        assertThat(e.getMessage()).isNotBlank();
      } catch (RuntimeException e) {
        throw new AssertionError("seed " + seed, e);
      }
    }
    assertThat(kept).isPositive();
  }

  private static void hurt(JsonNode tree, Random r) {
    JsonNode at = tree;
    while (true) {
      int n = at.size();
      if (n == 0) {
        return;
      }
      int i = r.nextInt(n);
      JsonNode next;
      if (at instanceof ArrayNode a) {
        next = a.get(i);
        if (next.isValueNode() || r.nextInt(12) == 0) {
          a.set(i, NASTY[r.nextInt(NASTY.length)]);
          return;
        }
      } else {
        String name = List.copyOf(at.properties()).get(i).getKey();
        next = at.get(name);
        if (next.isValueNode() || r.nextInt(12) == 0) {
          ((ObjectNode) at).set(name, NASTY[r.nextInt(NASTY.length)]);
          return;
        }
      }
      at = next;
    }
  }
}

package pied.server.handover;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.dataformat.yaml.YAMLFactory;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.material.Finish;
import pied.core.model.Composed;
import pied.core.piece.Piece;
import pied.core.register.EditNames;
import pied.core.register.Tools;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.tool.finish.Decorate;
import pied.core.tool.group.MakeGroup;
import pied.core.tool.keep.Lock;
import pied.core.tool.keep.NameSelection;
import pied.core.tool.keep.Remark;
import pied.core.tool.keep.Rename;
import pied.core.tool.layer.NewLayer;
import pied.core.tool.layer.ToLayer;
import pied.core.tool.shell.SetColumnBuilder;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.server.Given;
import pied.server.OneServer;
import pied.server.imports.ImportStore;
import pied.server.picture.PictureStore;
import pied.server.space.ProjectStore;
import pied.server.space.SpaceStore;
import pied.server.space.SpaceWire.EditRequest;
import pied.server.space.SpaceWire.SpaceName;
import pied.server.store.Json;

/** A project as an archive, there and back, whole and damaged. */
@OneServer
class ArchivesTest {
  @Autowired private SpaceStore store;
  @Autowired private ProjectStore projects;
  @Autowired private ImportStore articles;
  @Autowired private Archives archives;
  @Autowired private PictureStore pictures;
  private String room;
  private String project;

  @BeforeEach
  void aProject() {
    project = projects.newProject("House " + System.nanoTime()).id();
    room = projects.newSpace(project, "Room", Given.shell()).id();
    edit(
        Given.put("a", "stool", 1, 1),
        Given.put("b", "trunk", 3, 2),
        Given.put("c", "books", 3, 2));
    edit(new MakeGroup(List.of("a", "b"), null, null));
    edit(new NewLayer("props", "Props", "#2f6690"), new ToLayer(List.of("c"), "props", null));
    edit(SetColumnBuilder.builder().at(new Edit.PlanPoint(Amount.of(4), Amount.of(3))).build());
    edit(new Rename("column:column 1", "Pillar"), new Lock(List.of("column:column 1"), true, null));
    edit(new NameSelection("Mine", List.of("a")), new Lock(List.of("a"), true, null));
    Space now = store.space(room);
    String own = articles.keep(project, "Pile", Composed.of(now, List.of("b", "c"))).id();
    edit(Given.put("d", own, 5, 3));
    edit(new Remark(List.of("d"), "ours"));
    store.undo(room, null);
    projects.newSpace(project, "Empty room", Given.shell());
  }

  private void edit(Edit... edits) {
    store.edit(room, new EditRequest(null, null, "m", List.of(edits)));
  }

  private byte[] archive(String id) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    archives.write(id, out);
    return out.toByteArray();
  }

  private HandoverWire.TakenIn taken(byte[] zip) throws IOException {
    return archives.takeIn(new ByteArrayInputStream(zip));
  }

  private static Map<String, byte[]> files(byte[] zip) throws IOException {
    Map<String, byte[]> files = new LinkedHashMap<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        files.put(e.getName(), in.readAllBytes());
      }
    }
    return files;
  }

  private static byte[] zip(Map<String, byte[]> files) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      for (Map.Entry<String, byte[]> e : files.entrySet()) {
        zip.putNextEntry(new ZipEntry(e.getKey()));
        zip.write(e.getValue());
        zip.closeEntry();
      }
    }
    return out.toByteArray();
  }

  /** Pieces with their article by its name: its id is another if it was taken. */
  private List<Piece> pieces(Space space) {
    return space.pieces().stream()
        .map(p -> p.withForm(p.form().withArticle(space.article(p).name())))
        .toList();
  }

  private void same(String one, String two) {
    Space a = store.space(one);
    Space b = store.space(two);
    assertThat(pieces(b)).isEqualTo(pieces(a));
    assertThat(b.shell()).isEqualTo(a.shell());
    assertThat(b.filing().layers()).isEqualTo(a.filing().layers());
    assertThat(b.filing().groups()).isEqualTo(a.filing().groups());
    assertThat(b.filing().parts()).isEqualTo(a.filing().parts());
    assertThat(b.filing().selections()).isEqualTo(a.filing().selections());
    assertThat(b.showing()).isEqualTo(a.showing());
    assertThat(store.seen(two).revision()).isEqualTo(store.seen(one).revision());
    for (Piece p : a.pieces()) {
      assertThat(b.ordered(p.id()).place()).isEqualTo(a.ordered(p.id()).place());
      // the meshes of own articles too, to the last bit
      assertThat(b.shapes().mesh(b.piece(p.id())).xyz())
          .isEqualTo(a.shapes().mesh(a.piece(p.id())).xyz());
    }
  }

  @Test
  void lampsLooksTheDayAndViewpointsComeBackAndAreKeptInTheStore() throws Exception {
    String lit = projects.newSpace(project, "Lit", Given.shell()).id();
    for (String e :
        List.of(
            "{'do':'place','piece':'p','article':'pendant-lamp','at':{'x':2,'z':2}}",
            "{'do':'place','piece':'s','article':'profile-spot','at':{'x':3,'z':2},'turn':180}",
            "{'do':'lamps','pieces':['p'],'level':'40 %','circuit':'Tables'}",
            "{'do':'lamps','pieces':['s'],'on':false,'filter':'#7FA6D9'}",
            "{'do':'aim','pieces':['s'],'to':'p'}",
            "{'do':'takeCurve','name':'Disc','pieces':['p'],'text':'IESNA:LM-63-2002\\nTILT=NONE"
                + "\\n1 900 1 3 1 1 2 0 0 0 1 1 9 0 45 90 0 99 70 0'}",
            "{'do':'day','date':'2027-06-21','hour':'19:30','sky':'hazy','longitude':-20}",
            "{'do':'keepLook','name':'Evening','fade':7}",
            "{'do':'keepViewpoint','name':'Seat','stand':{'x':1,'z':1},'to':{'x':3,'z':2},"
                + "'lens':35,'ratio':1.5,'upright':true,'lifted':['ceiling']}")) {
      Edit edit = Tools.json().readValue(e.replace('\'', '"'), Edit.class);
      store.edit(lit, new EditRequest(null, null, "m", List.of(edit)));
    }
    Space before = store.space(lit);
    store.letGo(-1);
    assertThat(store.space(lit)).isNotSameAs(before);
    assertThat(store.space(lit).showing()).isEqualTo(before.showing());
    assertThat(List.copyOf(store.space(lit).pieces())).isEqualTo(List.copyOf(before.pieces()));
    HandoverWire.TakenIn in = taken(archive(project));
    assertThat(in.said()).isEmpty();
    String back =
        in.project().spaces().stream()
            .filter(s -> s.name().equals("Lit"))
            .findFirst()
            .orElseThrow()
            .id();
    same(lit, back);
    for (int i = 0; i < 5; i++) {
      store.undo(lit, null);
      store.undo(back, null);
      same(lit, back);
    }
    assertThat(store.space(back).showing().looks()).isEmpty();
  }

  @Test
  void thereAndBackItIsTheSameAlsoWhatWasDone() throws IOException {
    HandoverWire.TakenIn in = taken(archive(project));
    assertThat(in.said()).isEmpty();
    assertThat(in.project().spaces())
        .extracting(SpaceName::name)
        .containsExactly("Room", "Empty room");
    String back = in.project().spaces().get(0).id();
    same(room, back);
    assertThat(store.history(back, 0, LengthUnit.M).deeds())
        .extracting("words", "stands")
        .containsExactlyElementsOf(
            store.history(room, 0, LengthUnit.M).deeds().stream()
                .map(d -> org.assertj.core.groups.Tuple.tuple(d.words(), d.stands()))
                .toList());
    // redone and undone in both it goes the same way, to the first
    store.redo(room, null);
    store.redo(back, null);
    same(room, back);
    for (int i = 0; i < 8; i++) {
      store.undo(room, null);
      store.undo(back, null);
      same(room, back);
    }
    assertThat(store.space(back).pieces()).isEmpty();
  }

  /** The demo's tea room in a project of its own, with a picture of its own on a wall. */
  private String dressed() throws IOException {
    ObjectMapper yaml = new ObjectMapper(new YAMLFactory()).registerModule(new EditNames());
    JsonNode demo = yaml.readTree(ArchivesTest.class.getResourceAsStream("/demo/tea-room.yaml"));
    String own = projects.newProject("Dressed " + System.nanoTime()).id();
    Shell shell = yaml.treeToValue(demo.get("shell"), Shell.class);
    String tea = projects.newSpace(own, "Tea room", shell).id();
    List<Edit> edits = yaml.convertValue(demo.get("edits"), new TypeReference<List<Edit>>() {});
    store.edit(tea, new EditRequest(null, null, "m", edits));
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(64, 48, BufferedImage.TYPE_INT_RGB), "png", png);
    Finish picture =
        pictures.bring(own, png.toByteArray(), "Harbour.png", LengthUnit.M).card().finish();
    store.edit(tea, new EditRequest(null, null, "m", List.of(new Decorate("wall:C", picture))));
    return own;
  }

  @Test
  void finishesAndPicturesOfADressedRoomComeBackAsTheyWere() throws IOException {
    String own = dressed();
    byte[] zip = archive(own);
    HandoverWire.TakenIn in = taken(zip);
    assertThat(in.said()).isEmpty();
    String room =
        projects.projects().stream()
            .filter(p -> p.id().equals(own))
            .findFirst()
            .orElseThrow()
            .spaces()
            .get(0)
            .id();
    String back = in.project().spaces().get(0).id();
    same(room, back);
    assertThat(store.space(room).shell().finishes().of("wall:C").material()).endsWith("_Harbour");
    assertThat(store.space(back).pieces().stream().filter(p -> !p.finishes().isEmpty()))
        .hasSizeGreaterThan(10);
    assertThat(pictures.archived(in.project().id())).hasSize(1).isEqualTo(pictures.archived(own));

    // one that is not what it was is left out, and said to be
    Map<String, byte[]> files = files(zip);
    String name =
        files.keySet().stream().filter(f -> f.startsWith("pictures/")).findFirst().orElseThrow();
    files.get(name)[files.get(name).length / 2] ^= 1;
    HandoverWire.TakenIn damaged = taken(zip(files));
    assertThat(damaged.said()).anyMatch(s -> s.startsWith("A picture is missing"));
    assertThat(pictures.archived(damaged.project().id())).isEmpty();
  }

  @Test
  void nothingStaysOfAProjectWithoutASpaceThatIsOfUse() throws IOException {
    Map<String, byte[]> files = files(archive(project));
    files.replaceAll((name, f) -> name.startsWith("spaces/") ? "{}".getBytes() : f);
    int articlesBefore = store.space(room).shapes().catalog().all().size();
    byte[] zip = zip(files);
    assertThatThrownBy(() -> taken(zip)).hasMessageContaining("Nothing of it is of use");
    assertThat(store.space(room).shapes().catalog().all()).hasSize(articlesBefore);
  }

  @Test
  void theSameProjectIsTheSameBytesAndEveryTenthOfItIsToldAsAPart() throws IOException {
    byte[] whole = archive(project);
    assertThat(archive(project)).isEqualTo(whole);
    int before = projects.projects().size();
    int kept = 0;
    for (int tenth = 0; tenth < 10; tenth++) {
      byte[] part = Arrays.copyOf(whole, whole.length * tenth / 10);
      try {
        HandoverWire.TakenIn in = taken(part);
        kept++;
        assertThat(in.said()).as(tenth + " tenths").isNotEmpty();
        for (SpaceName s : in.project().spaces()) {
          store.space(s.id()).bodies(); // whatever is there can be opened
        }
      } catch (Refusal e) {
        assertThat(e.getMessage()).as(tenth + " tenths").isNotBlank();
      }
    }
    assertThat(projects.projects()).hasSize(before + kept);
  }

  @Test
  void damageAnywhereIsToldAndNeverMoreThanThat() throws IOException {
    byte[] whole = archive(project);
    Random r = new Random(5);
    for (int i = 0; i < 60; i++) {
      byte[] hurt = whole.clone();
      for (int k = 0; k < 1 + r.nextInt(4); k++) {
        hurt[r.nextInt(hurt.length)] ^= (byte) (1 << r.nextInt(8));
      }
      try {
        HandoverWire.TakenIn in = taken(hurt);
        if (in.said().isEmpty()) {
          same(room, in.project().spaces().get(0).id());
        }
      } catch (Refusal e) {
        assertThat(e.getMessage()).isNotBlank();
      }
    }
  }

  @Test
  void whatIsInItIsNotTrusted() throws IOException {
    Map<String, byte[]> files = files(archive(project));
    String article =
        files.keySet().stream().filter(n -> n.endsWith(".mesh")).findFirst().orElseThrow();
    files.remove(article);
    HandoverWire.TakenIn without = taken(zip(files));
    assertThat(without.said()).anyMatch(s -> s.contains("article") && s.contains("missing"));
    assertThat(without.said()).anyMatch(s -> s.contains("One piece is left out"));
    assertThat(store.space(without.project().spaces().get(0).id()).pieces()).hasSize(3);

    // a piece that is nowhere, and a shell that cannot be built
    ObjectNode space = (ObjectNode) Json.MAPPER.readTree(files.get("spaces/001.json"));
    for (JsonNode thing : space.at("/contents/things")) {
      if (thing.at("/after/piece/id").asText().equals("a")) {
        ((ObjectNode) thing.at("/after/piece/at")).put("x", 1e300);
      }
    }
    files.put("spaces/001.json", space.toString().getBytes());
    ObjectNode empty = (ObjectNode) Json.MAPPER.readTree(files.get("spaces/002.json"));
    ((ObjectNode) empty.get("shell")).put("height", -4);
    files.put("spaces/002.json", empty.toString().getBytes());
    files.put("../../etc/passwd", new byte[3]);
    HandoverWire.TakenIn odd = taken(zip(files));
    assertThat(odd.project().spaces()).hasSize(1);
    assertThat(odd.said()).anyMatch(s -> s.contains("“Empty room” is missing"));
    assertThat(store.space(odd.project().spaces().get(0).id()).has("a")).isFalse();

    // a mesh that says it is endless
    byte[] endless = new byte[] {0x7F, -1, -1, -1};
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    try (var out = new java.util.zip.DeflaterOutputStream(packed)) {
      out.write(endless);
    }
    files.put(article, packed.toByteArray());
    assertThat(taken(zip(files)).said()).anyMatch(s -> s.contains("article"));
    assertThatThrownBy(() -> taken(new byte[100])).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> taken(zip(Map.of("a.txt", new byte[3])))).isInstanceOf(Refusal.class);
  }
}

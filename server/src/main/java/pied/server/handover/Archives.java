package pied.server.handover;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Service;
import pied.core.Refusal;
import pied.core.Text;
import pied.core.handover.Zip;
import pied.core.piece.Shapes;
import pied.server.handover.HandoverWire.TakenIn;
import pied.server.imports.ArchivedArticle;
import pied.server.imports.ImportStore;
import pied.server.space.ArchivedSpace;
import pied.server.space.ProjectStore;
import pied.server.space.SpaceStore;
import pied.server.space.SpaceWire.ProjectView;
import pied.server.space.SpaceWire.SpaceName;
import pied.server.store.Json;
import pied.server.store.Missing;

/**
 * A project as one zip: first what is in it, then its articles, then its spaces with what was done
 * in them lately. What comes back is not trusted: names lead nowhere, and sizes and numbers have
 * bounds.
 */
@Service
class Archives {
  private static final int FORM = 1;
  private static final String CONTENTS = "pied.json";

  /** Most files, and most bytes of one and of all. */
  private static final int MOST_FILES = 10_000;

  private static final long MOST_OF_ONE = 256L << 20;
  private static final long MOST_OF_ALL = 1L << 30;

  /** The same for the same, whatever the order in which maps give what is in them. */
  private static final ObjectMapper SORTED =
      Json.MAPPER
          .copy()
          .configure(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS, true)
          .configure(SerializationFeature.INDENT_OUTPUT, true);

  private final ProjectStore projects;
  private final SpaceStore spaces;
  private final ImportStore articles;
  private final Shapes shapes;

  Archives(ProjectStore projects, SpaceStore spaces, ImportStore articles, Shapes shapes) {
    this.projects = projects;
    this.spaces = spaces;
    this.articles = articles;
    this.shapes = shapes;
  }

  private ProjectView project(String id) {
    return projects.projects().stream()
        .filter(p -> p.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new Missing("There is no such project."));
  }

  /** The same for the same project as it is now. */
  String tag(String id) {
    ProjectView p = project(id);
    int hash = Objects.hash(p.name(), articles.ofProject(id));
    long sum = 0;
    for (SpaceName s : p.spaces()) {
      long revision = spaces.seen(s.id()).revision();
      hash = 31 * hash + Objects.hash(s.id(), s.name(), revision);
      sum += revision;
    }
    return sum + "-" + Integer.toHexString(hash);
  }

  String name(String id) {
    return Handover.fileName(project(id).name(), "project") + ".zip";
  }

  // ---- writing

  void write(String id, OutputStream to) throws IOException {
    ProjectView p = project(id);
    List<String> own = articles.ofProject(id);
    ObjectNode contents = Json.MAPPER.createObjectNode();
    contents.put("form", FORM).put("project", p.name());
    ArrayNode in = contents.putArray("spaces");
    for (int i = 0; i < p.spaces().size(); i++) {
      in.addObject().put("file", file(i)).put("name", p.spaces().get(i).name());
    }
    ArrayNode made = contents.putArray("articles");
    own.forEach(a -> made.addObject().put("file", "articles/" + a + ".json").put("id", a));
    ZipOutputStream zip = Zip.open(to);
    Zip.put(zip, CONTENTS, bytes(contents));
    for (String a : own) {
      article(zip, articles.archived(a));
    }
    for (int i = 0; i < p.spaces().size(); i++) {
      Zip.put(zip, file(i), bytes(spaces.archived(p.spaces().get(i).id())));
    }
    zip.finish();
  }

  private static String file(int i) {
    return String.format(java.util.Locale.ROOT, "spaces/%03d.json", i + 1);
  }

  private static void article(ZipOutputStream zip, ArchivedArticle a) throws IOException {
    String stem = "articles/" + a.id();
    Zip.put(zip, stem + ".json", bytes(a.write()));
    Zip.put(zip, stem + ".mesh", a.mesh());
    if (a.pictures() != null) {
      Zip.put(zip, stem + ".pictures", a.pictures());
    }
    if (a.full() != null) {
      Zip.put(zip, stem + ".full.glb", a.full());
    }
    Zip.put(zip, stem + ".glb", a.glb());
  }

  private static byte[] bytes(JsonNode tree) throws JsonProcessingException {
    // as a value of maps, which are put in order
    return SORTED.writeValueAsBytes(SORTED.treeToValue(tree, Object.class));
  }

  // ---- reading

  /**
   * Takes a project in, as much of it as is whole.
   *
   * @throws Refusal if there is nothing in it that can be kept
   */
  TakenIn takeIn(InputStream from) throws IOException {
    List<String> said = new ArrayList<>();
    Map<String, byte[]> files = files(from, said);
    JsonNode contents = json(files.get(CONTENTS));
    if (contents == null || contents.path("form").asInt() < 1) {
      throw new Refusal(
          files.isEmpty()
              ? "This is no archive of Pied, or it is cut off before anything is in it."
              : "There is no list of what is in it; this is no archive of Pied, or a damaged one.");
    }
    if (contents.path("form").asInt() > FORM) {
      throw new Refusal("The archive is of a newer form than this Pied knows.");
    }
    String name = Text.name("It", contents.path("project").asText("Project"));
    List<ArchivedArticle> own = new ArrayList<>();
    contents.path("articles").forEach(a -> article(a, files, own, said));
    boolean some = false;
    for (JsonNode s : contents.path("spaces")) {
      some |= files.containsKey(s.path("file").asText());
    }
    if (!some && contents.path("spaces").size() > 0) {
      throw new Refusal("None of its spaces is in it any more; the archive is cut off too early.");
    }
    Map<String, String> ids = new LinkedHashMap<>();
    ProjectView made =
        projects.takeIn(
            name,
            project -> ids.putAll(articles.takeIn(project, own)),
            () -> spaces(contents, files, ids, said));
    return new TakenIn(made, said);
  }

  private List<ArchivedSpace> spaces(
      JsonNode contents, Map<String, byte[]> files, Map<String, String> ids, List<String> said) {
    List<ArchivedSpace> all = new ArrayList<>();
    for (JsonNode s : contents.path("spaces")) {
      String called = "“" + Text.clean(s.path("name").asText("?")) + "”";
      JsonNode tree = json(files.get(s.path("file").asText()));
      if (tree == null) {
        said.add("The space " + called + " is missing: it is not in the archive, or damaged.");
        continue;
      }
      try {
        List<String> own = new ArrayList<>();
        all.add(ArchivedSpace.read(tree, ids, shapes, own));
        own.forEach(o -> said.add("In " + called + ": " + o));
      } catch (Refusal e) {
        said.add("The space " + called + " is missing: " + e.getMessage());
      }
    }
    return all;
  }

  private static void article(
      JsonNode a, Map<String, byte[]> files, List<ArchivedArticle> own, List<String> said) {
    String stem = a.path("file").asText("").replaceAll("\\.json$", "");
    JsonNode about = json(files.get(stem + ".json"));
    byte[] mesh = files.get(stem + ".mesh");
    String called =
        about == null ? a.path("id").asText("?") : "“" + about.path("name").asText() + "”";
    if (about == null || mesh == null) {
      said.add("The article " + Text.clean(called) + " is missing: it is not in the archive.");
      return;
    }
    try {
      own.add(
          ArchivedArticle.read(
              about, mesh, files.get(stem + ".pictures"), files.get(stem + ".full.glb")));
    } catch (Refusal e) {
      said.add("The article " + Text.clean(called) + " is missing: " + e.getMessage());
    }
  }

  private static JsonNode json(byte[] bytes) {
    try {
      JsonNode tree = bytes == null ? null : Json.MAPPER.readTree(bytes);
      return tree == null || !tree.isObject() ? null : tree;
    } catch (IOException e) {
      return null;
    }
  }

  /** The files of a zip that are whole, up to where it breaks off. */
  private static Map<String, byte[]> files(InputStream from, List<String> said) throws IOException {
    Map<String, byte[]> files = new LinkedHashMap<>();
    long all = 0;
    try (ZipInputStream zip = new ZipInputStream(from)) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        byte[] bytes = zip.readNBytes((int) Math.min(MOST_OF_ONE, MOST_OF_ALL - all) + 1);
        all += bytes.length;
        if (bytes.length > MOST_OF_ONE || all > MOST_OF_ALL || files.size() >= MOST_FILES) {
          throw new Refusal("The archive is larger than a project can be.");
        }
        // a name is a key here, and leads to no place
        files.putIfAbsent(e.getName(), bytes);
      }
    } catch (java.util.zip.ZipException | java.io.EOFException | IllegalArgumentException e) {
      said.add("The archive is cut off or damaged; what is whole in it was taken in.");
    }
    return files;
  }
}

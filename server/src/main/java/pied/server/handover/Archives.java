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
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.Semaphore;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Service;
import pied.core.Nullable;
import pied.core.handover.Zip;
import pied.core.material.OwnPicture;
import pied.core.piece.Shapes;
import pied.core.units.Deadline;
import pied.core.units.Refusal;
import pied.core.units.Text;
import pied.server.handover.HandoverWire.TakenIn;
import pied.server.http.FileName;
import pied.server.imports.ArchivedArticle;
import pied.server.imports.ImportStore;
import pied.server.picture.PictureStore;
import pied.server.picture.PictureStore.Archived;
import pied.server.space.ArchivedSpace;
import pied.server.space.ProjectStore;
import pied.server.space.SpaceStore;
import pied.server.space.SpaceWire.ProjectView;
import pied.server.space.SpaceWire.SpaceName;
import pied.server.still.StillShelf;
import pied.server.store.Json;
import pied.server.store.Missing;
import pied.server.store.WorkFolder;

/**
 * A project as one zip: first what is in it, then its articles, then its spaces with what was done
 * in them lately. What comes back is not trusted: names lead nowhere, and sizes and numbers have
 * bounds.
 */
@Service
class Archives {
  static final int FORM = 1;
  static final String CONTENTS = "pied.json";

  /** Most spaces, own articles and pictures of a project that comes in. */
  private static final int MOST_SPACES = 200;

  private static final int MOST_ARTICLES = 2_000;

  private static final int MOST_PICTURES = 500;

  /** Most pieces of all its spaces together. */
  private static final int MOST_PIECES = 100_000;

  /** Longest time that taking it in may take, seconds. */
  private static final int LONGEST = 90;

  /** The same for the same, whatever the order in which maps give what is in them. */
  private static final ObjectMapper SORTED =
      Json.MAPPER
          .copy()
          .configure(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS, true)
          .configure(SerializationFeature.INDENT_OUTPUT, true);

  private final ProjectStore projects;
  private final SpaceStore spaces;
  private final ImportStore articles;
  private final PictureStore pictures;
  private final StillShelf stills;
  private final Shapes shapes;
  private final WorkFolder work;
  private final Semaphore one = new Semaphore(1, true);

  Archives(
      ProjectStore projects,
      SpaceStore spaces,
      ImportStore articles,
      PictureStore pictures,
      StillShelf stills,
      Shapes shapes,
      WorkFolder work) {
    this.work = work;
    this.projects = projects;
    this.spaces = spaces;
    this.articles = articles;
    this.pictures = pictures;
    this.stills = stills;
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
    List<String> made =
        StillsInArchive.ids(stills, p.spaces().stream().map(SpaceName::id).toList());
    int hash = Objects.hash(p.name(), articles.ofProject(id), pictures.archived(id), made);
    long sum = 0;
    for (SpaceName s : p.spaces()) {
      long revision = spaces.seen(s.id()).revision();
      hash = 31 * hash + Objects.hash(s.id(), s.name(), revision);
      sum += revision;
    }
    return sum + "-" + Integer.toHexString(hash);
  }

  String name(String id) {
    return FileName.of(project(id).name(), "project") + ".zip";
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
    List<Archived> printed = pictures.archived(id);
    ArrayNode brought = contents.putArray("pictures");
    printed.forEach(a -> list(brought.addObject(), a));
    StillsInArchive seen = stillsOf(p);
    seen.list(contents);
    ZipOutputStream zip = Zip.open(to);
    Zip.put(zip, CONTENTS, bytes(contents));
    for (Archived a : printed) {
      Zip.put(zip, file(a), pictures.file(OwnPicture.named(a.material()).print()));
    }
    for (String a : own) {
      article(zip, articles.archived(a));
    }
    for (int i = 0; i < p.spaces().size(); i++) {
      Zip.put(zip, file(i), bytes(spaces.archived(p.spaces().get(i).id())));
    }
    seen.write(zip);
    zip.finish();
  }

  private StillsInArchive stillsOf(ProjectView p) throws IOException {
    Map<String, String> of = new LinkedHashMap<>();
    for (int i = 0; i < p.spaces().size(); i++) {
      of.put(file(i), p.spaces().get(i).id());
    }
    return StillsInArchive.of(stills, of);
  }

  private static String file(int i) {
    return String.format(java.util.Locale.ROOT, "spaces/%03d.json", i + 1);
  }

  private static String file(Archived picture) {
    return "pictures/" + OwnPicture.named(picture.material()).print() + ".jpg";
  }

  private static void list(ObjectNode in, Archived picture) {
    in.put("file", file(picture)).put("id", picture.material()).put("listed", picture.listed());
    if (picture.width() != null) {
      in.put("width", picture.width());
    }
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
   * Takes a project in, as much of it as is whole. It is unpacked onto the disk, only what its list
   * names, and read one thing after the other.
   *
   * @throws Refusal if there is nothing in it that can be kept
   */
  TakenIn takeIn(InputStream from) throws IOException {
    one.acquireUninterruptibly(); // what one holds in memory, two together might not
    try (Unpacked files = Unpacked.of(work.folder(), from)) {
      return takeIn(files, Deadline.seconds(LONGEST));
    } finally {
      one.release();
    }
  }

  private TakenIn takeIn(Unpacked files, Deadline deadline) throws IOException {
    Remarks said = new Remarks();
    if (files.cut()) {
      said.add("The archive is cut off or damaged; what is whole in it was taken in.");
    }
    JsonNode contents = files.list();
    String name = Text.name("It", contents.path("project").asText("Project"));
    List<Unpacked.Listed> spaces = files.listed("spaces", MOST_SPACES);
    List<Unpacked.Listed> own = files.listed("articles", MOST_ARTICLES);
    said.addAll(files.said());
    if (!spaces.isEmpty() && spaces.stream().noneMatch(files::has)) {
      throw new Refusal("None of its spaces is in it any more; the archive is cut off too early.");
    }
    Map<String, String> kept = new HashMap<>();
    ProjectView made =
        projects.takeIn(
            name,
            !spaces.isEmpty(),
            new ProjectStore.Along() {
              @Override
              public ProjectStore.Coming keep(String project) {
                pictures(project, files, said, deadline);
                Map<String, String> ids = articles(project, own, files, said, deadline);
                return new SpacesOf(spaces, files, ids, kept, said, deadline);
              }

              @Override
              public void forget(String project) {
                articles.forget(project);
                pictures.forget(project);
              }
            });
    if (made == null) {
      throw new Refusal("Nothing of it is of use. {}", String.join(" ", said.all()));
    }
    StillsInArchive.takeIn(stills, files, kept, said::add, deadline);
    return new TakenIn(made, said.all());
  }

  /** The spaces, each read when it is wanted, so that no more than one is in memory. */
  private final class SpacesOf implements ProjectStore.Coming {
    private final Iterator<Unpacked.Listed> listed;
    private final Unpacked files;
    private final Map<String, String> ids;
    private final Map<String, String> kept;
    private final Remarks said;
    private final Deadline deadline;
    private int pieces;
    private String last = "";

    SpacesOf(
        List<Unpacked.Listed> listed,
        Unpacked files,
        Map<String, String> ids,
        Map<String, String> kept,
        Remarks said,
        Deadline deadline) {
      this.kept = kept;
      this.listed = listed.iterator();
      this.files = files;
      this.ids = ids;
      this.said = said;
      this.deadline = deadline;
    }

    @Override
    public @Nullable ArchivedSpace next() {
      while (listed.hasNext()) {
        deadline.check();
        Unpacked.Listed s = listed.next();
        String called = "“" + Text.clean(s.name()) + "”";
        JsonNode tree = files.json(s.file());
        if (tree == null) {
          said.add("The space " + called + " is missing: it is not in the archive, or damaged.");
          continue;
        }
        try {
          List<String> own = new ArrayList<>();
          ArchivedSpace space = ArchivedSpace.read(tree, ids, shapes, own);
          pieces += space.space().pieces().size();
          if (pieces > MOST_PIECES) {
            throw new Refusal(
                "all spaces of an archive together may have up to {} pieces.", MOST_PIECES);
          }
          own.forEach(o -> said.add("In " + called + ": " + o));
          last = s.file();
          return space;
        } catch (Refusal e) {
          said.add("The space " + called + " is missing: " + e.getMessage());
        }
      }
      return null;
    }

    @Override
    public void kept(String id) {
      kept.put(last, id);
    }
  }

  private void pictures(String project, Unpacked files, Remarks said, Deadline deadline) {
    int n = 0;
    for (JsonNode p : files.list().path("pictures")) {
      deadline.check();
      if (++n > MOST_PICTURES) {
        said.add("Only the first " + MOST_PICTURES + " of its pictures were read.");
        return;
      }
      JsonNode width = p.path("width");
      Archived a =
          new Archived(
              p.path("id").asText(),
              width.isNumber() ? width.asDouble() : null,
              p.path("listed").asBoolean(true));
      if (!pictures.takeIn(project, a, files.bytes(p.path("file").asText()))) {
        said.add("A picture is missing: it is not in the archive, or not what it was.");
      }
    }
  }

  private Map<String, String> articles(
      String project, List<Unpacked.Listed> own, Unpacked files, Remarks said, Deadline deadline) {
    Iterator<Unpacked.Listed> listed = own.iterator();
    return articles.takeIn(
        project,
        () -> {
          ArchivedArticle a = null;
          while (a == null && listed.hasNext()) {
            deadline.check();
            a = article(listed.next(), files, said);
          }
          return a;
        });
  }

  private static @Nullable ArchivedArticle article(
      Unpacked.Listed a, Unpacked files, Remarks said) {
    String stem = a.file().replaceAll("\\.json$", "");
    JsonNode about = files.json(stem + ".json");
    byte[] mesh = files.bytes(stem + ".mesh");
    String called = about == null ? a.name() : "“" + about.path("name").asText() + "”";
    if (about == null || mesh == null) {
      said.add("The article " + Text.clean(called) + " is missing: it is not in the archive.");
      return null;
    }
    try {
      return ArchivedArticle.read(
          about, mesh, files.bytes(stem + ".pictures"), files.bytes(stem + ".full.glb"));
    } catch (Refusal e) {
      said.add("The article " + Text.clean(called) + " is missing: " + e.getMessage());
      return null;
    }
  }
}

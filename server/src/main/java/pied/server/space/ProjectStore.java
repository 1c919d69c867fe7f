package pied.server.space;

import com.fasterxml.jackson.core.type.TypeReference;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.edit.Change;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.space.Filing;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.units.Refusal;
import pied.core.units.Text;
import pied.server.space.SpaceWire.ProjectView;
import pied.server.space.SpaceWire.SpaceName;
import pied.server.store.Journal;
import pied.server.store.Json;
import pied.server.store.Ledger;
import pied.server.store.MarkRow;
import pied.server.store.Missing;

/** Keeps projects, and which spaces they have. What is removed is put aside and can come back. */
@Service
public class ProjectStore {
  private static final TypeReference<Map<String, String>> CHOICES = new TypeReference<>() {};

  /** Letters of what was chosen for a hand-over. */
  private static final int MOST_CHOICES = 4_000;

  /** So many rows of what comes from elsewhere are kept at a time. */
  private static final int PART = 200;

  private final Rows.Projects projects;
  private final Rows.Spaces spaces;
  private final Rows.Pieces pieces;
  private final Rows.Steps steps;
  private final SpaceStore store;
  private final Ledger ledger;
  private final Shapes shapes;
  private final ApplicationEventPublisher events;

  ProjectStore(
      Rows.Projects projects,
      Rows.Spaces spaces,
      Rows.Pieces pieces,
      Rows.Steps steps,
      SpaceStore store,
      Ledger ledger,
      Shapes shapes,
      ApplicationEventPublisher events) {
    this.projects = projects;
    this.spaces = spaces;
    this.pieces = pieces;
    this.steps = steps;
    this.store = store;
    this.ledger = ledger;
    this.shapes = shapes;
    this.events = events;
  }

  /** A project was copied, for those who keep more of it than is known here. */
  public record ProjectCopied(String from, String to) {}

  /** A space was copied, by itself or with its project. */
  public record SpaceCopied(String from, String to) {}

  /** A project with one space, as it is when it is furnished. */
  public record Furnished(String project, String name, Space space) {}

  // ---- reading

  /** All that are not removed, in the order in which they were made. */
  public List<ProjectView> projects() {
    Map<String, Long> counts = new HashMap<>();
    pieces.counts().forEach(c -> counts.put(c.getSpace(), c.getPieces()));
    Map<Long, Instant> worked = new HashMap<>();
    steps.lately().forEach(l -> worked.put(StepRow.space(l.getId()), l.getMadeAt()));
    Map<String, List<SpaceName>> of = new HashMap<>();
    for (Rows.Spaces.Named s : spaces.named()) {
      Instant at = worked.getOrDefault(s.getNo(), s.getMadeAt());
      long count = counts.getOrDefault(s.getId(), 0L);
      of.computeIfAbsent(s.getProject(), k -> new ArrayList<>())
          .add(new SpaceName(s.getId(), s.getName(), count, at.toString()));
    }
    return projects.findAllByRemovedAtIsNullOrderByMadeAt().stream()
        .map(p -> new ProjectView(p.id(), p.name(), of.getOrDefault(p.id(), List.of())))
        .toList();
  }

  /** How a project is called. */
  public String name(String id) {
    return projects
        .findById(id)
        .map(ProjectRow::name)
        .orElseThrow(() -> new Missing("There is no such project."));
  }

  /** Whether there has ever been a project. */
  public boolean untouched() {
    return projects.count() == 0;
  }

  ProjectView project(String id) {
    return projects().stream()
        .filter(p -> p.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new Missing("There is no such project."));
  }

  private SpaceRow row(String id) {
    return spaces.findById(id).orElseThrow(() -> new Missing("There is no such space."));
  }

  // ---- making

  public ProjectView newProject(String name) {
    ProjectRow row = new ProjectRow(newId(), Text.name("It", name));
    ledger.keep(t -> t.insert(row));
    return new ProjectView(row.id(), row.name(), List.of());
  }

  public SpaceName newSpace(String project, String name, Shell shell) {
    if (!projects.existsById(project)) {
      throw new Missing("There is no such project.");
    }
    Space bare = new Space(shell, List.of(), shapes); // refuses a shell that cannot be built
    return inserted(project, Text.name("It", name), bare);
  }

  /** Keeps furnished spaces, all or none, with a mark; there is nothing to undo in them. */
  public void establish(List<Furnished> all, String mark) {
    ledger.keep(
        t -> {
          for (Furnished f : all) {
            ProjectRow project = new ProjectRow(newId(), f.project());
            t.insert(project);
            insert(t, newId(), project.id(), f.name(), f.space());
          }
          t.insert(new MarkRow(mark, Instant.now().toString()));
        });
  }

  /** A copy of a space as it is now, in the same project, under a free name. */
  public SpaceName copySpace(String id) {
    SpaceRow row = row(id);
    Set<String> names =
        project(row.project()).spaces().stream().map(SpaceName::name).collect(Collectors.toSet());
    SpaceName copy =
        inserted(
            row.project(), Names.free(Names.bare(row.name()), 1, names), store.seen(id).space());
    events.publishEvent(new SpaceCopied(id, copy.id()));
    return copy;
  }

  /** A copy of a project with all its spaces, under a free name. */
  public ProjectView copyProject(String id) {
    ProjectView old = project(id);
    Set<String> names = projects().stream().map(ProjectView::name).collect(Collectors.toSet());
    ProjectRow row = new ProjectRow(newId(), Names.free(Names.bare(old.name()), 1, names));
    Map<String, String> copies = new LinkedHashMap<>();
    old.spaces().forEach(s -> copies.put(s.id(), newId()));
    ledger.keep(
        t -> {
          t.insert(row);
          for (SpaceName s : old.spaces()) {
            insert(t, copies.get(s.id()), row.id(), s.name(), store.seen(s.id()).space());
          }
        });
    events.publishEvent(new ProjectCopied(id, row.id()));
    copies.forEach((from, to) -> events.publishEvent(new SpaceCopied(from, to)));
    return project(row.id());
  }

  /** The spaces of a project that comes from elsewhere, each made ready when it is asked for. */
  public interface Coming {
    /** The next one that is of use; null after the last. */
    @Nullable
    ArchivedSpace next();

    /** The last one is kept under this id. */
    void kept(String id);
  }

  /** Something else that is kept together with a project. */
  public interface Along {
    /** Keeps it for the project of this id; then its spaces can come. */
    Coming keep(String project);

    /** Takes it away again: the project could not be kept. */
    void forget(String project);
  }

  /**
   * Keeps a project that comes from elsewhere, in small parts, so that others who work wait no
   * longer than for one of them. Until all of it is kept nobody sees any of it; if it cannot be,
   * nothing of it stays.
   *
   * @param along what its spaces build on
   * @return how it is called here; null if there was a space to come, but none of use
   */
  public @Nullable ProjectView takeIn(String name, boolean some, Along along) {
    Set<String> names = projects().stream().map(ProjectView::name).collect(Collectors.toSet());
    String free = names.contains(name) ? Names.free(Names.bare(name), 1, names) : name;
    ProjectRow row = new ProjectRow(newId(), free);
    row.putAside();
    ledger.keep(t -> t.insert(row));
    List<String> made = new ArrayList<>();
    boolean whole = false;
    try {
      Coming spaces = along.keep(row.id());
      for (ArchivedSpace s = spaces.next(); s != null; s = spaces.next()) {
        String id = newId();
        made.add(id);
        keep(id, row.id(), s);
        spaces.kept(id);
      }
      whole = !some || !made.isEmpty();
      if (whole) {
        alter("update ProjectRow set removedAt = :value where id = :id", row.id(), null);
      }
      return whole ? project(row.id()) : null;
    } finally {
      if (!whole) {
        along.forget(row.id());
        forget(row.id(), made);
      }
    }
  }

  private void keep(String id, String project, ArchivedSpace s) {
    Space space = s.space();
    ledger.keep(t -> t.insert(new SpaceRow(id, project, s.name(), space.shell(), s.revision())));
    Space bare = Space.of(space.shell(), Filing.PLAIN, List.of(), space.shapes());
    inParts(bare.differences(space), (t, part) -> FilingRows.write(t, id, new Change(part)));
    inParts(
        List.copyOf(space.pieces()),
        (t, part) -> part.forEach(p -> t.insert(new PieceRow(id, space.ordered(p.id())))));
    long no = spaces.findById(id).orElseThrow().no();
    long[] n = {0};
    inParts(
        s.steps(),
        (t, part) -> part.forEach(step -> t.insert(new StepRow(StepRow.key(no, ++n[0]), step))));
  }

  private <T> void inParts(List<T> all, BiConsumer<Journal.Transaction, List<T>> how) {
    for (int i = 0; i < all.size(); i += PART) {
      List<T> part = all.subList(i, Math.min(all.size(), i + PART));
      ledger.keep(t -> how.accept(t, part));
    }
  }

  /** Takes away what nobody has ever seen. */
  private void forget(String project, List<String> made) {
    for (String id : made) {
      spaces
          .findById(id)
          .ifPresent(
              s ->
                  ledger.keep(
                      t -> {
                        for (String of :
                            List.of(
                                "PieceRow",
                                "LayerRow",
                                "GroupRow",
                                "SelectionRow",
                                "TwinRow",
                                "KeptPartRow",
                                "ShownRow")) {
                          t.alter("delete from " + of + " where key.space = :id", Map.of("id", id));
                        }
                        t.alter(
                            "delete from StepRow where id >= :from and id < :to",
                            Map.of("from", StepRow.first(s.no()), "to", StepRow.first(s.no() + 1)));
                        t.alter("delete from SpaceRow where id = :id", Map.of("id", id));
                      }));
    }
    ledger.keep(t -> t.alter("delete from ProjectRow where id = :id", Map.of("id", project)));
  }

  private SpaceName inserted(String project, String name, Space space) {
    String id = newId();
    ledger.keep(t -> insert(t, id, project, name, space));
    return new SpaceName(id, name, space.pieces().size(), Instant.now().toString());
  }

  private static void insert(
      Journal.Transaction t, String id, String project, String name, Space space) {
    insert(t, id, project, name, space, space.pieces().isEmpty() ? 0 : 1);
  }

  private static void insert(
      Journal.Transaction t, String id, String project, String name, Space space, long revision) {
    t.insert(new SpaceRow(id, project, name, space.shell(), revision));
    Space bare = Space.of(space.shell(), Filing.PLAIN, List.of(), space.shapes());
    FilingRows.write(t, id, new Change(bare.differences(space)));
    for (Piece p : space.pieces()) {
      t.insert(new PieceRow(id, space.ordered(p.id())));
    }
  }

  private static String newId() {
    return UUID.randomUUID().toString();
  }

  // ---- altering

  public void renameProject(String id, String name) {
    project(id);
    alter("update ProjectRow set name = :value where id = :id", id, Text.name("It", name));
  }

  /** How the files of a project are handed over: what was chosen last, by its name. */
  public Map<String, String> handover(String id) {
    project(id);
    String text = projects.findById(id).map(ProjectRow::handedOver).orElse(null);
    return text == null ? Map.of() : Json.read(text, CHOICES);
  }

  /**
   * Keeps that for all who hand something over.
   *
   * @throws Refusal if it is too much to be that
   */
  public void keepHandover(String id, Map<String, String> chosen) {
    project(id);
    String text = Json.text(new TreeMap<>(chosen));
    if (text.length() > MOST_CHOICES || !Text.whole(text)) {
      throw new Refusal("That is too much for the choices of a hand-over.");
    }
    alter("update ProjectRow set handedOver = :value where id = :id", id, text);
  }

  public void renameSpace(String id, String name) {
    row(id);
    String now = Text.name("It", name);
    alter("update SpaceRow set name = :value where id = :id", id, now);
    store.renamed(id, now);
  }

  /** Puts a project aside, or brings it back. */
  public void removeProject(String id, boolean away) {
    if (!projects.existsById(id)) {
      throw new Missing("There is no such project.");
    }
    Instant at = away ? Instant.now() : null;
    alter("update ProjectRow set removedAt = :value where id = :id", id, at);
    store.asideAnew(spaces.idsOf(id));
  }

  /** Puts a space aside, or brings it back. */
  public void removeSpace(String id, boolean away) {
    row(id);
    Instant at = away ? Instant.now() : null;
    alter("update SpaceRow set removedAt = :value where id = :id", id, at);
    store.asideAnew(List.of(id));
  }

  private void alter(String how, String id, @Nullable Object value) {
    ledger.keep(
        t -> {
          Map<String, Object> values = new HashMap<>();
          values.put("id", id);
          values.put("value", value); // none is a value, too
          t.alter(how, values);
        });
  }
}

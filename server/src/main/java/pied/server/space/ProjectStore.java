package pied.server.space;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.hibernate.StatelessSession;
import org.springframework.stereotype.Service;
import pied.core.Names;
import pied.core.Text;
import pied.core.edit.Change;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.space.Filing;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.server.space.SpaceWire.ProjectView;
import pied.server.space.SpaceWire.SpaceName;
import pied.server.store.Ledger;
import pied.server.store.MarkRow;
import pied.server.store.Missing;

/** Keeps projects, and which spaces they have. What is removed is put aside and can come back. */
@Service
public class ProjectStore {
  private final Rows.Projects projects;
  private final Rows.Spaces spaces;
  private final Rows.Pieces pieces;
  private final Rows.Steps steps;
  private final SpaceStore store;
  private final Ledger ledger;
  private final Shapes shapes;

  ProjectStore(
      Rows.Projects projects,
      Rows.Spaces spaces,
      Rows.Pieces pieces,
      Rows.Steps steps,
      SpaceStore store,
      Ledger ledger,
      Shapes shapes) {
    this.projects = projects;
    this.spaces = spaces;
    this.pieces = pieces;
    this.steps = steps;
    this.store = store;
    this.ledger = ledger;
    this.shapes = shapes;
  }

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

  private ProjectView project(String id) {
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
    ledger.keep(session -> session.insert(row));
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
        session -> {
          for (Furnished f : all) {
            ProjectRow project = new ProjectRow(newId(), f.project());
            session.insert(project);
            insert(session, newId(), project.id(), f.name(), f.space());
          }
          session.insert(new MarkRow(mark, Instant.now().toString()));
        });
  }

  /** A copy of a space as it is now, in the same project, under a free name. */
  public SpaceName copySpace(String id) {
    SpaceRow row = row(id);
    Set<String> names =
        project(row.project()).spaces().stream().map(SpaceName::name).collect(Collectors.toSet());
    return inserted(
        row.project(), Names.free(Names.bare(row.name()), 1, names), store.seen(id).space());
  }

  /** A copy of a project with all its spaces, under a free name. */
  public ProjectView copyProject(String id) {
    ProjectView old = project(id);
    Set<String> names = projects().stream().map(ProjectView::name).collect(Collectors.toSet());
    ProjectRow row = new ProjectRow(newId(), Names.free(Names.bare(old.name()), 1, names));
    ledger.keep(
        session -> {
          session.insert(row);
          for (SpaceName s : old.spaces()) {
            insert(session, newId(), row.id(), s.name(), store.seen(s.id()).space());
          }
        });
    return project(row.id());
  }

  /** Something else that is kept together with a project. */
  public interface Along {
    /** Keeps it for the project of this id. */
    void keep(String project);
  }

  /**
   * Keeps a project that comes from elsewhere. Until all of it is kept nobody sees any of it.
   *
   * @param along what its spaces build on
   * @param spaces what they are, once that is kept
   * @return how it is called here
   */
  public ProjectView takeIn(String name, Along along, Supplier<List<ArchivedSpace>> spaces) {
    Set<String> names = projects().stream().map(ProjectView::name).collect(Collectors.toSet());
    String free = names.contains(name) ? Names.free(Names.bare(name), 1, names) : name;
    ProjectRow row = new ProjectRow(newId(), free);
    row.putAside();
    ledger.keep(session -> session.insert(row));
    along.keep(row.id());
    Map<String, ArchivedSpace> all = new LinkedHashMap<>();
    spaces.get().forEach(s -> all.put(newId(), s));
    ledger.keep(
        session ->
            all.forEach(
                (id, s) -> insert(session, id, row.id(), s.name(), s.space(), s.revision())));
    Map<String, Long> numbers = new HashMap<>();
    this.spaces.findAllById(all.keySet()).forEach(s -> numbers.put(s.id(), s.no()));
    ledger.keep(
        session -> {
          all.forEach(
              (id, s) -> {
                long n = 0;
                for (ArchivedSpace.Step step : s.steps()) {
                  session.insert(new StepRow(StepRow.key(numbers.get(id), ++n), step));
                }
              });
          session
              .createMutationQuery("update ProjectRow set removedAt = null where id = :id")
              .setParameter("id", row.id())
              .executeUpdate();
        });
    return project(row.id());
  }

  private SpaceName inserted(String project, String name, Space space) {
    String id = newId();
    ledger.keep(session -> insert(session, id, project, name, space));
    return new SpaceName(id, name, space.pieces().size(), Instant.now().toString());
  }

  private static void insert(
      StatelessSession session, String id, String project, String name, Space space) {
    insert(session, id, project, name, space, space.pieces().isEmpty() ? 0 : 1);
  }

  private static void insert(
      StatelessSession session,
      String id,
      String project,
      String name,
      Space space,
      long revision) {
    session.insert(new SpaceRow(id, project, name, space.shell(), revision));
    Space bare = Space.of(space.shell(), Filing.PLAIN, List.of(), space.shapes());
    FilingRows.write(session, id, new Change(bare.differences(space)));
    for (Piece p : space.pieces()) {
      session.insert(new PieceRow(id, space.ordered(p.id())));
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
  }

  /** Puts a space aside, or brings it back. */
  public void removeSpace(String id, boolean away) {
    row(id);
    Instant at = away ? Instant.now() : null;
    alter("update SpaceRow set removedAt = :value where id = :id", id, at);
  }

  private void alter(String how, String id, Object value) {
    ledger.keep(
        session -> {
          var query = session.createMutationQuery(how).setParameter("id", id);
          if (value instanceof String text) {
            query.setParameter("value", text);
          } else {
            query.setParameter("value", (Instant) value, Instant.class);
          }
          query.executeUpdate();
        });
  }
}

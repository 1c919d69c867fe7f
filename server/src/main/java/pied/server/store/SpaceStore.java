package pied.server.store;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import pied.core.Refusal;
import pied.core.drawing.Elevations;
import pied.core.edit.Change;
import pied.core.edit.Editor;
import pied.core.edit.Offer;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.space.Space;
import pied.core.space.Viewpoint;
import pied.core.units.LengthUnit;
import pied.server.api.Answers.Changed;
import pied.server.api.Answers.EditRequest;
import pied.server.api.Answers.ProjectView;
import pied.server.api.Answers.SpaceName;
import pied.server.api.Answers.SpaceView;

/**
 * Keeps projects and spaces. One writer at a time for each space: an edit is checked by core,
 * stored in one transaction together with its change, and only then seen and told.
 */
@Service
public class SpaceStore {
  /** There is no such project or space. */
  public static final class Missing extends RuntimeException {
    private static final long serialVersionUID = 1;

    Missing(String what) {
      super(what);
    }
  }

  /** The sender has seen an older revision. */
  public static final class Stale extends RuntimeException {
    private static final long serialVersionUID = 1;

    Stale(long seen, long now) {
      super(
          "The space has changed since you looked: you have revision "
              + seen
              + ", it is at "
              + now
              + ". Look again and repeat.");
    }
  }

  private static final class Open {
    final String id;
    final String name;
    final String project;
    final ReentrantLock writing = new ReentrantLock(true);
    volatile Space space;
    volatile long revision;
    volatile long shellAt;
    volatile boolean canUndo;
    volatile boolean canRedo;

    Open(SpaceRow row) {
      id = row.id();
      name = row.name();
      project = row.project();
      revision = row.revision();
      shellAt = revision;
    }
  }

  private final Rows.Projects projects;
  private final Rows.Spaces spaces;
  private final Rows.Pieces pieces;
  private final Rows.Changes changes;
  private final Rows.Requests requests;
  private final TransactionTemplate transaction;
  private final Shapes shapes;
  private final Map<String, Open> open = new ConcurrentHashMap<>();
  private final List<BiConsumer<String, Changed>> listeners = new ArrayList<>();

  SpaceStore(
      Rows.Projects projects,
      Rows.Spaces spaces,
      Rows.Pieces pieces,
      Rows.Changes changes,
      Rows.Requests requests,
      TransactionTemplate transaction,
      Shapes shapes) {
    this.projects = projects;
    this.spaces = spaces;
    this.pieces = pieces;
    this.changes = changes;
    this.requests = requests;
    this.transaction = transaction;
    this.shapes = shapes;
  }

  /** Tells a listener of every change, in order for each space; called while the space is held. */
  public void listen(BiConsumer<String, Changed> listener) {
    listeners.add(listener);
  }

  // ---- projects and spaces

  public List<ProjectView> projects() {
    Map<String, List<SpaceName>> of = new HashMap<>();
    for (SpaceRow s : spaces.findAllByOrderByMadeAt()) {
      of.computeIfAbsent(s.project(), k -> new ArrayList<>()).add(new SpaceName(s.id(), s.name()));
    }
    return projects.findAllByOrderByMadeAt().stream()
        .map(p -> new ProjectView(p.id(), p.name(), of.getOrDefault(p.id(), List.of())))
        .toList();
  }

  public ProjectView newProject(String name) {
    ProjectRow row = projects.save(new ProjectRow(UUID.randomUUID().toString(), title(name)));
    return new ProjectView(row.id(), row.name(), List.of());
  }

  public SpaceName newSpace(String project, String name, Shell shell) {
    if (!projects.existsById(project)) {
      throw new Missing("There is no such project.");
    }
    new Space(shell, List.of(), shapes); // refuses a shell that cannot be built
    SpaceRow row =
        spaces.save(
            new SpaceRow(UUID.randomUUID().toString(), project, title(name), Json.write(shell)));
    return new SpaceName(row.id(), row.name());
  }

  static String title(String name) {
    if (name == null || name.isBlank()) {
      throw new Refusal("It needs a name.");
    }
    if (name.length() > 120) {
      throw new Refusal("A name may have up to 120 letters; this one has " + name.length() + ".");
    }
    return name.strip();
  }

  /** Makes what was done so far the beginning: there is nothing to undo before it. */
  void forget(String id) {
    Open o = open(id);
    transaction.executeWithoutResult(status -> changes.deleteOfSpace(id));
    o.canUndo = false;
    o.canRedo = false;
  }

  // ---- reading

  /** The space as it is now. */
  public Space space(String id) {
    return open(id).space;
  }

  public String name(String id) {
    return open(id).name;
  }

  public SpaceView view(String id) {
    Open o = open(id);
    o.writing.lock(); // revision and pieces must belong together
    try {
      Shell shell = o.space.shell();
      return new SpaceView(
          id,
          o.name,
          o.project,
          o.revision,
          o.shellAt,
          shell,
          shell.faces(),
          Viewpoint.of(shell),
          Elevations.offered(shell),
          ShellBodies.colours(shell),
          List.copyOf(o.space.pieces()),
          o.canUndo,
          o.canRedo);
    } finally {
      o.writing.unlock();
    }
  }

  private Open open(String id) {
    Open o = open.get(id);
    return o != null ? o : open.computeIfAbsent(id, this::load);
  }

  private Open load(String id) {
    SpaceRow row = spaces.findById(id).orElseThrow(() -> new Missing("There is no such space."));
    Open o = new Open(row);
    List<Piece> own = pieces.ofSpace(id).stream().map(PieceRow::piece).toList();
    o.space = new Space(Json.read(row.shell(), Shell.class), own, shapes);
    o.canUndo = changes.lastDone(id).isPresent();
    o.canRedo = changes.firstUndone(id).isPresent();
    return o;
  }

  // ---- writing

  /** Makes edits: all of them, or none. */
  public Changed edit(String id, EditRequest request) {
    Open o = open(id);
    return write(
        o,
        request.id(),
        request.revision(),
        () -> {
          Editor.Outcome out =
              Editor.apply(
                  o.space, edits(request), unit(request), () -> UUID.randomUUID().toString());
          return new Step(out.space(), out.change(), out.said(), out.offers(), out.part(), null);
        });
  }

  /** What edits would lead to; nothing is stored. */
  public Editor.Outcome trial(String id, EditRequest request) {
    return Editor.apply(
        open(id).space, edits(request), unit(request), () -> UUID.randomUUID().toString());
  }

  private static List<pied.core.edit.Edit> edits(EditRequest request) {
    if (request.edits() == null || request.edits().stream().anyMatch(java.util.Objects::isNull)) {
      throw new Refusal("The request has no edits.");
    }
    return request.edits();
  }

  private static LengthUnit unit(EditRequest request) {
    return request.unit() == null ? LengthUnit.M : LengthUnit.of(request.unit());
  }

  public Changed undo(String id, String request) {
    return back(id, request, ChangeRow.State.UNDONE);
  }

  public Changed redo(String id, String request) {
    return back(id, request, ChangeRow.State.DONE);
  }

  private Changed back(String id, String request, ChangeRow.State becomes) {
    Open o = open(id);
    boolean undo = becomes == ChangeRow.State.UNDONE;
    return write(
        o,
        request,
        null,
        () -> {
          Optional<ChangeRow> found = undo ? changes.lastDone(id) : changes.firstUndone(id);
          ChangeRow row =
              found.orElseThrow(
                  () ->
                      new Refusal(
                          undo ? "There is nothing to undo." : "There is nothing to redo."));
          Change change = Json.read(row.pieces(), Change.class);
          Change way = undo ? change.reversed() : change;
          row.state(becomes);
          return new Step(way.apply(o.space), way, List.of(), List.of(), null, row);
        });
  }

  /** A step about to be stored; a step through the history names the change it goes over. */
  private record Step(
      Space after,
      Change change,
      List<String> said,
      List<Offer> offers,
      String part,
      ChangeRow over) {}

  private Changed write(Open o, String request, Long seen, Supplier<Step> how) {
    if (request != null && (request.isBlank() || request.length() > 64)) {
      throw new Refusal("An id of a request has 1 to 64 letters.");
    }
    o.writing.lock();
    try {
      if (request != null) {
        Optional<RequestRow> before = requests.findById(new RequestRow.Key(o.id, request));
        if (before.isPresent()) {
          return Json.read(before.get().answer(), Changed.class);
        }
      }
      if (seen != null && seen != o.revision) {
        throw new Stale(seen, o.revision);
      }
      record Done(Space after, Changed answer) {}
      Done done =
          transaction.execute(
              status -> {
                Step step = how.get();
                return new Done(step.after(), store(o, request, step));
              });
      o.space = done.after();
      o.revision = done.answer().revision();
      o.shellAt = done.answer().shell() ? o.revision : o.shellAt;
      o.canUndo = done.answer().canUndo();
      o.canRedo = done.answer().canRedo();
      listeners.forEach(l -> l.accept(o.id, done.answer()));
      return done.answer();
    } finally {
      o.writing.unlock();
    }
  }

  private Changed store(Open o, String request, Step step) {
    long revision = o.revision + 1;
    SpaceRow row = spaces.findById(o.id).orElseThrow();
    row.revision(revision);
    if (step.change().shell() != null) {
      row.shell(Json.write(step.after().shell()));
    }
    spaces.save(row);
    int n = 0;
    for (Piece p : step.change().added()) {
      pieces.save(new PieceRow(o.id, revision * 100_000 + n++, p));
    }
    for (Change.Altered a : step.change().altered()) {
      PieceRow piece = pieces.findById(new PieceRow.Key(o.id, a.after().id())).orElseThrow();
      piece.set(a.after());
      pieces.save(piece);
    }
    pieces.deleteAllById(
        step.change().removed().stream().map(p -> new PieceRow.Key(o.id, p.id())).toList());
    if (step.over() != null) {
      changes.save(step.over());
    } else {
      changes.dropUndone(o.id);
      changes.save(new ChangeRow(o.id, revision, Json.write(step.change())));
    }
    changes.flush();
    Changed answer =
        new Changed(
            revision,
            step.change().changed(),
            step.change().removed().stream().map(Piece::id).toList(),
            step.said(),
            step.offers(),
            step.change().shell() != null,
            step.part(),
            changes.lastDone(o.id).isPresent(),
            changes.firstUndone(o.id).isPresent());
    if (request != null) {
      requests.save(new RequestRow(o.id, request, Json.write(answer)));
    }
    return answer;
  }
}

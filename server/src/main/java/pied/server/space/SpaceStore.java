package pied.server.space;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import java.util.function.BiConsumer;
import java.util.function.BiPredicate;
import java.util.function.Predicate;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.data.domain.Limit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import pied.core.Nullable;
import pied.core.drawing.Elevation;
import pied.core.history.InWords;
import pied.core.material.Appearance;
import pied.core.piece.Keeping;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.space.Back;
import pied.core.space.Ordered;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.space.Space;
import pied.core.space.Validity;
import pied.core.units.LengthUnit;
import pied.core.units.Message;
import pied.server.space.KeepingWire.FilingView;
import pied.server.space.ProposalWire.SayRequest;
import pied.server.space.ShowingWire.ShowingView;
import pied.server.space.SpaceWire.Aside;
import pied.server.space.SpaceWire.By;
import pied.server.space.SpaceWire.Changed;
import pied.server.space.SpaceWire.Deed;
import pied.server.space.SpaceWire.EditRequest;
import pied.server.space.SpaceWire.GoRequest;
import pied.server.space.SpaceWire.HistoryView;
import pied.server.space.SpaceWire.SpaceView;
import pied.server.space.SpaceWire.StepRequest;
import pied.server.store.Journal;
import pied.server.store.Ledger;
import pied.server.store.Missing;

/**
 * Keeps spaces. One writer at a time for each space: an edit is checked by core, kept by the {@link
 * Ledger} together with its change, and only then seen, acknowledged and told. Those who read wait
 * for nobody.
 */
@Service
public class SpaceStore {
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

  /** What was shown is no longer what the edits lead to. */
  public static final class Outdated extends RuntimeException {
    private static final long serialVersionUID = 1;

    Outdated() {
      super(
          "Something it is about has changed since it was shown. This is what it would be now; say"
              + " once more that it be done.");
    }
  }

  /** Others are at work on the space for so long that one better comes again. */
  public static final class Busy extends RuntimeException {
    private static final long serialVersionUID = 1;

    Busy() {
      super("Many wait for this space at this moment. Nothing was changed; try again in a second.");
    }
  }

  private final Rows.Spaces spaces;
  private final Rows.Pieces pieces;
  private final FilingRows filing;
  private final Rows.Steps steps;
  private final Journal journal;
  private final Shapes shapes;
  private final long idle;
  private final Writing writing;
  private final Map<String, OpenSpace> open = new ConcurrentHashMap<>();
  private final List<BiConsumer<String, Changed>> listeners = new CopyOnWriteArrayList<>();
  private final List<BiConsumer<String, Aside>> asideListeners = new CopyOnWriteArrayList<>();
  private volatile Predicate<String> watched = id -> false;
  private volatile BiPredicate<String, String> present = (space, window) -> false;

  /**
   * @param idle a space that nobody looks at is let go after so many seconds
   */
  SpaceStore(
      Rows.Spaces spaces,
      Rows.Pieces pieces,
      FilingRows filing,
      Rows.Steps steps,
      Journal journal,
      Ledger ledger,
      Shapes shapes,
      @Value("${pied.idle:600}") long idle) {
    this.spaces = spaces;
    this.pieces = pieces;
    this.filing = filing;
    this.steps = steps;
    this.journal = journal;
    this.shapes = shapes;
    this.idle = idle;
    Acts acts =
        new Acts(this::open, id -> from(spaces.findById(id).orElseThrow()), journal, ledger);
    writing = new Writing(acts, this::open, spaces, journal);
  }

  /**
   * Tells a listener of every change once it is kept, in order for each space. It must not wait for
   * anything: all other changes wait for it.
   */
  public void listen(BiConsumer<String, Changed> listener) {
    listeners.add(listener);
  }

  /** Which spaces somebody looks at. */
  public void watched(Predicate<String> by) {
    watched = by;
  }

  /** Which windows look at a space. */
  public void present(BiPredicate<String, String> by) {
    present = by;
  }

  // ---- reading

  /** A space as it is at a revision. */
  public OpenSpace.Seen seen(String id) {
    return open(id).seen();
  }

  /** The space as it is now. */
  public Space space(String id) {
    return seen(id).space();
  }

  /** All of a space, for nobody in particular. */
  public SpaceView view(String id) {
    return view(id, null);
  }

  /** A space with what was done in it lately, all of it at the same revision. */
  public ObjectNode archived(String id) {
    while (true) {
      OpenSpace o = open(id);
      OpenSpace.Seen seen = o.seen();
      long behind = StepRow.first(o.no() + 1);
      List<Long> changes =
          steps.changes(StepRow.first(o.no()), behind, Limit.of(ArchivedSpace.STEPS));
      List<StepRow> rows =
          changes.isEmpty() ? List.of() : steps.whole(changes.get(changes.size() - 1), behind);
      if (open(id).seen().revision() == seen.revision()) {
        return new ArchivedSpace(
                seen.name(),
                seen.revision(),
                seen.space(),
                rows.stream().map(StepRow::archived).toList())
            .write();
      }
    }
  }

  /** When a space was worked on last. */
  public Instant worked(String id) {
    OpenSpace o = open(id);
    List<Rows.Steps.Last> last =
        steps.latest(StepRow.first(o.no()), StepRow.first(o.no() + 1), Limit.of(1));
    return last.isEmpty()
        ? spaces.findById(id).map(SpaceRow::madeAt).orElse(Instant.EPOCH)
        : last.get(0).getMadeAt();
  }

  /** The project that a space is in. */
  public String project(String id) {
    return open(id).project();
  }

  /**
   * All of a space.
   *
   * @param by who looks; null for nobody in particular
   */
  public SpaceView view(String id, @Nullable By by) {
    OpenSpace o = open(id);
    boolean[] can = o.can(by);
    OpenSpace.Seen now = o.seen();
    Shell shell = now.space().shell();
    return new SpaceView(
        id,
        o.aside(),
        o.name(),
        o.project(),
        now.revision(),
        now.shellAt(),
        shell,
        shell.faces(),
        shell.partNames(),
        Back.of(shell),
        Elevation.ElevationLook.offered(shell),
        Appearance.all(ShellBodies.looks(shell)),
        FilingView.of(now.space().filing()),
        ShowingView.of(now.space()),
        List.copyOf(now.space().pieces()),
        can[0],
        can[1]);
  }

  private OpenSpace open(String id) {
    OpenSpace o = open.get(id);
    return o != null ? o : open.computeIfAbsent(id, this::load);
  }

  private OpenSpace load(String id) {
    SpaceRow row = spaces.findById(id).orElseThrow(() -> new Missing("There is no such space."));
    OpenSpace o =
        new OpenSpace(row, listeners, from(row), (space, window) -> present.test(space, window));
    o.putAside(aside(row));
    return o;
  }

  /** What of a space was removed, and so it with that; null if it is there. */
  private @Nullable Aside aside(SpaceRow row) {
    if (row.isRemoved()) {
      return new Aside("spaces", row.id(), "“" + row.name() + "” was removed.");
    }
    return spaces
        .removedProject(row.project())
        .map(
            name -> new Aside("projects", row.project(), "The project “" + name + "” was removed."))
        .orElse(null);
  }

  /** Spaces were removed, or brought back: those who look at them hear of it. */
  void asideAnew(Collection<String> ids) {
    for (String id : ids) {
      OpenSpace o = open.get(id);
      if (o != null) {
        Aside now = spaces.findById(id).map(this::aside).orElse(null);
        o.putAside(now);
        asideListeners.forEach(l -> l.accept(id, now));
      }
    }
  }

  /** Somebody wants to hear when spaces are removed or brought back. */
  public void listenAside(BiConsumer<String, Aside> listener) {
    asideListeners.add(listener);
  }

  /** What the store has of a space. */
  private SpaceHistory from(SpaceRow row) {
    List<Ordered> own = new ArrayList<>();
    pieces.ofSpace(row.id()).forEach(p -> own.add(p.ordered()));
    own.sort(java.util.Comparator.comparingLong(Ordered::place));
    Space space =
        mended(
            Space.of(row.shell(), filing.of(row.id()), own, shapes).with(filing.showing(row.id())));
    SpaceHistory past = new SpaceHistory(space, row.revision());
    steps
        .ofSpace(StepRow.first(row.no()), StepRow.first(row.no() + 1))
        .forEach(
            s ->
                past.add(
                    s.getId(),
                    s.getRevision(),
                    s.getKind(),
                    s.getRequest(),
                    s.getDoneIn(),
                    s.getPartner()));
    return past;
  }

  /** What stands on something that is not there stands on nothing; so with layers and groups. */
  private static Space mended(Space space) {
    List<Piece> mended = new ArrayList<>();
    for (Piece p : space.pieces()) {
      Piece q = Validity.there(space, p.on()) ? p : p.withOn(On.NOTHING).withAttached(false);
      Keeping k = q.keeping().withLayer(space.layer(q).id());
      q = q.withKeeping(space.filing().group(k.group()) == null ? k.withGroup(null) : k);
      if (!q.equals(p)) {
        mended.add(q);
      }
    }
    return space.with(mended);
  }

  /** Lets go of spaces that nobody has looked at for a while. */
  @Scheduled(fixedDelay = 60, initialDelay = 60, timeUnit = TimeUnit.SECONDS)
  void letGo() {
    letGo(idle);
  }

  /** Of those not used for so many seconds. */
  public void letGo(long idle) {
    for (String id : List.copyOf(open.keySet())) {
      open.computeIfPresent(id, (k, o) -> watched.test(k) || !o.letGo(idle) ? o : null);
    }
  }

  /** How many spaces are held in memory. */
  public int held() {
    return open.size();
  }

  // ---- writing

  /** The space goes by another name from now on. */
  void renamed(String id, String name) {
    OpenSpace o = open.get(id);
    if (o != null) {
      o.rename(name);
    }
  }

  /** Makes edits: all of them, or none; and takes out of another space what was cut there. */
  public Changed edit(String id, EditRequest request) {
    return writing.edit(id, request);
  }

  /** Does what a sentence, or a text of them, says: all of it, or nothing. */
  public ProposalWire.Said say(String id, SayRequest request) {
    return writing.say(id, request);
  }

  /** Takes back what was done last, as it was asked for. */
  public Changed undo(String id, @Nullable StepRequest request) {
    return writing.through(id, request, true);
  }

  /** Does again what was undone last. */
  public Changed redo(String id, @Nullable StepRequest request) {
    return writing.through(id, request, false);
  }

  /** To another point of the history. */
  public Changed go(String id, GoRequest request) {
    return writing.go(id, request);
  }

  // ---- what was done

  /** So much of the history is read at once. */
  private static final int PAGE = 100;

  /**
   * What was done, the latest first.
   *
   * @param before number of the first that was read before; 0 for none
   */
  public HistoryView history(String id, long before, LengthUnit unit) {
    OpenSpace o = open(id);
    OpenSpace.Seen now = o.seen();
    long behind = before > 0 ? StepRow.key(o.no(), before) : StepRow.first(o.no() + 1);
    List<Rows.Steps.DoneStep> rows = steps.done(StepRow.first(o.no()), behind, Limit.of(PAGE + 1));
    List<Deed> deeds = new ArrayList<>();
    for (Rows.Steps.DoneStep d : rows.subList(0, Math.min(PAGE, rows.size()))) {
      // what was done before words were kept is read off what it changed
      Message words =
          d.getWords() != null
              ? StoredWords.read(d.getWords())
              : InWords.of(
                  journal.find(StepRow.class, d.getId()).orElseThrow().change(), now.space(), null);
      deeds.add(
          new Deed(
              StepRow.n(d.getId()),
              words.in(unit),
              d.getWho() == null ? "" : d.getWho(),
              d.getDoneIn() == null ? "" : d.getDoneIn(),
              d.getMadeAt().toString(),
              d.getKind() == StepRow.StepKind.DONE));
    }
    return new HistoryView(now.revision(), deeds, rows.size() > PAGE);
  }
}

package pied.server.space;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.function.Predicate;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import pied.core.Effort;
import pied.core.Refusal;
import pied.core.Text;
import pied.core.drawing.Elevation;
import pied.core.edit.Change;
import pied.core.edit.Edits;
import pied.core.edit.Outcome;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.space.Back;
import pied.core.space.Ordered;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.space.Sound;
import pied.core.space.Space;
import pied.core.space.Viewpoint;
import pied.core.units.LengthUnit;
import pied.server.space.SpaceWire.Changed;
import pied.server.space.SpaceWire.EditRequest;
import pied.server.space.SpaceWire.SpaceView;
import pied.server.store.Ledger;
import pied.server.store.Missing;
import pied.server.store.NotKept;

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

  /** Others are at work on the space for so long that one better comes again. */
  public static final class Busy extends RuntimeException {
    private static final long serialVersionUID = 1;

    Busy() {
      super("Something large is being done in this space; this waits until it is through.");
    }
  }

  /** Longest time the edits of one request may take, seconds. */
  private static final int LONGEST = 90;

  /** So long a request waits for those before it, seconds. */
  private static final int PATIENCE = 25;

  /** So many requests wait for one space. */
  private static final int QUEUE = 8;

  private final Rows.Spaces spaces;
  private final Rows.Pieces pieces;
  private final Rows.Steps steps;
  private final Ledger ledger;
  private final Shapes shapes;
  private final long idle;
  private final Map<String, OpenSpace> open = new ConcurrentHashMap<>();
  private final List<BiConsumer<String, Changed>> listeners = new CopyOnWriteArrayList<>();
  private volatile Predicate<String> watched = id -> false;

  /**
   * @param idle a space that nobody looks at is let go after so many seconds
   */
  SpaceStore(
      Rows.Spaces spaces,
      Rows.Pieces pieces,
      Rows.Steps steps,
      Ledger ledger,
      Shapes shapes,
      @Value("${pied.idle:600}") long idle) {
    this.spaces = spaces;
    this.pieces = pieces;
    this.steps = steps;
    this.ledger = ledger;
    this.shapes = shapes;
    this.idle = idle;
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

  // ---- reading

  /** A space as it is at a revision. */
  public OpenSpace.Seen seen(String id) {
    return open(id).seen();
  }

  /** The space as it is now. */
  public Space space(String id) {
    return seen(id).space();
  }

  public SpaceView view(String id) {
    OpenSpace o = open(id);
    OpenSpace.Seen now = o.seen();
    Shell shell = now.space().shell();
    return new SpaceView(
        id,
        o.name(),
        o.project(),
        now.revision(),
        now.shellAt(),
        shell,
        shell.faces(),
        shell.partNames(),
        Back.of(shell),
        Viewpoint.of(shell),
        Elevation.Look.offered(shell),
        ShellBodies.colours(shell),
        List.copyOf(now.space().pieces()),
        now.canUndo(),
        now.canRedo());
  }

  private OpenSpace open(String id) {
    OpenSpace o = open.get(id);
    return o != null ? o : open.computeIfAbsent(id, this::load);
  }

  private OpenSpace load(String id) {
    SpaceRow row = spaces.findById(id).orElseThrow(() -> new Missing("There is no such space."));
    return new OpenSpace(row, listeners, from(row));
  }

  /** What the store has of a space. */
  private OpenSpace.Past from(SpaceRow row) {
    List<Ordered> own = new ArrayList<>();
    pieces.ofSpace(row.id()).forEach(p -> own.add(p.ordered()));
    own.sort(java.util.Comparator.comparingLong(Ordered::place));
    Space space = mended(Space.of(row.shell(), own, shapes));
    OpenSpace.Past past = new OpenSpace.Past(space, row.revision());
    steps
        .ofSpace(StepRow.first(row.no()), StepRow.first(row.no() + 1))
        .forEach(s -> past.add(s.getId(), s.getRevision(), s.getKind(), s.getRequest()));
    return past;
  }

  /** What stands on something that is not there stands on nothing. */
  private static Space mended(Space space) {
    List<Piece> lost =
        space.pieces().stream()
            .filter(p -> !Sound.there(space, p.on()))
            .map(p -> p.withOn(On.NOTHING).withAttached(false))
            .toList();
    return space.with(lost);
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

  /** Makes edits: all of them, or none. */
  public Changed edit(String id, EditRequest request) {
    return write(
        id,
        request.id(),
        request.revision(),
        head -> {
          Outcome out = apply(head.space(), request);
          return new OpenSpace.Step(
              out.space(), out.change(), out.said(), out.offers(), text(out.part()), null);
        });
  }

  /** What edits would lead to; nothing is stored. */
  public Outcome trial(Space space, EditRequest request) {
    return apply(space, request);
  }

  private static Outcome apply(Space space, EditRequest request) {
    if (request.edits() == null || request.edits().stream().anyMatch(java.util.Objects::isNull)) {
      throw new Refusal("The request has no edits.");
    }
    LengthUnit unit = request.unit() == null ? LengthUnit.M : LengthUnit.of(request.unit());
    return Edits.apply(
        space, request.edits(), unit, () -> UUID.randomUUID().toString(), Effort.seconds(LONGEST));
  }

  private static String text(PartName part) {
    return part == null ? null : part.text();
  }

  public Changed undo(String id, String request) {
    return back(id, request, true);
  }

  public Changed redo(String id, String request) {
    return back(id, request, false);
  }

  private Changed back(String id, String request, boolean undo) {
    return write(
        id,
        request,
        null,
        head -> {
          Long over = undo ? head.lastDone() : head.firstUndone();
          if (over == null) {
            throw new Refusal(undo ? "There is nothing to undo." : "There is nothing to redo.");
          }
          Change change = head.underWay(over);
          if (change == null) {
            change = steps.findById(over).orElseThrow().change();
          }
          Change way = undo ? change.reversed() : change;
          return new OpenSpace.Step(way.apply(head.space()), way, List.of(), List.of(), null, over);
        });
  }

  private Changed write(
      String id, String request, Long seen, Function<OpenSpace.Past, OpenSpace.Step> how) {
    if (request != null && (request.isBlank() || request.length() > 64 || !Text.whole(request))) {
      throw new Refusal("An id of a request has 1 to 64 letters.");
    }
    NotKept trouble = ledger.trouble();
    if (trouble != null) {
      throw new NotKept(trouble.getMessage(), trouble.full(), trouble);
    }
    OpenSpace o = entered(id);
    OpenSpace.Kept kept = null;
    try {
      OpenSpace.Past head = o.head(() -> from(spaces.findById(id).orElseThrow()));
      Long before = head.asked(request);
      if (before != null) {
        OpenSpace.Kept waits = o.underWay(before);
        Changed answered =
            waits != null ? null : steps.findById(before).map(StepRow::answer).orElse(null);
        if (answered != null) {
          return answered;
        }
        kept = waits;
      }
      if (kept == null) {
        if (seen != null && seen != head.revision()) {
          throw new Stale(seen, head.revision());
        }
        kept = o.take(head, request, how.apply(head));
        ledger.keep(kept);
      }
    } finally {
      o.writing.unlock();
    }
    return Ledger.await(kept.answer());
  }

  /** The space with its lock held: its one writer. */
  private OpenSpace entered(String id) {
    while (true) {
      OpenSpace o = open(id);
      if (o.writing.getQueueLength() >= QUEUE) {
        throw new Busy();
      }
      try {
        if (!o.writing.tryLock(PATIENCE, TimeUnit.SECONDS)) {
          throw new Busy();
        }
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new Busy();
      }
      if (!o.gone()) {
        return o;
      }
      o.writing.unlock(); // it was let go of meanwhile
    }
  }
}

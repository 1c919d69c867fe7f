package pied.server.space;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import java.util.function.BiConsumer;
import java.util.function.BiPredicate;
import java.util.function.Function;
import java.util.function.Predicate;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.data.domain.Limit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import pied.core.Effort;
import pied.core.Nullable;
import pied.core.Refusal;
import pied.core.Text;
import pied.core.drawing.Elevation;
import pied.core.edit.Change;
import pied.core.edit.Edits;
import pied.core.edit.Outcome;
import pied.core.history.InWords;
import pied.core.piece.Keeping;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.say.Say;
import pied.core.say.Understood;
import pied.core.space.Back;
import pied.core.space.Ordered;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.space.Sound;
import pied.core.space.Space;
import pied.core.space.Viewpoint;
import pied.core.units.LengthUnit;
import pied.core.units.Said;
import pied.server.space.SpaceWire.Aside;
import pied.server.space.SpaceWire.By;
import pied.server.space.SpaceWire.Changed;
import pied.server.space.SpaceWire.Deed;
import pied.server.space.SpaceWire.EditRequest;
import pied.server.space.SpaceWire.FilingView;
import pied.server.space.SpaceWire.GoRequest;
import pied.server.space.SpaceWire.HistoryView;
import pied.server.space.SpaceWire.PutAside;
import pied.server.space.SpaceWire.SpaceView;
import pied.server.space.SpaceWire.StepRequest;
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
      super("Many wait for this space at this moment. Nothing was changed; try again in a second.");
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
  private final FilingRows filing;
  private final Rows.Steps steps;
  private final Ledger ledger;
  private final Shapes shapes;
  private final long idle;
  private final Map<String, OpenSpace> open = new ConcurrentHashMap<>();
  private final List<BiConsumer<String, Changed>> listeners = new CopyOnWriteArrayList<>();
  private final List<BiConsumer<String, PutAside>> asideListeners = new CopyOnWriteArrayList<>();
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
      Ledger ledger,
      Shapes shapes,
      @Value("${pied.idle:600}") long idle) {
    this.spaces = spaces;
    this.pieces = pieces;
    this.filing = filing;
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
        Viewpoint.of(shell),
        Elevation.Look.offered(shell),
        ShellBodies.colours(shell),
        FilingView.of(now.space().filing()),
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
        asideListeners.forEach(l -> l.accept(id, new PutAside(now)));
      }
    }
  }

  /** Somebody wants to hear when spaces are removed or brought back. */
  public void listenAside(BiConsumer<String, PutAside> listener) {
    asideListeners.add(listener);
  }

  /** What the store has of a space. */
  private OpenSpace.Past from(SpaceRow row) {
    List<Ordered> own = new ArrayList<>();
    pieces.ofSpace(row.id()).forEach(p -> own.add(p.ordered()));
    own.sort(java.util.Comparator.comparingLong(Ordered::place));
    Space space = mended(Space.of(row.shell(), filing.of(row.id()), own, shapes));
    OpenSpace.Past past = new OpenSpace.Past(space, row.revision());
    steps
        .ofSpace(StepRow.first(row.no()), StepRow.first(row.no() + 1))
        .forEach(
            s -> past.add(s.getId(), s.getRevision(), s.getKind(), s.getRequest(), s.getDoneIn()));
    return past;
  }

  /** What stands on something that is not there stands on nothing; so with layers and groups. */
  private static Space mended(Space space) {
    List<Piece> mended = new ArrayList<>();
    for (Piece p : space.pieces()) {
      Piece q = Sound.there(space, p.on()) ? p : p.withOn(On.NOTHING).withAttached(false);
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

  /** Makes edits: all of them, or none. */
  public Changed edit(String id, EditRequest request) {
    return write(
        id,
        request.id(),
        request.revision(),
        head -> {
          Outcome out = apply(head.space(), request);
          return new OpenSpace.Step(
              out.space(),
              out.change(),
              out.said(),
              out.offers(),
              out.part(),
              List.of(),
              by(request.by()));
        });
  }

  /** Does what a sentence, or a text of them, says: all of it, or nothing. */
  public SpaceWire.Said say(String id, SpaceWire.SayRequest r) {
    LengthUnit unit = r.unit() == null ? LengthUnit.M : LengthUnit.of(r.unit());
    List<String> about = r.pieces() == null ? List.of() : r.pieces();
    Say.Done[] done = new Say.Done[1];
    Changed changed =
        write(
            id,
            r.id(),
            null,
            head -> {
              done[0] =
                  Say.make(
                      head.space(),
                      r.text(),
                      about,
                      unit,
                      r.layer(),
                      SpaceStore::newId,
                      Effort.seconds(LONGEST));
              Outcome out = done[0].outcome();
              return new OpenSpace.Step(
                  out.space(),
                  out.change(),
                  out.said(),
                  out.offers(),
                  out.part(),
                  List.of(),
                  by(r.by()));
            });
    return done[0] == null // it was done before
        ? new SpaceWire.Said(changed, changed.made(), List.of())
        : new SpaceWire.Said(changed, done[0].selected(), done[0].understood());
  }

  static String newId() {
    return UUID.randomUUID().toString();
  }

  /** What edits would lead to; nothing is stored. */
  public Outcome trial(Space space, EditRequest request) {
    return apply(space, request);
  }

  /** The same of what was understood of a sentence. */
  public Outcome trial(Space space, EditRequest request, Understood u) {
    LengthUnit unit = LengthUnit.of(request.unit());
    return Edits.apply(
        space,
        u.edits(),
        unit,
        request.layer(),
        u.ids(SpaceStore::newId),
        Effort.seconds(LONGEST),
        u::called);
  }

  private static Outcome apply(Space space, EditRequest request) {
    if (request.edits() == null || request.edits().stream().anyMatch(java.util.Objects::isNull)) {
      throw new Refusal("The request has no edits.");
    }
    LengthUnit unit = request.unit() == null ? LengthUnit.M : LengthUnit.of(request.unit());
    return Edits.apply(
        space, request.edits(), unit, request.layer(), SpaceStore::newId, Effort.seconds(LONGEST));
  }

  /** Who asks, if it makes sense. */
  private static @Nullable By by(@Nullable By by) {
    if (by == null || by.window() == null || by.window().isBlank()) {
      return null;
    }
    String who = by.who() == null ? "" : Text.clean(by.who()).strip();
    if (by.window().length() > 64 || !Text.whole(by.window()) || who.length() > 100) {
      throw new Refusal("A window has an id of 1 to 64 letters, and who works in it up to 100.");
    }
    return new By(by.window(), who);
  }

  /** Takes back what was done last, as it was asked for. */
  public Changed undo(String id, @Nullable StepRequest request) {
    return through(id, request, true);
  }

  /** Does again what was undone last. */
  public Changed redo(String id, @Nullable StepRequest request) {
    return through(id, request, false);
  }

  private Changed through(String id, @Nullable StepRequest asked, boolean undo) {
    StepRequest r = asked == null ? new StepRequest(null, null, null) : asked;
    By by = by(r.by());
    OpenSpace o = open(id);
    return write(
        id, r.id(), null, head -> new Way(head, this::change, by).step(undo, o.mine(by), r.how()));
  }

  /** To another point of the history. */
  public Changed go(String id, GoRequest r) {
    By by = by(r.by());
    if (r.to() == null) {
      throw new Refusal("Say to which step of the history; 0 is where it begins.");
    }
    return write(
        id,
        r.id(),
        null,
        head -> {
          long no = open(id).no();
          return new Way(head, this::change, by).to(StepRow.key(no, r.to()));
        });
  }

  private Change change(OpenSpace.Past head, long key) {
    Change change = head.underWay(key);
    return change != null ? change : steps.findById(key).orElseThrow().change();
  }

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
    List<Rows.Steps.Done> rows = steps.done(StepRow.first(o.no()), behind, Limit.of(PAGE + 1));
    List<Deed> deeds = new ArrayList<>();
    for (Rows.Steps.Done d : rows.subList(0, Math.min(PAGE, rows.size()))) {
      // what was done before words were kept is read off what it changed
      String words =
          d.getWords() != null
              ? d.getWords()
              : InWords.of(steps.findById(d.getId()).orElseThrow().change(), now.space(), null);
      deeds.add(
          new Deed(
              StepRow.n(d.getId()),
              Said.in(words, unit),
              d.getWho() == null ? "" : d.getWho(),
              d.getDoneIn() == null ? "" : d.getDoneIn(),
              d.getMadeAt().toString(),
              d.getKind() == StepRow.Kind.DONE));
    }
    return new HistoryView(now.revision(), deeds, rows.size() > PAGE);
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
      if (o.aside() != null) {
        throw new Refusal(o.aside().words() + " Nothing is done in it until it is brought back.");
      }
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

package pied.core.space;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Supplier;
import pied.core.BoundedCache;
import pied.core.catalog.Article;
import pied.core.piece.Keeping;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.show.Showing;
import pied.core.solid.Bodies;
import pied.core.solid.Body;
import pied.core.units.Refusal;

/**
 * One room with everything in it: an immutable value. Another in which a few pieces are others
 * shares all the rest with it: what is solid, and who carries whom, is kept up piece by piece.
 */
public final class Space {
  private static final int KEPT = 500;

  private final Shell shell;
  private final Order order;
  private final Filing filing;
  private final Showing showing;
  private final Sorted carried;
  private final Sorted grouped;
  private final Shapes shapes;
  private final List<Body> shellBodies;
  private volatile Bodies bodies;
  private final Renewed renewed;
  private volatile Map<Object, Optional<Object>> kept;

  public Space(Shell shell, Collection<Piece> pieces, Shapes shapes) {
    this(
        shell,
        Filing.PLAIN,
        Showing.PLAIN,
        shapes,
        pieces.stream().map(p -> new Ordered(p, null)).toList());
  }

  private Space(Shell shell, Filing filing, Showing showing, Shapes shapes, List<Ordered> pieces) {
    this.shell = shell;
    this.filing = filing;
    this.showing = showing;
    this.order = Order.EMPTY.with(pieces);
    this.shapes = shapes;
    this.shellBodies = ShellBodies.of(ShellCheck.checked(shell));
    Sorted on = Sorted.by(Space::carrier);
    Sorted in = Sorted.by(p -> p.keeping().group());
    for (Piece p : order.pieces()) {
      on = on.with(null, p);
      in = in.with(null, p);
    }
    carried = on;
    grouped = in;
    renewed = new Renewed();
  }

  /** Another with some pieces put in, others, or taken out; and all else as it was. */
  private Space(Space before, Order order, Collection<String> touched) {
    this.shell = before.shell;
    this.filing = before.filing;
    this.showing = before.showing;
    this.order = order;
    this.shapes = before.shapes;
    this.shellBodies = before.shellBodies;
    Sorted on = before.carried;
    Sorted in = before.grouped;
    List<String> out = new ArrayList<>();
    List<Body> put = new ArrayList<>();
    List<String> solid = new ArrayList<>();
    Bodies old = before.bodies;
    for (String id : touched) {
      Piece was = before.order.piece(id);
      Piece is = order.piece(id);
      on = on.with(was, is);
      in = in.with(was, is);
      if (was == null || is == null || !is.is(was)) {
        solid.add(id);
      }
      if (old == null || was != null && is != null && is.fills(was)) {
        continue;
      }
      if (is == null) {
        out.add(id);
      } else {
        put.add(body(is));
      }
    }
    carried = on;
    grouped = in;
    bodies = old == null || out.isEmpty() && put.isEmpty() ? old : old.with(out, put);
    renewed = before.renewed.after(before, touched, solid, order.byId().size());
  }

  /** The same pieces in another shell. */
  private Space(Space before, Shell shell) {
    this.shell = shell;
    this.filing = before.filing;
    this.showing = before.showing;
    this.order = before.order;
    this.carried = before.carried;
    this.grouped = before.grouped;
    this.shapes = before.shapes;
    this.shellBodies = ShellBodies.of(ShellCheck.checked(shell));
    renewed = new Renewed();
    if (before.bodies != null) {
      Set<String> gone = new HashSet<>();
      before.shellBodies.forEach(b -> gone.add(b.id()));
      bodies = before.bodies.with(gone, shellBodies);
    }
  }

  /** The same pieces, kept in another order or shown otherwise. */
  private Space(Space before, Filing filing, Showing showing) {
    this.shell = before.shell;
    this.filing = filing;
    this.showing = showing;
    this.order = before.order;
    this.carried = before.carried;
    this.grouped = before.grouped;
    this.shapes = before.shapes;
    this.shellBodies = before.shellBodies;
    bodies = before.bodies;
    renewed = before.renewed; // it depends on what is solid
  }

  /** A space as it was, with the places of its pieces. */
  public static Space of(Shell shell, Filing filing, List<Ordered> pieces, Shapes shapes) {
    return new Space(shell, filing, Showing.PLAIN, shapes, pieces);
  }

  public Shell shell() {
    return shell;
  }

  /**
   * The same pieces in another shell.
   *
   * @throws Refusal if it cannot be built
   */
  public Space with(Shell other) {
    return new Space(this, other);
  }

  /** Its layers, groups and named selections. */
  public Filing filing() {
    return filing;
  }

  /** The same pieces, kept in another order. */
  public Space with(Filing other) {
    return new Space(this, other, showing);
  }

  /** Its day, looks and viewpoints. */
  public Showing showing() {
    return showing;
  }

  /** The same pieces, shown otherwise. */
  public Space with(Showing other) {
    return new Space(this, filing, other);
  }

  /** The layer that a piece is on. */
  public Layer layer(Piece p) {
    return layer(p.keeping());
  }

  /** That of something that is kept so. */
  public Layer layer(Keeping k) {
    Layer own = filing.layer(k.layer());
    return own == null ? filing.layers().get(0) : own;
  }

  /** Whether nothing may be done to a piece: it is locked itself, or its layer is. */
  public boolean locked(Piece p) {
    return p.keeping().locked() || layer(p).locked();
  }

  /** Whether a piece is left out of drawings: it is hidden itself, or its layer is. */
  public boolean hidden(Piece p) {
    return p.keeping().hidden() || layer(p).hidden();
  }

  /** Whether nothing may be done to a part of the shell: it is locked itself, or its layer is. */
  public boolean locked(PartName part) {
    Keeping k = filing.part(part).keeping();
    return k.locked() || layer(k).locked();
  }

  /** Whether a part of the shell is left out of drawings, by itself or with its layer. */
  public boolean hidden(PartName part) {
    Keeping k = filing.part(part).keeping();
    return k.hidden() || layer(k).hidden();
  }

  /** Whether a body can be seen: not that of a hidden piece, or of a hidden part of the shell. */
  public boolean seen(Body body) {
    Piece p = order.piece(body.id());
    PartName part = p == null ? PartName.of(body) : null;
    return p == null ? part == null || !hidden(part) : !hidden(p);
  }

  /** Ids of all pieces in a group, and in those within it; none if there is no such group. */
  public Set<String> members(String group) {
    Set<String> all = new LinkedHashSet<>(grouped.of(group).toJavaList());
    filing.within(group).forEach(g -> all.addAll(members(g)));
    return all;
  }

  /** Whether there is nothing in a group. */
  public boolean empty(String group) {
    return grouped.of(group).isEmpty()
        && !filing.within(group).iterator().hasNext()
        && filing.partsIn(group).isEmpty();
  }

  /** All pieces in the order in which they came. */
  public Collection<Piece> pieces() {
    return order.pieces();
  }

  public boolean has(String id) {
    return id != null && order.byId().containsKey(id);
  }

  /**
   * The piece of this id.
   *
   * @throws Refusal if there is none in this space
   */
  public Piece piece(String id) {
    Piece p = id == null ? null : order.piece(id);
    if (p == null) {
      String shown = id == null ? "" : id.length() > 40 ? id.substring(0, 40) + "…" : id;
      throw new Refusal("There is no piece “{}” in this space.", shown);
    }
    return p;
  }

  public Shapes shapes() {
    return shapes;
  }

  public Article article(Piece p) {
    return shapes.article(p);
  }

  /** This space with some pieces replaced, or put in behind all others. */
  public Space with(Collection<Piece> changed) {
    List<String> ids = changed.stream().map(Piece::id).toList();
    return ids.isEmpty() ? this : new Space(this, order.replacing(changed), ids);
  }

  public Space with(Piece changed) {
    return with(List.of(changed));
  }

  /** This space with some pieces put in, each at its place in the order. */
  public Space putting(List<Ordered> more) {
    return more.isEmpty()
        ? this
        : new Space(this, order.with(more), more.stream().map(o -> o.piece().id()).toList());
  }

  /** A piece with its place in the order of all, where what came first has the least; or null. */
  public Ordered ordered(String id) {
    return order.byId().getOrElse(id, null);
  }

  /** This space with some things others than they were. */
  public Space apply(List<Difference> differences) {
    return Applied.to(this, differences);
  }

  /** This space without some pieces. */
  public Space without(Collection<String> ids) {
    return ids.isEmpty() ? this : new Space(this, order.without(ids), Set.copyOf(ids));
  }

  /** What was worked out about this space before, or is now; by the space and the key alone. */
  @SuppressWarnings("unchecked")
  public <T> T kept(Object key, Supplier<T> how) {
    Map<Object, Optional<Object>> own = kept;
    if (own == null) {
      synchronized (this) {
        own = kept == null ? BoundedCache.latest(KEPT) : kept;
        kept = own;
      }
    }
    return (T) own.computeIfAbsent(key, k -> Optional.ofNullable(how.get())).orElse(null);
  }

  /**
   * Something made up of what is worked out for each piece, which depends on the shell, the piece,
   * and what is solid near it. It is worked out for all the first time, and later only for what may
   * have become another since.
   *
   * @param key the same for the same thing
   */
  public <T> Map<String, T> renewed(Object key, BiFunction<Space, Piece, T> each) {
    return renewed.of(this, key, Subjects.PIECES, each);
  }

  /**
   * The same, of what depends on no more of a piece than its name, form, stance and carrier: not on
   * its colours, nor on how it is kept in order.
   */
  public <T> Map<String, T> renewedBySolid(Object key, BiFunction<Space, Piece, T> each) {
    return renewedBySolid(key, Subjects.PIECES, each);
  }

  /** The same of other subjects. */
  public <S, T> Map<String, T> renewedBySolid(
      Object key, Subjects<S> subjects, BiFunction<Space, S, T> each) {
    return renewed.of(this, new Renewed.RenewedSolid(key), subjects, each);
  }

  /** Those of the shell alone. */
  public List<Body> shellBodies() {
    return shellBodies;
  }

  /** Everything solid: the shell and all pieces; a piece's body has the piece's id. */
  public Bodies bodies() {
    Bodies b = bodies;
    if (b == null) {
      List<Body> all = new ArrayList<>(shellBodies);
      order.pieces().forEach(p -> all.add(body(p)));
      b = new Bodies(all);
      bodies = b;
    }
    return b;
  }

  private Body body(Piece p) {
    return new Body(p.id(), shapes.mesh(p), p.pose());
  }

  /** Ids of all pieces that stand on this one, and on those, and so on. */
  public Set<String> carriedBy(String id) {
    return carriedBy(List.of(id));
  }

  /** Ids of all pieces carried by any of these, without these themselves. */
  public Set<String> carriedBy(Collection<String> ids) {
    return carried.below(ids);
  }

  private static String carrier(Piece p) {
    return p.on().kind() == On.OnKind.piece ? p.on().id() : null;
  }

  /** All in which another space, that came of this one, differs from it but for its pieces. */
  public List<Difference> differences(Space now) {
    List<Difference> all = new ArrayList<>(ShellDifference.between(shell, now.shell));
    all.addAll(filing.differences(now.filing));
    all.addAll(Difference.OfShown.between(showing, now.showing));
    return all;
  }

  /** These pieces, and then all that is carried by any of them. */
  public Set<String> withCarried(Collection<String> ids) {
    Set<String> all = new LinkedHashSet<>(ids);
    all.addAll(carriedBy(ids));
    return all;
  }

  /** How a body is called in a sentence: "wall B", "the floor", the name of a piece. */
  public String nameOf(String body) {
    Piece p = order.piece(body);
    return p != null ? p.name() : nameOf(PartName.read(body));
  }

  /** How a carrier is called in a sentence. */
  public String nameOf(On on) {
    return CarrierNames.of(this, on);
  }

  /** How a part of the shell is called in a sentence: by its own name if it was given one. */
  public String nameOf(PartName part) {
    return Objects.requireNonNullElseGet(filing.part(part).name(), () -> shell.nameOf(part));
  }
}

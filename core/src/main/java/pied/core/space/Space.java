package pied.core.space;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import pied.core.Kept;
import pied.core.Refusal;
import pied.core.catalog.Article;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.solid.Bodies;
import pied.core.solid.Body;

/** One room with everything in it: an immutable value. */
public final class Space {
  private static final int KEPT = 500;

  private final Shell shell;
  private final Order order;
  private final Map<String, Piece> pieces;
  private final Shapes shapes;
  private final List<Body> shellBodies;
  private volatile Bodies bodies;
  private final Map<Object, Optional<Object>> kept = Kept.latest(KEPT);

  public Space(Shell shell, Collection<Piece> pieces, Shapes shapes) {
    this(shell, shapes, pieces.stream().map(p -> new Ordered(p, null)).toList());
  }

  private Space(Shell shell, Shapes shapes, List<Ordered> pieces) {
    this(shell, Order.EMPTY.with(pieces), shapes, ShellBodies.of(ShellCheck.checked(shell)));
  }

  private Space(Shell shell, Order order, Shapes shapes, List<Body> shellBodies) {
    this.shell = shell;
    this.order = order;
    this.pieces = order.pieces();
    this.shapes = shapes;
    this.shellBodies = shellBodies;
  }

  /** A space as it was, with the places of its pieces. */
  public static Space of(Shell shell, List<Ordered> pieces, Shapes shapes) {
    return new Space(shell, shapes, pieces);
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
    return new Space(other, order, shapes, ShellBodies.of(ShellCheck.checked(other)));
  }

  /** All pieces in the order in which they came. */
  public Collection<Piece> pieces() {
    return Collections.unmodifiableCollection(pieces.values());
  }

  public boolean has(String id) {
    return pieces.containsKey(id);
  }

  /**
   * The piece of this id.
   *
   * @throws Refusal if there is none in this space
   */
  public Piece piece(String id) {
    Piece p = id == null ? null : pieces.get(id);
    if (p == null) {
      String shown = id == null ? "" : id.length() > 40 ? id.substring(0, 40) + "…" : id;
      throw new Refusal("There is no piece “" + shown + "” in this space.");
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
    return new Space(shell, order.replacing(changed), shapes, shellBodies);
  }

  public Space with(Piece changed) {
    return with(List.of(changed));
  }

  /** This space with some pieces put in, each at its place in the order. */
  public Space putting(List<Ordered> more) {
    return more.isEmpty() ? this : new Space(shell, order.with(more), shapes, shellBodies);
  }

  /** Where a piece is in the order of all: what came first has the least. */
  public long placeOf(String id) {
    return order.places().get(id);
  }

  /** This space without some pieces. */
  public Space without(Collection<String> ids) {
    return ids.isEmpty() ? this : new Space(shell, order.without(ids), shapes, shellBodies);
  }

  /**
   * What was worked out about this space before, or is now; it must depend on nothing but the space
   * and the key.
   */
  @SuppressWarnings("unchecked")
  public <T> T kept(Object key, Supplier<T> how) {
    return (T) kept.computeIfAbsent(key, k -> Optional.ofNullable(how.get())).orElse(null);
  }

  /** The bodies of the shell alone. */
  public List<Body> shellBodies() {
    return shellBodies;
  }

  /** Everything solid: the shell and all pieces; a piece's body has the piece's id. */
  public Bodies bodies() {
    Bodies b = bodies;
    if (b == null) {
      List<Body> all = new ArrayList<>(shellBodies);
      pieces.values().forEach(p -> all.add(new Body(p.id(), shapes.mesh(p), p.pose())));
      b = new Bodies(all);
      bodies = b;
    }
    return b;
  }

  /** Ids of all pieces that stand on this one, and on those, and so on. */
  public Set<String> carriedBy(String id) {
    return carriedBy(List.of(id));
  }

  /** Ids of all pieces carried by any of these, without these themselves. */
  public Set<String> carriedBy(Collection<String> ids) {
    Set<String> found = new HashSet<>(ids);
    boolean grown = true;
    while (grown) {
      grown = false;
      for (Piece p : pieces.values()) {
        if (p.on().kind() == On.Kind.piece && found.contains(p.on().id()) && found.add(p.id())) {
          grown = true;
        }
      }
    }
    found.removeAll(Set.copyOf(ids));
    return found;
  }

  /** These pieces, and then all that is carried by any of them. */
  public Set<String> withCarried(Collection<String> ids) {
    Set<String> all = new LinkedHashSet<>(ids);
    all.addAll(carriedBy(ids));
    return all;
  }

  /** How a body is called in a sentence: "wall B", "the floor", the name of a piece. */
  public String nameOf(String body) {
    if (pieces.containsKey(body)) {
      return pieces.get(body).name();
    }
    return shellName(body);
  }

  /** How a carrier is called in a sentence. */
  public String nameOf(On on) {
    return switch (on.kind()) {
      case floor -> shell.stage() == null ? "the floor" : "the stage floor";
      case ceiling -> nameOf(ShellBodies.CEILING);
      case wall -> wallName(on.id());
      case platform, bar -> "the " + on.id();
      case opening -> nameOf(ShellBodies.OPENING + on.id());
      case piece -> piece(on.id()).name();
      case nothing -> "nothing";
    };
  }

  private String shellName(String body) {
    int colon = body.indexOf(':');
    String id = body.substring(colon + 1);
    return switch (body.substring(0, colon + 1)) {
      case ShellBodies.WALL -> wallName(id);
      case ShellBodies.SKIRTING -> "the skirting of wall " + id;
      case ShellBodies.OPENING ->
          shell.openings().stream()
              .filter(o -> o.id().equals(id))
              .map(o -> "the " + o.words())
              .findFirst()
              .orElse("an opening");
      case "" ->
          body.equals(ShellBodies.CEILING) && shell.stage() != null ? "the grid" : "the " + id;
      default -> "the " + id;
    };
  }

  /** How a wall or a partition is called in a sentence. */
  public String wallName(String name) {
    return shell.partitions().stream().anyMatch(p -> p.id().equals(name))
        ? "the " + name
        : "wall " + name;
  }
}

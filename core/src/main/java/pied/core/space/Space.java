package pied.core.space;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.Refusal;
import pied.core.catalog.Article;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.solid.Bodies;
import pied.core.solid.Body;

/** One room with everything in it: an immutable value. */
public final class Space {
  private final Shell shell;
  private final Map<String, Piece> pieces;
  private final Shapes shapes;
  private final List<Body> shellBodies;
  private volatile Bodies bodies;

  public Space(Shell shell, Collection<Piece> pieces, Shapes shapes) {
    this(shell, byId(pieces), shapes, ShellBodies.of(shell));
  }

  private Space(Shell shell, Map<String, Piece> pieces, Shapes shapes, List<Body> shellBodies) {
    this.shell = shell;
    this.pieces = pieces;
    this.shapes = shapes;
    this.shellBodies = shellBodies;
  }

  private static Map<String, Piece> byId(Collection<Piece> pieces) {
    Map<String, Piece> map = new LinkedHashMap<>();
    pieces.forEach(p -> map.put(p.id(), p));
    return map;
  }

  public Shell shell() {
    return shell;
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

  /** This space with some pieces put in or replaced. */
  public Space with(Collection<Piece> changed) {
    Map<String, Piece> next = new LinkedHashMap<>(pieces);
    changed.forEach(p -> next.put(p.id(), p));
    return new Space(shell, next, shapes, shellBodies);
  }

  public Space with(Piece changed) {
    return with(List.of(changed));
  }

  /** This space without some pieces. */
  public Space without(Collection<String> ids) {
    Map<String, Piece> next = new LinkedHashMap<>(pieces);
    next.keySet().removeAll(Set.copyOf(ids));
    return new Space(shell, next, shapes, shellBodies);
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

  /** How a body is called in a sentence: "wall B", "the floor", the name of a piece. */
  public String nameOf(String body) {
    if (pieces.containsKey(body)) {
      return pieces.get(body).name();
    }
    if (body.startsWith(ShellBodies.WALL)) {
      return "wall " + body.substring(ShellBodies.WALL.length());
    }
    if (body.startsWith(ShellBodies.OPENING)) {
      String id = body.substring(ShellBodies.OPENING.length());
      return shell.openings().stream()
          .filter(o -> o.id().equals(id))
          .map(o -> "the " + o.kind())
          .findFirst()
          .orElse("an opening");
    }
    return "the " + body;
  }
}

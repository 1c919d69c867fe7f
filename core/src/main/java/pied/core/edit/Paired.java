package pied.core.edit;

import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.Names;
import pied.core.piece.Keeping;
import pied.core.piece.On;
import pied.core.piece.Partner;
import pied.core.piece.Piece;
import pied.core.space.Carriers;
import pied.core.space.Motion;
import pied.core.space.PartName;
import pied.core.space.Twin;

/** Makes, moves and parts pairs of twins on the bench. */
public final class Paired {
  private Paired() {}

  /**
   * Puts in the other one of each of these, carried by one another as these are.
   *
   * @param parts of the shell; what is on them and among the pieces has its twin on their twins
   */
  public static void make(EditSession session, Twin line, List<String> ids, List<PartName> parts) {
    if (!parts.isEmpty()) {
      BuiltIn.twin(session, line, parts);
    }
    make(session, line, ids);
  }

  /** As above. */
  static void make(EditSession session, Twin line, List<String> ids) {
    Map<String, String> others = new HashMap<>();
    ids.forEach(id -> others.put(id, session.newId()));
    ids.forEach(session::follows);
    session.alter(
        ids,
        p -> p.withKeeping(p.keeping().withTwin(new Partner(line.id(), others.get(p.id()), true))));
    session.put(
        ids.stream()
            .map(session::piece)
            .map(
                p -> {
                  On on = p.on();
                  boolean along = on.kind() == On.OnKind.piece && others.containsKey(on.id());
                  return image(session, line, p, along ? On.piece(others.get(on.id())) : on);
                })
            .toList());
    List<String> tops =
        ids.stream()
            .filter(id -> !others.containsKey(String.valueOf(session.piece(id).on().id())))
            .map(others::get)
            .toList();
    rest(session, tops);
  }

  private static Piece image(EditSession session, Twin line, Piece p, On on) {
    return line.image(p)
        .withId(p.keeping().twin().piece())
        .withOn(on)
        .withName(session.freeName(Names.bare(p.name())))
        .withKeeping(
            p.keeping()
                .inGroup(null)
                .withSlot(null)
                .withLocked(false)
                .withTwin(new Partner(line.id(), p.id(), false)));
  }

  /** What carries an image is what is really there. */
  static void rest(EditSession session, List<String> tops) {
    session.carriers(tops.stream().filter(id -> !session.piece(id).attached()).toList());
    session.sayOverlaps(tops);
  }

  /** The others of all pairs of a line go where they are the images of the first ones. */
  public static void follow(EditSession session, Twin line) {
    BuiltIn.follow(session, line);
    Map<String, Piece> next = new HashMap<>();
    for (Piece p : session.space().pieces()) {
      Partner pair = p.keeping().twin();
      if (pair != null && pair.first() && pair.twin().equals(line.id())) {
        next.put(pair.piece(), line.image(p));
      }
    }
    next.keySet().forEach(session::follows);
    Map<String, Piece> all = new HashMap<>();
    next.forEach(
        (id, image) -> {
          Piece other = session.piece(id);
          Motion m = Motion.between(other.stance(), image.stance());
          for (String c : session.space().carriedBy(id)) {
            if (!next.containsKey(c) && m != null) {
              all.put(c, session.piece(c).withStance(m.of(session.piece(c).stance())));
            }
          }
          all.put(id, other.withStance(image.stance()).withForm(image.form()));
        });
    session.alter(all.keySet(), p -> all.get(p.id()));
    rest(session, Carriers.tops(session.space(), List.copyOf(next.keySet())));
  }

  /** Parts all of these; what nobody is a twin by any more goes. */
  public static void part(EditSession session, Collection<String> ids, Collection<PartName> parts) {
    Set<String> lines = new LinkedHashSet<>();
    for (PartName p : parts) {
      lines.add(session.filing().part(p).keeping().twin().twin());
    }
    for (String id : ids) {
      lines.add(session.piece(id).keeping().twin().twin());
      session.follows(id);
    }
    lines.forEach(session::rules);
    session.alter(ids, p -> p.withKeeping(p.keeping().withTwin(null)));
    BuiltIn.keep(session, parts, k -> k.withKeeping(k.keeping().withTwin(null)));
    lines.forEach(line -> dissolveEmpty(session, line));
  }

  /** A line that nobody is a twin by goes. */
  static void dissolveEmpty(EditSession session, String line) {
    boolean none = pieces(session, line) == 0 && parts(session, line) == 0;
    if (session.filing().twin(line) != null && none) {
      session.file(session.filing().withoutTwin(line));
    }
  }

  /** How many pieces are twins by a line. */
  static long pieces(EditSession session, String line) {
    return session.space().pieces().stream().filter(p -> isBy(line, p.keeping())).count();
  }

  /** How many parts of the shell are twins by a line. */
  static long parts(EditSession session, String line) {
    return session.filing().parts().stream().filter(p -> isBy(line, p.keeping())).count();
  }

  private static boolean isBy(String line, Keeping k) {
    return k.twin() != null && k.twin().twin().equals(line);
  }
}

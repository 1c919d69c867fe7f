package pied.core.edit;

import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.Names;
import pied.core.piece.On;
import pied.core.piece.Partner;
import pied.core.piece.Piece;
import pied.core.space.Motion;
import pied.core.space.Twin;

/** Makes, moves and parts pairs of twins on the bench. */
public final class Paired {
  private Paired() {}

  /** Puts in the other one of each of these, carried by one another as these are. */
  public static void make(Bench bench, Twin line, List<String> ids) {
    Map<String, String> others = new HashMap<>();
    ids.forEach(id -> others.put(id, bench.newId()));
    ids.forEach(bench::follows);
    bench.alter(
        ids,
        p -> p.withKeeping(p.keeping().withTwin(new Partner(line.id(), others.get(p.id()), true))));
    bench.put(
        ids.stream()
            .map(bench::piece)
            .map(
                p -> {
                  On on = p.on();
                  boolean along = on.kind() == On.Kind.piece && others.containsKey(on.id());
                  return image(bench, line, p, along ? On.piece(others.get(on.id())) : on);
                })
            .toList());
    List<String> tops =
        ids.stream()
            .filter(id -> !others.containsKey(String.valueOf(bench.piece(id).on().id())))
            .map(others::get)
            .toList();
    rest(bench, tops);
  }

  private static Piece image(Bench bench, Twin line, Piece p, On on) {
    return line.image(p)
        .withId(p.keeping().twin().piece())
        .withOn(on)
        .withName(bench.freeName(Names.bare(p.name())))
        .withKeeping(
            p.keeping()
                .inGroup(null)
                .withSlot(null)
                .withLocked(false)
                .withTwin(new Partner(line.id(), p.id(), false)));
  }

  /** What carries an image is what is really there. */
  static void rest(Bench bench, List<String> tops) {
    bench.carriers(tops.stream().filter(id -> !bench.piece(id).attached()).toList());
    bench.sayOverlaps(tops);
  }

  /** The others of all pairs of a line go where they are the images of the first ones. */
  public static void follow(Bench bench, Twin line) {
    Map<String, Piece> next = new HashMap<>();
    for (Piece p : bench.space().pieces()) {
      Partner pair = p.keeping().twin();
      if (pair != null && pair.first() && pair.twin().equals(line.id())) {
        next.put(pair.piece(), line.image(p));
      }
    }
    next.keySet().forEach(bench::follows);
    Map<String, Piece> all = new HashMap<>();
    next.forEach(
        (id, image) -> {
          Piece other = bench.piece(id);
          Motion m = Motion.between(other.stance(), image.stance());
          for (String c : bench.space().carriedBy(id)) {
            if (!next.containsKey(c) && m != null) {
              all.put(c, bench.piece(c).withStance(m.of(bench.piece(c).stance())));
            }
          }
          all.put(id, other.withStance(image.stance()).withForm(image.form()));
        });
    bench.alter(all.keySet(), p -> all.get(p.id()));
    rest(bench, bench.tops(List.copyOf(next.keySet())));
  }

  /** Parts all of these; what nobody is a twin by any more goes. */
  public static void part(Bench bench, Collection<String> ids) {
    Set<String> lines = new LinkedHashSet<>();
    for (String id : ids) {
      lines.add(bench.piece(id).keeping().twin().twin());
      bench.follows(id);
    }
    lines.forEach(bench::rules);
    bench.alter(ids, p -> p.withKeeping(p.keeping().withTwin(null)));
    lines.forEach(line -> dissolveEmpty(bench, line));
  }

  /** A line that nobody is a twin by goes. */
  static void dissolveEmpty(Bench bench, String line) {
    if (bench.filing().twin(line) != null && pieces(bench, line) == 0) {
      bench.file(bench.filing().withoutTwin(line));
    }
  }

  /** How many pieces are twins by a line. */
  static long pieces(Bench bench, String line) {
    return bench.space().pieces().stream()
        .map(p -> p.keeping().twin())
        .filter(p -> p != null && p.twin().equals(line))
        .count();
  }
}

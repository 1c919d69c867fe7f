package pied.core.lighting;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.piece.Piece;
import pied.core.space.Space;

/**
 * Lamps of one article on one circuit, as a list of lamps has them.
 *
 * @param kind a branch of the catalog
 * @param circuit name of it; null for none
 * @param pieces ids
 * @param on whether all burn; null where only some do
 * @param level of all of them, of 1; null where they differ
 * @param lumens of those that burn
 * @param watts they take
 */
public record LampLine(
    String article,
    String name,
    String kind,
    @Nullable String circuit,
    List<String> pieces,
    @Nullable Boolean on,
    @Nullable Double level,
    double lumens,
    double watts) {

  /** All lamps of a space, in the order in which they came. */
  public static List<LampLine> of(Space space) {
    Map<List<String>, List<Piece>> lines = new LinkedHashMap<>();
    for (Piece p : space.pieces()) {
      if (space.article(p).light() != null) {
        String circuit = Objects.requireNonNullElse(p.lamp().circuit(), "");
        lines.computeIfAbsent(List.of(p.article(), circuit), k -> new ArrayList<>()).add(p);
      }
    }
    return lines.values().stream().map(some -> of(space, some)).toList();
  }

  private static LampLine of(Space space, List<Piece> some) {
    Article a = space.article(some.get(0));
    return new LampLine(
        a.id(),
        a.name(),
        a.kind(),
        some.get(0).lamp().circuit(),
        some.stream().map(Piece::id).toList(),
        common(some, p -> p.lamp().on()),
        common(some, p -> p.lamp().level()),
        sum(some, p -> p.lamp().burning() * LampLight.of(space, p).lumens()),
        sum(some, p -> p.lamp().burning() * LampLight.of(space, p).watts()));
  }

  private static double sum(List<Piece> some, ToDoubleFunction<Piece> of) {
    return some.stream().mapToDouble(of).sum();
  }

  private static <T> @Nullable T common(List<Piece> some, Function<Piece, T> of) {
    T first = of.apply(some.get(0));
    return some.stream().allMatch(p -> first.equals(of.apply(p))) ? first : null;
  }
}

package pied.core.tool.light;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import pied.core.Nullable;
import pied.core.edit.EditSession;
import pied.core.piece.Piece;
import pied.core.say.Nouns;
import pied.core.space.Space;
import pied.core.units.Refusal;

/**
 * Lamps that are meant together; all of them where nothing is said.
 *
 * @param kind a branch of the catalog, such as "lamps/pendant"
 * @param layer id of the layer they are on
 * @param circuit name of the circuit they are switched with
 * @param article id of the article they are of
 */
@RecordBuilder
public record LampsMeant(
    @Nullable String kind,
    @Nullable String layer,
    @Nullable String circuit,
    @Nullable String article) {
  public static final LampsMeant ALL = new LampsMeant(null, null, null, null);

  /** Ids of the lamps of a space that are meant, in their order. */
  public List<String> in(Space space) {
    return space.pieces().stream()
        .filter(p -> isLamp(space, p) && means(space, p))
        .map(Piece::id)
        .toList();
  }

  /**
   * Those of the named pieces that are lamps; of what is meant where none are named.
   *
   * @throws Refusal if none is a lamp
   */
  static List<String> named(
      EditSession session, @Nullable List<String> pieces, @Nullable LampsMeant which) {
    if (pieces == null) {
      List<String> all = Objects.requireNonNullElse(which, ALL).in(session.space());
      if (all.isEmpty()) {
        throw new Refusal("There is no such lamp in this space.");
      }
      return session.chosen(all);
    }
    List<String> lamps =
        session.chosen(pieces).stream()
            .filter(id -> isLamp(session.space(), session.piece(id)))
            .toList();
    if (lamps.isEmpty()) {
      Piece first = session.piece(session.chosen(pieces).get(0));
      throw new Refusal("{} is no lamp: it gives no light.", first.name());
    }
    return lamps;
  }

  private boolean means(Space space, Piece p) {
    String k = space.article(p).kind();
    return (kind == null || k.equals(kind) || k.startsWith(kind + "/"))
        && (article == null || article.equals(p.article()))
        && (layer == null || space.layer(p).id().equals(layer))
        && (circuit == null || circuit.equalsIgnoreCase(p.lamp().circuit()));
  }

  public static boolean isLamp(Space space, Piece p) {
    return space.article(p).light() != null;
  }

  static boolean isLamp(Nouns n, String id) {
    return n.space().has(id) && isLamp(n.space(), n.space().piece(id));
  }

  /** Names of all circuits, in the order of the alphabet. */
  public static List<String> circuits(Space space) {
    return space.pieces().stream()
        .map(p -> p.lamp().circuit())
        .filter(c -> c != null)
        .distinct()
        .sorted(
            Comparator.comparing((String c) -> c.toLowerCase(Locale.ROOT)).thenComparing(c -> c))
        .toList();
  }
}

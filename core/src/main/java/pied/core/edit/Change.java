package pied.core.edit;

import static java.util.stream.Collectors.toSet;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.space.Difference;
import pied.core.space.Difference.OfBuilt;
import pied.core.space.Difference.OfFiling;
import pied.core.space.Difference.OfPart;
import pied.core.space.Difference.OfPiece;
import pied.core.space.Ordered;
import pied.core.space.PartName;
import pied.core.space.Space;

/**
 * All that is another afterwards. Reversed, it undoes itself, to the last bit, the order of the
 * pieces included.
 *
 * @param all each thing once: the shell first, then layers and groups, then the pieces in their
 *     order
 */
public record Change(@JsonValue List<Difference> all) {
  @JsonCreator
  public Change {
    all = List.copyOf(all);
  }

  /**
   * What turns one space into another.
   *
   * @param touched ids of all pieces that may be others, or there in one of them only
   */
  public static Change between(Space before, Space after, Collection<String> touched) {
    List<OfPiece> pieces = new ArrayList<>();
    for (String id : touched) {
      Ordered was = before.ordered(id);
      Ordered is = after.ordered(id);
      if (!Objects.equals(was, is)) {
        pieces.add(new OfPiece(was, is));
      }
    }
    pieces.sort(
        Comparator.comparingLong(d -> (d.after() == null ? d.before() : d.after()).place()));
    List<Difference> all = before.differences(after);
    all.addAll(pieces);
    return new Change(all);
  }

  /** Whether nothing is another afterwards. */
  public boolean none() {
    return all.isEmpty();
  }

  public Change reversed() {
    return new Change(all.stream().map(Difference::reversed).toList());
  }

  public Space apply(Space space) {
    return space.apply(all);
  }

  /** The pieces among it. */
  public Stream<OfPiece> pieces() {
    return of(OfPiece.class);
  }

  /** What of the shell is among it. */
  public List<OfBuilt> built() {
    return of(OfBuilt.class).toList();
  }

  /** Whether the shell is another. */
  public boolean shell() {
    return of(OfBuilt.class).findAny().isPresent();
  }

  /** Whether the shell is drawn otherwise afterwards: it is another, or parts of it are shown. */
  public boolean shellDrawn() {
    return shell()
        || all.stream()
            .anyMatch(d -> d instanceof Difference.OfKeptPart || d instanceof Difference.OfLayers);
  }

  /** Whether layers, groups or named selections are others. */
  public boolean filing() {
    return of(OfFiling.class).findAny().isPresent();
  }

  /** Whether its day, looks or viewpoints are others. */
  public boolean showing() {
    return of(Difference.OfShown.class).findAny().isPresent();
  }

  private <D extends Difference> Stream<D> of(Class<D> kind) {
    return all.stream().filter(kind::isInstance).map(kind::cast);
  }

  /** Pieces as they are afterwards, put in or altered, by their ids. */
  public List<Piece> changed() {
    return pieces()
        .filter(d -> d.after() != null)
        .map(OfPiece::piece)
        .sorted(Comparator.comparing(Piece::id))
        .toList();
  }

  /**
   * Ids of pieces that were not there before, in their order, without those that came along on
   * others of them.
   */
  public List<String> made() {
    Set<String> all = pieces().filter(d -> d.before() == null).map(OfPiece::id).collect(toSet());
    return pieces()
        .filter(d -> d.before() == null)
        .map(OfPiece::piece)
        .filter(p -> p.on().kind() != On.OnKind.piece || !all.contains(p.on().id()))
        .map(Piece::id)
        .toList();
  }

  /** Names of parts of the shell that were not there before. */
  public List<PartName> madeParts() {
    return of(OfPart.class)
        .filter(d -> d.before() == null)
        .map(d -> d.after().part().name())
        .toList();
  }

  /** Ids of pieces that are not there afterwards. */
  public List<String> gone() {
    return pieces().filter(d -> d.after() == null).map(OfPiece::id).toList();
  }
}

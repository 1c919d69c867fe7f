package pied.core.tool.onto;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.edit.Copies;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Carriers;
import pied.core.units.Refusal;

/**
 * Copies what stands on a piece onto others, to the matching places: as far along and across each
 * as it is there, turned with it, at rest on what is truly there.
 *
 * @param pieces what is copied; a piece that stands on no other means all that stands on it
 * @param onto ids of the pieces that carry the copies
 */
@JsonTypeName("copyOnto")
@RecordBuilder
public record CopyOnto(List<String> pieces, List<String> onto) implements Edit {
  @Override
  public void make(EditSession session) {
    Map<String, String> from = sources(session);
    Set<String> to = new LinkedHashSet<>(session.chosen(onto));
    to.removeAll(from.values());
    to.removeAll(session.space().withCarried(from.keySet()));
    if (to.isEmpty()) {
      throw new Refusal("Select the pieces onto which it goes, other than the one it stands on.");
    }
    List<String> made = new ArrayList<>();
    for (String id : to) {
      Piece carrier = session.piece(id);
      if (!session.article(id).carries()) {
        throw new Refusal("Nothing can stand on {}.", carrier.name());
      }
      made.addAll(one(session, from, carrier));
    }
    session.sayOverlaps(made);
  }

  /** What is copied, without what stands on it, with what it stands on. */
  private Map<String, String> sources(EditSession session) {
    Map<String, String> from = new LinkedHashMap<>();
    for (String id : Carriers.tops(session.space(), session.chosen(pieces))) {
      Piece p = session.piece(id);
      if (p.on().kind() == On.OnKind.piece) {
        from.put(id, p.on().id());
        continue;
      }
      Set<String> all = session.space().carriedBy(id);
      if (all.isEmpty()) {
        throw new Refusal(
            "{} stands on no other piece, and nothing on it; copy what stands on one.", p.name());
      }
      for (String c : all) {
        if (session.piece(c).on().equals(On.piece(id))) {
          from.put(c, id);
        }
      }
    }
    return from;
  }

  private static List<String> one(EditSession session, Map<String, String> from, Piece carrier) {
    Copies copies = new Copies(session, session.space().withCarried(from.keySet()));
    List<Piece> placed = new ArrayList<>();
    from.forEach(
        (id, old) ->
            placed.addAll(placed(session, session.piece(id), session.piece(old), carrier)));
    copies.put(placed);
    List<String> made = from.keySet().stream().map(copies::of).toList();
    session.settle(made, true);
    for (String id : made) {
      if (!session.piece(id).on().equals(On.piece(carrier.id()))) {
        session.say("{} found no room on {}.", session.piece(id).name(), carrier.name());
      }
    }
    return made;
  }

  /** A piece and what stands on it, as it would be on another carrier. */
  private static List<Piece> placed(EditSession session, Piece p, Piece old, Piece carrier) {
    Vec there = old.pose().unapply(p.at());
    Vec here =
        new Vec(
            there.x() * carrier.size().width() / old.size().width(),
            there.y() * carrier.size().height() / old.size().height(),
            there.z() * carrier.size().depth() / old.size().depth());
    Vec at = carrier.pose().apply(here);
    double more = carrier.turn() - old.turn();
    Pose by = Pose.of(Vec.ZERO, more);
    List<Piece> all = new ArrayList<>();
    for (String id : session.space().withCarried(List.of(p.id()))) {
      Piece q = session.piece(id);
      all.add(
          q.withAt(at.plus(by.direct(q.at().minus(p.at()))))
              .withTurn(q.turn() + more)
              .withOn(id.equals(p.id()) ? On.piece(carrier.id()) : q.on()));
    }
    return all;
  }
}

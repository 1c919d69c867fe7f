package pied.core.tool.repeat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.Names;
import pied.core.edit.EditSession;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Slot;
import pied.core.solid.Vec;
import pied.core.space.Group;
import pied.core.space.Motion;
import pied.core.space.Repetition;
import pied.core.space.Sample;

/** Puts pieces into the places of a repetition. */
final class Filling {
  private final EditSession session;
  private final Group g;
  private final Repetition r;
  private final boolean renewed;
  private final boolean named;

  /**
   * @param renewed whether what is repeated is something else than before
   * @param named whether what is made is kept as what is repeated is, and not as what is new
   */
  Filling(EditSession session, Group g, Repetition r, boolean renewed, boolean named) {
    this.session = session;
    this.g = g;
    this.r = r;
    this.renewed = renewed;
    this.named = named;
  }

  /**
   * Fills all places: what is there goes where it is to be, what is wanting is made, and what has
   * no place goes.
   *
   * @param there what fills a place now, by its number
   */
  void fill(LaidOut laid, Map<Long, List<Piece>> there) {
    Map<String, Piece> moved = new LinkedHashMap<>();
    List<Piece> made = new ArrayList<>();
    List<String> resting = new ArrayList<>();
    Set<String> gone = new LinkedHashSet<>();
    Map<String, Motion> along = new LinkedHashMap<>();
    Set<Long> kept = new HashSet<>();
    for (LaidOut.LaidPlace place : laid.places()) {
      session.deadline().check();
      List<Piece> now = there.get(place.number());
      kept.add(place.number());
      if (r.out().contains(place.number()) || now != null && now.stream().anyMatch(Filling::own)) {
        continue;
      }
      Sample s = r.mix().get(place.sample());
      if (now != null && now.size() != s.parts().size()) {
        gone.addAll(ids(now));
        now = null;
      }
      List<Piece> filled = now == null ? anew(place, s) : changed(now, s);
      List<Piece> placed = placed(place, s, filled);
      for (int k = 0; k < placed.size(); k++) {
        Piece p = placed.get(k);
        if (now == null) {
          made.add(p);
        } else {
          moved.put(p.id(), p);
          along.put(p.id(), Motion.between(filled.get(k).stance(), p.stance()));
        }
        boolean top = !within(s, s.parts().get(k).on());
        if (top && place.on() == null) {
          resting.add(p.id());
        }
      }
    }
    there.forEach((n, old) -> gone.addAll(kept.contains(n) ? List.of() : ids(old)));
    if (!gone.isEmpty()) {
      gone.forEach(session::follows);
      session.takeOut(gone);
    }
    move(moved, along);
    made.replaceAll(p -> p.withName(session.freeName(Names.bare(p.name()))));
    session.put(made);
    session.settle(resting, false);
    List<String> tops = new ArrayList<>(moved.keySet());
    tops.addAll(ids(made));
    session.sayOverlaps(tops);
  }

  private static List<String> ids(List<Piece> pieces) {
    return pieces.stream().map(Piece::id).toList();
  }

  private static boolean own(Piece p) {
    return p.keeping().slot() != null && p.keeping().slot().own();
  }

  /** What fills a place, as what is to fill it now; another article has its own size and name. */
  private List<Piece> changed(List<Piece> now, Sample s) {
    List<Piece> all = new ArrayList<>();
    for (int k = 0; k < now.size(); k++) {
      Piece p = now.get(k);
      Piece part = s.parts().get(k);
      boolean same = p.article().equals(part.article());
      all.add(
          same && !renewed
              ? p
              : p.withForm(part.form())
                  .withFinishes(part.finishes())
                  .withName(same ? p.name() : session.freeName(Names.bare(part.name()))));
    }
    return all;
  }

  private static boolean within(Sample s, On on) {
    return on.kind() == On.OnKind.piece && s.parts().stream().anyMatch(p -> p.id().equals(on.id()));
  }

  /** New pieces with ids that go by the repetition and the place. */
  private List<Piece> anew(LaidOut.LaidPlace place, Sample s) {
    List<Piece> all = new ArrayList<>();
    for (int k = 0; k < s.parts().size(); k++) {
      String id = g.id() + "." + place.number() + (k == 0 ? "" : "." + k);
      boolean taken = session.space().has(id);
      Piece part = s.parts().get(k);
      all.add(
          part.withId(taken ? session.newId() : id)
              .withKeeping((named ? part.keeping() : session.fresh()).withSlot(null)));
    }
    return all;
  }

  /** What fills a place, as it is there. */
  private List<Piece> placed(LaidOut.LaidPlace place, Sample s, List<Piece> filled) {
    Motion there = new Motion(Vec.ZERO, place.stance().at(), place.stance().turn());
    List<Piece> all = new ArrayList<>();
    for (int k = 0; k < filled.size(); k++) {
      Piece part = s.parts().get(k);
      Piece p = filled.get(k);
      On on = part.on();
      if (within(s, on)) {
        for (int j = 0; j < s.parts().size(); j++) {
          on = s.parts().get(j).id().equals(part.on().id()) ? On.piece(filled.get(j).id()) : on;
        }
      } else if (place.on() != null) {
        on = place.on();
      }
      Piece q =
          p.withStance(there.of(part.stance()))
              .withOn(on)
              .withKeeping(
                  p.keeping().withGroup(g.id()).withSlot(new Slot(place.number(), k, false)));
      all.add(place.form() == null ? q : q.withForm(place.form()));
    }
    return all;
  }

  /** Moves what there is, and with it what stands on it and is no part of the repetition. */
  private void move(Map<String, Piece> moved, Map<String, Motion> along) {
    moved.keySet().forEach(session::follows);
    Map<String, Piece> all = new LinkedHashMap<>(moved);
    for (String id : moved.keySet()) {
      Motion m = along.get(id);
      for (String c : session.space().carriedBy(id)) {
        if (!moved.containsKey(c) && m != null) {
          Piece q = session.piece(c);
          all.put(c, q.withStance(m.of(q.stance())));
        }
      }
    }
    session.alter(all.keySet(), p -> all.get(p.id()));
  }
}

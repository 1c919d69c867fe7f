package pied.server.space;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import pied.core.Nullable;
import pied.core.edit.Change;
import pied.core.edit.Declined;
import pied.core.edit.Edits;
import pied.core.edit.Ids;
import pied.core.edit.Offer;
import pied.core.edit.Outcome;
import pied.core.propose.Say;
import pied.core.space.Space;
import pied.core.space.Validity;
import pied.core.tool.keep.Remove;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.core.units.Text;
import pied.server.space.ProposalWire.Said;
import pied.server.space.ProposalWire.SayRequest;
import pied.server.space.SpaceWire.By;
import pied.server.space.SpaceWire.Changed;
import pied.server.space.SpaceWire.EditRequest;
import pied.server.space.SpaceWire.GoRequest;
import pied.server.space.SpaceWire.StepRequest;
import pied.server.store.Journal;

/** What requests do to spaces: edits, sentences, and ways through the history. */
final class Writing {
  /** Longest time the edits of one request may take, seconds. */
  static final int LONGEST = 90;

  /** Most ids that a request gives for what its edits make. */
  private static final int MOST_IDS = 2 * Validity.MOST_PIECES;

  private final Acts acts;
  private final Function<String, OpenSpace> open;
  private final Rows.Spaces spaces;
  private final Journal journal;

  Writing(Acts acts, Function<String, OpenSpace> open, Rows.Spaces spaces, Journal journal) {
    this.acts = acts;
    this.open = open;
    this.spaces = spaces;
    this.journal = journal;
  }

  /** Makes edits: all of them, or none; and takes out of another space what was cut there. */
  Changed edit(String id, EditRequest request) {
    By by = by(request.by());
    return acts.act(
        id,
        request.id(),
        request.revision(),
        heads -> {
          Outcome out = apply(heads.of(id).space(), request);
          if (request.shown() != null && !request.shown().equals(Shown.of(out.change()))) {
            throw new SpaceStore.Outdated();
          }
          List<Acts.ActPart> parts = new ArrayList<>(List.of(new Acts.ActPart(id, step(out, by))));
          if (request.cut() != null) {
            cut(id, heads, request, by).ifPresent(parts::add);
          }
          return parts;
        });
  }

  private Optional<Acts.ActPart> cut(String id, Acts.Heads heads, EditRequest request, By by) {
    String from = request.cut().space();
    if (from == null || from.equals(id) || request.cut().pieces() == null) {
      throw new Refusal("What is cut is in another space, and has pieces.");
    }
    Space there = heads.of(from).space();
    List<String> left = request.cut().pieces().stream().filter(there::has).distinct().toList();
    if (left.isEmpty()) {
      return Optional.empty();
    }
    try {
      Outcome out =
          Edits.apply(
              there,
              Remove.alone(there, left),
              LengthUnit.M,
              null,
              Writing::newId,
              Deadline.seconds(LONGEST));
      return Optional.of(new Acts.ActPart(from, step(out, by)));
    } catch (Refusal e) {
      throw e.of("In “" + open.apply(from).name() + "”: ");
    }
  }

  private static OpenSpace.Step step(Outcome out, @Nullable By by) {
    return new OpenSpace.Step(
        out.space(), out.change(), out.said(), out.offers(), out.part(), List.of(), by);
  }

  /** Does what a sentence, or a text of them, says: all of it, or nothing. */
  Said say(String id, SayRequest r) {
    LengthUnit unit = LengthUnit.orMetres(r.unit());
    List<String> about = r.pieces() == null ? List.of() : r.pieces();
    By by = by(r.by());
    Say.Done[] done = new Say.Done[1];
    Changed changed =
        acts.act(
            id,
            r.id(),
            null,
            heads -> {
              done[0] =
                  Say.make(
                      heads.of(id).space(),
                      r.text(),
                      about,
                      unit,
                      r.layer(),
                      Writing::newId,
                      Deadline.seconds(LONGEST));
              return List.of(new Acts.ActPart(id, step(done[0].outcome(), by)));
            });
    return done[0] == null // it was done before
        ? new Said(changed, changed.made(), List.of())
        : new Said(changed, done[0].selected(), done[0].understood());
  }

  static String newId() {
    return UUID.randomUUID().toString();
  }

  private static Outcome apply(Space space, EditRequest request) {
    if (request.edits() == null || request.edits().stream().anyMatch(java.util.Objects::isNull)) {
      throw new Refusal("The request has no edits.");
    }
    LengthUnit unit = LengthUnit.orMetres(request.unit());
    return Edits.apply(
        space,
        request.edits(),
        unit,
        request.layer(),
        ids(request.ids()),
        Deadline.seconds(LONGEST));
  }

  /** Ids that were given, and others after them. */
  private static Supplier<String> ids(@Nullable List<String> given) {
    if (given == null) {
      return Writing::newId;
    }
    if (given.size() > MOST_IDS || Set.copyOf(given).size() < given.size()) {
      throw new Refusal("Up to {} ids are given, none of them twice.", MOST_IDS);
    }
    given.forEach(Validity::id);
    return Ids.again(given, Writing::newId);
  }

  /** Who asks, if it makes sense. */
  private static @Nullable By by(@Nullable By by) {
    if (by == null || by.window() == null || by.window().isBlank()) {
      return null;
    }
    String who = by.who() == null ? "" : Text.clean(by.who()).strip();
    if (by.window().length() > 64 || !Text.whole(by.window()) || who.length() > 100) {
      throw new Refusal("A window has an id of 1 to 64 letters, and who works in it up to 100.");
    }
    return new By(by.window(), who);
  }

  /** Takes back what was done last, or does again what was undone last. */
  Changed through(String id, @Nullable StepRequest asked, boolean undo) {
    StepRequest r = asked == null ? new StepRequest(null, null, null) : asked;
    By by = by(r.by());
    OpenSpace o = open.apply(id);
    return walked(id, r.id(), by, r.how(), way -> way.step(undo, o.mine(by), r.how()));
  }

  /** To another point of the history. */
  Changed go(String id, GoRequest r) {
    By by = by(r.by());
    if (r.to() == null) {
      throw new Refusal("Say to which step of the history; 0 is where it begins.");
    }
    long key = StepRow.key(open.apply(id).no(), r.to());
    boolean alone = Boolean.TRUE.equals(r.alone());
    return walked(id, r.id(), by, null, way -> alone ? way.alone(key) : way.to(key));
  }

  /** A way through the history of a space, and of others where an act was in those, too. */
  private Changed walked(
      String id,
      @Nullable String request,
      @Nullable By by,
      @Nullable Offer.OfferStep how,
      Function<HistoryWalk, OpenSpace.Step> walk) {
    return acts.act(
        id,
        request,
        null,
        heads -> {
          OpenSpace.Step step = walk.apply(new HistoryWalk(heads.of(id), this::change, by));
          return everywhere(id, step, heads, how);
        });
  }

  /** What a step goes over here was one act with something elsewhere: that goes with it. */
  private List<Acts.ActPart> everywhere(
      String id, OpenSpace.Step step, Acts.Heads heads, @Nullable Offer.OfferStep how) {
    SpaceHistory here = heads.of(id);
    Map<String, List<Long>> undone = new LinkedHashMap<>();
    Map<String, List<Long>> redone = new LinkedHashMap<>();
    for (Long key : step.over()) {
      Long partner = here.partner(key);
      if (partner != null) {
        Map<String, List<Long>> to = Boolean.TRUE.equals(here.stands(key)) ? undone : redone;
        spaces
            .idOf(StepRow.space(partner))
            .ifPresent(s -> to.computeIfAbsent(s, x -> new ArrayList<>()).add(partner));
      }
    }
    List<Acts.ActPart> parts = new ArrayList<>();
    List<String> said = new ArrayList<>();
    Set<String> all = new LinkedHashSet<>(undone.keySet());
    all.addAll(redone.keySet());
    for (String other : all) {
      OpenSpace o = open.apply(other);
      if (o.aside() != null) {
        said.add(o.aside().words() + " What was one act with it there stays as it is.");
        continue;
      }
      try {
        HistoryWalk way = new HistoryWalk(heads.of(other), this::change, step.by());
        way.over(true, undone.getOrDefault(other, List.of()), how);
        OpenSpace.Step there = way.over(false, redone.getOrDefault(other, List.of()), how);
        if (there != null) {
          parts.add(new Acts.ActPart(other, there));
          said.add("In “" + o.name() + "” as well.");
        }
      } catch (Declined e) {
        throw new Declined(e.of("In “" + o.name() + "”: "), e.offers());
      }
    }
    parts.add(0, new Acts.ActPart(id, step.saying(said)));
    return parts;
  }

  private Change change(SpaceHistory head, long key) {
    Change change = head.underWay(key);
    return change != null ? change : journal.find(StepRow.class, key).orElseThrow().change();
  }
}

package pied.server.space;

import java.util.List;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import pied.core.Nullable;
import pied.core.Refusal;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.Outcome;
import pied.core.edit.Wanting;
import pied.core.phrase.Phrase;
import pied.core.point.Pointing;
import pied.core.say.Ask;
import pied.core.say.Say;
import pied.core.say.Sentences;
import pied.core.say.Understood;
import pied.core.space.Space;
import pied.core.units.LengthUnit;
import pied.server.space.SpaceWire.EditRequest;
import pied.server.space.SpaceWire.PointingView;
import pied.server.space.SpaceWire.Proposal;
import pied.server.space.SpaceWire.ProposeRequest;
import pied.server.space.SpaceWire.Said;
import pied.server.space.SpaceWire.SayRequest;

/** What shall be, in sentences: understood, shown before it is done, and done. */
@RestController
@RequestMapping("/api/spaces/{id}")
class SayController {
  private final SpaceStore store;

  SayController(SpaceStore store) {
    this.store = store;
  }

  /** Does what a sentence says, or a text of a sentence a line: all of it, or nothing. */
  @PostMapping("/say")
  Said say(@PathVariable String id, @RequestBody SayRequest request) {
    return store.say(id, request);
  }

  /** How a sentence is understood, and what it would lead to. */
  @PostMapping("/understand")
  Proposal understand(@PathVariable String id, @RequestBody SayRequest r) {
    OpenSpace.Seen now = store.seen(id);
    LengthUnit unit = unit(r.unit());
    List<String> about =
        r.pieces() == null ? List.of() : r.pieces().stream().filter(now.space()::has).toList();
    String text = r.text() == null ? "" : r.text();
    Understood u = Say.understand(new Ask(now.space(), about, unit, SpaceStore::newId), text);
    return tried(now, u, unit, r.layer());
  }

  /** An edit in words, with what can be typed and chosen in it, and what it would lead to. */
  @PostMapping("/propose")
  Proposal propose(@PathVariable String id, @RequestBody ProposeRequest r) {
    OpenSpace.Seen now = store.seen(id);
    if (r.edit() == null && r.begin() == null) {
      throw new Refusal("The request has no edit.");
    }
    LengthUnit unit = unit(r.unit());
    Edit edit =
        r.edit() == null
            ? r.begin().edit(now.space(), unit, r.pieces(), r.point())
            : pointed(now.space(), unit, r.edit(), r);
    List<Phrase> words = Sentences.write(now.space(), edit, unit);
    Understood u =
        new Understood(
            List.of(edit), words == null ? List.of() : words, List.of(), List.of(), 0, null);
    return tried(now, u, unit, r.layer());
  }

  private static Edit pointed(Space space, LengthUnit unit, Edit edit, ProposeRequest r) {
    if (r.pull() != null) {
      return Pointing.pulled(space, unit, edit, r.pull());
    }
    if (r.point() != null) {
      return Pointing.at(space, unit, edit, r.point());
    }
    return Boolean.TRUE.equals(r.back()) ? Pointing.back(edit) : edit;
  }

  private static LengthUnit unit(@Nullable String sign) {
    return sign == null ? LengthUnit.M : LengthUnit.of(sign);
  }

  private Proposal tried(
      OpenSpace.Seen now, Understood u, LengthUnit unit, @Nullable String layer) {
    if (u.edits().isEmpty()) {
      return proposal(now, u, unit, null, null);
    }
    try {
      EditRequest request = new EditRequest(null, null, unit.sign(), layer, null, u.edits());
      return proposal(now, u, unit, store.trial(now.space(), request, u), null);
    } catch (Refusal e) {
      return proposal(now, u, unit, null, e);
    }
  }

  private static Proposal proposal(
      OpenSpace.Seen now,
      Understood u,
      LengthUnit unit,
      @Nullable Outcome out,
      @Nullable Refusal refused) {
    return new Proposal(
        now.revision(),
        u.edits(),
        u.words(),
        out == null ? List.of() : out.change().changed(),
        out == null ? List.of() : out.change().gone(),
        out == null ? List.of() : out.said(),
        u.selected(),
        u.next(),
        u.at(),
        u.wrong(),
        refused == null ? null : refused.getMessage(),
        refused instanceof Declined d ? d.offers() : List.of(),
        refused instanceof Wanting,
        u.edits().size() == 1 ? pointing(u.edits().get(0), unit) : null);
  }

  private static @Nullable PointingView pointing(Edit edit, LengthUnit unit) {
    String hint = Pointing.hint(edit);
    return hint == null
        ? null
        : new PointingView(
            hint, Pointing.pulls(edit), Pointing.goesBack(edit), Pointing.drawn(edit, unit));
  }
}

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
import pied.core.edit.Offer;
import pied.core.edit.Outcome;
import pied.core.phrase.Phrase;
import pied.core.say.Ask;
import pied.core.say.Say;
import pied.core.say.Sentences;
import pied.core.say.Understood;
import pied.core.units.LengthUnit;
import pied.server.space.SpaceWire.EditRequest;
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
    Edit edit =
        r.edit() != null
            ? r.edit()
            : r.begin().edit(now.space(), r.pieces(), r.on(), r.at(), r.near());
    LengthUnit unit = unit(r.unit());
    List<Phrase> words = Sentences.write(now.space(), edit, unit);
    Understood u =
        new Understood(
            List.of(edit), words == null ? List.of() : words, List.of(), List.of(), 0, null);
    return tried(now, u, unit, r.layer());
  }

  private static LengthUnit unit(@Nullable String sign) {
    return sign == null ? LengthUnit.M : LengthUnit.of(sign);
  }

  private Proposal tried(
      OpenSpace.Seen now, Understood u, LengthUnit unit, @Nullable String layer) {
    if (u.edits().isEmpty()) {
      return proposal(now, u, null, null, List.of());
    }
    List<Edit> edits = u.edits();
    try {
      Outcome out =
          store.trial(now.space(), new EditRequest(null, null, unit.sign(), layer, null, edits));
      return proposal(now, u, out, null, List.of());
    } catch (Declined e) {
      return proposal(now, u, null, e.getMessage(), e.offers());
    } catch (Refusal e) {
      return proposal(now, u, null, e.getMessage(), List.of());
    }
  }

  private static Proposal proposal(
      OpenSpace.Seen now,
      Understood u,
      @Nullable Outcome out,
      @Nullable String refused,
      List<Offer> offers) {
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
        refused,
        offers);
  }
}

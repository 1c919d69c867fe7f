package pied.server.space;

import java.util.List;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import pied.core.Nullable;
import pied.core.drawing.ShellPlan;
import pied.core.edit.Change;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.Outcome;
import pied.core.edit.Wanting;
import pied.core.piece.Piece;
import pied.core.propose.Proposal;
import pied.core.propose.Question;
import pied.core.propose.Understood;
import pied.core.register.Pointing;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.server.space.MeasuringWire.ReachView;
import pied.server.space.ProposalWire.PointingView;
import pied.server.space.ProposalWire.ProposeRequest;
import pied.server.space.ProposalWire.Said;
import pied.server.space.ProposalWire.SayRequest;

/**
 * What would be, before it is done, however it is asked for; and sentences that are done at once.
 */
@RestController
@RequestMapping("/api/spaces/{id}")
class ProposalController {
  private final SpaceStore store;

  ProposalController(SpaceStore store) {
    this.store = store;
  }

  /** Does what a sentence says, or a text of a sentence a line: all of it, or nothing. */
  @PostMapping("/say")
  Said say(@PathVariable String id, @RequestBody SayRequest request) {
    return store.say(id, request);
  }

  /** What edits, a verb or a sentence mean and would lead to; nothing is done. */
  @PostMapping("/propose")
  ProposalWire.Proposal propose(@PathVariable String id, @RequestBody ProposeRequest r) {
    OpenSpace.Seen now = store.seen(id);
    LengthUnit unit = LengthUnit.orMetres(r.unit());
    boolean inHand = Boolean.TRUE.equals(r.inHand());
    Question question =
        new Question(
            r.edits(),
            r.begin(),
            r.text(),
            r.pieces(),
            r.point(),
            r.pull(),
            Boolean.TRUE.equals(r.back()),
            inHand);
    Deadline deadline = Deadline.seconds(Writing.LONGEST);
    Proposal p = Proposal.of(now.space(), question, unit, r.layer(), Writing::newId, deadline);
    return view(now, p, unit, inHand);
  }

  private static ProposalWire.Proposal view(
      OpenSpace.Seen now, Proposal p, LengthUnit unit, boolean inHand) {
    Understood u = p.understood();
    Outcome out = p.outcome();
    Change change = out == null ? new Change(List.of()) : out.change();
    Refusal refused = p.refused();
    return new ProposalWire.Proposal(
        now.revision(),
        u.edits(),
        p.ids(),
        out == null || inHand ? null : Shown.of(change),
        inHand ? p.caption(now.name(), unit) : u.words(),
        change.changed(),
        change.gone(),
        out == null ? List.of() : out.said(),
        p.selected(),
        u.next(),
        u.at(),
        u.wrong(),
        refused == null ? null : refused.getMessage(),
        refused instanceof Declined d ? d.offers() : List.of(),
        refused instanceof Wanting,
        u.edits().size() == 1 ? pointing(u.edits().get(0), unit) : null,
        inHand ? reach(p, unit) : List.of(),
        change.shellDrawn() ? ShellPlan.of(out.space(), now.name(), unit) : null,
        out == null || out.part() == null ? null : out.part().text());
  }

  private static List<ReachView> reach(Proposal p, LengthUnit unit) {
    Piece hand = p.hand();
    return hand == null ? List.of() : ReachView.all(p.outcome().space(), hand, unit);
  }

  private static @Nullable PointingView pointing(Edit edit, LengthUnit unit) {
    String hint = Pointing.hint(edit);
    return hint == null
        ? null
        : new PointingView(
            hint, Pointing.pulls(edit), Pointing.goesBack(edit), Pointing.drawn(edit, unit));
  }
}

import { create } from "zustand";
import { api } from "../../api/client";
import { Newest } from "../../api/newest";
import type {
  Begin,
  EditUnion as Edit,
  Offer,
  Pointed,
  Proposal,
  ProposeRequest,
  Vec,
} from "../../api/types.gen";
import { useHandling } from "../../store/handling";
import { chosenNow, isOtherwise } from "../../store/selecting";
import { useSheet } from "../../store/sheet";

/** Something that is proposed: it is shown as it would be, and done when one says so. */
interface Proposing {
  /** The edits that would be made. */
  edits: Edit[];
  /** What is proposed or was understood. */
  answer: Proposal | null;
  /** The sentence that is typed; null where a verb proposed it. */
  text: string | null;
  /** Whether the answer is that of what was asked last. */
  fresh: boolean;
  /** The id under which it is done, once. */
  id: string;
  /** How often a verb began anew: its first number is open then. */
  begun: number;
}

const NONE: Proposing = { edits: [], answer: null, text: null, fresh: true, id: "", begun: 0 };

export const useProposal = create<Proposing>(() => NONE);

export const isProposing = () => {
  const { text, answer, edits } = useProposal.getState();
  return text !== null || answer !== null || edits.length > 0;
};

const newest = new Newest(
  ({ space, ...question }: ProposeRequest & { space: string }) => api.propose(space, question),
  show,
  (e, last) => show({ ...NOTHING, refused: e.message }, last),
);

const NOTHING: Proposal = {
  revision: 0,
  edits: [],
  ids: [],
  words: [],
  changed: [],
  removed: [],
  said: [],
  selected: [],
  next: [],
  at: 0,
  offers: [],
  wanting: false,
  reach: [],
};

function show(answer: Proposal, last: boolean) {
  const { text, answer: before, edits } = useProposal.getState();
  // what was refused goes on being read and typed into
  const words = answer.words.length > 0 || text !== null ? answer.words : (before?.words ?? []);
  useProposal.setState({
    answer: { ...answer, words },
    edits: answer.edits.length > 0 || text !== null ? answer.edits : edits,
    fresh: last,
    id: crypto.randomUUID(),
  });
  useSheet.getState().show(answer.changed, { reach: [], caption: [] });
}

/** Proposes what a verb begins with, for what is selected. */
export function begin(verb: Begin, point?: Pointed) {
  const { space } = useSheet.getState();
  if (!space || chosenNow().length === 0) return;
  drop();
  useHandling.setState({ at: null });
  useProposal.setState((s) => ({ begun: s.begun + 1 }));
  askFor({ begin: verb, point });
}

/** Proposes another edit in place of the one that is. */
export function propose(edit: Edit) {
  useProposal.setState({ edits: [edit] });
  askFor({ edits: [edit] });
}

function askFor(what: ProposeRequest) {
  const { space, unit, layer } = useSheet.getState();
  if (!space) return;
  const pieces = chosenNow();
  useProposal.setState({ fresh: false });
  newest.put({ space: space.id, unit, layer: layer ?? undefined, pieces, ...what });
}

/** What is proposed, where clicks or pulls alter it. A sentence that was typed is an edit from then on. */
function pointedTo(): Edit | null {
  const { answer, edits } = useProposal.getState();
  if (!answer?.pointing || edits.length !== 1) return null;
  useProposal.setState({ text: null });
  return edits[0];
}

/** Whether clicks say something about what is proposed. */
export const takesClicks = () => {
  const { answer } = useProposal.getState();
  return answer?.pointing?.pulls === false;
};

/** Something is clicked for what is proposed. */
export function clickFor(point: Pointed) {
  const edit = pointedTo();
  if (edit) askFor({ edits: [edit], point });
}

/** The last point that was clicked is taken back. */
export function takeBack() {
  const edit = pointedTo();
  if (edit) askFor({ edits: [edit], back: true });
}

/** Begins to pull a piece of what is proposed; null where that does nothing. */
export function pullOf(piece: string): ((by: Vec, free: boolean) => void) | null {
  const edit = useProposal.getState().answer?.pointing?.pulls ? pointedTo() : null;
  return edit && ((by, free) => askFor({ edits: [edit], pull: { piece, by, free } }));
}

/** Goes on with what is typed. */
export function say(text: string) {
  useProposal.setState({ text });
  askFor({ text });
}

/** Begins a sentence. */
export function beginToSay(text = "") {
  drop();
  say(text);
}

/** It is not done. */
export function drop() {
  newest.forget();
  if (!isProposing()) return;
  useProposal.setState((s) => ({ ...NONE, begun: s.begun }));
  useSheet.getState().show([], null);
}

let taking: Promise<boolean> | null = null;

/** It is done, as it was shown, and once however often one says so; whether it was taken. */
export function take(): Promise<boolean> {
  taking ??= done().finally(() => (taking = null));
  return taking;
}

async function done(): Promise<boolean> {
  const { text } = useProposal.getState();
  if (text?.trim() === "") return false;
  await newest.settled(); // what was typed last is what is meant
  const { answer, edits, id } = useProposal.getState();
  const { edit, say: tell } = useSheet.getState();
  const wrong = answer?.refused ?? (text === null ? null : answer?.wrong);
  if (!answer || wrong) {
    if (wrong) tell(wrong, "refused", answer?.offers);
    return false;
  }
  if (edits.length > 0) {
    const { ids, shown } = answer;
    if (!(await edit(edits, { id, ids, shown }))) {
      // it is not what was shown any more: one looks at it anew
      if (text === null) propose(edits[0]);
      else say(text);
      return false;
    }
  }
  drop();
  const { pieces, select } = useSheet.getState();
  select(answer.selected.filter((p) => pieces.has(p)));
  return true;
}

/** An offer takes the place of what could not be done. */
export function takeOffer(offer: Offer) {
  if (offer.edits.length === 1) propose(offer.edits[0]);
}

// what is proposed is for what was selected then
useSheet.subscribe((s, before) => {
  if (isOtherwise(s, before)) drop();
  if (s.space?.id !== before.space?.id) drop();
});

import { create } from "zustand";
import { api } from "../api/client";
import type {
  Begin,
  EditUnion as Edit,
  Offer,
  Pointed,
  Proposal,
  ProposeRequest,
  Vec,
} from "../api/types.gen";
import { me } from "../api/who";
import { useHandling } from "../handling/handling";
import { selectMeant } from "../selection/selecting";
import { useSheet } from "../space/sheet";

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
  /** How often a verb began anew: its first number is open then. */
  begun: number;
}

const NONE: Proposing = { edits: [], answer: null, text: null, fresh: true, begun: 0 };

export const useProposal = create<Proposing>(() => NONE);

export const isProposing = () => {
  const { text, answer, edits } = useProposal.getState();
  return text !== null || answer !== null || edits.length > 0;
};

type Question = () => Promise<Proposal>;

// one question is on its way at a time, and the newest wins
let next: Question | null = null;
let asking = false;
let epoch = 0;

function ask(question: Question) {
  next = question;
  useProposal.setState({ fresh: false });
  if (!asking) void go();
}

async function go() {
  asking = true;
  while (next) {
    const question: Question = next;
    next = null;
    const asked = epoch;
    try {
      const answer = await question();
      if (asked === epoch) show(answer);
    } catch (e) {
      if (asked === epoch) show({ ...NOTHING, refused: (e as Error).message });
    }
  }
  asking = false;
}

const NOTHING: Proposal = {
  revision: 0,
  edits: [],
  words: [],
  changed: [],
  removed: [],
  said: [],
  selected: [],
  next: [],
  at: 0,
  offers: [],
  wanting: false,
};

function show(answer: Proposal) {
  const { text, answer: before, edits } = useProposal.getState();
  // what was refused goes on being read and typed into
  const words = answer.words.length > 0 || text !== null ? answer.words : (before?.words ?? []);
  useProposal.setState({
    answer: { ...answer, words },
    edits: answer.edits.length > 0 || text !== null ? answer.edits : edits,
    fresh: next === null,
  });
  useSheet.getState().show(answer.changed, { reach: [], caption: [] });
}

/** Proposes what a verb begins with, for what is selected. */
export function begin(verb: Begin, point?: Pointed) {
  const { space, selection: pieces } = useSheet.getState();
  if (!space || pieces.length === 0) return;
  drop();
  useHandling.setState({ at: null });
  useProposal.setState((s) => ({ begun: s.begun + 1 }));
  askFor({ begin: verb, pieces, point });
}

/** Proposes another edit in place of the one that is. */
export function propose(edit: Edit) {
  useProposal.setState({ edits: [edit] });
  askFor({ edit });
}

function askFor(what: ProposeRequest) {
  const { space, unit, layer } = useSheet.getState();
  if (space) ask(() => api.propose(space.id, { unit, layer: layer ?? undefined, ...what }));
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
  return answer?.pointing !== undefined && !answer.pointing.pulls;
};

/** Something is clicked for what is proposed. */
export function clickFor(point: Pointed) {
  const edit = pointedTo();
  if (edit) askFor({ edit, point });
}

/** The last point that was clicked is taken back. */
export function takeBack() {
  const edit = pointedTo();
  if (edit) askFor({ edit, back: true });
}

/** Begins to pull a piece of what is proposed; null where that does nothing. */
export function pullOf(piece: string): ((by: Vec, free: boolean) => void) | null {
  const edit = useProposal.getState().answer?.pointing?.pulls ? pointedTo() : null;
  return edit && ((by, free) => askFor({ edit, pull: { piece, by, free } }));
}

/** Goes on with what is typed. */
export function say(text: string) {
  const { space, unit, selection: pieces, layer } = useSheet.getState();
  if (!space) return;
  useProposal.setState({ text });
  ask(() => api.understand(space.id, { unit, layer: layer ?? undefined, text, pieces }));
}

/** Begins a sentence. */
export function beginToSay(text = "") {
  drop();
  say(text);
}

/** It is not done. */
export function drop() {
  next = null;
  epoch++;
  if (!isProposing()) return;
  useProposal.setState((s) => ({ ...NONE, begun: s.begun }));
  useSheet.getState().show([], null);
}

/** It is done; whether it was taken. */
export async function take(): Promise<boolean> {
  const { text, edits, answer } = useProposal.getState();
  const sheet = useSheet.getState();
  if (text !== null) return done(text);
  if (edits.length === 0) return false;
  const changed = await sheet.edit(edits);
  if (!changed) return false;
  drop();
  await selectMade(changed.made, answer?.selected ?? []);
  return true;
}

async function done(text: string): Promise<boolean> {
  const { space, unit, selection: pieces, layer, say: tell, take: taken } = useSheet.getState();
  if (!space || text.trim() === "") return false;
  try {
    const answer = await api.say(space.id, {
      id: crypto.randomUUID(),
      unit,
      layer: layer ?? undefined,
      by: me(),
      text,
      pieces,
    });
    drop();
    taken(answer.changed);
    const { said, offers } = answer.changed;
    if (said.length > 0 || offers.length > 0) tell(said.join(" "), "said", offers);
    const { pieces: all, select } = useSheet.getState();
    select(answer.selected.filter((id) => all.has(id)));
    return true;
  } catch (e) {
    tell((e as Error).message, "refused");
    return false;
  }
}

/** What was made is selected, with all of the repetition that it is in. */
export async function selectMade(made: string[], about: string[] = []) {
  const { pieces, space, select, selection } = useSheet.getState();
  const first = pieces.get(made[0] ?? selection[0]);
  const group = space?.filing.groups.find((g) => g.id === first?.group && g.rule !== undefined);
  if (group) await selectMeant({ by: "group", value: group.id });
  else if (made.length > 0 && about.length > 0) select([...about, ...made]);
}

/** An offer takes the place of what could not be done. */
export function takeOffer(offer: Offer) {
  if (offer.edits.length === 1) propose(offer.edits[0]);
}

// what is proposed is for what was selected then
useSheet.subscribe((s, before) => {
  if (s.selection !== before.selection && s.selection.join() !== before.selection.join()) drop();
  if (s.space?.id !== before.space?.id) drop();
});

import { create } from "zustand";
import { api } from "../../api/client";
import { Newest } from "../../api/newest";
import type { Draft, Spot } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";

/** What is being drawn corner by corner. */
export type Purpose = "outline" | "platform" | "partition";

interface Drafting {
  purpose: Purpose | null;
  corners: Spot[];
  pointer: Spot | null;
  /** What is typed: a length, or "3.2 at 135". */
  typed: string;
  free: boolean;
  near: number;
  /** What core says of it. */
  answer: Draft | null;
  wrong: string | null;
}

const NONE: Drafting = {
  purpose: null,
  corners: [],
  pointer: null,
  typed: "",
  free: false,
  near: 0.1,
  answer: null,
  wrong: null,
};

export const useDraft = create<Drafting>(() => NONE);

let epoch = 0;

export function draw(purpose: Purpose) {
  const s = useSheet.getState();
  s.build(null);
  s.select([]);
  epoch++;
  useDraft.setState({ ...NONE, purpose });
}

export function abandon() {
  epoch++;
  useDraft.setState(NONE);
}

/** The pointer is somewhere else, or something is typed: core is asked where the next corner goes. */
export function pointAt(pointer: Spot, near: number, free: boolean) {
  useDraft.setState({ pointer, near, free });
  ask();
}

// an answer shows itself, as long as it is about what is drawn
const nothing = () => undefined;
const newest = new Newest(() => answer(useDraft.getState()), nothing, nothing);

const ask = () => newest.put(undefined);

type Asked = Pick<Drafting, "pointer" | "typed" | "free" | "near">;

async function answer({ pointer, typed, free, near }: Asked): Promise<Draft | null> {
  const { purpose, corners } = useDraft.getState();
  const { space, unit } = useSheet.getState();
  if (!purpose || !pointer || !space) return null;
  const asked = epoch;
  const question = { corners, pointer, typed: typed || undefined, free, near, line: purpose === "partition" };
  try {
    const said = await api.draft(space.id, question, purpose === "outline", unit);
    if (asked === epoch) useDraft.setState({ answer: said, wrong: null });
    return asked === epoch ? said : null;
  } catch (e) {
    if (asked === epoch) useDraft.setState({ wrong: (e as Error).message });
    return null;
  }
}

/** What is done follows in the order in which it was done, however quick the hand. */
let line: Promise<void> = Promise.resolve();

/** Sets the corner where core says it goes; the first one again, or the end of a line, ends the drawing. */
export function setCorner() {
  const { pointer, typed, free, near } = useDraft.getState();
  useDraft.setState({ typed: "" });
  line = line.then(() => corner({ pointer, typed, free, near }));
}

export function finish() {
  line = line.then(make);
}

async function corner(asked: Asked) {
  const said = await answer(asked);
  const { purpose, corners, typed } = useDraft.getState();
  if (!said && typed === "") useDraft.setState({ typed: asked.typed });
  if (!said || !purpose) return;
  if (said.closes) {
    await make();
    return;
  }
  useDraft.setState({ corners: [...corners, said.next] });
  if (purpose === "partition" && corners.length === 1) await make();
  else ask();
}

/** Makes it so. What was refused stays as drawn. */
async function make() {
  const { purpose, corners } = useDraft.getState();
  if (!purpose || corners.length < (purpose === "partition" ? 2 : 3)) return;
  const { edit, selectPart, look } = useSheet.getState();
  const asked = epoch;
  const changed = await edit([
    purpose === "outline"
      ? { do: "outline", corners }
      : purpose === "platform"
        ? { do: "platform", outline: corners }
        : { do: "partition", from: corners[0], to: corners[1] },
  ]);
  if (asked !== epoch) return;
  if (changed) {
    abandon();
    if (purpose === "outline") look("home");
    else if (changed.part) selectPart(changed.part);
  } else if (purpose === "partition") {
    back();
  }
}

/** Takes the last corner back. */
export function back() {
  const { corners } = useDraft.getState();
  useDraft.setState({ corners: corners.slice(0, -1) });
  ask();
}

/** What was typed sets the corner; without that the figure is closed. */
export function draftEnter() {
  const { typed, corners } = useDraft.getState();
  if (typed) setCorner();
  else if (corners.length >= 3) finish();
}

/** The last digit goes, or else the last corner. */
export function draftBack() {
  const { typed } = useDraft.getState();
  if (typed) {
    useDraft.setState({ typed: typed.slice(0, -1) });
    ask();
  } else back();
}

/** What was typed goes, or else the drawing is given up. */
export function draftEscape() {
  if (useDraft.getState().typed) useDraft.setState({ typed: "", wrong: null });
  else abandon();
  ask();
}

/** A digit of a length, or what follows it; whether the key was one. */
export function typeInDraft(e: KeyboardEvent): boolean {
  const { purpose, typed } = useDraft.getState();
  if (!purpose || e.ctrlKey || e.metaKey) return false;
  if (!(typed ? e.key.length === 1 : /^[0-9.,]$/.test(e.key))) return false;
  useDraft.setState({ typed: typed + e.key });
  ask();
  return true;
}

import { api } from "../../api/client";
import type { Bundle, EditUnion as Edit, PastedPiece, PlanPoint } from "../../api/types.gen";
import { pickUp } from "../carry/carry";
import { lastPoint } from "../../store/lastPoint";
import { chosenNow } from "../../store/selecting";
import { isPart } from "../../store/selection";
import { useSheet } from "../../store/sheet";

/** What is held ready to be pasted, in every window: pieces as they were, the lead last. */
interface Held {
  space: string;
  /** Cut ones stay until they are pasted. */
  cut: boolean;
  pieces: PastedPiece[];
  groups: Bundle[];
  /** Those that were chosen; the rest stands on them. */
  chosen: string[];
}

const KEY = "pied.held";

let read: { text: string | null; held: Held | null } = { text: null, held: null };

function held(): Held | null {
  const text = localStorage.getItem(KEY);
  if (text !== read.text) read = { text, held: parsed(text) };
  return read.held;
}

function parsed(text: string | null): Held | null {
  try {
    const now = JSON.parse(text ?? "null") as Held | null;
    const some = now && Array.isArray(now.pieces) && (now.pieces.length > 0 || now.chosen.some(isPart));
    return some ? now : null;
  } catch {
    return null;
  }
}

/** What is being fetched to be held ready; whoever pastes meanwhile waits for it. */
let fetching: { cut: boolean; done: Promise<boolean> } | null = null;

/** Holds what is chosen ready; whether it is. */
async function hold(cut: boolean) {
  if (useSheet.getState().parts.length > 0) return holdParts(cut);
  if (useSheet.getState().selection.length === 0) return false;
  const own = { cut, done: fetched(cut) };
  fetching = own;
  const done = await own.done;
  if (fetching === own) fetching = null;
  return done;
}

/** Parts of the shell, and pieces among them, are copied in their own space. */
function holdParts(cut: boolean): boolean {
  const { space, say } = useSheet.getState();
  if (!space) return false;
  if (cut) {
    say("What is built in is not cut. Copy it, paste it, and remove the first one.", "refused");
    return false;
  }
  keep({ space: space.id, cut, chosen: chosenNow(), pieces: [], groups: [] });
  say("It is held ready; Ctrl+V sets a copy beside it, with what stands on it.");
  return true;
}

/** A copy of what is built in, in its own space. */
async function pasteParts({ space, chosen }: Held, inPlace: boolean) {
  const { space: here, pieces, edit, select, say } = useSheet.getState();
  const there = chosen.filter((id) => pieces.has(id) || here!.parts.includes(id));
  if (here!.id !== space || there.length === 0 || inPlace) {
    const why = inPlace ? "beside the first one, not in its place" : "in the space that it is of";
    say(`What is built in is pasted ${why}.`, "refused");
    return;
  }
  const changed = await edit([{ do: "copy", pieces: there }]);
  if (changed) select(changed.made);
}

/** Core finds what goes along. */
async function fetched(cut: boolean): Promise<boolean> {
  const { selection: chosen, space, say } = useSheet.getState();
  if (!space) return false;
  try {
    const { pieces, groups } = await api.clip(space.id, chosen);
    keep({ space: space.id, cut, chosen, pieces, groups });
  } catch (e) {
    say((e as Error).message, "refused");
    return false;
  }
  const what = chosen.length === 1 ? "It is" : `${chosen.length} pieces are`;
  say(`${what} held ready, here and in other spaces; Ctrl+V ${cut ? "picks up what was cut" : "pastes"}.`);
  return true;
}

function keep(now: Held) {
  try {
    localStorage.setItem(KEY, JSON.stringify(now));
  } catch {
    throw new Error("That is too much to be held ready at once; copy fewer pieces.");
  }
}

export const clip = () => hold(false);
export const cut = () => hold(true);

/** What is held ready, of which something may be done; nothing while no space is open. */
const ready = () => (useSheet.getState().space ? held() : null);

export const isHeld = () => fetching !== null || ready() !== null;
export const isCut = () => fetching?.cut ?? ready()?.cut ?? false;

/** Those that were chosen and are still here as they were when they were copied. */
function stillHere({ space, pieces, chosen }: Held): string[] | null {
  const now = useSheet.getState();
  if (now.space?.id !== space) return null;
  const same = pieces.every((item) => {
    const p = now.pieces.get(item.id);
    return (
      p &&
      JSON.stringify([p.size, p.at, p.turn, p.lean]) ===
        JSON.stringify([item.size, item.at, item.turn, item.lean])
    );
  });
  return same ? chosen : null;
}

/** In hand at the pointer, or a copy exactly where the first one is. */
export async function paste(inPlace: boolean) {
  if (fetching && !(await fetching.done)) return; // what is meant could not be had
  const it = ready();
  if (!it) return;
  if (it.pieces.length === 0) return pasteParts(it, inPlace);
  const { select, edit, hush, space } = useSheet.getState();
  const here = stillHere(it);
  if (here && it.cut && inPlace) {
    select(here); // it is where it was
  } else if (here && !inPlace) {
    hush();
    select(here);
    pickUp(null, !it.cut);
  } else if (here) {
    const changed = await edit([{ do: "copy", pieces: here, by: { x: 0, y: 0, z: 0 } }]);
    if (changed) select(changed.made);
  } else {
    const at: PlanPoint | undefined = inPlace ? undefined : lastPoint();
    const put: Edit = { do: "paste", pieces: it.pieces, groups: it.groups, at };
    const gone = it.cut && it.space === space!.id ? stillThere(it) : [];
    // what was cut elsewhere goes from there in the same act
    const cut = it.cut && it.space !== space!.id ? { space: it.space, pieces: idsOf(it) } : undefined;
    const changed = await edit(gone.length > 0 ? [put, { do: "remove", pieces: gone }] : [put], { cut });
    if (!changed) return;
    select(changed.made);
  }
  if (it.cut) localStorage.setItem(KEY, JSON.stringify({ ...it, cut: false }));
}

const idsOf = ({ pieces }: Held) => pieces.map((p) => p.id);

const stillThere = (it: Held) => idsOf(it).filter((id) => useSheet.getState().pieces.has(id));

/** What may be copied onto others: what is held ready, if it is in this space. */
export function ontoOthers(): string[] {
  const it = ready();
  const { space, pieces, selection } = useSheet.getState();
  if (!it || it.space !== space?.id || !it.chosen.every((id) => pieces.has(id))) return [];
  return selection.some((id) => !it.chosen.includes(id)) ? it.chosen : [];
}

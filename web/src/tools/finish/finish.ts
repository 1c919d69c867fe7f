import { create } from "zustand";
import { api } from "../../api/client";
import { Newest } from "../../api/newest";
import type { Appearance, Finish, FinishAt, FinishCard, FinishTarget } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import { lately } from "./lately";

/** Where one looks along in a drawing, and what of the shell is not drawn there. */
export interface FinishSight {
  ray: { from: { x: number; y: number; z: number }; along: { x: number; y: number; z: number } };
  without: string[];
}

/** A finish held over a part before it is given. */
export interface Trial {
  target: FinishTarget;
  appearance: Appearance;
}

interface Finishing {
  /** Take: the next click takes one up; give: every click gives the one in hand. */
  mode: "take" | "give" | null;
  card: FinishCard | null;
  /** Whether it is dragged, and given once. */
  dragged: boolean;
  /** What the pointer is over. */
  over: FinishAt | null;
  trial: Trial | null;
  /** What was given last, and what was there of its own before: its sentence is read. */
  shown: { target: FinishTarget; before: Finish | undefined } | null;
}

const NOTHING = { mode: null, card: null, dragged: false, over: null, trial: null };

export const useFinishing = create<Finishing>(() => ({ ...NOTHING, shown: null }));

const now = useFinishing.getState;

/** Whether clicks in the drawings are about finishes. */
export const isFinishing = () => now().mode !== null;

/** A finish is in hand: every click gives it, or where it is dragged the end of that. */
export function give(card: FinishCard, dragged = false) {
  useFinishing.setState({ ...NOTHING, mode: "give", card, dragged });
}

/** The next click takes a finish up. */
export function takeUp() {
  useFinishing.setState({ ...NOTHING, mode: "take", shown: null });
}

/** Nothing is in hand any more. */
export function endFinishing() {
  newest.forget();
  useFinishing.setState(NOTHING);
}

/** The sentence about a part is read in the caption. */
export const showFinish = (target: FinishTarget) =>
  useFinishing.setState({ shown: { target, before: undefined } });

export const hideFinish = () => useFinishing.setState({ shown: null });

const at = ({ ray, without }: FinishSight) => {
  const { mode, card } = now();
  const given = mode === "give" ? card?.finish : undefined;
  return api.finishAt(useSheet.getState().space!.id, { ...ray, without, given });
};

const newest = new Newest(
  (sight: FinishSight) => at(sight),
  (over) => {
    const { mode } = now();
    if (mode === null) return;
    const target = over.target ? within(over.target) : null;
    const trial = mode === "give" && over.trial && target ? { target, appearance: over.trial } : null;
    useFinishing.setState({ over, trial });
  },
  () => useFinishing.setState({ over: null, trial: null }),
);

/** The pointer moves: the part under it shows what it would get. */
export const overFinish = (sight: FinishSight) => newest.put(sight);

/** The pointer left the drawings. */
export function nowhere() {
  newest.forget();
  useFinishing.setState({ over: null, trial: null });
}

/** Of a piece that is selected with others of its article all of these are meant. */
function within(target: FinishTarget): FinishTarget {
  const { selection, pieces } = useSheet.getState();
  const one = target.pieces?.[0];
  if (!one || !selection.includes(one)) return target;
  const article = pieces.get(one)?.article;
  const same = selection.filter((id) => id !== one && pieces.get(id)?.article === article);
  return { ...target, pieces: [one, ...same] };
}

/** A click, or the end of dragging. */
export async function clickFinish(sight: FinishSight) {
  const { mode, card, dragged } = now();
  newest.forget();
  const s = useSheet.getState();
  try {
    const found = await at(sight);
    if (!found.target) {
      s.say("There is nothing that could have a finish.");
    } else if (mode === "take") {
      give(found.card!);
      s.say(`In hand: ${found.card!.words}.`);
    } else if (card) {
      await giveTo(within(found.target), card, found.own);
    }
  } catch (e) {
    s.say((e as Error).message, "refused");
  }
  if (dragged) endFinishing();
}

/** Gives a finish to a part. */
export async function giveTo(target: FinishTarget, card: FinishCard, before?: Finish) {
  const { pieces, part } = target;
  const { finish } = card;
  const done = await useSheet
    .getState()
    .edit([pieces ? { do: "finish", pieces, part, finish } : { do: "decorate", part, finish }]);
  if (!done) return;
  lately(card);
  useFinishing.setState({ shown: { target, before }, trial: null });
}

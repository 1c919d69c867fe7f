import type { StateCreator } from "zustand";
import type { ArticleCard, PhraseUnion as Phrase, Piece, ReachView, ShellPlan } from "../api/types.gen";

/** An article in hand, on its way to its place. */
export interface Placing {
  article: ArticleCard;
  turn: number;
  /** The layer on which it comes; the current one if left out. */
  layer?: string;
}

/** Something to be built into the shell, on its way to its place. */
export type Tool =
  | "door"
  | "doubleDoor"
  | "slidingDoor"
  | "window"
  | "opening"
  | "niche"
  | "column"
  | "platform"
  | "steps"
  | "ramp"
  | "bar"
  | "datum";

/** What there is to say of what is in hand; of the shell, the plan it would have. */
export interface Hand {
  reach: ReachView[];
  caption: Phrase[];
  /** Remarks, in sentences. */
  said?: string[];
  plan?: ShellPlan;
  part?: string;
  /** There is no place for it there; the caption says why. */
  refused?: boolean;
}

/** What is in hand, to be placed, built or pointed with. */
export interface InHand {
  placing: Placing | null;
  tool: Tool | null;
  /** What the next clicks are for, by its name among the aims. */
  aiming: string | null;
  /** Pieces as they would be, while something is carried or placed; over the real ones. */
  ghosts: Piece[];
  /** The free distances and the caption of what is in hand. */
  hand: Hand | null;
  place: (placing: Placing | null) => void;
  build: (tool: Tool | null) => void;
  aim: (what: string | null) => void;
  show: (ghosts: Piece[], hand: Hand | null) => void;
}

export const EMPTY_HANDS = { placing: null, tool: null, aiming: null, ghosts: [], hand: null };

export const inHandSlice: StateCreator<InHand> = (set) => ({
  ...EMPTY_HANDS,
  place: (placing) => set({ ...EMPTY_HANDS, placing }),
  build: (tool) => set({ ...EMPTY_HANDS, tool }),
  aim: (aiming) => set({ aiming }),
  show: (ghosts, hand) => set({ ghosts, hand }),
});

import { draftBack, draftEnter, draftEscape, useDraft } from "../draft/draft";
import { endAim } from "../aim/aims";
import type { Verb } from "./verb";

/** What one can do while a figure is drawn corner by corner. */
export const DRAFT_VERBS: Verb[] = [
  {
    word: "Finish",
    mode: "draft",
    keys: ["Enter"],
    help: "Set the corner at the length that was typed; without that, close the figure.",
    applies: () => useDraft.getState().typed !== "" || useDraft.getState().corners.length >= 3,
    does: draftEnter,
    seen: true,
  },
  {
    word: "Take the last corner back",
    mode: "draft",
    keys: ["Backspace"],
    help: "The last digit that was typed goes, or else the last corner.",
    applies: () => useDraft.getState().typed !== "" || useDraft.getState().corners.length > 0,
    does: draftBack,
    seen: true,
  },
  {
    word: "Give up",
    mode: "draft",
    keys: ["Escape"],
    help: "What was typed goes; without that the drawing is given up.",
    does: draftEscape,
    seen: true,
  },
];

/** While one says by clicking what something is for. */
export const AIM_VERBS: Verb[] = [
  {
    word: "Give up",
    mode: "aim",
    keys: ["Escape"],
    help: "What was begun is not done.",
    does: endAim,
    seen: true,
  },
];

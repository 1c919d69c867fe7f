import type { CarryKeep, CarryMeet, Side } from "../../api/types.gen";
import {
  change,
  eraseDigit,
  giveUpCarry,
  nextNumber,
  putDownCarry,
  step,
  toggleSnaps,
  turnInHand,
  useCarry,
} from "../carry/carry";
import { openChoices } from "./choosing";
import { arrow, ARROWS } from "./sheetVerbs";
import type { Verb } from "./verb";

const state = useCarry.getState;
const hand = () => state().hand;

type Values<T> = [T | null, string][];

const KEEPS: Values<CarryKeep> = [
  [null, "free"],
  ["along", "along the wall"],
  ["away", "away from the wall"],
  ["across", "across"],
  ["deep", "deep"],
  ["height", "up and down"],
];
const MEETS: Values<CarryMeet> = [
  [null, "off"],
  ["mark", "as it is turned"],
  ["faces", "faces meeting"],
  ["edges", "edges together"],
];
const AGAINST: Values<Side> = [
  [null, "as it stands"],
  ["under", "its underside"],
  ["back", "its back"],
  ["top", "its top"],
  ["left", "its left"],
  ["right", "its right"],
  ["front", "its front"],
];

/** A verb that sets one thing of what is in hand: its key opens the choice, and a letter chooses. */
function setting<T>(
  verb: Pick<Verb, "word" | "keys" | "help">,
  values: Values<T>,
  read: () => T | null,
  write: (v: T | null) => void,
): Verb {
  const at = () =>
    Math.max(
      0,
      values.findIndex(([v]) => v === read()),
    );
  return {
    ...verb,
    mode: "carry",
    does: () => openChoices(verb.word),
    now: () => values[at()][1],
    choices: () => values.map(([v, words], i) => ({ words, now: i === at(), choose: () => write(v) })),
    seen: true,
  };
}

/** What one can do while something is carried. */
export const CARRY_VERBS: Verb[] = [
  {
    word: "Put down",
    mode: "carry",
    keys: ["Enter", "Space"],
    help: "Put it down where it is shown; a click does the same.",
    does: () => void putDownCarry(false),
    seen: true,
  },
  {
    word: "Put down, and another",
    mode: "carry",
    keys: ["Shift+Enter", "Shift+Space"],
    help: "Put it down and have another copy in hand.",
    applies: () => !!hand()?.article || !!hand()?.copy,
    does: () => void putDownCarry(true),
    seen: true,
  },
  {
    word: "Next number",
    mode: "carry",
    keys: ["Tab"],
    help: "Go on to the next distance; what is typed then is that one.",
    does: () => nextNumber(),
    seen: true,
  },
  {
    word: "Number before",
    mode: "carry",
    keys: ["Shift+Tab"],
    help: "Go back to the distance before; a click on a number does the same.",
    does: () => nextNumber(true),
  },
  {
    word: "Turn",
    mode: "carry",
    keys: ["t"],
    help: "Turn it by 45°, counter-clockwise.",
    does: () => turnInHand(45),
    seen: true,
  },
  {
    word: "Turn back",
    mode: "carry",
    keys: ["Shift+T"],
    help: "Turn it by 45°, clockwise.",
    does: () => turnInHand(-45),
  },
  {
    word: "Turn a little",
    mode: "carry",
    keys: ["r"],
    help: "Turn it by 5°, counter-clockwise.",
    does: () => turnInHand(5),
    seen: true,
  },
  {
    word: "Turn a little back",
    mode: "carry",
    keys: ["Shift+R"],
    help: "Turn it by 5°, clockwise.",
    does: () => turnInHand(-5),
  },
  setting(
    { word: "Kept", keys: ["k"], help: "Keep it to one direction." },
    KEEPS,
    () => hand()?.keep ?? null,
    (keep) => change({ keep }),
  ),
  setting(
    {
      word: "Mark to mark",
      keys: ["m"],
      help: "Its mark goes exactly onto the mark, edge or face that is pointed at.",
    },
    MEETS,
    () => hand()?.meet ?? null,
    (meet) => change({ meet }),
  ),
  setting(
    { word: "Onto the face", keys: ["u"], help: "Which side goes flat onto the face that is pointed at." },
    AGAINST,
    () => hand()?.against ?? null,
    (against) => change({ against }),
  ),
  {
    word: "Each for itself",
    mode: "carry",
    keys: ["e"],
    help: "Several come down each onto what is beneath it, or as one.",
    applies: () => (hand()?.pieces.length ?? 0) > 1,
    does: () => change({ each: !hand()!.each }),
    now: () => (hand()?.each ? "yes" : "as one"),
    seen: true,
  },
  {
    word: "Onto tops",
    mode: "carry",
    keys: ["o"],
    help: "Let it stand on whatever carries, a stool on a crate, and not only where it stands by habit.",
    does: () => change({ tops: !hand()!.tops }),
    now: () => (hand()?.tops ? "yes" : "by habit"),
    seen: true,
  },
  {
    word: "As a copy",
    mode: "carry",
    keys: ["c"],
    help: "Carry a copy, and leave the piece where it is.",
    applies: () => hand()?.article === null,
    does: () => change({ copy: !hand()!.copy }),
    now: () => (hand()?.copy ? "yes" : "no"),
    seen: true,
  },
  {
    word: "Surface below",
    mode: "carry",
    keys: ["PageDown"],
    help: "Of surfaces over one another, such as shelf boards, the next below.",
    applies: () => (state().answer?.levels ?? 1) > 1,
    does: () => change({ down: Math.min(hand()!.down + 1, (state().answer?.levels ?? 1) - 1) }),
    seen: true,
  },
  {
    word: "Surface above",
    mode: "carry",
    keys: ["PageUp"],
    help: "Of surfaces over one another the next above.",
    applies: () => (hand()?.down ?? 0) > 0,
    does: () => change({ down: Math.max(0, hand()!.down - 1) }),
    seen: true,
  },
  {
    word: "Snaps",
    mode: "any",
    keys: ["j"],
    help: "Whether it keeps to lines, gaps and contacts that are near; Alt goes through things meanwhile.",
    does: toggleSnaps,
    now: () => (state().snaps ? "on" : "off"),
    seen: true,
  },
  {
    word: "Move a step",
    mode: "carry",
    keys: ARROWS,
    shown: "arrows",
    help: "Move it by 5 cm as on the drawing last pointed at, with Alt by 1 cm.",
    does: (e) => e && step(...arrow(e)),
  },
  {
    word: "Erase a digit",
    mode: "carry",
    keys: ["Backspace"],
    help: "The last digit that was typed goes.",
    applies: () => state().typing !== "",
    does: eraseDigit,
  },
  {
    word: "Give up",
    mode: "carry",
    keys: ["Escape"],
    help: "What was typed goes; without that it is back where it was.",
    does: giveUpCarry,
    seen: true,
  },
];

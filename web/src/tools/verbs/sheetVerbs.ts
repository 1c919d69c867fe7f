import { pickUp } from "../carry/carry";
import type { Tool } from "../../store/inHand";
import { FINE, STEP } from "../carry/facing";
import { openHandover } from "../handover/handover";
import { draw, type Purpose } from "../draft/draft";
import { useSheet } from "../../store/sheet";
import { clip, cut, isCut, isHeld, paste } from "../clipboard/clipboard";
import { selectMeant } from "../../store/selecting";
import { useHelp } from "./help";
import { search, VERB_MARK } from "./search";
import { chosen, pieces, several } from "./selected";
import { TOOL_WORDS } from "./tools";
import { choice, type Choice, type Verb } from "./verb";
import { aim } from "../aim/aims";
import { AS_LEAD_VERBS, KEEP_ALL_VERBS, KEEP_VERBS } from "./keepVerbs";
import { MANY_VERBS } from "./manyVerbs";
import { SIZE_VERBS } from "./sizeVerbs";
import { TURN_VERBS } from "./turnVerbs";
import { copy, escape, moveBy, remove, settle, takeOff, turning, turnStep } from "./verbs";

const sheet = useSheet.getState;

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** By arrow keys, coarse and fine. */
export const ARROWS = ["", "Shift+", "Alt+"].flatMap((m) => Object.keys(STEPS).map((k) => m + k));

/** How far an arrow key moves, to the right and up, metres. */
export function arrow(e: KeyboardEvent): [number, number] {
  const by = e.altKey ? FINE : STEP;
  const [right, up] = STEPS[e.key];
  return [right * by, up * by];
}

const side = (
  edit: "beside" | "level",
  words: string,
  of: "left" | "right" | "front" | "back" | "top" | "under",
): Choice => choice(words, () => void sheet().edit([{ do: edit, pieces: chosen(), side: of }]));

/** With what is selected. */
const WITH_IT: Verb[] = [
  {
    word: "Pick up",
    mode: "sheet",
    keys: ["Space"],
    help: "Carry it: it follows the pointer with live distances; a click puts it down.",
    applies: pieces,
    does: () => pickUp(null),
    seen: true,
  },
  {
    word: "Copy beside",
    parts: true,
    mode: "sheet",
    keys: ["$mod+d", "c"],
    help: "A copy of it, with all that stands on it, set beside it.",
    applies: pieces,
    does: () => void copy(),
    seen: true,
  },
  {
    word: "Settle onto…",
    mode: "sheet",
    keys: ["Shift+S"],
    help: "Settle onto the piece or the floor that is clicked next.",
    applies: pieces,
    does: () => aim("settle"),
    seen: true,
  },
  {
    word: "Carry a copy",
    mode: "sheet",
    keys: ["Shift+C"],
    help: "Carry a copy of it; with Shift and a click another one follows.",
    applies: pieces,
    does: () => pickUp(null, true),
    seen: true,
  },
  {
    word: "Settle",
    mode: "sheet",
    keys: ["s"],
    help: "Come down, or up, until it rests on what is there.",
    applies: pieces,
    does: settle,
    seen: true,
  },
  {
    word: "Beside the lead",
    mode: "sheet",
    keys: [],
    help: "Set the others beside the piece picked last, touching.",
    applies: several,
    does: () => undefined,
    choices: () => [
      side("beside", "on its left", "left"),
      side("beside", "on its right", "right"),
      side("beside", "in front of it", "front"),
      side("beside", "behind it", "back"),
      side("beside", "on top of it", "top"),
    ],
    seen: true,
  },
  {
    word: "Level with the lead",
    mode: "sheet",
    keys: [],
    help: "Bring the others to the height of the piece picked last.",
    applies: several,
    does: () => undefined,
    choices: () => [side("level", "tops level", "top"), side("level", "undersides level", "under")],
    seen: true,
  },
  {
    word: "Attach to…",
    mode: "sheet",
    keys: ["a"],
    help: "It stays with the piece that is clicked next, without standing on it.",
    applies: pieces,
    does: () => aim("attach"),
    seen: true,
  },
  {
    word: "Take off",
    mode: "sheet",
    keys: ["Shift+A"],
    help: "It is attached no longer.",
    applies: () => sheet().selection.some((id) => sheet().pieces.get(id)?.attached),
    does: takeOff,
    seen: true,
  },
  {
    word: "Look at it",
    parts: true,
    mode: "sheet",
    keys: ["f"],
    help: "Show what is selected as large as it fits, in every drawing.",
    applies: pieces,
    does: () => sheet().look("selection"),
    seen: true,
  },
  {
    word: "Move a step",
    parts: true,
    mode: "sheet",
    keys: ARROWS,
    shown: "arrows",
    help: "Move it by 5 cm as on the drawing last pointed at, with Alt by 1 cm; it stops at what is in the way. While it is turned: turn it by a step.",
    applies: pieces,
    does: (e) => e && (turning() ? turnStep(...arrow(e), e.altKey) : moveBy(...arrow(e))),
  },
  {
    word: "Remove",
    parts: true,
    mode: "sheet",
    keys: ["Delete", "Backspace"],
    help: "Take it out of the space; undo brings it back.",
    applies: pieces,
    does: remove,
    seen: true,
  },
  {
    word: "Copy",
    parts: true,
    mode: "sheet",
    keys: ["$mod+c"],
    help: "Hold it ready to be pasted.",
    applies: pieces,
    does: () => void clip(),
  },
  {
    word: "Cut",
    mode: "sheet",
    keys: ["$mod+x"],
    help: "Hold it ready to be pasted elsewhere; it stays until then.",
    applies: pieces,
    does: () => void cut(),
  },
];

/** With nothing in particular. */
const AT_ALL: Verb[] = [
  {
    word: "Paste",
    parts: true,
    mode: "sheet",
    keys: ["$mod+v"],
    help: "What was copied is in hand, at the pointer; from another space it is set down there.",
    applies: isHeld,
    does: () => void paste(false),
    now: () => (isCut() ? "what was cut" : ""),
    seen: true,
  },
  {
    word: "Paste in place",
    mode: "sheet",
    keys: ["$mod+Shift+V"],
    help: "A copy exactly where the first one is.",
    applies: isHeld,
    does: () => void paste(true),
  },
  {
    word: "Select everything",
    parts: true,
    mode: "sheet",
    keys: ["$mod+a"],
    help: "Select all pieces that are shown.",
    applies: () => sheet().pieces.size > 0,
    does: () => void selectMeant({ by: "all" }),
    seen: true,
  },
  {
    word: "Select nothing",
    mode: "sheet",
    keys: ["Escape"],
    help: "Give up what is in hand; else close the group that is open, or select nothing.",
    does: escape,
  },
  {
    word: "Show the whole space",
    mode: "any",
    keys: ["h"],
    help: "Show all of it in every drawing.",
    does: () => sheet().look("home"),
    seen: true,
  },
  {
    word: "Undo",
    mode: "any",
    keys: ["$mod+z"],
    help: "As it was before.",
    applies: () => sheet().space?.canUndo ?? false,
    needs: "there is nothing to undo.",
    does: () => void sheet().step("undo"),
  },
  {
    word: "Redo",
    mode: "any",
    keys: ["$mod+Shift+Z", "$mod+y"],
    help: "What was undone, again.",
    applies: () => sheet().space?.canRedo ?? false,
    needs: "nothing was undone.",
    does: () => void sheet().step("redo"),
  },
  {
    word: "Hand over",
    mode: "any",
    keys: ["Shift+J"],
    help: "Lists, drawings to scale, models and the project as files.",
    does: openHandover,
  },
  {
    word: "Search the catalog",
    mode: "any",
    // on some keyboards it needs Shift
    keys: ["/", "Shift+/"],
    help: "Type what you look for; with ! before it, what you want to do.",
    does: () => search(""),
  },
  {
    word: "Find a verb",
    mode: "any",
    keys: ["."],
    help: "Everything one can do, by what it is called.",
    does: () => search(VERB_MARK),
    seen: true,
  },
  {
    word: "All keys",
    mode: "any",
    keys: ["?", "Shift+?"],
    help: "Everything one can do, with its keys.",
    does: () => useHelp.setState({ open: true }),
  },
  {
    word: "Catalog or shell",
    mode: "any",
    keys: ["g"],
    help: "The two leaves on the left trade places.",
    does: () => sheet().setTab(sheet().tab === "shell" ? "catalog" : "shell"),
  },
];

const drawn = (purpose: Purpose, key: string, words: string): Verb => ({
  word: "Draw " + words,
  mode: "sheet",
  keys: key ? [key] : [],
  help: `Draw ${words} corner by corner on the plan; lengths can be typed.`,
  does: () => draw(purpose),
  builds: true,
  seen: purpose !== "platform",
});

const built = (tool: Tool, key: string): Verb => ({
  word: "Build: " + TOOL_WORDS[tool].words.toLowerCase(),
  mode: "sheet",
  keys: key ? [key] : [],
  help: TOOL_WORDS[tool].hint[0].toUpperCase() + TOOL_WORDS[tool].hint.slice(1) + ".",
  does: () => sheet().build(tool),
  builds: true,
  seen: key !== "",
});

const SHELL: Verb[] = [
  drawn("outline", "o", "an outline"),
  drawn("partition", "p", "a partition"),
  drawn("platform", "", "a platform"),
  built("door", "d"),
  built("window", "w"),
  built("platform", "l"),
  built("steps", "n"),
  built("bar", "b"),
  built("doubleDoor", ""),
  built("slidingDoor", ""),
  built("opening", ""),
  built("niche", ""),
  built("column", ""),
  built("ramp", ""),
  built("datum", ""),
];

const [PICK_UP, COPY_BESIDE, SETTLE_ONTO, ...WITH_IT_TOO] = WITH_IT;
/** What is likely next comes early. */
const [EXCHANGE, GROUP, OPEN_GROUP, HIDE, LOCK, ALL_OF_KIND, ...KEEP_TOO] = KEEP_VERBS;
const [SIZE, ...SIZE_TOO] = SIZE_VERBS;
const [TURN, EIGHTH, ...TURN_TOO] = TURN_VERBS;

const [LINE_UP, SPACE_OUT, ROW, SAY, ...MANY_TOO] = MANY_VERBS;

export const SHEET_VERBS = [
  ...[PICK_UP, SIZE, TURN, EIGHTH, COPY_BESIDE, SETTLE_ONTO, LINE_UP, SPACE_OUT, ROW, SAY],
  ...[EXCHANGE, GROUP, OPEN_GROUP, HIDE, LOCK, ALL_OF_KIND],
  ...MANY_TOO,
  ...WITH_IT_TOO,
  ...KEEP_TOO,
  ...AS_LEAD_VERBS,
  ...SIZE_TOO,
  ...TURN_TOO,
  ...AT_ALL,
  ...KEEP_ALL_VERBS,
  ...SHELL,
];

import { aim } from "../aim/aims";
import { begin, beginToSay, drop, propose, take, takeBack, useProposal } from "../propose/proposal";
import { pieces, several } from "./selected";
import type { Verb } from "./verb";

/** What arranges many, or makes many of one; each is proposed before it is done. */
export const MANY_VERBS: Verb[] = [
  {
    word: "Line up",
    mode: "sheet",
    keys: ["Shift+I"],
    help: "Bring sides or middles of them in line with the lead, one another, a wall, an edge or a line.",
    applies: pieces,
    does: () => begin("lineUp"),
    seen: true,
  },
  {
    word: "Space out",
    mode: "sheet",
    keys: ["Shift+D"],
    help: "Give them even gaps, an exact gap, none at all, or an exact distance from middle to middle.",
    applies: several,
    does: () => begin("spaceOut"),
    seen: true,
  },
  {
    word: "Row",
    mode: "sheet",
    keys: ["r"],
    help: "Repeat it in a row, in several rows or in tiers: by number, gap or length. Set against a wall: Trail along.",
    applies: pieces,
    does: () => begin("row"),
    seen: true,
  },
  {
    word: "Say",
    mode: "sheet",
    keys: [";"],
    help: "Type what shall be in a sentence; it is shown as it is understood, and done with Enter.",
    does: () => beginToSay(),
    seen: true,
  },
  {
    word: "Ring around…",
    mode: "sheet",
    keys: ["Shift+R"],
    help: "Repeat it around the lead, or around the piece or the point that is clicked next.",
    applies: pieces,
    does: () => (several() ? begin("ring") : aim("ring")),
    seen: true,
  },
  {
    word: "Trail along…",
    mode: "sheet",
    keys: ["Shift+P"],
    help: "Repeat it, set against the wall, the corner of two walls, the edge or the piece that is clicked next. Free in the room: Row.",
    applies: pieces,
    does: () => aim("trail"),
    seen: true,
  },
  {
    word: "Scatter",
    mode: "sheet",
    keys: ["Shift+F"],
    help: "Strew it by chance: over those of them that carry others, or else over the floor.",
    applies: pieces,
    does: () => begin("scatter"),
    seen: true,
  },
  {
    word: "Twin",
    parts: true,
    mode: "sheet",
    keys: ["Shift+M"],
    help: "Make a mirrored partner of it that goes with it from then on.",
    applies: pieces,
    does: () => begin("twin"),
    seen: true,
  },
];

/** While something is proposed. */
export const PROPOSAL_VERBS: Verb[] = [
  {
    word: "Do it",
    mode: "propose",
    keys: ["Enter"],
    help: "What is proposed is done.",
    applies: () => useProposal.getState().edits.length > 0,
    does: () => void take(),
    seen: true,
  },
  {
    word: "Another",
    mode: "propose",
    keys: ["n"],
    help: "Strew them in another way.",
    applies: () => useProposal.getState().edits[0]?.do === "scatter",
    does: another,
    seen: true,
  },
  {
    word: "Take back the point",
    mode: "propose",
    keys: ["Backspace"],
    help: "The last point that was clicked is taken back.",
    applies: () => useProposal.getState().answer?.pointing?.back === true,
    does: takeBack,
    seen: true,
  },
  {
    word: "Give up",
    mode: "propose",
    keys: ["Escape"],
    help: "What is proposed is not done.",
    does: drop,
    seen: true,
  },
];

function another() {
  const more = useProposal.getState().answer?.words.find((p) => p.kind === "more");
  const next = more?.kind === "more" ? more.options.find((o) => o.text === "another") : undefined;
  if (next) propose(next.edit);
}

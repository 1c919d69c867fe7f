import { MANY_VERBS } from "./manyVerbs";
import { SIZE_VERBS } from "./sizeVerbs";
import { TURN_VERBS } from "./turnVerbs";
import type { Verb } from "./verb";

/** What is wanted of a piece most often: it stands in its menu itself. */
const FIRST = new Set([
  "Pick up",
  "Size",
  "Turn",
  "Copy beside",
  "Exchange for…",
  "Settle",
  "Hide",
  "Remove",
  "Look at it",
]);

const SELECTING = new Set([
  "All of this kind",
  "Select more",
  "All but these",
  "Name the selection…",
  "Select in",
  "Select what was named",
  "Select everything",
]);

const STANDING = new Set([
  "Settle onto…",
  "Carry a copy",
  "Beside the lead",
  "Level with the lead",
  "Attach to…",
  "Take off",
  "Bring it here",
  "Paste",
]);

const SIZING = new Set([...SIZE_VERBS, ...TURN_VERBS].map((v) => v.word));
const MANY = new Set(MANY_VERBS.map((v) => v.word));

/** A heading of the menu, and what stands behind it. */
export interface Heading {
  words: string;
  verbs: Verb[];
}

const HEADINGS: [string, (word: string) => boolean][] = [
  ["Where it stands", (w) => STANDING.has(w)],
  ["Size and turn", (w) => SIZING.has(w)],
  ["Arrange and repeat", (w) => MANY.has(w)],
  ["Select", (w) => SELECTING.has(w)],
  ["Keep in order", () => true],
];

/** The verbs for what is selected as its menu shows them: the most wanted, and the others behind headings. */
export function underHeadings(verbs: Verb[]): { first: Verb[]; headings: Heading[] } {
  const first = verbs.filter((v) => FIRST.has(v.word));
  const behind = new Map<string, Verb[]>(HEADINGS.map(([words]) => [words, []]));
  for (const v of verbs) {
    if (FIRST.has(v.word)) continue;
    const [words] = HEADINGS.find(([, holds]) => holds(v.word))!;
    behind.get(words)!.push(v);
  }
  const headings = [...behind].map(([words, all]) => ({ words, verbs: all }));
  return { first, headings: headings.filter((h) => h.verbs.length > 0) };
}

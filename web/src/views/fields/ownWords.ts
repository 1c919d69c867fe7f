import type { Figure } from "./ownFigures";

/** Words that are Pied's own, and what each means, in one sentence. */
const OWN_WORDS: [RegExp, string, Figure?][] = [
  [/\bsnags?\b/i, "Something wrong in a space: it hovers, is sunk in, pokes out, is too tight or unsteady."],
  [/\bthe lead\b/i, "The piece that was picked last: the others go by it.", "lead"],
  [/\bthe datum\b/i, "The point from which all positions in this space are read.", "datum"],
  [/\btwins?\b/i, "A mirrored partner: what is done to one of the two happens to the other.", "twin"],
  [/\bheld\b/i, "It stays at the height it was given, although nothing is under it."],
  [/\bsettles?\b/i, "It comes down, or up, until it rests on what is there.", "settle"],
  [/\bby no rule\b/i, "The pieces stay where they are and follow the row, ring or trail no longer."],
  [/\bas it goes\b/i, "In the direction in which it runs now."],
  [/\bby habit\b/i, "Where such an article usually stands: a cup on tops, a chair on floors."],
  [/\bby true sides\b/i, "By what sticks out farthest, and not by the box it fits into."],
  [/\blift off\b/i, "Taken away while one looks in; in the space it is still there."],
  [/\bkept\b/i, "It moves in this one direction only, however the hand drifts."],
  [
    /\bsetting line\b/i,
    "The line across a stage, just upstage of the curtain, from which depth is read.",
    "setting line",
  ],
];

/** What an own word of Pied's in a text means; null if there is none in it. */
export const meaning = (text: string): string | null => OWN_WORDS.find(([w]) => w.test(text))?.[1] ?? null;

interface Part {
  text: string;
  means: string | null;
  /** A drawing that says it quicker. */
  figure?: Figure;
}

/** A text in pieces: own words with what they mean, and what stands between them. */
export function hinted(text: string): Part[] {
  let best: { at: number; word: string; means: string; figure?: Figure } | null = null;
  for (const [w, means, figure] of OWN_WORDS) {
    const met = w.exec(text);
    if (met && (best === null || met.index < best.at)) best = { at: met.index, word: met[0], means, figure };
  }
  if (best === null) return text === "" ? [] : [{ text, means: null }];
  const { at, word, means, figure } = best;
  return [
    ...(at > 0 ? [{ text: text.slice(0, at), means: null }] : []),
    { text: word, means, ...(figure && { figure }) },
    ...hinted(text.slice(at + word.length)),
  ];
}

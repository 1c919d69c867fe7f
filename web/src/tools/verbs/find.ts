import { NOT_YET, OTHER_WORDS } from "./otherWords";
import type { Verb } from "./verb";

/** How many letters may be wrong in a word that is typed. */
const slips = (word: string) => (word.length < 4 ? 0 : word.length < 6 ? 1 : 2);

/**
 * Least number of letters to put in, take out, exchange or swap with the next, from one word to the other
 * (optimal string alignment), or to a beginning of it; more than `most` if it is more.
 */
function off(typed: string, word: string, most: number): number {
  let before: number[] = [];
  let row = Array.from({ length: word.length + 1 }, (_, j) => j);
  for (let i = 1; i <= typed.length; i++) {
    const next = [i];
    for (let j = 1; j <= word.length; j++) {
      const same = typed[i - 1] === word[j - 1];
      next[j] = Math.min(row[j] + 1, next[j - 1] + 1, row[j - 1] + (same ? 0 : 1));
      if (i > 1 && j > 1 && typed[i - 1] === word[j - 2] && typed[i - 2] === word[j - 1])
        next[j] = Math.min(next[j], before[j - 2] + 1);
    }
    if (Math.min(...next) > most) return most + 1;
    before = row;
    row = next;
  }
  return row[word.length];
}

const split = (text: string) =>
  text
    .toLowerCase()
    .split(/[^\p{L}\d]+/u)
    .filter(Boolean);

/** How badly a word that is typed fits one of these: 0 it begins one, else by its slips; null for not at all. */
function fits(typed: string, words: string[]): number | null {
  if (words.some((w) => w.startsWith(typed))) return 0;
  const most = slips(typed);
  const slipped = words.map((w) => (Math.abs(w.length - typed.length) > most ? 9 : off(typed, w, most)));
  // who slips twice begins right all the same
  const least = Math.min(...slipped.filter((n, i) => n < 2 || words[i][0] === typed[0]), 9);
  return least <= most ? least : null;
}

/** How badly a text fits some words: the sum over what is typed; null if one of them fits none. */
function badness(typed: string[], text: string): number | null {
  const words = split(text);
  if (words.length === 0) return null;
  let sum = 0;
  for (const t of typed) {
    const f = fits(t, words);
    if (f === null) return null;
    sum += f;
  }
  return sum;
}

/**
 * Verbs that go by these words, slips forgiven: those that say it in Pied's word first, then those that other
 * trades call so, then those that say it in their help.
 */
export function findVerbs(text: string, among: Verb[]): Verb[] {
  const typed = split(text);
  if (typed.length === 0) return among;
  const says = text.trim().toLowerCase();
  const found = among.flatMap((verb, place) => {
    const choices = (verb.choices?.() ?? []).map((c) => c.words).join(" ");
    const ranks = [verb.word, OTHER_WORDS[verb.word] ?? "", `${verb.word} ${verb.help} ${choices}`].map(
      (t, i) => {
        const b = badness(typed, t);
        // a slip in one's word is less likely meant than what others call so
        return b === null ? 99 : i * 2 + b * 3;
      },
    );
    const rank = verb.word.toLowerCase().includes(says) ? -1 : Math.min(...ranks);
    return rank < 99 ? [{ verb, rank, place }] : [];
  });
  return found.sort((a, b) => a.rank - b.rank || a.place - b.place).map((f) => f.verb);
}

/** What is looked for and is not there yet, in a sentence; null if that is not what was typed. */
export function notYet(text: string): string | null {
  const typed = split(text);
  const hit = NOT_YET.find((n) => typed.some((t) => t.length > 3 && n.words.split(" ").includes(t)));
  return hit?.says ?? null;
}

/** Whether a text may be a sentence that says what shall be: it has a number, or several words. */
export const maySay = (text: string) => /\d/.test(text) || split(text).length > 1;

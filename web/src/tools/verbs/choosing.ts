import { create } from "zustand";
import type { Choice } from "./verb";

/** The verb whose choices a key has opened, by its word. */
export const useChoosing = create<{ word: string | null }>(() => ({ word: null }));

/** Opens the choices of a verb; a letter chooses then. */
export const openChoices = (word: string) => useChoosing.setState({ word });

const SMALL = new Set(["the", "it", "its", "from", "on", "in", "of", "to", "as", "is"]);

/** A letter for each choice: the first of its letters that no choice before it has. */
export function letters(choices: Choice[]): string[] {
  const taken = new Set<string>();
  return choices.map((c) => {
    const words = c.words.toLowerCase().replace(/[^a-z0-9 ]/g, "");
    // first letters of words are looked for before letters within them
    const own = [
      ...words
        .split(" ")
        .filter((w) => !SMALL.has(w))
        .map((w) => w[0]),
      ...words.replace(/ /g, ""),
    ];
    const letter = own.find((l) => l && !taken.has(l)) ?? "";
    taken.add(letter);
    return letter;
  });
}

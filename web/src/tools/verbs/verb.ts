/** What one is at: keys mean something else while something is carried or drawn. */
export type Mode = "sheet" | "carry" | "draft" | "aim" | "propose";

/** One of several values of a verb. */
export interface Choice {
  words: string;
  now: boolean;
  choose: () => void;
}

/** Something that is done by choosing it, and is no state. */
export const choice = (words: string, choose: () => void): Choice => ({ words, now: false, choose });

/** Something one can do: seen under the caption, in the menu at the pointer, among the keys, and found. */
export interface Verb {
  /** What one does, as one would say it. */
  word: string;
  mode: Mode | "any";
  /** What is pressed for it, as the key-binding package writes it; the first is shown. */
  keys: string[];
  /** The keys in one word, where there are many. */
  shown?: string;
  /** A sentence of help. */
  help: string;
  /** Whether it can be done now; always if left out. */
  applies?: () => boolean;
  /** What is to be so that it can be done, where that is not that something is selected. */
  needs?: string;
  does: (e?: KeyboardEvent) => void;
  /** How it stands now, in words. */
  now?: () => string;
  /** All it can be set to. */
  choices?: () => Choice[];
  /** Whether it is done to parts of the shell as well as to pieces. */
  parts?: boolean;
  /** What one is likely to be at when one wants it: then it comes first. */
  of?: "size" | "turn";
  /** Whether it is about the space, and not about what is selected in it. */
  builds?: boolean;
  /** Whether it only shows what stands behind it in a menu. */
  heading?: boolean;
  /** Whether it is among those that are shown under the caption and at the pointer. */
  seen?: boolean;
}

/** A key as it is written on it. */
export function keyWords(key: string): string {
  return key
    .split(/\b\+/)
    .map((k) => (k === "$mod" ? "Ctrl" : k.length === 1 ? k.toUpperCase() : (NAMES[k] ?? k)))
    .join("+");
}

const NAMES: Record<string, string> = { Escape: "Esc", Delete: "Del", PageDown: "PgDn", PageUp: "PgUp" };

/** What is to be pressed for a verb; empty if there is nothing. */
export const pressed = (v: Verb) => v.shown ?? (v.keys.length > 0 ? keyWords(v.keys[0]) : "");

import type { By } from "./types.gen";

const KEY = "pied.window";
const NAME = "pied.who";

function own(): string {
  const kept = sessionStorage.getItem(KEY);
  if (kept) return kept;
  const made = crypto.randomUUID();
  sessionStorage.setItem(KEY, made);
  return made;
}

/** This window, for as long as it is there; what is done in it is undone from it. */
export const WINDOW = own();

/** How the one who works here is called; empty if that was not said. */
export const myName = () => localStorage.getItem(NAME) ?? "";

export const callMe = (name: string) => localStorage.setItem(NAME, name.trim().slice(0, 100));

export const me = (): By => ({ window: WINDOW, who: myName() || undefined });

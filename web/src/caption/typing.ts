import { create } from "zustand";
import { useHandling } from "../handling/handling";
import { useSheet } from "../space/sheet";

/** A field that is opened from elsewhere: by its label, with this in it. */
export const useTyping = create<{ label: string; text: string; at: number }>(() => ({
  label: "",
  text: "",
  at: 0,
}));

/** A number with one more, or one less, of its last place; null for what is no plain number. */
export function stepped(text: string, by: number): string | null {
  const m = /^\s*(\d+)(?:\.(\d+))?\s*$/.exec(text);
  if (!m) return null;
  const places = m[2]?.length ?? 0;
  const next = Number(text) + by * 10 ** -places;
  return next < 0 ? null : next.toFixed(places);
}

export function openField(label: string, text: string) {
  useTyping.setState((s) => ({ label, text, at: s.at + 1 }));
}

/** A digit with something selected begins what it measures; while it is turned, how far. */
export function typeInCaption(e: KeyboardEvent): boolean {
  const { selection, aiming } = useSheet.getState();
  if (selection.length === 0 || aiming || e.ctrlKey || e.metaKey || e.altKey) return false;
  if (!/^[0-9+*=-]$/.test(e.key)) return false;
  openField(useHandling.getState().at === "turn" ? "Turn, degrees" : "Width", e.key);
  return true;
}

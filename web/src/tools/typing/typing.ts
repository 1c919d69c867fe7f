import { create } from "zustand";
import { useHandling } from "../../store/handling";
import { useSheet } from "../../store/sheet";

/** A field that is opened from elsewhere: by its label, with this in it. */
export const useTyping = create<{ label: string; text: string; at: number; chosen: boolean }>(() => ({
  label: "",
  text: "",
  at: 0,
  chosen: true,
}));

/** A number with one more, or one less, of its last place; null for what is no plain number. */
export function stepped(text: string, by: number): string | null {
  const m = /^\s*(\d+)(?:\.(\d+))?\s*$/.exec(text);
  if (!m) return null;
  const places = m[2]?.length ?? 0;
  const next = Number(text) + by * 10 ** -places;
  return next < 0 ? null : next.toFixed(places);
}

/** So long keys wait for the field that they are for, milliseconds; then it will not come any more. */
const PATIENCE = 4000;

/** What is typed while the field for it is not there yet; whether Enter was pressed behind it. */
let waiting: { label: string; text: string; enter: boolean; since: number } | null = null;

const isPatient = () => waiting !== null && performance.now() - waiting.since < PATIENCE;

/** Whether something is typed for the field of this name that has not come yet. */
export const isWaiting = (label: string) => isPatient() && waiting!.label === label;

/** The field is open and has the keyboard; whether Enter was pressed for it already. */
export function arrived(label: string): boolean {
  if (!isWaiting(label)) return false;
  const { enter } = waiting!;
  waiting = null;
  return enter;
}

/**
 * Opens the field of a name with this in it; keys that come before it is there are kept for it.
 *
 * @param chosen whether that field is meant, and not only what is selected as a whole
 */
export function openField(label: string, text: string, chosen = true) {
  waiting = { label, text, enter: false, since: performance.now() };
  useTyping.setState((s) => ({ label, text, at: s.at + 1, chosen }));
}

/** A key while a field is on its way; whether it was for that. */
function typeAhead(e: KeyboardEvent): boolean {
  if (!isPatient() || e.ctrlKey || e.metaKey) return false;
  const w = waiting!;
  const { chosen } = useTyping.getState();
  if (e.key === "Escape") waiting = null;
  else if (e.key === "Enter") waiting = { ...w, enter: true };
  else if (e.key === "Backspace") openField(w.label, w.text.slice(0, -1), chosen);
  else if (e.key.length === 1 && !w.enter) openField(w.label, w.text + e.key, chosen);
  else return w.enter;
  return true;
}

/** Whether a key begins a number. */
export const beginsNumber = (e: { key: string; ctrlKey: boolean; metaKey: boolean; altKey: boolean }) =>
  !e.ctrlKey && !e.metaKey && !e.altKey && /^[0-9.,+*=-]$/.test(e.key);

/** A digit with something selected begins what it measures; while it is turned, how far. */
export function typeInCaption(e: KeyboardEvent): boolean {
  if (typeAhead(e)) return true;
  const { selection, aiming } = useSheet.getState();
  if (selection.length === 0 || aiming || e.key === "." || !beginsNumber(e)) return false;
  if (useHandling.getState().at === "turn") openField("Turn, degrees", e.key);
  else openField("Width", e.key, false);
  return true;
}

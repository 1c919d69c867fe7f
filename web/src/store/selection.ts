import type { StateCreator } from "zustand";
import type { SpaceView } from "../api/types.gen";

/** Whether an id is that of a part of the shell: its kind, a colon, its name. */
export const isPart = (id: string) => id.includes(":");

/** What is picked: pieces, the lead last, and parts of the shell; and what is under the pointer. */
export interface Selection {
  selection: string[];
  /** The parts of the shell that are selected. */
  parts: string[];
  /** The part of the shell that is selected alone. */
  part: string | null;
  hover: string | null;
  /** Whether a click picks up what is under the pointer. */
  grab: boolean;
  /** The pieces that lie where the last click took one, that one among them. */
  here: string[];
  /** The group that is opened, in which one works; the rest is dimmed. */
  inGroup: string | null;
  /** The layer on which comes what is put in from this window; null for the first. */
  layer: string | null;
  select: (ids: string[]) => void;
  selectPart: (part: string | null) => void;
  point: (id: string | null, grab?: boolean) => void;
  lieHere: (ids: string[]) => void;
  openGroup: (group: string | null) => void;
  makeCurrent: (layer: string | null) => void;
}

const LAYER = "pied.layer.";

/** The current layer of this window, as it was left. */
export function currentLayer(space: SpaceView): string | null {
  const kept = sessionStorage.getItem(LAYER + space.id);
  return space.filing.layers.some((l) => l.id === kept) ? kept : null;
}

/** Pieces and parts each by themselves. */
export function picked(ids: string[]): Pick<Selection, "selection" | "parts" | "part"> {
  const parts = ids.filter(isPart);
  const selection = parts.length === 0 ? ids : ids.filter((id) => !isPart(id));
  return { selection, parts, part: parts.length === 1 && selection.length === 0 ? parts[0] : null };
}

export const selectionSlice: StateCreator<Selection & { space: SpaceView | null }, [], [], Selection> = (
  set,
  get,
) => ({
  selection: [],
  parts: [],
  part: null,
  hover: null,
  grab: false,
  here: [],
  inGroup: null,
  layer: null,
  select: (ids) => set({ ...picked(ids), here: [] }),
  selectPart: (part) => set({ ...picked(part === null ? [] : [part]), here: [] }),
  point: (id, grab = false) => {
    if (get().hover !== id || get().grab !== grab) set({ hover: id, grab });
  },
  lieHere: (here) => set({ here }),
  openGroup: (inGroup) => set({ inGroup }),
  makeCurrent(layer) {
    const space = get().space;
    if (space) sessionStorage.setItem(LAYER + space.id, layer ?? "");
    set({ layer });
  },
});

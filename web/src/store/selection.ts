import type { StateCreator } from "zustand";
import type { SpaceView } from "../api/types.gen";

/** What is picked: pieces, the lead last, or a part of the shell; and what is under the pointer. */
export interface Selection {
  selection: string[];
  /** The part of the shell that is selected; never together with pieces. */
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

export const selectionSlice: StateCreator<Selection & { space: SpaceView | null }, [], [], Selection> = (
  set,
  get,
) => ({
  selection: [],
  part: null,
  hover: null,
  grab: false,
  here: [],
  inGroup: null,
  layer: null,
  select: (ids) => set({ selection: ids, part: null, here: [] }),
  selectPart: (part) => set({ part, selection: [], here: [] }),
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

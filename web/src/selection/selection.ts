import type { StateCreator } from "zustand";
import type { Sheet } from "../space/sheet";

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
  select: (ids: string[]) => void;
  selectPart: (part: string | null) => void;
  point: (id: string | null, grab?: boolean) => void;
  lieHere: (ids: string[]) => void;
}

export const selectionSlice: StateCreator<Sheet, [], [], Selection> = (set, get) => ({
  selection: [],
  part: null,
  hover: null,
  grab: false,
  here: [],
  select: (ids) => set({ selection: ids, part: null, here: [] }),
  selectPart: (part) => set({ part, selection: [], here: [] }),
  point: (id, grab = false) => {
    if (get().hover !== id || get().grab !== grab) set({ hover: id, grab });
  },
  lieHere: (here) => set({ here }),
});

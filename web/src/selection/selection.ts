import type { StateCreator } from "zustand";
import type { Sheet } from "../space/sheet";

/** What is picked: pieces, the lead last, or a part of the shell; and what is under the pointer. */
export interface Selection {
  selection: string[];
  /** The part of the shell that is selected; never together with pieces. */
  part: string | null;
  hover: string | null;
  select: (ids: string[]) => void;
  selectPart: (part: string | null) => void;
  point: (id: string | null) => void;
}

export const selectionSlice: StateCreator<Sheet, [], [], Selection> = (set, get) => ({
  selection: [],
  part: null,
  hover: null,
  select: (ids) => set({ selection: ids, part: null }),
  selectPart: (part) => set({ part, selection: [] }),
  point: (id) => {
    if (get().hover !== id) set({ hover: id });
  },
});

import { create } from "zustand";
import { inHandSlice } from "./inHand";
import { lookingSlice } from "./looking";
import { mirrorSlice, type Sheet } from "./mirror";
import { selectionSlice } from "./selection";

/** The state of one sheet, each part of it in a file of its own. */
export const useSheet = create<Sheet>()((...all) => ({
  ...mirrorSlice(...all),
  ...selectionSlice(...all),
  ...inHandSlice(...all),
  ...lookingSlice(...all),
}));

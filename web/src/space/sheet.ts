import { create } from "zustand";
import { inHandSlice, type InHand } from "../carry/inHand";
import { lookingSlice, type Looking } from "../drawings/looking";
import { selectionSlice, type Selection } from "../selection/selection";
import { mirrorSlice, type Mirror } from "./mirror";

/** All that one sheet knows: the space, what is picked, what is in hand, how one looks at it. */
export type Sheet = Mirror & Selection & InHand & Looking;

export const useSheet = create<Sheet>()((...all) => ({
  ...mirrorSlice(...all),
  ...selectionSlice(...all),
  ...inHandSlice(...all),
  ...lookingSlice(...all),
}));

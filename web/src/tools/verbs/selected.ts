import type { EditUnion as Edit } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";

/** The pieces that are selected, the lead last. */
export const chosen = () => useSheet.getState().selection;

export const pieces = () => chosen().length > 0;
export const several = () => chosen().length > 1;
export const one = () => chosen().length === 1;

/** Does something with them. */
export const edit = (e: Edit) => void useSheet.getState().edit([e]);

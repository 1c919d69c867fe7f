import type { EditUnion as Edit } from "../../api/types.gen";
import { chosenNow } from "../../store/selecting";
import { useSheet } from "../../store/sheet";

/** All that is selected: parts of the shell, and then the pieces, the lead last. */
export const chosen = chosenNow;

/** Whether anything is selected; what cannot be done to it says so. */
export const pieces = () => chosen().length > 0;
export const several = () => chosen().length > 1;
export const one = () => chosen().length === 1;

/** Does something with them. */
export const edit = (e: Edit) => void useSheet.getState().edit([e]);

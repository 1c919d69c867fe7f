import { createContext } from "react";
import type { EditUnion as Edit } from "../../api/types.gen";

/** What becomes of what is typed and chosen in a sentence, where it is not done at once. */
interface Instead {
  /** Takes the edit; whether it was taken. */
  edit: (edit: Edit) => Promise<boolean>;
  /** What is being typed, as it stands. */
  live: (edit: Edit) => void;
  /** Enter was pressed in a field. */
  enter: () => void;
  /** Esc was pressed in a field. */
  giveUp: () => void;
  /** Changes when the first number is to be open. */
  first: number;
}

/** Null: what is typed and chosen is done. */
export const Doing = createContext<Instead | null>(null);

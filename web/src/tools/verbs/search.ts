import { create } from "zustand";
import { useSheet } from "../../store/sheet";

/** What is typed after this into the field of the catalog's search is looked for among the verbs. */
export const VERB_MARK = "!";

/** What is looked for in the catalog; and when it was last asked to take the keyboard. */
export const useSearch = create<{ text: string; asked: number }>(() => ({ text: "", asked: 0 }));

/** The field of the search takes the keyboard, with this in it; with nothing, what is there is chosen. */
export function search(text: string) {
  useSheet.getState().setTab("catalog");
  useSearch.setState((s) => ({ text: text || s.text, asked: s.asked + 1 }));
}

import { create } from "zustand";
import type { EditUnion as Edit } from "../../api/types.gen";
import { isOtherwise } from "../../store/selecting";
import { useSheet } from "../../store/sheet";

/** Something that is asked before it is done: in words, and what is typed in answer. */
export interface Question {
  words: string;
  label: string;
  /** What stands there at first. */
  text: string;
  /** The edit it makes, */
  edit?: (typed: string) => Edit;
  /** or what else it leads to; whether that was done. */
  then?: (typed: string) => Promise<boolean>;
}

export const useQuestion = create<{ asked: Question | null }>(() => ({ asked: null }));

export function ask(asked: Question) {
  useQuestion.setState({ asked });
}

export const unask = () => useQuestion.setState({ asked: null });

/** What was typed in answer; whether it was taken. */
export async function answer(typed: string): Promise<boolean> {
  const { asked } = useQuestion.getState();
  if (!asked) return false;
  const done = asked.then
    ? await asked.then(typed)
    : asked.edit !== undefined && (await useSheet.getState().edit([asked.edit(typed)])) !== null;
  if (done) unask();
  return done;
}

// what is asked is about what was selected then
useSheet.subscribe((s, before) => {
  if (isOtherwise(s, before)) unask();
});

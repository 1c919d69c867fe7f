import { useMemo } from "react";
import { api } from "../api/client";
import type { Meant } from "../api/types.gen";
import { isPart, type Selection } from "./selection";
import { useSheet } from "./sheet";

/** What becomes of what was selected before. */
export type How = "instead" | "more" | "less";

interface Keys {
  shiftKey: boolean;
  ctrlKey: boolean;
  metaKey: boolean;
}

/** The newest question counts. */
let asked = 0;

/** Selects what is meant, which core finds. */
export async function selectMeant(meant: Meant, how: How = "instead") {
  const { space, inGroup: open, selection: before, say } = useSheet.getState();
  if (!space) return;
  const own = ++asked;
  try {
    const found = await api.select(space.id, { open: open ?? undefined, ...meant });
    const now = useSheet.getState();
    // what was chosen since, by whatever way, is meant
    if (own !== asked || now.space?.id !== space.id || now.selection !== before) return;
    combine(
      found.filter((id) => isPart(id) || now.pieces.has(id)),
      how,
    );
    if (found.length === 0 && meant.by !== "piece" && meant.by !== "figure")
      say("There is nothing like that to be seen here.");
  } catch (e) {
    say((e as Error).message, "refused");
  }
}

/** What was made is selected, with all of the repetition that it is in. */
export async function selectMade(made: string[]) {
  const { pieces, space, select } = useSheet.getState();
  const first = pieces.get(made[0]);
  const group = space?.filing.groups.find((g) => g.id === first?.group && g.rule);
  if (group) await selectMeant({ by: "group", value: group.id });
  else select(made);
}

function combine(found: string[], how: How) {
  const { select } = useSheet.getState();
  const those = new Set(found);
  const others = chosenNow().filter((id) => !those.has(id));
  select(how === "instead" ? found : how === "more" ? [...others, ...found] : others);
}

/**
 * A click alone is instead of all before. With Shift it is one more; on what is selected already it
 * makes it the lead, and on the lead it takes that out. With Ctrl it takes out whatever is selected.
 */
function meantBy(id: string, selection: string[], e: Keys): How {
  if (!(e.shiftKey || e.ctrlKey || e.metaKey)) return "instead";
  if (!selection.includes(id)) return "more";
  return e.shiftKey && selection[selection.length - 1] !== id ? "more" : "less";
}

/** All that is selected: parts of the shell, and then the pieces, the lead last. */
export function chosenNow(): string[] {
  const { parts, selection } = useSheet.getState();
  return parts.length === 0 ? selection : [...parts, ...selection];
}

/** The same, followed as it changes. */
export function useChosen(): string[] {
  const parts = useSheet((s) => s.parts);
  const selection = useSheet((s) => s.selection);
  return useMemo(() => (parts.length === 0 ? selection : [...parts, ...selection]), [parts, selection]);
}

type Chosen = Pick<Selection, "selection" | "parts">;

/** Whether something else is selected than was. */
export const isOtherwise = (now: Chosen, before: Chosen) =>
  (now.selection !== before.selection && now.selection.join() !== before.selection.join()) ||
  (now.parts !== before.parts && now.parts.join() !== before.parts.join());

/** A click on a part of the shell: with Shift or Ctrl it is one more, or one less. */
export function pickPart(part: string, e: Keys) {
  const { parts, selectPart, inGroup, openGroup, space } = useSheet.getState();
  asked++;
  const group = space?.filing.parts.find((k) => k.part === part)?.group ?? null;
  if (group === null && inGroup !== null) openGroup(null);
  const more = e.shiftKey || e.ctrlKey || e.metaKey;
  if (!more && group === null) selectPart(part);
  else if (group === null || group === inGroup) combine([part], meantBy(part, parts, e));
  else void selectMeant({ by: "piece", pieces: [part] }, meantBy(part, parts, e));
}

/** A click on a piece, or on nothing; with Shift or Ctrl it is one more, or one less. */
export function pick(id: string | null, e: Keys) {
  const { selection, select, pieces, inGroup: open, space, openGroup } = useSheet.getState();
  asked++;
  if (id === null || !space) {
    select([]);
    return;
  }
  const how = meantBy(id, selection, e);
  const group = pieces.get(id)?.group ?? null;
  if (group === null && open !== null) openGroup(null); // one works elsewhere now
  if (group === null || group === open) combine([id], how);
  else void selectMeant({ by: "piece", pieces: [id] }, how);
}

/** What is in the schedule is selected by itself, whatever group it is in. */
export function pickAlone(id: string, e: Keys) {
  asked++;
  combine([id], meantBy(id, chosenNow(), e));
}

import { api, type EditDraft } from "../api/client";
import { useSheet } from "./sheet";

let next: EditDraft[] | null = null;
let asking = false;
let epoch = 0;

/**
 * Asks core what an edit would lead to and shows it. One question is on its way at a time and the
 * newest pointer wins, so a slow line never piles up.
 */
export function tryOut(edits: EditDraft[]) {
  next = edits;
  if (!asking) void ask();
}

/** Forgets what was asked; nothing in hand is shown any more. */
export function giveUp() {
  next = null;
  epoch++;
  useSheet.getState().show([], null);
}

async function ask() {
  asking = true;
  while (next) {
    const edits = next;
    next = null;
    const { space, unit } = useSheet.getState();
    if (!space) break;
    const asked = epoch;
    try {
      const answer = await api.trial(space.id, unit, edits);
      if (asked === epoch) useSheet.getState().show(answer.changed, answer);
    } catch {
      if (asked === epoch) useSheet.getState().show([], null); // no place for it there
    }
  }
  asking = false;
}

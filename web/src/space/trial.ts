import { api } from "../api/client";
import type { EditUnion as Edit } from "../api/types.gen";
import { useSheet } from "./sheet";
import type { Hand } from "../carry/inHand";

let next: Edit[] | null = null;
let asking = false;
let epoch = 0;

/**
 * Asks core what an edit would lead to and shows it. One question is on its way at a time and the
 * newest pointer wins, so a slow line never piles up.
 */
export function tryOut(edits: Edit[]) {
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
    } catch (e) {
      // no place for it there
      if (asked === epoch) useSheet.getState().show([], refusal(e as Error));
    }
  }
  asking = false;
}

function refusal(e: Error): Hand {
  const why = { kind: "text" as const, text: e.message };
  return { reach: [], caption: [why], refused: true };
}

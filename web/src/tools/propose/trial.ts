import { api } from "../../api/client";
import { Newest } from "../../api/newest";
import type { EditUnion as Edit, Proposal } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";

const show = useSheet.getState().show;

/** Where there is no place for it, it says why. */
const refused = (text: string) => show([], { reach: [], caption: [{ kind: "text", text }], refused: true });

function told({ refused: why, changed, reach, words, said, plan, part }: Proposal) {
  if (why) refused(why);
  else show(changed, { reach, caption: words, said, plan, part });
}

const newest = new Newest(
  (edits: Edit[]) => {
    const { space, unit } = useSheet.getState();
    return api.propose(space!.id, { unit, edits, inHand: true });
  },
  told,
  (e) => refused(e.message),
);

/** Asks core what edits would lead to and shows it, while something is pulled or in hand. */
export function tryOut(edits: Edit[]) {
  if (useSheet.getState().space) newest.put(edits);
}

/** Forgets what was asked; nothing in hand is shown any more. */
export function giveUp() {
  newest.forget();
  show([], null);
}

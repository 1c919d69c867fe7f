import type { ArticleCard } from "../../api/types.gen";
import { note } from "../../store/shelf";
import { useSheet } from "../../store/sheet";
import { useCarry } from "../carry/carry";
import { drop, propose, useProposal } from "../propose/proposal";

/** The exchange that is proposed; null if none is. */
const proposed = () => {
  const edit = useProposal.getState().edits[0];
  return edit?.do === "exchange" ? edit : null;
};

/**
 * An article is chosen: for what is being exchanged, or else it is in hand.
 *
 * @returns whether it is to take the place of something
 */
export function choose(article: ArticleCard): boolean {
  note(article.id);
  const edit = proposed();
  if (edit) propose({ ...edit, article: article.id });
  else useSheet.getState().place({ article, turn: 0 });
  return edit !== null;
}

/** Proposes an article in the place of what is selected. */
export function exchangeFor(article: ArticleCard) {
  const pieces = useSheet.getState().selection;
  if (pieces.length === 0) return;
  drop();
  note(article.id);
  propose({ do: "exchange", pieces, article: article.id });
}

/**
 * A card was dragged onto something: onto a selected piece on which the article would not come to stand, it
 * is proposed in its place.
 *
 * @param there ids of the pieces under the pointer
 * @returns whether it is
 */
export function droppedOn(there: string[]): boolean {
  const { placing, selection } = useSheet.getState();
  const met = there.find((id) => selection.includes(id));
  const on = useCarry.getState().answer?.pieces[0]?.on;
  if (!placing || !met || (on?.kind === "piece" && on.id === met)) return false;
  useSheet.getState().place(null); // and so out of hand
  exchangeFor(placing.article);
  return true;
}

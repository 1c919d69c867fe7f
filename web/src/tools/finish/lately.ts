import { create } from "zustand";
import type { FinishCard } from "../../api/types.gen";

const KEY = "pied.finishes";
const MOST = 12;

function kept(): FinishCard[] {
  try {
    const all: unknown = JSON.parse(localStorage.getItem(KEY) ?? "[]");
    return Array.isArray(all)
      ? (all as FinishCard[]).filter((c) => c?.appearance?.colour).slice(0, MOST)
      : [];
  } catch {
    return [];
  }
}

/** Finishes that were given lately, the last first. */
export const useLately = create<{ cards: FinishCard[] }>(() => ({ cards: kept() }));

export function lately(card: FinishCard) {
  const same = JSON.stringify(card.finish);
  const others = useLately.getState().cards.filter((c) => JSON.stringify(c.finish) !== same);
  const cards = [card, ...others].slice(0, MOST);
  useLately.setState({ cards });
  try {
    localStorage.setItem(KEY, JSON.stringify(cards));
  } catch {
    // it is forgotten with the window
  }
}

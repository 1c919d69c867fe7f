import type { Appearance } from "../../api/types.gen";

/** What is of no material but has a colour: card. */
export const plain = (colour: string, words: string): Appearance => ({
  words,
  colour,
  roughness: 0.8,
  metal: 0,
  transparency: 0,
  emission: 0,
  clearCoat: 0,
  sheen: 0,
  transmission: 0,
});

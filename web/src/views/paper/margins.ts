import type { Dimension } from "../../api/types.gen";

/** How far a chain stands off what it measures, and from the next chain, pixels. */
const FIRST = 15;
const NEXT = 18;

/** Half a number on its line, pixels, and what is left free beyond it. */
const NUMBER = 10;
/** Where there is no chain, pixels. */
const BARE = 10;
/** What the title of a drawing and its scale take, pixels. */
const TITLE = 26;
const SCALE_BAR = 24;

/** Pixels left free around a drawing. */
export interface Margins {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** How far off its own place a chain of a level stands, pixels. */
export const offset = (level: number) => (level === 0 ? 0 : FIRST + (level - 1) * NEXT);

/** The same on all sides. */
export const allRound = (margin: number): Margins => ({
  left: margin,
  right: margin,
  top: margin + 4,
  bottom: margin + 4,
});

/** What the chains of a drawing need on each side, and no more. */
export function marginsFor(dimensions: Dimension[]): Margins {
  const need = (out: (d: Dimension) => boolean, least: number) =>
    Math.max(least, ...dimensions.filter((d) => d.level > 0 && out(d)).map((d) => offset(d.level) + NUMBER));
  return {
    left: need((d) => d.outX < -0.5, BARE),
    right: need((d) => d.outX > 0.5, BARE),
    top: need((d) => d.outY < -0.5, 0) + TITLE,
    bottom: need((d) => d.outY > 0.5, BARE) + SCALE_BAR,
  };
}

import type { Dimension } from "../../api/types.gen";
import { wide, type Block } from "../paper/clear";
import { offset } from "../paper/margins";
import type { Paper } from "../paper/usePaper";

/** A dimension line where it is drawn, pixels, with its number. */
export interface Chained {
  d: Dimension;
  a: { left: number; top: number };
  b: { left: number; top: number };
  from: { x: number; y: number };
  to: { x: number; y: number };
  off: number;
  upright: boolean;
  number: Block;
  /** Whether there is room for the number. */
  read: boolean;
}

/** Shorter lines are not drawn, pixels; */
const SHORTEST = 9;
/** and of these the number is left out. */
const NUMBERED = 22;

/** Where the dimension lines of a drawing are on the screen. */
export function chained(list: Dimension[], paper: Paper): Chained[] {
  return list.flatMap((d) => {
    const off = offset(d.level);
    const a = paper.toPixel(d.x1, d.y1);
    const b = paper.toPixel(d.x2, d.y2);
    const from = { x: a.left + d.outX * off, y: a.top + d.outY * off };
    const to = { x: b.left + d.outX * off, y: b.top + d.outY * off };
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    if (length < SHORTEST) return [];
    const upright = Math.abs(to.y - from.y) > Math.abs(to.x - from.x) * 1.2;
    const short = length < wide(d.text) + 6;
    // a number longer than its line stands a little farther out
    const out = short ? 11 : 0;
    const [long, high] = [wide(d.text), 15];
    const number = {
      x: (from.x + to.x) / 2 + d.outX * out,
      y: (from.y + to.y) / 2 + d.outY * out,
      wide: upright ? high : long,
      high: upright ? long : high,
    };
    return [{ d, a, b, from, to, off, upright, number, read: !(short && length < NUMBERED) }];
  });
}

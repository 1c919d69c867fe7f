import type { ReachView, Vec } from "../../api/types.gen";
import { clearest, wide, type Block } from "../paper/clear";
import { labelAt } from "../paper/labelAt";
import type { Paper, Point } from "../paper/usePaper";

/** A free distance where it is drawn, pixels, with its number. */
export interface Reached {
  reach: ReachView;
  from: Point;
  to: Point;
  number: Block;
}

/** Where the free distances are on the screen; their numbers keep clear of what is taken and of one another. */
export function reached(
  reaches: ReachView[],
  paper: Paper,
  project: (p: Vec) => Point,
  taken: Block[],
): Reached[] {
  const there = [...taken];
  const pixel = (v: Vec): Point => {
    const p = project(v);
    const { left, top } = paper.toPixel(p.x, p.y);
    return { x: left, y: top };
  };
  return reaches.flatMap((reach) => {
    const [from, to] = [pixel(reach.fromPoint), pixel(reach.toPoint)];
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    // a distance one looks along has no length on this drawing
    if (length <= 0.5) return [];
    const block = (p: Point): Block => ({ ...p, wide: wide(reach.text), high: 17 });
    const along = (t: number): Point => ({
      x: from.x + (to.x - from.x) * t,
      y: from.y + (to.y - from.y) * t,
    });
    const half = Math.abs(to.x - from.x) > Math.abs(to.y - from.y) ? wide(reach.text) / 2 : 9;
    const shares = length > 4 * half ? [0.5, 0.35, 0.65, 0.2, 0.8] : [];
    const beyond = labelAt(from, to);
    const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length];
    // beside a line that is too short for its number
    const aside = (wide(reach.text) / 2) * Math.abs(uy) + 9 * Math.abs(ux) + 5;
    const beside = [1, -1].map((s) => ({
      x: along(0.5).x - uy * aside * s,
      y: along(0.5).y + ux * aside * s,
    }));
    const farther = [16, 32].map((d) => ({ x: beyond.x + ux * d, y: beyond.y + uy * d }));
    const number = clearest([...shares.map(along), beyond, ...beside, ...farther].map(block), there);
    there.push(number);
    return [{ reach, from, to, number }];
  });
}

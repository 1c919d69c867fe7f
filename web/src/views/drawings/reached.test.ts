import { expect, it } from "vitest";
import type { ReachView, Side, Vec } from "../../api/types.gen";
import { isClear } from "../paper/clear";
import { reached } from "./reached";
import type { Paper } from "../paper/usePaper";

/** A drawing on which a metre is 100 pixels. */
const paper = { toPixel: (x: number, y: number) => ({ left: 100 * x, top: 100 * y }) } as Paper;
const onPlan = (p: Vec) => ({ x: p.x, y: p.z });

const distance = (side: Side, from: [number, number], to: [number, number]): ReachView => ({
  side,
  distance: 1,
  text: "1.234",
  to: "",
  toName: "",
  fromPoint: { x: from[0], y: 0, z: from[1] },
  toPoint: { x: to[0], y: 0, z: to[1] },
});

it("has its number in the middle of a line that is long enough", () => {
  const [r] = reached([distance("left", [0, 0], [4, 0])], paper, onPlan, []);
  expect(r.number).toMatchObject({ x: 200, y: 0 });
});

it("moves along its line where another number stands in its middle", () => {
  const taken = [{ x: 200, y: 0, wide: 40, high: 16 }];
  const [r] = reached([distance("left", [0, 0], [4, 0])], paper, onPlan, taken);
  expect(r.number.y).toBe(0);
  expect(isClear(r.number, taken)).toBe(true);
});

it("has the number of a short line near it, and none over another", () => {
  const taken = [{ x: 0, y: 20, wide: 60, high: 18 }];
  const short = [distance("back", [0, 0], [0, 0.05]), distance("front", [0, 0.2], [0, 0.25])];
  const all = reached(short, paper, onPlan, taken);
  all.forEach((r) => expect(Math.hypot(r.number.x - r.to.x, r.number.y - r.to.y)).toBeLessThan(60));
  expect(isClear(all[0].number, taken)).toBe(true);
  expect(isClear(all[1].number, [...taken, all[0].number])).toBe(true);
});

it("leaves out what one looks along", () => {
  expect(reached([distance("top", [1, 1], [1, 1])], paper, onPlan, [])).toEqual([]);
});

import { describe, expect, it } from "vitest";
import type { Dimension } from "../../api/types.gen";
import type { Paper } from "../paper/usePaper";
import { offset } from "../paper/margins";
import { chained } from "./chains";

/** A hundred pixels to the metre. */
const paper = { toPixel: (x: number, y: number) => ({ left: 100 * x, top: 100 * y }) } as Paper;
const line = (more: Partial<Dimension>) =>
  ({ x1: 0, y1: 0, x2: 2, y2: 0, outX: 0, outY: -1, level: 0, text: "2.00", ...more }) as Dimension;

describe("dimension lines on the screen", () => {
  it("run beside what they measure, their numbers in the middle", () => {
    const [c] = chained([line({})], paper);
    expect(c.to.x - c.from.x).toBe(200);
    expect(c.from.y).toBeCloseTo(-offset(0));
    expect(c.number.x).toBe(100);
    expect(c.number.y).toBe(c.from.y);
    expect(c.read).toBe(true);
    expect(c.upright).toBe(false);
  });

  it("stand farther out the higher their level", () => {
    const [near, far] = chained([line({}), line({ level: 1 })], paper);
    expect(far.off).toBeGreaterThan(near.off);
  });

  it("stand upright along what is deep, and so do their numbers", () => {
    const [c] = chained([line({ x2: 0, y2: 2, outX: -1, outY: 0 })], paper);
    expect(c.upright).toBe(true);
    expect(c.number.high).toBeGreaterThan(c.number.wide);
  });

  it("set a number that is longer than its line a little farther out, and leave out what nobody reads", () => {
    const [short] = chained([line({ x2: 0.25, text: "0.25" })], paper);
    expect(short.number.y).toBeLessThan(short.from.y);
    expect(short.read).toBe(true);
    const [tiny] = chained([line({ x2: 0.15, text: "0.15" })], paper);
    expect(tiny.read).toBe(false);
    expect(chained([line({ x2: 0.05, text: "0.05" })], paper)).toEqual([]);
  });
});

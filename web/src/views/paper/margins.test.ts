import { expect, it } from "vitest";
import type { Dimension } from "../../api/types.gen";
import { allRound, marginsFor } from "./margins";

const chain = (outX: number, outY: number, level: number) => ({ outX, outY, level }) as Dimension;

it("leaves as much room on each side as its chains need", () => {
  const two = marginsFor([chain(-1, 0, 1), chain(-1, 0, 2), chain(1, 0, 1)]);
  const one = marginsFor([chain(-1, 0, 1)]);
  expect(two.left - one.left).toBe(18);
  expect(two.right).toBe(one.left);
  expect(one.right).toBe(marginsFor([]).right);
});

it("asks for no room for what is measured within the drawing", () => {
  expect(marginsFor([chain(0, 1, 0)])).toEqual(marginsFor([]));
});

it("leaves the same beside, and a little more above and below", () => {
  const { left, right, top, bottom } = allRound(10);
  expect([left, right, top, bottom]).toEqual([10, 10, 14, 14]);
});

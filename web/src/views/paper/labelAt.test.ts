import { describe, expect, it } from "vitest";
import { labelAt } from "./labelAt";
import { ring, segments } from "./paths";

describe("the number of a distance", () => {
  it("stands in the middle of a line that has room for it", () => {
    expect(labelAt({ x: 0, y: 10 }, { x: 100, y: 10 })).toEqual({ x: 50, y: 10 });
  });

  it("stands beyond the end of one that has not, clear of it", () => {
    const at = labelAt({ x: 0, y: 0 }, { x: 10, y: 0 });
    expect(at.x).toBe(10 + 22 + 4);
    expect(at.y).toBe(0);
    expect(labelAt({ x: 0, y: 0 }, { x: 0, y: -8 }).y).toBe(-8 - 9 - 4);
  });

  it("stands at the end of a line of no length", () => {
    expect(labelAt({ x: 3, y: 4 }, { x: 3, y: 4 })).toEqual({ x: 3, y: 4 });
  });
});

describe("paths", () => {
  it("close rings and leave segments open", () => {
    expect(ring([0, 0, 1, 0, 1, 2])).toBe("M0 0L1 0L1 2Z");
    expect(
      segments([
        [0, 0, 1, 1],
        [2, 2, 3, 3],
      ]),
    ).toBe("M0 0L1 1M2 2L3 3");
  });
});

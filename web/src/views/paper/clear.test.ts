import { describe, expect, it } from "vitest";
import { clearest, isClear } from "./clear";

const at = (x: number, y: number) => ({ x, y, wide: 40, high: 16 });

describe("texts on a drawing", () => {
  it("cover nothing that stands there", () => {
    expect(isClear(at(0, 0), [at(0, 18)])).toBe(true);
    expect(isClear(at(0, 0), [at(20, 10)])).toBe(false);
    expect(isClear(at(0, 0), [])).toBe(true);
  });

  it("take the first place that is clear", () => {
    const places = [at(0, 0), at(0, 10), at(0, 20), at(0, 30)];
    expect(clearest(places, [at(0, 0)])).toBe(places[2]);
    expect(clearest(places, [])).toBe(places[0]);
  });

  it("take the place that covers least where none is clear", () => {
    const places = [at(0, 0), at(0, 10)];
    expect(clearest(places, [at(0, 0), at(0, 26)])).toBe(places[1]);
  });
});

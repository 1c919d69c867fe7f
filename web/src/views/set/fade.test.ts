import { describe, expect, it } from "vitest";
import type { DrawnLamp, Lighting } from "../../api/types.gen";
import { between } from "./fade";

const WHITE = { red: 1, green: 1, blue: 1 };

const lamp = (piece: string, candela: number): DrawnLamp => ({
  piece,
  at: { x: piece.length, y: 2, z: 0 },
  way: { x: 0, y: -1, z: 0 },
  candela,
  lux: candela / 4,
  full: 180,
  edge: 180,
  colour: WHITE,
});

const lit = (around: number, lamps: DrawnLamp[]): Lighting => ({
  azimuth: 0,
  altitude: -20,
  sky: 0,
  skyColour: WHITE,
  around,
  aroundColour: WHITE,
  used: around,
  lumens: 0,
  watts: 0,
  lamps,
});

describe("a fade", () => {
  const from = lit(4, [lamp("a", 100), lamp("bb", 50)]);
  const to = lit(100, [lamp("a", 20), lamp("ccc", 70)]);

  it("begins with what was and ends with what shall be", () => {
    expect(between(from, to, 0).lamps.map((l) => [l.piece, l.candela])).toEqual([
      ["a", 100],
      ["bb", 50],
    ]);
    expect(between(from, to, 1)).toBe(to);
  });

  it("dims what stays on its way, and lets what goes out before what comes is up", () => {
    const half = between(from, to, 0.5);
    expect(half.lamps.map((l) => [l.piece, l.candela])).toEqual([
      ["a", 60],
      ["ccc", 0],
    ]);
    expect(between(from, to, 0.25).lamps[1]).toMatchObject({ piece: "bb", candela: 25 });
    expect(half.around).toBeCloseTo(20); // as many times more than before as it still has to go
  });

  it("never takes more lamps than one of both has", () => {
    for (let t = 0; t <= 1; t += 0.1) expect(between(from, to, t).lamps.length).toBeLessThanOrEqual(2);
  });
});

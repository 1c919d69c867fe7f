import { describe, expect, it } from "vitest";
import type { Piece } from "../../api/types.gen";
import { carriedBy, following, held, smallestFirst } from "./stack";

/** Pieces by what each stands on. */
function standing(on: Record<string, string | null>): Map<string, Piece> {
  const piece = (id: string, carrier: string | null) =>
    ({ id, on: carrier ? { kind: "piece", id: carrier } : { kind: "floor", id: "" } }) as Piece;
  return new Map(Object.entries(on).map(([id, carrier]) => [id, piece(id, carrier)]));
}

const tea = standing({ rug: null, table: "rug", cup: "table", chair: "rug", chandelier: null });

describe("what a click takes", () => {
  it("is the smallest, and of those as small the nearest", () => {
    const met = [
      { id: "table", area: 2000, away: 1 },
      { id: "far cup", area: 256, away: 7 },
      { id: "near cup", area: 256, away: 3 },
    ];
    expect(smallestFirst(met)).toEqual(["near cup", "far cup", "table"]);
  });

  it("is what is selected, in its whole footprint", () => {
    expect(held(tea, ["chair", "table", "chandelier"], ["chandelier"])).toBe("chandelier");
    expect(held(tea, ["chair", "table"], [])).toBeNull();
  });

  it("is not what is selected where something stands on it", () => {
    expect(held(tea, ["cup", "table", "rug"], ["table"])).toBeNull();
    expect(held(tea, ["cup", "table", "rug"], ["rug"])).toBeNull();
    expect(held(tea, ["chair", "table"], ["table"])).toBe("table");
  });

  it("is the next with one more click, and the first after the last; never what it stands on", () => {
    const there = ["chair", "table", "chandelier", "rug"];
    expect(following(tea, there, "chair")).toBe("table");
    expect(following(tea, there, "table")).toBe("chandelier");
    expect(following(tea, there, "chandelier")).toBe("rug");
    expect(following(tea, there, "rug")).toBe("chandelier");
    expect(following(tea, ["cup", "table", "rug"], "cup")).toBeNull();
  });

  it("knows what stands on what stands on it", () => {
    expect(carriedBy(tea, "cup", "rug")).toBe(true);
    expect(carriedBy(tea, "rug", "cup")).toBe(false);
    expect(carriedBy(tea, "gone", "rug")).toBe(false);
  });
});

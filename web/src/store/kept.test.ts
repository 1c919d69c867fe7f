import { describe, expect, it } from "vitest";
import { group, piece, PLAIN } from "../test/server";
import { groupsAbout, hiddenCount, isHidden, isIn, isLocked, wholeGroup } from "./kept";

const layer = (id: string, more = {}) => ({ id, name: id, hidden: false, locked: false, ...more });
const FILING = {
  ...PLAIN,
  layers: [layer("first"), layer("dark", { hidden: true }), layer("built", { locked: true })],
  groups: [group("room"), group("table", ["room"]), group("other")],
};
const PIECES = new Map(
  [
    piece("t", 0, { group: "table" }),
    piece("c", 1, { group: "table" }),
    piece("s", 2, { group: "room" }),
    piece("lone", 3),
  ].map((p) => [p.id, p]),
);

describe("how a piece is kept", () => {
  it("is by itself, or by its layer", () => {
    expect(isHidden(piece("a"), FILING)).toBe(false);
    expect(isHidden(piece("a", 0, { hidden: true }), FILING)).toBe(true);
    expect(isHidden(piece("a", 0, { layer: "dark" }), FILING)).toBe(true);
    expect(isLocked(piece("a", 0, { layer: "built" }), FILING)).toBe(true);
    expect(isLocked(piece("a", 0, { layer: "gone" }), FILING)).toBe(false);
    expect(hiddenCount(new Map([["a", piece("a", 0, { layer: "dark" })]]), FILING)).toBe(1);
  });

  it("is in a group, and in those about it", () => {
    expect(groupsAbout("table", FILING).map((g) => g.id)).toEqual(["table", "room"]);
    expect(groupsAbout(null, FILING)).toEqual([]);
    expect(isIn("room", "table", FILING)).toBe(true);
    expect(isIn("table", "room", FILING)).toBe(false);
  });
});

describe("a selection is a group where it is all of it", () => {
  const whole = (...ids: string[]) => wholeGroup(ids, PIECES, FILING)?.id;

  it("and no more, the innermost of them", () => {
    expect(whole("t", "c")).toBe("table");
    expect(whole("t", "c", "s")).toBe("room");
    expect(whole("t", "s")).toBeUndefined();
    expect(whole("t")).toBeUndefined();
    expect(whole("t", "c", "lone")).toBeUndefined();
  });
});

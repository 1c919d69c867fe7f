import "../../test/page";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { piece, view } from "../../test/server";

const { useSheet } = await import("../../store/sheet");
const { api } = await import("../../api/client");
const finish = await import("./finish");
const { useLately } = await import("./lately");
const { useFinishing } = finish;

const SIGHT = { ray: { from: { x: 0, y: 5, z: 0 }, along: { x: 0, y: -1, z: 0 } }, without: [] };
const card = (material: string) =>
  ({ finish: { material }, words: material, appearance: { colour: "#102030" } }) as never;

let edits: unknown[];
beforeEach(() => {
  edits = [];
  finish.endFinishing();
  finish.hideFinish();
  useLately.setState({ cards: [] });
  useSheet.setState({
    space: view([piece("a"), piece("b")]),
    pieces: new Map([piece("a"), piece("b")].map((p) => [p.id, p])),
    selection: [],
    edit: (e: unknown[]) => {
      edits.push(...e);
      return Promise.resolve({}) as never;
    },
  });
  vi.spyOn(api, "finishAt").mockResolvedValue({
    revision: 1,
    target: { pieces: ["a"], part: "seat" },
    title: "Seat of A",
    own: { colour: "#111111" },
    card: card("wool"),
  });
});

describe("a finish", () => {
  it("that is dragged is given once, and its part is spoken of", async () => {
    finish.give(card("felt"), true);
    await finish.clickFinish(SIGHT);
    expect(edits).toEqual([{ do: "finish", pieces: ["a"], part: "seat", finish: { material: "felt" } }]);
    expect(finish.isFinishing()).toBe(false);
    expect(useFinishing.getState().shown).toEqual({
      target: { pieces: ["a"], part: "seat" },
      before: { colour: "#111111" },
    });
    expect(useLately.getState().cards.map((c) => c.words)).toEqual(["felt"]);
  });

  it("that is taken up is given to every part that is clicked, until it is put away", async () => {
    finish.takeUp();
    await finish.clickFinish(SIGHT);
    expect(edits).toEqual([]);
    await finish.clickFinish(SIGHT);
    await finish.clickFinish(SIGHT);
    expect(edits).toHaveLength(2);
    expect(edits[0]).toMatchObject({ finish: { material: "wool" } });
    finish.endFinishing();
    expect(finish.isFinishing()).toBe(false);
  });

  it("is for all that is selected of the same article", async () => {
    useSheet.setState({ selection: ["b", "a"] });
    finish.give(card("felt"));
    await finish.clickFinish(SIGHT);
    expect(edits).toEqual([{ do: "finish", pieces: ["a", "b"], part: "seat", finish: { material: "felt" } }]);
  });

  it("of the shell is given to the shell", async () => {
    vi.spyOn(api, "finishAt").mockResolvedValue({
      revision: 1,
      target: { part: "floor" },
      title: "Floor",
    });
    finish.give(card("oak-planks"), true);
    await finish.clickFinish(SIGHT);
    expect(edits).toEqual([{ do: "decorate", part: "floor", finish: { material: "oak-planks" } }]);
  });
});

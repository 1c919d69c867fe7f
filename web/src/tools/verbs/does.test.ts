import "../../test/page";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { EditUnion as Edit, FilingView, Piece } from "../../api/types.gen";
import { group, piece, PLAIN, view } from "../../test/server";

vi.hoisted(() => {
  vi.stubGlobal("document", { querySelectorAll: () => [] });
});
const { VERBS } = await import("./register");
const { useSheet } = await import("../../store/sheet");
const { useHandling } = await import("../../store/handling");
const { answer, useQuestion } = await import("../aim/question");
const { buildAt, closeGroup, moveBy, openIt, toolEdit, turnBy, turnStep } = await import("./verbs");

const sent = vi.fn<(edits: Edit[]) => Promise<unknown>>();

const LAYERS: FilingView = {
  ...PLAIN,
  layers: [...PLAIN.layers, { id: "back", name: "Back", hidden: true, locked: true }],
  groups: [group("set", [], { name: "Set" }), group("pair", ["set"], { name: "Pair" })],
  selections: [{ name: "Seats", pieces: 2 }],
};

function furnish(selection: string[], more: Record<string, Partial<Piece>> = {}) {
  const all = ["a", "b", "c"].map((id, i) => piece(id, i, more[id]));
  useSheet.setState({
    space: view(all, { filing: LAYERS }),
    pieces: new Map(all.map((p) => [p.id, p])),
    selection,
    part: null,
    inGroup: null,
    placing: null,
    tool: null,
    edit: sent as never,
  });
}

const verb = (word: string) =>
  VERBS.find((v) => v.word === word && (v.mode === "sheet" || v.mode === "any"))!;
const choices = (word: string) => verb(word).choices!();
const chose = (word: string, words: string) =>
  choices(word)
    .find((c) => c.words === words)!
    .choose();

beforeEach(() => {
  sent.mockReset();
  sent.mockResolvedValue({ made: [] });
  useHandling.setState({ at: null, yardstick: null });
  useQuestion.setState({ asked: null });
});

describe("a verb for what is selected", () => {
  it.each<[string, Edit]>([
    ["Group", { do: "group", pieces: ["b", "a"] }],
    ["Hide", { do: "hide", pieces: ["b", "a"], hidden: true }],
    ["Hide all but these", { do: "hide", pieces: ["b", "a"], hidden: true, which: "others" }],
    ["Lock", { do: "lock", pieces: ["b", "a"], locked: true }],
    ["Unlock everything", { do: "lock", locked: false, which: "all" }],
    ["Show everything", { do: "hide", hidden: false, which: "all", layers: true }],
    ["Settle", { do: "settle", pieces: ["b", "a"] }],
    ["Remove", { do: "remove", pieces: ["b", "a"] }],
    ["Copy beside", { do: "copy", pieces: ["b", "a"] }],
    ["Eighth turn", { do: "turn", pieces: ["b", "a"], by: 45 }],
    ["Eighth turn back", { do: "turn", pieces: ["b", "a"], by: -45 }],
    ["Quarter turn", { do: "turn", pieces: ["b", "a"], by: 90 }],
    ["Quarter turn back", { do: "turn", pieces: ["b", "a"], by: -90 }],
    ["Mirror", { do: "mirror", pieces: ["b", "a"] }],
    ["Size and turn as the lead", { do: "asLead", pieces: ["b", "a"], traits: ["size", "turn"] }],
  ])("%s sends just that", (word, edit) => {
    furnish(["b", "a"]);
    expect(verb(word).applies?.() ?? true).toBe(word !== "Unlock everything" && word !== "Show everything");
    verb(word).does();
    expect(sent.mock.calls).toEqual([[[edit]]]);
  });

  it.each<[string, string, Edit]>([
    ["Beside the lead", "behind it", { do: "beside", pieces: ["b", "a"], side: "back" }],
    ["Level with the lead", "tops level", { do: "level", pieces: ["b", "a"], side: "top" }],
    ["To a layer", "Back", { do: "toLayer", pieces: ["b", "a"], layer: "back" }],
    ["As the lead", "height", { do: "asLead", pieces: ["b", "a"], traits: ["size"], measures: ["height"] }],
    ["As the lead", "layer", { do: "asLead", pieces: ["b", "a"], traits: ["layer"] }],
    ["Face", "each other", { do: "face", pieces: ["b", "a"], what: "eachOther" }],
    ["Face", "away from the lead", { do: "face", pieces: ["b", "a"], what: "lead", away: true }],
    ["Face", "the way the lead does", { do: "turnAs", pieces: ["b", "a"] }],
    ["Lean or lay", "on its left side", { do: "lean", pieces: ["b", "a"], toward: 270, by: 90 }],
    ["Lean or lay", "upright", { do: "lean", pieces: ["b", "a"], toward: 0, by: 0 }],
    ["Lean or lay", "against the wall at 75°", { do: "leanAgainst", pieces: ["b", "a"], angle: 75 }],
    ["In numbers", "deep: onto the datum", { do: "moveTo", pieces: ["b", "a"], to: { z: 0 } }],
  ])("%s: %s", (word, words, edit) => {
    furnish(["b", "a"]);
    chose(word, words);
    expect(sent.mock.calls).toEqual([[[edit]]]);
  });

  it("fills with one, and asks what stays free", async () => {
    furnish(["a"]);
    verb("Fill").does();
    chose("Fill", "the nearest opening, 5 mm clear");
    expect(sent.mock.calls.flat(2)).toEqual([
      { do: "fill", piece: "a", measures: ["width"] },
      { do: "fill", piece: "a", opening: true, clearance: 0.005 },
    ]);
    sent.mockClear();
    chose("Fill", "up to what is above, but…");
    expect(useQuestion.getState().asked!.label).toBe("Clearance");
    expect(sent).not.toHaveBeenCalled();
    expect(await answer("3cm")).toBe(true);
    expect(sent.mock.calls).toEqual([[[{ do: "fill", piece: "a", measures: ["height"], clearance: "3cm" }]]]);
    expect(useQuestion.getState().asked).toBeNull();
  });

  it("asks for a name, for those that were selected then", async () => {
    furnish(["a", "c"]);
    verb("Name the selection…").does();
    await answer("Props");
    verb("To a new layer…").does();
    await answer("Front");
    expect(sent.mock.calls.flat(2)).toEqual([
      { do: "nameSelection", name: "Props", pieces: ["a", "c"] },
      { do: "toLayer", pieces: ["a", "c"], named: "Front" },
    ]);
  });

  it("stays asked where what was typed is refused, and goes when something else is selected", async () => {
    furnish(["a"]);
    verb("Name the selection…").does();
    sent.mockResolvedValue(null);
    expect(await answer("")).toBe(false);
    expect(useQuestion.getState().asked).not.toBeNull();
    useSheet.setState({ selection: ["b"] });
    expect(useQuestion.getState().asked).toBeNull();
    expect(await answer("Late")).toBe(false);
  });

  it("takes a typed position for one, also below zero, where it replaces and does not add", async () => {
    furnish(["a", "b"]);
    chose("In numbers", "all deep at…");
    await answer("-1.20");
    chose("In numbers", "all at the height…");
    await answer("0.75");
    expect(sent.mock.calls.flat(2)).toEqual([
      { do: "moveTo", pieces: ["a", "b"], to: { z: "-1.20" }, absolute: true },
      { do: "moveTo", pieces: ["a", "b"], to: { y: "0.75" }, absolute: true },
    ]);
  });
});

describe("what is offered", () => {
  it("is what would make a difference", () => {
    furnish(["a", "b"], { a: { hidden: true }, b: { hidden: true } });
    expect(verb("Hide").applies!()).toBe(false);
    expect(verb("Show").applies!()).toBe(true);
    furnish(["a", "b"], { a: { locked: true } });
    expect(verb("Lock").applies!()).toBe(true);
    expect(verb("Unlock").applies!()).toBe(true);
    furnish(["a"], { a: { layer: "back" } }); // its layer hides and locks it
    expect(verb("Hide").applies!()).toBe(false);
    expect(verb("Lock").applies!()).toBe(false);
    expect(verb("Unlock").applies!()).toBe(false);
    expect(verb("Show everything").applies!()).toBe(true);
  });

  it("is of a group as a whole, or of a part of it", () => {
    const pair = { a: { group: "pair" }, b: { group: "pair" } };
    furnish(["a", "b"], pair);
    expect(verb("Dissolve the group").applies!()).toBe(true);
    expect(verb("Group").applies!()).toBe(false);
    verb("Dissolve the group").does();
    expect(sent.mock.calls).toEqual([[[{ do: "dissolve", group: "pair" }]]]);
    furnish(["a"], pair);
    expect(verb("Dissolve the group").applies!()).toBe(false);
    expect(verb("Take out of the group").applies!()).toBe(true);
  });

  it("marks the layer that all of them are on", () => {
    furnish(["a", "b"], { a: { layer: "back" }, b: { layer: "back" } });
    expect(choices("To a layer").map((c) => [c.words, c.now])).toEqual([
      ["Main", false],
      ["Back", true],
    ]);
    furnish(["a", "b"], { a: { layer: "back" } });
    expect(choices("To a layer").some((c) => c.now)).toBe(false);
  });

  it("has each other only for two, and the audience only on a stage", () => {
    furnish(["a", "b", "c"]);
    expect(choices("Face").map((c) => c.words)).not.toContain("each other");
    expect(choices("Face").map((c) => c.words)).not.toContain("the audience");
    const space = useSheet.getState().space!;
    useSheet.setState({ space: { ...space, shell: { ...space.shell, stage: { level: 0.9 } as never } } });
    expect(choices("Face").map((c) => c.words)).toContain("away from the audience");
  });

  it("calls named selections with how many they hold", () => {
    furnish([]);
    expect(choices("Select what was named").map((c) => c.words)).toEqual(["Seats (2)"]);
  });
});

describe("groups within groups", () => {
  it("are opened from outside inwards, and closed the other way", () => {
    furnish(["a"], { a: { group: "pair" }, b: { group: "pair" }, c: { group: "set" } });
    openIt();
    expect(useSheet.getState().inGroup).toBe("set");
    expect(useSheet.getState().selection).toEqual([]);
    useSheet.setState({ selection: ["a"] });
    openIt();
    expect(useSheet.getState().inGroup).toBe("pair");
    useSheet.setState({ selection: ["a"] });
    openIt(); // there is nothing within
    expect(useSheet.getState().inGroup).toBe("pair");
    closeGroup();
    expect(useSheet.getState().inGroup).toBe("set");
    closeGroup();
    expect(useSheet.getState().inGroup).toBeNull();
  });
});

describe("keys that move and turn", () => {
  it("turn what is in hand, and else what is selected, about the mark while it is turned", () => {
    furnish(["a"]);
    useSheet.setState({ placing: { article: { id: "stool" }, turn: 350 } as never });
    turnBy(45);
    expect(useSheet.getState().placing!.turn).toBe(35);
    expect(sent).not.toHaveBeenCalled();
    useSheet.setState({ placing: null });
    useHandling.setState({ at: "turn", step: 15 });
    turnStep(-1, 0, false);
    turnStep(1, 0, true);
    expect(sent.mock.calls.flat(2).map((e) => [e.do, (e as { by?: number }).by])).toEqual([
      ["turn", 15],
      ["turn", -1],
    ]);
  });

  it("move parts of the shell as pieces, and a wall of the outline by itself", () => {
    furnish([]);
    useSheet.getState().select(["column:column 1"]);
    moveBy(0.05, 0);
    useSheet.getState().selectPart("wall:A");
    moveBy(0.05, 0.01);
    useSheet.getState().selectPart("wall:partition 1");
    moveBy(0.05, 0);
    const part = (pieces: string[]) => [
      [{ do: "moveBy", pieces, by: expect.objectContaining({ x: 0.05 }) as unknown, stops: true }],
    ];
    expect(sent.mock.calls).toEqual([
      part(["column:column 1"]),
      [[{ do: "shift", part: "wall:A", by: { x: 0.05, z: -0.01 } }]],
      part(["wall:partition 1"]),
    ]);
  });
});

describe("what is built where one clicks", () => {
  const at = { x: 1, z: 2 };

  it("is the edit of what is in hand", () => {
    expect(toolEdit("column", at, 0.1)).toEqual({ do: "column", at });
    expect(toolEdit("ramp", at, 0.1)).toEqual({ do: "flight", kind: "ramp", at });
    expect(toolEdit("datum", at, 0.1)).toEqual({ do: "datum", to: at, mark: true, within: 0.1 });
    expect(toolEdit("window", at, 0.1)).toEqual({ do: "opening", kind: "window", at });
  });

  it("is selected then, and with Shift another one is in hand", async () => {
    furnish([]);
    useSheet.setState({ tool: "column" });
    sent.mockResolvedValue({ part: "column:column 1" });
    await buildAt(at, 0.1, true);
    expect(useSheet.getState()).toMatchObject({ tool: "column", part: "column:column 1" });
    await buildAt(at, 0.1, false);
    expect(useSheet.getState().tool).toBeNull();
    await buildAt(at, 0.1, false); // nothing is in hand
    expect(sent).toHaveBeenCalledTimes(2);
  });

  it("is in hand again where it was refused", async () => {
    furnish([]);
    useSheet.setState({ tool: "door" });
    sent.mockResolvedValue(null);
    await buildAt(at, 0.1, false);
    expect(useSheet.getState()).toMatchObject({ tool: "door", part: null });
  });
});

import { group } from "../../test/server";
import { expect, it } from "vitest";
import type { ScheduleRow } from "../../api/types.gen";
import { alike, arranged, between, carriers, common, steady } from "./lines";

const row = (id: string, what: string, on = "", size = "1 × 1 × 1", more: Partial<ScheduleRow> = {}) =>
  ({
    id,
    name: id,
    what,
    alike: what + size,
    article: what,
    articleName: what,
    kind: "",
    size,
    note: "",
    on,
    layer: "first",
    ...more,
  }) as ScheduleRow;

const ROWS = [
  row("cup 1", "cup", "table"),
  row("cup 2", "cup", "tray"),
  row("cup 3", "cup", "tray", "2 × 2 × 2"),
  row("table", "table"),
  row("tray", "tray", "table"),
];

const words = (lines: { words: string; depth: number }[]) => lines.map((l) => " ".repeat(l.depth) + l.words);

it("has one line for what is alike, with its number, and another size for itself", () => {
  const lines = alike(ROWS, new Set());
  expect(words(lines)).toEqual(["cup", "cup 3", "table", "tray"]);
  expect(lines[0]).toMatchObject({ count: 2, pieces: ["cup 1", "cup 2"], opens: false });
  const opened = alike(ROWS, new Set([lines[0].id]));
  expect(words(opened)).toEqual(["cup", " cup 1", " cup 2", "cup 3", "table", "tray"]);
});

it("has one line for what is alike under several names, called as the article is", () => {
  const rows = [row("a", "host's chair"), row("b", "chair")].map((r) => ({
    ...r,
    alike: "x",
    articleName: "Oak chair",
  }));
  expect(words(alike(rows, new Set()))).toEqual(["Oak chair"]);
});

it("has what stands on a piece under it, as deep as it is", () => {
  expect(words(carriers(ROWS, new Set()))).toEqual(["table"]);
  expect(words(carriers(ROWS, new Set(["table", "tray"])))).toEqual([
    "table",
    " cup 1",
    " tray",
    "  cup 2",
    "  cup 3",
  ]);
});

it("shows what stands on something that is not listed", () => {
  expect(words(carriers([row("cup", "cup", "gone")], new Set()))).toEqual(["cup"]);
});

it("takes all from one line to another, each once", () => {
  const lines = alike(ROWS, new Set());
  expect(between(lines, "table", lines[0].id)).toEqual(["cup 1", "cup 2", "cup 3", "table"]);
  expect(between(lines, "gone", "table")).toEqual(["table"]);
});

const FILING = {
  layers: [
    { id: "b", name: "Back", hidden: false, locked: false },
    { id: "first", name: "Main", hidden: false, locked: false },
  ],
  groups: [group("g", [], { name: "Tea" }), group("h", ["g"], { name: "Pair" })],
  selections: [],
  twins: [],
  parts: [],
};

it("has the layers in their order, and groups by all they are in", () => {
  const rows = [
    row("cup", "cup", "", "1", { layer: "first", group: "h" }),
    row("stool", "stool", "", "1", { layer: "b" }),
    row("jug", "jug", "", "1", { layer: "first" }),
  ];
  expect(words(arranged("layers", rows, new Set(), FILING))).toEqual(["Back", "Main"]);
  expect(words(arranged("groups", rows, new Set(["group h"]), FILING))).toEqual([
    "Tea › Pair",
    " cup",
    "in no group",
  ]);
});

it("says what is common to all", () => {
  expect(common(ROWS, (r) => r.layer)).toBe("first");
  expect(common(ROWS, (r) => r.what)).toBeNull();
});

it("keeps rows where they were, and puts a new one behind the one it follows", () => {
  const now = ["a", "b", "c", "d"].map((id) => row(id, id));
  const ids = (rows: ScheduleRow[]) => rows.map((r) => r.id);
  expect(ids(steady(now, []))).toEqual(["a", "b", "c", "d"]);
  // b was called z before, and comes last
  expect(ids(steady(now, ["a", "c", "b"]))).toEqual(["a", "c", "d", "b"]);
  expect(ids(steady(now.slice(1), ["a", "d", "c"]))).toEqual(["b", "d", "c"]);
});

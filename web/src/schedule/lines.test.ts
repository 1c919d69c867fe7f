import { expect, it } from "vitest";
import type { ScheduleRow } from "../api/types.gen";
import { alike, between, carriers } from "./lines";

const row = (id: string, what: string, on = "", size = "1 × 1 × 1"): ScheduleRow => ({
  id,
  name: id,
  what,
  article: what,
  kind: "",
  size,
  note: "",
  on,
});

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

import type { ScheduleRow } from "../api/types.gen";

/** How the schedule is arranged: what is alike in one line, or what stands on what as a tree. */
export type Arrangement = "alike" | "carriers";

/** A line of the schedule. */
export interface Line {
  /** Of a piece its id. */
  id: string;
  words: string;
  size: string;
  /** How many pieces it stands for, itself among them where it is one. */
  count: number;
  /** All of them. */
  pieces: string[];
  depth: number;
  /** Whether it can be opened, and is. */
  opens: boolean | null;
}

const single = (row: ScheduleRow, depth: number): Line => ({
  id: row.id,
  words: row.name,
  size: sizeOf(row),
  count: 1,
  pieces: [row.id],
  depth,
  opens: null,
});

/** Lines in which what is alike is one, with its number. */
export function alike(rows: ScheduleRow[], open: Set<string>): Line[] {
  const groups = new Map<string, ScheduleRow[]>();
  for (const row of rows) {
    const key = `alike ${row.article} ${row.what} ${sizeOf(row)}`;
    const group = groups.get(key);
    if (group) group.push(row);
    else groups.set(key, [row]);
  }
  return [...groups].flatMap(([id, group]) => {
    if (group.length === 1) return [single(group[0], 0)];
    const opens = open.has(id);
    const pieces = group.map((r) => r.id);
    const line = { id, words: group[0].what, size: sizeOf(group[0]), count: group.length, pieces };
    return [
      { ...line, depth: 0, opens },
      ...(opens ? group.map((r) => ({ ...single(r, 1), size: "" })) : []),
    ];
  });
}

/** Lines in which what stands on a piece is under that. */
export function carriers(rows: ScheduleRow[], open: Set<string>): Line[] {
  const there = new Set(rows.map((r) => r.id));
  const on = new Map<string, ScheduleRow[]>();
  for (const row of rows) {
    const under = there.has(row.on) ? row.on : "";
    on.set(under, [...(on.get(under) ?? []), row]);
  }
  const lines = (under: string, depth: number): Line[] =>
    (on.get(under) ?? []).flatMap((row) => {
      if (!on.has(row.id)) return [single(row, depth)];
      const opens = open.has(row.id);
      return [{ ...single(row, depth), opens }, ...(opens ? lines(row.id, depth + 1) : [])];
    });
  return lines("", 0);
}

/** All pieces of the lines from one to another, in either order. */
export function between(lines: Line[], from: string, to: string): string[] {
  const a = lines.findIndex((l) => l.id === from);
  const b = lines.findIndex((l) => l.id === to);
  if (a < 0 || b < 0) return lines[b]?.pieces ?? [];
  return [...new Set(lines.slice(Math.min(a, b), Math.max(a, b) + 1).flatMap((l) => l.pieces))];
}

function sizeOf(row: ScheduleRow): string {
  return row.note ? `${row.size}, ${row.note}` : row.size;
}

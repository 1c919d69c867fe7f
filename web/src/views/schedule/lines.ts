import { isPart } from "../../store/selection";
import type { FilingView, ScheduleRow } from "../../api/types.gen";
import { groupsAbout } from "../../store/kept";

/** How the schedule is arranged: what is alike in one line, what stands on what, or by what it is in. */
export type Arrangement = "alike" | "carriers" | "layers" | "groups" | "kinds";

/** A line of the schedule. */
export interface Line {
  /** Of a piece its id. */
  id: string;
  words: string;
  /** How many pieces it stands for, itself among them where it is one. */
  count: number;
  /** All of them. */
  pieces: string[];
  rows: ScheduleRow[];
  depth: number;
  /** Whether it can be opened, and is. */
  opens: boolean | null;
}

const single = (row: ScheduleRow, depth: number): Line => ({
  id: row.id,
  words: row.name,
  count: 1,
  pieces: [row.id],
  rows: [row],
  depth,
  opens: null,
});

/** Lines with a heading for what has something in common. */
function headed(
  rows: ScheduleRow[],
  open: Set<string>,
  key: (row: ScheduleRow) => string,
  words: (rows: ScheduleRow[]) => string,
  alone: boolean,
): Line[] {
  const groups = new Map<string, ScheduleRow[]>();
  for (const row of rows) {
    const own = key(row);
    const group = groups.get(own);
    if (group) group.push(row);
    else groups.set(own, [row]);
  }
  return [...groups].flatMap(([id, group]) => {
    if (group.length === 1 && alone) return [single(group[0], 0)];
    const opens = open.has(id);
    const line: Line = {
      id,
      words: words(group),
      count: group.length,
      pieces: group.map((r) => r.id),
      rows: group,
      depth: 0,
      opens,
    };
    return [line, ...(opens ? group.map((r) => single(r, 1)) : [])];
  });
}

/** Lines in which what is alike is one, with its number. */
export const alike = (rows: ScheduleRow[], open: Set<string>): Line[] =>
  headed(
    rows,
    open,
    (r) => "alike " + r.alike,
    (group) => common(group, (r) => r.what) ?? group[0].articleName,
    true,
  );

/** Lines under the layer, the group or the kind that they are of. */
export function arranged(
  how: Arrangement,
  rows: ScheduleRow[],
  open: Set<string>,
  filing: FilingView,
): Line[] {
  switch (how) {
    case "alike":
      return alike(rows, open);
    case "carriers":
      return carriers(rows, open);
    case "layers": {
      const places = new Map(filing.layers.map((l, i) => [l.id, i]));
      const names = new Map(filing.layers.map((l) => [l.id, l.name]));
      const sorted = [...rows].sort((a, b) => (places.get(a.layer) ?? 0) - (places.get(b.layer) ?? 0));
      return headed(
        sorted,
        open,
        (r) => `layer ${r.layer}`,
        ([r]) => names.get(r.layer) ?? "",
        false,
      );
    }
    case "groups":
      return headed(
        [...rows].sort((a, b) => Number(!a.group) - Number(!b.group)),
        open,
        (r) => `group ${r.group ?? ""}`,
        ([r]) => groupWords(r, filing),
        false,
      );
    default:
      return headed(
        [...rows].sort((a, b) => (a.kind < b.kind ? -1 : a.kind > b.kind ? 1 : 0)),
        open,
        (r) => `kind ${r.kind}`,
        ([r]) => r.kind.replace("/", " › "),
        false,
      );
  }
}

/** The groups a piece is in, the outermost first. */
function groupWords(row: ScheduleRow, filing: FilingView): string {
  const names = groupsAbout(row.group, filing)
    .map((g) => g.name)
    .reverse();
  return names.length > 0 ? names.join(" › ") : "in no group";
}

/** Lines in which what stands on a piece is under that. */
export function carriers(rows: ScheduleRow[], open: Set<string>): Line[] {
  const there = new Set(rows.map((r) => r.id));
  const on = new Map<string, ScheduleRow[]>();
  for (const row of rows) {
    const under = there.has(row.on) ? row.on : "";
    const own = on.get(under);
    if (own) own.push(row);
    else on.set(under, [row]);
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

/** With what is unusual about a piece; what there is to say of a part of the shell is too long for that. */
export function sizeOf(row: ScheduleRow): string {
  return row.note && !isPart(row.id) ? `${row.size}, ${row.note}` : row.size;
}

/** What all rows have there; null if it is not the same. */
export function common<T>(rows: ScheduleRow[], of: (row: ScheduleRow) => T): T | null {
  const first = of(rows[0]);
  return rows.every((r) => of(r) === first) ? first : null;
}

/**
 * Rows in the order in which they were shown before, so that none jumps while one works; a new one
 * comes behind the one that is before it by right.
 */
export function steady(rows: ScheduleRow[], before: string[]): ScheduleRow[] {
  if (before.length === 0) return rows;
  const places = new Map(before.map((id, i) => [id, i]));
  let last = -1;
  const keyed = rows.map((row, i) => {
    const own = places.get(row.id);
    if (own !== undefined) last = own;
    return { row, key: own ?? last + 0.5, i };
  });
  return keyed.sort((a, b) => a.key - b.key || a.i - b.i).map((k) => k.row);
}

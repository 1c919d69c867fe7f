import { groupsAbout } from "../../store/kept";
import { useSheet } from "../../store/sheet";
import { following, held, smallestFirst, type Met } from "../../tools/select/stack";

/** What a click is for: a piece, or else a part of the shell. */
export interface Target {
  piece: string | null;
  part: string | null;
}

const NOTHING: Target = { piece: null, part: null };

interface Point {
  clientX: number;
  clientY: number;
}

interface Keys {
  shiftKey: boolean;
  ctrlKey: boolean;
  metaKey: boolean;
}

/** Nothing smaller is hit on a drawing, pixels. */
export const LEAST = 16;

/** A second click is in the same place if it is so near, pixels. */
const IN_PLACE = 4;

let last: { x: number; y: number; piece: string } | null = null;

/** The pieces whose footprints lie under a point of the window, in the order in which clicks take them. */
export function piecesAt(e: Point): string[] {
  const met = new Map<string, Met>();
  for (const el of document.elementsFromPoint(e.clientX, e.clientY)) {
    const id = el.getAttribute("data-footprint");
    if (!id || met.has(id)) continue;
    const box = el.getBoundingClientRect();
    const away = Math.hypot(e.clientX - (box.left + box.right) / 2, e.clientY - (box.top + box.bottom) / 2);
    met.set(id, { id, area: Number(el.getAttribute("data-area")), away });
  }
  return smallestFirst([...met.values()]);
}

function partAt(e: Point): string | null {
  for (const el of document.elementsFromPoint(e.clientX, e.clientY)) {
    const part = el.closest("[data-part]")?.getAttribute("data-part");
    if (part) return part;
  }
  return null;
}

/** What lies under the pointer, what moving off with it would carry, and what a click would do there. */
export interface Under {
  /** What the click is for. */
  on: Target;
  /** What a press that moves carries: a selected piece. */
  holds: string | null;
  /** Whether the click picks up. */
  picksUp: boolean;
}

export const NOTHING_UNDER: Under = { on: NOTHING, holds: null, picksUp: false };

/** What is under the pointer, and what a click there would do. */
export function look(e: Point & Keys): Under {
  const there = piecesAt(e);
  if (there.length === 0) return { ...NOTHING_UNDER, on: { piece: null, part: partAt(e) } };
  const { selection, pieces } = useSheet.getState();
  if (e.shiftKey || e.ctrlKey || e.metaKey) return { ...NOTHING_UNDER, on: { piece: there[0], part: null } };
  const holds = held(pieces, there, selection);
  const again =
    last !== null &&
    Math.hypot(e.clientX - last.x, e.clientY - last.y) <= IN_PLACE &&
    selection.length === 1 &&
    selection[0] === last.piece &&
    there.includes(last.piece);
  const next = again ? following(pieces, there, last!.piece) : null;
  const piece = next ?? holds ?? there[0];
  return { on: { piece, part: null }, holds, picksUp: next === null && piece === holds };
}

/** Whether a piece that is pointed at is picked up by a click: it is selected already. */
export const isPicked = (on: string | null, e: Keys) =>
  !(e.shiftKey || e.ctrlKey || e.metaKey) && on !== null && useSheet.getState().selection.includes(on);

/** Whether a selected piece is one of several that are no group: a click is for it alone then. */
export function isOneOfSeveral(id: string): boolean {
  const { selection, pieces, space } = useSheet.getState();
  if (selection.length < 2 || !space) return false;
  const whole = groupsAbout(pieces.get(id)?.group, space.filing).some((g) =>
    selection.every((s) => groupsAbout(pieces.get(s)?.group, space.filing).some((o) => o.id === g.id)),
  );
  return !whole;
}

/** A click took a piece: what else lies there is shown beside it, and the next click in place takes that. */
export function took(e: Point, piece: string) {
  last = { x: e.clientX, y: e.clientY, piece };
  const there = piecesAt(e);
  useSheet.getState().lieHere(there.includes(piece) ? there : [piece]);
}

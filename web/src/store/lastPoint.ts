import type { Vec } from "../api/types.gen";
import { useSheet } from "./sheet";

/** Where the pointer is, and how near something holds there, metres. */
export type Pointer = { near: number } & (
  { at: { x: number; z: number } } | { ray: { from: Vec; along: Vec }; level?: boolean }
);

let last: { x: number; z: number } | null = null;

/** The pointer is over this point of the plan. */
export function pointedAt(at: { x: number; z: number }) {
  last = at;
}

/** The point of the plan last pointed at; the middle of the space if there is none. */
export function lastPoint(): { x: number; z: number } {
  if (last) return last;
  const outline = useSheet.getState().space?.shell.outline ?? [];
  const middle = (v: number[]) => (Math.min(...v) + Math.max(...v)) / 2;
  return { x: middle(outline.map((p) => p.x)), z: middle(outline.map((p) => p.z)) };
}

/** What the pointer pointed at when it was last over a drawing. */
let over: Pointer | null = null;
/** Whether it still is there, or in the menu that was opened there. */
let there = false;

/** The pointer points at this, on some drawing. */
export function pointsAt(pointer: Pointer) {
  over = pointer;
}

addEventListener(
  "pointermove",
  (e) => {
    const on = e.target as Element | null;
    if (on?.closest?.("[data-drawing]")) there = true;
    else if (!on?.closest?.("[role=menu], .MuiBackdrop-root")) there = false;
  },
  true,
);

/** What the pointer points at now; null where it is over no drawing. */
export const lastPointer = (): Pointer | null => (there ? over : null);

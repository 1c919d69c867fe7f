import { useSheet } from "../space/sheet";

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

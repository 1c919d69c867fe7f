import type { Elevation, Vec } from "../../api/types.gen";
import type { Point } from "../paper/usePaper";

const dot = (a: Vec, b: Vec) => a.x * b.x + a.y * b.y + a.z * b.z;

/** Where a point of the space stands on the drawing. */
export const project = (e: Elevation, p: Vec): Point => ({
  x: dot(e.right, p) - dot(e.right, e.zero),
  y: -p.y,
});

import type { Viewpoint } from "../api/types.gen";

/** Angle of view, degrees: of one who looks at a model, and of one who stands in the space. */
export const OUTSIDE = 36;
export const INSIDE = 58;

/** Half of the longer side of a full frame, millimetres. */
const HALF_FRAME = 18;

const RAD = Math.PI / 180;

/**
 * The angle over the height of what a viewpoint is drawn in, degrees, so that its picture fits into it.
 *
 * @param aspect of what it is drawn in, width by height
 */
export function seenThrough({ lens, frame }: Viewpoint, aspect: number): number {
  const ratio = frame.ratio || aspect;
  const half = HALF_FRAME / lens / Math.max(1, ratio);
  // a picture wider than what it is drawn in is as wide as that, and lower
  return (2 * Math.atan(half * Math.max(1, ratio / aspect))) / RAD;
}

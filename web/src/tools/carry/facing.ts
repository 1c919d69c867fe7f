import type { Vec } from "../../api/types.gen";

/** A step by an arrow, metres. */
export const STEP = 0.05;
export const FINE = 0.01;

/** The drawing one looks at: what is to its right, and whether up on it is up in the space. */
export interface Facing {
  right: Vec;
  upright: boolean;
}

const PLAN: Facing = { right: { x: 1, y: 0, z: 0 }, upright: false };
let looked: () => Facing = () => PLAN;

/** The direction of the space that comes nearest to one that is seen to the right. */
export function nearest(right: { x: number; z: number }): Vec {
  const across = Math.abs(right.x) >= Math.abs(right.z);
  return { x: across ? Math.sign(right.x) : 0, y: 0, z: across ? 0 : Math.sign(right.z) };
}

/** This drawing is the one that is looked at: the pointer was there last. */
export function lookAt(facing: () => Facing) {
  looked = facing;
}

export function lookAtPlan() {
  looked = () => PLAN;
}

/** A step on the drawing as one in the space. */
export function stepOf(right: number, up: number): Vec {
  const { right: r, upright } = looked();
  return upright
    ? { x: r.x * right, y: up, z: r.z * right }
    : { x: r.x * right + r.z * up, y: 0, z: r.z * right - r.x * up };
}

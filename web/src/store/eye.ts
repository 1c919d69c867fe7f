import type { Vec } from "../api/types.gen";

/** From where the set view is seen at this moment. */
export interface Eye {
  eye: Vec;
  target: Vec;
  /** The angle over the height of what is seen, degrees. */
  high: number;
}

let now: (() => Eye) | null = null;

/** Who draws the set view says where the eye is. */
export function registerEye(tell: () => Eye) {
  now = tell;
  return () => {
    if (now === tell) now = null;
  };
}

/** Where the eye is; null where there is no set view. */
export const eyeNow = (): Eye | null => now?.() ?? null;

import { useEffect, useMemo } from "react";
import { DataTexture, LinearFilter } from "three";
import type { LitWindow } from "../../api/types.gen";

/** Dots each way; a blade is as sharp as one of them. */
const DOTS = 256;

/** What shutters leave of a cone, as a picture that is thrown along it; null for all of it. */
export function useWindow(window: LitWindow | null): DataTexture | null {
  const key = window ? [window.left, window.right, window.bottom, window.top].join() : "";
  const picture = useMemo(() => (key ? drawn(key.split(",").map(Number)) : null), [key]);
  useEffect(() => () => picture?.dispose(), [picture]);
  return picture;
}

function drawn([left, right, bottom, top]: number[]): DataTexture {
  const dots = new Uint8Array(4 * DOTS * DOTS);
  const place = (i: number) => (2 * (i + 0.5)) / DOTS - 1;
  for (let y = 0; y < DOTS; y++) {
    for (let x = 0; x < DOTS; x++) {
      const free = place(x) >= left && place(x) <= right && place(y) >= bottom && place(y) <= top;
      dots.fill(free ? 255 : 0, 4 * (y * DOTS + x), 4 * (y * DOTS + x) + 4);
    }
  }
  const texture = new DataTexture(dots, DOTS, DOTS);
  texture.minFilter = LinearFilter;
  texture.magFilter = LinearFilter;
  texture.needsUpdate = true;
  return texture;
}

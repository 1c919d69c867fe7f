import type { Finish } from "../../api/types.gen";
import type { Texture } from "three";

/** What three draws of a finish; a picture on it takes the place of its colour. */
export function surface(finish: Finish | undefined, map?: Texture | null) {
  if (!finish) return { color: "#FFFFFF", roughness: 1 };
  const clear = finish.transparency ?? 0;
  return {
    color: map ? "#FFFFFF" : finish.colour,
    map: map ?? null,
    roughness: finish.roughness,
    metalness: finish.metal,
    emissive: finish.colour,
    emissiveIntensity: (finish.emission ?? 0) * GLOW,
    transparent: clear > 0,
    opacity: 1 - clear,
  };
}

/** A lampshade is not as bright as what it stands for: others must still be seen beside it. */
const GLOW = 0.6;

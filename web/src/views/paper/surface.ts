import type { Finish } from "../../api/types.gen";
import type { Texture } from "three";

/** As a part looks until it is known how: card. */
const CARD: Finish = { colour: "#D9D0C2", roughness: 0.8, metal: 0 };

/** A lampshade is not as bright as what it stands for: others must still be seen beside it. */
const GLOW = 0.6;

/** What three draws of a finish; a picture on it takes the place of its colour. */
export function surface(finish: Finish = CARD, map: Texture | null = null) {
  const clear = finish.transparency ?? 0;
  return {
    color: map ? "#FFFFFF" : finish.colour,
    map,
    roughness: finish.roughness,
    metalness: finish.metal,
    emissive: finish.colour,
    emissiveIntensity: (finish.emission ?? 0) * GLOW,
    transparent: clear > 0,
    opacity: 1 - clear,
  };
}

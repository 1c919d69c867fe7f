import { useQuery } from "@tanstack/react-query";
import { api } from "../api/client";
import type { Lighting } from "../api/types.gen";
import { type Effort, effortOf, useEffort } from "./effort";
import { useSheet } from "./sheet";

/** A sky so many times as strong as what one is used to within is simply white. */
const OUTSHONE = 2;

/** How many lamps may be drawn, by what a frame may cost. */
const LAMPS: Record<Effort, number> = { plain: 4, light: 4, middle: 8, full: 12 };

/** The light there is at this moment, or at the one that is tried. */
export function useLight(): Lighting | undefined {
  const space = useSheet((s) => s.space!.id);
  const revision = useSheet((s) => s.space!.revision);
  const moment = useSheet((s) => s.moment);
  const effort = useEffort(effortOf);
  const lit = useSheet((s) => s.lit);
  return useQuery({
    queryKey: ["light", space, revision, LAMPS[effort], moment],
    queryFn: () => api.light(space, LAMPS[effort], moment),
    placeholderData: (before?: Lighting) => before,
    enabled: lit,
  }).data;
}

/** How bright the day is outside to an eye that is used to the light within, 0 to 1; 1 where it is evenly lit. */
export function useDaylight(): number {
  const light = useLight();
  const lit = useSheet((s) => s.lit);
  return lit && light ? Math.min(1, light.sky / (OUTSHONE * light.used)) : 1;
}

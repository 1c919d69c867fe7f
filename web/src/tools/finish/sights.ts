import type { FinishSight } from "./finish";

type Sight = (e: { clientX: number; clientY: number }) => FinishSight | null;

/** How one looks along in every drawing that is large, by its name. */
const sights = new Map<string, Sight>();

export function registerSight(drawing: string, sight: Sight): () => void {
  sights.set(drawing, sight);
  return () => {
    if (sights.get(drawing) === sight) sights.delete(drawing);
  };
}

let pointer: { clientX: number; clientY: number } | null = null;
addEventListener("pointermove", (e) => (pointer = e), true);

/** The line of sight where the pointer is now; null where there is no drawing. */
export const lastSight = () => (pointer ? sightAt(pointer) : null);

/** The line of sight at a point of the window; null where there is no drawing. */
export function sightAt(e: { clientX: number; clientY: number }): FinishSight | null {
  const under = document.elementFromPoint(e.clientX, e.clientY)?.closest<HTMLElement>("[data-drawing]");
  return under ? (sights.get(under.dataset.drawing!)?.(e) ?? null) : null;
}

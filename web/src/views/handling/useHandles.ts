import { useQuery } from "@tanstack/react-query";
import { api } from "../../api/client";
import type { Handles } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import type { HandlingAt } from "../../api/types.gen";
import { useHandling } from "../../store/handling";

/** What is done by the handles: said by clicking, it is turned. */
export function useAt(): HandlingAt | null {
  const aiming = useSheet((s) => s.aiming !== null);
  const at = useHandling((s) => s.at);
  return aiming ? null : at;
}

/** Where the lead of the selection is taken hold of, while it is sized, turned or run along something. */
export function useHandles(): Handles | null {
  const space = useSheet((s) => s.space)!;
  const lead = useSheet((s) => s.selection.at(-1));
  const still = useSheet((s) => s.hand === null && s.ghosts.length === 0);
  const aiming = useSheet((s) => s.aiming);
  const unit = useSheet((s) => s.unit);
  const at = useHandling((s) => s.at);
  const about = useHandling((s) => s.about);
  // points are clicked on the piece itself; where it is only turned, its marks can be chosen
  const wanted = lead !== undefined && (aiming ? aiming === "along" || aiming === "face" : at !== null);
  const found = useQuery({
    queryKey: ["handles", space.id, space.revision, lead, about, unit],
    queryFn: () => api.handles(space.id, lead!, about, unit),
    enabled: wanted,
    placeholderData: (before) => before,
  }).data;
  if (!wanted || !still || !found) return null;
  return aiming ? { ...found, tabs: [] } : found;
}

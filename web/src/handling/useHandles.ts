import { useQuery } from "@tanstack/react-query";
import { api } from "../api/client";
import type { Handles } from "../api/types.gen";
import { useSheet } from "../space/sheet";
import { useHandling } from "./handling";

/** Where the lead of the selection is taken hold of, while it is sized, turned or run along something. */
export function useHandles(): Handles | null {
  const space = useSheet((s) => s.space)!;
  const lead = useSheet((s) => s.selection.at(-1));
  const still = useSheet((s) => s.hand === null && s.ghosts.length === 0);
  const marks = useSheet((s) => s.aiming === "along" || s.aiming === "face");
  const unit = useSheet((s) => s.unit);
  const at = useHandling((s) => s.at);
  const about = useHandling((s) => s.about);
  const wanted = lead !== undefined && (at !== null || marks);
  const found = useQuery({
    queryKey: ["handles", space.id, space.revision, lead, about, unit],
    queryFn: () => api.handles(space.id, lead!, about ?? "", unit),
    enabled: wanted,
    placeholderData: (before) => before,
  }).data;
  return wanted && still && found ? found : null;
}

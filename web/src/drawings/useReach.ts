import { useQuery } from "@tanstack/react-query";
import { api } from "../api/client";
import type { ReachView } from "../api/types.gen";
import { useSheet } from "../state/sheet";

const NONE: ReachView[] = [];

/** The free distances round the one piece that is selected; none while something is in hand. */
export function useReach(): ReachView[] {
  const space = useSheet((s) => s.space)!;
  const unit = useSheet((s) => s.unit);
  const piece = useSheet((s) => (s.selection.length === 1 ? s.selection[0] : null));
  const busy = useSheet((s) => s.placing !== null || s.ghosts.length > 0);
  const reach = useQuery({
    queryKey: ["reach", space.id, space.revision, piece, unit],
    queryFn: () => api.reach(space.id, piece!, unit),
    enabled: piece !== null,
    retry: false,
  });
  if (busy || piece === null || !reach.data) return NONE;
  return reach.data.filter((r) => r.side !== "top" && r.side !== "under" && r.distance > 0.0005);
}

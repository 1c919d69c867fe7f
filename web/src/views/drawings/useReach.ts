import { useQuery } from "@tanstack/react-query";
import { api } from "../../api/client";
import type { ReachView } from "../../api/types.gen";
import { useCarry } from "../../tools/carry/carry";
import { useHandling } from "../../store/handling";
import { useSheet } from "../../store/sheet";

const NONE: ReachView[] = [];

/** The free distances round what is in hand, or else round the one piece that is selected; on these sides. */
export function useReach(sides: string[]): ReachView[] {
  const space = useSheet((s) => s.space)!;
  const unit = useSheet((s) => s.unit);
  const piece = useSheet((s) => (s.selection.length === 1 ? s.selection[0] : null));
  const hand = useSheet((s) => s.hand);
  const carried = useCarry((s) => s.hand !== null);
  const busy = useHandling((s) => s.at !== null) || carried;
  const reach = useQuery({
    queryKey: ["reach", space.id, space.revision, piece, unit],
    queryFn: () => api.reach(space.id, piece!, unit),
    enabled: piece !== null,
    retry: false,
  });
  const now = hand ? hand.reach : busy || piece === null ? NONE : (reach.data ?? NONE);
  return now.filter((r) => sides.includes(r.side) && r.distance > 0.0005);
}

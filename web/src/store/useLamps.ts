import { useQuery } from "@tanstack/react-query";
import { api } from "../api/client";
import type { LampsView } from "../api/types.gen";
import { useSheet } from "./sheet";

/** All lamps as they are switched, and where lanterns shine. */
export function useLamps(wanted = true): LampsView | undefined {
  const space = useSheet((s) => s.space!.id);
  const revision = useSheet((s) => s.space!.revision);
  const unit = useSheet((s) => s.unit);
  return useQuery({
    queryKey: ["lamps", space, revision, unit],
    queryFn: () => api.lamps(space, unit),
    placeholderData: (before?: LampsView) => before,
    enabled: wanted,
  }).data;
}

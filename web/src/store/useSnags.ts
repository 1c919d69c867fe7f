import { useQuery } from "@tanstack/react-query";
import { api } from "../api/client";
import { useSheet } from "./sheet";

/** What is wrong in the space; stale while it is being found out anew. */
export function useSnags() {
  const space = useSheet((s) => s.space)!;
  const found = useQuery({
    queryKey: ["snags", space.id, space.revision],
    queryFn: () => api.snags(space.id),
    placeholderData: (before) => before,
  });
  return {
    snags: found.data?.snags ?? [],
    all: found.data?.all ?? 0,
    stale: found.isPlaceholderData || found.isPending,
  };
}

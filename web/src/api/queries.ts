import { QueryClient } from "@tanstack/react-query";

/** What was asked of the server, kept until it may be another. */
export const queries = new QueryClient({
  defaultOptions: { queries: { refetchOnWindowFocus: false, staleTime: Infinity, retry: 2 } },
});

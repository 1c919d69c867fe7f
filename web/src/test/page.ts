import { vi } from "vitest";

/** What a browser has and tools use: places to keep things, a window that listens, and a line that is down. */
for (const name of ["localStorage", "sessionStorage"]) {
  const kept = new Map<string, string>();
  vi.stubGlobal(name, {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => kept.set(k, v),
    removeItem: (k: string) => kept.delete(k),
  });
}
vi.stubGlobal("WebSocket", { OPEN: 1 });
vi.stubGlobal("addEventListener", () => undefined);

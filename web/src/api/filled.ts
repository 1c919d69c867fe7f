import type { Blank, EditUnion as Edit } from "./types.gen";

/** The edit with the typed text put where it belongs. */
export function filled({ edit, slot }: Blank, value: unknown): Edit {
  const copy = structuredClone(edit);
  const names = slot.split(".");
  let at = copy as unknown as Record<string, unknown>;
  for (const name of names.slice(0, -1)) at = (at[name] ??= {}) as Record<string, unknown>;
  at[names[names.length - 1]] = value;
  return copy;
}

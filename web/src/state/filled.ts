import type { EditDraft } from "../api/client";

/** The edit with the typed text put where it belongs. */
export function filled(edit: Record<string, unknown>, slot: string, value: unknown): EditDraft {
  const copy = structuredClone(edit);
  const names = slot.split(".");
  let at = copy;
  for (const name of names.slice(0, -1)) at = (at[name] ??= {}) as Record<string, unknown>;
  at[names[names.length - 1]] = value;
  return copy as EditDraft;
}

import type { Piece } from "../../api/types.gen";

/** A piece under the pointer: its footprint there, square pixels, and how far its middle is away, pixels. */
export interface Met {
  id: string;
  area: number;
  away: number;
}

/** The smallest first; of those as small as one can hit, the one whose middle is nearest. */
export function smallestFirst(met: Met[]): string[] {
  return [...met].sort((a, b) => a.area - b.area || a.away - b.away).map((m) => m.id);
}

/** Whether a piece stands on, or hangs from, another, by however many between. */
export function carriedBy(pieces: Map<string, Piece>, id: string, carrier: string): boolean {
  for (let p = pieces.get(id), steps = 0; p && steps < 100; p = pieces.get(p.on.id), steps++) {
    if (p.on.kind === "piece" && p.on.id === carrier) return true;
  }
  return false;
}

/**
 * The selected piece that takes a click among those that lie there, the smallest first: what is selected
 * takes it in its whole footprint, but for what stands on it.
 */
export function held(pieces: Map<string, Piece>, there: string[], selection: string[]): string | null {
  const mine = there.find((id) => selection.includes(id));
  if (!mine) return null;
  const before = there.slice(0, there.indexOf(mine));
  return before.some((id) => carriedBy(pieces, id, mine)) ? null : mine;
}

/** What one more click in the same place takes: the next that lies there; not what the first stands on. */
export function following(pieces: Map<string, Piece>, there: string[], taken: string): string | null {
  const round = there.filter(
    (id) => id === taken || !(carriedBy(pieces, taken, id) || carriedBy(pieces, id, taken)),
  );
  return round.length > 1 ? round[(round.indexOf(taken) + 1) % round.length] : null;
}

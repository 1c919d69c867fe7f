import type { FilingView, GroupView as Group, Layer, Piece } from "../api/types.gen";

/** What is looked up again and again of how pieces are kept in order. */
interface Index {
  layers: Map<string, Layer>;
  groups: Map<string, Group>;
}

const indexes = new WeakMap<FilingView, Index>();

function index(filing: FilingView): Index {
  let found = indexes.get(filing);
  if (!found) {
    found = {
      layers: new Map(filing.layers.map((l) => [l.id, l])),
      groups: new Map(filing.groups.map((g) => [g.id, g])),
    };
    indexes.set(filing, found);
  }
  return found;
}

/** How a piece, or a part of the shell, is kept. */
type Kept = Pick<Piece, "layer" | "hidden" | "locked" | "group">;

export const layerOf = (p: Kept, filing: FilingView): Layer | undefined => index(filing).layers.get(p.layer);

/** Whether a piece is left out of drawings. */
export const isHidden = (p: Kept, filing: FilingView) => p.hidden || (layerOf(p, filing)?.hidden ?? false);

/** Whether nothing may be done to a piece. */
export const isLocked = (p: Kept, filing: FilingView) => p.locked || (layerOf(p, filing)?.locked ?? false);

export const groupOf = (id: string | null | undefined, filing: FilingView): Group | undefined =>
  id ? index(filing).groups.get(id) : undefined;

/** A group and those it is in, the innermost first. */
export const groupsAbout = (own: string | null | undefined, filing: FilingView): Group[] =>
  groupOf(own, filing)?.about.map((id) => groupOf(id, filing)!) ?? [];

/** Whether something is in a group, or in one within it. */
export const isIn = (group: string, own: string | null | undefined, filing: FilingView): boolean =>
  groupOf(own, filing)?.about.includes(group) ?? false;

/** How a piece, or a part of the shell, is kept that may be kept plainly. */
export const keptAs = (id: string, pieces: Map<string, Piece>, filing: FilingView): Kept =>
  pieces.get(id) ??
  filing.parts.find((p) => p.part === id) ?? {
    layer: filing.layers[0]?.id ?? "",
    hidden: false,
    locked: false,
  };

/** The innermost group that is made of just these pieces and parts of the shell. */
export function wholeGroup(ids: string[], pieces: Map<string, Piece>, filing: FilingView): Group | undefined {
  if (ids.length < 2) return undefined;
  for (const g of groupsAbout(keptAs(ids[0], pieces, filing).group, filing)) {
    const group = g.id;
    if (!ids.every((id) => isIn(group, keptAs(id, pieces, filing).group, filing))) continue;
    let all = 0;
    for (const p of pieces.values()) if (isIn(group, p.group, filing)) all++;
    for (const p of filing.parts) if (isIn(group, p.group, filing)) all++;
    return all === ids.length ? g : undefined;
  }
  return undefined;
}

/** How many pieces, and parts of the shell, are left out of the drawings. */
export function hiddenCount(pieces: Map<string, Piece>, filing: FilingView): number {
  let n = 0;
  for (const p of pieces.values()) if (isHidden(p, filing)) n++;
  for (const p of filing.parts) if (isHidden(p, filing)) n++;
  return n;
}

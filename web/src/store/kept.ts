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

export const layerOf = (p: Piece, filing: FilingView): Layer | undefined => index(filing).layers.get(p.layer);

/** Whether a piece is left out of drawings. */
export const isHidden = (p: Piece, filing: FilingView) => p.hidden || (layerOf(p, filing)?.hidden ?? false);

/** Whether nothing may be done to a piece. */
export const isLocked = (p: Piece, filing: FilingView) => p.locked || (layerOf(p, filing)?.locked ?? false);

export const groupOf = (id: string | null | undefined, filing: FilingView): Group | undefined =>
  id ? index(filing).groups.get(id) : undefined;

/** A group and those it is in, the innermost first. */
export const groupsAbout = (own: string | null | undefined, filing: FilingView): Group[] =>
  groupOf(own, filing)?.about.map((id) => groupOf(id, filing)!) ?? [];

/** Whether something is in a group, or in one within it. */
export const isIn = (group: string, own: string | null | undefined, filing: FilingView): boolean =>
  groupOf(own, filing)?.about.includes(group) ?? false;

/** The innermost group that is made of just these pieces. */
export function wholeGroup(ids: string[], pieces: Map<string, Piece>, filing: FilingView): Group | undefined {
  if (ids.length < 2) return undefined;
  for (const g of groupsAbout(pieces.get(ids[0])?.group, filing)) {
    const group = g.id;
    if (!ids.every((id) => isIn(group, pieces.get(id)?.group, filing))) continue;
    let all = 0;
    for (const p of pieces.values()) if (isIn(group, p.group, filing)) all++;
    return all === ids.length ? g : undefined;
  }
  return undefined;
}

/** How many pieces are left out of the drawings. */
export function hiddenCount(pieces: Map<string, Piece>, filing: FilingView): number {
  let n = 0;
  for (const p of pieces.values()) if (isHidden(p, filing)) n++;
  return n;
}

import { create } from "zustand";
import { api, Refused, type EditDraft } from "../api/client";
import type { ArticleCard, Changed, Phrase, Piece, ReachView, SpaceView } from "../api/types.gen";

export type Layout = "plan" | "both" | "set";
export type Unit = "m" | "cm" | "mm" | "ft-in";
export type Saved = "saved" | "saving" | "waiting";

/** An article in hand, on its way to its place. */
export interface Placing {
  article: ArticleCard;
  turn: number;
}

/** What there is to say of a piece in hand. */
export interface Hand {
  reach: ReachView[];
  caption: Phrase[];
}

interface Sheet {
  space: SpaceView | null;
  pieces: Map<string, Piece>;
  selection: string[];
  hover: string | null;
  unit: Unit;
  layout: Layout;
  placing: Placing | null;
  /** Pieces as they would be, while something is carried or placed; over the real ones. */
  ghosts: Piece[];
  /** The free distances and the caption of what is in hand. */
  hand: Hand | null;
  notice: { text: string; kind: "said" | "refused"; at: number } | null;
  saved: Saved;
  fit: { what: "home" | "selection"; at: number };

  open(id: string): Promise<void>;
  close(): void;
  refresh(): Promise<void>;
  take(changed: Changed): void;
  select(ids: string[]): void;
  point(id: string | null): void;
  setUnit(unit: Unit): void;
  setLayout(layout: Layout): void;
  place(placing: Placing | null): void;
  show(ghosts: Piece[], hand: Hand | null): void;
  say(text: string, kind?: "said" | "refused"): void;
  hush(): void;
  edit(edits: EditDraft[]): Promise<Changed | null>;
  step(way: "undo" | "redo"): Promise<void>;
  look(what: "home" | "selection"): void;
}

const UNIT = "pied.unit";
const LAYOUT = "pied.layout";
const wait = (ms: number) => new Promise((done) => setTimeout(done, ms));

/**
 * Sends until it is acknowledged: a request with an id is done once however often it is sent. A
 * server that answers, but with an error of its own, is asked three times.
 */
async function persist<R>(send: () => Promise<R>, onWait: () => void): Promise<R> {
  for (let pause = 300, tries = 1; ; pause = Math.min(5000, pause * 2), tries++) {
    try {
      return await send();
    } catch (e) {
      if (e instanceof Refused && (e.status < 500 || tries === 3)) throw e;
      onWait();
      await wait(pause);
    }
  }
}

export const useSheet = create<Sheet>((set, get) => ({
  space: null,
  pieces: new Map(),
  selection: [],
  hover: null,
  unit: (localStorage.getItem(UNIT) as Unit) ?? "m",
  layout: (localStorage.getItem(LAYOUT) as Layout) ?? "both",
  placing: null,
  ghosts: [],
  hand: null,
  notice: null,
  saved: "saved",
  fit: { what: "home", at: 0 },

  async open(id) {
    const space = await api.space(id);
    set({
      space,
      pieces: new Map(space.pieces.map((p) => [p.id, p])),
      selection: [],
      ghosts: [],
      placing: null,
    });
  },
  close: () => set({ space: null, pieces: new Map(), selection: [], ghosts: [], hand: null, placing: null }),
  async refresh() {
    const open = get().space;
    if (!open) return;
    const space = await api.space(open.id);
    if (get().space?.id !== space.id) return;
    const pieces = new Map(space.pieces.map((p) => [p.id, p]));
    set((s) => ({ space, pieces, selection: s.selection.filter((p) => pieces.has(p)) }));
  },
  take(changed) {
    const { space, pieces, selection, refresh } = get();
    if (!space || changed.revision <= space.revision) return;
    if (changed.revision > space.revision + 1) {
      void refresh();
      return;
    }
    const next = new Map(pieces);
    changed.removed.forEach((id) => next.delete(id));
    changed.changed.forEach((p) => next.set(p.id, p));
    set({
      pieces: next,
      space: { ...space, revision: changed.revision, canUndo: changed.canUndo, canRedo: changed.canRedo },
      selection: selection.filter((id) => next.has(id)),
    });
  },
  select: (ids) => set({ selection: ids }),
  point: (id) => {
    if (get().hover !== id) set({ hover: id });
  },
  setUnit(unit) {
    localStorage.setItem(UNIT, unit);
    set({ unit });
  },
  setLayout(layout) {
    localStorage.setItem(LAYOUT, layout);
    set({ layout });
  },
  place: (placing) => set({ placing, ghosts: [], hand: null }),
  show: (ghosts, hand) => set({ ghosts, hand }),
  say: (text, kind = "said") => set({ notice: { text, kind, at: Date.now() } }),
  hush: () => set({ notice: null }),
  async edit(edits) {
    const { space, unit, say, take } = get();
    if (!space) return null;
    const request = { id: crypto.randomUUID(), unit, edits };
    set({ saved: "saving" });
    try {
      const changed = await persist(
        () => api.edit(space.id, request),
        () => set({ saved: "waiting" }),
      );
      take(changed);
      if (changed.said.length > 0) say(changed.said.join(" "));
      else set({ notice: null });
      return changed;
    } catch (e) {
      say((e as Error).message, "refused");
      return null;
    } finally {
      set({ saved: "saved" });
    }
  },
  async step(way) {
    const { space, say, take } = get();
    if (!space) return;
    const request = crypto.randomUUID();
    set({ saved: "saving" });
    try {
      take(
        await persist(
          () => api[way](space.id, request),
          () => set({ saved: "waiting" }),
        ),
      );
      set({ notice: null });
    } catch (e) {
      say((e as Error).message, "refused");
    } finally {
      set({ saved: "saved" });
    }
  },
  look: (what) => set({ fit: { what, at: Date.now() } }),
}));

/** The pieces as they are shown: the real ones, with those in hand as they would be. */
export function shown(pieces: Map<string, Piece>, ghosts: Piece[]): Piece[] {
  if (ghosts.length === 0) return [...pieces.values()];
  const all = new Map(pieces);
  ghosts.forEach((p) => all.set(p.id, p));
  return [...all.values()];
}

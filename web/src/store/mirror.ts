import type { StateCreator } from "zustand";
import { api, Refused } from "../api/client";
import type {
  Aside,
  Carried,
  Changed,
  EditUnion as Edit,
  FilingView,
  Offer,
  OfferStep,
  Piece,
  SpaceView,
} from "../api/types.gen";
import { me, WINDOW } from "../api/who";
import { EMPTY_HANDS, type InHand } from "./inHand";
import { FIRST_LOOK, type Looking } from "./looking";
import { currentLayer, picked, type Selection } from "./selection";
import { isHidden } from "./kept";
import { Outbox, type Letter, type OfEdits, type Saved } from "./outbox";

/** Something that was said of what was done, or why it was refused. */
export interface Notice {
  text: string;
  kind: "said" | "refused";
  offers: Offer[];
  at: number;
}

/** So many can be read again. */
const LATELY = 20;

/** The space as the server has it, and what goes to and fro. */
export interface Mirror {
  space: SpaceView | null;
  pieces: Map<string, Piece>;
  /** What others carry at this moment, by who carries it. */
  others: Map<string, Piece[]>;
  notice: Notice | null;
  /** What was said lately, the newest first. */
  notices: Notice[];
  saved: Saved;
  /** Why nothing can be saved at present; empty if it can. */
  trouble: string;
  open: (id: string) => Promise<void>;
  close: () => void;
  refresh: () => Promise<void>;
  take: (changed: Changed) => void;
  /** It was removed while one looks at it, or brought back. */
  putAside: (aside: Aside | null) => void;
  seeCarried: (message: Pick<Carried, "carrier" | "carried">) => void;
  forgetCarried: () => void;
  say: (text: string, kind?: "said" | "refused", offers?: Offer[]) => void;
  hush: () => void;
  /** Does edits; what was shown before is done under the id it has. */
  edit: (edits: Edit[], of?: OfEdits & { id?: string }) => Promise<Changed | null>;
  step: (way: "undo" | "redo", how?: OfferStep) => Promise<void>;
  /** To where all up to a thing that was done stand, and none after it. */
  goBackTo: (deed: number) => Promise<void>;
  /** One thing that was done is taken out alone, or put back; what came after it stays. */
  turnAlone: (deed: number) => Promise<void>;
}

/** All that one sheet knows: the space, what is picked, what is in hand, how one looks at it. */
export type Sheet = Mirror & Selection & InHand & Looking;

/** What was done in the open space and waits to be acknowledged. */
let outbox: Outbox | null = null;

const UNPICKED = { ...picked([]), inGroup: null };

/** Whether what was done is for this window to undo. */
const ours = ({ window }: Changed) => !window || window === WINDOW;

const byId = (pieces: Piece[]) => new Map(pieces.map((p) => [p.id, p]));

export const mirrorSlice: StateCreator<Sheet, [], [], Mirror> = (set, get) => {
  /** Sends what was done and takes what came of it; null if it was refused. */
  async function send(letter: Letter): Promise<Changed | null> {
    const { space, saved, take, say } = get();
    if (!space || !outbox) return null;
    if (saved === "stuck") {
      say("This is not taken: what you did before cannot be saved yet. Try again once it is.", "refused");
      return null;
    }
    try {
      const changed = await outbox.send(letter);
      take(changed);
      return changed;
    } catch (e) {
      say((e as Error).message, "refused", e instanceof Refused ? e.offers : []);
      return null;
    }
  }

  const stamped = () => ({ id: crypto.randomUUID(), unit: get().unit, by: me() });

  return {
    space: null,
    pieces: new Map(),
    others: new Map(),
    notice: null,
    notices: [],
    saved: "saved",
    trouble: "",

    async open(id) {
      const space = await api.space(id);
      const fresh = { space, pieces: byId(space.pieces), saved: "saved" as const, trouble: "" };
      set({ ...fresh, ...UNPICKED, ...EMPTY_HANDS, ...FIRST_LOOK, layer: currentLayer(space) });
      outbox = new Outbox(id, (saved, trouble) => set({ saved, trouble }));
      // what was under way when the page was left goes first
      for (const letter of outbox.left())
        outbox.send(letter).then(get().take, (e: Error) => get().say(e.message, "refused"));
    },
    close: () => {
      outbox?.close();
      outbox = null;
      set({ space: null, pieces: new Map(), ...UNPICKED, ...EMPTY_HANDS });
    },
    async refresh() {
      const open = get().space;
      if (!open) return;
      const space = await api.space(open.id);
      if (get().space?.id !== space.id) return;
      const pieces = byId(space.pieces);
      set((s) => ({
        space,
        pieces,
        ...picked([
          ...s.parts.filter((p) => space.parts.includes(p)),
          ...s.selection.filter((p) => pieces.has(p)),
        ]),
      }));
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
        space: {
          ...space,
          revision: changed.revision,
          shellAt: changed.shell ? changed.revision : space.shellAt,
          filing: changed.filing ?? space.filing,
          showing: changed.showing ?? space.showing,
          // what another window did is not for this one to undo
          ...(ours(changed) ? { canUndo: changed.canUndo, canRedo: changed.canRedo } : {}),
        },
        // it stays itself unless something of it is gone
        ...(selection.every((id) => next.has(id))
          ? {}
          : { selection: selection.filter((id) => next.has(id)) }),
      });
      // walls may have other names now, and there may be fewer of them
      if (changed.shell) void refresh();
    },
    putAside: (aside) => set((s) => (s.space ? { space: { ...s.space, aside: aside ?? undefined } } : {})),
    seeCarried: ({ carrier, carried }) =>
      set((s) => {
        const others = new Map(s.others);
        if (carried.length > 0) others.set(carrier, carried);
        else others.delete(carrier);
        return { others };
      }),
    forgetCarried: () => {
      if (get().others.size > 0) set({ others: new Map() });
    },
    say(text, kind = "said", offers = []) {
      const notice = { text, kind, offers, at: Date.now() };
      set((s) => ({ notice, notices: [notice, ...s.notices].slice(0, LATELY) }));
    },
    hush: () => set({ notice: null }),
    async edit(edits, of) {
      const layer = get().placing?.layer ?? get().layer ?? undefined;
      const changed = await send({ ...stamped(), layer, edits, ...of });
      if (changed && (changed.said.length > 0 || changed.offers.length > 0))
        get().say(changed.said.join(" "), "said", changed.offers);
      else if (changed) set({ notice: null });
      return changed;
    },
    async step(way, how) {
      const changed = await send({ ...stamped(), step: way, how });
      if (!changed) return;
      set({ notice: null });
      // what came back is what one goes on with
      if (changed.made.length > 0) get().select(changed.made);
    },
    async goBackTo(to) {
      if (await send({ ...stamped(), to })) set({ notice: null });
    },
    async turnAlone(to) {
      if (await send({ ...stamped(), to, alone: true })) set({ notice: null });
    },
  };
};

addEventListener("beforeunload", (e) => {
  if (outbox && !outbox.empty()) e.preventDefault();
});

/** The pieces as they are shown: the real ones, with those in hand, here and elsewhere, as they would be. */
export function shown(
  pieces: Map<string, Piece>,
  ghosts: Piece[],
  others: Map<string, Piece[]>,
  filing: FilingView,
): Piece[] {
  return together(pieces, ghosts, others).filter((p) => !isHidden(p, filing));
}

function together(pieces: Map<string, Piece>, ghosts: Piece[], others: Map<string, Piece[]>): Piece[] {
  if (ghosts.length === 0 && others.size === 0) return [...pieces.values()];
  const all = new Map(pieces);
  others.forEach((carried) => carried.forEach((p) => all.set(p.id, p)));
  ghosts.forEach((p) => all.set(p.id, p));
  return [...all.values()];
}

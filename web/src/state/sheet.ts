import { create } from "zustand";
import { api } from "../api/client";
import type {
  ArticleCard,
  Carried,
  Changed,
  EditUnion as Edit,
  Offer,
  PhraseUnion as Phrase,
  Piece,
  ReachView,
  ShellPlan,
  SpaceView,
  Viewpoint,
} from "../api/types.gen";
import { Outbox, type Letter, type Saved } from "./outbox";

export type Unit = "m" | "cm" | "mm" | "ft-in";

/** An article in hand, on its way to its place. */
export interface Placing {
  article: ArticleCard;
  turn: number;
}

/** Something to be built into the shell, on its way to its place. */
export type Tool =
  | "door"
  | "doubleDoor"
  | "slidingDoor"
  | "window"
  | "opening"
  | "niche"
  | "column"
  | "platform"
  | "steps"
  | "ramp"
  | "bar"
  | "datum";

/** What there is to say of what is in hand; of the shell, the plan it would have. */
export interface Hand {
  reach: ReachView[];
  caption: Phrase[];
  plan?: ShellPlan;
  part?: string;
  /** There is no place for it there; the caption says why. */
  refused?: boolean;
}

/** The section that is drawn: which way one looks, and where the cut goes (null: through the middle). */
export interface SectionLook {
  way: "back" | "front" | "left" | "right";
  at: string | null;
}

export type Tab = "catalog" | "shell";

interface Sheet {
  space: SpaceView | null;
  pieces: Map<string, Piece>;
  selection: string[];
  /** The part of the shell that is selected; never together with pieces. */
  part: string | null;
  hover: string | null;
  unit: Unit;
  /** The one or two drawings that are large, by name: "plan", "set", "section", "wall:A"… */
  large: string[];
  strip: boolean;
  tab: Tab;
  section: SectionLook;
  placing: Placing | null;
  tool: Tool | null;
  /** What the next click on a piece or the floor is for: to settle the selection there, or attach it. */
  aiming: "settle" | "attach" | null;
  /** Pieces as they would be, while something is carried or placed; over the real ones. */
  ghosts: Piece[];
  /** What others carry at this moment, by who carries it. */
  others: Map<string, Piece[]>;
  /** The free distances and the caption of what is in hand. */
  hand: Hand | null;
  notice: { text: string; kind: "said" | "refused"; offers: Offer[]; at: number } | null;
  saved: Saved;
  /** Why nothing can be saved at present; empty if it can. */
  trouble: string;
  fit: { what: "home" | "selection"; at: number };
  /** Bodies of the shell that are lifted off, to look in. */
  lifted: string[];
  walking: boolean;
  viewpoint: { view: Viewpoint; at: number } | null;

  open(id: string): Promise<void>;
  close(): void;
  refresh(): Promise<void>;
  take(changed: Changed): void;
  select(ids: string[]): void;
  point(id: string | null): void;
  setUnit(unit: Unit): void;
  setLarge(large: string[]): void;
  setStrip(open: boolean): void;
  setTab(tab: Tab): void;
  setSection(section: SectionLook): void;
  selectPart(part: string | null): void;
  place(placing: Placing | null): void;
  build(tool: Tool | null): void;
  aim(what: "settle" | "attach" | null): void;
  show(ghosts: Piece[], hand: Hand | null): void;
  seeCarried(message: Carried): void;
  forgetCarried(): void;
  say(text: string, kind?: "said" | "refused", offers?: Offer[]): void;
  hush(): void;
  edit(edits: Edit[]): Promise<Changed | null>;
  step(way: "undo" | "redo"): Promise<void>;
  look(what: "home" | "selection"): void;
  lift(body: string, off: boolean): void;
  walk(walking: boolean): void;
  goTo(view: Viewpoint): void;
}

const UNIT = "pied.unit";
const LARGE = "pied.large";
const STRIP = "pied.strip";

function remembered(): string[] {
  try {
    const large: unknown = JSON.parse(localStorage.getItem(LARGE) ?? "");
    if (Array.isArray(large) && large.length > 0) return large.slice(0, 2).map(String);
  } catch {
    // nothing of use was kept
  }
  return ["plan", "set"];
}
/** What was done in the open space and waits to be acknowledged. */
let outbox: Outbox | null = null;

/** Nothing selected, nothing in hand. */
const NOTHING = {
  selection: [],
  part: null,
  ghosts: [],
  hand: null,
  placing: null,
  tool: null,
  aiming: null,
};

export const useSheet = create<Sheet>((set, get) => ({
  space: null,
  pieces: new Map(),
  selection: [],
  hover: null,
  unit: (localStorage.getItem(UNIT) as Unit) ?? "m",
  large: remembered(),
  strip: localStorage.getItem(STRIP) !== "folded",
  tab: "catalog",
  section: { way: "back", at: null },
  part: null,
  placing: null,
  tool: null,
  aiming: null,
  ghosts: [],
  others: new Map(),
  hand: null,
  notice: null,
  saved: "saved",
  trouble: "",
  fit: { what: "home", at: 0 },
  lifted: ["ceiling"],
  walking: false,
  viewpoint: null,

  async open(id) {
    const space = await api.space(id);
    set({
      space,
      pieces: new Map(space.pieces.map((p) => [p.id, p])),
      ...NOTHING,
      section: { way: "back", at: null },
      lifted: ["ceiling"],
      walking: false,
      viewpoint: null,
      saved: "saved",
      trouble: "",
    });
    outbox = new Outbox(id, (saved, trouble) => set({ saved, trouble }));
    // what was under way when the page was left goes first
    for (const letter of outbox.left())
      outbox.send(letter).then(get().take, (e: Error) => get().say(e.message, "refused"));
  },
  close: () => {
    outbox?.close();
    outbox = null;
    set({ space: null, pieces: new Map(), ...NOTHING });
  },
  async refresh() {
    const open = get().space;
    if (!open) return;
    const space = await api.space(open.id);
    if (get().space?.id !== space.id) return;
    const pieces = new Map(space.pieces.map((p) => [p.id, p]));
    set((s) => ({
      space,
      pieces,
      selection: s.selection.filter((p) => pieces.has(p)),
      part: s.part !== null && isThere(space, s.part) ? s.part : null,
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
      space: { ...space, revision: changed.revision, canUndo: changed.canUndo, canRedo: changed.canRedo },
      selection: selection.filter((id) => next.has(id)),
    });
    // walls may have other names now, and there may be fewer of them
    if (changed.shell) void refresh();
  },
  select: (ids) => set({ selection: ids, part: null }),
  selectPart: (part) => set({ part, selection: [] }),
  point: (id) => {
    if (get().hover !== id) set({ hover: id });
  },
  setUnit(unit) {
    localStorage.setItem(UNIT, unit);
    set({ unit });
  },
  setLarge(large) {
    localStorage.setItem(LARGE, JSON.stringify(large));
    set({ large });
  },
  setStrip(strip) {
    localStorage.setItem(STRIP, strip ? "open" : "folded");
    set({ strip });
  },
  setTab: (tab) => set({ tab }),
  setSection: (section) => set({ section }),
  place: (placing) => set({ placing, tool: null, aiming: null, ghosts: [], hand: null }),
  build: (tool) => set({ tool, placing: null, aiming: null, ghosts: [], hand: null }),
  aim: (aiming) => set({ aiming }),
  show: (ghosts, hand) => set({ ghosts, hand }),
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
  say: (text, kind = "said", offers = []) => set({ notice: { text, kind, offers, at: Date.now() } }),
  hush: () => set({ notice: null }),
  async edit(edits) {
    const changed = await send({ id: crypto.randomUUID(), unit: get().unit, edits });
    if (changed && (changed.said.length > 0 || changed.offers.length > 0))
      get().say(changed.said.join(" "), "said", changed.offers);
    else if (changed) set({ notice: null });
    return changed;
  },
  async step(way) {
    if (await send({ id: crypto.randomUUID(), unit: get().unit, step: way })) set({ notice: null });
  },
  look: (what) => set({ fit: { what, at: Date.now() }, walking: false }),
  lift: (body, off) =>
    set((s) => ({ lifted: off ? [...new Set([...s.lifted, body])] : s.lifted.filter((b) => b !== body) })),
  walk: (walking) => set({ walking }),
  goTo: (view) => set({ viewpoint: { view, at: Date.now() }, walking: false }),
}));

/** Sends what was done and takes what came of it; null if it was refused. */
async function send(letter: Letter): Promise<Changed | null> {
  const { space, saved, take, say } = useSheet.getState();
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
    say((e as Error).message, "refused");
    return null;
  }
}

addEventListener("beforeunload", (e) => {
  if (outbox && !outbox.empty()) e.preventDefault();
});

/** The pieces as they are shown: the real ones, with those in hand, here and elsewhere, as they would be. */
export function shown(pieces: Map<string, Piece>, ghosts: Piece[], others: Map<string, Piece[]>): Piece[] {
  if (ghosts.length === 0 && others.size === 0) return [...pieces.values()];
  const all = new Map(pieces);
  others.forEach((carried) => carried.forEach((p) => all.set(p.id, p)));
  ghosts.forEach((p) => all.set(p.id, p));
  return [...all.values()];
}

/** Whether a part of the shell is still there. */
function isThere(space: SpaceView, part: string): boolean {
  const { shell, faces } = space;
  const id = part.slice(part.indexOf(":") + 1);
  const named = (all: { id: string }[]) => all.some((p) => p.id === id);
  switch (part.slice(0, part.indexOf(":"))) {
    case "corner":
      return Number(id) < shell.outline.length;
    case "wall":
      return faces.some((w) => w.name === id) || id in shell.thicknesses;
    case "opening":
      return named(shell.openings);
    case "column":
      return named(shell.columns);
    case "platform":
      return named(shell.platforms);
    case "flight":
      return named(shell.flights);
    case "bar":
      return named(shell.bars);
    default:
      return false;
  }
}

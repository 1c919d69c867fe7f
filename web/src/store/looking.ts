import type { StateCreator } from "zustand";
import type { Moment } from "../api/client";
import type { Viewpoint } from "../api/types.gen";

export type Unit = "m" | "cm" | "mm" | "ft-in";

/** The section that is drawn: which way one looks, and where the cut goes (null: through the middle). */
export interface SectionLook {
  way: "back" | "front" | "left" | "right";
  at: string | null;
}

/** A leaf of the side; the schedule is one only where there is no room for it on the right. */
export type Tab = "catalog" | "finishes" | "light" | "shell" | "layers" | "schedule";

/** What is drawn so that one sees through it: nothing, everything, or all that is not selected. */
export type Through = "nothing" | "everything" | "others";

/** How this window shows the space. */
export interface Looking {
  unit: Unit;
  /** The one or two drawings that are large, by name: "plan", "set", "section", "wall:A"… */
  large: string[];
  strip: boolean;
  tab: Tab;
  section: SectionLook;
  fit: { what: "home" | "selection"; at: number };
  /** Bodies of the shell that are lifted off, to look in. */
  lifted: string[];
  walking: boolean;
  viewpoint: { view: Viewpoint; at: number } | null;
  /** How long the light takes that comes next, until it stands; the present time counts from when it was asked for. */
  fade: { seconds: number; at: number } | null;
  /** Whether the set view is lit as the space is, and not evenly to work in. */
  lit: boolean;
  /** Light for which the picture is exposed, held until let go, lux; null for whatever there is. */
  held: number | null;
  /** A moment of another day or hour that is tried. */
  moment: Moment | null;
  through: Through;
  setUnit: (unit: Unit) => void;
  setLarge: (large: string[]) => void;
  setStrip: (open: boolean) => void;
  /** Whether the schedule is shown as a table under the drawings. */
  table: boolean;
  setTab: (tab: Tab) => void;
  showTable: (table: boolean) => void;
  setSection: (section: SectionLook) => void;
  look: (what: "home" | "selection") => void;
  lift: (body: string, off: boolean) => void;
  walk: (walking: boolean) => void;
  goTo: (view: Viewpoint) => void;
  light: (lit: boolean) => void;
  fadeNext: (seconds: number) => void;
  hold: (lux: number | null) => void;
  tryMoment: (moment: Moment | null) => void;
  seeThrough: (through: Through) => void;
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

const CEILING = "ceiling";

/** As one looks into a space that was just opened. */
export const FIRST_LOOK = {
  section: { way: "back" as const, at: null },
  lifted: [CEILING],
  walking: false,
  viewpoint: null,
  lit: false,
  fade: null,
  held: null,
  moment: null,
  through: "nothing" as const,
};

export const lookingSlice: StateCreator<Looking> = (set) => ({
  ...FIRST_LOOK,
  unit: (localStorage.getItem(UNIT) as Unit | null) ?? "m",
  large: remembered(),
  strip: localStorage.getItem(STRIP) !== "folded",
  tab: "catalog",
  table: false,
  fit: { what: "home", at: 0 },
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
  showTable: (table) => set({ table }),
  setSection: (section) => set({ section }),
  look: (what) =>
    set((s) => ({
      fit: { what, at: Date.now() },
      walking: false,
      ...(what === "home" ? { viewpoint: null, lifted: off(s.lifted) } : {}),
    })),
  lift: (body, off) =>
    set((s) => ({ lifted: off ? [...new Set([...s.lifted, body])] : s.lifted.filter((b) => b !== body) })),
  walk: (walking) => set((s) => ({ walking, lifted: walking ? on(s.lifted) : s.lifted })),
  goTo: (view) =>
    set((s) => ({
      viewpoint: { view, at: Date.now() },
      walking: false,
      lifted: view.group === "kept" ? view.lifted : view.fits ? off(s.lifted) : on(s.lifted),
    })),
  light: (lit) => set({ lit, moment: null }),
  fadeNext: (seconds) => set({ fade: { seconds, at: performance.now() } }),
  hold: (held) => set({ held }),
  tryMoment: (moment) => set((s) => ({ moment, lit: s.lit || moment !== null })),
  seeThrough: (through) => set({ through }),
});

/** Who stands inside has the ceiling over them; who looks in from outside looks over the walls. */
const on = (lifted: string[]) => lifted.filter((b) => b !== CEILING);
const off = (lifted: string[]) => [...on(lifted), CEILING];

import { create } from "zustand";
import { api } from "../../api/client";
import type { StillRequest, StillView } from "../../api/types.gen";
import { eyeNow } from "../../store/eye";
import { useSheet } from "../../store/sheet";

/** What is said of a picture that is wanted. */
export interface StillWish {
  /** Id of a viewpoint; empty for the set view as it is. */
  from: string;
  size: string;
  /** draft, good, fine; or until something is reached. */
  grade: string;
  until: string;
  /** Id of a look; empty for as it is lit now. */
  look: string;
  card: boolean;
  around: boolean;
  /** Whether its edges are drawn. */
  ink: "" | "over" | "alone";
}

interface Stills {
  open: boolean;
  /** The picture that is looked at. */
  chosen: string | null;
  wish: StillWish;
  failed: string | null;
}

const USUAL: StillWish = {
  from: "",
  size: "1920 × 1080",
  grade: "good",
  until: "2 min",
  look: "",
  card: false,
  around: false,
  ink: "",
};

const KEY = "pied.still";

/** As it was asked for the last time; from where and in which light is of the moment. */
function lately(): StillWish {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? "{}") as Partial<StillWish>;
    return { ...USUAL, ...kept, from: "", look: "" };
  } catch {
    return USUAL;
  }
}

export const useStills = create<Stills>(() => ({
  open: false,
  chosen: null,
  wish: lately(),
  failed: null,
}));

/** Opens what pictures are asked for in: from the viewpoint one looks from, if it is kept. */
export function openStills() {
  const { viewpoint, space } = useSheet.getState();
  const { wish } = useStills.getState();
  const kept = space!.showing.viewpoints.find((v) => v.group === "kept" && v.id === viewpoint?.view.id);
  const from = kept?.id ?? (eyeNow() ? "" : (space!.showing.viewpoints[0]?.id ?? ""));
  useStills.setState({ open: true, failed: null, wish: { ...wish, from, look: kept?.look ?? "" } });
}

export const closeStills = () => useStills.setState({ open: false });

export const choose = (chosen: string | null) => useStills.setState({ chosen });

export function say(part: Partial<StillWish>) {
  const wish = { ...useStills.getState().wish, ...part };
  // all around is twice as wide as high
  if (part.around) wish.size = "4096 × 2048";
  if (part.around === false) wish.size = USUAL.size;
  useStills.setState({ wish, failed: null });
  localStorage.setItem(KEY, JSON.stringify(wish));
}

/** What is asked of the server; null where there is nothing to look from. */
function request(wish: StillWish): StillRequest | null {
  const { lifted, walking, viewpoint } = useSheet.getState();
  const eye = eyeNow();
  if (!wish.from && !eye) return null;
  const orbit = !walking && (viewpoint === null || viewpoint.view.fits);
  const upright = viewpoint?.view.upright ?? false;
  return {
    ...said(wish),
    ...(wish.from ? { viewpoint: wish.from } : { eye: { ...eye!, upright, lifted, orbit } }),
  };
}

/** What is said of a picture, wherever it is from. */
const said = (wish: StillWish): StillRequest => ({
  size: wish.size,
  grade: wish.grade === "until" ? "good" : (wish.grade as StillRequest["grade"]),
  ...(wish.grade === "until" ? { limit: wish.until } : {}),
  ...(wish.look ? { look: wish.look } : {}),
  card: wish.card,
  around: wish.around,
  ink: wish.ink || "none",
});

/** Does something with the pictures of the space, and says why if it cannot be. */
export async function attempt<T>(does: () => Promise<T>): Promise<T | null> {
  try {
    useStills.setState({ failed: null });
    return await does();
  } catch (e) {
    useStills.setState({ failed: (e as Error).message });
    return null;
  }
}

/** Asks for the picture that is wanted, and looks at it. */
export async function ask() {
  const asked = request(useStills.getState().wish);
  if (!asked) {
    useStills.setState({ failed: "Open the set view, or choose a viewpoint." });
    return;
  }
  const made = await attempt(() => api.askStill(useSheet.getState().space!.id, asked));
  if (made) choose(made.id);
}

/** Asks for one from every viewpoint that is kept, each in its own look. */
export async function askAll() {
  const { wish } = useStills.getState();
  const made = await attempt(() => api.askAllStills(useSheet.getState().space!.id, said(wish)));
  if (made) choose(made[0].id);
}

export const isUnderWay = (s: StillView) => s.state === "waiting" || s.state === "working";

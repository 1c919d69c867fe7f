import { create } from "zustand";
import type { Handling as Asked, HandlingAt, Piece, Together } from "../api/types.gen";
import { isOtherwise } from "./selecting";
import { useSheet } from "./sheet";

/** Degrees the dial can go by. */
export const STEPS = [1, 5, 15, 45, 90];

/** How one goes about with what is selected: whether it is sized or turned, and what stays meanwhile. */
interface Handling {
  at: HandlingAt | null;
  /** The mark that stays while it is sized, and the one it is turned about; null for the usual. */
  hold: string | null;
  about: string | null;
  /** The mark of the box about several at which their place is read. */
  mark: string | null;
  /** Measures that keep their proportions; null for the usual. */
  together: Together | null;
  alongSpace: boolean;
  step: number;
  /** A figure or block beside something, which is no piece of the space. */
  yardstick: Piece | null;
}

export const useHandling = create<Handling>(() => ({
  at: null,
  hold: null,
  about: null,
  mark: null,
  together: null,
  alongSpace: false,
  step: 15,
  yardstick: null,
}));

/** What stays is chosen for what is selected, and for nothing else. */
useSheet.subscribe((s, before) => {
  if (isOtherwise(s, before)) {
    useHandling.setState({ hold: null, about: null, mark: null });
    if (s.selection.length === 0) useHandling.setState({ at: null });
  }
  if (s.space?.id !== before.space?.id) useHandling.setState({ yardstick: null });
});

/** Begins to size or to turn, or ends it. */
export function handle(at: HandlingAt) {
  useHandling.setState((s) => ({ at: s.at === at ? null : at }));
}

/** Sets one of the things a caption names. */
export function setHandling(name: string, value: string) {
  if (name === "alongSpace") useHandling.setState({ alongSpace: value === "true" });
  else if (name === "hold" || name === "about" || name === "mark")
    useHandling.setState({ [name]: value || null });
  else if (name === "together") useHandling.setState({ together: (value as Together) || null });
}

/** What a mark is chosen for: what it is turned about, or what stays while it is sized. */
export function chooseMark(mark: string) {
  const { at, hold, about } = useHandling.getState();
  if (at === "size" && useSheet.getState().aiming === null)
    useHandling.setState({ hold: hold === mark ? null : mark });
  else useHandling.setState({ about: about === mark ? null : mark });
}

/** As core is asked about it. */
export const asked = ({ at, hold, about, together, alongSpace, mark }: Handling): Asked => ({
  at: at ?? undefined,
  hold: hold ?? undefined,
  about: about ?? undefined,
  together: together ?? undefined,
  alongSpace,
  mark: mark ?? undefined,
});

// as edits name it

export const holdNow = () => useHandling.getState().hold ?? undefined;
export const aboutNow = () => useHandling.getState().about ?? undefined;
export const togetherNow = (): Together => useHandling.getState().together ?? "usual";

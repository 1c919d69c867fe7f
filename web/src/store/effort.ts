import { create } from "zustand";

/**
 * How much a frame of the set view may cost: light while it is all the machine can do, full where it can do
 * more; plain is as light, and not made finer when it rests.
 */
export type Effort = "plain" | "light" | "middle" | "full";

export const EFFORTS: { effort: Effort | "measured"; words: string }[] = [
  { effort: "measured", words: "as the machine can" },
  { effort: "plain", words: "quick, and left so" },
  { effort: "light", words: "quick, finer when it rests" },
  { effort: "middle", words: "good" },
  { effort: "full", words: "best" },
];

interface EffortState {
  /** What was chosen; measured where nothing was. */
  chosen: Effort | "measured";
  /** What this machine has shown that it can do. */
  measured: Effort;
  /** What it has shown that it cannot, since the page was opened. */
  beyond: Effort[];
  /** Stops of exposure set by hand, added to what is found. */
  stops: number;
  choose: (chosen: Effort | "measured") => void;
  expose: (stops: number) => void;
}

const KEY = "pied.effort";

/** What it could do the last time; what costs little where that is not known. */
const MEASURED = "pied.effort.measured";

function knownOf(): Effort {
  const found = localStorage.getItem(MEASURED);
  return found === "middle" || found === "full" ? found : "light";
}

function kept(): Effort | "measured" {
  const found = localStorage.getItem(KEY);
  return EFFORTS.find((e) => e.effort === found)?.effort ?? "measured";
}

export const useEffort = create<EffortState>()((set) => ({
  chosen: kept(),
  measured: knownOf(),
  beyond: [],
  stops: 0,
  choose: (chosen) => {
    localStorage.setItem(KEY, chosen);
    set({ chosen });
  },
  expose: (stops) => set({ stops: Math.max(-3, Math.min(3, stops)) }),
}));

export const effortOf = (s: EffortState): Effort => (s.chosen === "measured" ? s.measured : s.chosen);

/** Whether a frame is to cost as little as it can. */
export const isLight = (effort: Effort) => effort === "light" || effort === "plain";

/** Frames slower than this are too slow while one moves, and faster leaves room for more, seconds. */
const SLOW = 0.18;
const QUICK = 0.03;

/** What a machine can do that took so long for a frame of an effort. */
export function judged(effort: Effort, seconds: number, beyond: Effort[] = []): Effort {
  if (seconds > SLOW) return effort === "full" ? "middle" : "light";
  const more = isLight(effort) ? "middle" : "full";
  return seconds < QUICK && !beyond.includes(more) ? more : effort;
}

/** Judges this machine by a frame, and remembers it for the next time. */
export function judge(seconds: number) {
  const { measured, chosen, beyond } = useEffort.getState();
  const next = judged(measured, seconds, beyond);
  if (chosen !== "measured" || next === measured) return;
  localStorage.setItem(MEASURED, next);
  useEffort.setState({ measured: next, beyond: seconds > SLOW ? [...beyond, measured] : beyond });
}

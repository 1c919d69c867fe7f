import { create } from "zustand";
import type { MeantIn } from "../../api/types.gen";
import { selectMeant } from "../../store/selecting";

export type Shape = "rectangle" | "line";

/** How a figure drawn round pieces is meant. */
interface Banding {
  /** What the next press and move draws; with Shift it is a rectangle anyway. */
  armed: Shape | null;
  /** Whether what it touches is meant too. */
  touched: boolean;
  /** The drawing in which one is drawn, and its corners, pixels of the window. */
  at: string | null;
  shape: Shape;
  points: [number, number][];
}

const TOUCHED = "pied.touched";

export const useBand = create<Banding>(() => ({
  armed: null,
  touched: localStorage.getItem(TOUCHED) === "yes",
  at: null,
  shape: "rectangle",
  points: [],
}));

/** The next press and move on a drawing draws this. */
export function arm(armed: Shape, touched: boolean) {
  localStorage.setItem(TOUCHED, touched ? "yes" : "no");
  useBand.setState({ armed, touched });
}

/** Points of a line nearer than this are one, pixels. */
const APART = 3;

/** Begins a figure, or draws on. */
export function draw(at: string, from: [number, number], to: [number, number]) {
  const { armed, points, at: before } = useBand.getState();
  const shape = before === at ? useBand.getState().shape : (armed ?? "rectangle");
  if (before !== at || shape === "rectangle") {
    useBand.setState({ at, shape, points: [from, to] });
    return;
  }
  const [x, y] = points[points.length - 1];
  if (Math.hypot(to[0] - x, to[1] - y) >= APART) useBand.setState({ points: [...points, to] });
}

export const dropBand = () => useBand.setState({ at: null, points: [], armed: null });

/**
 * Selects what the figure takes.
 *
 * @param more whether what is selected stays so
 * @param toDrawing where a point of the window is in the drawing
 * @param drawing which that is; null for the plan
 */
export function takeBand(
  more: boolean,
  toDrawing: (p: [number, number]) => { x: number; y: number },
  drawing: MeantIn | null,
) {
  const { points, touched } = useBand.getState();
  dropBand();
  if (points.length < 2) return;
  const figure = points.map((p) => {
    const { x, y } = toDrawing(p);
    return { x, z: y };
  });
  void selectMeant(
    { by: "figure", figure, drawing: drawing ?? undefined, touched },
    more ? "more" : "instead",
  );
}

import type { SpaceView } from "../api/types.gen";
import { useSheet } from "./sheet";

/** A drawing one can choose, by its name: "plan", "set", "section", "wall:A"… */
export interface DrawingName {
  name: string;
  words: string;
}

export function wallWords(wall: string): string {
  return /^[A-Z]/.test(wall) ? "Wall " + wall : wall[0].toUpperCase() + wall.slice(1);
}

export function wordsOf(name: string): string {
  if (name === "plan") return "Plan";
  if (name === "set") return "Set view";
  if (name === "section") return "Section";
  return wallWords(name.slice("wall:".length));
}

/** All drawings of a space. */
export function drawings(space: SpaceView): DrawingName[] {
  const walls = space.looks.filter((l) => l.way === "wall").map((l) => "wall:" + l.wall);
  return ["plan", "set", "section", ...walls].map((name) => ({ name, words: wordsOf(name) }));
}

/** The large drawings, without walls that are gone. */
export function largeOf(space: SpaceView, large: string[]): string[] {
  const there = new Set(drawings(space).map((d) => d.name));
  const left = large.filter((name) => there.has(name));
  return left.length > 0 ? left : ["plan", "set"];
}

/** Makes a drawing large: it trades places with the last of those that are. */
export function openDrawing(name: string, instead?: string) {
  const { space, large, setLarge } = useSheet.getState();
  if (!space) return;
  const now = largeOf(space, large);
  if (now.includes(name)) {
    if (instead && instead !== name) setLarge([...now].reverse());
    return;
  }
  const gone = instead ?? now[now.length - 1];
  setLarge(now.map((n) => (n === gone ? name : n)));
}

/** One drawing alone, or a second one beside it. */
export function alone(name: string) {
  const { space, large, setLarge } = useSheet.getState();
  if (!space) return;
  const now = largeOf(space, large);
  if (now.length > 1) setLarge([name]);
  else setLarge([name, drawings(space).find((d) => d.name !== name && d.name !== "section")!.name]);
}

import type { PointerEvent } from "react";

const STILL = 4;

/**
 * Follows a press until it ends, wherever the pointer goes; a press that does not move is left to be a
 * click.
 *
 * @param move what is pointed at now
 * @param end whether it moved, and was not given up
 */
export function drag(
  e: PointerEvent,
  move: (e: globalThis.PointerEvent) => void,
  end: (moved: boolean) => void,
) {
  e.stopPropagation();
  if (e.button !== 0) return;
  const from = { x: e.clientX, y: e.clientY };
  let moves = false;
  const over = (m: globalThis.PointerEvent) => {
    moves ||= Math.hypot(m.clientX - from.x, m.clientY - from.y) > STILL;
    if (moves) move(m);
  };
  const stop = (moved: boolean) => {
    removeEventListener("pointermove", over);
    removeEventListener("pointerup", up);
    removeEventListener("keydown", esc, true);
    end(moved);
  };
  const up = () => stop(moves);
  const esc = (k: KeyboardEvent) => {
    if (k.key !== "Escape") return;
    k.stopPropagation();
    stop(false);
  };
  addEventListener("pointermove", over);
  addEventListener("pointerup", up);
  addEventListener("keydown", esc, true);
}

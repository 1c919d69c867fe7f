import { useEffect, useRef, type PointerEvent } from "react";
import type { EditDraft } from "../api/client";
import { useSheet } from "../state/sheet";
import { giveUp, tryOut } from "../state/trial";
import type { Eye, Paper, Point } from "./usePaper";

/** A press becomes a carry beyond so many pixels. */
const CARRY = 4;

/** What the pointer is on: a piece, or else a part of the shell. */
export interface Target {
  piece: string | null;
  part: string | null;
}

export function targetOf(e: { target: EventTarget }): Target {
  const named = (kind: "piece" | "part") =>
    (e.target as Element).closest(`[data-${kind}]`)?.getAttribute(`data-${kind}`) ?? null;
  const piece = named("piece");
  return { piece, part: piece ? null : named("part") };
}

const NOTHING: Target = { piece: null, part: null };

interface Press {
  x: number;
  y: number;
  on: Target;
  what: "click" | "pan" | "carry";
  eye: Eye;
  edit?: EditDraft;
}

/**
 * Pressing on a drawing: a click selects and never moves; what is selected is carried by pressing and
 * moving; elsewhere that pans. Esc in the middle of a carry has it back where it was.
 *
 * @param carry the edit that carrying this so far makes, metres on the drawing
 */
export function usePress(
  paper: Paper,
  carry: (on: Target, by: Point, e: PointerEvent) => EditDraft,
  click: (on: Target, e: PointerEvent) => void,
) {
  const press = useRef<Press | null>(null);
  const { frame, eye, setEye } = paper;

  useEffect(() => {
    const esc = (e: KeyboardEvent) => {
      if (e.key === "Escape" && press.current?.what === "carry") {
        press.current = null;
        giveUp();
        e.stopPropagation();
      }
    };
    addEventListener("keydown", esc, true);
    return () => removeEventListener("keydown", esc, true);
  }, []);

  return {
    /** @param bare whether nothing can be picked now, as while drawing */
    down(e: PointerEvent, bare = false) {
      if (!eye || e.button === 2) return;
      const on = bare ? NOTHING : targetOf(e);
      press.current = { x: e.clientX, y: e.clientY, on, what: "click", eye };
      frame.current!.setPointerCapture(e.pointerId);
    },
    /** Whether the pointer is down, and this was its business. */
    move(e: PointerEvent): boolean {
      const p = press.current;
      if (!p || !eye) return false;
      const dx = e.clientX - p.x;
      const dy = e.clientY - p.y;
      if (p.what === "click" && Math.hypot(dx, dy) > CARRY) {
        const { selection, part } = useSheet.getState();
        const chosen = p.on.piece ? selection.includes(p.on.piece) : p.on.part !== null && p.on.part === part;
        p.what = chosen ? "carry" : "pan";
      }
      if (p.what === "pan") {
        setEye({ ...p.eye, x: p.eye.x - dx / p.eye.scale, y: p.eye.y - dy / p.eye.scale });
      } else if (p.what === "carry") {
        p.edit = carry(p.on, { x: dx / eye.scale, y: dy / eye.scale }, e);
        tryOut([p.edit]);
      }
      return true;
    },
    up(e: PointerEvent) {
      const p = press.current;
      press.current = null;
      if (p?.what === "click") click(p.on, e);
      else if (p?.what === "carry" && p.edit) void useSheet.getState().edit([p.edit]).then(giveUp);
    },
    cancel() {
      press.current = null;
      giveUp();
    },
  };
}

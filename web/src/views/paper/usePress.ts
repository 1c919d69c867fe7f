import type { Pointer } from "../../store/lastPoint";
import { useEffect, useRef, type PointerEvent } from "react";
import type { EditUnion as Edit, MeantIn, Vec } from "../../api/types.gen";
import { dropCarry, pickUp, pointCarry, putDownCarry, useCarry } from "../../tools/carry/carry";
import { aimAt, aimOver, clicked, type Pointed } from "../../tools/aim/aims";
import { useHandling } from "../../store/handling";
import { chosenNow, pick, pickPart } from "../../store/selecting";
import { droppedOn } from "../../tools/exchange/exchange";
import { clickFinish, isFinishing } from "../../tools/finish/finish";
import { sightAt } from "../../tools/finish/sights";
import { isSecondLook, lookAtIt } from "../../tools/verbs/verbs";
import { draw, dropBand, takeBand, useBand } from "../../tools/select/band";
import { clickFor, isProposing, pullOf, takesClicks } from "../../tools/propose/proposal";
import { useSheet } from "../../store/sheet";
import { giveUp, tryOut } from "../../tools/propose/trial";
import { pointsAt } from "../../store/lastPoint";
import {
  isOneOfSeveral,
  look as lookUnder,
  NOTHING_UNDER,
  piecesAt,
  took,
  type Target,
  type Under,
} from "./picking";
import type { Eye, Paper, Point } from "./usePaper";

/** A press becomes a carry beyond so many pixels. */
const CARRY = 4;
/** So near, in pixels, things hold what is carried past them. */
export const HOLD = 10;

interface Down {
  x: number;
  y: number;
  under: Under;
  what: "click" | "pan" | "carry" | "shift" | "together" | "band" | "pull";
  eye: Eye;
  edit?: Edit;
  pull?: { from: Vec; to: (by: Vec, free: boolean) => void };
}

/**
 * Pressing on a drawing: a click selects and never moves; a click on what is selected picks it up, and
 * the next one puts it down; pressing and moving carries it meanwhile. A part of the shell that is
 * selected is moved by pressing and moving; elsewhere that pans.
 *
 * @param space how a point of the drawing is a point of the space, of a piece that is picked up there
 * @param pointer what the pointer points at
 * @param drawing in which a figure is drawn round pieces
 * @param shift the edit that moving a part of the shell so far makes, metres on the drawing
 */
export function usePress(
  paper: Paper,
  space: (piece: string, e: PointerEvent) => Vec,
  pointer: (e: { clientX: number; clientY: number }) => Pointer,
  shift: (part: string, by: Point, e: PointerEvent) => Edit,
  click: (on: Target, e: PointerEvent) => void,
  drawing: { name: string; in: () => MeantIn | null },
) {
  const press = useRef<Down | null>(null);
  const bare = useRef(false);
  const { frame, eye, setEye } = paper;

  useEffect(() => {
    const esc = (e: KeyboardEvent) => {
      if (e.key !== "Escape" || !press.current) return;
      if (press.current.what === "band") dropBand();
      else if (press.current.what === "carry") dropCarry();
      else if (press.current.what === "shift" || press.current.what === "together") giveUp();
      else return;
      press.current = null;
      e.stopPropagation();
    };
    addEventListener("keydown", esc, true);
    return () => removeEventListener("keydown", esc, true);
  }, []);

  const carried = () => useCarry.getState().hand !== null;
  const point = (e: PointerEvent) => pointCarry(pointer(e), e.altKey);

  return {
    /** Where one looks along, at a point of the window. */
    sight: (e: { clientX: number; clientY: number }) => sightOf(pointer(e)),
    /** @param nothing whether nothing can be picked now, as while drawing */
    down(e: PointerEvent, nothing = false) {
      if (!eye || e.button === 2) return;
      const met = nothing || carried() ? NOTHING_UNDER : lookUnder(e);
      const under = still() || useBand.getState().armed ? { ...met, holds: null, picksUp: false } : met;
      bare.current = nothing;
      press.current = { x: e.clientX, y: e.clientY, under, what: "click", eye };
      frame.current!.setPointerCapture(e.pointerId);
    },
    /** Whether the pointer is down or something is carried, and this was its business. */
    move(e: PointerEvent): boolean {
      if (!eye) return false;
      pointsAt(pointer(e));
      if (paper.pinching()) {
        press.current = null;
        return true;
      }
      const p = press.current;
      if (!p) {
        if (useSheet.getState().aiming) aimOver(sightOf(pointer(e)));
        if (!carried()) return false;
        point(e);
        return true;
      }
      const dx = e.clientX - p.x;
      const dy = e.clientY - p.y;
      if (p.what === "click" && Math.hypot(dx, dy) > CARRY) {
        const { part } = useSheet.getState();
        const { on, holds } = p.under;
        const pulled = on.piece ? pullOf(on.piece) : null;
        const from = { ...e, clientX: p.x, clientY: p.y, target: e.target } as PointerEvent;
        const { parts } = useSheet.getState();
        if (parts.length > 0 && (holds || (on.part && parts.includes(on.part))) && part === null) {
          p.what = "together";
        } else if (pulled) {
          p.what = "pull";
          p.pull = { from: space(on.piece!, from), to: pulled };
        } else if (holds) {
          p.what = "carry";
          pickUp(space(holds, from));
        } else if (!carried() && !bare.current && (e.shiftKey || useBand.getState().armed)) p.what = "band";
        else p.what = on.part !== null && on.part === part ? "shift" : "pan";
      }
      if (p.what === "band") {
        draw(drawing.name, [p.x, p.y], [e.clientX, e.clientY]);
      } else if (p.what === "pan") {
        setEye({ ...p.eye, x: p.eye.x - dx / p.eye.scale, y: p.eye.y - dy / p.eye.scale });
      } else if (p.what === "carry") {
        point(e);
      } else if (p.what === "pull") {
        const { from, to } = p.pull!;
        const at = space(p.under.on.piece!, e);
        to({ x: at.x - from.x, y: at.y - from.y, z: at.z - from.z }, e.altKey);
      } else if (p.what === "shift" || p.what === "together") {
        const by = { x: dx / eye.scale, y: dy / eye.scale };
        p.edit = p.what === "shift" ? shift(p.under.on.part!, by, e) : together(shift("", by, e));
        tryOut([p.edit]);
      }
      return true;
    },
    up(e: PointerEvent) {
      const p = press.current;
      press.current = null;
      if (p?.what === "pan" || p?.what === "pull" || paper.pinching()) return;
      if (p?.what === "shift" || p?.what === "together") {
        if (p.edit) void useSheet.getState().edit([p.edit]).then(giveUp);
      } else if (p?.what === "band") {
        const more = e.ctrlKey || e.metaKey;
        takeBand(more, ([clientX, clientY]) => paper.toPaper({ clientX, clientY }), drawing.in());
      } else if (isFinishing()) {
        const sight = p?.what === "click" ? sightAt(e) : null;
        if (sight) void clickFinish(sight);
      } else if (p && useSheet.getState().aiming) {
        void aimAt(p.under.on, sightOf(pointer(e)));
      } else if (p?.what === "click" && takesClicks() && !bare.current) {
        const sight = sightOf(pointer(e));
        const { piece, part } = p.under.on;
        if (piece ?? part ?? sight.ray.along.y) clickFor(clicked(p.under.on, sight));
        else useSheet.getState().say("Click points of the floor on the plan or in the set view.");
      } else if (p?.what === "click" && isSecondLook(e, () => p.under.on.piece)) {
        lookAtIt();
      } else if (carried() && p === null && droppedOn(piecesAt(e))) {
        return;
      } else if (carried()) {
        // a click, the end of a drag, or of one out of the catalog
        point(e);
        void putDownCarry(e.shiftKey);
      } else if (p?.under.picksUp && isOneOfSeveral(p.under.holds!)) {
        select(p.under.on, e); // pressing and moving still carries all of them
      } else if (p?.under.picksUp) {
        pickUp(space(p.under.holds!, e));
        point(e);
      } else if (p) click(p.under.on, e);
    },
    cancel() {
      press.current = null;
      dropBand();
      giveUp();
    },
  };
}

/** While it is sized, turned, or said what for, nothing is moved by pressing on it. */
const still = () =>
  useHandling.getState().at !== null || useSheet.getState().aiming !== null || isProposing() || isFinishing();

/** Parts of the shell, and pieces among them, go as far as a part alone would. */
function together(one: Edit): Edit {
  const by = one.do === "shift" ? { x: one.by?.x, y: one.up, z: one.by?.z } : {};
  return { do: "moveBy", pieces: chosenNow(), by, hand: true };
}

const OVERHEAD = 100;

/** What is pointed at on a plan is seen from above. */
function sightOf(p: Pointer): Pointed {
  if ("ray" in p) return { ray: p.ray, near: p.near };
  return { ray: { from: { ...p.at, y: OVERHEAD }, along: { x: 0, y: -1, z: 0 } }, near: p.near };
}

export type Press = ReturnType<typeof usePress>;

/** What a click does where nothing is being drawn: selects a part of the shell, or a piece. */
export function select(on: Target, e: PointerEvent) {
  if (on.part) pickPart(on.part, e);
  else {
    pick(on.piece, e);
    if (on.piece) took(e, on.piece);
  }
}

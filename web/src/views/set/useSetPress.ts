import { useRef, type PointerEvent, type RefObject } from "react";
import type { Vec } from "../../api/types.gen";
import { useHandling } from "../../store/handling";
import { pointsAt } from "../../store/lastPoint";
import { pick, pickPart } from "../../store/selecting";
import { useSheet } from "../../store/sheet";
import { aimAt, aimOver, clicked } from "../../tools/aim/aims";
import { dropCarry, pickUp, pointCarry, putDownCarry, useCarry } from "../../tools/carry/carry";
import { clickFor, takesClicks } from "../../tools/propose/proposal";
import { draw, dropBand, takeBand, useBand } from "../../tools/select/band";
import { droppedOn } from "../../tools/exchange/exchange";
import { clickFinish, isFinishing } from "../../tools/finish/finish";
import { sightAt } from "../../tools/finish/sights";
import { isSecondLook, lookAtIt } from "../../tools/verbs/verbs";
import { isOneOfSeveral, isPicked } from "../paper/picking";
import type { SetSight } from "./sightIn";
import type { Stage } from "./View";

/** A press: where, and where on a selected piece it took hold, if it did. */
interface Press {
  x: number;
  y: number;
  hold: Vec | null;
  carries: boolean;
  /** It draws a figure round pieces. */
  bands: boolean;
}

/** Whether pressing and moving now draws a figure round pieces. */
const bandsNow = (e: PointerEvent) =>
  (e.shiftKey || useBand.getState().armed !== null) && (e.target as Element).closest("canvas") !== null;

/** What presses, moves and clicks mean in the set view. */
export function useSetPress(
  frame: RefObject<HTMLDivElement | null>,
  stage: RefObject<Stage | null>,
  { inPicture, where, pointed, under, viewed }: SetSight,
) {
  const carrying = useCarry((s) => s.hand !== null);
  const press = useRef<Press | null>(null);

  /** Takes hold of a selected piece, so that moving on carries it instead of turning the view. */
  const down = (e: PointerEvent) => {
    press.current = { x: e.clientX, y: e.clientY, hold: null, carries: false, bands: false };
    if (stage.current && !carrying && e.button === 0 && bandsNow(e)) {
      press.current.bands = true;
      if (stage.current.controls) stage.current.controls.enabled = false;
      frame.current!.setPointerCapture(e.pointerId);
      return;
    }
    if (!stage.current || carrying || e.button !== 0 || useSheet.getState().aiming) return;
    if (useHandling.getState().at || isFinishing()) return; // what is sized or turned is not moved
    if (!(e.target as Element).closest("canvas")) return;
    const met = under(e);
    if (!isPicked(met.piece, e)) return;
    const { x, y, z } = met.point!;
    press.current.hold = { x, y, z };
    if (stage.current.controls) stage.current.controls.enabled = false;
    frame.current!.setPointerCapture(e.pointerId);
  };
  const move = (e: PointerEvent) => {
    if (!stage.current) return;
    pointsAt(where(e));
    const p = press.current;
    const moved = p !== null && Math.hypot(e.clientX - p.x, e.clientY - p.y) > 4;
    if (p?.bands) {
      if (moved) draw("set", [p.x, p.y], [e.clientX, e.clientY]);
      return;
    }
    if (p?.hold && moved && !p.carries) {
      p.carries = true;
      pickUp(p.hold);
    }
    if (p?.carries) {
      pointCarry(where(e), e.altKey);
    } else if (carrying && (e.buttons === 0 || (e.buttons === 1 && p === null))) {
      pointCarry(where(e), e.altKey); // with free hands, or dragged out of the catalog
    } else if (e.buttons === 0) {
      useSheet.getState().point(under(e).piece);
      if (useSheet.getState().aiming) aimOver(pointed(e));
    }
  };
  const leave = () => {
    press.current = null;
    if (stage.current?.controls) stage.current.controls.enabled = true;
  };
  const up = (e: PointerEvent) => {
    const from = press.current;
    leave();
    if (!stage.current || e.button !== 0) return;
    if (from?.bands && useBand.getState().at === "set") {
      takeBand(e.ctrlKey || e.metaKey, inPicture, { view: viewed() });
      return;
    }
    const still = from !== null && Math.hypot(e.clientX - from.x, e.clientY - from.y) <= 4;
    if (isFinishing()) {
      const sight = still ? sightAt(e) : null;
      if (sight) void clickFinish(sight);
      return;
    }
    if (still && !useSheet.getState().aiming && isSecondLook(e, () => under(e).piece)) {
      lookAtIt();
      return;
    }
    const dropped = carrying && from === null ? under(e).piece : null;
    if (dropped && droppedOn([dropped])) return;
    if (carrying) {
      // a click, or the end of a drag; not the end of turning the view
      if (still || from === null || from.carries) {
        pointCarry(where(e), e.altKey);
        void putDownCarry(e.shiftKey);
      }
      return;
    }
    if (!still) return;
    const met = under(e);
    if (from.hold && met.piece && isOneOfSeveral(met.piece)) {
      pick(met.piece, e);
      return;
    }
    if (from.hold) {
      pickUp(from.hold);
      return;
    }
    if (useSheet.getState().aiming) void aimAt(met, pointed(e, met.point));
    else if (takesClicks()) clickFor(clicked(met, pointed(e, met.point)));
    else if (met.part) pickPart(met.part, e);
    else pick(met.piece, e);
  };
  const cancel = () => {
    if (press.current?.carries) dropCarry();
    dropBand();
    leave();
  };
  return { down, move, up, cancel };
}

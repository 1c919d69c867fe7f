import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, type PointerEvent } from "react";
import { api } from "../../api/client";
import type { Piece, ShellPlan } from "../../api/types.gen";
import { pointedAt } from "../../store/lastPoint";
import { useSheet } from "../../store/sheet";
import { pointAt, setCorner, useDraft } from "../../tools/draft/draft";
import { giveUp, tryOut } from "../../tools/propose/trial";
import { buildAt, toolEdit } from "../../tools/verbs/verbs";
import { allRound } from "../paper/margins";
import type { usePaper } from "../paper/usePaper";
import { HOLD, select, usePress } from "../paper/usePress";
import { around } from "./around";
import { useFit } from "./Frame";

type Paper = ReturnType<typeof usePaper>;

/** Pixels within which the pointer means a mark or a wall. */
const NEAR = 14;

/** The plan of the bare room, in the unit chosen; while something is built, as it would be. */
export function usePlan(): ShellPlan | undefined {
  const space = useSheet((s) => s.space)!;
  const unit = useSheet((s) => s.unit);
  const trial = useSheet((s) => s.hand?.plan);
  const plan = useQuery({
    // it is of the shell alone, with the name of the space on it
    queryKey: ["plan", space.id, space.shellAt, space.name, unit],
    queryFn: () => api.plan(space.id, unit),
    placeholderData: (before) => before,
  }).data;
  return trial ?? plan;
}

/** Looks at all of the plan, at what is selected, and while one draws at what is drawn. */
export function usePlanFit(paper: Paper, plan: ShellPlan | undefined) {
  const { size, eye, look } = paper;
  const purpose = useDraft((s) => s.purpose);
  const eyeNow = useRef(eye);
  useEffect(() => {
    eyeNow.current = eye;
  }, [eye]);
  useFit(paper, "plan", plan, () => {
    const { selection: chosen, pieces: all, parts } = useSheet.getState();
    const near = chosen.map((id) => all.get(id)).filter((p): p is Piece => p !== undefined);
    if (near.length > 0) {
      const reach = Math.max(...near.map((p) => Math.max(p.size.width, p.size.depth))) * 0.75 + 0.8;
      return around(
        near.flatMap((p) => [p.at.x, p.at.z]),
        reach,
      );
    }
    const built = plan!.inks.filter((i) => parts.includes(i.part ?? "")).flatMap((i) => i.rings.flat());
    return built.length > 0 ? around(built, 1) : null;
  });

  // while drawing, room is left around, and no corner is lost outside the window
  const drawn = useDraft((s) => s.corners);
  useEffect(() => {
    const view = eyeNow.current;
    if (purpose !== "outline" || !plan || !view) return;
    const half = { x: size.w / 2 / view.scale - 0.2, y: size.h / 2 / view.scale - 0.2 };
    const lost = drawn.some((c) => Math.abs(c.x - view.x) > half.x || Math.abs(c.z - view.y) > half.y);
    if (drawn.length > 0 && !lost) return;
    const [x0, z0, x1, z1] = plan.extent;
    const [w, d] = drawn.length === 0 ? [(x1 - x0) / 2, (z1 - z0) / 2] : [1, 1];
    const xs = [x0 - w, x1 + w, ...drawn.flatMap((c) => [c.x - 2, c.x + 2])];
    const zs = [z0 - d, z1 + d, ...drawn.flatMap((c) => [c.z - 2, c.z + 2])];
    look([Math.min(...xs), Math.min(...zs), Math.max(...xs), Math.max(...zs)], allRound(10));
  }, [purpose, drawn, plan, look, size.w, size.h]);
}

/** What pressing, moving and letting go mean on the plan. */
export function usePlanGestures(paper: Paper) {
  const { eye, toPaper } = paper;
  const tool = useSheet((s) => s.tool);
  const purpose = useDraft((s) => s.purpose);
  const last = useRef<{ x: number; z: number } | null>(null);
  const toPlan = (e: { clientX: number; clientY: number }) => {
    const p = toPaper(e);
    return { x: p.x, z: p.y };
  };
  const near = () => NEAR / eye!.scale;

  const press = usePress(
    paper,
    (piece, e) => {
      const { x, z } = toPlan(e);
      return { x, y: useSheet.getState().pieces.get(piece)?.at.y ?? 0, z };
    },
    (e) => ({ at: toPlan(e), near: HOLD / eye!.scale }),
    (part, by, e) => ({ do: "shift", part, by: { x: by.x, z: by.y }, free: e.shiftKey }),
    (on, e) => {
      if (purpose) {
        pointAt(toPlan(e), near(), e.shiftKey);
        setCorner();
      } else select(on, e);
    },
    { name: "plan", in: () => null },
  );
  const move = (e: PointerEvent) => {
    last.current = toPlan(e);
    pointedAt(last.current);
    if (tool) tryOut([toolEdit(tool, last.current, near())]);
    else if (purpose && !press.move(e)) pointAt(last.current, near(), e.shiftKey);
    return tool !== null || purpose !== null;
  };
  const up = (e: PointerEvent) => {
    if (tool) void buildAt(toPlan(e), near(), e.shiftKey);
    return tool !== null;
  };
  const leave = () => {
    last.current = null;
    if (tool) giveUp();
  };
  return { toPlan, press, move, up, leave };
}

import { useTheme } from "@mui/material/styles";
import { useQuery } from "@tanstack/react-query";
import { memo, useEffect, useMemo, useRef, useState, type PointerEvent } from "react";
import { api } from "../../api/client";
import type { Piece, ShellPlan, Vec } from "../../api/types.gen";
import { useCarry } from "../../tools/carry/carry";
import { buildAt, toolEdit } from "../../tools/verbs/verbs";
import { pointAt, setCorner, useDraft } from "../../tools/draft/draft";
import { lookAtPlan } from "../../tools/carry/facing";
import { pointedAt } from "../../store/lastPoint";
import { LAYER } from "./layer";
import { Tray } from "./Tray";
import { TwinLines } from "./TwinLines";
import { useHandling } from "../../store/handling";
import { useSheet } from "../../store/sheet";
import { isIn, layerOf } from "../../store/kept";
import { shown } from "../../store/mirror";
import { giveUp, tryOut } from "../../tools/propose/trial";
import { openDrawing } from "../../store/drawingNames";
import { DrawnLines } from "./DrawnLines";
import { DraftLayer } from "../shell/DraftLayer";
import { Inks, PartMark } from "./Inks";
import { HoveredLines, PieceLines } from "./PieceLines";
import { around } from "./around";
import { Frame, useFit } from "./Frame";
import { AudienceMark, Grid, NorthMark } from "./marks";
import { allRound } from "../paper/margins";
import { look as lookUnder } from "../paper/picking";
import { usePaper, type Eye } from "../paper/usePaper";
import { HOLD, select, usePress } from "../paper/usePress";

/** Pixels within which the pointer means a mark or a wall. */
const NEAR = 14;

/** Half of what takes clicks about a corner, pixels. */
const HIT = 12;

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

/** Pieces from the lowest to the highest, as they are shown. */
export function useStack(): Piece[] {
  const pieces = useSheet((s) => s.pieces);
  const ghosts = useSheet((s) => s.ghosts);
  const others = useSheet((s) => s.others);
  const filing = useSheet((s) => s.space!.filing);
  return useMemo(
    () =>
      shown(pieces, ghosts, others, filing).sort((a, b) => a.at.y + a.size.height - b.at.y - b.size.height),
    [pieces, ghosts, others, filing],
  );
}

/** The piece that is pointed at; also one that is hidden, which a line of the schedule leads to. */
function Hovered({ transform }: { transform: string }) {
  const piece = useSheet((s) => (s.hover ? s.pieces.get(s.hover) : undefined));
  return (
    <svg style={LAYER} aria-hidden>
      <g transform={transform}>{piece && <HoveredLines piece={piece} />}</g>
    </svg>
  );
}

/** All pieces on the plan; they are drawn anew by themselves, and not when the drawing is. */
const PlanPieces = memo(function PlanPieces({ scale }: { scale: number }) {
  const selection = useSheet((s) => s.selection);
  const ghosts = useSheet((s) => s.ghosts);
  const filing = useSheet((s) => s.space!.filing);
  const open = useSheet((s) => s.inGroup);
  const order = useStack();
  const chosen = useMemo(() => new Set(selection), [selection]);
  const inHand = useMemo(() => new Set(ghosts.map((p) => p.id)), [ghosts]);
  const lead = selection[selection.length - 1];
  return order.map((p) => (
    <PieceLines
      key={p.id}
      piece={p}
      scale={scale}
      selected={chosen.has(p.id)}
      lead={lead === p.id}
      inHand={inHand.has(p.id)}
      colour={layerOf(p, filing)?.colour}
      dim={open !== null && !isIn(open, p.group, filing)}
    />
  ));
});

/** The plan: everything seen from above, as lines that core drew. */
export function Plan() {
  const { palette } = useTheme();
  const space = useSheet((s) => s.space)!;
  const part = useSheet((s) => s.part);
  const grab = useSheet((s) => s.grab);
  const carrying = useCarry((s) => s.hand !== null);
  const tool = useSheet((s) => s.tool);
  const hand = useSheet((s) => s.hand);
  const yardstick = useHandling((s) => s.yardstick);
  const tab = useSheet((s) => s.tab);
  const purpose = useDraft((s) => s.purpose);
  const [hoverPart, setHoverPart] = useState<string | null>(null);
  const paper = usePaper();
  const { size, eye, look, toPaper } = paper;
  const eyeNow = useRef(eye);
  useEffect(() => {
    eyeNow.current = eye;
  }, [eye]);
  const plan = usePlan();
  const last = useRef<{ x: number; z: number } | null>(null);

  useFit(paper, "plan", plan, () => {
    const { selection: chosen, pieces: all, part: one } = useSheet.getState();
    const near = chosen.map((id) => all.get(id)).filter((p): p is Piece => p !== undefined);
    if (near.length > 0) {
      const reach = Math.max(...near.map((p) => Math.max(p.size.width, p.size.depth))) * 0.75 + 0.8;
      return around(
        near.flatMap((p) => [p.at.x, p.at.z]),
        reach,
      );
    }
    const built = plan!.inks.filter((i) => i.part === one).flatMap((i) => i.rings.flat());
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

  const under = useMemo(() => plan?.inks.filter((i) => !OVER.has(i.style)) ?? [], [plan]);
  const over = useMemo(() => plan?.inks.filter((i) => OVER.has(i.style)) ?? [], [plan]);
  const marked = hand?.part ?? part;
  const corners = !purpose && (tab === "shell" || /^(wall|corner):/.test(part ?? ""));
  return (
    <Frame
      name="plan"
      testid="plan"
      label="Plan"
      paper={paper}
      press={press}
      drawn={plan}
      project={onPlan}
      sides={ROUND}
      still={hand !== null}
      bare={purpose === "outline"}
      cursor={purpose ? "crosshair" : carrying ? "grabbing" : tool ? "copy" : grab ? "grab" : "default"}
      enter={lookAtPlan}
      down={(e) => !tool && press.down(e, purpose !== null)}
      move={move}
      up={up}
      hover={(on) => setHoverPart(on.part)}
      leave={() => {
        last.current = null;
        if (tool) giveUp();
      }}
      onDoubleClick={(e) => {
        const wall = lookUnder(e).on.part;
        if (wall?.startsWith("wall:")) openDrawing(wall);
      }}
      over={purpose && <DraftLayer paper={paper} />}
      beside={
        <>
          {space.shell.stage ? <AudienceMark /> : <NorthMark turn={space.shell.north} />}
          <Hovered transform={paper.transform} />
          <Tray />
        </>
      }
    >
      {eye && plan && (
        <>
          <g opacity={purpose === "outline" ? 0.3 : 1}>
            <Inks inks={under.slice(0, 1)} />
          </g>
          <Grid eye={eye} colour={palette.divider} floor={under[0]?.rings ?? []} />
          <g opacity={purpose === "outline" ? 0.2 : 1}>
            <Inks inks={under.slice(1)} />
          </g>
          <PlanPieces scale={eye.scale} />
          {yardstick && (
            <PieceLines
              piece={yardstick}
              scale={eye.scale}
              selected={false}
              lead={false}
              inHand={false}
              plain
            />
          )}
          <Inks inks={over} />
          {hoverPart && hoverPart !== marked && <PartMark inks={plan.inks} part={hoverPart} hovered />}
          {marked && <PartMark inks={plan.inks} part={marked} />}
          {corners &&
            space.shell.outline.map((c, i) => {
              const half = (part === "corner:" + i ? 6 : 4) / eye.scale;
              return (
                <g key={i} data-part={"corner:" + i}>
                  <rect
                    x={c.x - HIT / eye.scale}
                    y={c.z - HIT / eye.scale}
                    width={(2 * HIT) / eye.scale}
                    height={(2 * HIT) / eye.scale}
                    fill="transparent"
                  />
                  <rect
                    x={c.x - half}
                    y={c.z - half}
                    width={2 * half}
                    height={2 * half}
                    fill={palette.background.paper}
                    stroke={part === "corner:" + i ? palette.secondary.main : palette.primary.main}
                    strokeWidth={part === "corner:" + i ? 3 : 1.5}
                    vectorEffect="non-scaling-stroke"
                  />
                </g>
              );
            })}
          <DatumMark eye={eye} />
          <TwinLines scale={eye.scale} toPlan={toPlan} />
          <DrawnLines scale={eye.scale} />
        </>
      )}
    </Frame>
  );
}

const onPlan = (p: Vec) => ({ x: p.x, y: p.z });
const OVER = new Set(["overhead", "centre", "setting"]);
const ROUND = ["left", "right", "front", "back"];

/** The point positions are read from: a ring and a cross. */
function DatumMark({ eye }: { eye: Eye }) {
  const { palette } = useTheme();
  const datum = useSheet((s) => s.space!.shell.datum);
  const r = 6 / eye.scale;
  return (
    <g
      transform={`translate(${datum.x} ${datum.z})`}
      stroke={palette.primary.main}
      fill="none"
      pointerEvents="none"
    >
      <title>Datum</title>
      <circle r={r} strokeWidth={1.25} vectorEffect="non-scaling-stroke" />
      <path
        d={`M${-1.7 * r} 0H${1.7 * r}M0 ${-1.7 * r}V${1.7 * r}`}
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}

/** The plan small, waiting in the strip. */
export function PlanThumb({ width, height }: { width: number; height: number }) {
  const plan = usePlan();
  const order = useStack();
  if (!plan) return null;
  const [x0, z0, x1, z1] = plan.extent;
  const scale = Math.min(width / (x1 - x0), height / (z1 - z0));
  return (
    <svg width={width} height={height} viewBox={`${x0} ${z0} ${x1 - x0} ${z1 - z0}`} aria-hidden>
      <Inks inks={plan.inks} small />
      {order.map((p) => (
        <PieceLines key={p.id} piece={p} scale={scale} selected={false} lead={false} inHand={false} small />
      ))}
    </svg>
  );
}

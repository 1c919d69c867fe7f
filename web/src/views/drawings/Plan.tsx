import { useTheme } from "@mui/material/styles";
import { memo, useMemo, useState } from "react";
import type { Piece, Vec } from "../../api/types.gen";
import { useCarry } from "../../tools/carry/carry";
import { useDraft } from "../../tools/draft/draft";
import { lookAtPlan } from "../../tools/carry/facing";
import { LAYER } from "./layer";
import { Tray } from "./Tray";
import { LightMarks } from "./LightMarks";
import { LuxMarks } from "./LuxMarks";
import { TwinLines } from "./TwinLines";
import { ViewMarks } from "./ViewMarks";
import { useHandling } from "../../store/handling";
import { useSheet } from "../../store/sheet";
import { isIn, layerOf } from "../../store/kept";
import { shown } from "../../store/mirror";
import { openDrawing } from "../../store/drawingNames";
import { DrawnLines } from "./DrawnLines";
import { DraftLayer } from "../shell/DraftLayer";
import { Inks, PartMark } from "./Inks";
import { HoveredLines, PieceLines } from "./PieceLines";
import { Frame } from "./Frame";
import { AudienceMark, Grid, NorthMark } from "./marks";
import { look as lookUnder } from "../paper/picking";
import { usePaper, type Eye } from "../paper/usePaper";
import { PlanCorners } from "./PlanCorners";
import { usePlan, usePlanFit, usePlanGestures } from "./planView";

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
  const parts = useSheet((s) => s.parts);
  const grab = useSheet((s) => s.grab);
  const carrying = useCarry((s) => s.hand !== null);
  const tool = useSheet((s) => s.tool);
  const hand = useSheet((s) => s.hand);
  const yardstick = useHandling((s) => s.yardstick);
  const tab = useSheet((s) => s.tab);
  const purpose = useDraft((s) => s.purpose);
  const [hoverPart, setHoverPart] = useState<string | null>(null);
  const paper = usePaper();
  const { eye } = paper;
  const plan = usePlan();
  usePlanFit(paper, plan);
  const { toPlan, press, move, up, leave } = usePlanGestures(paper);
  const under = useMemo(() => plan?.inks.filter((i) => !OVER.has(i.style)) ?? [], [plan]);
  const over = useMemo(() => plan?.inks.filter((i) => OVER.has(i.style)) ?? [], [plan]);
  const marked = hand?.part ? [hand.part] : parts;
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
      leave={leave}
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
          {hoverPart && !marked.includes(hoverPart) && <PartMark inks={plan.inks} part={hoverPart} hovered />}
          {marked.map((p) => (
            <PartMark key={p} inks={plan.inks} part={p} />
          ))}
          {corners && <PlanCorners scale={eye.scale} />}
          <DatumMark eye={eye} />
          <TwinLines scale={eye.scale} toPlan={toPlan} />
          <LightMarks scale={eye.scale} toPlan={toPlan} />
          <LuxMarks scale={eye.scale} />
          <ViewMarks scale={eye.scale} toPlan={toPlan} />
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

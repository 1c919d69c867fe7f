import Box from "@mui/material/Box";
import { useEffect, useRef, type MouseEvent, type PointerEvent, type ReactNode } from "react";
import type { Dimension, Label, Vec } from "../../api/types.gen";
import { BandFigure } from "./BandFigure";
import { CarryMarks } from "../carry/CarryMarks";
import { PaperHandles } from "../handling/PaperHandles";
import { useSheet } from "../../store/sheet";
import { registerSight } from "../../tools/finish/sights";
import { chained } from "./chains";
import { Dimensions } from "./Dimensions";
import { DrawingTitle } from "./DrawingTitle";
import { allRound, marginsFor } from "../paper/margins";
import { Labels, wallNames } from "./Labels";
import { ScaleBar } from "./marks";
import { reached } from "./reached";
import { Reaches } from "./Reaches";
import { useReach } from "./useReach";
import type { Paper, Point } from "../paper/usePaper";
import { look, type Target } from "../paper/picking";
import type { Press } from "../paper/usePress";

/** What a drawing has on it besides its lines. */
export interface OnPaper {
  /** Least and greatest x and y, metres. */
  extent: number[];
  labels: Label[];
  dimensions: Dimension[];
}

/**
 * Shows everything at first, when asked to, and when the window or what is drawn is another; not when
 * something in it changes.
 *
 * @param what names what is drawn
 * @param chosen where the selection is, least and greatest x and y; null for nowhere
 */
export function useFit(
  paper: Paper,
  what: string,
  drawn: OnPaper | undefined,
  chosen: () => number[] | null,
) {
  const fit = useSheet((s) => s.fit);
  const { size, look } = paper;
  const looked = useRef({ at: -1, w: 0, h: 0, what: "" });
  useEffect(() => {
    if (size.w === 0 || !drawn) return;
    const before = looked.current;
    const asked = before.at !== fit.at;
    if (!asked && before.w === size.w && before.h === size.h && before.what === what) return;
    looked.current = { at: fit.at, w: size.w, h: size.h, what };
    const near = fit.what === "selection" && (asked || before.what === what) ? chosen() : null;
    if (near) look(near, allRound(10));
    else look(drawn.extent, marginsFor(drawn.dimensions));
  }, [fit, size, look, drawn, what, chosen]);
}

/**
 * A drawing on its paper: title, lines, labels, dimensions, distances of what is selected or carried,
 * and the scale. Lines are given in metres of the drawing.
 */
/** What is not drawn on a plan. */
const OVERHEAD = ["ceiling"];

export function Frame(props: {
  name: string;
  testid: string;
  label: string;
  paper: Paper;
  press: Press;
  drawn: OnPaper | undefined;
  /** Where a point of the space is on the drawing. */
  project: (p: Vec) => Point;
  /** Sides of a piece whose distances are shown. */
  sides: string[];
  /** Whether numbers can only be read, since something is in hand. */
  still: boolean;
  /** Without labels and dimensions, while the outline itself is drawn. */
  bare?: boolean;
  cursor: string;
  faded?: boolean;
  controls?: ReactNode;
  /** Lines, in metres. */
  children: ReactNode;
  /** Over the lines, in pixels: in the same picture, */
  over?: ReactNode;
  /** and beside it. */
  beside?: ReactNode;
  /** What the pointer does here before it presses anything; true if that was all. */
  move?: (e: PointerEvent) => boolean;
  down?: (e: PointerEvent) => void;
  up?: (e: PointerEvent) => boolean;
  enter: () => void;
  leave?: () => void;
  hover: (on: Target) => void;
  onDoubleClick?: (e: MouseEvent) => void;
}) {
  const { paper, press, drawn, name, testid } = props;
  const { frame, size, eye } = paper;
  const reach = useReach(props.sides);
  const chains = eye && drawn && !props.bare ? chained(drawn.dimensions, paper) : [];
  const numbers = chains.filter((c) => c.read).map((c) => c.number);
  const reaches =
    eye && drawn ? reached(reach, paper, props.project, [...numbers, ...wallNames(drawn.labels, paper)]) : [];
  const taken = [...numbers, ...reaches.map((r) => r.number)];
  const sight = useRef(press.sight);
  useEffect(() => {
    sight.current = press.sight;
  });
  useEffect(
    () =>
      registerSight(name, (e) => ({ ray: sight.current(e).ray, without: name === "plan" ? OVERHEAD : [] })),
    [name],
  );
  const second = testid === "plan" ? { "data-z": eye?.y } : { "data-y": eye?.y };
  return (
    <Box
      ref={frame}
      data-testid={testid}
      data-drawing={name}
      aria-label={props.label}
      sx={{
        flex: 1,
        minWidth: 0,
        minHeight: 0,
        position: "relative",
        bgcolor: "background.default",
        overflow: "hidden",
        touchAction: "none",
        cursor: props.cursor,
        opacity: props.faded ? 0.6 : 1,
      }}
      onPointerEnter={props.enter}
      onPointerDown={(e) => (props.down ?? press.down)(e)}
      onPointerMove={(e) => {
        if (!eye || !drawn || props.move?.(e) || press.move(e)) return;
        const { on, picksUp } = look(e);
        useSheet.getState().point(on.piece, picksUp);
        props.hover(on);
      }}
      onPointerUp={(e) => {
        if (eye && drawn && !props.up?.(e)) press.up(e);
      }}
      onPointerCancel={() => press.cancel()}
      onPointerLeave={() => {
        props.hover({ piece: null, part: null });
        useSheet.getState().point(null);
        props.leave?.();
      }}
      onDoubleClick={props.onDoubleClick}
    >
      <DrawingTitle name={name}>{props.controls}</DrawingTitle>
      {eye && drawn && (
        <svg
          width={size.w}
          height={size.h}
          style={{ display: "block" }}
          data-scale={eye.scale}
          data-x={eye.x}
          {...second}
        >
          <g transform={paper.transform} strokeLinejoin="round" strokeLinecap="round">
            {props.children}
          </g>
          {!props.bare && <Labels labels={drawn.labels} paper={paper} taken={taken} />}
          {props.over}
        </svg>
      )}
      {eye && drawn && (
        <>
          <Dimensions chains={chains} paper={paper} still={props.still} />
          <Reaches reaches={reaches} paper={paper} />
          <CarryMarks paper={paper} project={props.project} taken={taken} />
          <PaperHandles
            paper={paper}
            project={props.project}
            sight={press.sight}
            plan={testid === "plan"}
            taken={[...taken, ...wallNames(drawn.labels, paper)]}
          />
          <BandFigure drawing={name} />
          <ScaleBar scale={eye.scale} />
        </>
      )}
      {props.beside}
    </Box>
  );
}

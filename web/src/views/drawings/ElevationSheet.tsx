import type { Pointer } from "../../store/lastPoint";
import Box from "@mui/material/Box";
import LinearProgress from "@mui/material/LinearProgress";
import { useTheme } from "@mui/material/styles";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useMemo, useState } from "react";
import { api, type LookDraft } from "../../api/client";
import type { Elevation, Vec } from "../../api/types.gen";
import { useCarry } from "../../tools/carry/carry";
import { useHandling } from "../../store/handling";
import { useSheet } from "../../store/sheet";
import { lookAt, lookAtPlan } from "../../tools/carry/facing";
import { Footprint } from "./Footprint";
import { around } from "./around";
import { Frame, useFit } from "./Frame";
import { Inks, PartMark } from "./Inks";
import { LitCones } from "./LightMarks";
import { ring } from "../paper/paths";
import { PieceSide } from "./PieceSide";
import { project } from "./project";
import { SectionControls } from "./SectionControls";
import { usePaper } from "../paper/usePaper";
import { HOLD, select, usePress } from "../paper/usePress";

const ALL = ["left", "right", "front", "back", "top", "under"];

/** What core sees looking at a wall, or into the space where it is cut. */
export function useElevation(
  name: string,
  patient = false,
): { elevation?: Elevation; stale: boolean; wrong?: string } {
  const space = useSheet((s) => s.space)!;
  const revision = useSettled(space.revision, patient);
  const unit = useSheet((s) => s.unit);
  const section = useSheet((s) => s.section);
  const look: LookDraft =
    name === "section"
      ? { way: section.way, at: section.at ?? undefined }
      : { way: "wall", wall: name.slice("wall:".length) };
  const found = useQuery({
    queryKey: ["elevation", space.id, revision, look, unit],
    queryFn: () => api.elevation(space.id, look, unit),
    placeholderData: (before) => before,
    retry: false,
  });
  return {
    elevation: found.data,
    stale: found.isPlaceholderData,
    wrong: found.isError ? found.error.message : undefined,
  };
}

const PATIENCE = 900;

/** For what may wait: a value as it is once it has not changed for a while. */
function useSettled<T>(value: T, patient: boolean): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const soon = setTimeout(() => setSettled(value), PATIENCE);
    return () => clearTimeout(soon);
  }, [value]);
  return patient ? settled : value;
}

/** An elevation or a section: lines that core drew, nearer things hiding farther ones. */
export function ElevationSheet({ name }: { name: string }) {
  const { palette } = useTheme();
  const parts = useSheet((s) => s.parts);
  const ghosts = useSheet((s) => s.ghosts);
  const hand = useSheet((s) => s.hand);
  const yardstick = useHandling((s) => s.yardstick);
  const grab = useSheet((s) => s.grab);
  const carrying = useCarry((s) => s.hand !== null);
  const paper = usePaper();
  const { eye, toPaper } = paper;
  const { elevation, stale, wrong } = useElevation(name);
  const [hoverPart, setHoverPart] = useState<string | null>(null);

  useEffect(() => lookAtPlan, []);

  useFit(paper, name + elevation?.look.way, elevation, () => {
    const chosen = useSheet.getState().selection;
    const own = elevation!.figures
      .filter((f) => chosen.includes(f.part ?? ""))
      .flatMap((f) => f.rings.flat());
    return own.length > 0 ? around(own, 0.8) : null;
  });

  /** A line of sight from where one stands, for what is put against a wall; else the floor before it. */
  const where = (e: { clientX: number; clientY: number }): Pointer => {
    const p = toPaper(e);
    const { zero, right, toEye, look: l } = elevation!;
    const away = l.way === "wall" ? (l.at ?? 1) : 0;
    const start = l.way === "wall" ? zero : cutPoint(elevation!);
    const from = {
      x: start.x + right.x * p.x + toEye.x * away,
      y: -p.y,
      z: start.z + right.z * p.x + toEye.z * away,
    };
    const along = { x: -toEye.x, y: 0, z: -toEye.z };
    return { ray: { from, along }, level: true, near: HOLD / eye!.scale };
  };

  const press = usePress(
    paper,
    (piece, e) => {
      const p = toPaper(e);
      const { right } = elevation!;
      const at = useSheet.getState().pieces.get(piece)!.at;
      const off = p.x - project(elevation!, at).x;
      return { x: at.x + right.x * off, y: -p.y, z: at.z + right.z * off };
    },
    where,
    (part, by) => {
      const { right } = elevation!;
      return { do: "shift", part, by: { x: right.x * by.x, z: right.z * by.x }, up: -by.y };
    },
    select,
    { name, in: () => (elevation ? { look: elevation.look } : null) },
  );
  const inHand = useMemo(() => new Set(ghosts.map((p) => p.id)), [ghosts]);
  return (
    <Frame
      name={name}
      testid="elevation"
      label={elevation?.title ?? "Elevation"}
      paper={paper}
      press={press}
      drawn={elevation}
      project={(p) => project(elevation!, p)}
      sides={ALL}
      still={hand !== null}
      cursor={carrying ? "grabbing" : grab ? "grab" : "default"}
      faded={stale}
      enter={() => elevation && lookAt(() => ({ right: elevation.right, upright: true }))}
      hover={(on) => setHoverPart(on.part)}
      controls={name === "section" && <SectionControls elevation={elevation} />}
      beside={<Waiting drawn={elevation !== undefined} wrong={wrong} />}
    >
      {elevation && eye && (
        <>
          <rect
            x={elevation.extent[0]}
            y={elevation.extent[1]}
            width={elevation.extent[2] - elevation.extent[0]}
            height={elevation.extent[3] - elevation.extent[1]}
            fill={palette.background.paper}
          />
          <Inks inks={elevation.inks} dimmed={inHand} />
          <Figures elevation={elevation} scale={eye.scale} faint={inHand} />
          {hoverPart && !parts.includes(hoverPart) && (
            <PartMark inks={elevation.figures} part={hoverPart} hovered />
          )}
          {parts.map((p) => (
            <PartMark key={p} inks={elevation.figures} part={p} />
          ))}
          <LitCones elevation={elevation} scale={eye.scale} />
          {(yardstick ? [...ghosts, yardstick] : ghosts).map((p) => (
            <PieceSide key={p.id} piece={p} elevation={elevation} quiet={p === yardstick} />
          ))}
        </>
      )}
    </Frame>
  );
}

/** While it is drawn, or why it cannot be. */
function Waiting({ drawn, wrong }: { drawn: boolean; wrong?: string }) {
  return (
    <>
      {!drawn && !wrong && (
        <LinearProgress
          color="secondary"
          aria-label="Drawing the elevation"
          sx={{ position: "absolute", left: 0, right: 0, top: 0, height: 2 }}
        />
      )}
      {wrong && (
        <Box
          sx={{ position: "absolute", inset: 0, display: "grid", placeItems: "center", color: "error.main" }}
        >
          {wrong}
        </Box>
      )}
    </>
  );
}

/** Where pieces and parts are hit, and which of them is hovered or selected. */
function Figures({ elevation, scale, faint }: { elevation: Elevation; scale: number; faint: Set<string> }) {
  const { palette } = useTheme();
  const selection = useSheet((s) => s.selection);
  const hover = useSheet((s) => s.hover);
  const marks = elevation.figures.filter((f) => selection.includes(f.part ?? ""));
  const hovered = elevation.figures.find((f) => f.part === hover);
  return (
    <>
      {elevation.figures.map((f) =>
        f.part?.includes(":") ? (
          <path
            key={f.part}
            data-part={f.part}
            d={f.rings.map(ring).join("")}
            fill="transparent"
            stroke="none"
          />
        ) : (
          <g key={f.part} data-piece={f.part}>
            <Footprint id={f.part!} rings={f.rings} scale={scale} />
          </g>
        ),
      )}
      {hovered && (
        <path
          d={hovered.rings.map(ring).join("")}
          fill="none"
          stroke={palette.primary.main}
          strokeWidth={1.75}
          vectorEffect="non-scaling-stroke"
          pointerEvents="none"
        />
      )}
      {marks.map((f) => (
        <path
          key={f.part}
          d={f.rings.map(ring).join("")}
          fill="none"
          stroke={palette.secondary.main}
          strokeWidth={f.part === selection[selection.length - 1] ? 2.5 : 1.75}
          opacity={faint.has(f.part ?? "") ? 0.3 : 1}
          vectorEffect="non-scaling-stroke"
          pointerEvents="none"
        />
      ))}
    </>
  );
}

/** A point on the plane of a cut. */
function cutPoint({ look, toEye }: Elevation): Vec {
  const at = look.at ?? 0;
  return toEye.x !== 0 ? { x: at, y: 0, z: 0 } : { x: 0, y: 0, z: at };
}

/** An elevation small, waiting in the strip. */
export function ElevationThumb({ name, width, height }: { name: string; width: number; height: number }) {
  const { elevation } = useElevation(name, true);
  if (!elevation) return null;
  const [x0, y0, x1, y1] = elevation.extent;
  return (
    <svg width={width} height={height} viewBox={`${x0} ${y0} ${x1 - x0} ${y1 - y0}`} aria-hidden>
      <Inks inks={elevation.inks} small />
    </svg>
  );
}

import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import LinearProgress from "@mui/material/LinearProgress";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { useTheme } from "@mui/material/styles";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useMemo, useRef, useState, type PointerEvent } from "react";
import { api, type LookDraft } from "../api/client";
import type { Elevation, Piece, Vec } from "../api/types.gen";
import { useCarry, type Pointer } from "../state/carry";
import { lookAt, lookAtPlan } from "../state/facing";
import { useSheet, type SectionLook } from "../state/sheet";
import { TypedField } from "../sheet/TypedField";
import { Dimensions } from "./Dimensions";
import { DrawingTitle } from "./DrawingTitle";
import { Inks, PartMark } from "./Inks";
import { Labels } from "./Labels";
import { ScaleBar } from "./marks";
import { ring, segments } from "./paths";
import { CarryMarks } from "./CarryMarks";
import { Reaches } from "./Reaches";
import { usePaper, type Point } from "./usePaper";
import { HOLD, select, targetOf, usePress } from "./usePress";

const MARGIN = 46;
const ALL = ["left", "right", "front", "back", "top", "under"];

const dot = (a: Vec, b: Vec) => a.x * b.x + a.y * b.y + a.z * b.z;

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

/** Where a point of the space stands on the drawing. */
const project = (e: Elevation, p: Vec): Point => ({
  x: dot(e.right, p) - dot(e.right, e.zero),
  y: -p.y,
});

/** An elevation or a section: lines that core drew, nearer things hiding farther ones. */
export function ElevationSheet({ name }: { name: string }) {
  const { palette } = useTheme();
  const selection = useSheet((s) => s.selection);
  const part = useSheet((s) => s.part);
  const hover = useSheet((s) => s.hover);
  const ghosts = useSheet((s) => s.ghosts);
  const hand = useSheet((s) => s.hand);
  const carrying = useCarry((s) => s.hand !== null);
  const fit = useSheet((s) => s.fit);
  const paper = usePaper();
  const { frame, size, eye, look, toPaper } = paper;
  const { elevation, stale, wrong } = useElevation(name);
  const [hoverPart, setHoverPart] = useState<string | null>(null);

  useEffect(() => lookAtPlan, []);

  const looked = useRef({ at: -1, w: 0, h: 0, title: "" });
  useEffect(() => {
    if (size.w === 0 || !elevation) return;
    const key = { at: fit.at, w: size.w, h: size.h, title: name + elevation.look.way };
    const before = looked.current;
    if (before.at === key.at && before.w === key.w && before.h === key.h && before.title === key.title)
      return;
    looked.current = key;
    const chosen = useSheet.getState().selection;
    const own = elevation.figures.filter((f) => chosen.includes(f.part ?? "")).flatMap((f) => f.rings);
    if (fit.what === "selection" && own.length > 0 && before.at !== key.at) {
      const all = own.flat();
      const xs = all.filter((_, i) => i % 2 === 0);
      const ys = all.filter((_, i) => i % 2 === 1);
      look([Math.min(...xs) - 0.8, Math.min(...ys) - 0.8, Math.max(...xs) + 0.8, Math.max(...ys) + 0.8], 10);
    } else look(elevation.extent, MARGIN);
  }, [fit, size, elevation, look, name]);

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
  );
  const move = (e: PointerEvent) => {
    if (!eye || !elevation) return;
    if (!press.move(e)) {
      const on = targetOf(e);
      useSheet.getState().point(on.piece);
      setHoverPart(on.part);
    }
  };

  const inHand = useMemo(() => new Set(ghosts.map((p) => p.id)), [ghosts]);
  const marks = elevation?.figures.filter((f) => selection.includes(f.part ?? "")) ?? [];
  const hovered = elevation?.figures.find((f) => f.part === hover);
  return (
    <Box
      ref={frame}
      data-testid="elevation"
      data-drawing={name}
      aria-label={elevation?.title ?? "Elevation"}
      sx={{
        flex: 1,
        minWidth: 0,
        minHeight: 0,
        position: "relative",
        bgcolor: "background.default",
        overflow: "hidden",
        touchAction: "none",
        cursor: carrying ? "grabbing" : "default",
        opacity: stale ? 0.6 : 1,
      }}
      onPointerEnter={() => elevation && lookAt(() => ({ right: elevation.right, upright: true }))}
      onPointerDown={(e) => press.down(e)}
      onPointerMove={move}
      onPointerUp={(e) => elevation && press.up(e)}
      onPointerCancel={press.cancel}
      onPointerLeave={() => {
        setHoverPart(null);
        useSheet.getState().point(null);
      }}
    >
      <DrawingTitle name={name}>
        {name === "section" && <SectionControls elevation={elevation} />}
      </DrawingTitle>
      {!elevation && !wrong && (
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
      {eye && elevation && (
        <svg
          width={size.w}
          height={size.h}
          style={{ display: "block" }}
          data-scale={eye.scale}
          data-x={eye.x}
          data-y={eye.y}
        >
          <g transform={paper.transform} strokeLinejoin="round" strokeLinecap="round">
            <rect
              x={elevation.extent[0]}
              y={elevation.extent[1]}
              width={elevation.extent[2] - elevation.extent[0]}
              height={elevation.extent[3] - elevation.extent[1]}
              fill={palette.background.paper}
            />
            <Inks inks={elevation.inks} dimmed={inHand} />
            {elevation.figures.map((f) => (
              <path
                key={f.part}
                data-piece={f.part?.includes(":") ? undefined : f.part}
                data-part={f.part?.includes(":") ? f.part : undefined}
                d={f.rings.map(ring).join("")}
                fill="transparent"
                stroke="none"
              />
            ))}
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
                opacity={inHand.has(f.part ?? "") ? 0.3 : 1}
                vectorEffect="non-scaling-stroke"
                pointerEvents="none"
              />
            ))}
            {hoverPart && hoverPart !== part && (
              <PartMark inks={elevation.figures} part={hoverPart} hovered />
            )}
            {part && <PartMark inks={elevation.figures} part={part} />}
            {ghosts.map((p) => (
              <PieceSide key={p.id} piece={p} elevation={elevation} />
            ))}
          </g>
          <Labels labels={elevation.labels} paper={paper} />
        </svg>
      )}
      {eye && elevation && (
        <>
          <Dimensions list={elevation.dimensions} paper={paper} still={hand !== null} />
          <Reaches paper={paper} project={(p) => project(elevation, p)} sides={ALL} />
          <CarryMarks paper={paper} project={(p) => project(elevation, p)} />
          <ScaleBar scale={eye.scale} />
        </>
      )}
    </Box>
  );
}

/** A point on the plane of a cut. */
function cutPoint({ look, toEye }: Elevation): Vec {
  const at = look.at ?? 0;
  return toEye.x !== 0 ? { x: at, y: 0, z: 0 } : { x: 0, y: 0, z: at };
}

/** A piece in hand as it is seen from here. */
function PieceSide({ piece, elevation }: { piece: Piece; elevation: Elevation }) {
  const { palette } = useTheme();
  const { from } = elevation;
  const { size } = piece;
  const lines = useQuery({
    queryKey: ["lines", piece.article, size.width, size.depth, size.height, from, piece.turn, piece.lean],
    queryFn: () => api.lines(piece.article, size, from, piece.turn, piece.lean),
    placeholderData: (before) => before,
  }).data;
  const at = project(elevation, piece.at);
  if (!lines) return null;
  return (
    <g transform={`translate(${at.x} ${at.y})`} pointerEvents="none" data-ghost={piece.id}>
      <path
        d={lines.outlines.map(ring).join("")}
        fill={palette.background.paper}
        fillOpacity={0.7}
        stroke={palette.secondary.main}
        strokeWidth={1.75}
        vectorEffect="non-scaling-stroke"
      />
      <path
        d={segments(lines.lines)}
        fill="none"
        stroke={palette.secondary.main}
        strokeWidth={0.75}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}

/** Where a section cuts and which way it looks. */
function SectionControls({ elevation }: { elevation?: Elevation }) {
  const section = useSheet((s) => s.section);
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const { setSection, space, unit, say } = useSheet.getState();
  const cut = elevation?.cut;
  const looking = cut?.ways.find((w) => w.way === section.way)?.words ?? "";
  return (
    <Box
      sx={{
        fontSize: 12,
        color: "text.secondary",
        display: "flex",
        gap: 0.5,
        alignItems: "baseline",
        bgcolor: "background.default",
        px: 0.5,
      }}
    >
      cut at
      <TypedField
        text={cut?.at ?? "…"}
        label="Where the section cuts"
        onType={async (typed) => {
          const at = typed.trim();
          try {
            await api.elevation(space!.id, { way: section.way, at }, unit);
            setSection({ ...section, at });
            return true;
          } catch (e) {
            say((e as Error).message, "refused");
            return false;
          }
        }}
      />
      {cut?.direction}, looking
      <ButtonBase
        aria-label={"Looking: " + looking}
        aria-haspopup="menu"
        onClick={(e) => setMenu(e.currentTarget)}
        sx={{
          font: "inherit",
          fontWeight: 650,
          color: "text.primary",
          borderBottom: "1.5px dotted",
          borderColor: "primary.main",
          lineHeight: 1.2,
        }}
      >
        {looking}
      </ButtonBase>
      <Menu open={menu !== null} anchorEl={menu} onClose={() => setMenu(null)}>
        {cut?.ways.map(({ way, words, same }) => (
          <MenuItem
            key={way}
            dense
            selected={way === section.way}
            onClick={() => {
              setMenu(null);
              setSection({ way: way as SectionLook["way"], at: same ? section.at : null });
            }}
          >
            {words}
          </MenuItem>
        ))}
      </Menu>
    </Box>
  );
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

import { useTheme } from "@mui/material/styles";
import { useQuery } from "@tanstack/react-query";
import { type PointerEvent, useState } from "react";
import { api } from "../../api/client";
import type { Elevation, SunStudy, Vec } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import { drag } from "../handling/drag";
import { useLamps } from "../../store/useLamps";
import { project } from "./project";

/** Half of what takes clicks about a mark, pixels. */
const HIT = 13;

const points = (ring: { x: number; z: number }[]) => ring.map((p) => `${p.x},${p.z}`).join(" ");

/** On the plan, where the sun falls, and where lanterns shine: a pool is pulled to where it shall be. */
export function LightMarks(props: {
  scale: number;
  toPlan: (e: { clientX: number; clientY: number }) => { x: number; z: number };
}) {
  return (
    <>
      <SunPatches />
      <Pools {...props} />
    </>
  );
}

/** The sun's patches, at the moment that is tried; with the leaf of light. */
function SunPatches() {
  const { palette } = useTheme();
  const space = useSheet((s) => s.space!.id);
  const revision = useSheet((s) => s.space!.revision);
  const moment = useSheet((s) => s.moment);
  const wanted = useSheet((s) => s.tab === "light" && !s.space!.shell.stage);
  const study = useQuery({
    queryKey: ["sun", space, revision, moment],
    queryFn: () => api.sun(space, moment),
    placeholderData: (before?: SunStudy) => before,
    enabled: wanted,
  }).data;
  if (!wanted || !study) return null;
  return (
    <g data-testid="sun-patches" data-area={study.area.toFixed(2)} pointerEvents="none">
      {study.patches.map((p, i) => (
        <polygon key={i} points={points(p)} fill={palette.warning.main} opacity={0.28} />
      ))}
    </g>
  );
}

function Pools(props: {
  scale: number;
  toPlan: (e: { clientX: number; clientY: number }) => { x: number; z: number };
}) {
  const { palette } = useTheme();
  const selection = useSheet((s) => s.selection);
  const lamp = useSheet((s) => s.selection.some((id) => s.pieces.get(id)?.lamp));
  const leaf = useSheet((s) => s.tab === "light");
  const busy = useSheet((s) => s.tool !== null || s.aiming !== null || s.placing !== null);
  const pools = useLamps(lamp || leaf)?.pools;
  const [pulled, setPulled] = useState<{ piece: string; at: { x: number; z: number } } | null>(null);
  const { edit } = useSheet.getState();
  if (!lamp && !leaf) return null;
  const px = 1 / props.scale;
  const aim = (piece: string) => (e: PointerEvent) => {
    let last: { x: number; z: number } | null = null;
    drag(
      e,
      (to) => {
        last = props.toPlan(to);
        setPulled({ piece, at: last });
      },
      (moved) => {
        const ray = last && { from: { x: last.x, y: 50, z: last.z }, along: { x: 0, y: -1, z: 0 } };
        const own = useSheet.getState().selection;
        const pieces = own.includes(piece) ? own : [piece];
        const done = moved && ray ? edit([{ do: "aim", pieces, ray: belowGrid(ray) }]) : null;
        void Promise.resolve(done).then(() => setPulled(null));
      },
    );
  };
  return pools?.map((p) => {
    const on = selection.includes(p.piece);
    if (!on && p.lux === 0) return null;
    const to = pulled?.piece === p.piece ? pulled.at : p.at;
    const colour = on ? palette.secondary.main : palette.warning.dark;
    return (
      <g key={p.piece} data-pool={p.piece} style={{ pointerEvents: busy ? "none" : undefined }}>
        <polygon
          points={points(p.ring)}
          fill={palette.warning.main}
          fillOpacity={on ? 0.22 : 0.1}
          stroke={colour}
          strokeWidth={1}
          strokeDasharray="6 3"
          vectorEffect="non-scaling-stroke"
          pointerEvents="none"
        />
        <line
          x1={p.from.x}
          y1={p.from.z}
          x2={to.x}
          y2={to.z}
          stroke={colour}
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
          pointerEvents="none"
        />
        <circle cx={to.x} cy={to.z} r={3.5 * px} fill={colour} pointerEvents="none" />
        <circle
          cx={p.at.x}
          cy={p.at.z}
          r={HIT * px}
          fill="transparent"
          style={{ cursor: "move" }}
          data-pull="aim"
          onPointerDown={aim(p.piece)}
        >
          <title>Pull it to what the lantern shall be aimed at</title>
        </circle>
        {p.piece === selection.at(-1) && (
          <text
            x={to.x}
            y={to.z - 9 * px}
            fontSize={11 * px}
            textAnchor="middle"
            fill={colour}
            pointerEvents="none"
          >
            {p.words}
          </text>
        )}
      </g>
    );
  });
}

/** In elevations and sections, the cones of light of lanterns, from their lenses to where they fall. */
export function LitCones({ elevation, scale }: { elevation: Elevation; scale: number }) {
  const { palette } = useTheme();
  const selection = useSheet((s) => s.selection);
  const lamp = useSheet((s) => s.selection.some((id) => s.pieces.get(id)?.lamp));
  const leaf = useSheet((s) => s.tab === "light");
  const pools = useLamps(lamp || leaf)?.pools;
  if (!lamp && !leaf) return null;
  return pools
    ?.filter((p) => selection.includes(p.piece) || p.lux > 0)
    .map((p) => {
      const on = selection.includes(p.piece);
      const colour = on ? palette.secondary.main : palette.warning.dark;
      const from = project(elevation, p.from);
      const at = project(elevation, p.at);
      const ring = p.ring.map((v) => project(elevation, v));
      // all the same way round, so that what lies behind does not take away what lies before
      const fan = ring.map((p0, i) => {
        const p1 = ring[(i + 1) % ring.length];
        const left = (p0.x - from.x) * (p1.y - from.y) > (p0.y - from.y) * (p1.x - from.x);
        const [a, b] = left ? [p0, p1] : [p1, p0];
        return `M${from.x} ${from.y}L${a.x} ${a.y}L${b.x} ${b.y}Z`;
      });
      return (
        <g key={p.piece} data-cone={p.piece} pointerEvents="none">
          <path d={fan.join("")} fill={palette.warning.main} opacity={on ? 0.24 : 0.1} />
          <path
            d={`M${from.x} ${from.y}L${at.x} ${at.y}`}
            stroke={colour}
            strokeWidth={1}
            strokeDasharray="6 3"
            vectorEffect="non-scaling-stroke"
          />
          {p.piece === selection.at(-1) && (
            <text x={at.x} y={at.y - 8 / scale} fontSize={11 / scale} textAnchor="middle" fill={colour}>
              {p.words}
            </text>
          )}
        </g>
      );
    });
}

/** From just under what closes the space above. */
function belowGrid(ray: { from: Vec; along: Vec }) {
  const high = useSheet.getState().space!.shell.height;
  return { ...ray, from: { ...ray.from, y: high - 0.01 } };
}

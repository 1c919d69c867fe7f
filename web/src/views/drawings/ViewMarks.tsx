import { useTheme } from "@mui/material/styles";
import { type PointerEvent, useState } from "react";
import { lookFrom } from "../../tools/viewpoint/viewpoints";
import { useSheet } from "../../store/sheet";
import { drag } from "../handling/drag";

/** From where nobody looks at present, its sides are drawn so long, metres. */
const SHORT = 0.9;

/** Half of what takes clicks about a mark, pixels. */
const HIT = 13;

interface Spot {
  x: number;
  z: number;
}

/** Viewpoints on the plan: where one stands, and what one sees; both are pulled, a click looks from there. */
export function ViewMarks(props: {
  scale: number;
  toPlan: (e: { clientX: number; clientY: number }) => Spot;
}) {
  const { palette } = useTheme();
  const marks = useSheet((s) => s.space!.showing.marks);
  const viewpoints = useSheet((s) => s.space!.showing.viewpoints);
  const shown = useSheet((s) => s.viewpoint?.view.id);
  const busy = useSheet((s) => s.tool !== null || s.aiming !== null || s.placing !== null);
  const px = 1 / props.scale;
  const [pulled, setPulled] = useState<{ id: string; key: string; at: Spot } | null>(null);
  const { edit } = useSheet.getState();
  return marks.map((m) => {
    const on = m.id === shown;
    const colour = on ? palette.secondary.main : palette.text.secondary;
    const pull = (key: "stand" | "toward") => (e: PointerEvent) => {
      let last: Spot | null = null;
      drag(
        e,
        (to) => {
          last = props.toPlan(to);
          setPulled({ id: m.id, key, at: last });
        },
        (moved) => {
          const view = viewpoints.find((v) => v.id === m.id);
          if (!moved && view) lookFrom(view);
          const done = moved && last ? edit([{ do: "viewpoint", viewpoint: m.id, [key]: last }]) : null;
          void Promise.resolve(done).then(() => setPulled(null));
        },
      );
    };
    const far = on ? 1 : Math.min(1, SHORT / Math.hypot(m.left.x - m.at.x, m.left.z - m.at.z));
    const end = (p: Spot) => `${m.at.x + (p.x - m.at.x) * far},${m.at.z + (p.z - m.at.z) * far}`;
    const sides = `${end(m.left)} ${m.at.x},${m.at.z} ${end(m.right)}`;
    const hit = busy ? "none" : undefined;
    const own = pulled?.id === m.id ? pulled : null;
    return (
      <g key={m.id} data-viewpoint={m.name} style={{ pointerEvents: hit }}>
        <title>{m.name}: pull it, or its far end; a click looks from there</title>
        <polygon points={sides} fill={colour} opacity={on ? 0.12 : 0.06} pointerEvents="none" />
        <polyline
          points={sides}
          fill="none"
          stroke={colour}
          strokeWidth={1.2}
          strokeDasharray={on ? undefined : "5 4"}
          vectorEffect="non-scaling-stroke"
          pointerEvents="none"
        />
        <circle
          cx={m.at.x}
          cy={m.at.z}
          r={5 * px}
          fill={palette.background.paper}
          stroke={colour}
          strokeWidth={1.5}
          vectorEffect="non-scaling-stroke"
          pointerEvents="none"
        />
        <circle
          cx={m.at.x}
          cy={m.at.z}
          r={HIT * px}
          fill="transparent"
          style={{ cursor: "move" }}
          data-pull="stand"
          onPointerDown={pull("stand")}
        />
        {own && (
          <line
            x1={own.key === "stand" ? own.at.x : m.at.x}
            y1={own.key === "stand" ? own.at.z : m.at.z}
            x2={own.key === "stand" ? m.toward.x : own.at.x}
            y2={own.key === "stand" ? m.toward.z : own.at.z}
            stroke={palette.secondary.main}
            strokeWidth={1.5}
            vectorEffect="non-scaling-stroke"
            pointerEvents="none"
          />
        )}
        {on && (
          <>
            <circle cx={m.toward.x} cy={m.toward.z} r={3 * px} fill={colour} pointerEvents="none" />
            <circle
              cx={m.toward.x}
              cy={m.toward.z}
              r={HIT * px}
              fill="transparent"
              style={{ cursor: "move" }}
              data-pull="toward"
              onPointerDown={pull("toward")}
            />
          </>
        )}
        {on && (
          <text
            x={m.at.x}
            y={m.at.z + 16 * px}
            fontSize={11 * px}
            textAnchor="middle"
            fill={colour}
            pointerEvents="none"
          >
            {m.name}
          </text>
        )}
      </g>
    );
  });
}

import { useTheme } from "@mui/material/styles";
import type { PointerEvent } from "react";
import type { HandlesDial } from "../../api/types.gen";
import type { Paper } from "../paper/usePaper";
import { useHandling } from "../../store/handling";

/** Steps nearer to each other on the ring are not drawn, pixels. */
const APART = 5;

interface Dial {
  dial: HandlesDial;
  paper: Paper;
  down: (e: PointerEvent) => void;
}

/** Where the dial is on the paper. */
function placed({ dial, paper }: Dial) {
  const { left: x, top: y } = paper.toPixel(dial.centre.x, dial.centre.z);
  const r = Math.max(48, dial.radius * paper.eye!.scale);
  const on = (v: { x: number; z: number }, by: number) => ({ x: x + v.x * r * by, y: y + v.z * r * by });
  return { x, y, r, on, front: on(dial.front, 1) };
}

/** The tab of the dial: the front of what is turned. It lies over all marks, and takes every press. */
export function DialTab(props: Dial) {
  const { palette } = useTheme();
  const { front } = placed(props);
  return (
    <svg
      width={props.paper.size.w}
      height={props.paper.size.h}
      style={{ position: "absolute", inset: 0, zIndex: 3 }}
    >
      <rect
        data-testid="dial-front"
        x={front.x - 20}
        y={front.y - 12}
        width={40}
        height={24}
        rx={12}
        fill={palette.background.paper}
        stroke={palette.secondary.main}
        strokeWidth={2}
        style={{ pointerEvents: "all", cursor: "grab", touchAction: "none" }}
        onPointerDown={props.down}
      />
      <text
        x={front.x}
        y={front.y + 4}
        textAnchor="middle"
        fontSize={12}
        fontWeight={650}
        fill={palette.secondary.dark}
        pointerEvents="none"
      >
        front
      </text>
    </svg>
  );
}

/** The ring on which a piece is turned, at its foot. */
export function PaperDial(props: Dial) {
  const { palette } = useTheme();
  const { dial, paper, down } = props;
  const step = useHandling((s) => s.step);
  const { x, y, r, on, front } = placed(props);
  const count = Math.round(360 / step);
  const ticks = (2 * Math.PI * r) / count > APART ? count : 0;
  return (
    <svg
      width={paper.size.w}
      height={paper.size.h}
      style={{ position: "absolute", inset: 0 }}
      data-testid="dial"
      role="img"
      aria-label={`Dial, ${Math.round(dial.turn * 10) / 10}°, in steps of ${step}°`}
    >
      <circle cx={x} cy={y} r={r} fill="none" stroke={palette.secondary.main} strokeWidth={1.5} />
      {Array.from({ length: ticks }, (_, i) => {
        const a = (i * step * Math.PI) / 180;
        const v = { x: Math.sin(a), z: Math.cos(a) };
        const [p, q] = [on(v, 1), on(v, 1 + ((i * step) % 90) === 0 ? 1 + 9 / r : 1 + 5 / r)];
        return (
          <line key={i} x1={p.x} y1={p.y} x2={q.x} y2={q.y} stroke={palette.secondary.main} strokeWidth={1} />
        );
      })}
      <circle
        cx={x}
        cy={y}
        r={r}
        fill="none"
        stroke="transparent"
        strokeWidth={16}
        style={{ pointerEvents: "stroke", cursor: "grab", touchAction: "none" }}
        onPointerDown={down}
      />
      <line x1={x} y1={y} x2={front.x} y2={front.y} stroke={palette.secondary.main} strokeDasharray="2 4" />
    </svg>
  );
}

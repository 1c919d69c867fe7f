import { useTheme } from "@mui/material/styles";
import { useDraft } from "../../tools/draft/draft";
import type { Paper } from "../paper/usePaper";

/** What is being drawn corner by corner, with the length of every edge and the angle between them. */
export function DraftLayer({ paper }: { paper: Paper }) {
  const { palette } = useTheme();
  const { corners, answer, purpose } = useDraft();
  const edges = answer?.edges ?? [];
  const at = (p: { x: number; z: number }) => paper.toPixel(p.x, p.z);
  const next = answer && at(answer.next);
  const label = (x: number, y: number, text: string, key: string, bold: boolean) => (
    <text
      key={key}
      x={x}
      y={y + 4}
      textAnchor="middle"
      fontSize={bold ? 15 : 12}
      fontWeight={bold ? 650 : 500}
      fill={bold ? palette.secondary.main : palette.primary.main}
      stroke={palette.background.paper}
      strokeWidth={4}
      paintOrder="stroke"
    >
      {text}
    </text>
  );
  return (
    <g pointerEvents="none" data-testid="draft">
      {answer && corners.length >= 3 && purpose !== "partition" && (
        <polygon
          points={[...corners, answer.next]
            .map((c) => {
              const p = at(c);
              return `${p.left},${p.top}`;
            })
            .join(" ")}
          fill={palette.secondary.main}
          fillOpacity={0.07}
        />
      )}
      {edges.map((e, i) => {
        const a = at(e.from);
        const b = at(e.to);
        const live = i === edges.length - 1;
        return (
          <line
            key={i}
            x1={a.left}
            y1={a.top}
            x2={b.left}
            y2={b.top}
            stroke={palette.secondary.main}
            strokeWidth={live ? 1.5 : 2.5}
            strokeDasharray={live ? "6 4" : undefined}
          />
        );
      })}
      {corners.map((c, i) => {
        const p = at(c);
        const home = i === 0 && answer?.closes;
        return (
          <rect
            key={i}
            x={p.left - (home ? 7 : 4)}
            y={p.top - (home ? 7 : 4)}
            width={home ? 14 : 8}
            height={home ? 14 : 8}
            fill={palette.background.paper}
            stroke={palette.secondary.main}
            strokeWidth={2}
          />
        );
      })}
      {next && <circle cx={next.left} cy={next.top} r={4} fill={palette.secondary.main} />}
      {edges.map((e, i) => {
        const a = at(e.from);
        const b = at(e.to);
        const across = Math.abs(b.left - a.left) > Math.abs(b.top - a.top);
        const mx = (a.left + b.left) / 2 + (across ? 0 : 26);
        const my = (a.top + b.top) / 2 - (across ? 14 : 0);
        return label(mx, my, e.length, "l" + i, i === edges.length - 1);
      })}
      {edges.slice(-1).map((e) => {
        const a = at(e.from);
        return e.angle ? label(a.left - 18, a.top + 20, e.angle, "angle", false) : null;
      })}
    </g>
  );
}

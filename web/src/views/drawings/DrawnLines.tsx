import { useTheme } from "@mui/material/styles";
import { useProposal } from "../../tools/propose/proposal";

/** The points that were clicked for what is proposed, and the lines between them; on the plan. */
export function DrawnLines({ scale }: { scale: number }) {
  const { palette } = useTheme();
  const drawn = useProposal((s) => s.answer?.pointing?.drawn);
  if (!drawn) return null;
  const points = drawn.points.map((p) => `${p.x},${p.z}`).join(" ");
  const line = {
    points,
    fill: "none",
    stroke: palette.secondary.main,
    strokeWidth: 1.5,
    strokeDasharray: "6 3",
    vectorEffect: "non-scaling-stroke" as const,
  };
  return (
    <g data-testid="drawn" data-points={drawn.points.length} pointerEvents="none">
      {drawn.closed ? <polygon {...line} /> : <polyline {...line} />}
      {drawn.points.map((p, i) => (
        <circle
          key={i}
          cx={p.x}
          cy={p.z}
          r={4 / scale}
          fill={palette.background.paper}
          stroke={palette.secondary.main}
          strokeWidth={1.5}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </g>
  );
}

import { useTheme } from "@mui/material/styles";
import type { Label } from "../api/types.gen";
import type { Paper } from "./usePaper";

/** Texts on a drawing: names of walls, heights, and the name of the space. */
export function Labels({ labels, paper }: { labels: Label[]; paper: Paper }) {
  const { palette, typography } = useTheme();
  const scale = paper.eye!.scale;
  return (
    <g pointerEvents="none">
      {labels.map((l, i) => {
        const at = paper.toPixel(l.x, l.y);
        const title = l.kind === "space";
        const note = l.kind === "note";
        if ((note || l.kind === "height") && scale < 22) return null;
        const [text, under] = l.text.split("\n");
        if (l.room > 0 && l.room * scale < text.length * 8) return null;
        if (l.kind === "wall") {
          return (
            <g key={i} transform={`translate(${at.left} ${at.top})`}>
              <circle
                r={8.5}
                fill={palette.background.paper}
                stroke={palette.text.primary}
                strokeWidth={0.75}
              />
              <text y={4} textAnchor="middle" fontSize={12} fill={palette.text.primary}>
                {l.text}
              </text>
            </g>
          );
        }
        return (
          <text
            key={i}
            x={at.left}
            y={at.top + (title ? -2 : note ? -4 : 4)}
            textAnchor={l.anchor as "start" | "middle" | "end"}
            fontSize={title ? 15 : 12}
            fontFamily={title ? String(typography.h2.fontFamily) : undefined}
            fill={title ? palette.text.primary : palette.text.secondary}
            stroke={palette.background.paper}
            strokeWidth={3}
            paintOrder="stroke"
          >
            {text}
            {under && (
              <tspan
                x={at.left}
                dy={16}
                fontSize={12}
                fontFamily={String(typography.fontFamily)}
                fill={palette.text.secondary}
              >
                {under}
              </tspan>
            )}
          </text>
        );
      })}
    </g>
  );
}

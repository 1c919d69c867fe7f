import { useTheme } from "@mui/material/styles";
import type { Label } from "../../api/types.gen";
import { isClear, type Block } from "../paper/clear";
import type { Paper } from "../paper/usePaper";

/** Smaller drawings have no notes, pixels a metre. */
const NOTES = 22;

/** How far below its place the foot of a text stands, pixels. */
const baseline = (l: Label) =>
  l.kind === "space" ? -2 : l.kind === "note" ? -4 : l.kind === "under" ? 13 : 4;

/** How wide words are, pixels; they are narrower than numbers, and a title is larger. */
const words = (text: string, title: boolean) => text.length * (title ? 8 : 5.5) + 2;

/** Steps by which a text gives way to another, up and down, pixels. */
const WAYS = [0, -14, 14, -28, 28];

/** The names of walls, which stand where they are: nothing else is put there. */
export const wallNames = (labels: Label[], paper: Paper): Block[] =>
  labels
    .filter((l) => l.kind === "wall")
    .map((l) => {
      const { left, top } = paper.toPixel(l.x, l.y);
      return { x: left, y: top, wide: 17, high: 17 };
    });

/** Where the texts stand, so that none covers another or a number; one that finds no place is left out. */
function place(labels: Label[], paper: Paper, taken: Block[]) {
  const there = [...taken];
  const small = paper.eye!.scale < NOTES;
  const first = (l: Label) => (l.kind === "wall" ? 0 : l.kind === "space" ? 1 : 2);
  return [...labels]
    .sort((a, b) => first(a) - first(b))
    .flatMap((l) => {
      if (small && first(l) === 2) return [];
      const own = paper.toPixel(l.x, l.y);
      const long =
        l.kind === "wall" ? 17 : Math.max(...l.text.split("\n").map((t) => words(t, l.kind === "space")));
      const high = l.kind === "wall" ? 17 : l.text.includes("\n") ? 34 : 14;
      const shift = l.anchor === "start" ? long / 2 : l.anchor === "end" ? -long / 2 : 0;
      const ways = first(l) === 2 ? WAYS : [0];
      for (const dy of ways) {
        const at = { left: own.left, top: own.top + dy };
        const middle = l.kind === "wall" ? at.top : at.top + baseline(l) - 4 + (high > 20 ? 8 : 0);
        const block = { x: at.left + shift, y: middle, wide: long, high };
        if (isClear(block, there) || first(l) === 0) {
          there.push(block);
          return [{ l, at }];
        }
      }
      return [];
    });
}

/** Texts on a drawing: names of walls, heights, and the name of the space. */
export function Labels({ labels, paper, taken }: { labels: Label[]; paper: Paper; taken: Block[] }) {
  const { palette, typography } = useTheme();
  const scale = paper.eye!.scale;
  const placed = place(labels, paper, taken);
  return (
    <g pointerEvents="none">
      {placed.map(({ l, at }, i) => {
        const title = l.kind === "space";
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
            y={at.top + baseline(l)}
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

import { useTheme } from "@mui/material/styles";
import type { LuxLine, Spot } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import { useLuxLines } from "../../tools/light/luxLines";

/** Height of a number, pixels. */
const TYPE = 11;

/** Numbers are so far from each other, pixels, if one of so many places of a line is. */
const APART = 36;
const PLACES = 12;

/** Lines of equal lux, each with its number; only as long as the space is as it was measured. */
export function LuxMarks({ scale }: { scale: number }) {
  const { found, space } = useLuxLines();
  const id = useSheet((s) => s.space!.id);
  const revision = useSheet((s) => s.space!.revision);
  if (!found || space !== id || found.revision !== revision) return null;
  return (
    <g data-testid="lux-lines" pointerEvents="none">
      {numbered(found.lines, APART / scale).map(([line, at]) => (
        <Line key={line.lux} line={line} at={at} scale={scale} />
      ))}
    </g>
  );
}

/** Each line with the place of its number: on its longest run, where no other number is near. */
function numbered(lines: LuxLine[], apart: number): [LuxLine, Spot][] {
  const taken: Spot[] = [];
  return lines.map((line) => {
    const run = line.runs.reduce((a, b) => (b.length > a.length ? b : a));
    const all = Array.from({ length: PLACES }, (_, i) => run[Math.floor((run.length * (i + 0.5)) / PLACES)]);
    const free = (p: Spot) => taken.every((t) => Math.hypot(t.x - p.x, t.z - p.z) > apart);
    const at = all.find(free) ?? all[0];
    taken.push(at);
    return [line, at];
  });
}

const path = (run: Spot[]) => "M" + run.map((p) => `${p.x.toFixed(3)} ${p.z.toFixed(3)}`).join("L");

function Line({ line, at, scale }: { line: LuxLine; at: Spot; scale: number }) {
  const { palette } = useTheme();
  return (
    <g data-lux={line.lux}>
      <path
        d={line.runs.map(path).join("")}
        fill="none"
        stroke={palette.primary.main}
        strokeWidth={1.25}
        vectorEffect="non-scaling-stroke"
      />
      <text
        x={at.x}
        y={at.z}
        fontSize={TYPE / scale}
        textAnchor="middle"
        dominantBaseline="middle"
        fill={palette.primary.main}
        stroke={palette.background.paper}
        strokeWidth={3 / scale}
        paintOrder="stroke"
        style={{ fontVariantNumeric: "tabular-nums" }}
      >
        {line.lux}
      </text>
    </g>
  );
}

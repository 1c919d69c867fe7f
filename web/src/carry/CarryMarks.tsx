import { useTheme } from "@mui/material/styles";
import type { Vec } from "../api/types.gen";
import { useCarry } from "./carry";
import type { Paper, Point } from "../drawings/usePaper";

/** On a drawing: the mark that follows the pointer, where it came from, and what holds it. */
export function CarryMarks({ paper, project }: { paper: Paper; project: (p: Vec) => Point }) {
  const { palette } = useTheme();
  const answer = useCarry((s) => s.answer);
  if (!answer) return null;
  const pixel = (v: Vec) => {
    const p = project(v);
    const { left, top } = paper.toPixel(p.x, p.y);
    return { x: left, y: top };
  };
  const mark = pixel(answer.mark);
  const start = answer.start && pixel(answer.start);
  // where there is more room for words
  const left = mark.x > paper.size.w * 0.6;
  return (
    <svg
      width={paper.size.w}
      height={paper.size.h}
      style={{ position: "absolute", inset: 0, pointerEvents: "none" }}
      data-testid="carry-marks"
      aria-hidden
    >
      {start && (
        <g stroke={palette.secondary.main} fill="none">
          <path d={`M${start.x} ${start.y}L${mark.x} ${mark.y}`} strokeDasharray="2 4" />
          <path d={`M${start.x - 4} ${start.y}h8M${start.x} ${start.y - 4}v8`} />
        </g>
      )}
      {answer.snaps.map((s, i) => {
        if (!s.from || !s.to) return null;
        const [a, b] = [pixel(s.from), pixel(s.to)];
        return (
          <line
            key={i}
            x1={a.x}
            y1={a.y}
            x2={b.x}
            y2={b.y}
            stroke={palette.success.main}
            strokeWidth={1.25}
            strokeDasharray="7 3"
          />
        );
      })}
      <circle
        cx={mark.x}
        cy={mark.y}
        r={5}
        fill={palette.background.paper}
        stroke={palette.secondary.main}
        strokeWidth={2}
      />
      {answer.snaps.map((s, i) => (
        <text
          key={s.words}
          x={mark.x + (left ? -12 : 12)}
          y={mark.y - 10 - 15 * (answer.snaps.length - 1 - i)}
          textAnchor={left ? "end" : "start"}
          fontSize={12}
          fontWeight={600}
          fill={palette.success.dark}
          stroke={palette.background.paper}
          strokeWidth={4}
          paintOrder="stroke"
        >
          {s.words}
        </text>
      ))}
    </svg>
  );
}

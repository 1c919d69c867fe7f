import { useTheme } from "@mui/material/styles";
import type { CarryResult, Vec } from "../../api/types.gen";
import { clearest, wide, type Block } from "../paper/clear";
import { useCarry } from "../../tools/carry/carry";
import type { Paper, Point } from "../paper/usePaper";

/** On a drawing: the mark that follows the pointer, where it came from, and what holds it. */
export function CarryMarks(props: { paper: Paper; project: (p: Vec) => Point; taken: Block[] }) {
  const { paper, project, taken } = props;
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
  const words = snapWords(answer, mark, mark.x > paper.size.w * 0.6, taken);
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
      {words.map(({ text, block, size }) => (
        <text
          key={text}
          x={block.x}
          y={block.y + 4}
          textAnchor="middle"
          fontSize={12}
          fontWeight={600}
          fill={size ? palette.text.primary : palette.success.dark}
          stroke={palette.background.paper}
          strokeWidth={4}
          paintOrder="stroke"
        >
          {text}
        </text>
      ))}
    </svg>
  );
}

/** How large it is and what holds it, in words beside the mark, where they cover no number. */
function snapWords(answer: CarryResult, mark: Point, left: boolean, taken: Block[]) {
  const there = [...taken];
  const texts = [
    { text: answer.size, size: true },
    ...answer.snaps.map((s) => ({ text: s.words, size: false })),
  ];
  return texts.map(({ text, size }, i) => {
    const long = wide(text);
    const near = -14 - 15 * (texts.length - 1 - i);
    const sides = left ? [-1, 1] : [1, -1];
    const places = [near, near + 42, near - 30, near + 60].flatMap((dy) =>
      sides.map((side) => ({ x: mark.x + side * (12 + long / 2), y: mark.y + dy, wide: long, high: 15 })),
    );
    const block = clearest(places, there);
    there.push(block);
    return { text, block, size };
  });
}

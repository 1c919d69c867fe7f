import { useTheme } from "@mui/material/styles";
import type { Vec } from "../api/types.gen";
import { labelAt } from "./labelAt";
import { ReachLabel } from "./ReachLabel";
import { useReach } from "./useReach";
import type { Paper, Point } from "./usePaper";

/** The lines of the free distances round a piece, on a drawing that shows a point of the space where it says. */
export function Reaches(props: { paper: Paper; project: (p: Vec) => Point; sides: string[] }) {
  const { palette } = useTheme();
  const { paper, project } = props;
  const lines = useReach(props.sides).map((reach) => {
    const a = project(reach.fromPoint);
    const b = project(reach.toPoint);
    return { reach, from: paper.toPixel(a.x, a.y), to: paper.toPixel(b.x, b.y) };
  });
  // a distance one looks along has no length on this drawing
  const seen = lines.filter(({ from, to }) => Math.hypot(to.left - from.left, to.top - from.top) > 0.5);
  return (
    <>
      <svg
        width={paper.size.w}
        height={paper.size.h}
        style={{ position: "absolute", inset: 0, pointerEvents: "none" }}
        aria-hidden
      >
        {seen.map(({ reach, from, to }) => (
          <line
            key={reach.side}
            x1={from.left}
            y1={from.top}
            x2={to.left}
            y2={to.top}
            stroke={palette.primary.main}
            strokeWidth={1}
          />
        ))}
      </svg>
      {seen.map(({ reach, from, to }) => {
        const at = labelAt({ x: from.left, y: from.top }, { x: to.left, y: to.top });
        return (
          <ReachLabel
            key={reach.side}
            reach={reach}
            style={{ position: "absolute", left: at.x, top: at.y }}
          />
        );
      })}
    </>
  );
}

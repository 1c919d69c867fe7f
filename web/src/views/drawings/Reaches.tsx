import { useTheme } from "@mui/material/styles";
import { ReachLabel } from "./ReachLabel";
import type { Reached } from "./reached";
import type { Paper } from "../paper/usePaper";

/** The lines of the free distances round a piece, with their numbers. */
export function Reaches({ reaches, paper }: { reaches: Reached[]; paper: Paper }) {
  const { palette } = useTheme();
  return (
    <>
      <svg
        width={paper.size.w}
        height={paper.size.h}
        style={{ position: "absolute", inset: 0, pointerEvents: "none" }}
        aria-hidden
      >
        {reaches.map(({ reach, from, to }) => (
          <line
            key={reach.side}
            x1={from.x}
            y1={from.y}
            x2={to.x}
            y2={to.y}
            stroke={palette.primary.main}
            strokeWidth={1}
          />
        ))}
      </svg>
      {reaches.map(({ reach, number }) => (
        <ReachLabel
          key={reach.side}
          reach={reach}
          style={{ position: "absolute", left: number.x, top: number.y }}
        />
      ))}
    </>
  );
}

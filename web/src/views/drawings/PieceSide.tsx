import { useTheme } from "@mui/material/styles";
import type { Elevation, Piece } from "../../api/types.gen";
import { ring, segments } from "../paper/paths";
import { project } from "./project";
import { useLines } from "./useLines";

/** A piece in hand, or a yardstick, as it is seen from here. */
export function PieceSide(props: { piece: Piece; elevation: Elevation; quiet?: boolean }) {
  const { piece, elevation, quiet } = props;
  const { palette } = useTheme();
  const { from } = elevation;
  const { lines, by } = useLines(piece, from, piece.turn, true);
  const at = project(elevation, piece.at);
  if (!lines) return null;
  const colour = quiet ? palette.primary.main : palette.secondary.main;
  return (
    <g transform={`translate(${at.x} ${at.y}) ${by ?? ""}`} pointerEvents="none" data-ghost={piece.id}>
      <path
        d={lines.outlines.map(ring).join("")}
        fill={palette.background.paper}
        fillOpacity={0.7}
        stroke={colour}
        strokeWidth={1.75}
        vectorEffect="non-scaling-stroke"
      />
      <path
        d={segments(lines.lines)}
        fill="none"
        stroke={colour}
        strokeWidth={0.75}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}

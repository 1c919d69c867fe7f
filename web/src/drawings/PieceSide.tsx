import { useTheme } from "@mui/material/styles";
import { useQuery } from "@tanstack/react-query";
import { api } from "../api/client";
import type { Elevation, Piece } from "../api/types.gen";
import { ring, segments } from "./paths";
import { project } from "./project";

/** A piece in hand as it is seen from here. */
export function PieceSide({ piece, elevation }: { piece: Piece; elevation: Elevation }) {
  const { palette } = useTheme();
  const { from } = elevation;
  const { size } = piece;
  const lines = useQuery({
    queryKey: ["lines", piece.article, size.width, size.depth, size.height, from, piece.turn, piece.lean],
    queryFn: () => api.lines(piece.article, size, from, piece.turn, piece.lean),
    placeholderData: (before) => before,
  }).data;
  const at = project(elevation, piece.at);
  if (!lines) return null;
  return (
    <g transform={`translate(${at.x} ${at.y})`} pointerEvents="none" data-ghost={piece.id}>
      <path
        d={lines.outlines.map(ring).join("")}
        fill={palette.background.paper}
        fillOpacity={0.7}
        stroke={palette.secondary.main}
        strokeWidth={1.75}
        vectorEffect="non-scaling-stroke"
      />
      <path
        d={segments(lines.lines)}
        fill="none"
        stroke={palette.secondary.main}
        strokeWidth={0.75}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}

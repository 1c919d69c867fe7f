import { useTheme } from "@mui/material/styles";
import { useQuery } from "@tanstack/react-query";
import { memo } from "react";
import { api } from "../api/client";
import type { Piece } from "../api/types.gen";
import { ring } from "./paths";
import { tapeMarks } from "./tape";

/** One piece on the plan. The lines are core's; here they are only put in their place. */
export const PieceLines = memo(function PieceLines(props: {
  piece: Piece;
  scale: number;
  selected: boolean;
  lead: boolean;
  hovered: boolean;
  inHand: boolean;
}) {
  const { palette } = useTheme();
  const { piece, scale } = props;
  const { size } = piece;
  const lines = useQuery({
    queryKey: ["lines", piece.article, size.width, size.depth, size.height, "plan"],
    queryFn: () => api.lines(piece.article, size, "plan"),
    placeholderData: (before) => before,
  }).data;
  const hangs = piece.on.kind === "ceiling";
  const marked = props.selected || props.inHand;
  const stroke = props.inHand
    ? palette.secondary.main
    : props.hovered
      ? palette.primary.main
      : palette.text.primary;
  const fine = Math.max(size.width, size.depth) * scale > 24;
  return (
    <g
      transform={`translate(${piece.at.x} ${piece.at.z}) rotate(${-piece.turn})`}
      data-piece={piece.id}
      data-name={piece.name}
    >
      {lines && (
        <>
          <path
            d={lines.outlines.map(ring).join("")}
            fill={hangs ? "none" : palette.background.default}
            fillRule="evenodd"
            stroke={stroke}
            strokeWidth={props.hovered ? 1.75 : 1.25}
            strokeDasharray={hangs ? "4 3" : undefined}
            vectorEffect="non-scaling-stroke"
            pointerEvents={hangs ? "stroke" : undefined}
          />
          {fine && !hangs && (
            <path
              d={lines.lines.map((l) => `M${l[0]} ${l[1]}L${l[2]} ${l[3]}`).join("")}
              fill="none"
              stroke={stroke}
              strokeOpacity={0.45}
              strokeWidth={0.75}
              vectorEffect="non-scaling-stroke"
              pointerEvents="none"
            />
          )}
        </>
      )}
      {marked && (
        <path
          d={tapeMarks(size.width, size.depth, 6 / scale, Math.min(0.14, 10 / scale))
            .map((l) => `M${l[0]} ${l[1]}L${l[2]} ${l[3]}`)
            .join("")}
          fill="none"
          stroke={palette.secondary.main}
          strokeWidth={props.lead || props.inHand ? 3 : 2}
          strokeLinecap="butt"
          vectorEffect="non-scaling-stroke"
          pointerEvents="none"
        />
      )}
    </g>
  );
});

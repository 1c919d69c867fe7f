import { useTheme } from "@mui/material/styles";
import { memo } from "react";
import type { Piece } from "../../api/types.gen";
import { around } from "./around";
import { Footprint } from "./Footprint";
import { ring, segments } from "../paper/paths";
import { useLines } from "./useLines";
import { tapeMarks } from "./tape";

interface Props {
  piece: Piece;
  scale: number;
  selected: boolean;
  lead: boolean;
  inHand: boolean;
  /** Of its layer. */
  colour?: string;
  /** It is outside of the group that is opened. */
  dim?: boolean;
  /** It cannot be picked. */
  plain?: boolean;
  /** In a thumbnail: the outline only. */
  small?: boolean;
}

/** One piece on the plan. The lines are core's; here they are only put in their place. */
export const PieceLines = memo(function PieceLines(props: Props) {
  const { palette } = useTheme();
  const { piece, scale } = props;
  const { size } = piece;
  const { lines, by } = useLines(piece, "plan", 0, props.inHand);
  // what leans lies over more than its foot
  const [x0, z0, x1, z1] =
    piece.lean.by !== 0 && lines
      ? around(lines.outlines.flat(), 0)
      : [-size.width / 2, -size.depth / 2, size.width / 2, size.depth / 2];
  const hangs = piece.on.kind === "ceiling" || piece.on.kind === "bar";
  const marked = props.selected || props.inHand;
  const stroke = props.inHand ? palette.secondary.main : (props.colour ?? palette.text.primary);
  const fine = !props.small && Math.max(size.width, size.depth) * scale > 24;
  return (
    <g
      transform={`translate(${piece.at.x} ${piece.at.z}) rotate(${piece.onSheet})`}
      data-piece={props.small || props.plain ? undefined : piece.id}
      data-name={piece.name}
      data-selected={props.selected || undefined}
      opacity={props.dim ? 0.3 : undefined}
    >
      {lines && (
        <g transform={by}>
          <path
            d={lines.outlines.map(ring).join("")}
            fill={hangs ? "none" : palette.background.default}
            fillRule="evenodd"
            stroke={stroke}
            strokeWidth={props.small ? 0.5 : 1.25}
            strokeDasharray={hangs ? "4 3" : undefined}
            vectorEffect="non-scaling-stroke"
            pointerEvents="none"
          />
          {fine && !hangs && (
            <path
              d={segments(lines.lines)}
              fill="none"
              stroke={stroke}
              strokeOpacity={0.45}
              strokeWidth={0.75}
              vectorEffect="non-scaling-stroke"
              pointerEvents="none"
            />
          )}
        </g>
      )}
      {lines && !props.small && !props.plain && (
        <Footprint id={piece.id} rings={lines.outlines} scale={scale} />
      )}
      {marked && (
        <path
          d={segments(tapeMarks(x1 - x0, z1 - z0, 6 / scale, Math.min(0.14, 10 / scale)))}
          transform={`translate(${(x0 + x1) / 2} ${(z0 + z1) / 2})`}
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
}, alike);

/** Whether it would be drawn the same: how a piece is kept in order has nothing to do with that. */
function alike(a: Props, b: Props): boolean {
  const { piece: p, ...rest } = a;
  const { piece: q, ...others } = b;
  const same = (Object.keys(others) as (keyof typeof others)[]).every((k) => rest[k] === others[k]);
  return same && (p === q || DRAWN.every((k) => JSON.stringify(p[k]) === JSON.stringify(q[k])));
}

const DRAWN = [
  ...(["id", "name", "article", "size", "mirrored", "stretched"] as const),
  ...(["at", "lean", "onSheet", "on"] as const),
];

/** The outline of the piece that is pointed at, over all others. */
export function HoveredLines({ piece }: { piece: Piece }) {
  const { palette } = useTheme();
  const { lines, by } = useLines(piece, "plan", 0, false);
  if (!lines) return null;
  return (
    <g
      transform={`translate(${piece.at.x} ${piece.at.z}) rotate(${piece.onSheet})`}
      data-hovered={piece.id}
      pointerEvents="none"
    >
      <path
        transform={by}
        d={lines.outlines.map(ring).join("")}
        fill="none"
        stroke={palette.primary.main}
        strokeWidth={2}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}

import { useTheme } from "@mui/material/styles";
import type { Size } from "../../api/types.gen";
import { ring } from "../paper/paths";
import { useFront } from "./Silhouette";

const WIDE = 28;
const HIGH = 24;

/** An article from the front, as large as there is room. */
export function Picture({ article, size }: { article: string; size: Size }) {
  const { palette } = useTheme();
  const lines = useFront(article, size, true);
  const scale = Math.min(WIDE / size.width, HIGH / size.height);
  return (
    <svg width={WIDE} height={HIGH} aria-hidden style={{ display: "block" }}>
      {lines && (
        <g transform={`translate(${WIDE / 2} ${(HIGH + size.height * scale) / 2}) scale(${scale})`}>
          <path
            d={lines.outlines.map(ring).join("")}
            fill={palette.background.paper}
            fillRule="evenodd"
            stroke={palette.text.primary}
            strokeWidth={0.9}
            vectorEffect="non-scaling-stroke"
          />
        </g>
      )}
    </svg>
  );
}

import { useTheme } from "@mui/material/styles";
import { useLayoutEffect, useRef, useState } from "react";
import { useBand } from "../../tools/select/band";
import { LAYER } from "./layer";

/** The figure that is drawn to select what is in it; over a drawing, whose frame it fills. */
export function BandFigure({ drawing }: { drawing: string }) {
  const { palette } = useTheme();
  const points = useBand((s) => (s.at === drawing ? s.points : null));
  const shape = useBand((s) => s.shape);
  const svg = useRef<SVGSVGElement>(null);
  const [from, setFrom] = useState({ left: 0, top: 0 });
  const shown = points !== null;
  useLayoutEffect(() => {
    if (shown) setFrom(svg.current!.getBoundingClientRect());
  }, [shown]);
  if (!points) return null;
  const at = points.map(([x, y]) => [x - from.left, y - from.top]);
  const [a, b] = at;
  const corners = shape === "rectangle" ? [a, [b[0], a[1]], b, [a[0], b[1]]] : at;
  return (
    <svg ref={svg} data-testid="band" style={LAYER}>
      <polygon
        points={corners.map((p) => p.join()).join(" ")}
        fill={palette.secondary.main}
        fillOpacity={0.06}
        stroke={palette.secondary.main}
        strokeWidth={1.5}
        strokeDasharray="5 3"
      />
    </svg>
  );
}

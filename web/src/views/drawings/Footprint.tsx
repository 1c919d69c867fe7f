import { useMemo } from "react";
import { around } from "./around";
import { LEAST } from "../paper/picking";

/** Where a piece takes clicks on a drawing: its whole footprint, what is open in it too. */
export function Footprint({ id, rings, scale }: { id: string; rings: number[][]; scale: number }) {
  const extent = useMemo(() => around(rings.flat(), 0), [rings]);
  if (rings.length === 0) return null;
  const [x0, y0, x1, y1] = extent;
  const wide = Math.max(x1 - x0, LEAST / scale);
  const high = Math.max(y1 - y0, LEAST / scale);
  return (
    <rect
      data-footprint={id}
      data-area={Math.round(wide * high * scale * scale)}
      x={(x0 + x1 - wide) / 2}
      y={(y0 + y1 - high) / 2}
      width={wide}
      height={high}
      fill="none"
      stroke="none"
      pointerEvents="fill"
    />
  );
}

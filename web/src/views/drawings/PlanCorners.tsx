import { useTheme } from "@mui/material/styles";
import { useSheet } from "../../store/sheet";

/** Half of what takes clicks about a corner, pixels. */
const HIT = 12;

/** The corners of the room, to be picked and moved. */
export function PlanCorners({ scale }: { scale: number }) {
  const { palette } = useTheme();
  const outline = useSheet((s) => s.space!.shell.outline);
  const part = useSheet((s) => s.part);
  return outline.map((c, i) => {
    const picked = part === "corner:" + i;
    const half = (picked ? 6 : 4) / scale;
    return (
      <g key={i} data-part={"corner:" + i}>
        <rect
          x={c.x - HIT / scale}
          y={c.z - HIT / scale}
          width={(2 * HIT) / scale}
          height={(2 * HIT) / scale}
          fill="transparent"
        />
        <rect
          x={c.x - half}
          y={c.z - half}
          width={2 * half}
          height={2 * half}
          fill={palette.background.paper}
          stroke={picked ? palette.secondary.main : palette.primary.main}
          strokeWidth={picked ? 3 : 1.5}
          vectorEffect="non-scaling-stroke"
        />
      </g>
    );
  });
}

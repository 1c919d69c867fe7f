import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import { useSheet } from "../../store/sheet";
import { ring } from "../paper/paths";
import type { Eye } from "../paper/usePaper";

/** A grid that keeps to round measures: the nearer one looks, the finer. */
export function Grid({ eye, colour, floor }: { eye: Eye; colour: string; floor: number[][] }) {
  const step = eye.scale > 420 ? 0.1 : eye.scale > 170 ? 0.25 : eye.scale > 24 ? 1 : eye.scale > 8 ? 5 : 10;
  const all = floor.flat();
  const xs = all.filter((_, i) => i % 2 === 0);
  const zs = all.filter((_, i) => i % 2 === 1);
  if (all.length === 0) return null;
  const [x0, x1] = [Math.min(...xs), Math.max(...xs)];
  const [z0, z1] = [Math.min(...zs), Math.max(...zs)];
  let d = "";
  for (let x = Math.ceil(x0 / step) * step; x < x1; x += step) d += `M${x} ${z0}V${z1}`;
  for (let z = Math.ceil(z0 / step) * step; z < z1; z += step) d += `M${x0} ${z}H${x1}`;
  return (
    <>
      <clipPath id="floor">
        <path d={floor.map(ring).join("")} />
      </clipPath>
      <path
        d={d}
        clipPath="url(#floor)"
        fill="none"
        stroke={colour}
        strokeOpacity={0.6}
        strokeWidth={0.75}
        vectorEffect="non-scaling-stroke"
        pointerEvents="none"
      />
    </>
  );
}

/** Pixels at the least that a scale bar is long. */
const BAR = 70;
const METRIC = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20];
const FEET = [0.5, 1, 2, 5, 10, 20, 50].map((f) => f * 0.3048);

/** A bar of a round length, to judge distances by eye and on paper. */
export function ScaleBar({ scale }: { scale: number }) {
  const { palette } = useTheme();
  const feet = useSheet((s) => s.unit === "ft-in");
  const length = (feet ? FEET : METRIC).find((l) => l * scale >= BAR) ?? (feet ? FEET : METRIC).at(-1)!;
  const w = length * scale;
  const text = feet ? `${Math.round((length / 0.3048) * 10) / 10} ft` : `${length} m`;
  return (
    <svg
      width={w + 46}
      height={18}
      role="img"
      aria-label={"Scale bar, " + text}
      style={{ position: "absolute", left: 12, bottom: 6, pointerEvents: "none" }}
    >
      <g stroke={palette.text.secondary} fill="none">
        <rect x={1} y={7} width={w / 2} height={4} fill={palette.text.secondary} />
        <rect x={1 + w / 2} y={7} width={w / 2} height={4} />
      </g>
      <text x={w + 6} y={14} fontSize={12} fill={palette.text.secondary}>
        {text}
      </text>
    </svg>
  );
}

/** Where north is. */
export function NorthMark({ turn }: { turn: number }) {
  const { palette } = useTheme();
  return (
    <svg
      width={34}
      height={40}
      role="img"
      aria-label="North"
      style={{ position: "absolute", right: 10, bottom: 6, pointerEvents: "none" }}
    >
      <g
        transform={`translate(17 20) rotate(${-turn})`}
        stroke={palette.text.secondary}
        fill="none"
        strokeLinecap="round"
      >
        <path d="M0 16V-9M-4 -3L0 -9L4 -3" />
        <text
          y={-11}
          textAnchor="middle"
          fontSize={12}
          stroke="none"
          fill={palette.text.secondary}
          transform={`rotate(${turn} 0 -13)`}
        >
          N
        </text>
      </g>
    </svg>
  );
}

/** Where the audience sits. */
export function AudienceMark() {
  return (
    <Box
      sx={{
        position: "absolute",
        right: 12,
        bottom: 6,
        fontSize: 12,
        color: "text.secondary",
        pointerEvents: "none",
      }}
    >
      audience ↓
    </Box>
  );
}

import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import type { Dimension } from "../api/types.gen";
import { filled } from "../caption/filled";
import { TypedField } from "../caption/TypedField";
import { useSheet } from "../space/sheet";
import { offset } from "./margins";
import type { Paper } from "./usePaper";

/** How wide a text of so many letters is, pixels. */
const wide = (text: string) => text.length * 6.6 + 8;

/** Dimension lines with ticks at their ends; a click on a number takes another. */
export function Dimensions({ list, paper, still }: { list: Dimension[]; paper: Paper; still: boolean }) {
  const { palette } = useTheme();
  const placed = list.map((d) => {
    const off = offset(d.level);
    const a = paper.toPixel(d.x1, d.y1);
    const b = paper.toPixel(d.x2, d.y2);
    const [dx, dy] = [d.outX * off, d.outY * off];
    const from = { x: a.left + dx, y: a.top + dy };
    const to = { x: b.left + dx, y: b.top + dy };
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    return { d, a, b, from, to, length, off };
  });
  const shown = placed.filter((p) => p.length >= 9);
  return (
    <>
      <svg
        width={paper.size.w}
        height={paper.size.h}
        style={{ position: "absolute", inset: 0, pointerEvents: "none" }}
        aria-hidden
      >
        {shown.map(({ d, a, b, from, to, off }, i) => {
          const along = Math.hypot(to.x - from.x, to.y - from.y);
          const [tx, ty] = [(to.x - from.x) / along, (to.y - from.y) / along];
          // ticks are strokes at half a right angle to the line
          const [kx, ky] = [(tx - ty) * 3.2, (ty + tx) * 3.2];
          const lead = (p: { left: number; top: number }) =>
            off === 0
              ? ""
              : `M${p.left + d.outX * 5} ${p.top + d.outY * 5}L${p.left + d.outX * (off + 4)} ${p.top + d.outY * (off + 4)}`;
          return (
            <g key={i} stroke={palette.primary.main} strokeWidth={0.75} fill="none">
              <path d={`M${from.x} ${from.y}L${to.x} ${to.y}`} />
              <path d={lead(a) + lead(b)} strokeOpacity={0.45} />
              <path
                strokeWidth={1.25}
                d={`M${from.x - kx} ${from.y - ky}L${from.x + kx} ${from.y + ky}M${to.x - kx} ${to.y - ky}L${to.x + kx} ${to.y + ky}`}
              />
            </g>
          );
        })}
      </svg>
      {shown.map(({ d, from, to, length }) => {
        const upright = Math.abs(to.y - from.y) > Math.abs(to.x - from.x) * 1.2;
        const short = length < wide(d.text) + 6;
        // a number longer than its line stands a little farther out
        const out = short ? 11 : 0;
        return (
          <Box
            key={d.label + d.level + d.x1 + d.y1}
            data-testid="dimension"
            data-label={d.label}
            onPointerDown={(e) => e.stopPropagation()}
            onPointerUp={(e) => e.stopPropagation()}
            style={{
              left: (from.x + to.x) / 2 + d.outX * out,
              top: (from.y + to.y) / 2 + d.outY * out,
              transform: `translate(-50%, -50%)${upright ? " rotate(-90deg)" : ""}`,
            }}
            sx={{
              position: "absolute",
              px: 0.25,
              fontSize: 12,
              lineHeight: "14px",
              color: "primary.main",
              whiteSpace: "nowrap",
              bgcolor: d.level === 0 ? "background.paper" : "background.default",
              zIndex: 1,
              display: short && length < 22 ? "none" : undefined,
            }}
          >
            {d.blank && !still ? (
              <TypedField
                text={d.text}
                label={d.label}
                colour="primary.main"
                plain
                onType={async (typed) => (await useSheet.getState().edit([filled(d.blank!, typed)])) !== null}
              />
            ) : (
              d.text
            )}
          </Box>
        );
      })}
    </>
  );
}

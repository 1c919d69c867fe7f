import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import { useState } from "react";
import { filled } from "../../api/filled";
import { TypedField } from "../fields/TypedField";
import { useSheet } from "../../store/sheet";
import { giveUp, tryOut } from "../../tools/propose/trial";
import type { Chained } from "./chains";
import type { Paper } from "../paper/usePaper";

const keyOf = ({ d }: Chained) => d.label + d.level + d.x1 + d.y1;

/** What a number is of; behind it its label says what moves, which may be another while one types. */
const name = ({ d }: Chained) => `${d.label.split(";")[0]} ${d.level}`;

/**
 * The chains whose numbers are shown. That which is typed into stays as it was and where it was: the drawing
 * shows what would be, and there its line may be elsewhere, or too short for a number.
 */
function shown(chains: Chained[], typedInto: Chained | null): Chained[] {
  const read = chains.filter((c) => c.read);
  if (!typedInto) return read;
  const exactly = read.findIndex((c) => keyOf(c) === keyOf(typedInto));
  const at = exactly >= 0 ? exactly : read.findIndex((c) => name(c) === name(typedInto));
  return at < 0 ? [...read, typedInto] : read.map((c, i) => (i === at ? typedInto : c));
}

/** Dimension lines with ticks at their ends; a click on a number takes another. */
export function Dimensions({ chains, paper, still }: { chains: Chained[]; paper: Paper; still: boolean }) {
  const { palette } = useTheme();
  const [typedInto, setTypedInto] = useState<Chained | null>(null);
  return (
    <>
      <svg
        width={paper.size.w}
        height={paper.size.h}
        style={{ position: "absolute", inset: 0, pointerEvents: "none" }}
        aria-hidden
      >
        {chains.map(({ d, a, b, from, to, off }, i) => {
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
      {shown(chains, typedInto).map((chain) => {
        const { d, upright, number } = chain;
        return (
          <Box
            key={keyOf(chain)}
            data-testid="dimension"
            data-label={d.label}
            onPointerDown={(e) => e.stopPropagation()}
            onPointerUp={(e) => e.stopPropagation()}
            style={{
              left: number.x,
              top: number.y,
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
            }}
          >
            {d.blank && (!still || chain === typedInto) ? (
              <TypedField
                text={d.text}
                label={d.label}
                colour="primary.main"
                plain
                hint={d.label.includes(";") ? d.label.slice(d.label.indexOf(";") + 2) : undefined}
                onShow={(typed) => {
                  if (typed === null) return giveUp();
                  setTypedInto(chain);
                  tryOut([filled(d.blank!, typed)]);
                }}
                onClose={() => setTypedInto(null)}
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

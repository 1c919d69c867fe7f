import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import type { OnKind, Side, Vec } from "../../api/types.gen";
import { apart } from "./apart";
import { clearest, type Block } from "../paper/clear";
import { useSheet } from "../../store/sheet";
import type { Paper, Point } from "../paper/usePaper";
import { useAim, type Pointed } from "../../tools/aim/aims";
import { Mark } from "./Mark";
import { DialTab, PaperDial } from "./PaperDial";
import { dial, pull } from "./pull";
import { Tab } from "./Tab";
import { useAt, useHandles } from "./useHandles";
import { useHandling } from "../../store/handling";

/** Tabs keep so far off the side they pull, pixels. */
const OFF = 22;

/** A tab that would cover something goes so far along its side, pixels. */
const ASIDE = 62;

/** A side that is seen from its end has no tab. */
const SEEN = 0.2;

/**
 * On a drawing: the marks, the tabs and the dial of what is sized or turned, the points of what is
 * being said by clicking, and the yardstick's name.
 */
export function PaperHandles(props: {
  paper: Paper;
  project: (p: Vec) => Point;
  /** Where one looks along. */
  sight: (e: { clientX: number; clientY: number }) => Pointed;
  plan: boolean;
  /** Where numbers and names stand. */
  taken: Block[];
}) {
  const { paper, project, sight, plan, taken } = props;
  const handles = useHandles();
  const at = useAt();
  const hold = useHandling((s) => s.hold);
  const about = useHandling((s) => s.about);
  const piece = useSheet((s) => s.selection.at(-1));
  const pixel = (v: Vec) => {
    const p = project(v);
    return paper.toPixel(p.x, p.y);
  };
  const on = useSheet((s) => s.pieces.get(piece ?? "")?.on.kind);
  const chosen = at === "size" ? hold : about;
  return (
    <Box data-testid="handles" sx={{ position: "absolute", inset: 0, pointerEvents: "none" }}>
      {handles && at === "turn" && plan && (
        <PaperDial dial={handles.dial} paper={paper} down={(e) => dial(e, sight)} />
      )}
      {handles &&
        apart(handles.marks, pixel, plan, chosen).map(({ mark, seen }) => (
          <Box
            key={mark.hold}
            style={pixel(mark.at)}
            sx={{
              position: "absolute",
              pointerEvents: "none",
              // the mark itself is about its point; the box that places it is not
              "& > *": { pointerEvents: "auto" },
              zIndex: seen ? 2 : 1,
              // what cannot be told apart from others shows as one comes near
              ...(!seen && { opacity: 0, "&:hover, &:focus-within": { opacity: 1 } }),
            }}
          >
            <Mark mark={mark} chosen={mark.hold === chosen} />
          </Box>
        ))}
      {handles && at === "turn" && plan && (
        <DialTab dial={handles.dial} paper={paper} down={(e) => dial(e, sight)} />
      )}
      {handles &&
        at === "size" &&
        handles.tabs
          .filter((tab) => !carries(tab.side, on))
          .map((tab) => {
            const from = project(tab.at);
            const to = project({ x: tab.at.x + tab.out.x, y: tab.at.y + tab.out.y, z: tab.at.z + tab.out.z });
            const [dx, dy] = [to.x - from.x, to.y - from.y];
            const long = Math.hypot(dx, dy);
            if (long < SEEN) return null;
            const { left, top } = pixel(tab.at);
            const [ux, uy] = [dx / long, dy / long];
            const away = OFF + Math.abs(ux) * 26;
            // beside its middle; or a little along the side, or farther off, where it covers no number
            const places = [
              [away, 0],
              [away, ASIDE],
              [away, -ASIDE],
              [away + 30, 0],
            ].map(([by, along]) => ({
              x: left + ux * by - uy * along,
              y: top + uy * by + ux * along,
              wide: 76,
              high: 26,
            }));
            const place = clearest(places, taken);
            const style = { left: place.x, top: place.y };
            return (
              <Box key={tab.side} style={style} sx={{ position: "absolute", pointerEvents: "auto" }}>
                <Tab tab={tab} down={(e) => pull(e, piece!, tab.side, sight)} />
              </Box>
            );
          })}
      <AimPoints pixel={pixel} size={paper.size} />
      <YardstickName pixel={pixel} />
    </Box>
  );
}

/** Where it stands or hangs there is nothing to pull. */
const carries = (side: Side, on?: OnKind) =>
  (side === "under" && (on === "floor" || on === "platform" || on === "piece")) ||
  (side === "top" && (on === "ceiling" || on === "bar"));

/** The points that were clicked, the one a click would take, and the way between them with its length. */
function AimPoints({
  pixel,
  size,
}: {
  pixel: (v: Vec) => { left: number; top: number };
  size: { w: number; h: number };
}) {
  const { palette } = useTheme();
  const { points, over } = useAim();
  const all = over ? [...points, over] : points;
  if (all.length === 0) return null;
  const at = all.map((p) => pixel(p.at));
  const last = all[all.length - 1];
  const [a, b] = at.slice(-2);
  return (
    <>
      <svg width={size.w} height={size.h} style={{ position: "absolute", inset: 0 }} aria-hidden>
        <polyline
          points={at.map((p) => `${p.left},${p.top}`).join(" ")}
          fill="none"
          stroke={palette.secondary.main}
          strokeWidth={1.5}
        />
        {at.map((p, i) => (
          <circle
            key={i}
            cx={p.left}
            cy={p.top}
            r={i < points.length ? 5 : 7}
            fill={i < points.length ? palette.secondary.main : "none"}
            stroke={palette.secondary.main}
            strokeWidth={2}
          />
        ))}
      </svg>
      {b && last.text && (
        <Box
          data-testid="aim-length"
          style={{ left: (a.left + b.left) / 2, top: (a.top + b.top) / 2 }}
          sx={{
            position: "absolute",
            transform: "translate(-50%, -50%)",
            bgcolor: "background.paper",
            color: "secondary.dark",
            fontSize: 12,
            fontWeight: 650,
            px: 0.5,
          }}
        >
          {last.text}
        </Box>
      )}
    </>
  );
}

function YardstickName({ pixel }: { pixel: (v: Vec) => { left: number; top: number } }) {
  const yardstick = useHandling((s) => s.yardstick);
  if (!yardstick) return null;
  return (
    <Box
      data-testid="yardstick"
      style={pixel(yardstick.at)}
      sx={{
        position: "absolute",
        transform: "translate(-50%, 6px)",
        fontSize: 12,
        color: "primary.main",
        bgcolor: "background.default",
        px: 0.5,
        whiteSpace: "nowrap",
      }}
    >
      {yardstick.name}
    </Box>
  );
}

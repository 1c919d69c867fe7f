import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import { useCallback, useEffect, useMemo, useRef, useState, type PointerEvent } from "react";
import type { Piece } from "../api/types.gen";
import { GHOST, pick, placeEdit, putDown } from "../state/commands";
import { shown, useSheet } from "../state/sheet";
import { giveUp, tryOut } from "../state/trial";
import { DrawingTitle } from "./DrawingTitle";
import { PieceLines } from "./PieceLines";
import { ReachLabel } from "./ReachLabel";
import { ring } from "./paths";
import { useReach } from "./useReach";

/** Where the sheet lies under the window: its middle in metres, and pixels a metre. */
interface Eye {
  x: number;
  z: number;
  scale: number;
}

const CARRY = 4;

/** The plan: everything seen from above, as lines that core drew. */
export function Plan() {
  const { palette } = useTheme();
  const space = useSheet((s) => s.space)!;
  const pieces = useSheet((s) => s.pieces);
  const ghosts = useSheet((s) => s.ghosts);
  const selection = useSheet((s) => s.selection);
  const hover = useSheet((s) => s.hover);
  const placing = useSheet((s) => s.placing);
  const fit = useSheet((s) => s.fit);
  const frame = useRef<HTMLDivElement>(null);
  const [window_, setWindow] = useState({ w: 0, h: 0 });
  const [eye, setEye] = useState<Eye | null>(null);
  const last = useRef<{ x: number; z: number } | null>(null);

  useEffect(() => {
    const watch = new ResizeObserver(([e]) => setWindow({ w: e.contentRect.width, h: e.contentRect.height }));
    watch.observe(frame.current!);
    return () => watch.disconnect();
  }, []);

  const look = useCallback(
    (points: { x: number; z: number }[], margin: number) => {
      const xs = points.map((p) => p.x);
      const zs = points.map((p) => p.z);
      const [x0, x1] = [Math.min(...xs) - margin, Math.max(...xs) + margin];
      const [z0, z1] = [Math.min(...zs) - margin, Math.max(...zs) + margin];
      setEye({
        x: (x0 + x1) / 2,
        z: (z0 + z1) / 2,
        scale: Math.min(window_.w / (x1 - x0), (window_.h - 40) / (z1 - z0)),
      });
    },
    [window_.w, window_.h],
  );

  // shows everything at first and when asked to; not when something changes
  const looked = useRef({ at: -1, w: 0, h: 0 });
  useEffect(() => {
    if (window_.w === 0) return;
    const asked = looked.current.at !== fit.at;
    if (!asked && looked.current.w === window_.w && looked.current.h === window_.h) return;
    looked.current = { at: fit.at, w: window_.w, h: window_.h };
    const { selection: chosen, pieces: all } = useSheet.getState();
    const near = chosen.map((id) => all.get(id)).filter((p): p is Piece => p !== undefined);
    if (fit.what === "selection" && near.length > 0) {
      look(
        near.map((p) => p.at),
        Math.max(...near.map((p) => Math.max(p.size.width, p.size.depth))) * 0.75 + 0.8,
      );
    } else {
      look(space.shell.outline, space.shell.thickness + 0.45);
    }
  }, [fit, window_, look, space.shell]);

  const toPlan = (e: { clientX: number; clientY: number }) => {
    const box = frame.current!.getBoundingClientRect();
    return {
      x: eye!.x + (e.clientX - box.left - window_.w / 2) / eye!.scale,
      z: eye!.z + (e.clientY - box.top - window_.h / 2) / eye!.scale,
    };
  };
  const toPixel = (x: number, z: number) => ({
    left: (x - eye!.x) * eye!.scale + window_.w / 2,
    top: (z - eye!.z) * eye!.scale + window_.h / 2,
  });

  useEffect(() => {
    if (!placing) return;
    if (last.current) tryOut([placeEdit(placing.article, placing.turn, { at: last.current }, GHOST)]);
  }, [placing]);

  useEffect(() => {
    const el = frame.current!;
    const wheel = (e: WheelEvent) => {
      e.preventDefault();
      setEye((v) => {
        if (!v) return v;
        const box = el.getBoundingClientRect();
        const scale = Math.min(2000, Math.max(8, v.scale * Math.exp(-e.deltaY * 0.0015)));
        const px = e.clientX - box.left - box.width / 2;
        const py = e.clientY - box.top - box.height / 2;
        return { x: v.x + px / v.scale - px / scale, z: v.z + py / v.scale - py / scale, scale };
      });
    };
    el.addEventListener("wheel", wheel, { passive: false });
    return () => el.removeEventListener("wheel", wheel);
  }, []);

  const press = useRef<{
    x: number;
    y: number;
    piece: string | null;
    what: "click" | "pan" | "carry";
    eye: Eye;
    by?: { x: number; z: number };
  } | null>(null);

  const down = (e: PointerEvent) => {
    if (!eye || placing || e.button === 2) return;
    const piece = (e.target as Element).closest("[data-piece]")?.getAttribute("data-piece") ?? null;
    press.current = { x: e.clientX, y: e.clientY, piece, what: "click", eye };
    frame.current!.setPointerCapture(e.pointerId);
  };
  const move = (e: PointerEvent) => {
    if (!eye) return;
    if (placing) {
      last.current = toPlan(e);
      tryOut([placeEdit(placing.article, placing.turn, { at: last.current }, GHOST)]);
      return;
    }
    const p = press.current;
    if (!p) {
      const over = (e.target as Element).closest("[data-piece]")?.getAttribute("data-piece") ?? null;
      useSheet.getState().point(over);
      return;
    }
    const dx = e.clientX - p.x;
    const dy = e.clientY - p.y;
    if (p.what === "click" && Math.hypot(dx, dy) > CARRY) {
      p.what = p.piece && selection.includes(p.piece) ? "carry" : "pan";
    }
    if (p.what === "pan") {
      setEye({ ...p.eye, x: p.eye.x - dx / p.eye.scale, z: p.eye.z - dy / p.eye.scale });
    } else if (p.what === "carry") {
      p.by = { x: dx / eye.scale, z: dy / eye.scale };
      tryOut([{ do: "moveBy", pieces: selection, by: p.by }]);
    }
  };
  const up = (e: PointerEvent) => {
    if (placing && eye) {
      void putDown({ at: toPlan(e) }, e.shiftKey);
      return;
    }
    const p = press.current;
    press.current = null;
    if (!p) return;
    if (p.what === "click") {
      pick(p.piece, e);
    } else if (p.what === "carry" && p.by) {
      void useSheet
        .getState()
        .edit([{ do: "moveBy", pieces: selection, by: p.by }])
        .then(giveUp);
    }
  };

  // Esc in the middle of a carry has it back where it was
  useEffect(() => {
    const esc = (e: KeyboardEvent) => {
      if (e.key === "Escape" && press.current?.what === "carry") {
        press.current = null;
        giveUp();
        e.stopPropagation();
      }
    };
    addEventListener("keydown", esc, true);
    return () => removeEventListener("keydown", esc, true);
  }, []);

  const order = useMemo(
    () => shown(pieces, ghosts).sort((a, b) => a.at.y + a.size.height - b.at.y - b.size.height),
    [pieces, ghosts],
  );
  const inHand = new Set(ghosts.map((p) => p.id));
  const reach = useReach();
  const plan = space.plan;
  const transform = eye
    ? `translate(${window_.w / 2} ${window_.h / 2}) scale(${eye.scale}) translate(${-eye.x} ${-eye.z})`
    : "";
  return (
    <Box
      ref={frame}
      data-testid="plan"
      aria-label="Plan"
      sx={{
        flex: 1,
        minWidth: 0,
        minHeight: 0,
        position: "relative",
        bgcolor: "background.default",
        overflow: "hidden",
        touchAction: "none",
        cursor: placing ? "copy" : "default",
      }}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={() => {
        press.current = null;
        giveUp();
      }}
      onPointerLeave={() => {
        last.current = null;
        if (placing) giveUp();
        else useSheet.getState().point(null);
      }}
    >
      <DrawingTitle text="Plan" />
      {eye && (
        <svg width={window_.w} height={window_.h} style={{ display: "block" }} data-scale={eye.scale}>
          <g transform={transform} strokeLinejoin="round" strokeLinecap="round">
            <path d={ring(plan.floor)} fill={palette.background.paper} />
            <Grid eye={eye} colour={palette.divider} floor={plan.floor} />
            {plan.walls.map((w, i) => (
              <path
                key={i}
                d={ring(w)}
                fill={palette.text.primary}
                stroke={palette.text.primary}
                strokeWidth={0.75}
                vectorEffect="non-scaling-stroke"
              />
            ))}
            {plan.windows.map((l, i) => (
              <line
                key={i}
                x1={l[0]}
                y1={l[1]}
                x2={l[2]}
                y2={l[3]}
                stroke={palette.text.primary}
                strokeWidth={1}
                vectorEffect="non-scaling-stroke"
              />
            ))}
            {plan.doors.map((d, i) => (
              <path
                key={i}
                d={`M${d.hingeX} ${d.hingeZ}L${d.tipX} ${d.tipZ}A${d.radius} ${d.radius} 0 0 1 ${d.shutX} ${d.shutZ}`}
                fill="none"
                stroke={palette.text.secondary}
                strokeWidth={1}
                vectorEffect="non-scaling-stroke"
              />
            ))}
            {order.map((p) => (
              <PieceLines
                key={p.id}
                piece={p}
                scale={eye.scale}
                selected={selection.includes(p.id)}
                lead={selection[selection.length - 1] === p.id}
                hovered={hover === p.id}
                inHand={inHand.has(p.id)}
              />
            ))}
            {reach.map((r) => (
              <line
                key={r.side}
                x1={r.fromPoint.x}
                y1={r.fromPoint.z}
                x2={r.toPoint.x}
                y2={r.toPoint.z}
                stroke={palette.primary.main}
                strokeWidth={1}
                vectorEffect="non-scaling-stroke"
              />
            ))}
          </g>
          {plan.names.map((n) => {
            const at = toPixel(n.x, n.z);
            return (
              <text
                key={n.text}
                x={at.left}
                y={at.top + 4}
                fontSize={12}
                textAnchor="middle"
                fill={palette.text.secondary}
              >
                {n.text}
              </text>
            );
          })}
        </svg>
      )}
      {eye &&
        reach.map((r) => {
          const from = toPixel(r.fromPoint.x, r.fromPoint.z);
          const to = toPixel(r.toPoint.x, r.toPoint.z);
          const across = Math.abs(to.left - from.left) > Math.abs(to.top - from.top);
          // a number longer than its line stands beside it
          const short = Math.hypot(to.left - from.left, to.top - from.top) < (across ? 46 : 24);
          return (
            <ReachLabel
              key={r.side}
              reach={r}
              style={{
                position: "absolute",
                left: (from.left + to.left) / 2 + (short && !across ? 28 : 0),
                top: (from.top + to.top) / 2 - (short && across ? 14 : 0),
              }}
            />
          );
        })}
    </Box>
  );
}

/** A grid of whole metres, or of tenths when one is near. */
function Grid({ eye, colour, floor }: { eye: Eye; colour: string; floor: number[] }) {
  const step = eye.scale > 400 ? 0.1 : eye.scale > 160 ? 0.25 : eye.scale > 25 ? 1 : 5;
  const xs = floor.filter((_, i) => i % 2 === 0);
  const zs = floor.filter((_, i) => i % 2 === 1);
  const [x0, x1] = [Math.min(...xs), Math.max(...xs)];
  const [z0, z1] = [Math.min(...zs), Math.max(...zs)];
  let d = "";
  for (let x = Math.ceil(x0 / step) * step; x < x1; x += step) d += `M${x} ${z0}V${z1}`;
  for (let z = Math.ceil(z0 / step) * step; z < z1; z += step) d += `M${x0} ${z}H${x1}`;
  return (
    <>
      <clipPath id="floor">
        <path d={ring(floor)} />
      </clipPath>
      <path
        d={d}
        clipPath="url(#floor)"
        fill="none"
        stroke={colour}
        strokeOpacity={0.6}
        strokeWidth={0.75}
        vectorEffect="non-scaling-stroke"
      />
    </>
  );
}

import { useTheme } from "@mui/material/styles";
import { useMemo, type PointerEvent } from "react";
import { dragEdit } from "../handling/pull";
import { useChosen } from "../../store/selecting";
import { useSheet } from "../../store/sheet";

/** A line is drawn so far both ways, metres; beyond any room. */
const FAR = 60;

/** Half of what takes clicks about a line, pixels. */
const HIT = 12;

/** The lines by which what is selected has twins: each is moved by pressing on it. */
export function TwinLines(props: {
  scale: number;
  toPlan: (e: { clientX: number; clientY: number }) => { x: number; z: number };
}) {
  const { palette } = useTheme();
  const filing = useSheet((s) => s.space!.filing);
  const pieces = useSheet((s) => s.pieces);
  const chosen = useChosen();
  const shown = useMemo(() => {
    const kept = new Map(filing.parts.map((p) => [p.part, p.twin]));
    return new Set(chosen.map((id) => pieces.get(id)?.twinLine ?? kept.get(id)));
  }, [chosen, pieces, filing]);
  const twins = filing.twins.filter((t) => shown.has(t.id));
  const move = (twin: string) => (e: PointerEvent) => {
    dragEdit(e, (m) => ({ do: "twinLine", twin, at: props.toPlan(m) }));
  };
  return twins.map(({ id, at, way, turned }) => {
    const r = 7 / props.scale;
    const line = {
      x1: at.x - FAR * way.x,
      y1: at.z - FAR * way.z,
      x2: at.x + FAR * way.x,
      y2: at.z + FAR * way.z,
    };
    return (
      <g
        key={id}
        data-testid="twin-line"
        data-twin={id}
        style={{ cursor: "move" }}
        onPointerDown={move(id)}
        stroke={palette.secondary.main}
      >
        <title>The line of the twins; press and move it</title>
        {turned ? (
          <>
            <circle cx={at.x} cy={at.z} r={(HIT + 2) / props.scale} stroke="none" fill="transparent" />
            <circle
              cx={at.x}
              cy={at.z}
              r={r}
              fill="none"
              strokeWidth={1.5}
              vectorEffect="non-scaling-stroke"
            />
          </>
        ) : (
          <>
            <line {...line} stroke="transparent" strokeWidth={(2 * HIT) / props.scale} />
            <line
              {...line}
              strokeWidth={1.5}
              strokeDasharray="10 4 2 4"
              vectorEffect="non-scaling-stroke"
              pointerEvents="none"
            />
          </>
        )}
      </g>
    );
  });
}

import { ThemeProvider, useTheme } from "@mui/material/styles";
import { Html, Line } from "@react-three/drei";
import { memo, useMemo } from "react";
import { Box3, Quaternion, Vector3 } from "three";
import type { Piece, Vec } from "../../api/types.gen";
import { isHidden } from "../../store/kept";
import { useSheet } from "../../store/sheet";
import { labelAt } from "../paper/labelAt";
import { ReachLabel } from "../drawings/ReachLabel";
import { tapeMarks } from "../drawings/tape";
import { useReach } from "../drawings/useReach";

const ROUND = ["left", "right", "front", "back"];

/** Tape on the floor around what is selected or in hand, and the lines of its free distances. */
export function SelectionMarks() {
  const theme = useTheme();
  const { palette } = theme;
  const pieces = useSheet((s) => s.pieces);
  const ghosts = useSheet((s) => s.ghosts);
  const inHand = useSheet((s) => s.hand !== null);
  const selection = useSheet((s) => s.selection);
  const hover = useSheet((s) => s.hover);
  const reach = useReach(ROUND);
  const filing = useSheet((s) => s.space!.filing);
  const marked = useMemo(() => {
    const all = new Map<string, Piece>(ghosts.map((p) => [p.id, p]));
    selection.forEach((id) => {
      const p = pieces.get(id);
      if (p && !all.has(id) && !isHidden(p, filing)) all.set(id, p);
    });
    return [...all.values()];
  }, [ghosts, selection, pieces, filing]);
  const hovered = useMemo(() => {
    const p = hover && !selection.includes(hover) ? pieces.get(hover) : undefined;
    return p ? [p] : [];
  }, [hover, selection, pieces]);
  return (
    <>
      {marked.length > 0 && <Tape pieces={marked} colour={palette.secondary.main} width={3} />}
      {hovered.length > 0 && <Tape pieces={hovered} colour={palette.primary.main} width={1.5} />}
      {reach.map((r) => (
        <group key={r.side}>
          <Line
            points={[
              [r.fromPoint.x, r.fromPoint.y, r.fromPoint.z],
              [r.toPoint.x, r.toPoint.y, r.toPoint.z],
            ]}
            color={palette.primary.main}
            lineWidth={1}
            depthTest={false}
          />
          <Html
            position={[
              (r.fromPoint.x + r.toPoint.x) / 2,
              (r.fromPoint.y + r.toPoint.y) / 2,
              (r.fromPoint.z + r.toPoint.z) / 2,
            ]}
            zIndexRange={[2, 1]}
            // while something is in hand a click puts it down, also through a number
            style={{ pointerEvents: inHand ? "none" : undefined }}
            pointerEvents={inHand ? "none" : "auto"}
            calculatePosition={(_, camera, size) => {
              const seen = (v: Vec) => {
                const p = new Vector3(v.x, v.y, v.z).project(camera);
                return { x: ((p.x + 1) / 2) * size.width, y: ((1 - p.y) / 2) * size.height };
              };
              const at = labelAt(seen(r.fromPoint), seen(r.toPoint));
              return [at.x, at.y];
            }}
          >
            {/* what stands in Html is a tree of its own */}
            <ThemeProvider theme={theme}>
              <ReachLabel reach={r} />
            </ThemeProvider>
          </Html>
        </group>
      ))}
    </>
  );
}

/** What a piece lies over, along its own directions as it is turned; leaning that is more than its foot. */
function lies({ size, at, rotation: r, onSheet }: Piece) {
  const turned = new Quaternion().setFromAxisAngle(UP, (-onSheet * Math.PI) / 180);
  const own = turned
    .clone()
    .invert()
    .multiply(new Quaternion(r.x, r.y, r.z, r.w));
  const box = new Box3();
  for (const x of [-1, 1])
    for (const y of [0, 1])
      for (const z of [-1, 1])
        box.expandByPoint(
          new Vector3((x * size.width) / 2, y * size.height, (z * size.depth) / 2).applyQuaternion(own),
        );
  const middle = box.getCenter(new Vector3()).setY(box.min.y).applyQuaternion(turned);
  return { box, turned, middle: middle.add(new Vector3(at.x, at.y, at.z)) };
}

const UP = new Vector3(0, 1, 0);

/** Tape around pieces, all of it one line: there may be hundreds. */
const Tape = memo(function Tape(props: { pieces: Piece[]; colour: string; width: number }) {
  const points = useMemo(() => props.pieces.flatMap(taped), [props.pieces]);
  return (
    <Line
      segments
      points={points}
      color={props.colour}
      lineWidth={props.width}
      polygonOffset
      polygonOffsetFactor={-4}
    />
  );
});

/** The tape around one piece, two points a segment. */
function taped(piece: Piece): Vector3[] {
  const { box, turned, middle } = lies(piece);
  const { x: wide, z: deep } = box.getSize(new Vector3());
  const small = Math.min(wide, deep);
  const marks = tapeMarks(wide, deep, Math.min(0.04, small * 0.2), Math.min(0.16, small * 0.35));
  const at = (x: number, z: number) => new Vector3(x, 0.004, z).applyQuaternion(turned).add(middle);
  return marks.flatMap(([x1, z1, x2, z2]) => [at(x1, z1), at(x2, z2)]);
}

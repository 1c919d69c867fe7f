import { ThemeProvider, useTheme } from "@mui/material/styles";
import { Html, Line } from "@react-three/drei";
import { useThree } from "@react-three/fiber";
import type { PointerEvent, ReactNode } from "react";
import { type PerspectiveCamera, Raycaster, Vector2, Vector3 } from "three";
import type { HandlesDial, Vec } from "../../api/types.gen";
import { HOLD } from "../paper/usePress";
import { useSheet } from "../../store/sheet";
import { useAim, type Pointed } from "../../tools/aim/aims";
import { Mark } from "../handling/Mark";
import { dial, pull } from "../handling/pull";
import { Tab } from "../handling/Tab";
import { useAt, useHandles } from "../handling/useHandles";
import { useHandling } from "../../store/handling";

const xyz = (v: Vec): [number, number, number] => [v.x, v.y, v.z];

/** In the set view: the tabs, the marks of the foot and the dial of what is sized or turned. */
export function SetHandles() {
  const { palette } = useTheme();
  const handles = useHandles();
  const piece = useSheet((s) => s.selection.at(-1));
  const at = useAt();
  const hold = useHandling((s) => s.hold);
  const about = useHandling((s) => s.about);
  const { points, over } = useAim();
  const camera = useThree((s) => s.camera) as PerspectiveCamera;
  const canvas = useThree((s) => s.gl.domElement);
  const sight = (e: { clientX: number; clientY: number }): Pointed => {
    const box = canvas.getBoundingClientRect();
    const caster = new Raycaster();
    const x = ((e.clientX - box.left) / box.width) * 2 - 1;
    caster.setFromCamera(new Vector2(x, 1 - ((e.clientY - box.top) / box.height) * 2), camera);
    const { origin: o, direction: d } = caster.ray;
    const away = handles ? o.distanceTo(new Vector3(...xyz(handles.dial.centre))) : 6;
    const metre = (2 * away * Math.tan((camera.fov * Math.PI) / 360)) / box.height;
    return {
      ray: { from: { x: o.x, y: o.y, z: o.z }, along: { x: d.x, y: d.y, z: d.z } },
      near: HOLD * metre,
    };
  };
  const spots = over ? [...points, over] : points;
  return (
    <>
      {handles && at === "turn" && (
        <Dial dial={handles.dial} colour={palette.secondary.main} down={(e) => dial(e, sight)} />
      )}
      {handles?.marks
        .filter((m) => m.hold.includes("under"))
        .map((m) => (
          <At key={m.hold} at={m.at}>
            <Mark mark={m} chosen={m.hold === (at === "size" ? hold : about)} />
          </At>
        ))}
      {handles &&
        at === "size" &&
        handles.tabs
          .filter((t) => t.side !== "under")
          .map((tab) => (
            <At
              over
              key={tab.side}
              at={{
                x: tab.at.x + tab.out.x * 0.16,
                y: tab.at.y + tab.out.y * 0.16,
                z: tab.at.z + tab.out.z * 0.16,
              }}
            >
              <Tab tab={tab} down={(e) => pull(e, piece!, tab.side, sight)} />
            </At>
          ))}
      {spots.length > 1 && (
        <Line
          points={spots.map((p) => xyz(p.at))}
          color={palette.secondary.main}
          lineWidth={2}
          depthTest={false}
        />
      )}
      {spots.map((p, i) => (
        <At key={i} at={p.at}>
          <svg width={14} height={14} style={{ transform: "translate(-50%, -50%)" }}>
            <circle
              cx={7}
              cy={7}
              r={5}
              fill={i < points.length ? palette.secondary.main : "none"}
              stroke={palette.secondary.main}
              strokeWidth={2}
            />
          </svg>
        </At>
      ))}
    </>
  );
}

/** Something of the sheet at a point of the space. */
function At({ at, over = false, children }: { at: Vec; over?: boolean; children: ReactNode }) {
  const theme = useTheme();
  return (
    <Html position={xyz(at)} zIndexRange={over ? [6, 5] : [4, 3]}>
      {/* what stands in Html is a tree of its own */}
      <ThemeProvider theme={theme}>{children}</ThemeProvider>
    </Html>
  );
}

const ROUND = 64;

function Dial(props: { dial: HandlesDial; colour: string; down: (e: PointerEvent) => void }) {
  const { centre, front, radius } = props.dial;
  const on = (x: number, z: number): Vec => ({
    x: centre.x + x * radius,
    y: centre.y + 0.01,
    z: centre.z + z * radius,
  });
  const ring = Array.from({ length: ROUND + 1 }, (_, i) => {
    const a = (2 * Math.PI * i) / ROUND;
    return xyz(on(Math.sin(a), Math.cos(a)));
  });
  return (
    <>
      <Line points={ring} color={props.colour} lineWidth={2} />
      <At at={on(front.x, front.z)} over>
        <div
          onPointerDown={props.down}
          title="Its front: pull it round"
          style={{
            transform: "translate(-50%, -50%)",
            width: 40,
            height: 24,
            borderRadius: 12,
            border: `2px solid ${props.colour}`,
            background: "#FFFCF6",
            fontSize: 12,
            fontWeight: 600,
            lineHeight: "20px",
            textAlign: "center",
            cursor: "grab",
            touchAction: "none",
          }}
        >
          front
        </div>
      </At>
    </>
  );
}

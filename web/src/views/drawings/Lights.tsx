import { useFrame, useThree } from "@react-three/fiber";
import { useEffect, useRef } from "react";
import { useSheet } from "../../store/sheet";

/** Between two frames, seconds: what is slow, and what is a pause; and how long something rests, ms. */
const SLOW = 0.08;
const PAUSE = 0.8;
const REST = 250;

/** Daylight from the upper left front and a soft sky; shadows are drawn anew only when things change. */
export function Lights() {
  const { gl, invalidate } = useThree();
  const shell = useSheet((s) => s.space!.shell);
  const pieces = useSheet((s) => s.pieces);
  const ghosts = useSheet((s) => s.ghosts);
  const xs = shell.outline.map((p) => p.x);
  const zs = shell.outline.map((p) => p.z);
  const centre: [number, number, number] = [
    (Math.min(...xs) + Math.max(...xs)) / 2,
    0,
    (Math.min(...zs) + Math.max(...zs)) / 2,
  ];
  const half = Math.hypot(Math.max(...xs) - Math.min(...xs), Math.max(...zs) - Math.min(...zs)) / 2 + 0.5;
  useEffect(() => {
    gl.shadowMap.autoUpdate = false;
  }, [gl]);
  // where frames are slow, shadows wait until what is carried rests
  const slow = useRef(false);
  useFrame((_, seconds) => {
    if (seconds < PAUSE) slow.current = seconds > SLOW;
  });
  useEffect(() => {
    const draw = () => {
      gl.shadowMap.needsUpdate = true;
      invalidate();
    };
    if (!slow.current || ghosts.length === 0) {
      draw();
      return;
    }
    const soon = setTimeout(draw, REST);
    return () => clearTimeout(soon);
  }, [gl, invalidate, pieces, ghosts]);
  return (
    <>
      <hemisphereLight args={["#FFFDF8", "#E6D9C4", 2.25]} />
      <directionalLight
        castShadow
        position={[centre[0] - 3.2, 9, centre[2] + 4.5]}
        target-position={centre}
        intensity={1.35}
        color="#FFF3DF"
        shadow-mapSize={[2048, 2048]}
        shadow-camera-left={-half}
        shadow-camera-right={half}
        shadow-camera-top={half}
        shadow-camera-bottom={-half}
        shadow-camera-far={60}
        shadow-bias={-0.0004}
        shadow-normalBias={0.025}
        shadow-radius={5}
      />
    </>
  );
}

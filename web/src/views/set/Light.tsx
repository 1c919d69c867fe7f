import { useFrame, useThree } from "@react-three/fiber";
import { useEffect, useMemo, useRef } from "react";
import {
  BackSide,
  BoxGeometry,
  Color,
  Mesh,
  MeshBasicMaterial,
  Object3D,
  PMREMGenerator,
  Scene,
  ShaderMaterial,
  SphereGeometry,
} from "three";
import { useSheet } from "../../store/sheet";
import { useLight } from "../../store/useLight";
import { effortOf, isLight, useEffort } from "../../store/effort";
import { useExtent } from "./extent";
import { Lit } from "./Lit";
import { useFading } from "./useFading";

/** Brighter from the window side and above than from below: no two walls are lit alike. */
const SKY = "#EAF0F4";
const LEVEL = "#E9E1D4";
const GROUND = "#E4DCCF";

/** Panels of light in the studio: where, how large, how bright. */
const PANELS: { at: [number, number, number]; size: [number, number, number]; bright: number }[] = [
  { at: [-8, 3, 5], size: [0.2, 6, 7], bright: 7 },
  { at: [2, 8, -1], size: [7, 0.2, 6], bright: 1.8 },
  { at: [7, 2, -6], size: [3, 4, 0.2], bright: 2.2 },
];

/** What surfaces mirror and are lit by from all around: a sky, a floor, and panels of light. */
function studio(): Scene {
  const scene = new Scene();
  const dome = new Mesh(
    new SphereGeometry(20, 24, 12),
    new ShaderMaterial({
      side: BackSide,
      uniforms: {
        sky: { value: new Color(SKY).multiplyScalar(0.85) },
        level: { value: new Color(LEVEL).multiplyScalar(0.7) },
        ground: { value: new Color(GROUND).multiplyScalar(1.15) },
      },
      vertexShader:
        "varying vec3 way; void main() { way = position; gl_Position = projectionMatrix * modelViewMatrix * vec4(position, 1.0); }",
      fragmentShader:
        "varying vec3 way; uniform vec3 sky, level, ground; void main() { float h = normalize(way).y;" +
        " gl_FragColor = vec4(h > 0.0 ? mix(level, sky, sqrt(h)) : mix(level, ground, sqrt(-h)), 1.0); }",
    }),
  );
  scene.add(dome);
  for (const p of PANELS) {
    const panel = new Mesh(
      new BoxGeometry(...p.size),
      new MeshBasicMaterial({ color: new Color("#FFF6E8").multiplyScalar(p.bright) }),
    );
    panel.position.set(...p.at);
    scene.add(panel);
  }
  return scene;
}

/** Light from all around. */
function Around() {
  const { gl, scene, invalidate } = useThree();
  useEffect(() => {
    const maker = new PMREMGenerator(gl);
    const around = maker.fromScene(studio(), 0.03, 0.1, 100, { size: 64 });
    scene.environment = around.texture;
    scene.environmentIntensity = 0.78;
    invalidate();
    return () => {
      scene.environment = null;
      around.dispose();
      maker.dispose();
    };
  }, [gl, scene, invalidate]);
  return null;
}

/** Between two frames, seconds: what is slow, and what is a pause; and how long something rests, ms. */
const SLOW = 0.08;
const PAUSE = 0.8;
const REST = 250;

const WINDOW = /^opening:w/;

/** How far the sun's softness spreads, dots of its map. */
const SOFT = 4;

/** Where the sun stands: toward the eye from the left, or before a window for who is inside, metres. */
const OUTSIDE: [number, number, number] = [-3.2, 9, 4.5];

function before(inward: { x: number; z: number }): [number, number, number] {
  const [away, aside, up] = [7, 3, 5.2];
  return [-inward.x * away - inward.z * aside, up, -inward.z * away + inward.x * aside];
}

/** Shadows are drawn anew only when things change; where frames are slow, once what is carried rests. */
function Shadows({ of }: { of: unknown }) {
  const { gl, invalidate } = useThree();
  const pieces = useSheet((s) => s.pieces);
  const ghosts = useSheet((s) => s.ghosts);
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
  }, [gl, invalidate, pieces, ghosts, of]);
  return null;
}

/** Daylight to work in. */
function Sun({ small }: { small: boolean }) {
  const window = useSheet((s) => {
    const inside = s.walking || (s.viewpoint !== null && !s.viewpoint.view.fits);
    return inside ? s.space!.backs.find((b) => b.inward && WINDOW.test(b.body))?.inward : undefined;
  });
  const from = window ? before(window) : OUTSIDE;
  const { centre, half } = useExtent();
  // only what is in the scene is really where it is said to be
  const middle = useMemo(() => new Object3D(), []);
  return (
    <>
      <Shadows of={window} />
      <primitive object={middle} position={centre} />
      <directionalLight
        castShadow={!small}
        position={[centre[0] + from[0], from[1], centre[2] + from[2]]}
        target={middle}
        intensity={1.55}
        color="#FFF1DA"
        shadow-mapSize={[2048, 2048]}
        shadow-camera-left={-half}
        shadow-camera-right={half}
        shadow-camera-top={half}
        shadow-camera-bottom={-half}
        shadow-camera-far={60}
        shadow-bias={-0.0004}
        shadow-normalBias={0.025}
        shadow-radius={SOFT}
      />
    </>
  );
}

/**
 * Light to work in, sun and sky, or as the space is lit. Where a frame may cost little, the sky is two colours
 * and nothing is mirrored.
 */
export function Light({ small = false }: { small?: boolean }) {
  const effort = useEffort(effortOf);
  const lit = useSheet((s) => s.lit) && !small;
  const light = useFading(useLight());
  const simple = small || isLight(effort);
  // as long as it is not known how it is lit, it is drawn as before
  if (lit && light)
    return (
      <>
        {!simple && <Around />}
        <Shadows of={null} />
        <Lit light={light} />
      </>
    );
  return (
    <>
      {simple ? (
        <>
          <hemisphereLight args={["#F3F4F6", "#E4D8C6", 1.7]} />
          <directionalLight position={[-8, 3, 2]} intensity={0.45} color="#E8EEF6" />
        </>
      ) : (
        <Around />
      )}
      <Sun small={small} />
    </>
  );
}

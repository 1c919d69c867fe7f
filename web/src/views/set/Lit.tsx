import { useThree } from "@react-three/fiber";
import { useEffect, useMemo } from "react";
import { Color, Object3D } from "three";
import type { DrawnLamp, Lighting, LinearColour } from "../../api/types.gen";
import { type Effort, effortOf, isLight, useEffort } from "../../store/effort";
import { useSheet } from "../../store/sheet";
import { useExtent } from "./extent";
import { useWindow } from "./window";

/** What light all around of the strength one is used to is drawn with. */
const USED = 2.3;

/** So many times what one is used to, light is drawn as it is; where it is more, the eye helps itself. */
const BEARABLE = { sun: 4, lamp: 2.2 };
const EYE = 0.3;

/** What is drawn of a light that is so many times as strong as what one is used to, of 1. */
const borne = (strong: number, bearable: number) =>
  strong > bearable ? (bearable / strong) * (strong / bearable) ** EYE : 1;

/** How many lamps throw shadows, by what a frame may cost. */
const SHADOWS: Record<Effort, number> = { plain: 0, light: 0, middle: 1, full: 3 };

/** What is drawn of lamps changes its program with their number: they come in these. */
const NUMBERS = [0, 1, 2, 4, 8, 12];

const colourOf = (c: LinearColour) => new Color(c.red, c.green, c.blue);

/** The space as it is lit: sun, sky, lamps, and what the walls throw back. */
export function Lit({ light }: { light: Lighting }) {
  const held = useSheet((s) => s.held);
  const effort = useEffort(effortOf);
  const { gl, scene, invalidate } = useThree();
  const reference = held ?? light.used;
  const share = USED / reference;
  const around = light.around * share;
  useEffect(() => {
    // what is mirrored is as bright as what is around
    scene.environmentIntensity = Math.min(0.5, 0.16 * around);
    scene.userData.light = light;
    gl.shadowMap.needsUpdate = true;
    gl.domElement.dataset.lit = light.around.toFixed(1);
    invalidate();
    return () => {
      delete scene.userData.light;
      delete gl.domElement.dataset.lit;
    };
  }, [light, around, scene, gl, invalidate]);
  const sky = colourOf(light.aroundColour);
  return (
    <>
      <hemisphereLight args={[sky, sky.clone().multiplyScalar(0.82), around]} />
      {light.sun && <TrueSun light={light} share={share} />}
      <Lamps lamps={light.lamps} share={share} shadows={SHADOWS[effort]} />
    </>
  );
}

function TrueSun({ light, share }: { light: Lighting; share: number }) {
  const { centre, half } = useExtent();
  const effort = useEffort(effortOf);
  const middle = useMemo(() => new Object3D(), []);
  const sun = light.sun;
  const far = 30 + half;
  const d = sun?.toward ?? { x: 0, y: 1, z: 0 };
  const strong = (sun?.lux ?? 0) * share;
  return (
    <>
      <primitive object={middle} position={centre} />
      <directionalLight
        castShadow
        position={[centre[0] + d.x * far, centre[1] + d.y * far, centre[2] + d.z * far]}
        target={middle}
        intensity={strong * borne(strong, BEARABLE.sun)}
        color={sun ? colourOf(sun.colour) : "white"}
        shadow-mapSize={isLight(effort) ? [2048, 2048] : [3072, 3072]}
        shadow-camera-left={-half}
        shadow-camera-right={half}
        shadow-camera-top={half}
        shadow-camera-bottom={-half}
        shadow-camera-far={2 * far}
        shadow-bias={-0.0004}
        shadow-normalBias={0.025}
        shadow-radius={3}
      />
    </>
  );
}

const enough = (n: number) => NUMBERS.find((m) => m >= n) ?? n;

/** Lamps, the strongest first; some throw shadows. */
function Lamps({ lamps, share, shadows }: { lamps: DrawnLamp[]; share: number; shadows: number }) {
  const round = lamps.filter((l) => l.edge === 180);
  const spots = lamps.filter((l) => l.edge < 180);
  return (
    <>
      {Array.from({ length: enough(round.length) }, (_, i) => (
        <Round key={`r${i}`} lamp={round[i]} share={share} />
      ))}
      {Array.from({ length: enough(spots.length) }, (_, i) => (
        <Spot key={`s${i}`} lamp={spots[i]} share={share} shadow={i < shadows} />
      ))}
    </>
  );
}

/** How strong a lamp is drawn. */
const drawn = (lamp: DrawnLamp, share: number) =>
  lamp.candela * share * borne((lamp.lux * share) / USED, BEARABLE.lamp);

function Round({ lamp, share }: { lamp?: DrawnLamp; share: number }) {
  if (!lamp) return <pointLight intensity={0} />;
  return (
    <pointLight
      position={[lamp.at.x, lamp.at.y, lamp.at.z]}
      intensity={drawn(lamp, share)}
      color={colourOf(lamp.colour)}
    />
  );
}

function Spot({ lamp, share, shadow }: { lamp?: DrawnLamp; share: number; shadow: boolean }) {
  const to = useMemo(() => new Object3D(), []);
  const window = useWindow(lamp?.window ?? null);
  if (!lamp) return <spotLight intensity={0} />;
  const edge = (Math.min(89, lamp.edge) * Math.PI) / 180;
  const full = (Math.min(89, lamp.full) * Math.PI) / 180;
  return (
    <>
      <primitive
        object={to}
        position={[lamp.at.x + lamp.way.x, lamp.at.y + lamp.way.y, lamp.at.z + lamp.way.z]}
      />
      <spotLight
        position={[lamp.at.x, lamp.at.y, lamp.at.z]}
        target={to}
        angle={edge}
        penumbra={Math.max(0, Math.min(1, 1 - full / edge))}
        intensity={drawn(lamp, share)}
        color={colourOf(lamp.colour)}
        map={window}
        castShadow={shadow || window !== null}
        shadow-mapSize={[1024, 1024]}
        shadow-bias={-0.0006}
        shadow-normalBias={0.03}
        shadow-camera-near={0.08}
      />
    </>
  );
}

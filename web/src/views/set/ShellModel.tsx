import { useTheme } from "@mui/material/styles";
import { Edges } from "@react-three/drei";
import { useFrame, useThree } from "@react-three/fiber";
import { useEffect, useMemo, useRef } from "react";
import { FrontSide, type BufferGeometry, type Group, MeshBasicMaterial, type Vector3 } from "three";
import type { Appearance, Vec } from "../../api/types.gen";
import { effortOf, useEffort } from "../../store/effort";
import { useSheet } from "../../store/sheet";
import { useFinishing } from "../../tools/finish/finish";
import { useShell } from "../paper/shapes";
import { mix, NIGHT } from "./night";
import { useExtent } from "./extent";
import { useDaylight } from "../../store/useLight";
import { materialOf } from "../surface/materials";

/** The foot of a wall that is out of the way. */
const CUT = "cut:";

/**
 * The bare space. Walls between the eye and what is inside are out of the way, and their feet are seen where
 * they stand; not when one looks from a place in the house or in the room itself.
 */
export function ShellModel({ small }: { small: boolean }) {
  const space = useSheet((s) => s.space)!;
  const lifted = useSheet((s) => s.lifted);
  const parts = useSheet((s) => s.parts);
  const trial = useFinishing((s) => s.trial);
  const effort = useEffort(effortOf);
  const { palette } = useTheme();
  const lit = useSheet((s) => s.lit) && !small;
  const day = useDaylight();
  const through = useSheet((s) => s.through) !== "nothing" && !small;
  const inside = useSheet((s) => s.walking || (s.viewpoint !== null && !s.viewpoint.view.fits));
  const nodes = useShell(space.id, space.shellAt);
  const group = useRef<Group>(null);
  const { gl, invalidate } = useThree();
  const backs = useMemo(() => new Map(space.backs.map((b) => [b.body, b])), [space.backs]);

  useEffect(() => {
    gl.shadowMap.needsUpdate = true;
    invalidate();
  }, [nodes, lifted, parts, inside, lit, through, gl, invalidate]);
  useEffect(() => invalidate(), [trial, space.finishes, effort, invalidate]);

  useFrame(({ camera }) => {
    group.current?.parent?.children.forEach((node) => {
      const cut = node.name.startsWith(CUT);
      const back = backs.get(cut ? node.name.slice(CUT.length) : node.name);
      const off = lifted.includes(back?.with ?? node.name);
      const before = inside || !back?.point || ahead(camera.position, back.point, back.inward!);
      node.visible = cut ? off || !before : !off && before;
    });
  }, -2);

  const tried = trial && !trial.target.pieces ? trial : null;
  return (
    <>
      <group ref={group} />
      {nodes?.map((n) => (
        <group key={n.node} name={n.node}>
          {n.parts.map((p) => (
            <mesh
              key={p.name}
              geometry={p.geometry}
              material={materialOf(
                tried?.target.part === p.name ? tried.appearance : asLit(space.finishes[p.name], day),
                { effort: small ? "light" : effort, dim: through && CLOSING.test(n.node) },
              )}
              name={p.name}
              receiveShadow={!small}
              castShadow={!small && !lit && (CASTING.test(n.node) || (inside && CLOSING.test(n.node)))}
            >
              {parts.includes(n.node) && <Edges color={palette.secondary.main} lineWidth={2.5} />}
            </mesh>
          ))}
        </group>
      ))}
      {lit && nodes?.map((n) => n.parts.map((p) => <Shade key={n.node + p.name} node={n.node} part={p} />))}
    </>
  );
}

/** What keeps light out, or throws shadows, whether it is seen or not: a wall that is out of the way does. */
function Shade({ node, part }: { node: string; part: { name: string; geometry: BufferGeometry } }) {
  const { centre } = useExtent();
  if (node.startsWith(CUT) || (!CASTING.test(node) && !CLOSING.test(node) && !JOINERY.test(node)))
    return null;
  if (JOINERY.test(node) && PANE.test(part.name)) return null;
  // where the ceiling meets the walls no light slips in
  const wide = node === "ceiling" ? WIDER : 1;
  const at = (1 - wide) * centre[0];
  return (
    <mesh
      geometry={part.geometry}
      material={UNSEEN}
      castShadow
      raycast={NOT_HIT}
      scale={[wide, 1, wide]}
      position={[at, 0, (1 - wide) * centre[2]]}
    />
  );
}

/** Panes show the day outside, as bright as it is. */
function asLit(look: Appearance | undefined, day: number): Appearance | undefined {
  if (!look || look.emission === 0 || day === 1) return look;
  const coarse = Math.round(20 * day) / 20;
  return { ...look, emission: look.emission * coarse, colour: mix(NIGHT, look.colour, coarse) };
}

const WIDER = 1.08;

// their outer faces cast: what is just beneath the ceiling is farther from those than any tolerance
const UNSEEN = new MeshBasicMaterial({ colorWrite: false, depthWrite: false, shadowSide: FrontSide });
const NOT_HIT = () => undefined;

/** What sits in openings, and the panes of it. */
const JOINERY = /^opening:/;
const PANE = /glass|pane/;

/** Whether the eye is on the side of a face from which it is seen. */
const ahead = (eye: Vector3, p: Vec, n: Vec) =>
  (eye.x - p.x) * n.x + (eye.y - p.y) * n.y + (eye.z - p.z) * n.z > 0;

/** What throws a shadow always, and what does when one is inside: then the sun comes in by the windows. */
const CASTING = /^(platform|flight|column|wall:partition)/;
const CLOSING = /^(wall:|ceiling)/;

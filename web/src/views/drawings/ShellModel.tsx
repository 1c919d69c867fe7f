import { surface } from "../paper/surface";
import { useTheme } from "@mui/material/styles";
import { Edges } from "@react-three/drei";
import { useFrame, useThree } from "@react-three/fiber";
import { useEffect, useMemo, useRef } from "react";
import {
  type BufferGeometry,
  type Group,
  Mesh,
  type MeshStandardMaterial,
  type Object3D,
  type Vector3,
} from "three";
import type { Vec } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import { useShell } from "../paper/shapes";

const CEILING = "ceiling";

/** How much one sees of a wall one looks through. */
const FAINT = 0.07;

/** Draws a part of the shell faintly, and in the way of nothing, or as it is. */
function fade(node: Object3D, faint: boolean) {
  if ((node.userData.faint === true) === faint) return;
  node.userData.faint = faint;
  node.traverse((o) => {
    if (!(o instanceof Mesh)) return;
    const { material } = o as Mesh<BufferGeometry, MeshStandardMaterial>;
    material.userData.own ??= { opacity: material.opacity, transparent: material.transparent };
    const own = material.userData.own as { opacity: number; transparent: boolean };
    material.opacity = faint ? Math.min(FAINT, own.opacity) : own.opacity;
    material.transparent = faint || own.transparent;
    material.depthWrite = !faint;
    material.needsUpdate = true;
  });
}

/**
 * The bare space. Walls between the eye and what is inside are drawn faintly, so that one looks in; not
 * when one looks from a place in the house or in the room itself.
 */
export function ShellModel({ small }: { small: boolean }) {
  const space = useSheet((s) => s.space)!;
  const lifted = useSheet((s) => s.lifted);
  const parts = useSheet((s) => s.parts);
  const { palette } = useTheme();
  const inside = useSheet((s) => s.walking || (s.viewpoint !== null && !s.viewpoint.view.fits));
  const nodes = useShell(space.id, space.shellAt);
  const group = useRef<Group>(null);
  const { gl, invalidate } = useThree();
  const backs = useMemo(() => new Map(space.backs.map((b) => [b.body, b])), [space.backs]);

  useEffect(() => {
    gl.shadowMap.needsUpdate = true;
    invalidate();
  }, [nodes, lifted, parts, inside, gl, invalidate]);

  useFrame(({ camera }) => {
    group.current?.parent?.children.forEach((node) => {
      const back = backs.get(node.name);
      const off = lifted.includes(back?.with ?? node.name);
      const before = inside || !back?.point || ahead(camera.position, back.point, back.inward!);
      node.visible = !off && (before || back?.body !== CEILING);
      fade(node, !before);
    });
  });

  return (
    <>
      <group ref={group} />
      {nodes?.map((n) => (
        <group key={n.node} name={n.node}>
          {n.parts.map((p) => (
            <mesh
              key={p.name}
              geometry={p.geometry}
              receiveShadow
              castShadow={!small && CASTING.test(n.node)}
            >
              <meshStandardMaterial {...surface(space.finishes[p.name])} />
              {parts.includes(n.node) && <Edges color={palette.secondary.main} lineWidth={2.5} />}
            </mesh>
          ))}
        </group>
      ))}
    </>
  );
}

/** Whether the eye is on the side of a face from which it is seen. */
const ahead = (eye: Vector3, p: Vec, n: Vec) =>
  (eye.x - p.x) * n.x + (eye.y - p.y) * n.y + (eye.z - p.z) * n.z > 0;
const CASTING = /^(platform|flight|column|wall:partition)/;

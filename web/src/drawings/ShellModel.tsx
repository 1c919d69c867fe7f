import { useFrame, useThree } from "@react-three/fiber";
import { useEffect, useMemo, useRef } from "react";
import { type Group, Vector3 } from "three";
import { useSheet } from "../state/sheet";
import { useShell } from "./shapes";

/**
 * The bare space. Walls between the eye and what is inside are left out, so that one looks in; not
 * when one looks from a place in the house or in the room itself.
 */
export function ShellModel({ small }: { small: boolean }) {
  const space = useSheet((s) => s.space)!;
  const lifted = useSheet((s) => s.lifted);
  const inside = useSheet((s) => s.walking || (s.viewpoint !== null && !s.viewpoint.view.fits));
  const nodes = useShell(space.id, space.shellAt);
  const group = useRef<Group>(null);
  const { gl, invalidate } = useThree();
  const { height, openings, partitions } = space.shell;

  /** For every body of the outline a point and the direction one must see it from. */
  const sides = useMemo(() => {
    const of = new Map<string, { point: Vector3; inward: Vector3; with: string }>();
    const free = new Set(partitions.map((p) => p.id));
    space.faces
      .filter((w) => !free.has(w.name))
      .forEach(({ name, from, to }) => {
        const side = {
          point: new Vector3(from.x, 0, from.z),
          inward: new Vector3(-(to.z - from.z), 0, to.x - from.x).normalize(),
          with: "wall:" + name,
        };
        of.set("wall:" + name, side);
        of.set("skirting:" + name, side);
        openings.filter((o) => o.wall === name).forEach((o) => of.set("opening:" + o.id, side));
      });
    partitions.forEach((p) => {
      openings
        .filter((o) => o.wall === p.id)
        .forEach((o) => of.set("opening:" + o.id, { ...NOWHERE, with: "wall:" + p.id }));
    });
    of.set("ceiling", {
      point: new Vector3(0, height, 0),
      inward: new Vector3(0, -1, 0),
      with: "ceiling",
    });
    return of;
  }, [space.faces, partitions, height, openings]);

  useEffect(() => {
    gl.shadowMap.needsUpdate = true;
    invalidate();
  }, [nodes, lifted, inside, gl, invalidate]);

  useFrame(({ camera }) => {
    group.current?.parent?.children.forEach((node) => {
      const side = sides.get(node.name);
      const off = lifted.includes(side?.with ?? node.name);
      const before =
        side && side.inward.lengthSq() > 0 && !inside
          ? camera.position.clone().sub(side.point).dot(side.inward) > 0
          : true;
      node.visible = !off && before;
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
              <meshStandardMaterial
                color={space.colours[p.name] ?? "#F4EFE6"}
                roughness={0.92}
                transparent={p.name === "glass"}
                opacity={p.name === "glass" ? 0.45 : 1}
                emissive={p.name === "glass" ? "#DDEBEE" : "#000000"}
                emissiveIntensity={0.5}
              />
            </mesh>
          ))}
        </group>
      ))}
    </>
  );
}

const NOWHERE = { point: new Vector3(), inward: new Vector3() };
const CASTING = /^(platform|flight|column|wall:partition)/;

import { useFrame, useThree } from "@react-three/fiber";
import { useEffect, useMemo, useRef } from "react";
import { type Group, Vector3 } from "three";
import { useSheet } from "../state/sheet";
import { useShell } from "./shapes";

/** The bare room. Walls between the eye and the room are left out, so that one looks in. */
export function ShellModel() {
  const space = useSheet((s) => s.space)!;
  const nodes = useShell(space.id);
  const group = useRef<Group>(null);
  const { gl, invalidate } = useThree();
  const { outline, height, openings } = space.shell;

  /** For every body of the shell a point and the direction one must see it from. */
  const sides = useMemo(() => {
    const of = new Map<string, { point: Vector3; inward: Vector3 }>();
    outline.forEach((p, i) => {
      const q = outline[(i + 1) % outline.length];
      const side = {
        point: new Vector3(p.x, 0, p.z),
        inward: new Vector3(-(q.z - p.z), 0, q.x - p.x).normalize(),
      };
      const name = space.plan.names[i].text;
      of.set("wall:" + name, side);
      openings.filter((o) => o.wall === name).forEach((o) => of.set("opening:" + o.id, side));
    });
    of.set("ceiling", { point: new Vector3(0, height, 0), inward: new Vector3(0, -1, 0) });
    return of;
  }, [outline, height, openings, space.plan.names]);

  useEffect(() => {
    gl.shadowMap.needsUpdate = true;
    invalidate();
  }, [nodes, gl, invalidate]);

  useFrame(({ camera }) => {
    group.current?.children.forEach((node) => {
      const side = sides.get(node.name);
      if (side) node.visible = camera.position.clone().sub(side.point).dot(side.inward) > 0;
    });
  });

  return (
    <group ref={group}>
      {nodes?.map((n) => (
        <group key={n.node} name={n.node}>
          {n.parts.map((p) => (
            <mesh key={p.name} geometry={p.geometry} receiveShadow>
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
    </group>
  );
}

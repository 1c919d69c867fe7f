import { useThree } from "@react-three/fiber";
import { useQuery } from "@tanstack/react-query";
import { useLayoutEffect, useMemo, useRef } from "react";
import { InstancedMesh, Matrix4, Quaternion, Vector3 } from "three";
import { api } from "../../api/client";
import type { Finish, FinishPart, Piece } from "../../api/types.gen";
import { surface } from "../paper/surface";
import { useSheet } from "../../store/sheet";
import { isIn } from "../../store/kept";
import { shown } from "../../store/mirror";
import { useHandling } from "../../store/handling";
import { formKey, stretch } from "../../api/forms";
import { useShape, type Part } from "../paper/shapes";

const ONE = new Vector3(1, 1, 1);

type Finishes = { [part: string]: FinishPart };

/** All pieces; those of one shape and finish are drawn in one go. */
export function Pieces() {
  const pieces = useSheet((s) => s.pieces);
  const ghosts = useSheet((s) => s.ghosts);
  const others = useSheet((s) => s.others);
  const space = useSheet((s) => s.space!.id);
  const filing = useSheet((s) => s.space!.filing);
  const open = useSheet((s) => s.inGroup);
  const placing = useSheet((s) => s.placing);
  // asked for anew when something else than before is in the space
  const articles = useMemo(() => [...new Set([...pieces.values()].map((p) => p.article))].sort(), [pieces]);
  const own = useQuery({
    queryKey: ["finishes", space, articles],
    queryFn: () => api.finishes(space),
    placeholderData: (before) => before,
  }).data;
  const finishes = useMemo(() => {
    const all = new Map<string, Finishes>(Object.entries(own ?? {}));
    if (placing) all.set(placing.article.id, placing.article.finishes);
    return all;
  }, [own, placing]);
  const yardstick = useHandling((s) => s.yardstick);
  const groups = useMemo(() => {
    const of = new Map<string, Piece[]>();
    const all = shown(pieces, ghosts, others, filing);
    for (const p of yardstick ? [...all, yardstick] : all) {
      const dim = open !== null && !isIn(open, p.group, filing) ? ["dim"] : [];
      const key = [...formKey(p), p.looks ? JSON.stringify(p.looks) : "", ...dim].join("~");
      of.set(key, [...(of.get(key) ?? []), p]);
    }
    return [...of.entries()];
  }, [pieces, ghosts, others, yardstick, filing, open]);
  return (
    <>
      {groups.map(([key, same]) => (
        <Alike
          key={key}
          pieces={same}
          dim={key.endsWith("~dim")}
          finishes={finishes.get(same[0].article) ?? {}}
        />
      ))}
    </>
  );
}

function Alike({ pieces, finishes, dim }: { pieces: Piece[]; finishes: Finishes; dim: boolean }) {
  const inHand = useSheet((s) => s.ghosts.some((g) => g.id === pieces[0].id));
  const shape = useShape(pieces[0], inHand);
  const scale = useMemo(() => {
    if (!shape) return ONE;
    const { width, depth, height } = stretch(shape.size, pieces[0].size);
    return new Vector3(width, height, depth);
  }, [shape, pieces]);
  return (
    <>
      {shape?.parts.map((part) => (
        <Instances
          key={part.name}
          part={part}
          pieces={pieces}
          finish={pieces[0].looks?.[part.name] ?? finishes[part.name]?.finish}
          scale={scale}
          dim={dim}
        />
      ))}
    </>
  );
}

function Instances(props: {
  part: Part;
  pieces: Piece[];
  finish?: Finish;
  scale: Vector3;
  /** It is outside of the group that is opened. */
  dim: boolean;
}) {
  const { part, pieces, finish, scale, dim } = props;
  const mesh = useRef<InstancedMesh>(null);
  const { gl, invalidate } = useThree();
  useLayoutEffect(() => {
    const m = mesh.current!;
    const at = new Matrix4();
    const turned = new Quaternion();
    pieces.forEach((p, i) => {
      at.compose(
        new Vector3(p.at.x, p.at.y, p.at.z),
        turned.set(p.rotation.x, p.rotation.y, p.rotation.z, p.rotation.w),
        scale,
      );
      m.setMatrixAt(i, at);
    });
    m.instanceMatrix.needsUpdate = true;
    m.computeBoundingSphere();
    m.userData.pieces = pieces.map((p) => p.id);
    gl.shadowMap.needsUpdate = true;
    invalidate();
  }, [pieces, part, scale, gl, invalidate]);
  // a colour of its own takes the place of a picture
  const map = pieces[0].finishes[part.name]?.colour ? null : part.map;
  const { transparent, opacity, ...look } = surface(finish, map);
  return (
    <instancedMesh
      key={pieces.length}
      ref={mesh}
      args={[part.geometry, undefined, pieces.length]}
      castShadow={!finish?.emission}
      receiveShadow
    >
      <meshStandardMaterial
        key={(map?.uuid ?? "") + dim}
        {...look}
        transparent={dim || transparent}
        opacity={dim ? 0.25 : opacity}
      />
    </instancedMesh>
  );
}

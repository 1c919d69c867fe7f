import { useThree } from "@react-three/fiber";
import { useQuery } from "@tanstack/react-query";
import { useLayoutEffect, useMemo, useRef } from "react";
import { InstancedMesh, Matrix4, Quaternion, Vector3 } from "three";
import { api } from "../../api/client";
import type { Appearance, PartLook, Piece } from "../../api/types.gen";
import { effortOf, isLight, useEffort } from "../../store/effort";
import { materialOf } from "../surface/materials";
import { useSheet } from "../../store/sheet";
import { isIn } from "../../store/kept";
import { shown } from "../../store/mirror";
import { useHandling } from "../../store/handling";
import { formKey, stretch } from "../../api/forms";
import { useFinishing, type Trial } from "../../tools/finish/finish";
import { useShape, type Part } from "../paper/shapes";

const ONE = new Vector3(1, 1, 1);

type Finishes = { [part: string]: PartLook };

/** All pieces; those of one shape and finish are drawn in one go. */
export function Pieces({ small = false }: { small?: boolean }) {
  const pieces = useSheet((s) => s.pieces);
  const ghosts = useSheet((s) => s.ghosts);
  const others = useSheet((s) => s.others);
  const space = useSheet((s) => s.space!.id);
  const filing = useSheet((s) => s.space!.filing);
  const open = useSheet((s) => s.inGroup);
  const placing = useSheet((s) => s.placing);
  const through = useSheet((s) => s.through);
  const leftOut = useSheet((s) => {
    const kept = s.space!.showing.viewpoints.find((v) => v.id === s.viewpoint?.view.id);
    return kept && kept.hidden.length > 0 ? kept.hidden : null;
  });
  const selection = useSheet((s) => s.selection);
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
  const trial = useFinishing((s) => s.trial);
  const groups = useMemo(() => {
    const of = new Map<string, Piece[]>();
    const clear = new Set(through === "others" ? selection : []);
    const faint = (p: Piece) => !small && through !== "nothing" && !clear.has(p.id);
    const out = new Set(small ? [] : leftOut);
    const all = shown(pieces, ghosts, others, filing).filter((p) => !out.has(p.id));
    for (const real of yardstick ? [...all, yardstick] : all) {
      const p = tried(real, trial);
      const dim = (open !== null && !isIn(open, p.group, filing)) || faint(p) ? ["dim"] : [];
      const key = [...formKey(p), p.looks ? JSON.stringify(p.looks) : "", ...dim].join("~");
      of.set(key, [...(of.get(key) ?? []), p]);
    }
    return [...of.entries()];
  }, [pieces, ghosts, others, yardstick, filing, open, trial, through, selection, small, leftOut]);
  return (
    <>
      {groups.map(([key, same]) => (
        <Alike
          key={key}
          pieces={same}
          dim={key.endsWith("~dim")}
          small={small}
          finishes={finishes.get(same[0].article) ?? {}}
        />
      ))}
    </>
  );
}

/** A piece as it would look with a finish that is held over it. */
function tried(p: Piece, trial: Trial | null): Piece {
  if (!trial?.target.pieces?.includes(p.id)) return p;
  const { part } = trial.target;
  return {
    ...p,
    looks: { ...p.looks, [part]: trial.appearance },
    finishes: { ...p.finishes, [part]: { material: "trial" } },
  };
}

function Alike(props: { pieces: Piece[]; finishes: Finishes; dim: boolean; small: boolean }) {
  const { pieces, finishes, dim, small } = props;
  const inHand = useSheet((s) => s.ghosts.some((g) => g.id === pieces[0].id));
  const effort = useEffort(effortOf);
  const shape = useShape(pieces[0], inHand, small || isLight(effort));
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
          look={pieces[0].looks?.[part.name] ?? finishes[part.name]?.appearance}
          scale={scale}
          dim={dim}
          small={small}
        />
      ))}
    </>
  );
}

function Instances(props: {
  part: Part;
  pieces: Piece[];
  look?: Appearance;
  scale: Vector3;
  /** It is outside of the group that is opened. */
  dim: boolean;
  small: boolean;
}) {
  const { part, pieces, look, scale, dim, small } = props;
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
  const effort = useEffort(effortOf);
  // a colour or a material of its own takes the place of a picture
  const own = pieces[0].finishes[part.name];
  const picture = own?.colour || own?.material ? null : part.map;
  const material = materialOf(look, { effort: small ? "light" : effort, picture, dim });
  useLayoutEffect(() => invalidate(), [material, invalidate]);
  return (
    <instancedMesh
      key={pieces.length}
      ref={mesh}
      args={[part.geometry, undefined, pieces.length]}
      material={material}
      name={part.name}
      castShadow={!look?.emission && !look?.transmission}
      receiveShadow={!small}
    />
  );
}

import type { RefObject } from "react";
import { type Group, type InstancedMesh, type PerspectiveCamera, Raycaster, Vector2, Vector3 } from "three";
import { useHandling } from "../../store/handling";
import type { Pointer } from "../../store/lastPoint";
import type { Pointed } from "../../tools/aim/aims";
import { useCarry } from "../../tools/carry/carry";
import { nearest } from "../../tools/carry/facing";
import { HOLD } from "../paper/usePress";
import { type Stage, viewOf } from "./View";

interface Place {
  clientX: number;
  clientY: number;
}

const yardstick = () => useHandling.getState().yardstick?.id;

/** What one points at in the set view. */
export function sightIn({
  frame,
  stage,
  pieces,
  shell,
}: {
  frame: RefObject<HTMLDivElement | null>;
  stage: RefObject<Stage | null>;
  pieces: RefObject<Group | null>;
  shell: RefObject<Group | null>;
}) {
  /** Where a point of the window is in the picture, from -1 to 1, to the right and up. */
  const inPicture = ([x, y]: [number, number]) => {
    const box = frame.current!.getBoundingClientRect();
    return { x: ((x - box.left) / box.width) * 2 - 1, y: 1 - ((y - box.top) / box.height) * 2 };
  };
  const aim = (e: Place) => {
    const caster = new Raycaster();
    const { x, y } = inPicture([e.clientX, e.clientY]);
    caster.setFromCamera(new Vector2(x, y), stage.current!.camera);
    return caster;
  };
  /** How large a pixel is at a point, metres. */
  const pixel = (eye: Vector3, at?: Vector3) => {
    const camera = stage.current!.camera as PerspectiveCamera;
    const away = at ? eye.distanceTo(at) : 6;
    return (2 * away * Math.tan((camera.fov * Math.PI) / 360)) / frame.current!.clientHeight;
  };
  const where = (e: Place): Pointer => {
    const { mark } = useCarry.getState().answer ?? { mark: null };
    return pointed(e, mark ? new Vector3(mark.x, mark.y, mark.z) : undefined);
  };
  const pointed = (e: Place, at?: Vector3): Pointed => {
    const { origin: o, direction: d } = aim(e).ray;
    const ray = { from: { x: o.x, y: o.y, z: o.z }, along: { x: d.x, y: d.y, z: d.z } };
    return { ray, near: HOLD * pixel(o, at) };
  };
  /** The piece under the pointer, or else the part of the shell. */
  const under = (e: Place): { piece: string | null; part: string | null; point?: Vector3 } => {
    const caster = aim(e);
    const met = pieces.current ? caster.intersectObject(pieces.current, true) : [];
    const first = met.find(
      (m) =>
        m.instanceId !== undefined &&
        ((m.object as InstancedMesh).userData.pieces as string[] | undefined)?.[m.instanceId] !== yardstick(),
    );
    const walls = (shell.current?.children ?? []).filter(
      (n) => n.visible && !n.name.startsWith("cut:") && n.name.includes(":"),
    );
    const wall = caster.intersectObjects(walls, true)[0];
    if (first && !(wall && wall.distance < first.distance)) {
      const piece = (first.object.userData.pieces as string[])[first.instanceId!];
      return { piece, part: null, point: first.point };
    }
    const part = wall?.object.parent?.name ?? null;
    return { piece: null, part: part?.startsWith("skirting:") ? part.replace("skirting:", "wall:") : part };
  };

  /** How the space is seen: columns of the matrix from metres to the picture. */
  const viewed = () => viewOf(stage.current!.camera).toArray();
  const facing = () => {
    const m = stage.current!.camera.matrixWorld.elements;
    return { right: nearest({ x: m[0], z: m[2] }), upright: false };
  };
  return { inPicture, where, pointed, under, viewed, facing };
}

export type SetSight = ReturnType<typeof sightIn>;

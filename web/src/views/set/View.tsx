import { OrbitControls } from "@react-three/drei";
import { useFrame, useThree } from "@react-three/fiber";
import { useEffect, useRef, type ComponentRef } from "react";
import { Box3, type Camera, Matrix4, type PerspectiveCamera, Vector3 } from "three";
import type { Shell } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import { INSIDE, OUTSIDE, seenThrough } from "../../store/angles";
import { registerEye } from "../../store/eye";
import { useWalk } from "./useWalk";

/** From metres to the picture, which goes from -1 to 1. */
export const viewOf = (camera: Camera) =>
  new Matrix4().multiplyMatrices(camera.projectionMatrix, camera.matrixWorldInverse);

/** What the set view is seen with. */
export interface Stage {
  camera: Camera;
  controls: { enabled: boolean } | null;
}

/** The eye: turns round what one looks at, never under the floor; or walks at eye height. */
export function View({
  onReady,
  small,
}: {
  onReady: (camera: Camera, controls: Stage["controls"]) => void;
  small: boolean;
}) {
  const camera = useThree((s) => s.camera) as PerspectiveCamera;
  const size = useThree((s) => s.size);
  const invalidate = useThree((s) => s.invalidate);
  const shell = useSheet((s) => s.space!.shell);
  const fit = useSheet((s) => s.fit);
  const viewpoint = useSheet((s) => s.viewpoint);
  const walking = useSheet((s) => s.walking);
  const controls = useRef<ComponentRef<typeof OrbitControls>>(null);
  useEffect(() => onReady(camera, controls.current), [camera, onReady]);
  const aspect = size.width / Math.max(1, size.height);

  // shows the whole at first and when asked to, and what is selected
  const done = useRef({ at: -1, aspect: 0 });
  useEffect(() => {
    const asked = done.current.at !== fit.at;
    const target = controls.current?.target ?? new Vector3();
    if (!small && !controls.current) return;
    const first = done.current.at === -1;
    if (!asked && Math.abs(done.current.aspect - aspect) < 0.15) return;
    done.current = { at: fit.at, aspect };
    if (!asked && !first && (camera.fov === INSIDE || useSheet.getState().viewpoint)) return;
    const { selection, pieces } = useSheet.getState();
    const chosen = selection.map((id) => pieces.get(id)).filter((p) => p !== undefined);
    camera.fov = OUTSIDE;
    if (fit.what === "selection" && chosen.length > 0 && !small) {
      const lead = chosen[chosen.length - 1];
      const away = camera.position.clone().sub(target).normalize();
      const reach = Math.max(lead.size.width, lead.size.depth, lead.size.height) * 2.2 + 1.2;
      target.set(lead.at.x, lead.at.y + lead.size.height / 2, lead.at.z);
      camera.position.copy(target).addScaledVector(away, reach);
      camera.updateProjectionMatrix();
    } else {
      frameRoom(camera, target, shell, aspect, shell.stage ? FROM_HOUSE : FROM_CORNER);
    }
    if (small) camera.lookAt(target);
    controls.current?.update();
    invalidate();
  }, [fit, aspect, shell, camera, invalidate, small]);

  // one that is kept is as it is kept now, whoever altered it
  const kept = useSheet((s) =>
    s.space!.showing.viewpoints.find((v) => v.id === s.viewpoint?.view.id && v.group === "kept"),
  );
  const seen = useRef("");
  useEffect(() => {
    if (small || !viewpoint || !controls.current) return;
    const view = kept ?? viewpoint.view;
    const key = JSON.stringify([viewpoint.at, view, aspect > 0 && view.frame.ratio > 0 ? aspect : 0]);
    if (seen.current === key) return;
    seen.current = key;
    const { eye, target: at, fits } = view;
    const target = controls.current.target;
    if (fits) {
      camera.fov = OUTSIDE;
      const away = new Vector3(eye.x - at.x, eye.y - at.y, eye.z - at.z).normalize();
      frameRoom(camera, target, shell, aspect, away);
    } else {
      camera.fov = view.group === "kept" ? seenThrough(view, aspect) : INSIDE;
      camera.position.set(eye.x, eye.y, eye.z);
      target.set(at.x, at.y, at.z);
      camera.updateProjectionMatrix();
    }
    controls.current.update();
    invalidate();
  }, [viewpoint, kept, aspect, shell, camera, invalidate, small]);

  useEffect(() => {
    if (small) return;
    return registerEye(() => {
      const { x, y, z } = controls.current?.target ?? new Vector3();
      const at = camera.position;
      return { eye: { x: at.x, y: at.y, z: at.z }, target: { x, y, z }, high: camera.fov };
    });
  }, [camera, small]);

  const upright = viewpoint !== null && (kept?.upright ?? false);
  useFrame(() => {
    if (upright && controls.current) level(camera, controls.current.target);
  }, -3);

  // how the space is seen, for those who read the page: columns of the matrix from metres to the picture
  useFrame(({ gl }) => {
    if (small) return;
    gl.domElement.dataset.view = viewOf(camera).elements.join(" ");
  });

  useWalk(walking && !small, camera, controls);
  if (small) return null;
  return (
    <OrbitControls
      ref={controls}
      makeDefault
      enableDamping={false}
      enableZoom={!walking}
      enablePan={!walking}
      maxPolarAngle={walking ? Math.PI - 0.3 : Math.PI / 2 - 0.02}
      minDistance={walking ? 0 : 0.4}
      maxDistance={120}
      zoomToCursor
    />
  );
}

/** Steepest look that can be made good by shifting the picture: verticals stay upright. */
const STEEPEST = Math.tan((40 * Math.PI) / 180);

const ahead = new Vector3();

/** Looks level, and shifts the picture until what was looked at is in its middle again. */
function level(camera: PerspectiveCamera, target: Vector3) {
  ahead.copy(target).sub(camera.position);
  const rise = ahead.y / Math.hypot(ahead.x, ahead.z);
  camera.updateProjectionMatrix();
  if (!(Math.abs(rise) < STEEPEST)) return;
  camera.lookAt(target.x, camera.position.y, target.z);
  camera.projectionMatrix.elements[9] += camera.projectionMatrix.elements[5] * rise;
  camera.projectionMatrixInverse.copy(camera.projectionMatrix).invert();
  camera.updateMatrixWorld();
}

/** Directions from which one looks at first: into a room over its corner, at a stage from the house. */
const FROM_CORNER = new Vector3(0.42, 0.6, 0.86).normalize();
const FROM_HOUSE = new Vector3(0.28, 0.34, 0.9).normalize();

/** Steps back in a direction until the whole space is in the picture. */
function frameRoom(camera: PerspectiveCamera, target: Vector3, shell: Shell, aspect: number, away: Vector3) {
  const corners = shell.outline.flatMap((p) => [
    new Vector3(p.x, 0, p.z),
    new Vector3(p.x, shell.height, p.z),
  ]);
  const box = new Box3().setFromPoints(corners);
  box.getCenter(target);
  camera.aspect = aspect;
  camera.updateProjectionMatrix();
  for (let reach = 2; reach < 300; reach *= 1.04) {
    camera.position.copy(target).addScaledVector(away, reach);
    camera.lookAt(target);
    camera.updateMatrixWorld();
    const inside = corners.every((p) => {
      const q = p.clone().project(camera);
      return Math.abs(q.x) < 0.95 && Math.abs(q.y) < 0.93 && q.z < 1;
    });
    if (inside) return;
  }
}

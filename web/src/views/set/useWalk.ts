import { INSIDE } from "../../store/angles";
import { OrbitControls } from "@react-three/drei";
import { useThree } from "@react-three/fiber";
import { useEffect, type ComponentRef, type RefObject } from "react";
import { type PerspectiveCamera, Vector3 } from "three";
import { api } from "../../api/client";
import type { Vec } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";

/** Height of the eye of somebody standing, metres; as the ready-made viewpoints have it. */
const EYE = 1.6;
const STEP = 0.4;
const TURN = Math.PI / 18;

/** Arrows walk and turn at eye height over whatever floor there is; core says where one comes to. */
export function useWalk(
  walking: boolean,
  camera: PerspectiveCamera,
  controls: RefObject<ComponentRef<typeof OrbitControls> | null>,
) {
  const invalidate = useThree((s) => s.invalidate);
  useEffect(() => {
    const { space, walk, say } = useSheet.getState();
    if (!walking || !space || !controls.current) return;
    const target = controls.current.target;
    const ahead = new Vector3();
    /** Looks from the eye itself: what one turns about lies just before it. */
    const stand = (x: number, z: number, floor: number) => {
      camera.position.set(x, floor + EYE, z);
      target.copy(camera.position).addScaledVector(ahead, 0.02);
      camera.fov = INSIDE;
      camera.updateProjectionMatrix();
      controls.current?.update();
      invalidate();
    };
    const feet = { x: 0, y: 0, z: 0 };
    /** Where core says one comes to; it may be where one is. */
    const come = (at: Vec | null) => {
      if (!at) return false;
      Object.assign(feet, at);
      stand(at.x, at.z, at.y);
      return true;
    };
    const go = async (x: number, z: number) => come(await api.walk(space.id, x, null, z));
    let busy = false;
    const step = async (by: number) => {
      if (busy) return;
      busy = true;
      try {
        const { x, y, z } = feet;
        come(await api.walk(space.id, x, y, z, ahead.x * by, ahead.z * by));
      } finally {
        busy = false;
      }
    };
    camera.getWorldDirection(ahead).setY(0).normalize();
    void (async () => {
      const from = camera.position.clone();
      // where one stands now, else what one looked at, else the first corner that one can stand in
      const corner = space.showing.viewpoints.find((v) => v.group === "corners");
      if (!(await go(from.x, from.z)) && !(await go(target.x, target.z)) && corner) {
        ahead.set(corner.target.x - corner.eye.x, 0, corner.target.z - corner.eye.z).normalize();
        if (!(await go(corner.eye.x, corner.eye.z))) {
          say("There is no floor to walk on.", "refused");
          walk(false);
        }
      }
    })();
    const press = (e: KeyboardEvent) => {
      if ((e.target as HTMLElement).closest("input, textarea, [role=dialog], [role=menu]")) return;
      camera.getWorldDirection(ahead).setY(0).normalize();
      const { x, z } = feet;
      const steps: Record<string, () => void> = {
        ArrowUp: () => void step(STEP),
        ArrowDown: () => void step(-STEP),
        ArrowLeft: () => {
          ahead.applyAxisAngle(new Vector3(0, 1, 0), TURN);
          stand(x, z, feet.y);
        },
        ArrowRight: () => {
          ahead.applyAxisAngle(new Vector3(0, 1, 0), -TURN);
          stand(x, z, feet.y);
        },
        Escape: () => walk(false),
      };
      if (!steps[e.key]) return;
      e.preventDefault();
      e.stopPropagation();
      steps[e.key]();
    };
    addEventListener("keydown", press, true);
    return () => removeEventListener("keydown", press, true);
  }, [walking, camera, controls, invalidate]);
}

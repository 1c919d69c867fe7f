import { useThree } from "@react-three/fiber";
import { useCallback, useEffect, useRef } from "react";

/** So long nothing moves before a picture is made finer, ms. */
const STILL = 300;

/**
 * Says when the picture rests: nothing has moved for a while, and nobody holds it.
 *
 * @param wanted whether it is to be made finer then
 */
export function useRest(wanted: boolean) {
  const { gl, invalidate } = useThree();
  const fine = useRef(false);
  const resting = useRef(0);
  const pressed = useRef(false);
  const rest = useCallback(() => {
    gl.domElement.dataset.refined = "no";
    clearTimeout(resting.current);
    if (!wanted) return;
    resting.current = window.setTimeout(() => {
      if (pressed.current) return; // whoever holds it goes on
      fine.current = true;
      invalidate();
    }, STILL);
  }, [gl, wanted, invalidate]);
  useEffect(() => {
    const down = () => (pressed.current = true);
    const up = () => {
      if (pressed.current) rest();
      pressed.current = false;
    };
    const canvas = gl.domElement;
    canvas.addEventListener("pointerdown", down);
    addEventListener("pointerup", up, true);
    addEventListener("pointercancel", up, true);
    return () => {
      clearTimeout(resting.current);
      canvas.removeEventListener("pointerdown", down);
      removeEventListener("pointerup", up, true);
      removeEventListener("pointercancel", up, true);
    };
  }, [gl, rest]);
  return { fine, rest, pressed };
}

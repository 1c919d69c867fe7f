import { useEffect, useRef, useState } from "react";
import type { Lighting } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import { between } from "./fade";

/** Light that is asked for sooner than this after a fade was is that which fades, ms. */
const SOON = 5000;

/** The light as it fades to what it shall be, where it was asked to. */
export function useFading(light: Lighting | undefined): Lighting | undefined {
  const [shown, setShown] = useState(light);
  const now = useRef(light);
  useEffect(() => {
    const { fade } = useSheet.getState();
    const from = now.current;
    if (!light || !from || !fade || performance.now() - fade.at > SOON || fade.seconds === 0) {
      now.current = light;
      setShown(light);
      return;
    }
    useSheet.setState({ fade: null });
    const began = performance.now();
    let next = 0;
    const step = () => {
      const t = (performance.now() - began) / 1000 / fade.seconds;
      now.current = between(from, light, t);
      setShown(now.current);
      if (t < 1) next = requestAnimationFrame(step);
    };
    step();
    return () => cancelAnimationFrame(next);
  }, [light]);
  return shown;
}

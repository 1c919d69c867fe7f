import { useGesture } from "@use-gesture/react";
import type { Margins } from "./margins";
import { useCallback, useEffect, useRef, useState } from "react";

/** Where the sheet lies under the window: its middle in metres, and pixels a metre. */
export interface Eye {
  x: number;
  y: number;
  scale: number;
}

export interface Point {
  x: number;
  y: number;
}

/** Two fingers: their middle, how far they are apart, and what that was before. */
interface Pinch {
  origin: [number, number];
  da: [number, number];
  memo?: { x: number; y: number; wide: number };
}

/** A drawing one can pan and zoom: the frame, where one looks, and the way between pixels and metres. */
export function usePaper() {
  const frame = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ w: 0, h: 0 });
  const [eye, setEye] = useState<Eye | null>(null);

  useEffect(() => {
    const watch = new ResizeObserver(([e]) => setSize({ w: e.contentRect.width, h: e.contentRect.height }));
    watch.observe(frame.current!);
    return () => watch.disconnect();
  }, []);

  const pinched = useRef(false);
  const zoom = (by: number, x: number, y: number) =>
    setEye((v) => {
      if (!v) return v;
      const box = frame.current!.getBoundingClientRect();
      const scale = Math.min(2000, Math.max(4, v.scale * by));
      const px = x - box.left - box.width / 2;
      const py = y - box.top - box.height / 2;
      return { x: v.x + px / v.scale - px / scale, y: v.y + py / v.scale - py / scale, scale };
    });
  useGesture(
    {
      onWheel: ({ event, delta: [, down] }) => {
        event.preventDefault();
        zoom(Math.exp(-down * 0.0015), event.clientX, event.clientY);
      },
      onPinchStart: () => {
        pinched.current = true;
      },
      // two fingers zoom about their middle, and move the sheet with it
      onPinch: ({ origin: [x, y], da: [wide], memo }: Pinch) => {
        const before = memo ?? { x, y, wide };
        setEye((v) => v && { ...v, x: v.x - (x - before.x) / v.scale, y: v.y - (y - before.y) / v.scale });
        zoom(wide / Math.max(1, before.wide), x, y);
        return { x, y, wide };
      },
      onPointerDown: ({ event }) => {
        // the first finger of the next touch
        if (event.isPrimary) pinched.current = false;
      },
    },
    { target: frame, eventOptions: { passive: false }, pinch: { pinchOnWheel: false } },
  );
  /** Whether two fingers zoom, or did until both are lifted; then they press nothing. */
  const pinching = () => pinched.current;

  /** Looks at an extent (least and greatest x and y, metres) with so much left free around it. */
  const look = useCallback(
    (extent: number[], free: Margins) => {
      const [x0, y0, x1, y1] = extent;
      const scale = Math.min(
        Math.max(40, size.w - free.left - free.right) / Math.max(0.1, x1 - x0),
        Math.max(40, size.h - free.top - free.bottom) / Math.max(0.1, y1 - y0),
      );
      setEye({
        x: (x0 + x1) / 2 + (free.right - free.left) / 2 / scale,
        y: (y0 + y1) / 2 + (free.bottom - free.top) / 2 / scale,
        scale,
      });
    },
    [size.w, size.h],
  );

  const toPaper = (e: { clientX: number; clientY: number }): Point => {
    const box = frame.current!.getBoundingClientRect();
    return {
      x: eye!.x + (e.clientX - box.left - size.w / 2) / eye!.scale,
      y: eye!.y + (e.clientY - box.top - size.h / 2) / eye!.scale,
    };
  };
  const toPixel = (x: number, y: number) => ({
    left: (x - eye!.x) * eye!.scale + size.w / 2,
    top: (y - eye!.y) * eye!.scale + size.h / 2,
  });
  const transform = eye
    ? `translate(${size.w / 2} ${size.h / 2}) scale(${eye.scale}) translate(${-eye.x} ${-eye.y})`
    : "";
  return { frame, size, eye, setEye, look, toPaper, toPixel, transform, pinching };
}

export type Paper = ReturnType<typeof usePaper>;

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

  useEffect(() => {
    const el = frame.current!;
    const wheel = (e: WheelEvent) => {
      e.preventDefault();
      setEye((v) => {
        if (!v) return v;
        const box = el.getBoundingClientRect();
        const scale = Math.min(2000, Math.max(4, v.scale * Math.exp(-e.deltaY * 0.0015)));
        const px = e.clientX - box.left - box.width / 2;
        const py = e.clientY - box.top - box.height / 2;
        return { x: v.x + px / v.scale - px / scale, y: v.y + py / v.scale - py / scale, scale };
      });
    };
    el.addEventListener("wheel", wheel, { passive: false });
    return () => el.removeEventListener("wheel", wheel);
  }, []);

  /** Looks at an extent (least and greatest x and y, metres) with so many pixels left free around it. */
  const look = useCallback(
    (extent: number[], margin: number) => {
      const [x0, y0, x1, y1] = extent;
      const scale = Math.min(
        Math.max(40, size.w - 2 * margin) / Math.max(0.1, x1 - x0),
        Math.max(40, size.h - 2 * margin - 8) / Math.max(0.1, y1 - y0),
      );
      setEye({ x: (x0 + x1) / 2, y: (y0 + y1) / 2 - 4 / scale, scale });
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
  return { frame, size, eye, setEye, look, toPaper, toPixel, transform };
}

export type Paper = ReturnType<typeof usePaper>;

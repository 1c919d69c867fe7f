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

  const fingers = useRef(new Map<number, { x: number; y: number }>());
  const pinched = useRef(false);
  useEffect(() => {
    const el = frame.current!;
    const zoom = (by: number, x: number, y: number) =>
      setEye((v) => {
        if (!v) return v;
        const box = el.getBoundingClientRect();
        const scale = Math.min(2000, Math.max(4, v.scale * by));
        const px = x - box.left - box.width / 2;
        const py = y - box.top - box.height / 2;
        return { x: v.x + px / v.scale - px / scale, y: v.y + py / v.scale - py / scale, scale };
      });
    const wheel = (e: WheelEvent) => {
      e.preventDefault();
      zoom(Math.exp(-e.deltaY * 0.0015), e.clientX, e.clientY);
    };
    const down = fingers.current;
    const span = () => {
      const [a, b] = [...down.values()];
      return { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, wide: Math.hypot(a.x - b.x, a.y - b.y) };
    };
    const touch = (e: PointerEvent) => {
      if (e.pointerType === "touch") down.set(e.pointerId, { x: e.clientX, y: e.clientY });
      pinched.current ||= down.size > 1;
    };
    const move = (e: PointerEvent) => {
      if (!down.has(e.pointerId)) return;
      const before = down.size === 2 ? span() : null;
      down.set(e.pointerId, { x: e.clientX, y: e.clientY });
      if (!before) return;
      const now = span();
      setEye(
        (v) => v && { ...v, x: v.x - (now.x - before.x) / v.scale, y: v.y - (now.y - before.y) / v.scale },
      );
      zoom(now.wide / Math.max(1, before.wide), now.x, now.y);
    };
    const lift = (e: PointerEvent) => {
      down.delete(e.pointerId);
      if (down.size === 0) pinched.current = false;
    };
    el.addEventListener("wheel", wheel, { passive: false });
    el.addEventListener("pointerdown", touch, true);
    el.addEventListener("pointermove", move, true);
    for (const end of ["pointerup", "pointercancel"] as const) addEventListener(end, lift);
    return () => {
      el.removeEventListener("wheel", wheel);
      el.removeEventListener("pointerdown", touch, true);
      el.removeEventListener("pointermove", move, true);
      for (const end of ["pointerup", "pointercancel"] as const) removeEventListener(end, lift);
    };
  }, []);
  /** Whether two fingers zoom, or did until both are lifted; then they press nothing. */
  const pinching = () => pinched.current;

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
  return { frame, size, eye, setEye, look, toPaper, toPixel, transform, pinching };
}

export type Paper = ReturnType<typeof usePaper>;

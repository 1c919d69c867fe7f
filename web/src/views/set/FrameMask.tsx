import Box from "@mui/material/Box";
import { useLayoutEffect, useRef, useState } from "react";
import { useSheet } from "../../store/sheet";

/** What falls outside of the picture of a viewpoint is dimmed. */
export function FrameMask() {
  const ratio = useSheet((s) => {
    const v = s.space!.showing.viewpoints.find((o) => o.id === s.viewpoint?.view.id);
    return v?.group === "kept" ? v.frame.ratio : 0;
  });
  const ref = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const box = ref.current;
    if (!box) return;
    const watch = new ResizeObserver(() => setSize({ width: box.clientWidth, height: box.clientHeight }));
    watch.observe(box);
    return () => watch.disconnect();
  }, [ratio]);
  if (ratio === 0) return null;
  const { width, height } = size;
  const wide = Math.min(width, height * ratio);
  const high = Math.min(height, width / ratio);
  const dim = { position: "absolute", bgcolor: "rgba(38, 34, 30, 0.5)" } as const;
  return (
    <Box
      ref={ref}
      data-testid="picture-frame"
      data-picture={`${Math.round(wide)}x${Math.round(high)}`}
      sx={{ position: "absolute", inset: 0, pointerEvents: "none" }}
    >
      <Box sx={{ ...dim, inset: `0 auto 0 0`, width: (width - wide) / 2 }} />
      <Box sx={{ ...dim, inset: `0 0 0 auto`, width: (width - wide) / 2 }} />
      <Box sx={{ ...dim, inset: `0 0 auto 0`, height: (height - high) / 2 }} />
      <Box sx={{ ...dim, inset: `auto 0 0 0`, height: (height - high) / 2 }} />
      <Box
        sx={{
          position: "absolute",
          left: (width - wide) / 2,
          top: (height - high) / 2,
          width: wide,
          height: high,
          border: "1px solid rgba(255, 252, 246, 0.8)",
        }}
      />
    </Box>
  );
}

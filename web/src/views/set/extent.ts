import { useMemo } from "react";
import { useSheet } from "../../store/sheet";

/** The middle of the floor, and how far everything is from it at most. */
export function useExtent() {
  const shell = useSheet((s) => s.space!.shell);
  return useMemo(() => {
    const xs = shell.outline.map((p) => p.x);
    const zs = shell.outline.map((p) => p.z);
    const centre: [number, number, number] = [
      (Math.min(...xs) + Math.max(...xs)) / 2,
      0,
      (Math.min(...zs) + Math.max(...zs)) / 2,
    ];
    const reach = Math.hypot(Math.max(...xs) - Math.min(...xs), Math.max(...zs) - Math.min(...zs)) / 2;
    return { centre, half: reach + 0.5 };
  }, [shell.outline]);
}

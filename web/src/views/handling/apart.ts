import type { HandlesMarkAt, Vec } from "../../api/types.gen";

/** Marks nearer to each other than this cannot be told apart, pixels. */
const APART = 15;

/**
 * Of marks over each other the one in the middle of them, and of those close by the one that is chosen, or
 * says least; on the plan those of the foot.
 */
export function apart(
  marks: HandlesMarkAt[],
  pixel: (v: Vec) => { left: number; top: number },
  plan: boolean,
  chosen: string | null,
): { mark: HandlesMarkAt; seen: boolean }[] {
  const there = new Map<string, HandlesMarkAt>();
  const foot = marks.filter((m) => m.hold.includes("under"));
  const upright = foot.every((m) => Math.abs(m.at.y - foot[0].at.y) < 1e-6);
  for (const m of plan && upright ? foot : marks) {
    const { left, top } = pixel(m.at);
    const key = `${Math.round(left / 3)} ${Math.round(top / 3)}`;
    const other = there.get(key);
    if (!other || sides(m) < sides(other)) there.set(key, m);
  }
  const rank = (m: HandlesMarkAt) => (m.hold === chosen ? -1 : m.hold.includes("under") ? 0 : 1);
  const seen: { left: number; top: number }[] = [];
  return [...there.values()]
    .sort((a, b) => rank(a) - rank(b))
    .map((mark) => {
      const at = pixel(mark.at);
      const free = seen.every((o) => Math.hypot(o.left - at.left, o.top - at.top) >= APART);
      if (free) seen.push(at);
      return { mark, seen: free };
    });
}

const sides = (m: HandlesMarkAt) => m.hold.split(" ").filter((w) => w !== "middle").length;

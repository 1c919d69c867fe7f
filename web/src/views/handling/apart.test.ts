import { describe, expect, it } from "vitest";
import type { HandlesMarkAt } from "../../api/types.gen";
import { apart } from "./apart";

const WORDS = {
  x: ["left", "middle", "right"],
  y: ["under", "middle", "top"],
  z: ["back", "middle", "front"],
};

/** The 27 marks of a box of one metre, tipped over its left edge by so much. */
function marks(tipped: number): HandlesMarkAt[] {
  const [c, s] = [Math.cos((tipped * Math.PI) / 180), Math.sin((tipped * Math.PI) / 180)];
  return [0, 1, 2].flatMap((i) =>
    [0, 1, 2].flatMap((j) =>
      [0, 1, 2].map((k) => {
        const [x, y, z] = [i / 2, j / 2, k / 2];
        return {
          hold: `${WORDS.x[i]} ${WORDS.z[k]} ${WORDS.y[j]}`,
          at: { x: c * x - s * y, y: s * x + c * y, z },
        } as HandlesMarkAt;
      }),
    ),
  );
}

/** From above, so many pixels a metre. */
const plan = (scale: number) => (v: { x: number; z: number }) => ({ left: v.x * scale, top: v.z * scale });
const seen = (tipped: number, scale: number, chosen: string | null = null) =>
  apart(marks(tipped), plan(scale), true, chosen)
    .filter((m) => m.seen)
    .map((m) => m.mark);

describe("marks that can be told apart", () => {
  it("are the nine of the foot while it stands upright", () => {
    expect(seen(0, 100)).toHaveLength(9);
    expect(seen(0, 100).every((m) => m.hold.includes("under"))).toBe(true);
  });

  it("are never nearer than 15 pixels after a tip, whatever the scale, and none of all is lost", () => {
    for (const tipped of [5, 20, 45, 70])
      for (const scale of [30, 60, 100, 300]) {
        const shown = seen(tipped, scale).map((m) => plan(scale)(m.at));
        shown.forEach((a, i) =>
          shown.slice(i + 1).forEach((b) => {
            expect(Math.hypot(a.left - b.left, a.top - b.top)).toBeGreaterThanOrEqual(15);
          }),
        );
        // those that are not shown come as one comes near: they are there, beside one that is
        for (const { mark } of apart(marks(tipped), plan(scale), true, null)) {
          const at = plan(scale)(mark.at);
          expect(shown.some((o) => Math.hypot(o.left - at.left, o.top - at.top) < 15)).toBe(true);
        }
      }
    expect(seen(20, 30).length).toBeLessThan(seen(20, 300).length);
  });

  it("are first of all the one that is chosen", () => {
    const chosen = "middle middle top";
    expect(seen(20, 20, chosen)[0].hold).toBe(chosen);
  });
});

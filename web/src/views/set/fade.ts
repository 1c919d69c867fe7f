import type { DrawnLamp, Lighting, LinearColour } from "../../api/types.gen";

const mix = (a: number, b: number, t: number) => a + (b - a) * t;

/** What is seen as a steady change is one by the same factor in the same time. */
const steady = (a: number, b: number, t: number) => (a > 0 && b > 0 ? a * (b / a) ** t : mix(a, b, t));

const colour = (a: LinearColour, b: LinearColour, t: number): LinearColour => ({
  red: mix(a.red, b.red, t),
  green: mix(a.green, b.green, t),
  blue: mix(a.blue, b.blue, t),
});

const dimmed = (l: DrawnLamp, share: number): DrawnLamp => ({
  ...l,
  candela: l.candela * share,
  lux: l.lux * share,
});

const same = (a: DrawnLamp, b: DrawnLamp) =>
  a.piece === b.piece && a.edge === b.edge && a.at.x === b.at.x && a.at.y === b.at.y && a.at.z === b.at.z;

/** Lamps on their way from one state to another: those that go are out before those that come are up. */
function lamps(from: DrawnLamp[], to: DrawnLamp[], t: number): DrawnLamp[] {
  const going = from.filter((a) => !to.some((b) => same(a, b)));
  const coming = to.filter((b) => !from.some((a) => same(a, b)));
  const staying = to
    .filter((b) => !coming.includes(b))
    .map((b) => {
      const a = from.find((o) => same(o, b))!;
      const now = { ...b, candela: mix(a.candela, b.candela, t), lux: mix(a.lux, b.lux, t) };
      return { ...now, colour: colour(a.colour, b.colour, t) };
    });
  const passing = t < 0.5 ? going.map((a) => dimmed(a, 1 - 2 * t)) : coming.map((b) => dimmed(b, 2 * t - 1));
  return [...staying, ...passing];
}

/**
 * Light on its way from one state to another.
 *
 * @param t how far it is, from 0 to 1
 */
export function between(from: Lighting, to: Lighting, t: number): Lighting {
  if (t >= 1) return to;
  const sun = to.sun ?? from.sun;
  const lux = mix(from.sun?.lux ?? 0, to.sun?.lux ?? 0, t);
  return {
    ...to,
    sun: sun && { ...sun, lux },
    sky: mix(from.sky, to.sky, t),
    skyColour: colour(from.skyColour, to.skyColour, t),
    around: steady(from.around, to.around, t),
    aroundColour: colour(from.aroundColour, to.aroundColour, t),
    used: steady(from.used, to.used, t),
    lamps: lamps(from.lamps, to.lamps, t),
  };
}

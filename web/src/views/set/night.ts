/** What is seen outside of windows at night. */
export const NIGHT = "#14171D";

/** A colour between two, as #RRGGBB. */
export function mix(from: string, to: string, share: number): string {
  const at = (c: string, i: number) => parseInt(c.slice(1 + 2 * i, 3 + 2 * i), 16);
  const channel = (i: number) => Math.round(at(from, i) + (at(to, i) - at(from, i)) * share);
  return "#" + [0, 1, 2].map((i) => channel(i).toString(16).padStart(2, "0")).join("");
}

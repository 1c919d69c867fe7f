/** Half a number as it stands on a drawing, pixels, and what is left free around it. */
const HALF = { wide: 22, high: 9 };
const FREE = 4;

/**
 * Where the number of a distance stands: in the middle of its line, or, if that is too short for it,
 * beyond its end, where it covers nothing of what is measured.
 */
export function labelAt(from: { x: number; y: number }, to: { x: number; y: number }) {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const length = Math.hypot(dx, dy);
  if (length < 1) return to;
  const [ux, uy] = [dx / length, dy / length];
  const half = Math.abs(ux) * HALF.wide + Math.abs(uy) * HALF.high;
  if (length > 2 * half) return { x: from.x + dx / 2, y: from.y + dy / 2 };
  return { x: to.x + ux * (half + FREE), y: to.y + uy * (half + FREE) };
}

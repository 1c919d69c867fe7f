/** Least and greatest of points x, y, x, y…, with so much more around. */
export function around(points: number[], more: number): number[] {
  const xs = points.filter((_, i) => i % 2 === 0);
  const ys = points.filter((_, i) => i % 2 === 1);
  return [Math.min(...xs) - more, Math.min(...ys) - more, Math.max(...xs) + more, Math.max(...ys) + more];
}

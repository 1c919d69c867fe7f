/** A closed ring x, y, x, y… as an SVG path. */
export function ring(points: number[]): string {
  let d = "";
  for (let i = 0; i < points.length; i += 2) d += (i === 0 ? "M" : "L") + points[i] + " " + points[i + 1];
  return d + "Z";
}

/** Segments x1, y1, x2, y2 as an SVG path. */
export function segments(lines: number[][]): string {
  return lines.map((l) => `M${l[0]} ${l[1]}L${l[2]} ${l[3]}`).join("");
}

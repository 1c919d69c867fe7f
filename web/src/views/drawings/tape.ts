/** Corners of tape around a footprint, and a tick at its front: segments x1, z1, x2, z2. */
export function tapeMarks(width: number, depth: number, gap: number, arm: number): number[][] {
  const x = width / 2 + gap;
  const z = depth / 2 + gap;
  const marks: number[][] = [];
  for (const sx of [-1, 1]) {
    for (const sz of [-1, 1]) {
      marks.push([sx * x, sz * z, sx * (x - arm), sz * z], [sx * x, sz * z, sx * x, sz * (z - arm)]);
    }
  }
  marks.push([0, z, 0, z + arm * 0.8]);
  return marks;
}

/** Those who draw surfaces: told when a tile has arrived, so that they draw once more. */
const drawers = new Set<() => void>();

export function onArrival(draw: () => void): () => void {
  drawers.add(draw);
  return () => {
    drawers.delete(draw);
  };
}

export const arrived = () => drawers.forEach((draw) => draw());

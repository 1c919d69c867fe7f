/** A text on a drawing as a box: its middle and its size, pixels. */
export interface Block {
  x: number;
  y: number;
  wide: number;
  high: number;
}

/** Left free between two, pixels. */
const GAP = 1;

/** How wide a text of so many letters is, pixels, at size 12. */
export const wide = (text: string) => text.length * 6.6 + 8;

function overlap(a: Block, b: Block): number {
  const x = (a.wide + b.wide) / 2 + GAP - Math.abs(a.x - b.x);
  const y = (a.high + b.high) / 2 + GAP - Math.abs(a.y - b.y);
  return x > 0 && y > 0 ? x * y : 0;
}

const covered = (block: Block, taken: Block[]) => taken.reduce((sum, t) => sum + overlap(block, t), 0);

export const isClear = (block: Block, taken: Block[]) => taken.every((t) => overlap(block, t) === 0);

/** Of several places for a text the first that covers nothing, or else the one that covers least. */
export function clearest<T extends Block>(places: T[], taken: Block[]): T {
  let best = places[0];
  let least = Infinity;
  for (const place of places) {
    const now = covered(place, taken);
    if (now < least) {
      best = place;
      least = now;
    }
    if (now === 0) break;
  }
  return best;
}

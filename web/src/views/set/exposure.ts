/** How bright a picture should be on the whole, 0 to 1 as it is seen. */
const WANTED = 0.64;

/** The same where it is drawn as it is lit: an evening is no noon. */
export const WANTED_LIT = 0.52;

/** It is let alone when it is nearly so, and never made darker or lighter than this: a dark room stays one. */
const NEARLY = 0.05;
const LEAST = 0.6;
const MOST = 1.9;

/** What of a step is taken at once, so that it does not go to and fro. */
const STEP = 0.7;

/** The exposure at which a picture of a brightness comes nearer to what is wanted. */
export function exposed(now: number, bright: number, wanted = WANTED): number {
  if (!(bright > 0) || Math.abs(bright - wanted) < NEARLY) return now;
  // what is seen goes with about the root of the light
  const next = now * (wanted / bright) ** (2 * STEP);
  const held = Math.max(LEAST, Math.min(MOST, next));
  return Math.abs(held / now - 1) < NEARLY ? now : held;
}

const small = document.createElement("canvas");
small.width = 24;
small.height = 16;

/** How bright a picture is that was only now drawn, 0 to 1; where nothing is drawn does not count. */
export function brightness(picture: HTMLCanvasElement): number {
  const pen = small.getContext("2d", { willReadFrequently: true })!;
  pen.clearRect(0, 0, small.width, small.height);
  pen.drawImage(picture, 0, 0, small.width, small.height);
  const { data } = pen.getImageData(0, 0, small.width, small.height);
  let sum = 0;
  let all = 0;
  for (let y = 0; y < small.height; y++) {
    for (let x = 0; x < small.width; x++) {
      const i = 4 * (y * small.width + x);
      // the middle is what one looks at
      const middle = 1 - 0.7 * Math.hypot(x / small.width - 0.5, y / small.height - 0.5);
      const weight = (middle * data[i + 3]) / 255;
      sum += (weight * (0.2126 * data[i] + 0.7152 * data[i + 1] + 0.0722 * data[i + 2])) / 255;
      all += weight;
    }
  }
  return all > 0 ? sum / all : WANTED;
}

/** Two clicks so soon after one another are a double click, milliseconds; */
const SOON = 400;
/** so near, pixels. */
const NEAR = 5;

let last = { at: -Infinity, x: 0, y: 0 };

/** Whether this click is the second of two in one place. */
export function twice(e: { clientX: number; clientY: number; timeStamp: number }): boolean {
  const again = e.timeStamp - last.at < SOON && Math.hypot(e.clientX - last.x, e.clientY - last.y) < NEAR;
  // a third one begins anew
  last = { at: again ? -Infinity : e.timeStamp, x: e.clientX, y: e.clientY };
  return again;
}

/** Two clicks so soon after one another are a double click, milliseconds; */
const SOON = 400;
/** so near, pixels. */
const NEAR = 5;

interface Click {
  clientX: number;
  clientY: number;
  timeStamp: number;
  shiftKey: boolean;
  ctrlKey: boolean;
  metaKey: boolean;
}

let last: Click | null = null;

/** Whether one click and another mean the same: one that takes one more is not half of a double click. */
const alike = (a: Click, b: Click) =>
  a.shiftKey === b.shiftKey && a.ctrlKey === b.ctrlKey && a.metaKey === b.metaKey;

/** Whether this click is the second of two in one place, with the same keys held. */
export function twice(e: Click): boolean {
  const again =
    last !== null &&
    e.timeStamp - last.timeStamp < SOON &&
    Math.hypot(e.clientX - last.clientX, e.clientY - last.clientY) < NEAR &&
    alike(last, e);
  const { clientX, clientY, timeStamp, shiftKey, ctrlKey, metaKey } = e;
  // a third one begins anew
  last = again ? null : { clientX, clientY, timeStamp, shiftKey, ctrlKey, metaKey };
  return again;
}

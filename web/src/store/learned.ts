const KEY = "pied.moved";
/** Done so often, it need not be told any more. */
const KNOWN = 3;

const times = () => Number(localStorage.getItem(KEY) ?? 0);

/** Whether this person has moved things a few times. */
export const canMove = () => times() >= KNOWN;

/** Something was picked up and put down. */
export const moved = () => localStorage.setItem(KEY, String(Math.min(KNOWN, times() + 1)));

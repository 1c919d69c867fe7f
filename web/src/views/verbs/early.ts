/** Keys that are typed before the sheet is ready to take them wait here. */
const MOST = 300;
let waiting: string[] | null = null;

const wait = (e: KeyboardEvent) => {
  if (e.ctrlKey || e.metaKey || e.altKey) return;
  if ((e.target as Element | null)?.closest?.("input, textarea, [role=dialog], [role=menu]")) return;
  if (waiting && waiting.length < MOST && (e.key.length === 1 || e.key === "Enter" || e.key === "Backspace"))
    waiting.push(e.key);
};
addEventListener("keydown", wait);

/** A sheet is on its way: what is typed from now on waits for it. */
export function waitForSheet() {
  waiting = [];
}

/** What was typed so far; from now on nothing waits. */
export function takeEarly(): string[] {
  const keys = waiting ?? [];
  waiting = null;
  return keys;
}

/** The text of keys up to Enter, and whether that was pressed. */
export function textOf(keys: string[]): { text: string; enter: boolean } {
  const end = keys.indexOf("Enter");
  let text = "";
  for (const k of end < 0 ? keys : keys.slice(0, end))
    text = k === "Backspace" ? text.slice(0, -1) : text + k;
  return { text, enter: end >= 0 };
}

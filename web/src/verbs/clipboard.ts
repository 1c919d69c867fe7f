import { create } from "zustand";
import { pickUp } from "../carry/carry";
import { useSheet } from "../space/sheet";

/** Pieces of the open space that are held ready to be pasted, the lead last; cut ones stay until then. */
const useClipboard = create<{ pieces: string[]; cut: boolean }>(() => ({ pieces: [], cut: false }));

function hold(cut: boolean) {
  const { selection, say } = useSheet.getState();
  if (selection.length === 0) return;
  useClipboard.setState({ pieces: selection, cut });
  const what = selection.length === 1 ? "It is" : `${selection.length} pieces are`;
  say(`${what} held ready; Ctrl+V ${cut ? "picks up what was cut" : "carries a copy"}.`);
}

export const clip = () => hold(false);
export const cut = () => hold(true);

/** Those that are still there. */
const there = () => useClipboard.getState().pieces.filter((id) => useSheet.getState().pieces.has(id));

export const isHeld = () => there().length > 0;
export const isCut = () => useClipboard.getState().cut;

/** In hand at the pointer, or a copy exactly where the first one is. */
export async function paste(inPlace: boolean) {
  const { select, edit, hush } = useSheet.getState();
  const pieces = there();
  if (pieces.length === 0) return;
  if (inPlace) {
    const changed = await edit([{ do: "copy", pieces, by: { x: 0, y: 0, z: 0 } }]);
    if (changed) select(changed.made);
    return;
  }
  hush();
  select(pieces);
  pickUp(null, !isCut());
  useClipboard.setState({ cut: false });
}

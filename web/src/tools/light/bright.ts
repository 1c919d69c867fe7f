import { api } from "../../api/client";
import { useSheet } from "../../store/sheet";
import { aim } from "../aim/aims";

/** How bright it is on top of what is selected; with nothing selected at a point that is clicked. */
export async function measureBrightness() {
  const { selection, pieces, space, say } = useSheet.getState();
  const [piece] = selection;
  if (selection.length !== 1 || !pieces.has(piece)) {
    aim("bright");
    return;
  }
  try {
    say((await api.topLux(space!.id, piece)).said);
  } catch (e) {
    say((e as Error).message, "refused");
  }
}

import type { Viewpoint } from "../../api/types.gen";
import { eyeNow } from "../../store/eye";
import { useSheet } from "../../store/sheet";

/** The viewpoint that was kept by an edit is looked from at once. */
async function keep(edit: Record<string, unknown>): Promise<boolean> {
  const before = new Set(useSheet.getState().space!.showing.viewpoints.map((v) => v.id));
  const done = await useSheet.getState().edit([{ do: "keepViewpoint", ...edit }]);
  const fresh = done?.showing?.viewpoints.find((v) => v.group === "kept" && !before.has(v.id));
  if (fresh) lookFrom(fresh);
  return done !== null;
}

/** Looks from a viewpoint; of one that is kept the caption speaks then. */
export function lookFrom(view: Viewpoint) {
  const { goTo, select, large, setLarge, edit } = useSheet.getState();
  if (!large.includes("set")) setLarge([large[0], "set"]);
  select([]);
  goTo(view);
  if (view.look) void edit([{ do: "recallLook", look: view.look }]);
}

/** Keeps the set view as it is. */
export function keepView(): Promise<boolean> {
  const eye = eyeNow();
  const { lifted, say } = useSheet.getState();
  if (eye) return keep({ eye: eye.eye, target: eye.target, lifted });
  say("Open the set view first: it is what is kept.", "refused");
  return Promise.resolve(false);
}

/** A viewpoint that is kept is as the set view is now. */
export function keepAnew(viewpoint: string) {
  const eye = eyeNow();
  const { lifted, edit } = useSheet.getState();
  if (eye) void edit([{ do: "viewpoint", viewpoint, eye: eye.eye, target: eye.target, lifted }]);
}

/** From where somebody is who sits on what is selected, or stands there. */
export const keepFrom = (piece: string) => keep({ from: piece });

/** From one point of the plan to another. */
export const keepBetween = (
  stand: { x: number; z: number },
  to: { x: number; z: number },
): Promise<boolean> => keep({ stand, to });

/** The next viewpoint that is kept, or the one before. */
export function stepViewpoint(by: 1 | -1) {
  const { space, viewpoint, say } = useSheet.getState();
  const kept = space!.showing.viewpoints.filter((v) => v.group === "kept");
  if (kept.length === 0) {
    say("No viewpoint is kept yet. Turn the set view as it should be, and keep it.", "refused");
    return;
  }
  const at = kept.findIndex((v) => v.id === viewpoint?.view.id);
  lookFrom(kept[at < 0 ? (by > 0 ? 0 : kept.length - 1) : (at + by + kept.length) % kept.length]);
}

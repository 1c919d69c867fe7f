import type { LookView } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";

/** The look that was called last, so that one can go on from it. */
let latest = "";

/** Lamps and day as they were kept; the set view fades to it. */
export function recall(look: LookView) {
  const { edit, light, fadeNext } = useSheet.getState();
  light(true);
  fadeNext(look.fade);
  latest = look.id;
  void edit([{ do: "recallLook", look: look.id }]);
}

/** The next look, or the one before. */
export function stepLook(by: 1 | -1) {
  const { space, say } = useSheet.getState();
  const looks = space!.showing.looks;
  if (looks.length === 0) {
    say("No look is kept yet. Set the lamps as they should be, and keep them in the leaf Light.", "refused");
    return;
  }
  const at = looks.findIndex((l) => l.id === latest);
  const to = at < 0 ? (by > 0 ? 0 : looks.length - 1) : at + by;
  if (to < 0 || to >= looks.length) {
    say(`${looks[at].name} is the ${by > 0 ? "last" : "first"} look.`);
    return;
  }
  recall(looks[to]);
  say(`${looks[to].name}, in ${looks[to].fade} s.`);
}

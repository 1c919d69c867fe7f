import { lastPointer } from "../../store/lastPoint";
import { useSheet } from "../../store/sheet";
import { clickFinish, endFinishing, isFinishing, takeUp } from "../finish/finish";
import { lastSight } from "../finish/sights";
import type { Verb } from "./verb";

/** What parts are made of. */
export const FINISH_VERBS: Verb[] = [
  {
    word: "Take the finish up",
    mode: "sheet",
    keys: [","],
    help: "That of the part under the pointer, or of the one that is clicked; every click then gives it to another.",
    does: () => {
      if (isFinishing()) {
        endFinishing();
        return;
      }
      takeUp();
      const sight = lastPointer() ? lastSight() : null;
      if (sight) void clickFinish(sight);
    },
  },
  {
    word: "Finishes",
    mode: "sheet",
    keys: ["'"],
    help: "What parts can be made of: drag one onto a part, a wall, the floor.",
    does: () => useSheet.getState().setTab("finishes"),
  },
];

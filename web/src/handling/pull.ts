import type { PointerEvent } from "react";
import type { EditUnion as Edit, Side } from "../api/types.gen";
import { useSheet } from "../space/sheet";
import { giveUp, tryOut } from "../space/trial";
import type { Pointed } from "./aims";
import { drag } from "./drag";
import { aboutNow, holdNow, togetherNow, useHandling } from "./handling";

/** Tries what a drag would do as it goes on, and does it where it ends. */
function dragged(
  e: PointerEvent,
  sight: (e: globalThis.PointerEvent) => Pointed | null,
  edit: (at: Pointed, free: boolean, grip: Pointed | null) => Edit,
) {
  let last: Edit | null = null;
  const grip = sight(e.nativeEvent);
  drag(
    e,
    (m) => {
      const at = sight(m);
      if (!at) return;
      last = edit(at, m.altKey, grip);
      tryOut([last]);
    },
    (moved) => {
      if (moved && last) void useSheet.getState().edit([last]).then(giveUp);
      else giveUp();
    },
  );
}

/** Pulls a side of a piece; with Alt nothing snaps. */
export function pull(
  e: PointerEvent,
  piece: string,
  side: Side,
  sight: (e: globalThis.PointerEvent) => Pointed | null,
) {
  dragged(e, sight, ({ ray, near }, free, grip) => {
    return {
      do: "pullSide",
      piece,
      side,
      ray,
      grip: grip?.ray,
      near: free ? 0 : near,
      together: togetherNow(),
      hold: holdNow(),
    };
  });
}

/** Turns the front of the lead toward the pointer, in steps, and the others as much; with Alt in none. */
export function dial(e: PointerEvent, sight: (e: globalThis.PointerEvent) => Pointed | null) {
  const pieces = useSheet.getState().selection;
  dragged(e, sight, ({ ray }, free) => {
    const { step } = useHandling.getState();
    return {
      do: "face",
      what: "point",
      pieces,
      together: true,
      ray,
      step: free ? 0 : step,
      about: aboutNow(),
    };
  });
}

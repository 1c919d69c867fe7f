import type { PointerEvent } from "react";
import type { EditUnion as Edit, Side } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import { giveUp, tryOut } from "../../tools/propose/trial";
import type { Pointed } from "../../tools/aim/aims";
import { drag } from "./drag";
import { aboutNow, holdNow, togetherNow, useHandling } from "../../store/handling";

/**
 * Tries the edit that a drag makes as it goes on, and does it where it ends.
 *
 * @param edit what the pointer makes where it is; null where it points at nothing
 */
export function dragEdit(e: PointerEvent, edit: (m: globalThis.PointerEvent) => Edit | null) {
  let last: Edit | null = null;
  drag(
    e,
    (m) => {
      const now = edit(m);
      if (!now) return;
      last = now;
      tryOut([last]);
    },
    (moved) => {
      if (moved && last) void useSheet.getState().edit([last]).then(giveUp);
      else giveUp();
    },
  );
}

/** The same by what is pointed at. */
function dragged(
  e: PointerEvent,
  sight: (e: globalThis.PointerEvent) => Pointed | null,
  edit: (at: Pointed, free: boolean, grip: Pointed | null) => Edit,
) {
  const grip = sight(e.nativeEvent);
  dragEdit(e, (m) => {
    const at = sight(m);
    return at && edit(at, m.altKey, grip);
  });
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

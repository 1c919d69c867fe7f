import type { EditUnion as Edit } from "../../api/types.gen";
import { dropCarry, useCarry } from "../carry/carry";
import { abandon, useDraft } from "../draft/draft";
import { useSheet } from "../../store/sheet";
import type { Tool } from "../../store/inHand";
import { stepOf } from "../carry/facing";
import { endAim } from "../aim/aims";
import { aboutNow, useHandling } from "../../store/handling";
import { dropBand, useBand } from "../select/band";
import { chosenNow, selectMeant } from "../../store/selecting";
import { twice } from "../../store/twice";
import { groupOf, groupsAbout, keptAs } from "../../store/kept";
import { isProposing } from "../propose/proposal";
import { giveUp } from "../propose/trial";

/** What building something there is, as an edit. */
export function toolEdit(tool: Tool, at: { x: number; z: number }, within: number): Edit {
  switch (tool) {
    case "column":
    case "platform":
    case "bar":
      return { do: tool, at };
    case "steps":
    case "ramp":
      return { do: "flight", kind: tool, at };
    case "datum":
      return { do: "datum", to: at, mark: true, within };
    default:
      return { do: "opening", kind: tool, at };
  }
}

/** Builds what is in hand; it becomes the selection. With {@code more} another one is in hand at once. */
export async function buildAt(at: { x: number; z: number }, within: number, more: boolean) {
  const before = useSheet.getState();
  const { tool, edit, build, selectPart } = before;
  if (!tool) return;
  giveUp();
  if (!more) build(null);
  const changed = await edit([toolEdit(tool, at, within)]);
  const { selection, part } = useSheet.getState();
  // who says something by now goes on saying it
  const untouched = part === before.part && selection.join() === before.selection.join() && !isProposing();
  if (changed?.part && untouched) selectPart(changed.part);
  else if (!changed && !more) build(tool); // refused: it is still in hand
}

export function escape() {
  const s = useSheet.getState();
  if (useDraft.getState().purpose) {
    abandon();
  } else if (s.aiming) {
    endAim();
  } else if (s.placing || s.tool || s.ghosts.length > 0) {
    dropCarry();
    giveUp();
    s.place(null);
  } else if (useBand.getState().armed) {
    dropBand();
  } else if (useHandling.getState().at) {
    useHandling.setState({ at: null });
  } else if (s.inGroup !== null) {
    closeGroup();
  } else {
    s.select([]);
    s.hush();
  }
}

/** Opens the group that is selected, or in which what is selected is, to work on a part of it. */
export function openIt() {
  const { pieces, space, inGroup: open, openGroup, select } = useSheet.getState();
  const last = chosenNow().at(-1);
  if (!space || last === undefined) return;
  const about = groupsAbout(keptAs(last, pieces, space.filing).group, space.filing).map((g) => g.id);
  const inside = open === null ? about.length : about.indexOf(open);
  if (inside < 1) return;
  openGroup(about[inside - 1]);
  select([]);
}

/** Closes the group one works in; it is selected as a whole. */
export function closeGroup() {
  const { inGroup: open, space, openGroup } = useSheet.getState();
  if (open === null || !space) return;
  openGroup(groupOf(open, space.filing)?.in ?? null);
  void selectMeant({ by: "group", value: open });
}

/**
 * Whether this click is the second of two that look at something: where something is carried, or on a piece
 * while something is selected still.
 */
export const isSecondLook = (e: Parameters<typeof twice>[0], onPiece: () => unknown) =>
  twice(e) && (useCarry.getState().hand !== null || (Boolean(onPiece()) && chosenNow().length > 0));

/** A double click looks at the thing; what the first of the two picked up stays where it was. */
export function lookAtIt() {
  const { placing, selection, look } = useSheet.getState();
  if (placing) return;
  dropCarry();
  if (selection.length > 0) look("selection");
}

export function takeOff() {
  const s = useSheet.getState();
  if (chosenNow().length > 0) void s.edit([{ do: "attach", pieces: chosenNow() }]);
}

/** Whether what is selected is being turned. */
export const turning = () => useHandling.getState().at === "turn";

export function turnBy(degrees: number) {
  const s = useSheet.getState();
  if (s.placing) {
    s.place({ ...s.placing, turn: (s.placing.turn + degrees + 360) % 360 });
  } else if (chosenNow().length > 0) {
    void s.edit([
      { do: "turn", pieces: chosenNow(), by: degrees, about: turning() ? aboutNow() : undefined },
    ]);
  }
}

/** While it is turned the arrow keys turn it: to the left and up counter-clockwise, by a step of the dial. */
export function turnStep(right: number, up: number, fine: boolean) {
  turnBy((right < 0 || up > 0 ? 1 : -1) * (fine ? 1 : useHandling.getState().step));
}

/** Whether a part is of the outline, and no part that is built in. */
const isOutline = (part: string) => /^corner:|^wall:[A-Z]\d*$/.test(part);

/** Moves what is selected by so much on the drawing one looks at. */
export function moveBy(right: number, up: number) {
  const s = useSheet.getState();
  if (s.part && isOutline(s.part)) void s.edit([{ do: "shift", part: s.part, by: { x: right, z: -up } }]);
  else if (chosenNow().length > 0)
    void s.edit([{ do: "moveBy", pieces: chosenNow(), by: stepOf(right, up), stops: true }]);
}

export function remove() {
  const s = useSheet.getState();
  if (s.part && isOutline(s.part)) void s.edit([{ do: "removeParts", parts: [s.part] }]);
  else if (chosenNow().length > 0) void s.edit([{ do: "remove", pieces: chosenNow() }]);
}

export async function copy() {
  const s = useSheet.getState();
  if (chosenNow().length === 0) return;
  const changed = await s.edit([{ do: "copy", pieces: chosenNow() }]);
  if (changed && changed.made.length > 0) s.select(changed.made);
}

export function settle() {
  const s = useSheet.getState();
  if (chosenNow().length > 0) void s.edit([{ do: "settle", pieces: chosenNow() }]);
}

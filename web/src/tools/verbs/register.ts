import { useBand } from "../select/band";
import { useCarry } from "../carry/carry";
import { useDraft } from "../draft/draft";
import { useHandling } from "../../store/handling";
import { useSheet } from "../../store/sheet";
import { CARRY_VERBS } from "./carryVerbs";
import { AIM_VERBS, DRAFT_VERBS } from "./draftVerbs";
import { isProposing, useProposal } from "../propose/proposal";
import { FINISH_VERBS } from "./finishVerbs";
import { LOOK_VERBS } from "./lookVerbs";
import { PROPOSAL_VERBS } from "./manyVerbs";
import { SHEET_VERBS } from "./sheetVerbs";
import type { Mode, Verb } from "./verb";

/** Everything one can do, the likely first. */
export const VERBS: Verb[] = [
  ...SHEET_VERBS,
  ...FINISH_VERBS,
  ...LOOK_VERBS,
  ...CARRY_VERBS,
  ...DRAFT_VERBS,
  ...AIM_VERBS,
  ...PROPOSAL_VERBS,
];

/** What one is at. */
export function mode(): Mode {
  if (useDraft.getState().purpose) return "draft";
  if (useCarry.getState().hand) return "carry";
  if (useSheet.getState().aiming) return "aim";
  return isProposing() ? "propose" : "sheet";
}

/**
 * Whether a verb stands in the line and the menu. For parts of the shell alone only those do that are done to
 * them too; all others can be found and have their keys, and say why not.
 */
function hasPlace(v: Verb): boolean {
  const { parts, selection } = useSheet.getState();
  return parts.length === 0 || selection.length > 0 || v.applies === undefined || v.parts === true;
}

/** What can be done now. */
export function verbsNow(): Verb[] {
  const at = mode();
  const can = VERBS.filter((v) => v.applies?.() ?? true);
  const handling = useHandling.getState().at;
  const likely = (v: Verb) => (handling !== null && v.of === handling ? 0 : 1);
  const own = can
    .filter((v) => v.mode === at)
    .map((v) => (hasPlace(v) ? v : { ...v, seen: false }))
    .sort((a, b) => likely(a) - likely(b));
  return [...own, ...can.filter((v) => v.mode === "any")];
}

/** Comes anew whenever what can be done, or how it stands, may be another. */
export function useVerbs(): Verb[] {
  useSheet((s) => s.selection);
  useSheet((s) => s.parts);
  useSheet((s) => s.pieces);
  useSheet((s) => s.space);
  useSheet((s) => s.aiming);
  useSheet((s) => s.notice);
  useSheet((s) => s.inGroup);
  useSheet((s) => s.tab);
  useBand((s) => s.armed);
  useHandling((s) => s);
  useCarry((s) => s.hand);
  useCarry((s) => s.snaps);
  useCarry((s) => s.typing);
  useCarry((s) => s.answer?.levels);
  useDraft((s) => s.purpose);
  useDraft((s) => s.typed);
  useDraft((s) => s.corners);
  useProposal((s) => s);
  return verbsNow();
}

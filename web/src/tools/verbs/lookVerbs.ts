import { useSheet } from "../../store/sheet";
import { aim } from "../aim/aims";
import { measureBrightness } from "../light/bright";
import { stepLook } from "../light/looks";
import { openStills } from "../still/still";
import { keepFrom, keepView, stepViewpoint } from "../viewpoint/viewpoints";
import type { Verb } from "./verb";

const sheet = useSheet.getState;

/** Light, and where one looks from. */
export const LOOK_VERBS: Verb[] = [
  {
    word: "Light",
    mode: "sheet",
    keys: ["`"],
    help: "Lamps, looks and the day: switched, dimmed, kept.",
    does: () => {
      sheet().setTab("light");
      sheet().light(true);
    },
  },
  {
    word: "Next look",
    mode: "sheet",
    keys: ["&", "Shift+&"],
    help: "Fade to the next look that is kept.",
    does: () => stepLook(1),
  },
  {
    word: "Look before",
    mode: "sheet",
    keys: ["%", "Shift+%"],
    help: "Fade to the look before that.",
    does: () => stepLook(-1),
  },
  {
    word: "Aim at…",
    mode: "sheet",
    keys: ["(", "Shift+("],
    help: "Turn the heads of lanterns to what is clicked next; they follow it from then on.",
    applies: () => sheet().selection.some((id) => sheet().pieces.get(id)?.lamp),
    needs: "it takes a lantern that is selected.",
    does: () => aim("lantern"),
    seen: true,
  },
  {
    word: "Hours of sun",
    mode: "sheet",
    keys: [")", "Shift+)"],
    help: "How long the sun is on a point, on the day of the space: click it.",
    applies: () => !sheet().space?.shell.stage,
    needs: "the sun does not reach a stage.",
    does: () => aim("sun"),
  },
  {
    word: "Brightness",
    mode: "sheet",
    keys: ["~", "Shift+~"],
    help: "How bright it is, in lux: on top of what is selected, or at a point that is clicked.",
    does: () => void measureBrightness(),
  },
  {
    word: "Stand here, look there",
    mode: "sheet",
    keys: ["["],
    help: "Keep a viewpoint: click where to stand, then what to look to.",
    does: () => aim("stand"),
    seen: true,
  },
  {
    word: "Look from it",
    mode: "sheet",
    keys: ["{", "Shift+{"],
    help: "Keep a viewpoint of one who sits on it, or stands where it is, and looks where it faces.",
    applies: () => sheet().selection.length === 1,
    needs: "it takes one piece that is selected.",
    does: () => void keepFrom(sheet().selection[0]),
  },
  {
    word: "Keep this view",
    mode: "sheet",
    keys: ["]"],
    help: "Keep the set view as it is, to look from there again.",
    does: () => void keepView(),
  },
  {
    word: "Still",
    mode: "sheet",
    keys: ['"', 'Shift+"'],
    help: "A finished picture from a viewpoint or the set view: asked for, watched, kept, saved.",
    does: openStills,
  },
  {
    word: "See through",
    mode: "sheet",
    keys: ["\\"],
    help: "See through everything in the set view, or all but what is selected; the same once more ends it.",
    does: () => {
      const { through, selection, seeThrough } = sheet();
      seeThrough(through !== "nothing" ? "nothing" : selection.length > 0 ? "others" : "everything");
    },
  },
  {
    word: "Next viewpoint",
    mode: "sheet",
    keys: [">", "Shift+>"],
    help: "Look from the next viewpoint that is kept.",
    does: () => stepViewpoint(1),
  },
  {
    word: "Viewpoint before",
    mode: "sheet",
    keys: ["<", "Shift+<"],
    help: "Look from the viewpoint before that.",
    does: () => stepViewpoint(-1),
  },
];

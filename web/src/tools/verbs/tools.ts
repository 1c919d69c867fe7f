import type { Tool } from "../../store/inHand";

const WALL = "point at a wall and click";
const EDGE = "point at the edge of a platform and click";

/** What can be built, and how. */
export const TOOL_WORDS: Record<Tool, { words: string; hint: string }> = {
  door: { words: "Door", hint: WALL },
  doubleDoor: { words: "Double door", hint: WALL },
  slidingDoor: { words: "Sliding door", hint: WALL },
  window: { words: "Window", hint: WALL },
  opening: { words: "Opening", hint: WALL },
  niche: { words: "Niche", hint: WALL },
  column: { words: "Column", hint: "click where it stands" },
  platform: { words: "Platform", hint: "click where its middle goes" },
  steps: { words: "Steps", hint: EDGE },
  ramp: { words: "Ramp", hint: EDGE },
  bar: { words: "Bar", hint: "click how deep it hangs" },
  datum: { words: "Datum", hint: "click a corner, a middle or any mark; positions are read from it" },
};

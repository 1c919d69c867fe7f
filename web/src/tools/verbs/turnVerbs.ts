import type { FaceWhat } from "../../api/types.gen";
import { aim } from "../aim/aims";
import { ask } from "../aim/question";
import { aboutNow, handle, STEPS, useHandling } from "../../store/handling";
import { useSheet } from "../../store/sheet";
import { chosen, edit, pieces, several } from "./selected";
import { choice, type Verb } from "./verb";
import { turnBy } from "./verbs";

const face = (words: string, what: FaceWhat, away?: boolean) =>
  choice(words, () => edit({ do: "face", pieces: chosen(), what, away, about: aboutNow() }));

const lies = (words: string, toward: number, by: number) =>
  choice(words, () => edit({ do: "lean", pieces: chosen(), toward, by }));

const place = (words: string, to: Record<string, number | string>) =>
  choice(words, () => edit({ do: "moveTo", pieces: chosen(), to }));

const stage = () => Boolean(useSheet.getState().space?.shell.stage);

/** What has to do with how things are turned, and with where they are in numbers. */
export const TURN_VERBS: Verb[] = [
  {
    word: "Turn",
    mode: "sheet",
    of: "turn",
    keys: ["y"],
    help: "Turn it on a dial, about a mark that is chosen, by typed angles, or over its edges.",
    applies: pieces,
    does: () => handle("turn"),
    now: () => (useHandling.getState().at === "turn" ? "on" : ""),
    seen: true,
  },
  {
    word: "Eighth turn",
    mode: "sheet",
    of: "turn",
    keys: ["t"],
    help: "Turn it by 45°, counter-clockwise.",
    applies: pieces,
    does: () => turnBy(45),
    seen: true,
  },
  {
    word: "Eighth turn back",
    mode: "sheet",
    of: "turn",
    keys: ["Shift+T"],
    help: "Turn it by 45°, clockwise.",
    applies: pieces,
    does: () => turnBy(-45),
  },
  {
    word: "Quarter turn",
    mode: "sheet",
    of: "turn",
    keys: ["q"],
    help: "Turn it by 90°, counter-clockwise.",
    applies: pieces,
    does: () => turnBy(90),
  },
  {
    word: "Quarter turn back",
    mode: "sheet",
    of: "turn",
    keys: ["Shift+Q"],
    help: "Turn it by 90°, clockwise.",
    applies: pieces,
    does: () => turnBy(-90),
  },
  {
    word: "Steps of the dial",
    mode: "sheet",
    of: "turn",
    keys: [],
    help: "Go round the dial in these steps; with Alt in none.",
    applies: () => pieces() && useHandling.getState().at === "turn",
    does: () => undefined,
    now: () => useHandling.getState().step + "°",
    choices: () =>
      STEPS.map((step) => ({
        words: step + "°",
        now: useHandling.getState().step === step,
        choose: () => useHandling.setState({ step }),
      })),
    seen: true,
  },
  {
    word: "Along…",
    mode: "sheet",
    of: "turn",
    keys: ["e"],
    help: "Turn it so that a side runs along the wall or the piece that is clicked next.",
    applies: pieces,
    does: () => aim("along"),
    seen: true,
  },
  {
    word: "Face",
    mode: "sheet",
    of: "turn",
    keys: ["v"],
    help: "Turn its front toward something: what is clicked next, the lead, each other, a wall.",
    applies: pieces,
    does: () => aim("face"),
    choices: () => [
      choice("what is clicked next…", () => aim("face")),
      ...(chosen().length === 2 ? [face("each other", "eachOther")] : []),
      ...(several() ? [face("the lead", "lead"), face("away from the lead", "lead", true)] : []),
      ...(several()
        ? [choice("the way the lead does", () => edit({ do: "turnAs", pieces: chosen(), about: aboutNow() }))]
        : []),
      ...(stage()
        ? [face("the audience", "audience"), face("away from the audience", "audience", true)]
        : []),
      face("the nearest wall", "wall"),
      face("away from the nearest wall", "wall", true),
    ],
    seen: true,
  },
  {
    word: "Lean or lay",
    mode: "sheet",
    of: "turn",
    keys: [],
    help: "Lay it on a side, tilt it, lean it against a wall, or set it upright; it comes to rest.",
    applies: pieces,
    does: () => undefined,
    choices: () => [
      lies("upright", 0, 0),
      lies("on its back", 180, 90),
      lies("on its front", 0, 90),
      lies("on its left side", 270, 90),
      lies("on its right side", 90, 90),
      lies("tilted 10° back", 180, 10),
      choice("tilted back by…", () =>
        ask({
          words: "Tilted back",
          label: "Tilt, degrees",
          text: "10",
          edit: (by) => ({ do: "lean", pieces: chosen(), toward: 180, by }),
        }),
      ),
      choice("against the wall at 75°", () => edit({ do: "leanAgainst", pieces: chosen(), angle: 75 })),
      choice("against the wall at…", () =>
        ask({
          words: "Leaning against the nearest wall",
          label: "Angle with the floor, degrees",
          text: "75",
          edit: (angle) => ({ do: "leanAgainst", pieces: chosen(), angle }),
        }),
      ),
    ],
    seen: true,
  },
  {
    word: "Turn by points…",
    mode: "sheet",
    of: "turn",
    keys: [],
    help: "Click what it turns about, a point of a direction on it, and where that shall point.",
    applies: pieces,
    does: () => aim("points"),
    seen: true,
  },
  {
    word: "In numbers",
    mode: "sheet",
    of: "turn",
    keys: [],
    help: "Bring all that is selected to one position from the datum, or back to it.",
    applies: pieces,
    does: () => undefined,
    choices: () => [
      place("onto the datum", { x: 0, z: 0 }),
      place("across: onto the datum", { x: 0 }),
      place("deep: onto the datum", { z: 0 }),
      place("down to the datum's height", { y: 0 }),
      choice("all across at…", () => at("across", "x")),
      choice("all deep at…", () => at("deep", "z")),
      choice("all at the height…", () => at("high", "y")),
    ],
    seen: true,
  },
];

/** Asks where all of them are to be in one direction. */
function at(words: string, slot: "x" | "y" | "z") {
  ask({
    words: `All of them ${words} from the datum`,
    label: `Position ${words}`,
    text: "0",
    edit: (typed) => ({ do: "moveTo", pieces: chosen(), to: { [slot]: typed }, absolute: true }),
  });
}

import { api } from "../../api/client";
import type { Measure } from "../../api/types.gen";
import { aim } from "../aim/aims";
import { ask } from "../aim/question";
import { handle, holdNow, togetherNow, useHandling } from "../../store/handling";
import { useSheet } from "../../store/sheet";
import { chosen, edit, one, pieces, several } from "./selected";
import { choice, type Verb } from "./verb";

const MEASURES: Measure[] = ["width", "depth", "height"];
const WHOLE = { width: "100%", depth: "100%", height: "100%" };

const fill = (words: string, what: object) =>
  choice(words, () => edit({ do: "fill", piece: chosen().at(-1)!, ...what }));

/** Asks how much is to stay free, and fills the rest. */
function fillBut(words: string, what: object) {
  ask({
    words: `${words}, how much stays free on each side`,
    label: "Clearance",
    text: "0.05",
    edit: (clearance) => ({ do: "fill", piece: chosen().at(-1)!, ...what, clearance }),
  });
}

const asLead = (words: string, measures?: Measure[]) =>
  choice(words, () =>
    edit({ do: "sizeAs", pieces: chosen(), measures, together: togetherNow(), hold: holdNow() }),
  );

const mirror = (words: string, across: Measure) =>
  choice(words, () => edit({ do: "mirror", pieces: chosen(), across, about: holdNow() }));

/** Sets a yardstick beside what is selected. */
async function stand(what: "person" | "block", size: string) {
  const { space, unit, say } = useSheet.getState();
  try {
    useHandling.setState({ yardstick: await api.yardstick(space!.id, chosen().at(-1)!, what, size, unit) });
    return true;
  } catch (e) {
    say((e as Error).message, "refused");
    return false;
  }
}

const yardstick = (words: string, what: "person" | "block", size: string) =>
  choice(words, () => void stand(what, size));

/** What has to do with how large things are. */
export const SIZE_VERBS: Verb[] = [
  {
    word: "Size",
    mode: "sheet",
    of: "size",
    keys: ["z"],
    help: "Pull its sides by their tabs, type measures, and choose what stays where it is.",
    applies: pieces,
    does: () => handle("size"),
    now: () => (useHandling.getState().at === "size" ? "on" : ""),
    seen: true,
  },
  {
    word: "Known length…",
    mode: "sheet",
    of: "size",
    keys: ["k"],
    help: "Click two points on it and type how far apart they should be; the rest follows.",
    applies: pieces,
    does: () => aim("known"),
    seen: true,
  },
  {
    word: "Fill",
    mode: "sheet",
    of: "size",
    keys: ["i"],
    help: "Make it fill what is free: between what is on its left and right, up to the ceiling, or an opening.",
    applies: one,
    does: () => edit({ do: "fill", piece: chosen()[0], measures: ["width"] }),
    choices: () => [
      fill("from side to side", { measures: ["width"] }),
      fill("from back to front", { measures: ["depth"] }),
      fill("up to what is above", { measures: ["height"] }),
      choice("from side to side, but…", () => fillBut("Fills from side to side", { measures: ["width"] })),
      choice("up to what is above, but…", () =>
        fillBut("Fills up to what is above", { measures: ["height"] }),
      ),
      fill("the nearest opening", { opening: true }),
      fill("the nearest opening, 5 mm clear", { opening: true, clearance: 0.005 }),
    ],
    seen: true,
  },
  {
    word: "Mirror",
    mode: "sheet",
    of: "size",
    keys: ["m"],
    help: "Exchange its left and right, or other sides, in place; a held mark is where the mirror stands.",
    applies: pieces,
    does: () => edit({ do: "mirror", pieces: chosen() }),
    choices: () => [
      mirror("left to right", "width"),
      mirror("front to back", "depth"),
      mirror("top to bottom", "height"),
    ],
    seen: true,
  },
  {
    word: "As large as the lead",
    mode: "sheet",
    of: "size",
    keys: [],
    help: "Give the others measures of the piece picked last.",
    applies: several,
    does: () => undefined,
    choices: () => [
      asLead("in all measures"),
      ...MEASURES.map((m) => asLead(`in ${m}`, [m])),
      asLead("in width and depth", ["width", "depth"]),
    ],
    seen: true,
  },
  {
    word: "Natural size",
    mode: "sheet",
    of: "size",
    keys: [],
    help: "Back to the size it has in the catalog.",
    applies: pieces,
    does: () => edit({ do: "size", pieces: chosen(), size: WHOLE, natural: true, hold: holdNow() }),
    seen: true,
  },
  {
    word: "Yardstick",
    mode: "sheet",
    of: "size",
    keys: ["u"],
    help: "Stand a person or a block of known size beside it, to judge it by eye; it is in no list. Again, and it is gone.",
    applies: () => pieces() || useHandling.getState().yardstick !== null,
    does: () => {
      if (useHandling.getState().yardstick) useHandling.setState({ yardstick: null });
      else void stand("person", "");
    },
    now: () => (useHandling.getState().yardstick ? "there" : ""),
    choices: () => [
      ...(useHandling.getState().yardstick
        ? [choice("take it away", () => useHandling.setState({ yardstick: null }))]
        : []),
      yardstick("a person", "person", ""),
      yardstick("a child of six", "person", "1.15m"),
      yardstick("a block of 10 cm", "block", "10cm"),
      yardstick("a block of 50 cm", "block", "50cm"),
      yardstick("a block of 1 m", "block", "1m"),
      choice("a block of…", () =>
        ask({
          words: "A block beside it",
          label: "Edge of the block",
          text: "0.25",
          then: (size) => stand("block", size),
        }),
      ),
    ],
    seen: true,
  },
];

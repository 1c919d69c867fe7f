import { api } from "../../api/client";
import { queries } from "../../api/queries";
import type { FilingView, MeantBy, Measure, Trait } from "../../api/types.gen";
import { note } from "../../store/shelf";
import { arm, useBand } from "../select/band";
import { aim } from "../aim/aims";
import { ask } from "../aim/question";
import { selectMeant } from "../../store/selecting";
import { groupOf, hiddenCount, isHidden, isLocked, keptAs, wholeGroup } from "../../store/kept";
import { useSheet } from "../../store/sheet";
import { ontoOthers } from "../clipboard/clipboard";
import { chosen, edit, pieces, several } from "./selected";
import { choice, type Choice, type Verb } from "./verb";
import { begin } from "../propose/proposal";
import { search } from "./search";
import { closeGroup, openIt } from "./verbs";

const sheet = useSheet.getState;
const NONE: FilingView = { layers: [], groups: [], selections: [], twins: [], parts: [] };
const filing = () => sheet().space?.filing ?? NONE;

const those = () => chosen().map((id) => keptAs(id, sheet().pieces, filing()));

const meant = (words: string, by: MeantBy): Choice =>
  choice(words, () => void selectMeant({ by, pieces: chosen() }));

const named = (): Choice[] =>
  filing().selections.map((s) =>
    choice(`${s.name} (${s.pieces})`, () => void selectMeant({ by: "named", value: s.name })),
  );

const drawn = (words: string, shape: "rectangle" | "line", touched: boolean): Choice => ({
  words,
  now: useBand.getState().armed === shape && useBand.getState().touched === touched,
  choose: () => arm(shape, touched),
});

/** Asks for the name of a layer on which what is selected goes. */
export function toNewLayer() {
  const those = chosen();
  ask({
    words: "They go to a layer of their own, which is made now",
    label: "Name of the layer",
    text: "",
    edit: (typed) => ({ do: "toLayer", pieces: those, named: typed }),
  });
}

const isWhole = () => wholeGroup(chosen(), sheet().pieces, filing());

/** What is selected, and in what order things are kept. */
export const KEEP_VERBS: Verb[] = [
  {
    word: "Exchange for…",
    mode: "sheet",
    keys: ["Shift+Z"],
    help: "Put another article in its place, which is clicked in the catalog; it stays where it is and as it is kept.",
    applies: pieces,
    does: () => {
      begin("exchange");
      search("");
    },
    seen: true,
  },
  {
    word: "Group",
    parts: true,
    mode: "sheet",
    keys: ["Shift+G"],
    help: "Make one of them: what is in a group is selected, moved, turned and sized as one.",
    applies: () => several() && isWhole() === undefined,
    does: () => edit({ do: "group", pieces: chosen() }),
    seen: true,
  },
  {
    word: "Open the group",
    parts: true,
    mode: "sheet",
    keys: ["Shift+O"],
    help: "Work on a part of the group; the rest is dimmed until it is closed.",
    applies: () => {
      const last = those().at(-1);
      return Boolean(last?.group) && last?.group !== sheet().inGroup;
    },
    does: openIt,
    seen: true,
  },
  {
    word: "Hide",
    parts: true,
    mode: "sheet",
    keys: ["x"],
    help: "Leave it out of all drawings; the head says how many are hidden, and shows them again.",
    applies: () => those().some((p) => !isHidden(p, filing())),
    does: () => edit({ do: "hide", pieces: chosen(), hidden: true }),
    seen: true,
  },
  {
    word: "Lock",
    parts: true,
    mode: "sheet",
    keys: ["Shift+L"],
    help: "Nothing is done to it until it is unlocked.",
    applies: () => those().some((p) => !isLocked(p, filing())),
    does: () => edit({ do: "lock", pieces: chosen(), locked: true }),
    seen: true,
  },
  {
    word: "All of this kind",
    mode: "sheet",
    keys: ["Shift+K"],
    help: "Select all pieces of the kind of the one picked last.",
    applies: pieces,
    does: () => void selectMeant({ by: "kind", pieces: chosen() }),
    seen: true,
  },
  {
    word: "Select more",
    parts: true,
    mode: "sheet",
    keys: [],
    help: "Select what is like it, or has to do with it.",
    applies: pieces,
    does: () => undefined,
    choices: () => [
      meant("all of this kind", "kind"),
      meant("all of this article", "article"),
      meant("all just like it", "like"),
      meant("all of these colours", "finish"),
      meant("all on its layer", "layer"),
      meant("what stands on it", "carried"),
      meant("all but these", "others"),
    ],
    seen: true,
  },
  {
    word: "All but these",
    mode: "sheet",
    keys: ["Shift+B"],
    help: "Select everything that is not selected, and nothing that is.",
    applies: pieces,
    does: () => void selectMeant({ by: "others", pieces: chosen() }),
  },
  {
    word: "Name the selection…",
    parts: true,
    mode: "sheet",
    keys: [],
    help: "Give what is selected a name, by which it can be selected again.",
    applies: pieces,
    does: () => {
      const those = chosen();
      ask({
        words: "What is selected can be called again by its name",
        label: "Name of the selection",
        text: "",
        edit: (typed) => ({ do: "nameSelection", name: typed, pieces: those }),
      });
    },
    seen: true,
  },
  {
    word: "To a new layer…",
    parts: true,
    mode: "sheet",
    keys: ["Shift+N"],
    help: "Put it on a layer that is made on the way.",
    applies: pieces,
    does: toNewLayer,
    seen: true,
  },
  {
    word: "To a layer",
    parts: true,
    mode: "sheet",
    keys: [],
    help: "Put it on another layer.",
    applies: () => pieces() && filing().layers.length > 1,
    does: () => undefined,
    choices: () =>
      filing().layers.map((l) => ({
        words: l.name,
        now: those().every((p) => p.layer === l.id),
        choose: () => edit({ do: "toLayer", pieces: chosen(), layer: l.id }),
      })),
    seen: true,
  },
  {
    word: "Close the group",
    parts: true,
    mode: "sheet",
    keys: [],
    shown: "Esc",
    help: "Work on the whole again; the group is selected.",
    applies: () => sheet().inGroup !== null,
    does: closeGroup,
    now: () => groupOf(sheet().inGroup, filing())?.name ?? "",
    seen: true,
  },
  {
    word: "Dissolve the group",
    parts: true,
    mode: "sheet",
    keys: [],
    help: "Its pieces stay where they are, each by itself.",
    applies: () => isWhole() !== undefined,
    does: () => {
      const g = isWhole();
      if (g) edit({ do: "dissolve", group: g.id });
    },
    seen: true,
  },
  {
    word: "Take out of the group",
    parts: true,
    mode: "sheet",
    keys: [],
    help: "It is in no group any more.",
    applies: () => isWhole() === undefined && those().some((p) => p.group),
    does: () => edit({ do: "intoGroup", pieces: chosen() }),
    seen: true,
  },
  {
    word: "Unlock",
    parts: true,
    mode: "sheet",
    keys: ["Shift+U"],
    help: "It can be worked on again.",
    applies: () => those().some((p) => p.locked),
    does: () => edit({ do: "lock", pieces: chosen(), locked: false }),
    seen: true,
  },
  {
    word: "Hide all but these",
    mode: "sheet",
    keys: ["Shift+X"],
    help: "Leave everything else out of all drawings.",
    applies: pieces,
    does: () => edit({ do: "hide", pieces: chosen(), hidden: true, which: "others" }),
    seen: true,
  },
  {
    word: "Show",
    parts: true,
    mode: "sheet",
    keys: [],
    help: "It is seen in the drawings again.",
    applies: () => those().some((p) => p.hidden),
    does: () => edit({ do: "hide", pieces: chosen(), hidden: false }),
    seen: true,
  },
];

/** What is taken of the lead, and copied onto others. */
export const AS_LEAD_VERBS: Verb[] = [
  {
    word: "As the lead",
    mode: "sheet",
    keys: [],
    help: "Give the others what the piece picked last has.",
    applies: several,
    does: () => undefined,
    choices: () => [
      taken("size and turn", ["size", "turn"]),
      taken("size", ["size"]),
      taken("height", ["size"], ["height"]),
      taken("turn", ["turn"]),
      taken("lean", ["lean"]),
      taken("finishes", ["finishes"]),
      taken("layer", ["layer"]),
      taken("all of that", ["size", "lean", "turn", "finishes", "layer"]),
    ],
    seen: true,
  },
  {
    word: "Size and turn as the lead",
    mode: "sheet",
    keys: ["Shift+E"],
    help: "The others get the size of the piece picked last, and are turned as it is.",
    applies: several,
    does: () => edit({ do: "asLead", pieces: chosen(), traits: ["size", "turn"] }),
  },
  {
    word: "Copy onto these",
    mode: "sheet",
    keys: ["Shift+V"],
    help: "What was copied off a table goes onto each of these, to the matching places.",
    applies: () => ontoOthers().length > 0,
    does: () => {
      const pieces = ontoOthers();
      edit({ do: "copyOnto", pieces, onto: chosen().filter((id) => !pieces.includes(id)) });
    },
    seen: true,
  },
  {
    word: "Keep as an article…",
    mode: "sheet",
    keys: [],
    help: "What is selected, as it stands together, becomes one article of the catalog of this project.",
    applies: pieces,
    does: () => {
      const those = chosen();
      ask({
        words: "It is kept in the catalog as one article",
        label: "Name of the article",
        text: isWhole()?.name ?? "",
        then: (name) => keepAsArticle(those, name),
      });
    },
    seen: true,
  },
  {
    word: "Bring it here",
    mode: "sheet",
    keys: [],
    help: "It comes to the place that is clicked next, wherever it is now.",
    applies: pieces,
    does: () => aim("bring"),
    seen: true,
  },
];

/** Keeps pieces as an article and says where it is; whether that was done. */
async function keepAsArticle(those: string[], name: string): Promise<boolean> {
  const { space, unit, say } = sheet();
  try {
    const article = await api.keepAsArticle(space!.id, those, name, unit);
    note(article.id);
    await queries.invalidateQueries({ queryKey: ["catalog"] });
    say(`${article.name} is in the catalog now, among what is one's own and lately used.`);
    return true;
  } catch (e) {
    say((e as Error).message, "refused");
    return false;
  }
}

const taken = (words: string, traits: Trait[], measures?: Measure[]): Choice =>
  choice(words, () => edit({ do: "asLead", pieces: chosen(), traits, measures }));

/** The same of everything. */
export const KEEP_ALL_VERBS: Verb[] = [
  {
    word: "Select in",
    mode: "sheet",
    keys: [],
    help: "Press and move on a drawing round what is meant; a rectangle also with Shift alone.",
    does: () => undefined,
    choices: () => [
      drawn("a rectangle: what lies in it", "rectangle", false),
      drawn("a rectangle: also what it touches", "rectangle", true),
      drawn("a line drawn by hand: what lies in it", "line", false),
      drawn("a line drawn by hand: also what it touches", "line", true),
    ],
    now: () => {
      const { armed } = useBand.getState();
      return armed === null ? "" : armed === "line" ? "a line drawn by hand" : "a rectangle";
    },
    seen: true,
  },
  {
    word: "Select what was named",
    mode: "sheet",
    keys: [],
    help: "Select again what was given a name.",
    applies: () => filing().selections.length > 0,
    does: () => undefined,
    choices: named,
    seen: true,
  },
  {
    word: "Show everything",
    mode: "any",
    keys: ["Shift+H"],
    help: "What is hidden is seen again, by itself or with its layer.",
    applies: () => sheet().space !== null && hiddenCount(sheet().pieces, filing()) > 0,
    does: showEverything,
    seen: true,
  },
  {
    word: "Unlock everything",
    mode: "sheet",
    keys: [],
    help: "What was locked by itself can be worked on again.",
    applies: () => [...sheet().pieces.values(), ...filing().parts].some((p) => p.locked),
    does: () => edit({ do: "lock", locked: false, which: "all" }),
  },
  {
    word: "Schedule as a table",
    mode: "any",
    keys: ["Shift+W"],
    help: "All pieces with their sizes, places, layers, weights, costs and remarks, under the drawings.",
    does: () => sheet().showTable(!sheet().table),
    now: () => (sheet().table ? "on" : ""),
  },
  {
    word: "Layers and groups",
    mode: "any",
    keys: ["Shift+Y"],
    help: "Open the leaf of layers, groups and named selections.",
    does: () => sheet().setTab(sheet().tab === "layers" ? "catalog" : "layers"),
  },
];

export function showEverything() {
  edit({ do: "hide", hidden: false, which: "all", layers: true });
}

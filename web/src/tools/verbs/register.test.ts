import "../../test/page";
import { describe, expect, it, vi } from "vitest";

vi.hoisted(() => {
  vi.stubGlobal("document", { querySelectorAll: () => [] });
});
const { VERBS, verbsNow } = await import("./register");
const { underHeadings } = await import("./headings");
const { findVerbs, maySay, notYet } = await import("./find");
const { OTHER_WORDS } = await import("./otherWords");
const { letters, useChoosing } = await import("./choosing");
const { keyWords, pressed } = await import("./verb");
const { useSheet } = await import("../../store/sheet");
const { useCarry } = await import("../carry/carry");

const MODES = ["sheet", "carry", "draft", "aim", "propose"] as const;
const words = () => verbsNow().map((v) => v.word);

describe("the register of verbs", () => {
  it.each(MODES)("has no two verbs on one key: %s", (mode) => {
    const owners = new Map<string, string[]>();
    for (const v of VERBS.filter((o) => o.mode === mode || o.mode === "any"))
      for (const k of v.keys) {
        const key = k.toLowerCase();
        owners.set(key, [...(owners.get(key) ?? []), v.word]);
      }
    expect([...owners].filter(([, who]) => who.length > 1)).toEqual([]);
  });

  it.each(MODES)("calls no two verbs the same: %s", (mode) => {
    const all = VERBS.filter((v) => v.mode === mode || v.mode === "any").map((v) => v.word);
    expect(new Set(all).size).toBe(all.length);
  });

  it("says of each what it does, in a sentence", () => {
    for (const v of VERBS) {
      expect(v.help, v.word).toMatch(/^[A-Z].*\.$/);
      expect(v.word, v.help).toMatch(/^[A-Z]/);
    }
  });

  it("has something to press, to choose or to see for each", () => {
    for (const v of VERBS)
      expect(v.keys.length > 0 || v.choices !== undefined || v.mode === "sheet", v.word).toBe(true);
  });

  it("offers what can be done with what is selected, and nothing else", () => {
    useSheet.setState({ selection: [], part: null, pieces: new Map() });
    expect(words()).not.toContain("Pick up");
    expect(words()).toContain("Draw an outline");
    useSheet.setState({ selection: ["a"] });
    expect(words()).toContain("Pick up");
    expect(words()).not.toContain("Level with the lead");
    useSheet.setState({ selection: ["a", "b"] });
    expect(words()).toContain("Level with the lead");
    const shown = () => verbsNow().flatMap((v) => (v.seen ? [v.word] : []));
    useSheet.getState().select(["platform:platform 1"]);
    expect(shown()).toEqual(expect.arrayContaining(["Remove", "Lock", "Copy beside", "Twin"]));
    expect(shown(), "is not done to it").not.toContain("Turn");
    expect(words(), "but can be found, and says why not").toContain("Turn");
    useSheet.getState().select(["platform:platform 1", "a"]);
    expect(shown()).toContain("Turn");
    useSheet.getState().select([]);
  });

  it("puts no more than fifteen lines into the menu of a piece, and leaves nothing out", () => {
    useSheet.setState({ selection: ["a", "b"], part: null });
    const seen = verbsNow().filter((v) => v.seen && !v.builds);
    const { first, headings } = underHeadings(seen);
    expect(first.length + headings.length + 1).toBeLessThanOrEqual(15);
    expect(first.map((v) => v.word)).toContain("Pick up");
    const all = [...first, ...headings.flatMap((h) => h.verbs)].map((v) => v.word);
    expect(all.sort()).toEqual(seen.map((v) => v.word).sort());
    for (const h of headings) expect(h.verbs.length, h.words).toBeLessThanOrEqual(20);
  });

  it("changes with what one is at, and shows how each setting stands", () => {
    const hand = {
      pieces: ["a", "b"],
      article: null,
      picked: null,
      since: null,
      copy: false,
      turn: 0,
      keep: "height" as const,
      against: null,
      each: true,
      tops: false,
      meet: null,
      down: 0,
    };
    useCarry.setState({ hand });
    const now = Object.fromEntries(verbsNow().map((v) => [v.word, v.now?.()]));
    expect(now).toMatchObject({ Kept: "up and down", "Each for itself": "yes", "As a copy": "no" });
    expect(words()).not.toContain("Pick up");
    const kept = verbsNow().find((v) => v.word === "Kept")!;
    expect(kept.choices!().filter((c) => c.now)).toMatchObject([{ words: "up and down" }]);
    kept.choices!()
      .find((c) => c.words === "across")!
      .choose();
    expect(useCarry.getState().hand!.keep).toBe("across");
    kept.does(); // its key opens the choice, and alters nothing by itself
    expect(useChoosing.getState().word).toBe("Kept");
    expect(useCarry.getState().hand!.keep).toBe("across");
    expect(letters(kept.choices!())).toEqual(["f", "a", "w", "c", "d", "u"]);
    useCarry.setState({ hand: null });
  });

  it("finds a verb by any of its words, those that say it first", () => {
    const found = (text: string) =>
      findVerbs(
        text,
        VERBS.filter((v) => v.mode === "sheet"),
      ).map((v) => v.word);
    expect(found("turn")[0]).toBe("Turn");
    expect(found("level")[0]).toBe("Level with the lead");
    expect(found("behind it")).toContain("Beside the lead");
    expect(found("LEVEL lead")).toEqual(["Level with the lead"]);
    expect(found("xylophone")).toEqual([]);
  });
});

describe("the search for verbs", () => {
  const sheet = VERBS.filter((v) => v.mode === "sheet" || v.mode === "any");
  const first = (text: string) => findVerbs(text, sheet).map((v) => v.word);

  it.each([
    ["distribute", "Space out"],
    ["rotate", "Turn"],
    ["align", "Line up"],
    ["array", "Row"],
    ["scale", "Size"],
    ["resize", "Size"],
    ["flip", "Mirror"],
    ["duplicate", "Copy beside"],
    ["delete", "Remove"],
    ["drop", "Settle"],
    ["ungroup", "Dissolve the group"],
    ["constrain", "Pick up"],
    ["center", "Line up"],
    ["reset", "Natural size"],
    ["zoom", "Show the whole space"],
    ["grid", "Row"],
    ["export", "Hand over"],
    ["print", "Hand over"],
    ["picture", "Hand over"],
    ["view", "Look at it"],
    ["move", "Pick up"],
    ["explode", "Dissolve the group"],
    ["symmetry", "Twin"],
    ["shortcuts", "All keys"],
    ["coordinates", "In numbers"],
  ])("leads from “%s” to %s", (text, word) => expect(first(text).slice(0, 4)).toContain(word));

  it.each(["replace", "render", "picture", "camera"])("says that “%s” is not there yet", (text) =>
    expect(notYet(text)).toMatch(/\./),
  );

  it.each([
    ["rotat", "Turn"],
    ["roatte", "Turn"],
    ["distribtue", "Space out"],
    ["alling", "Line up"],
    ["delte", "Remove"],
  ])("forgives the slip “%s”", (text, word) => expect(first(text)).toContain(word));

  it("names only verbs that there are", () => {
    const all = new Set(VERBS.map((v) => v.word));
    expect(Object.keys(OTHER_WORDS).filter((w) => !all.has(w))).toEqual([]);
  });

  it("offers to say what may be a sentence, and no single word", () => {
    expect(maySay("8 in a row")).toBe(true);
    expect(maySay("1.20 wide")).toBe(true);
    expect(maySay("render")).toBe(false);
  });
});

describe("a key", () => {
  it("is written as it is on the keyboard", () => {
    expect(keyWords("$mod+Shift+Z")).toBe("Ctrl+Shift+Z");
    expect(keyWords("t")).toBe("T");
    expect(keyWords("PageDown")).toBe("PgDn");
    expect(pressed(VERBS.find((v) => v.word === "Move a step")!)).toBe("arrows");
  });
});

import "../test/page";
import { beforeEach, describe, expect, it } from "vitest";
import { view } from "../test/server";

const { useSheet } = await import("./sheet");
const { alone, drawings, largeOf, openDrawing, wordsOf } = await import("./drawingNames");
const { currentLayer } = await import("./selection");

const look = (wall: string) => ({ way: "wall", wall }) as never;
const ROOM = view([], { looks: [look("A"), look("B"), look("partition 1"), { way: "back" } as never] });

beforeEach(() => useSheet.setState({ space: ROOM, large: ["plan", "set"], lifted: ["ceiling"] }));

describe("drawings", () => {
  it("are the plan, the set view, a section, and one of each wall, in words", () => {
    expect(drawings(ROOM).map((d) => d.words)).toEqual([
      "Plan",
      "Set view",
      "Section",
      "Wall A",
      "Wall B",
      "Partition 1",
    ]);
    expect(wordsOf("wall:proscenium wall")).toBe("Proscenium wall");
  });

  it("trade places with the last large one, or with the one that is named", () => {
    openDrawing("wall:A");
    expect(useSheet.getState().large).toEqual(["plan", "wall:A"]);
    openDrawing("set", "plan");
    expect(useSheet.getState().large).toEqual(["set", "wall:A"]);
    openDrawing("wall:A"); // it is large already
    expect(useSheet.getState().large).toEqual(["set", "wall:A"]);
    openDrawing("wall:A", "set"); // both are: they change sides
    expect(useSheet.getState().large).toEqual(["wall:A", "set"]);
  });

  it("are alone or two, and never of a wall that is gone", () => {
    alone("set");
    expect(useSheet.getState().large).toEqual(["set"]);
    alone("set");
    expect(useSheet.getState().large).toEqual(["set", "plan"]);
    expect(largeOf(ROOM, ["wall:C", "set"])).toEqual(["set"]);
    expect(largeOf(ROOM, ["wall:C"])).toEqual(["plan", "set"]);
  });

  it("are remembered, and what was kept and is of no use is not", async () => {
    useSheet.getState().setLarge(["wall:B"]);
    expect(localStorage.getItem("pied.large")).toBe('["wall:B"]');
    useSheet.getState().setStrip(false);
    expect(localStorage.getItem("pied.strip")).toBe("folded");
    useSheet.getState().setUnit("ft-in");
    expect(localStorage.getItem("pied.unit")).toBe("ft-in");
    const { create } = await import("zustand");
    const { lookingSlice } = await import("./looking");
    for (const [kept, large] of [
      ['["wall:B","set","plan"]', ["wall:B", "set"]],
      ["[]", ["plan", "set"]],
      ["{", ["plan", "set"]],
    ] as const) {
      localStorage.setItem("pied.large", kept);
      expect(create(lookingSlice).getState().large).toEqual(large);
    }
    expect(create(lookingSlice).getState()).toMatchObject({ unit: "ft-in", strip: false });
    useSheet.getState().setUnit("m");
  });
});

describe("looking in", () => {
  it("lifts a body off once, and sets it back", () => {
    const { lift } = useSheet.getState();
    lift("wall:A", true);
    lift("wall:A", true);
    expect(useSheet.getState().lifted).toEqual(["ceiling", "wall:A"]);
    lift("ceiling", false);
    expect(useSheet.getState().lifted).toEqual(["wall:A"]);
  });

  it("ends walking about when one looks from elsewhere", () => {
    const { walk, goTo, look: lookAt } = useSheet.getState();
    walk(true);
    goTo({ name: "the door" } as never);
    expect(useSheet.getState()).toMatchObject({ walking: false, viewpoint: { view: { name: "the door" } } });
    walk(true);
    lookAt("home");
    expect(useSheet.getState()).toMatchObject({ walking: false, fit: { what: "home" } });
  });
});

describe("what is picked", () => {
  it("is pieces or a part, never both", () => {
    const { select, selectPart } = useSheet.getState();
    select(["a", "b"]);
    selectPart("wall:A");
    expect(useSheet.getState()).toMatchObject({ selection: [], part: "wall:A" });
    select(["a"]);
    expect(useSheet.getState()).toMatchObject({ selection: ["a"], part: null });
  });

  it("tells nobody of what is pointed at as before", () => {
    const { point } = useSheet.getState();
    point("a");
    let told = 0;
    const stop = useSheet.subscribe(() => told++);
    point("a");
    expect(told).toBe(0);
    point("a", true);
    expect(told).toBe(1);
    stop();
  });

  it("comes on the layer that was current here, as long as there is one", () => {
    useSheet.getState().makeCurrent("first");
    expect(currentLayer(ROOM)).toBe("first");
    useSheet.getState().makeCurrent("gone");
    expect(currentLayer(ROOM)).toBeNull();
  });
});

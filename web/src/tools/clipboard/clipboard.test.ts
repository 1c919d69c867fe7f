import "../../test/page";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { EditRequest } from "../../api/types.gen";
import { changed, piece, scripted, server, silent, view } from "../../test/server";

vi.mock("../../api/client", async (original) => scripted(await original()));
const { Refused } = await import("../../api/client");
const { useSheet } = await import("../../store/sheet");
const { useCarry } = await import("../carry/carry");
const { clip, cut, isCut, isHeld, ontoOthers, paste } = await import("./clipboard");

const now = useSheet.getState;
const sent = () => server.edit.mock.calls.map((c) => [c[0], c[1]] as unknown as [string, EditRequest]);
const CUP = { on: { kind: "piece" as const, id: "t" } };

async function open(id: string, pieces = [piece("t", 1), piece("c", 1, CUP), piece("far", 4)]) {
  server.space.mockResolvedValue(view(pieces, { id }));
  now().close();
  await now().open(id);
}

beforeEach(async () => {
  silent();
  // a cup stands on the table
  server.clip.mockImplementation(((_: string, ids: string[]) => {
    const all = ids.includes("t") ? ["c", ...ids] : ids;
    return Promise.resolve({ revision: 3, pieces: all.map((id) => now().pieces.get(id)), groups: [] });
  }) as never);
  useCarry.setState({ hand: null });
  localStorage.removeItem("pied.held");
  await open("room");
});

describe("what is held ready", () => {
  it("is what core says goes along with what was chosen", async () => {
    now().select(["far", "t"]);
    await clip();
    expect(server.clip).toHaveBeenCalledWith("room", ["far", "t"]);
    expect(isHeld()).toBe(true);
    expect(isCut()).toBe(false);
    expect(now().notice?.text).toContain("2 pieces are held ready");
  });

  it("is waited for by whoever pastes at once", async () => {
    now().select(["far"]);
    void cut();
    expect(isHeld() && isCut()).toBe(true); // the key is taken
    void clip();
    expect(isHeld() && !isCut()).toBe(true);
    await paste(false);
    expect(useCarry.getState().hand).toMatchObject({ pieces: ["far"], copy: true });
  });

  it("stays what it was if nothing can be fetched, and that is said", async () => {
    now().select(["t"]);
    await clip();
    server.clip.mockRejectedValue(new Refused("There is no piece “x”.", 422));
    now().select(["far"]);
    void clip();
    await paste(false); // not what was held before
    expect(useCarry.getState().hand).toBeNull();
    expect(now().notice).toMatchObject({ text: "There is no piece “x”.", kind: "refused" });
    expect(isHeld()).toBe(true);
    await open("other", []);
    server.edit.mockResolvedValue(changed(4));
    await paste(true);
    expect(sent()[0][1].edits[0]).toMatchObject({ pieces: [{ id: "c" }, { id: "t" }] });
  });

  it("is nothing where nothing was chosen, or what is kept cannot be read", async () => {
    await clip();
    expect(isHeld()).toBe(false);
    localStorage.setItem("pied.held", "{broken");
    expect(isHeld()).toBe(false);
  });

  it("is too much for the browser: that is said", async () => {
    const set = vi.spyOn(localStorage, "setItem").mockImplementation(() => {
      throw new Error("quota");
    });
    now().select(["t"]);
    await clip();
    expect(now().notice).toMatchObject({ kind: "refused" });
    set.mockRestore();
  });
});

describe("pasting", () => {
  it("in the same space takes a copy in hand, or the very pieces if they were cut", async () => {
    now().select(["far"]);
    await clip();
    await paste(false);
    expect(useCarry.getState().hand).toMatchObject({ pieces: ["far"], copy: true });
    await cut();
    await paste(false);
    expect(useCarry.getState().hand).toMatchObject({ pieces: ["far"], copy: false });
    expect(isCut()).toBe(false);
    expect(server.edit).not.toHaveBeenCalled();
  });

  it("in place copies exactly there", async () => {
    server.edit.mockResolvedValue(changed(4, { changed: [piece("new", 4)], made: ["new"] }));
    now().select(["far"]);
    await clip();
    await paste(true);
    expect(sent()[0][1].edits).toEqual([{ do: "copy", pieces: ["far"], by: { x: 0, y: 0, z: 0 } }]);
    expect(now().selection).toEqual(["new"]);
  });

  it("of what has changed since pastes it as it was, and takes out the cut ones in one act", async () => {
    server.edit.mockResolvedValue(changed(4));
    now().select(["far"]);
    await cut();
    await open("room", [piece("far", 2)]);
    await paste(false);
    expect(sent()[0][1].edits.map((e) => e.do)).toEqual(["paste", "remove"]);
  });

  it("in another space is one act with taking it out of the first", async () => {
    server.edit.mockResolvedValue(changed(4, { made: ["new"] }));
    now().select(["t"]);
    await cut();
    await open("other", []);
    await paste(true);
    expect(sent()).toHaveLength(1);
    const [space, request] = sent()[0];
    expect(space).toBe("other");
    expect(request.edits.map((e) => e.do)).toEqual(["paste"]);
    expect(request.cut).toEqual({ space: "room", pieces: ["c", "t"] });
    // pasted once more it is a copy
    await paste(true);
    expect(sent()[1][1].cut).toBeUndefined();
  });

  it("that is refused leaves all as it is, to be tried again", async () => {
    server.edit.mockRejectedValue(new Refused("In “Room”: it is locked.", 422));
    now().select(["t"]);
    await cut();
    await open("other", []);
    await paste(true);
    expect(now().notice).toMatchObject({ text: "In “Room”: it is locked.", kind: "refused" });
    expect(isCut()).toBe(true);
  });

  it("goes once though the line was cut before the answer", async () => {
    vi.useFakeTimers();
    server.edit.mockRejectedValueOnce(new TypeError("Failed to fetch")).mockResolvedValue(changed(4));
    now().select(["t"]);
    await cut();
    await open("other", []);
    const done = paste(true);
    await vi.advanceTimersByTimeAsync(1000);
    await done;
    expect(sent()).toHaveLength(2);
    expect(sent()[1][1]).toEqual(sent()[0][1]); // the same letter, with the same id
    vi.useRealTimers();
  });
});

it("what is held ready is for others that are selected", async () => {
  now().select(["t"]);
  await clip();
  expect(ontoOthers()).toEqual([]);
  now().select(["far"]);
  expect(ontoOthers()).toEqual(["t"]);
});

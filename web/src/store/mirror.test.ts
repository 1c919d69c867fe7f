import "../test/page";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { SpaceView } from "../api/types.gen";
import { changed as change, piece, PLAIN, scripted, server, silent, view as viewOf } from "../test/server";

vi.mock("../api/client", async (original) => scripted(await original()));
const { shown } = await import("./mirror");
const { useSheet } = await import("./sheet");

const { space, edit, undo } = server;
const view = (revision: number, ids: string[], parts = ["wall:A"]) =>
  viewOf(
    ids.map((id) => piece(id)),
    { revision, parts },
  );

const now = useSheet.getState;

beforeEach(async () => {
  silent();
  space.mockResolvedValue(view(3, ["a", "b"]));
  now().close();
  await now().open("room");
  now().hush();
});

describe("the mirror of the space", () => {
  it("takes what comes next, and lets go of what is gone", () => {
    now().select(["a", "b"]);
    now().take(change(4, { changed: [piece("a", 2), piece("c")], removed: ["b"] }));
    expect([...now().pieces.keys()].sort()).toEqual(["a", "c"]);
    expect(now().pieces.get("a")!.at.x).toBe(2);
    expect(now().selection).toEqual(["a"]);
    expect(now().space).toMatchObject({ revision: 4, canUndo: true });
  });

  it("takes nothing twice, nor what is older", () => {
    const before = now().pieces;
    now().take(change(3, { removed: ["a"] }));
    now().take(change(1, { removed: ["a"] }));
    expect(now().pieces).toBe(before);
  });

  it("asks for all of it where something between was missed", async () => {
    space.mockResolvedValue(view(6, ["a", "d"]));
    now().select(["b"]);
    now().take(change(6, { changed: [piece("d")] }));
    await vi.waitFor(() => expect(now().space!.revision).toBe(6));
    expect([...now().pieces.keys()]).toEqual(["a", "d"]);
    expect(now().selection).toEqual([]);
  });

  it("asks for all of it where the shell is another, and lets go of a part that is gone", async () => {
    now().selectPart("wall:A");
    const { shellAt } = now().space!;
    now().take(change(4, { changed: [piece("a", 1)] }));
    expect(now().space!.shellAt).toBe(shellAt); // what is drawn of the shell is not asked for again
    space.mockResolvedValue(view(5, ["a", "b"], ["wall:B"]));
    now().take(change(5, { shell: true }));
    expect(now().space!.shellAt).toBe(5);
    await vi.waitFor(() => expect(now().part).toBeNull());
  });

  it("forgets an answer for a space that is no longer open", async () => {
    let arrive: (v: SpaceView) => void = () => undefined;
    space.mockReturnValue(new Promise<SpaceView>((done) => (arrive = done)));
    const refreshed = now().refresh();
    now().close();
    arrive(view(9, ["late"]));
    await refreshed;
    expect(now().space).toBeNull();
    expect(now().pieces.size).toBe(0);
  });

  it("opens another with nothing selected and nothing in hand", async () => {
    now().select(["a"]);
    now().build("door");
    space.mockResolvedValue(view(1, ["x"]));
    await now().open("other");
    expect(now()).toMatchObject({ selection: [], part: null, tool: null, placing: null, ghosts: [] });
  });
});

describe("an edit", () => {
  it("is sent with an id and the unit, and what is said is shown", async () => {
    now().setUnit("cm");
    edit.mockResolvedValue(change(4, { changed: [piece("a", 1)], said: ["Moved.", "It fits."] }));
    const done = await now().edit([{ do: "settle", pieces: ["a"] }]);
    expect(done!.revision).toBe(4);
    const [to, request] = edit.mock.calls[0] as unknown as [string, { id: string; unit: string }];
    expect(to).toBe("room");
    expect(request.unit).toBe("cm");
    expect(request.id).toMatch(/^[0-9a-f-]{36}$/);
    expect(now().notice).toMatchObject({ text: "Moved. It fits.", kind: "said" });
    expect(now().pieces.get("a")!.at.x).toBe(1);
    now().setUnit("m");
  });

  it("that is refused changes nothing and says why", async () => {
    const { Refused } = await import("../api/client");
    edit.mockRejectedValue(new Refused("It does not fit.", 422));
    expect(await now().edit([{ do: "settle", pieces: ["a"] }])).toBeNull();
    expect(now().notice).toMatchObject({ text: "It does not fit.", kind: "refused" });
    expect(now().space!.revision).toBe(3);
  });

  it("is not taken while what was done before cannot be saved", async () => {
    useSheet.setState({ saved: "stuck" });
    expect(await now().edit([{ do: "settle", pieces: ["a"] }])).toBeNull();
    expect(edit).not.toHaveBeenCalled();
    expect(now().notice!.text).toContain("cannot be saved yet");
  });

  it("through the history goes the same way", async () => {
    undo.mockResolvedValue(change(4, { removed: ["b"] }));
    await now().step("undo");
    expect(now().pieces.has("b")).toBe(false);
  });
});

describe("what is shown", () => {
  it("is the real pieces, with those in hand, here and elsewhere, as they would be", () => {
    const real = new Map([
      ["a", piece("a")],
      ["b", piece("b")],
    ]);
    const others = new Map([["somebody", [piece("b", 7)]]]);
    expect(shown(real, [], new Map(), PLAIN)).toEqual([...real.values()]);
    const all = shown(real, [piece("a", 5), piece("in hand", 1)], others, PLAIN);
    expect(all.map((p) => [p.id, p.at.x])).toEqual([
      ["a", 5],
      ["b", 7],
      ["in hand", 1],
    ]);
    expect(real.get("a")!.at.x).toBe(0);
  });

  it("of others goes when they put it down, or the line is lost", () => {
    now().seeCarried({ carrier: "x", carried: [piece("a")] });
    now().seeCarried({ carrier: "y", carried: [piece("b")] });
    now().seeCarried({ carrier: "x", carried: [] });
    expect([...now().others.keys()]).toEqual(["y"]);
    now().forgetCarried();
    expect(now().others.size).toBe(0);
  });
});

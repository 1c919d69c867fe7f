import "../../test/page";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { Changed, EditRequest, EditUnion, Proposal, ProposeRequest } from "../../api/types.gen";
import { changed, later, piece, proposal, scripted, server, silent, view } from "../../test/server";

vi.mock("../../api/client", async (original) => scripted(await original()));
const { Refused } = await import("../../api/client");
const { useSheet } = await import("../../store/sheet");
const { begin, beginToSay, clickFor, drop, isProposing, propose, say, take, takesClicks, useProposal } =
  await import("./proposal");

const ROW: EditUnion = { do: "row", pieces: ["a"], count: 3 };
const now = useSheet.getState;
const asked = (n: number) => server.propose.mock.calls[n][1] as ProposeRequest;
const sent = (n: number) => server.edit.mock.calls[n][1] as EditRequest;
const shown = (more: Partial<Proposal> = {}) =>
  proposal({ edits: [ROW], ids: ["g", "n"], shown: "digest", selected: ["a", "n"], ...more });

beforeEach(async () => {
  drop();
  silent();
  server.space.mockResolvedValue(view([piece("a"), piece("b", 2)]));
  now().close();
  await now().open("room");
  now().select(["a"]);
  now().hush();
});

describe("what a verb proposes", () => {
  it("is shown as it would be, and done as it was shown, under one id", async () => {
    server.propose.mockResolvedValue(shown({ changed: [piece("n", 1)] }));
    server.edit.mockResolvedValue(changed(4, { changed: [piece("n", 1)], made: ["n"] }));
    begin("row");
    await vi.waitFor(() => expect(useProposal.getState().fresh).toBe(true));
    expect(asked(0)).toMatchObject({ begin: "row", pieces: ["a"], unit: "m" });
    expect(now().ghosts.map((p) => p.id)).toEqual(["n"]);
    const { id } = useProposal.getState();
    expect(await take()).toBe(true);
    expect(sent(0)).toMatchObject({ id, edits: [ROW], ids: ["g", "n"], shown: "digest" });
    expect(now().selection).toEqual(["a", "n"]);
    expect(now().ghosts).toEqual([]);
    expect(isProposing()).toBe(false);
  });

  it("is done once however often Enter is pressed", async () => {
    const through = later<Changed>();
    server.propose.mockResolvedValue(shown());
    server.edit.mockReturnValue(through.answer);
    begin("row");
    await vi.waitFor(() => expect(useProposal.getState().answer).not.toBeNull());
    const all = [take(), take(), take()];
    await vi.waitFor(() => expect(server.edit).toHaveBeenCalled());
    through.come(changed(4));
    expect(await Promise.all(all)).toEqual([true, true, true]);
    expect(server.edit).toHaveBeenCalledTimes(1);
  });

  it("goes under the same id when the line was cut before the answer", async () => {
    vi.useFakeTimers();
    server.propose.mockResolvedValue(shown());
    server.edit.mockRejectedValueOnce(new TypeError("Failed to fetch")).mockResolvedValue(changed(4));
    begin("row");
    await vi.advanceTimersByTimeAsync(1);
    const first = take();
    await vi.advanceTimersByTimeAsync(1);
    const again = take(); // one sees nothing happen, and presses Enter again
    await vi.advanceTimersByTimeAsync(1000);
    expect(await Promise.all([first, again])).toEqual([true, true]);
    expect(server.edit).toHaveBeenCalledTimes(2);
    expect(sent(1).id).toBe(sent(0).id);
    vi.useRealTimers();
  });

  it("is shown anew where it is no longer what was shown, and has another id then", async () => {
    server.propose.mockResolvedValueOnce(shown()).mockResolvedValue(shown({ shown: "another" }));
    server.edit
      .mockRejectedValueOnce(new Refused("It has changed since.", 409))
      .mockResolvedValue(changed(5));
    begin("row");
    await vi.waitFor(() => expect(useProposal.getState().answer).not.toBeNull());
    expect(await take()).toBe(false);
    expect(now().notice).toMatchObject({ text: "It has changed since.", kind: "refused" });
    await vi.waitFor(() => expect(useProposal.getState().answer?.shown).toBe("another"));
    expect(asked(1)).toMatchObject({ edits: [ROW] });
    expect(await take()).toBe(true);
    expect(sent(1).shown).toBe("another");
    expect(sent(1).id).not.toBe(sent(0).id);
  });

  it("is altered by what is typed and clicked, the newest of it", async () => {
    server.propose.mockResolvedValue(shown({ pointing: { hint: "", pulls: false, back: false } }));
    begin("row");
    await vi.waitFor(() => expect(takesClicks()).toBe(true));
    const slow = later<Proposal>();
    server.propose.mockReturnValueOnce(slow.answer);
    for (const count of [4, 5, 6]) propose({ ...ROW, count });
    slow.come(shown());
    await vi.waitFor(() => expect(useProposal.getState().fresh).toBe(true));
    expect(server.propose).toHaveBeenCalledTimes(3);
    expect(asked(2).edits).toEqual([{ ...ROW, count: 6 }]);
    clickFor({ ray: { from: { x: 0, y: 9, z: 0 }, along: { x: 0, y: -1, z: 0 } } });
    await vi.waitFor(() => expect(server.propose).toHaveBeenCalledTimes(4));
    expect(asked(3).point?.ray?.from.y).toBe(9);
  });

  it("is not done while it is refused; why is said", async () => {
    server.propose.mockResolvedValue(shown({ shown: undefined, refused: "There is room for two." }));
    begin("row");
    await vi.waitFor(() => expect(useProposal.getState().answer).not.toBeNull());
    expect(await take()).toBe(false);
    expect(server.edit).not.toHaveBeenCalled();
    expect(now().notice?.text).toBe("There is room for two.");
    expect(isProposing()).toBe(true);
  });

  it("is given up with what it is for", async () => {
    server.propose.mockResolvedValue(shown());
    begin("row");
    await vi.waitFor(() => expect(useProposal.getState().answer).not.toBeNull());
    now().select(["b"]);
    expect(isProposing()).toBe(false);
  });

  it("is nothing that comes after it was given up", async () => {
    const slow = later<Proposal>();
    server.propose.mockReturnValue(slow.answer);
    begin("row");
    drop();
    slow.come(shown({ changed: [piece("n")] }));
    await slow.answer;
    expect(now().ghosts).toEqual([]);
    expect(isProposing()).toBe(false);
  });
});

describe("a sentence", () => {
  it("typed with Enter at once is what was typed last", async () => {
    const slow = later<Proposal>();
    server.propose.mockReturnValueOnce(slow.answer).mockResolvedValue(shown());
    server.edit.mockResolvedValue(changed(4));
    beginToSay("3 in a");
    say("3 in a row");
    const done = take();
    slow.come(proposal({ wrong: "“3 in a” goes on." }));
    expect(await done).toBe(true);
    expect(asked(1)).toMatchObject({ text: "3 in a row", pieces: ["a"] });
    expect(sent(0).edits).toEqual([ROW]);
  });

  it("that cannot be read is not sent, and stays", async () => {
    server.propose.mockResolvedValue(proposal({ wrong: "What shall be is not said." }));
    beginToSay("gibberish");
    expect(await take()).toBe(false);
    expect(server.edit).not.toHaveBeenCalled();
    expect(useProposal.getState().text).toBe("gibberish");
    expect(now().notice?.text).toBe("What shall be is not said.");
  });

  it("that only selects does just that", async () => {
    server.propose.mockResolvedValue(proposal({ selected: ["b"] }));
    beginToSay("select b");
    expect(await take()).toBe(true);
    expect(server.edit).not.toHaveBeenCalled();
    expect(now().selection).toEqual(["b"]);
  });

  it("of nothing is not done", async () => {
    server.propose.mockResolvedValue(proposal());
    beginToSay("  ");
    expect(await take()).toBe(false);
  });

  it("is kept as an edit once something is clicked for it", async () => {
    server.propose.mockResolvedValue(shown({ pointing: { hint: "", pulls: false, back: false } }));
    beginToSay("3 in a row");
    await vi.waitFor(() => expect(takesClicks()).toBe(true));
    clickFor({ at: { x: 1, z: 1 } });
    expect(useProposal.getState().text).toBeNull();
    await vi.waitFor(() => expect(asked(1)).toMatchObject({ edits: [ROW], point: { at: { x: 1, z: 1 } } }));
  });
});

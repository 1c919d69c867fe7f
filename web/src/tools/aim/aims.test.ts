import "../../test/page";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { EditRequest, PointAnswer, ProposeRequest } from "../../api/types.gen";
import { changed, later, piece, proposal, scripted, server, silent, view } from "../../test/server";

vi.mock("../../api/client", async (original) => scripted(await original()));
const { Refused } = await import("../../api/client");
const { useSheet } = await import("../../store/sheet");
const { useHandling } = await import("../../store/handling");
const { aim, aimAt, aimNow, aimOver, endAim, typeAim, useAim } = await import("./aims");
const { answer, ask, unask, useQuestion } = await import("./question");

const now = useSheet.getState;
const at = { ray: { from: { x: 1, y: 9, z: 1 }, along: { x: 0, y: -1, z: 0 } }, near: 0.1 };
const on = (piece: string | null, part: string | null = null) => ({ piece, part });
const NOWHERE = on(null);
const sent = () => server.edit.mock.calls.map((c) => (c[1] as unknown as EditRequest).edits[0]);
const point = (x: number, more: Partial<PointAnswer> = {}): PointAnswer => ({
  revision: 3,
  at: { x, y: 0, z: 0 },
  words: "",
  text: x.toFixed(2),
  ...more,
});

beforeEach(async () => {
  endAim();
  unask();
  silent();
  server.space.mockResolvedValue(view([piece("a"), piece("b", 2), piece("c", 4)]));
  server.edit.mockResolvedValue(changed(4));
  await now().open("room");
  now().select(["a", "b"]);
  now().hush();
});

describe("what is said by a click", () => {
  it("is for what is selected, and says so where nothing is", () => {
    now().select([]);
    aim("attach");
    expect(aimNow()).toBeNull();
    expect(now().notice?.text).toBe("Select a piece first.");
  });

  it("settles onto what is clicked, without that itself, and all stays selected", async () => {
    aim("settle");
    await aimAt(on("b"), at);
    expect(sent()).toEqual([{ do: "settleOnto", pieces: ["a"], onto: "b" }]);
    expect(aimNow()).toBeNull();
    expect(now().selection).toEqual(["a", "b"]);
  });

  it("waits for a piece where one is wanted", async () => {
    aim("attach");
    await aimAt(NOWHERE, at);
    expect(sent()).toEqual([]);
    expect(now().notice?.text).toBe("Click the piece it is to be attached to.");
    await aimAt(on("c"), at);
    expect(sent()).toEqual([{ do: "attach", pieces: ["a", "b"], to: "c" }]);
  });

  it("runs along a wall, a platform or another piece, about the mark that was chosen", async () => {
    aim("along");
    await aimAt(on(null, "ceiling"), at);
    expect(now().notice?.text).toContain("Click a wall");
    useHandling.setState({ about: "front left" });
    await aimAt(on("a", "wall:B"), at);
    expect(sent()).toEqual([{ do: "along", pieces: ["a", "b"], to: "wall:B", about: "front left" }]);
  });

  it("faces a piece, or the place that is seen", async () => {
    aim("face");
    await aimAt(on("c"), at);
    aim("face");
    await aimAt(on("a"), at);
    expect(sent()).toMatchObject([
      { do: "face", what: "piece", piece: "c" },
      { do: "face", what: "point", ray: at.ray },
    ]);
  });

  it("begins a ring around what is seen there, which core finds", async () => {
    server.propose.mockResolvedValue(proposal());
    aim("ring");
    await aimAt(on("c"), at);
    await vi.waitFor(() => expect(server.propose).toHaveBeenCalled());
    const asked = server.propose.mock.calls[0][1] as unknown as ProposeRequest;
    expect(asked).toMatchObject({ begin: "ring", point: { ray: at.ray, piece: "c" } });
    expect(asked.point?.near).toBeCloseTo(0.3);
  });
});

describe("what is said by points", () => {
  it("is made of so many, each measured from the one before", async () => {
    server.point.mockResolvedValueOnce(point(1)).mockResolvedValueOnce(point(2)).mockResolvedValue(point(3));
    aim("points");
    for (let i = 0; i < 3; i++) await aimAt(NOWHERE, at);
    expect(sent()).toMatchObject([{ do: "turnFrom", centre: { x: 1 }, from: { x: 2 }, to: { x: 3 } }]);
    expect(server.point.mock.calls[1][1]).toMatchObject({ pieces: ["a", "b"], from: { x: 1 } });
    expect(server.point.mock.calls[2][1]).toMatchObject({ pieces: [] });
  });

  it("may be ended by what is typed, in the way that is chosen", async () => {
    server.point.mockResolvedValue(point(1, { along: "width" }));
    aim("known");
    expect(await typeAim("0.74")).toBe(false); // there is nothing yet of which it would be the length
    for (let i = 0; i < 2; i++) await aimAt(NOWHERE, at);
    useAim.setState({ way: 1 });
    expect(await typeAim("0.74")).toBe(true);
    expect(sent()[0]).toMatchObject({
      do: "knownLength",
      pieces: ["a", "b"],
      length: "0.74",
      along: "width",
    });
  });

  it("stays where it was when a point is refused", async () => {
    server.point.mockRejectedValue(new Refused("There is nothing.", 422));
    aim("points");
    await aimAt(NOWHERE, at);
    expect(now().notice).toMatchObject({ text: "There is nothing.", kind: "refused" });
    expect(useAim.getState().points).toEqual([]);
  });

  it("shows the point that a click would take, the newest, and none after it is ended", async () => {
    const slow = later<PointAnswer>();
    server.point.mockReturnValueOnce(slow.answer).mockResolvedValue(point(2));
    aim("points");
    [1, 2, 3].forEach(() => aimOver(at));
    slow.come(point(1));
    await vi.waitFor(() => expect(useAim.getState().over?.at.x).toBe(2));
    expect(server.point).toHaveBeenCalledTimes(2);
    const late = later<PointAnswer>();
    server.point.mockReturnValue(late.answer);
    aimOver(at);
    endAim();
    late.come(point(9));
    await late.answer;
    expect(useAim.getState().over).toBeNull();
  });
});

describe("what is asked before it is done", () => {
  it("makes an edit of what is typed, and stays where that is refused", async () => {
    ask({
      words: "Name",
      label: "Name",
      text: "",
      edit: (name) => ({ do: "nameSelection", pieces: ["a"], name }),
    });
    server.edit.mockRejectedValueOnce(new Refused("There is one.", 422));
    expect(await answer("Chairs")).toBe(false);
    expect(useQuestion.getState().asked).not.toBeNull();
    expect(await answer("Stools")).toBe(true);
    expect(useQuestion.getState().asked).toBeNull();
  });

  it("or leads to something else, and is about what was selected then", async () => {
    const then = vi.fn(() => Promise.resolve(true));
    ask({ words: "Name", label: "Name", text: "", then });
    expect(await answer("x")).toBe(true);
    expect(then).toHaveBeenCalledWith("x");
    ask({ words: "Name", label: "Name", text: "", then });
    now().select(["c"]);
    expect(useQuestion.getState().asked).toBeNull();
    expect(await answer("x")).toBe(false);
  });
});

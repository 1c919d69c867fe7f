import "../../test/page";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { Draft, EditRequest, Spot } from "../../api/types.gen";
import { changed, later, piece, scripted, server, silent, view } from "../../test/server";

vi.mock("../../api/client", async (original) => scripted(await original()));
const { Refused } = await import("../../api/client");
const { useSheet } = await import("../../store/sheet");
const { abandon, back, draftBack, draftEnter, draftEscape, draw, pointAt, setCorner, typeInDraft, useDraft } =
  await import("./draft");

const draft = useDraft.getState;
const to = (x: number, z: number, more: Partial<Draft> = {}): Draft => ({
  next: { x, z },
  closes: false,
  edges: [],
  area: "",
  ...more,
});
const key = (k: string) => ({ key: k, ctrlKey: false, metaKey: false }) as unknown as KeyboardEvent;
const sent = () => server.edit.mock.calls.map((c) => (c[1] as unknown as EditRequest).edits[0]);

/** A corner is set where core says, which is asked for then. */
async function corner(x: number, z: number, more: Partial<Draft> = {}) {
  const corners = draft().corners.length;
  server.draft.mockResolvedValue(to(x, z, more));
  pointAt({ x, z }, 0.1, false);
  setCorner();
  if (!more.closes) await vi.waitFor(() => expect(draft().corners.length).toBe(corners + 1));
}

beforeEach(async () => {
  abandon();
  silent();
  server.space.mockResolvedValue(view([piece("a")]));
  server.draft.mockResolvedValue(to(0, 0));
  server.edit.mockResolvedValue(changed(4, { part: "platform:1" }));
  await useSheet.getState().open("room");
  useSheet.getState().select(["a"]);
});

describe("what is drawn corner by corner", () => {
  it("begins with nothing selected, and shows what core says of the next corner", async () => {
    draw("platform");
    expect(useSheet.getState().selection).toEqual([]);
    server.draft.mockResolvedValue(to(1.5, 2, { area: "3.00 m²" }));
    pointAt({ x: 1.49, z: 2.02 }, 0.1, true);
    await vi.waitFor(() => expect(draft().answer).toMatchObject({ next: { x: 1.5, z: 2 }, area: "3.00 m²" }));
    expect(server.draft.mock.calls[0]).toMatchObject([
      "room",
      { corners: [], pointer: { x: 1.49, z: 2.02 }, free: true, line: false },
      false,
      "m",
    ]);
  });

  it("is made where it closes, and is selected then", async () => {
    draw("platform");
    await corner(1, 1);
    await corner(2, 1);
    await corner(2, 2);
    await corner(1, 1, { closes: true });
    await vi.waitFor(() => expect(draft().purpose).toBeNull());
    const outline = [
      { x: 1, z: 1 },
      { x: 2, z: 1 },
      { x: 2, z: 2 },
    ];
    expect(sent()).toEqual([{ do: "platform", outline }]);
    expect(useSheet.getState().part).toBe("platform:1");
  });

  it("of two corners is a partition", async () => {
    draw("partition");
    await corner(1, 1);
    server.draft.mockResolvedValue(to(3, 1));
    pointAt({ x: 3, z: 1 }, 0.1, false);
    setCorner();
    await vi.waitFor(() => expect(sent()).toHaveLength(1));
    expect(sent()[0]).toEqual({ do: "partition", from: { x: 1, z: 1 }, to: { x: 3, z: 1 } });
  });

  it("sets its corners in the order in which the hand did, however slow the answers", async () => {
    draw("outline");
    const slow = later<Draft>();
    pointAt({ x: 0, z: 0 }, 0.1, false);
    await vi.waitFor(() => expect(draft().answer).not.toBeNull());
    server.draft.mockImplementation((_: never, { pointer }: { pointer: Spot }) =>
      pointer.x === 0 ? slow.answer : Promise.resolve(to(5, 0)),
    );
    setCorner();
    pointAt({ x: 5, z: 0 }, 0.1, false);
    setCorner();
    slow.come(to(0, 0));
    await vi.waitFor(() => expect(draft().corners).toHaveLength(2));
    expect(draft().corners).toEqual([
      { x: 0, z: 0 },
      { x: 5, z: 0 },
    ]);
  });

  it("that is refused stays as drawn", async () => {
    server.edit.mockRejectedValue(new Refused("It is outside.", 422));
    draw("platform");
    await corner(1, 1);
    await corner(2, 1);
    await corner(2, 2);
    await corner(1, 1, { closes: true });
    await vi.waitFor(() => expect(useSheet.getState().notice?.text).toBe("It is outside."));
    expect(draft()).toMatchObject({ purpose: "platform" });
    expect(draft().corners).toHaveLength(3);
  });
});

describe("what is typed while one draws", () => {
  beforeEach(async () => {
    draw("platform");
    await corner(1, 1);
  });

  it("is asked with, and set by Enter", async () => {
    expect(typeInDraft(key("m"))).toBe(false);
    for (const k of "3.2 at 90") expect(typeInDraft(key(k))).toBe(true);
    server.draft.mockResolvedValue(to(1, 4.2));
    draftEnter();
    await vi.waitFor(() => expect(draft().corners).toHaveLength(2));
    const typed = server.draft.mock.calls.map((c) => (c[1] as { typed?: string }).typed);
    expect(typed).toContain("3.2 at 90");
    expect(draft().typed).toBe("");
  });

  it("is not lost where it cannot be read", async () => {
    for (const k of "3x") typeInDraft(key(k));
    server.draft.mockRejectedValue(new Refused("3x is no length.", 422));
    draftEnter();
    await vi.waitFor(() => expect(draft().wrong).toBe("3x is no length."));
    await vi.waitFor(() => expect(draft().typed).toBe("3x"));
    expect(draft().corners).toHaveLength(1);
  });

  it("goes digit by digit, then corner by corner, then the drawing", () => {
    for (const k of "12") typeInDraft(key(k));
    draftBack();
    expect(draft().typed).toBe("1");
    draftEscape();
    expect(draft().typed).toBe("");
    back();
    expect(draft().corners).toEqual([]);
    draftEscape();
    expect(draft().purpose).toBeNull();
  });
});

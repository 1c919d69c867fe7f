import "../../test/page";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { ArticleCard, EditUnion, ProposeRequest } from "../../api/types.gen";
import { piece, proposal, scripted, server, silent, view } from "../../test/server";

vi.mock("../../api/client", async (original) => scripted(await original()));
const { useSheet } = await import("../../store/sheet");
const { useCarry } = await import("../carry/carry");
const { begin, drop, useProposal } = await import("../propose/proposal");
const { choose, droppedOn } = await import("./exchange");

const CRATE = { id: "crate", name: "Crate" } as ArticleCard;
const now = useSheet.getState;
const last = () => server.propose.mock.lastCall![1] as ProposeRequest;
const isIn = (...pieces: string[]): EditUnion => ({ do: "exchange", pieces, article: "crate" });

beforeEach(async () => {
  drop();
  silent();
  server.space.mockResolvedValue(view([piece("a"), piece("b", 2), piece("c", 4)]));
  now().close();
  await now().open("room");
  now().select(["a", "b"]);
});

describe("what takes the place of what is selected", () => {
  it("is asked for, and is the card that is clicked then", async () => {
    server.propose.mockResolvedValue(proposal({ edits: [{ do: "exchange", pieces: ["a", "b"] }] }));
    begin("exchange");
    await vi.waitFor(() => expect(useProposal.getState().edits).toHaveLength(1));
    expect(last()).toMatchObject({ begin: "exchange", pieces: ["a", "b"] });
    expect(choose(CRATE)).toBe(true);
    await vi.waitFor(() => expect(last().edits).toEqual([isIn("a", "b")]));
    expect(now().placing).toBeNull();
  });

  it("is not meant where nothing is exchanged: the card is in hand", () => {
    expect(choose(CRATE)).toBe(false);
    expect(now().placing?.article.id).toBe("crate");
    expect(server.propose).not.toHaveBeenCalled();
  });
});

describe("a card that is dragged", () => {
  const dragged = (on: object) => {
    now().place({ article: CRATE, turn: 0 });
    useCarry.setState({ answer: { pieces: [piece("in hand", 0, { on } as never)] } as never });
  };

  it("takes the place of a selected piece that it is dropped on", async () => {
    dragged({ kind: "floor" });
    expect(droppedOn(["c", "b"])).toBe(true);
    expect(now().placing).toBeNull();
    expect(useCarry.getState().hand).toBeNull();
    await vi.waitFor(() => expect(last().edits).toEqual([isIn("a", "b")]));
  });

  it("is put down on a selected piece that would carry it, and on what is not selected", () => {
    dragged({ kind: "piece", id: "b" });
    expect(droppedOn(["b"])).toBe(false);
    dragged({ kind: "floor" });
    expect(droppedOn(["c"])).toBe(false);
    expect(now().placing?.article.id).toBe("crate");
  });
});

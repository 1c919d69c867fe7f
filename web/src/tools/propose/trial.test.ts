import "../../test/page";
import { beforeEach, expect, it, vi } from "vitest";
import type { EditUnion, Proposal, ProposeRequest } from "../../api/types.gen";
import { later, piece, proposal, scripted, server, silent, view } from "../../test/server";

vi.mock("../../api/client", async (original) => scripted(await original()));
const { useSheet } = await import("../../store/sheet");
const { giveUp, tryOut } = await import("./trial");

const move = (x: number): EditUnion => ({ do: "moveBy", pieces: ["a"], by: { x, y: 0, z: 0 } });
const hand = () => useSheet.getState().hand;

beforeEach(async () => {
  giveUp();
  silent();
  server.space.mockResolvedValue(view([piece("a")]));
  await useSheet.getState().open("room");
});

it("shows what is pulled, the newest of it, with its caption and its distances", async () => {
  const slow = later<Proposal>();
  server.propose.mockReturnValueOnce(slow.answer);
  server.propose.mockResolvedValue(
    proposal({ changed: [piece("a", 3)], words: [{ kind: "text", text: "Stool" }], part: "wall:B" }),
  );
  [1, 2, 3].forEach((x) => tryOut([move(x)]));
  slow.come(proposal());
  await vi.waitFor(() => expect(useSheet.getState().ghosts).toEqual([piece("a", 3)]));
  const questions = server.propose.mock.calls.map((c) => c[1] as ProposeRequest);
  expect(questions.map((q) => q.edits)).toEqual([[move(1)], [move(3)]]);
  expect(questions[1].inHand).toBe(true);
  expect(hand()).toMatchObject({ caption: [{ text: "Stool" }], part: "wall:B" });
});

it("says why there is no place for it, refused or cut off", async () => {
  server.propose.mockResolvedValueOnce(proposal({ refused: "There is a wall." }));
  tryOut([move(9)]);
  await vi.waitFor(() =>
    expect(hand()).toMatchObject({ refused: true, caption: [{ text: "There is a wall." }] }),
  );
  server.propose.mockRejectedValueOnce(new TypeError("Failed to fetch"));
  tryOut([move(1)]);
  await vi.waitFor(() => expect(hand()).toMatchObject({ caption: [{ text: "Failed to fetch" }] }));
});

it("shows nothing of what was given up", async () => {
  const slow = later<Proposal>();
  server.propose.mockReturnValue(slow.answer);
  tryOut([move(1)]);
  giveUp();
  slow.come(proposal({ changed: [piece("a", 3)] }));
  await slow.answer;
  expect(useSheet.getState().ghosts).toEqual([]);
  expect(hand()).toBeNull();
});

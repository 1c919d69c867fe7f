import { describe, expect, it } from "vitest";
import { Newest } from "./newest";

/** A server that answers when it is told to. */
function scripted() {
  const open: { q: number; done: (a: string) => void; fail: (e: Error) => void }[] = [];
  const told: [string, boolean][] = [];
  const newest = new Newest<number, string>(
    (q) => new Promise((done, fail) => open.push({ q, done, fail })),
    (a, last) => told.push([a, last]),
    (e, last) => told.push([e.message, last]),
  );
  const turn = () => new Promise((r) => setTimeout(r));
  return { open, told, newest, turn };
}

describe("one question at a time", () => {
  it("skips those that were overtaken", async () => {
    const { open, told, newest, turn } = scripted();
    [1, 2, 3].forEach((q) => newest.put(q));
    expect(open.map((o) => o.q)).toEqual([1]);
    open[0].done("one");
    await turn();
    expect(open.map((o) => o.q)).toEqual([1, 3]);
    open[1].done("three");
    await newest.settled();
    expect(told).toEqual([
      ["one", false],
      ["three", true],
    ]);
  });

  it("tells nothing of what was given up, and goes on with what is asked then", async () => {
    const { open, told, newest, turn } = scripted();
    newest.put(1);
    newest.forget();
    newest.put(2);
    open[0].done("late");
    await turn();
    open[1].fail(new Error("no"));
    await newest.settled();
    expect(told).toEqual([["no", true]]);
  });

  it("is settled at once where nothing was asked", async () => {
    await scripted().newest.settled();
  });
});

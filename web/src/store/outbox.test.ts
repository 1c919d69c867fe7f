import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Changed } from "../api/types.gen";

const edit = vi.fn();
const undo = vi.fn();

vi.mock("../api/client", () => {
  class Refused extends Error {
    constructor(
      message: string,
      readonly status: number,
    ) {
      super(message);
    }
  }
  return { Refused, api: { edit, undo } };
});

const { Refused } = await import("../api/client");
const { Outbox } = await import("./outbox");

const kept = new Map<string, string>();
const refused = (words: string, status: number) =>
  new (Refused as unknown as new (m: string, s: number) => Error)(words, status);
const answer = (revision: number) => ({ revision }) as Changed;
const by = { window: "here" };
const letter = (id: string) => ({ id, unit: "m", by, edits: [{ do: "settle" as const, pieces: [id] }] });

describe("what was done and is to be kept", () => {
  let told: string[];
  let outbox: InstanceType<typeof Outbox>;

  beforeEach(() => {
    vi.useFakeTimers();
    vi.stubGlobal("sessionStorage", {
      getItem: (k: string) => kept.get(k) ?? null,
      setItem: (k: string, v: string) => kept.set(k, v),
      removeItem: (k: string) => kept.delete(k),
    });
    kept.clear();
    edit.mockReset();
    undo.mockReset();
    told = [];
    outbox = new Outbox("room", (saved, trouble) => told.push(saved + (trouble && ": " + trouble)));
  });

  afterEach(() => vi.useRealTimers());

  it("goes out one after the other, in order", async () => {
    const begun: string[] = [];
    let through: (c: Changed) => void = () => {};
    edit.mockImplementation((_space: string, request: { id: string }) => {
      begun.push(request.id);
      return new Promise<Changed>((done) => (through = done));
    });
    const first = outbox.send(letter("a"));
    const second = outbox.send(letter("b"));
    await vi.advanceTimersByTimeAsync(5000);
    expect(begun).toEqual(["a"]);
    through(answer(1));
    expect((await first).revision).toBe(1);
    await vi.advanceTimersByTimeAsync(0);
    expect(begun).toEqual(["a", "b"]);
    through(answer(2));
    expect((await second).revision).toBe(2);
    expect(outbox.empty()).toBe(true);
    expect(told.at(-1)).toBe("saved");
  });

  it("is sent again with the same id until the line is there", async () => {
    edit.mockRejectedValueOnce(new TypeError("no line")).mockRejectedValueOnce(new TypeError("no line"));
    edit.mockResolvedValueOnce(answer(7));
    const done = outbox.send(letter("a"));
    await vi.advanceTimersByTimeAsync(10_000);
    expect((await done).revision).toBe(7);
    expect(edit.mock.calls.map((c) => (c[1] as { id: string }).id)).toEqual(["a", "a", "a"]);
    expect(told).toContain("waiting");
  });

  it("waits as long as the server can keep nothing, and says why", async () => {
    edit.mockRejectedValueOnce(refused("The disk is full.", 507)).mockResolvedValueOnce(answer(3));
    const done = outbox.send(letter("a"));
    await vi.advanceTimersByTimeAsync(100);
    expect(told.at(-1)).toBe("stuck: The disk is full.");
    expect(JSON.parse(kept.get("pied.outbox.room")!)).toHaveLength(1);
    await vi.advanceTimersByTimeAsync(1000);
    expect((await done).revision).toBe(3);
    expect(kept.has("pied.outbox.room")).toBe(false);
  });

  it("gives back what is refused, and goes on with the next", async () => {
    edit.mockRejectedValueOnce(refused("It does not fit.", 422)).mockResolvedValueOnce(answer(4));
    const first = outbox.send(letter("a"));
    const second = outbox.send(letter("b"));
    await expect(first).rejects.toThrow("It does not fit.");
    expect((await second).revision).toBe(4);
  });

  it("gives up an error of the server's own after three tries", async () => {
    edit.mockRejectedValue(refused("Something broke.", 500));
    const done = outbox.send(letter("a"));
    const failed = expect(done).rejects.toThrow("Something broke.");
    await vi.advanceTimersByTimeAsync(20_000);
    await failed;
    expect(edit).toHaveBeenCalledTimes(3);
  });

  it("takes a step through the history like anything else", async () => {
    undo.mockResolvedValueOnce(answer(9));
    expect((await outbox.send({ id: "u", unit: "m", by, step: "undo" })).revision).toBe(9);
    expect(undo).toHaveBeenCalledWith("room", { id: "u", by, how: undefined });
  });

  it("is found again when the page is loaded anew", () => {
    edit.mockReturnValue(new Promise(() => {}));
    void outbox.send(letter("a"));
    void outbox.send(letter("b"));
    const anew = new Outbox("room", () => {});
    expect(anew.left().map((l) => l.id)).toEqual(["a", "b"]);
    kept.set("pied.outbox.room", "{broken");
    expect(anew.left()).toEqual([]);
  });

  it("says nothing any more once the space was left, but still sends", async () => {
    edit.mockResolvedValueOnce(answer(1));
    const done = outbox.send(letter("a"));
    const before = told.length;
    outbox.close();
    await done;
    await vi.advanceTimersByTimeAsync(0);
    expect(told).toHaveLength(before);
    expect(edit).toHaveBeenCalledTimes(1);
  });
});

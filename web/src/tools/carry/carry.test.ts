import "../../test/page";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type {
  ArticleCard,
  CarryResult,
  CarryAnswer,
  CarryMeasure,
  CarryQuestion,
  EditRequest,
  EditUnion,
} from "../../api/types.gen";
import { changed, piece, scripted, server, silent, view } from "../../test/server";

/** The line to the server: what was asked, and a way to answer; it may be down. */
const line = vi.hoisted(() => ({
  asked: [] as CarryQuestion[],
  up: true,
  answer: null as unknown as (message: unknown) => void,
  opened: () => {},
}));
vi.mock("../../api/client", async (original) => scripted(await original()));
vi.mock("../../store/live", () => ({
  send: (m: CarryQuestion) => {
    if (line.up) line.asked.push(m);
    return line.up;
  },
  onAnswer: (how: typeof line.answer) => (line.answer = how),
  onOpen: (how: () => void) => (line.opened = how),
}));
const { Refused } = await import("../../api/client");
const { useSheet } = await import("../../store/sheet");
const carrying = await import("./carry");
const { dropCarry, giveUpCarry, nextNumber, pickUp, pointCarry, putDownCarry, typeInHand, useCarry } =
  carrying;

const now = useSheet.getState;
const hand = useCarry.getState;
const key = (k: string) => ({ key: k, ctrlKey: false, metaKey: false }) as unknown as KeyboardEvent;
const type = (text: string) => [...text].map((k) => typeInHand(key(k)));
/** Questions about what is in hand; that it was put down is told with 0. */
const asked = () => line.asked.filter((q) => q.ask > 0);
const last = () => asked()[asked().length - 1];

const measure = (slot: string, value = 1): CarryMeasure => ({
  slot,
  value,
  text: value.toFixed(2),
  words: slot,
  from: { x: 0, y: 0, z: 0 },
  to: { x: value, y: 0, z: 0 },
});

const carried = (more: Partial<CarryResult> = {}): CarryResult => ({
  pieces: [piece("a", 2)],
  lead: "a",
  size: "",
  on: { kind: "floor", id: "" },
  place: "",
  levels: 1,
  mark: { x: 0, y: 0, z: 0 },
  turn: 0,
  ways: [],
  measures: [measure("moved"), measure("left"), measure("right", 0.01), measure("turn", 30)],
  snaps: [],
  stopped: "",
  refused: "",
  said: [],
  ...more,
});

const answers = (carry: CarryResult | null, more: Partial<CarryAnswer> = {}) =>
  line.answer({ is: "answer", answer: last().ask, revision: 3, carry, refused: "", offers: [], ...more });

beforeEach(async () => {
  dropCarry();
  line.opened();
  line.asked.length = 0;
  line.up = true;
  silent();
  server.space.mockResolvedValue(view([piece("a", 1), piece("b", 2)]));
  now().close();
  await now().open("room");
  now().select(["b", "a"]);
});

describe("the conversation", () => {
  it("has one question on its way, and the newest pointer wins", () => {
    pickUp({ x: 1, y: 0, z: 0 });
    for (const x of [1, 2, 3]) pointCarry({ at: { x, z: 0 }, near: 0.1 }, false);
    expect(asked()).toHaveLength(1);
    answers(carried());
    expect(asked()).toHaveLength(2);
    expect(last().carry).toMatchObject({ pieces: ["b", "a"], at: { x: 3, z: 0 }, near: 0.1 });
    expect(now().ghosts).toEqual([piece("a", 2)]);
  });

  it("shows the distances that have room for their numbers", () => {
    pickUp({ x: 1, y: 0, z: 0 });
    pointCarry({ at: { x: 1, z: 0 }, near: 0.1 }, false);
    answers(carried());
    expect(now().hand?.reach.map((r) => r.side)).toEqual(["left"]);
  });

  it("forgets answers to what was put back since", () => {
    pickUp({ x: 1, y: 0, z: 0 });
    pointCarry({ at: { x: 1, z: 0 }, near: 0.1 }, false);
    dropCarry();
    answers(carried());
    expect(now().ghosts).toEqual([]);
    expect(line.asked.at(-1)).toEqual({ ask: 0 });
  });

  it("goes on when the line is back", () => {
    line.up = false;
    pickUp({ x: 1, y: 0, z: 0 });
    pointCarry({ at: { x: 4, z: 0 }, near: 0.1 }, false);
    expect(asked()).toHaveLength(0);
    line.up = true;
    line.opened();
    expect(last().carry.at).toEqual({ x: 4, z: 0 });
  });

  it("says why there is no place, and offers what is possible where it cannot be carried at all", () => {
    pickUp({ x: 1, y: 0, z: 0 });
    pointCarry({ at: { x: 1, z: 0 }, near: 0.1 }, false);
    answers(carried({ refused: "There is a wall." }));
    expect(now().hand).toMatchObject({ refused: true, caption: [{ text: "There is a wall." }] });
    pointCarry({ at: { x: 2, z: 0 }, near: 0.1 }, false);
    answers(null, { refused: "It is locked.", offers: [{ words: "Unlock", edits: [] }] });
    expect(hand().hand).toBeNull();
    expect(now().notice).toMatchObject({ text: "It is locked.", kind: "refused" });
  });
});

describe("picking up and putting down", () => {
  it("is of what is selected, and of nothing where nothing is", () => {
    now().select([]);
    pickUp({ x: 0, y: 0, z: 0 });
    expect(hand().hand).toBeNull();
  });

  it("by a key begins where the piece is, and arrows move what it points at", () => {
    pickUp(null);
    expect(last().carry.at).toEqual({ x: 1, z: 0 });
    answers(carried());
    carrying.step(0.05, 0);
    expect(last().carry.at).toEqual({ x: 1.05, z: 0 });
  });

  it("does what was asked last, in one edit, and what was copied is selected then", async () => {
    server.edit.mockResolvedValue(changed(4, { changed: [piece("c", 5)], made: ["c"] }));
    pickUp({ x: 1, y: 0, z: 0 }, true);
    pointCarry({ at: { x: 5, z: 1 }, near: 0.1 }, true);
    await putDownCarry(false);
    const { edits } = server.edit.mock.calls[0][1] as unknown as EditRequest;
    const put = edits[0] as Extract<EditUnion, { do: "putDown" }>;
    expect(put.do).toBe("putDown");
    expect(put.carry).toMatchObject({ copy: true, at: { x: 5, z: 1 }, near: 0, free: true });
    expect(now().selection).toEqual(["c"]);
    expect(hand().hand).toBeNull();
  });

  it("that is refused leaves it in hand", async () => {
    server.edit.mockRejectedValue(new Refused("There is a wall.", 422));
    pickUp({ x: 1, y: 0, z: 0 });
    pointCarry({ at: { x: 5, z: 1 }, near: 0.1 }, false);
    await putDownCarry(false);
    expect(hand().hand?.pieces).toEqual(["b", "a"]);
    expect(hand().pointer).toMatchObject({ at: { x: 5, z: 1 } });
  });

  it("of a card goes on with the next, as it was turned", async () => {
    server.edit.mockResolvedValue(changed(4, { changed: [piece("n")], made: ["n"] }));
    now().place({ article: { id: "stool" } as ArticleCard, turn: 0 });
    pointCarry({ at: { x: 2, z: 2 }, near: 0.1 }, false);
    answers(carried({ turn: 45 }));
    await putDownCarry(true);
    expect(hand().hand).toMatchObject({ article: "stool", turn: 45 });
    now().place(null);
    expect(hand().hand).toBeNull();
  });
});

describe("numbers typed while in hand", () => {
  beforeEach(() => {
    pickUp({ x: 1, y: 0, z: 0 });
    pointCarry({ at: { x: 1, z: 0 }, near: 0.1 }, false);
    answers(carried({ way: { x: 1, y: 0, z: 0 } }));
  });

  it("go to the measure in focus, along the way it moves", () => {
    expect(type("1.5")).toEqual([true, true, true]);
    answers(carried());
    expect(last().carry.typed).toMatchObject({ slot: "moved", text: "1.5" });
    // the pointer no longer says where it is
    pointCarry({ at: { x: 9, z: 9 }, near: 0.1 }, false);
    expect(hand().pointer).toMatchObject({ at: { x: 1, z: 0 } });
  });

  it("stand as selected after a pause, and the next digit begins another", () => {
    vi.useFakeTimers();
    type("15");
    expect(hand()).toMatchObject({ typing: "15", anew: false });
    vi.advanceTimersByTime(1600);
    expect(hand().anew).toBe(true);
    type("7");
    expect(hand()).toMatchObject({ typing: "7", anew: false });
    vi.useRealTimers();
  });

  it("are erased, or replaced, by the key that erases", () => {
    type("12");
    carrying.eraseDigit();
    expect(hand().typing).toBe("1");
    useCarry.setState({ anew: true });
    carrying.eraseDigit();
    expect(hand()).toMatchObject({ typing: "", typed: null });
  });

  it("are of the next measure after Tab, round and back", () => {
    nextNumber();
    expect(hand().focus).toBe("left");
    nextNumber(true);
    nextNumber(true);
    expect(hand().focus).toBe("turn");
    type("30");
    answers(carried({ turn: 30 }));
    answers(carried({ turn: 30 }));
    // a turn that was typed stays while one goes on
    nextNumber();
    expect(hand()).toMatchObject({ focus: "moved", typed: null });
    expect(hand().hand?.turn).toBe(30);
  });

  it("are no verbs, and verbs are no numbers", () => {
    expect(typeInHand(key("m"))).toBe(false);
    type("1");
    expect(typeInHand(key("c"))).toBe(true); // 1c… becomes 1cm
    expect(typeInHand({ ...key("c"), ctrlKey: true })).toBe(false);
  });

  it("are given up first, then what is in hand", () => {
    type("3");
    giveUpCarry();
    expect(hand()).toMatchObject({ typing: "", typed: null });
    expect(hand().hand).not.toBeNull();
    giveUpCarry();
    expect(hand().hand).toBeNull();
  });
});

it("turns by steps round the circle, and lets go of all that holds", () => {
  pickUp({ x: 1, y: 0, z: 0 });
  pointCarry({ at: { x: 1, z: 0 }, near: 0.1 }, false);
  carrying.turnInHand(-45);
  expect(hand().hand?.turn).toBe(315);
  answers(carried());
  const before = hand().snaps;
  carrying.toggleSnaps();
  answers(carried());
  expect(hand().snaps).toBe(!before);
  expect(last().carry.near).toBe(before ? 0 : 0.1);
  carrying.toggleSnaps();
});

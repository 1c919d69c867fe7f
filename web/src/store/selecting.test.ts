import "../test/page";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { group, later, piece, PLAIN, scripted, server, silent, view } from "../test/server";

vi.mock("../api/client", async (original) => scripted(await original()));
const { Refused } = await import("../api/client");
const { useSheet } = await import("./sheet");
const { pick, pickAlone, selectMade, selectMeant } = await import("./selecting");

const now = useSheet.getState;
const ALONE = { shiftKey: false, ctrlKey: false, metaKey: false };
const SHIFT = { ...ALONE, shiftKey: true };
const CTRL = { ...ALONE, ctrlKey: true };

beforeEach(async () => {
  silent();
  server.space.mockResolvedValue(
    view(
      [
        piece("a"),
        piece("b", 1),
        piece("c", 2),
        piece("g1", 3, { group: "g" }),
        piece("g2", 4, { group: "g" }),
      ],
      { filing: { ...PLAIN, groups: [group("g")] } },
    ),
  );
  await now().open("room");
  now().openGroup(null);
  now().select([]);
  now().hush();
});

describe("a click", () => {
  it("alone is instead of all before; on nothing it selects nothing", () => {
    pick("a", ALONE);
    pick("b", ALONE);
    expect(now().selection).toEqual(["b"]);
    pick(null, ALONE);
    expect(now().selection).toEqual([]);
  });

  it("with Shift is one more, makes what is selected the lead, and takes the lead out", () => {
    pick("a", ALONE);
    pick("b", SHIFT);
    expect(now().selection).toEqual(["a", "b"]);
    pick("a", SHIFT);
    expect(now().selection).toEqual(["b", "a"]);
    pick("a", SHIFT);
    expect(now().selection).toEqual(["b"]);
  });

  it("with Ctrl takes out whatever is selected", () => {
    pick("a", ALONE);
    pick("b", CTRL);
    pick("a", CTRL);
    expect(now().selection).toEqual(["b"]);
  });

  it("on one of a group is all of it, which core knows; in the list it is that one alone", async () => {
    server.select.mockResolvedValue(["g1", "g2"]);
    pick("g1", ALONE);
    await vi.waitFor(() => expect(now().selection).toEqual(["g1", "g2"]));
    expect(server.select.mock.calls[0][1]).toEqual({ by: "piece", pieces: ["g1"] });
    pickAlone("g2", ALONE);
    expect(now().selection).toEqual(["g2"]);
  });

  it("in a group that is open is that piece, and elsewhere closes it", () => {
    now().openGroup("g");
    pick("g1", ALONE);
    expect(now().selection).toEqual(["g1"]);
    pick("a", ALONE);
    expect(now().inGroup).toBeNull();
  });
});

describe("what is meant", () => {
  it("is the newest that was asked for, and nothing where one chose otherwise since", async () => {
    const slow = later<string[]>();
    server.select.mockReturnValueOnce(slow.answer).mockResolvedValue(["b"]);
    const first = selectMeant({ by: "figure", figure: [] });
    await selectMeant({ by: "kind", value: "x" });
    slow.come(["a"]);
    await first;
    expect(now().selection).toEqual(["b"]);
    const late = later<string[]>();
    server.select.mockReturnValueOnce(late.answer);
    const asked = selectMeant({ by: "kind", value: "x" });
    pick("c", ALONE);
    late.come(["a"]);
    await asked;
    expect(now().selection).toEqual(["c"]);
  });

  it("is added or taken away, without what is no longer there", async () => {
    now().select(["a", "b"]);
    server.select.mockResolvedValue(["b", "c", "gone"]);
    await selectMeant({ by: "figure", figure: [] }, "more");
    expect(now().selection).toEqual(["a", "b", "c"]);
    await selectMeant({ by: "figure", figure: [] }, "less");
    expect(now().selection).toEqual(["a"]);
  });

  it("says so where there is nothing like it, and what is wrong", async () => {
    server.select.mockResolvedValueOnce([]);
    await selectMeant({ by: "kind", value: "x" });
    expect(now().notice?.text).toBe("There is nothing like that to be seen here.");
    server.select.mockRejectedValueOnce(new Refused("There is no such group.", 422));
    await selectMeant({ by: "group", value: "x" });
    expect(now().notice).toMatchObject({ text: "There is no such group.", kind: "refused" });
  });
});

it("what was made is selected, with all of a repetition it is in", async () => {
  await selectMade(["a", "b"]);
  expect(now().selection).toEqual(["a", "b"]);
  await selectMade(["g1"]); // a plain group is no repetition
  expect(now().selection).toEqual(["g1"]);
  server.space.mockResolvedValue(
    view([piece("g1", 3, { group: "g" }), piece("g2", 4, { group: "g" })], {
      filing: { ...PLAIN, groups: [group("g", [], { rule: "row" })] },
    }),
  );
  await now().open("room");
  server.select.mockResolvedValue(["g1", "g2"]);
  await selectMade(["g1"]);
  expect(server.select.mock.calls[0][1]).toEqual({ by: "group", value: "g" });
  expect(now().selection).toEqual(["g1", "g2"]);
});

import "../../test/page";
import { beforeEach, describe, expect, it, vi } from "vitest";

const { useSheet } = await import("../../store/sheet");
const { areCurves, takeCurves } = await import("./curves");

const file = (name: string, size = 10) =>
  ({ name, size, text: () => Promise.resolve("IESNA") }) as unknown as File;

describe("photometric files", () => {
  const edit = vi.fn(() => Promise.resolve(null));
  const say = vi.fn();
  beforeEach(() => {
    edit.mockClear();
    say.mockClear();
    const pieces = new Map([
      ["lamp", { lamp: {} }],
      ["chair", {}],
    ]) as never;
    useSheet.setState({ edit, say, pieces, selection: ["lamp", "chair"] });
  });

  it("are known by what they are called", () => {
    expect(areCurves([file("a.IES"), file("b.ldt")])).toBe(true);
    expect(areCurves([file("a.ies"), file("b.obj")])).toBe(false);
    expect(areCurves([])).toBe(false);
  });

  it("are given to the lamps that are selected, and to nothing else", async () => {
    await takeCurves([file("Marsh lamp.ies")]);
    expect(edit).toHaveBeenCalledWith([
      { do: "takeCurve", name: "Marsh lamp", text: "IESNA", pieces: ["lamp"] },
    ]);
  });

  it("are not sent where they are too large to be one", async () => {
    await takeCurves([file("a.ies", 3_000_000)]);
    expect(edit).not.toHaveBeenCalled();
    expect(say).toHaveBeenCalledOnce();
  });
});

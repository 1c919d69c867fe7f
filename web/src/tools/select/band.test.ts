import "../../test/page";
import { beforeEach, describe, expect, it, vi } from "vitest";

const selectMeant = vi.fn();
vi.mock("../../store/selecting", () => ({ selectMeant }));
const { arm, draw, dropBand, takeBand, useBand } = await import("./band");

const onDrawing = ([x, y]: [number, number]) => ({ x: x / 100, y: y / 100 });

beforeEach(() => {
  selectMeant.mockReset();
  dropBand();
  useBand.setState({ touched: false });
});

describe("a figure drawn round what is meant", () => {
  it("is a rectangle between two corners, however often the pointer moves", () => {
    draw("plan", [100, 100], [110, 120]);
    draw("plan", [100, 100], [300, 250]);
    takeBand(false, onDrawing, null);
    expect(selectMeant).toHaveBeenCalledWith(
      {
        by: "figure",
        figure: [
          { x: 1, z: 1 },
          { x: 3, z: 2.5 },
        ],
        drawing: undefined,
        touched: false,
      },
      "instead",
    );
    expect(useBand.getState()).toMatchObject({ at: null, points: [], armed: null });
  });

  it("is a line drawn by hand where that was chosen, without the trembling of the hand", () => {
    arm("line", true);
    draw("set", [0, 0], [10, 0]);
    draw("set", [0, 0], [11, 1]); // nearer than anybody means
    draw("set", [0, 0], [10, 10]);
    draw("set", [0, 0], [0, 10]);
    expect(useBand.getState().points).toEqual([
      [0, 0],
      [10, 0],
      [10, 10],
      [0, 10],
    ]);
    takeBand(true, onDrawing, { view: "set" } as never);
    expect(selectMeant.mock.calls[0]).toMatchObject([
      { touched: true, drawing: { view: "set" }, figure: { length: 4 } },
      "more",
    ]);
    expect(localStorage.getItem("pied.touched")).toBe("yes");
  });

  it("begins anew in another drawing, and means nothing where nothing was drawn", () => {
    draw("plan", [0, 0], [50, 50]);
    draw("wall:A", [5, 5], [6, 6]);
    expect(useBand.getState()).toMatchObject({ at: "wall:A", points: { length: 2 } });
    dropBand();
    takeBand(false, onDrawing, null);
    expect(selectMeant).not.toHaveBeenCalled();
  });
});

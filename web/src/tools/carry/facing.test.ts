import { afterEach, describe, expect, it } from "vitest";
import { lookAt, lookAtPlan, nearest, stepOf } from "./facing";
import { filled } from "../../api/filled";

afterEach(lookAtPlan);

describe("a step by an arrow", () => {
  it("goes right and up the sheet on the plan", () => {
    expect(stepOf(1, 0)).toEqual({ x: 1, y: 0, z: 0 });
    expect(stepOf(0, 1)).toEqual({ x: 0, y: 0, z: -1 });
  });

  it("goes where that is in the drawing that was looked at last", () => {
    lookAt(() => ({ right: { x: -1, y: 0, z: 0 }, upright: true }));
    expect(stepOf(0.05, 0).x).toBe(-0.05);
    expect(stepOf(0, 0.01).y).toBe(0.01);
    lookAt(() => ({ right: { x: 0, y: 0, z: -1 }, upright: false }));
    expect(stepOf(0, 1).x).toBe(-1);
  });

  it("keeps to the nearest direction of the space", () => {
    expect(nearest({ x: 0.9, z: -0.4 })).toEqual({ x: 1, y: 0, z: 0 });
    expect(nearest({ x: 0.3, z: -0.4 })).toEqual({ x: 0, y: 0, z: -1 });
  });
});

describe("typed text", () => {
  it("goes into its slot and leaves the edit it came from as it was", () => {
    const edit = { do: "moveTo" as const, pieces: ["a"], to: { x: 1 } };
    expect(filled({ edit, slot: "to.y" }, "2 m")).toEqual({ ...edit, to: { x: 1, y: "2 m" } });
    expect(filled({ edit, slot: "piece" }, "b")).toEqual({ ...edit, piece: "b" });
    expect(edit.to).toEqual({ x: 1 });
  });
});

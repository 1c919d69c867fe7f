import "../../test/page";
import { beforeEach, describe, expect, it, vi } from "vitest";

const asked = vi.hoisted(() => vi.fn());
vi.mock("../../api/client", () => ({
  api: { askStill: asked, askAllStills: asked },
}));
const { ask, askAll, openStills, say, useStills } = await import("./still");
const { useSheet } = await import("../../store/sheet");
const { registerEye } = await import("../../store/eye");

const KEPT = { id: "v1", name: "The door", group: "kept", fits: false, look: "l1", upright: false };

function room(viewpoint: unknown = null) {
  useSheet.setState({
    space: { id: "s", showing: { viewpoints: [KEPT], looks: [] } } as never,
    viewpoint: viewpoint as never,
    lifted: ["ceiling"],
    walking: false,
  });
}

beforeEach(() => {
  asked.mockReset();
  asked.mockResolvedValue({ id: "new" });
  room();
});

describe("asking for a still", () => {
  it("is from the viewpoint one looks from, in the look that belongs to it", async () => {
    room({ view: KEPT, at: 1 });
    openStills();
    await ask();
    expect(asked).toHaveBeenCalledWith("s", expect.objectContaining({ viewpoint: "v1", look: "l1" }));
    expect(useStills.getState().chosen).toBe("new");
  });

  it("is from the set view as it is, without the walls one looks at from behind", async () => {
    const eye = { x: 1, y: 2, z: 3 };
    const gone = registerEye(() => ({ eye, target: { x: 0, y: 0, z: 0 }, high: 36 }));
    openStills();
    say({ size: "800 × 600", grade: "until", until: "2 %" });
    await ask();
    const [, request] = asked.mock.calls[0] as [string, Record<string, unknown>];
    expect(request).toMatchObject({ size: "800 × 600", limit: "2 %", grade: "good" });
    expect(request.eye).toMatchObject({ eye, high: 36, lifted: ["ceiling"], orbit: true });
    expect(request.viewpoint).toBeUndefined();
    gone();
  });

  it("is of all viewpoints at once, each in its own look", async () => {
    asked.mockResolvedValue([{ id: "a" }, { id: "b" }]);
    say({ look: "" });
    await askAll();
    const [, request] = asked.mock.calls[0] as [string, Record<string, unknown>];
    expect(request.look).toBeUndefined();
    expect(useStills.getState().chosen).toBe("a");
  });

  it("says why it cannot be", async () => {
    asked.mockRejectedValue(new Error("A picture has 37 million dots at most."));
    say({ from: "v1" });
    await ask();
    expect(useStills.getState().failed).toBe("A picture has 37 million dots at most.");
    say({ size: "10 × 10" });
    expect(useStills.getState().failed).toBeNull();
  });

  it("is twice as wide as high all around", () => {
    say({ around: true });
    expect(useStills.getState().wish.size).toBe("4096 × 2048");
    say({ around: false });
    expect(useStills.getState().wish.size).toBe("1920 × 1080");
  });
});

import "../../test/page";
import { beforeEach, describe, expect, it, vi } from "vitest";

const { api } = await import("../../api/client");
const { useSheet } = await import("../../store/sheet");
const { drawLuxLines, hideLuxLines, useLuxLines } = await import("./luxLines");

const view = { revision: 3, height: 0.75, text: "0.75", lines: [], said: "It is 120 lx bright." };

describe("lines of equal lux", () => {
  const say = vi.fn();
  beforeEach(() => {
    say.mockClear();
    vi.restoreAllMocks();
    useSheet.setState({ say, unit: "m", space: { id: "s" } as never });
    useLuxLines.setState({ height: "", busy: false, space: null, found: null });
  });

  it("are asked for at the height of tables, then at that typed", async () => {
    const ask = vi.spyOn(api, "luxLines").mockResolvedValue(view);
    expect(await drawLuxLines()).toBe(true);
    expect(ask).toHaveBeenLastCalledWith("s", "0.75 m", "m");
    expect(await drawLuxLines("1.2")).toBe(true);
    expect(ask).toHaveBeenLastCalledWith("s", "1.2", "m");
    expect(say).toHaveBeenLastCalledWith(view.said);
    expect(useLuxLines.getState().found).toBe(view);
    hideLuxLines();
    expect(useLuxLines.getState().found).toBeNull();
  });

  it("are measured once at a time, and what is refused is said", async () => {
    let refuse: (why: Error) => void = () => undefined;
    const ask = vi.spyOn(api, "luxLines").mockReturnValue(
      new Promise((_, no) => {
        refuse = no;
      }) as never,
    );
    const first = drawLuxLines("9");
    expect(await drawLuxLines("1")).toBe(false);
    expect(ask).toHaveBeenCalledTimes(1);
    refuse(new Error("A height in the room is 0 to 2.90 m."));
    expect(await first).toBe(false);
    expect(say).toHaveBeenCalledWith("A height in the room is 0 to 2.90 m.", "refused");
    expect(useLuxLines.getState().busy).toBe(false);
  });
});

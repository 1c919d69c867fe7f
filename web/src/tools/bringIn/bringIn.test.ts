import "../../test/page";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { EditRequest, ImportView } from "../../api/types.gen";
import { changed, later, PLAIN, scripted, server, silent, view } from "../../test/server";

const sendModel = vi.hoisted(() => vi.fn());
vi.mock("../../api/client", async (original) => ({ ...scripted(await original()), sendModel }));
const { Refused } = await import("../../api/client");
const { useSheet } = await import("../../store/sheet");
const { useShelf } = await import("../../store/shelf");
const { accept, bringIn, leave, takeSo, turnAway, useIncoming } = await import("./bringIn");

const now = useSheet.getState;
const incoming = useIncoming.getState;
const TAKEN = { name: "Lamp", unit: "cm", up: "y", turn: 0 };
const seen = (more = {}) =>
  ({ id: "in", taken: TAKEN, size: {}, sizeText: "", ...more }) as unknown as ImportView;
const file = { name: "lamp.obj" } as File;

beforeEach(async () => {
  silent();
  sendModel.mockReset();
  useIncoming.setState({ view: null, taken: null, sending: null, wrong: "", apart: false, stop: null });
  server.space.mockResolvedValue(view([], { project: "inn" }));
  await now().open("room");
  now().place(null);
  now().hush();
});

async function arrive() {
  sendModel.mockReturnValue({ arrived: Promise.resolve(seen()), stop: vi.fn() });
  await bringIn([file]);
}

describe("what comes in", () => {
  it("is sent with how far it is, one at a time, and looked at before it is accepted", async () => {
    const slow = later<ImportView>();
    sendModel.mockReturnValue({ arrived: slow.answer, stop: vi.fn() });
    const done = bringIn([file]);
    expect(incoming()).toMatchObject({ sending: 0, file: "lamp.obj" });
    (sendModel.mock.calls[0][3] as (share: number) => void)(0.5);
    expect(incoming().sending).toBe(0.5);
    await bringIn([file]);
    expect(sendModel).toHaveBeenCalledTimes(1);
    slow.come(seen());
    await done;
    expect(incoming()).toMatchObject({ sending: null, view: { id: "in" }, taken: TAKEN });
  });

  it("that cannot be read is named, with why", async () => {
    sendModel.mockReturnValue({ arrived: Promise.reject(new Error("no triangles")), stop: vi.fn() });
    await bringIn([file]);
    expect(incoming()).toMatchObject({ sending: null, view: null });
    expect(now().notice).toMatchObject({ text: "lamp.obj: no triangles", kind: "refused" });
  });

  it("is taken otherwise, and a known measure makes the unit agree", async () => {
    await arrive();
    server.importSize.mockResolvedValueOnce({ size: { height: 0.4 }, sizeText: "0.40", unit: "mm" });
    expect(await takeSo({ up: "z" }, { height: "0.4" })).toBe(true);
    expect(incoming()).toMatchObject({
      taken: { up: "z", unit: "mm" },
      view: { sizeText: "0.40" },
      wrong: "",
    });
    server.importSize.mockRejectedValueOnce(new Refused("0 is no height.", 422));
    expect(await takeSo({}, { height: "0" })).toBe(false);
    expect(incoming().wrong).toBe("0 is no height.");
  });

  it("becomes an article in hand, at hand, and on a layer of its own if one wants that", async () => {
    await arrive();
    useIncoming.setState({ apart: true });
    server.importAccept.mockResolvedValue({ id: "lamp-1", name: "Lamp" });
    server.edit.mockResolvedValue(changed(4));
    expect((await accept())?.id).toBe("lamp-1");
    const layer = (server.edit.mock.calls[0][1] as unknown as EditRequest).edits[0];
    expect(layer).toMatchObject({ do: "newLayer", name: "Lamp" });
    expect(now().placing).toMatchObject({ article: { id: "lamp-1" }, layer: (layer as { id: string }).id });
    expect(useShelf.getState().lately[0]).toBe("lamp-1");
    expect(incoming()).toMatchObject({ view: null, apart: true });
  });

  it("goes onto the layer of its name that is there", async () => {
    server.space.mockResolvedValue(
      view([], {
        filing: {
          ...PLAIN,
          layers: [...PLAIN.layers, { id: "l", name: "LAMP", hidden: false, locked: false }],
        },
      }),
    );
    await now().open("room");
    await arrive();
    useIncoming.setState({ apart: true });
    server.importAccept.mockResolvedValue({ id: "lamp-1", name: "Lamp" });
    await accept();
    expect(server.edit).not.toHaveBeenCalled();
    expect(now().placing?.layer).toBe("l");
  });

  it("that is refused stays to be corrected; turned away it is gone on both sides", async () => {
    await arrive();
    server.importAccept.mockRejectedValue(new Refused("There is one of this name.", 422));
    expect(await accept()).toBeNull();
    expect(incoming()).toMatchObject({ wrong: "There is one of this name.", view: { id: "in" } });
    server.importGiveUp.mockResolvedValue(null);
    turnAway();
    expect(server.importGiveUp).toHaveBeenCalledWith("in");
    expect(incoming().view).toBeNull();
  });

  it("comes one after the other where several came together, and the last is taken in hand", async () => {
    const first = seen({ delivery: "d", more: 2 });
    sendModel.mockReturnValue({ arrived: Promise.resolve(first), stop: vi.fn() });
    await bringIn([file]);
    server.importAccept.mockResolvedValue({ id: "own-1", name: "Lamp" });
    server.importNext
      .mockRejectedValueOnce(new Error("damaged"))
      .mockResolvedValueOnce(seen({ id: "third", delivery: null, more: 0 }));
    await accept();
    expect(server.importNext).toHaveBeenCalledTimes(2);
    expect(now().notice).toMatchObject({ text: "damaged", kind: "refused" });
    expect(incoming()).toMatchObject({ view: { id: "third" }, taken: TAKEN });
    expect(now().placing).toBeNull();
    await leave();
    expect(incoming().view).toBeNull();
  });
});

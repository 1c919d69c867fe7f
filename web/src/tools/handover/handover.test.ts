import { beforeEach, expect, it, vi } from "vitest";
import type { HandoverView } from "../../api/types.gen";
import { scripted, server, silent } from "../../test/server";

vi.mock("../../api/who", () => ({ WINDOW: "here", me: () => ({ window: "here" }) }));
vi.mock("../../api/client", () => scripted({}));
const link = { href: "", download: "", click: vi.fn() };
vi.stubGlobal("document", { createElement: () => link });
const { saveFile, stopMaking, useHandover } = await import("./handover");

const made = (more: Partial<HandoverView> = {}) => ({ id: "job", name: "plan.pdf", ready: false, ...more });

beforeEach(() => {
  vi.useFakeTimers();
  silent();
  link.click.mockReset();
  useHandover.setState({ open: true, made: null, failed: null });
});

it("a file is made, looked after, and saved once it is ready", async () => {
  server.beginHandover.mockResolvedValue(made());
  server.handover.mockResolvedValueOnce(made()).mockResolvedValue(made({ ready: true }));
  const done = saveFile("room", "plan.pdf", { scale: "50" });
  void saveFile("room", "plan.pdf", {}); // one at a time
  await vi.advanceTimersByTimeAsync(600);
  await done;
  expect(server.beginHandover.mock.calls[0]).toEqual([
    "room",
    { file: "plan.pdf", said: { scale: "50" }, by: "here" },
  ]);
  expect(link).toMatchObject({ href: "/api/handovers/job/file", download: "plan.pdf" });
  expect(link.click).toHaveBeenCalledTimes(1);
  expect(useHandover.getState()).toMatchObject({ made: null, failed: null });
});

it("that is stopped is not saved, and the server hears of it", async () => {
  server.beginHandover.mockResolvedValue(made());
  server.stopHandover.mockResolvedValue(null);
  server.handover.mockResolvedValue(made({ ready: true }));
  const done = saveFile("room", "plan.pdf", {});
  await vi.advanceTimersByTimeAsync(10);
  stopMaking();
  await vi.advanceTimersByTimeAsync(600);
  await done;
  expect(server.stopHandover).toHaveBeenCalledWith("job");
  expect(link.click).not.toHaveBeenCalled();
});

it("that cannot be made says why, at once or later", async () => {
  server.beginHandover.mockRejectedValueOnce(new Error("You have 5 files under way."));
  await saveFile("room", "plan.pdf", {});
  expect(useHandover.getState().failed).toBe("You have 5 files under way.");
  server.beginHandover.mockResolvedValue(made());
  server.handover.mockResolvedValue(made({ failed: "This takes 80 sheets." }));
  const done = saveFile("room", "plan.pdf", {});
  await vi.advanceTimersByTimeAsync(600);
  await done;
  expect(useHandover.getState()).toMatchObject({ made: null, failed: "This takes 80 sheets." });
});

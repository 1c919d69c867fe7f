import "../../test/page";
import { beforeEach, expect, it, vi } from "vitest";
import { piece, view } from "../../test/server";

const { useSheet } = await import("../../store/sheet");
const client = await import("../../api/client");
const { arePictures, bringPictures, useBringing } = await import("./pictures");
const { endFinishing, useFinishing } = await import("./finish");

const CARD = { finish: { material: "picture-1" }, words: "picture “Sea”", appearance: { colour: "#B9B2A6" } };
const SIGHT = { ray: { from: { x: 0, y: 5, z: 0 }, along: { x: 0, y: -1, z: 0 } }, without: [] };
const file = (name: string) => ({ name }) as File;

const said: string[] = [];
const edits: unknown[] = [];
let sent: string[];

vi.mock("../../api/client", async (original) => ({
  ...(await original<object>()),
  sendPicture: (_project: string, f: File, _unit: string, progress: (share: number) => void) => {
    sent.push(f.name);
    progress(0.5);
    const arrived =
      f.name === "bad.png"
        ? Promise.reject(new Error("It cannot be read as a picture."))
        : Promise.resolve({ id: "1", name: "Picture “Sea”", card: CARD });
    return { arrived, stop: () => undefined };
  },
}));

beforeEach(() => {
  sent = [];
  said.length = 0;
  edits.length = 0;
  endFinishing();
  useBringing.setState({ sending: null, at: 0 });
  useSheet.setState({
    space: view([piece("a")]),
    pieces: new Map([["a", piece("a")]]),
    selection: [],
    say: (words: string) => void said.push(words),
    edit: (e: unknown[]) => {
      edits.push(...e);
      return Promise.resolve({}) as never;
    },
  });
  vi.spyOn(client.api, "finishAt").mockResolvedValue({
    revision: 1,
    target: { pieces: ["a"], part: "picture" },
    title: "Picture of A",
  });
});

it("knows pictures from models that come with some", () => {
  expect(arePictures([file("a.PNG"), file("b.jpeg")])).toBe(true);
  expect(arePictures([file("a.png"), file("chair.obj")])).toBe(false);
  expect(arePictures([])).toBe(false);
});

it("gives one to the part it is dropped on", async () => {
  await bringPictures([file("sea.png")], SIGHT);
  expect(edits).toEqual([{ do: "finish", pieces: ["a"], part: "picture", finish: CARD.finish }]);
  expect(useFinishing.getState().mode).toBeNull();
  expect(useBringing.getState()).toMatchObject({ sending: null, at: 1 });
});

it("is in hand where none was pointed at", async () => {
  await bringPictures([file("sea.png")], null);
  expect(useFinishing.getState().card).toEqual(CARD);
  expect(said).toEqual(["In hand: picture “Sea”. Click the part it is for; Esc ends."]);
});

it("says which could not be read, and goes on with the others", async () => {
  await bringPictures([file("bad.png"), file("sea.png")], null);
  expect(sent).toEqual(["bad.png", "sea.png"]);
  expect(said).toEqual(["bad.png: It cannot be read as a picture."]);
  expect(useFinishing.getState().card).toBeNull();
});

import { vi, type Mock } from "vitest";
import type { Changed, FilingView, GroupView, Piece, Proposal, SpaceView } from "../api/types.gen";

type Call = Mock<(...args: never[]) => Promise<unknown>>;

const calls = new Map<string, Call>();

/** What the server is asked, by name; a test says what it answers. */
export const server = new Proxy({} as Record<string, Call>, {
  get: (_, name: string) => {
    if (!calls.has(name)) calls.set(name, vi.fn());
    return calls.get(name);
  },
});

/** The client with the scripted server behind it. */
export const scripted = (client: object) => ({ ...client, api: server });

/** Forgets all that was asked and scripted. */
export const silent = () => calls.forEach((c) => c.mockReset());

const MAIN = { id: "first", name: "Main", hidden: false, locked: false };
export const PLAIN: FilingView = { layers: [MAIN], groups: [], selections: [], twins: [], parts: [] };

/** A group, and those it is in, the innermost first. */
export const group = (id: string, above: string[] = [], more: Partial<GroupView> = {}): GroupView => ({
  id,
  name: id,
  in: above[0],
  about: [id, ...above],
  ...more,
});

export const piece = (id: string, x = 0, more: Partial<Piece> = {}) =>
  ({
    id,
    name: id,
    at: { x, y: 0, z: 0 },
    size: { width: 1, depth: 1, height: 1 },
    turn: 0,
    lean: { toward: 0, by: 0 },
    on: { kind: "floor" },
    layer: "first",
    hidden: false,
    locked: false,
    ...more,
  }) as Piece;

/** A space as it is opened. */
export const view = (pieces: Piece[], more: Partial<SpaceView> = {}) =>
  ({
    id: "room",
    revision: 3,
    pieces,
    parts: ["wall:A"],
    filing: PLAIN,
    canUndo: false,
    shell: {
      outline: [
        { x: 0, z: 0 },
        { x: 6, z: 4 },
      ],
    },
    ...more,
  }) as unknown as SpaceView;

export const changed = (revision: number, more: Partial<Changed> = {}): Changed => ({
  revision,
  changed: [],
  removed: [],
  made: [],
  said: [],
  offers: [],
  shell: false,
  canUndo: true,
  canRedo: false,
  ...more,
});

/** What is not there is null, as the server writes it. */
const nothing = { shown: null, wrong: null, refused: null, pointing: null, plan: null, part: null };

export const proposal = (more: Partial<Proposal> = {}): Proposal => ({
  ...(nothing as unknown as Partial<Proposal>),
  revision: 3,
  edits: [],
  ids: [],
  words: [],
  changed: [],
  removed: [],
  said: [],
  selected: [],
  next: [],
  at: 0,
  offers: [],
  wanting: false,
  reach: [],
  ...more,
});

/** An answer that comes when the test says so. */
export function later<T>() {
  let come: (t: T) => void = () => undefined;
  let fail: (e: Error) => void = () => undefined;
  const answer = new Promise<T>((done, failed) => {
    come = done;
    fail = failed;
  });
  return { answer, come, fail };
}

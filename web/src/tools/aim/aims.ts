import { create } from "zustand";
import { api } from "../../api/client";
import { Newest } from "../../api/newest";
import type { EditUnion as Edit, PointAnswer, Sight } from "../../api/types.gen";
import { begin } from "../propose/proposal";
import { useSheet } from "../../store/sheet";
import { keepBetween } from "../viewpoint/viewpoints";
import { aboutNow, holdNow } from "../../store/handling";

/** Where one points: along a line of sight; so near, metres, corners count. */
export interface Pointed {
  ray: Sight;
  near: number;
}

/** What is under the pointer. */
export interface On {
  piece: string | null;
  part: string | null;
}

/** Something that is said by clicking on what it is for, and may be ended by typing. */
export interface Aim {
  /** What to click next, of so many points before. */
  prompt: (points: number) => string;
  /** Points it takes, and on which pieces each lies; none for anything there is. */
  points?: { pieces: string[] }[];
  /** The edit that a click makes, where it takes no points; null to go on waiting. */
  click?: (on: On, at: Pointed) => Edit | string;
  /** What a click proposes. */
  begins?: (on: On, at: Pointed) => void;
  /** It is about nothing that is selected, and called so. */
  about?: string;
  /** What is done with the points, where that is more than an edit. */
  makes?: (points: PointAnswer[]) => unknown;
  /** The edit that the points make, without anything typed. */
  done?: (points: PointAnswer[]) => Edit;
  /** What may be typed once there are so many points. */
  typed?: {
    after: number;
    label: string;
    /** What it is at present. */
    now: (points: PointAnswer[]) => string;
    edit: (points: PointAnswer[], text: string) => Edit;
    /** Words for the ways in which it can be meant, the usual first. */
    ways?: (points: PointAnswer[]) => { words: string; edit: (text: string) => Edit }[];
  };
}

interface AimState {
  points: PointAnswer[];
  /** The point that a click would take. */
  over: PointAnswer | null;
  /** Which of the ways what is typed is meant. */
  way: number;
}

export const useAim = create<AimState>(() => ({ points: [], over: null, way: 0 }));

/** A click for what is proposed. */
export const clicked = (on: On, at: Pointed) => ({
  ray: at.ray,
  piece: on.piece ?? undefined,
  part: on.part ?? undefined,
  near: 3 * at.near,
});

const others = (on: On) => useSheet.getState().selection.filter((id) => id !== on.piece);

const AIMS: Record<string, (pieces: string[]) => Aim> = {
  lantern: (pieces) => ({
    prompt: () => "click what it shall be aimed at; it follows a piece from then on",
    click: (_, { ray }) => ({ do: "aim", pieces, ray }),
  }),
  sun: () => ({
    about: "Hours of sun",
    prompt: () => "click the point to know of",
    points: [{ pieces: [] }],
    makes: async ([p]) => {
      const { space, say } = useSheet.getState();
      say((await api.sunHours(space!.id, p.at)).words);
    },
  }),
  bright: () => ({
    about: "Brightness",
    prompt: () => "click the point to know how bright it is there",
    points: [{ pieces: [] }],
    makes: async ([p]) => {
      const { space, say } = useSheet.getState();
      say((await api.lux(space!.id, p.at)).said);
    },
  }),
  stand: () => ({
    about: "A viewpoint",
    prompt: (n) => (n === 0 ? "click where to stand" : "click what to look to"),
    points: [{ pieces: [] }, { pieces: [] }],
    makes: ([a, b]) => keepBetween({ x: a.at.x, z: a.at.z }, { x: b.at.x, z: b.at.z }),
  }),
  settle: () => ({
    prompt: () => "click the piece or the floor onto which to settle, kept apart",
    click: (on) => ({ do: "settleOnto", pieces: others(on), onto: on.piece ?? undefined }),
  }),
  bring: (pieces) => ({
    prompt: () => "click where it comes to",
    points: [{ pieces: [] }],
    done: ([p]) => ({ do: "bringIn", pieces, at: { x: p.at.x, z: p.at.z } }),
  }),
  attach: () => ({
    prompt: () => "click the piece it is to be attached to",
    click: (on) =>
      on.piece
        ? { do: "attach", pieces: others(on), to: on.piece }
        : "Click the piece it is to be attached to.",
  }),
  along: (pieces) => ({
    prompt: () =>
      "click the wall, the platform or the piece along which it shall run; a click on a mark turns it about that",
    click: (on) => {
      const to = on.piece && !pieces.includes(on.piece) ? on.piece : on.part;
      return to && (on.piece === to || /^(wall|platform):/.test(to))
        ? { do: "along", pieces, to, about: aboutNow() }
        : "Click a wall, a platform or another piece.";
    },
  }),
  face: (pieces) => ({
    prompt: () => "click the piece or the place it shall face",
    click: (on, { ray }) =>
      on.piece && !pieces.includes(on.piece)
        ? { do: "face", what: "piece", pieces, piece: on.piece, about: aboutNow() }
        : { do: "face", what: "point", pieces, ray, about: aboutNow() },
  }),
  known: (pieces) => ({
    prompt: (n) => (n === 0 ? "click one end of a length that is known" : "click its other end"),
    points: [{ pieces: pieces.slice(-1) }, { pieces: pieces.slice(-1) }],
    typed: {
      after: 2,
      label: "The length it should have",
      now: (points) => points[1].text,
      edit: (points, length) => known(pieces, points, length),
      ways: (points) => [
        { words: "all measures by the same", edit: (length) => known(pieces, points, length) },
        {
          words: `its ${points[1].along} only`,
          edit: (length) => ({ ...known(pieces, points, length), along: points[1].along }),
        },
      ],
    },
  }),
  ring: () => ({
    prompt: () => "click the piece or the point it shall go around",
    begins: (on, at) => begin("ring", clicked(on, at)),
  }),
  trail: () => ({
    prompt: () =>
      "click a wall, a corner of two walls, a platform or a piece it shall go along, or open floor where a path begins",
    begins: (on, at) => begin("trail", clicked(on, at)),
  }),
  points: (pieces) => ({
    prompt: (n) =>
      [
        "click the point it turns about",
        "click a second point: with the first it is a direction on the piece",
        "click where that direction shall point, or type an angle",
      ][Math.min(n, 2)],
    points: [{ pieces }, { pieces }, { pieces: [] }],
    done: ([centre, from, to]) => ({ do: "turnFrom", pieces, centre: centre.at, from: from.at, to: to.at }),
    typed: {
      after: 2,
      label: "Angle it shall point in, degrees",
      now: () => "",
      edit: ([centre, from], angle) => ({ do: "turnFrom", pieces, centre: centre.at, from: from.at, angle }),
    },
  }),
};

const known = (
  pieces: string[],
  [a, b]: PointAnswer[],
  length: string,
): Extract<Edit, { do: "knownLength" }> => ({
  do: "knownLength",
  pieces,
  from: a.at,
  to: b.at,
  length,
  hold: holdNow(),
});

export type AimName = keyof typeof AIMS;

/** What is being said by clicking, or null. */
export function aimNow(): Aim | null {
  const { aiming, selection } = useSheet.getState();
  return aiming ? AIMS[aiming](selection) : null;
}

/** The next clicks say what for. */
export function aim(what: AimName) {
  const s = useSheet.getState();
  useAim.setState({ points: [], over: null, way: 0 });
  if (s.selection.length > 0 || AIMS[what]([]).about) s.aim(what);
  else s.say("Select a piece first.");
}

/** What was begun is done, or given up. */
export function endAim() {
  useAim.setState({ points: [], over: null, way: 0 });
  useSheet.getState().aim(null);
}

const open = (): { pieces: string[] } | null => aimNow()?.points?.[useAim.getState().points.length] ?? null;

async function point(at: Pointed, pieces: string[]): Promise<PointAnswer> {
  const { space, unit } = useSheet.getState();
  const before = useAim.getState().points.at(-1);
  return api.point(space!.id, { pieces, ...at, from: before?.at, unit });
}

const newest = new Newest(
  async (at: Pointed) => {
    const wanted = open();
    return wanted ? point(at, wanted.pieces) : null;
  },
  (over) => open() && useAim.setState({ over }),
  () => open() && useAim.setState({ over: null }),
);

/** The pointer moves: the point it would take is shown. */
export const aimOver = (at: Pointed) => newest.put(at);

/** A click that was waited for. */
export async function aimAt(on: On, at: Pointed) {
  const now = aimNow();
  const s = useSheet.getState();
  if (!now) return;
  if (now.begins) {
    endAim();
    now.begins(on, at);
    return;
  }
  if (now.click) {
    const edit = now.click(on, at);
    if (typeof edit === "string") {
      s.say(edit);
      return;
    }
    const { selection } = s;
    endAim();
    await s.edit([edit]);
    s.select(selection.filter((id) => s.pieces.has(id)));
    return;
  }
  const wanted = open();
  if (!wanted) return;
  newest.forget();
  try {
    const points = [...useAim.getState().points, await point(at, wanted.pieces)];
    useAim.setState({ points, over: null });
    if (now.makes && points.length === now.points!.length) {
      endAim();
      now.makes(points);
    } else if (now.done && points.length === now.points!.length) {
      endAim();
      await s.edit([now.done(points)]);
    }
  } catch (e) {
    s.say((e as Error).message, "refused");
  }
}

/** What was typed for the points there are; whether it was taken. */
export async function typeAim(text: string): Promise<boolean> {
  const now = aimNow();
  const { points, way } = useAim.getState();
  if (!now?.typed || points.length < now.typed.after) return false;
  const edit = now.typed.ways?.(points)[way].edit(text) ?? now.typed.edit(points, text);
  const done = (await useSheet.getState().edit([edit])) !== null;
  if (done) endAim();
  return done;
}

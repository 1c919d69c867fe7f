import { create } from "zustand";
import { api, sendModel, type Known } from "../../api/client";
import type { ArticleCard, ImportView, Taken } from "../../api/types.gen";
import { note } from "../../store/shelf";
import { useSheet } from "../../store/sheet";

interface Incoming {
  /** How much has been sent, 0 to 1; 1 while it is read; null if nothing is on its way. */
  sending: number | null;
  file: string;
  stop: (() => void) | null;
  /** What came in, to be looked at and corrected. */
  view: ImportView | null;
  taken: Taken | null;
  wrong: string;
  /** Whether it comes on a layer of its own. */
  apart: boolean;
}

const NONE: Incoming = {
  sending: null,
  file: "",
  stop: null,
  view: null,
  taken: null,
  wrong: "",
  apart: false,
};

export const useIncoming = create<Incoming>(() => NONE);

/** Sends model files in; what they seem to be is shown before anything is accepted. */
export async function bringIn(files: File[]) {
  const { space, unit, say } = useSheet.getState();
  if (!space || files.length === 0 || useIncoming.getState().sending !== null) return;
  const { arrived, stop } = sendModel(space.project, files, unit, (sending) =>
    useIncoming.setState({ sending }),
  );
  const { apart } = useIncoming.getState();
  useIncoming.setState({ ...NONE, apart, sending: 0, file: files[0].name, stop });
  try {
    const view = await arrived;
    useIncoming.setState({ ...NONE, apart, view, taken: view.taken });
  } catch (e) {
    useIncoming.setState(NONE);
    say(`${files[0].name}: ${(e as Error).message}`, "refused");
  }
}

/** Takes it otherwise; a measure that is known makes the unit agree. */
export async function takeSo(change: Partial<Taken>, known: Known = {}): Promise<boolean> {
  const { view, taken } = useIncoming.getState();
  if (!view || !taken) return false;
  const next = { ...taken, ...change };
  try {
    const { size, sizeText, unit } = await api.importSize(view.id, next, useSheet.getState().unit, known);
    useIncoming.setState({ taken: { ...next, unit }, view: { ...view, size, sizeText }, wrong: "" });
    return true;
  } catch (e) {
    useIncoming.setState({ wrong: (e as Error).message });
    return false;
  }
}

/** Looks at the next of several that came together; false if there is none that can be read. */
async function next(view: ImportView): Promise<boolean> {
  const { apart } = useIncoming.getState();
  const { unit, say } = useSheet.getState();
  let more = view.more;
  while (view.delivery && more > 0) {
    more--;
    try {
      const other = await api.importNext(view.delivery, unit);
      useIncoming.setState({ ...NONE, apart, view: other, taken: other.taken });
      return true;
    } catch (e) {
      say((e as Error).message, "refused");
    }
  }
  return false;
}

/** Leaves this one, and looks at the next. */
export async function leave() {
  const { view } = useIncoming.getState();
  if (!view) return;
  void api.importGiveUp(view.id);
  if (!(await next(view))) useIncoming.setState(NONE);
}

/** Makes an article of it; the last of several, or the only one, is taken in hand. */
export async function accept(): Promise<ArticleCard | null> {
  const { view, taken, apart } = useIncoming.getState();
  if (!view || !taken) return null;
  try {
    const article = await api.importAccept(view.id, taken, useSheet.getState().unit);
    note(article.id);
    if (await next(view)) return article;
    useIncoming.setState({ ...NONE, apart });
    const layer = apart ? await newLayer(article.name) : undefined;
    useSheet.getState().place({ article, turn: 0, layer });
    return article;
  } catch (e) {
    useIncoming.setState({ wrong: (e as Error).message });
    return null;
  }
}

/** A layer of this name, made now if there is none; its id. */
async function newLayer(name: string): Promise<string | undefined> {
  const { space, edit } = useSheet.getState();
  const there = space?.filing.layers.find((l) => l.name.toLowerCase() === name.toLowerCase());
  if (there) return there.id;
  const id = crypto.randomUUID();
  return (await edit([{ do: "newLayer", id, name }])) ? id : undefined;
}

export function turnAway() {
  const { view, stop } = useIncoming.getState();
  stop?.();
  if (view) void api.importGiveUp(view.id);
  useIncoming.setState(NONE);
}

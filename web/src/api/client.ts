import type * as T from "./types.gen";

/** A request was refused; the message is for the person. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly status: number,
  ) {
    super(message);
  }
}

async function call<R>(path: string, body?: unknown): Promise<R> {
  const answer = await fetch(
    "/api" + path,
    body === undefined
      ? undefined
      : { method: "POST", headers: { "content-type": "application/json" }, body: JSON.stringify(body) },
  );
  if (!answer.ok) {
    const problem = await answer.json().catch(() => null);
    throw new Refused(
      problem?.detail ?? "The server answered with an error (" + answer.status + ").",
      answer.status,
    );
  }
  return answer.json();
}

/** An edit on its way out; what core leaves to choice may be missing. */
export type EditDraft = { do: T.Edit["do"]; [name: string]: unknown };

const query = (values: Record<string, string | number>) =>
  "?" + new URLSearchParams(Object.entries(values).map(([k, v]) => [k, String(v)])).toString();

const sized = (s: T.Size) => ({ width: s.width, depth: s.depth, height: s.height });

export const api = {
  projects: () => call<T.ProjectView[]>("/projects"),
  newProject: (name: string) => call<T.ProjectView>("/projects", { name }),
  newSpace: (project: string, space: T.NewSpace) => call<T.SpaceName>(`/projects/${project}/spaces`, space),
  space: (id: string) => call<T.SpaceView>(`/spaces/${id}`),
  catalog: (text: string, kind: string, unit: string) =>
    call<T.CatalogPage>("/catalog" + query({ text, kind, unit })),
  edit: (id: string, request: { id: string; unit: string; edits: EditDraft[] }) =>
    call<T.Changed>(`/spaces/${id}/edits`, request),
  trial: (id: string, unit: string, edits: EditDraft[]) =>
    call<T.Trial>(`/spaces/${id}/trial`, { unit, edits }),
  undo: (id: string, request: string) => call<T.Changed>(`/spaces/${id}/undo`, { id: request }),
  redo: (id: string, request: string) => call<T.Changed>(`/spaces/${id}/redo`, { id: request }),
  reach: (id: string, piece: string, unit: string) =>
    call<T.ReachView[]>(`/spaces/${id}/pieces/${piece}/reach` + query({ unit })),
  snags: (id: string) => call<T.Snags>(`/spaces/${id}/snags`),
  schedule: (id: string, unit: string) => call<T.Schedule>(`/spaces/${id}/schedule` + query({ unit })),
  caption: (id: string, pieces: string[], unit: string) =>
    call<T.CaptionView>(`/spaces/${id}/caption` + query({ pieces: pieces.join(","), unit })),
  lines: (article: string, size: T.Size, view: "plan" | "front") =>
    call<T.LineDrawing>(`/shapes/${article}/lines` + query({ ...sized(size), view })),
  meshUrl: (article: string, size: T.Size) => `/api/shapes/${article}/mesh.glb` + query(sized(size)),
  shellUrl: (space: string) => `/api/spaces/${space}/shell.glb`,
};

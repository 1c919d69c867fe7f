import type { Form } from "./forms";
import type * as T from "./types.gen";
import { WINDOW } from "./who";

/** A request was refused; the message is for the person. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly status: number,
    /** What can be done instead. */
    readonly offers: T.Offer[] = [],
  ) {
    super(message);
  }
}

async function call<R>(path: string, body?: unknown, signal?: AbortSignal): Promise<R> {
  const answer = await fetch(
    "/api" + path,
    body === undefined
      ? { signal }
      : { method: "POST", headers: { "content-type": "application/json" }, body: JSON.stringify(body) },
  );
  await accepted(answer);
  return (await answer.json()) as R;
}

/** Throws what the server says where it refuses. */
async function accepted(answer: Response) {
  if (answer.ok) return;
  throw refusal((await answer.json().catch(() => null)) as Problem | null, answer.status);
}

/** What the server says of something it did not do (RFC 9457). */
interface Problem {
  detail?: string;
  offers?: T.Offer[];
}

const refusal = (problem: Problem | null, status: number) =>
  new Refused(problem?.detail ?? `The server answered with an error (${status}).`, status, problem?.offers);

export const UPRIGHT: T.Lean = { toward: 0, by: 0 };

/** What is offered: mounted so, and no larger than this; empty for any. Lengths as typed. */
export type Filter = { mounting: T.Mounting | ""; width: string; depth: string; height: string };

/** A measure of a model that is known, as typed. */
export type Known = Partial<Record<"width" | "depth" | "height", string>>;

/** A look into the space as asked for; what is missing is as usual. */
export type LookDraft = { way: T.LookWay; wall?: string; at?: string | number };

/** Measures of a new space as typed; what is missing is as usual. */
export type NewSpaceDraft = { name: string; unit: string } & Partial<Omit<T.NewSpace, "stage">> & {
    stage?: Partial<T.OfStage>;
  };

export type DraftQuestion = Pick<T.DraftQuestion, "corners" | "pointer"> & Partial<T.DraftQuestion>;

const query = (values: Record<string, string | number>) =>
  "?" + new URLSearchParams(Object.entries(values).map(([k, v]) => [k, String(v)])).toString();

/** What is missing is not asked for. */
const some = (values: Record<string, string | number | null | undefined>) =>
  query(Object.fromEntries(Object.entries(values).filter(([, v]) => v != null)) as Record<string, string>);

const formed = ({ size: s, mirrored, stretched, lamp }: Form) => ({
  width: s.width,
  depth: s.depth,
  height: s.height,
  mirrored: mirrored ? "true" : null,
  stretched: stretched ? "true" : null,
  pan: lamp?.head?.pan ?? null,
  tilt: lamp?.head?.tilt ?? null,
});

/** What a caption is about: pieces and parts, one part, or a viewpoint. */
export interface Captioned {
  pieces: string[];
  part: string | null;
  viewpoint: string | null;
}

/** Another moment than that of the space. */
export interface Moment {
  date: string;
  hour: string;
}

export const api = {
  projects: () => call<T.ProjectView[]>("/projects"),
  newProject: (name: string) => call<T.ProjectView>("/projects", { name }),
  newSpace: (project: string, space: NewSpaceDraft) =>
    call<T.SpaceName>(`/projects/${project}/spaces`, space),
  space: (id: string) => call<T.SpaceView>(`/spaces/${id}` + query({ window: WINDOW })),
  catalog: (text: string, kind: string, unit: string, project: string, filter?: Filter) =>
    call<T.CatalogPage>(
      "/catalog" + some({ text, kind, unit, project, ...filter, mounting: filter?.mounting || null }),
    ),
  article: (id: string, unit: string) => call<T.ArticleCard>(`/catalog/${id}` + query({ unit })),
  finishes: (space: string) => call<T.ArticleFinishes>(`/spaces/${space}/finishes`).then((a) => a.finishes),
  importSize: (id: string, taken: T.Taken, unit: string, known: Known) =>
    call<T.TakenSize>(`/imports/${id}/size` + some({ unit, ...known }), taken),
  importUrl: (id: string, t: T.Taken) =>
    `/api/imports/${id}/mesh.glb` + query({ unit: t.unit, up: t.up, turn: t.turn }),
  importAccept: (id: string, taken: T.Taken, unit: string) =>
    call<T.ArticleCard>(`/imports/${id}/accept` + query({ unit }), taken),
  keepAsArticle: (space: string, pieces: string[], name: string, unit: string) =>
    call<T.ArticleCard>(`/spaces/${space}/articles` + query({ unit }), { pieces, name }),
  importNext: (delivery: string, unit: string) =>
    call<T.ImportView>(`/imports/deliveries/${delivery}/next` + query({ unit }), {}),
  importGiveUp: (id: string) => fetch(`/api/imports/${id}`, { method: "DELETE" }),
  supplier: () => call<T.SupplierView>("/supplier"),
  signIn: (user: string, password: string) => call<T.SupplierView>("/supplier/session", { user, password }),
  signOut: () => fetch("/api/supplier/session", { method: "DELETE" }),
  wares: (text: string, page: number, project: string, unit: string) =>
    call<T.WarePage>("/supplier/wares" + query({ text, page, project, unit })),
  fetches: (project: string) => call<T.FetchView[]>(`/projects/${project}/fetches`),
  fetchWare: (project: string, ware: string) => call<T.FetchView>(`/projects/${project}/fetches`, { ware }),
  stopWare: (project: string, ware: string) =>
    fetch(`/api/projects/${project}/fetches/${ware}`, { method: "DELETE" }),
  free: (id: string, piece: string | null, part: string | null) =>
    call<T.FreePlaceView>(`/spaces/${id}/free` + some({ piece, part })),
  edit: (id: string, request: T.EditRequest) => call<T.Changed>(`/spaces/${id}/edits`, request),
  propose: (id: string, question: T.ProposeRequest) => call<T.Proposal>(`/spaces/${id}/propose`, question),
  undo: (id: string, request: T.StepRequest) => call<T.Changed>(`/spaces/${id}/undo`, request),
  redo: (id: string, request: T.StepRequest) => call<T.Changed>(`/spaces/${id}/redo`, request),
  history: (id: string, before: number, unit: string) =>
    call<T.HistoryView>(`/spaces/${id}/history` + query({ before, unit })),
  go: (id: string, request: T.GoRequest) => call<T.Changed>(`/spaces/${id}/history/go`, request),
  reach: (id: string, piece: string, unit: string) =>
    call<T.ReachAnswer>(`/spaces/${id}/pieces/${piece}/reach` + query({ unit })).then((a) => a.reach),
  select: (id: string, meant: T.Meant) =>
    call<T.Found>(`/spaces/${id}/select`, { meant }).then((f) => f.pieces),
  clip: (id: string, pieces: string[]) => call<T.ClipView>(`/spaces/${id}/clip`, { pieces }),
  snags: (id: string) => call<T.Snags>(`/spaces/${id}/snags`),
  card: (id: string) => call<T.CardView>(`/spaces/${id}/card`),
  rename: (what: "projects" | "spaces", id: string, name: string) =>
    call<T.ProjectView[]>(`/${what}/${id}/rename`, { name }),
  copy: (what: "projects" | "spaces", id: string) => call<unknown>(`/${what}/${id}/copy`, {}),
  remove: (what: "projects" | "spaces", id: string) => call<T.ProjectView[]>(`/${what}/${id}/remove`, {}),
  restore: (what: "projects" | "spaces", id: string) => call<T.ProjectView[]>(`/${what}/${id}/restore`, {}),
  schedule: (id: string, unit: string) => call<T.ScheduleView>(`/spaces/${id}/schedule` + query({ unit })),
  caption: (id: string, of: Captioned, unit: string, handling: T.Handling) =>
    call<T.CaptionView>(`/spaces/${id}/caption`, { ...of, unit, handling }),
  light: (id: string, most: number, moment: Moment | null) =>
    call<T.LightView>(`/spaces/${id}/light` + some({ most, ...moment })).then((l) => l.light),
  lamps: (id: string, unit: string) => call<T.LampsView>(`/spaces/${id}/lamps` + query({ unit })),
  sun: (id: string, moment: Moment | null) =>
    call<T.SunView>(`/spaces/${id}/sun` + some({ ...moment })).then((s) => s.study),
  sunHours: (id: string, at: T.Vec) =>
    call<T.SunHours>(`/spaces/${id}/sun/hours` + query({ x: at.x, y: at.y, z: at.z })),
  /** Without the height of the feet, a place to stand is looked for. */
  walk: (id: string, x: number, y: number | null, z: number, dx = 0, dz = 0) =>
    call<T.WalkView>(`/spaces/${id}/walk` + some({ x, y, z, dx, dz })).then((w) => w.feet ?? null),
  lines: (form: Form, from: "plan" | number, turn = 0, lean: T.Lean = UPRIGHT) =>
    call<T.LineDrawing>(
      `/shapes/${form.article}/lines` +
        some({ ...formed(form), from, turn, toward: lean.toward, by: lean.by }),
    ),
  point: (id: string, request: T.PointRequest) => call<T.PointAnswer>(`/spaces/${id}/point`, request),
  handles: (id: string, piece: string, about: string | null, unit: string) =>
    call<T.HandlesView>(`/spaces/${id}/pieces/${piece}/handles` + some({ about, unit })).then(
      (a) => a.handles,
    ),
  yardstick: (id: string, piece: string, what: string, size: string, unit: string) =>
    call<T.YardstickView>(`/spaces/${id}/yardstick` + query({ piece, what, size, unit })).then(
      (a) => a.piece,
    ),
  /** How files of a project were handed over last; kept for all who do. */
  handoverChoices: (project: string) => call<Record<string, string>>(`/projects/${project}/handover`),
  keepHandover: (project: string, said: Record<string, string>) =>
    fetch(`/api/projects/${project}/handover`, {
      method: "PUT",
      headers: { "content-type": "application/json" },
      body: JSON.stringify(said),
    }),
  handoverSheet: (id: string) => call<T.HandoverSheet>(`/spaces/${id}/handover`),
  /**
   * @param of "spaces/" or "projects/" and an id
   */
  handoverPreview: (of: string, file: string, said: Record<string, string>, signal?: AbortSignal) =>
    call<T.Preview>(`/${of}/handover/${file}/preview` + query(said), undefined, signal),
  beginHandover: (of: string, request: T.HandoverRequest) => call<T.HandoverView>(`/${of}/handover`, request),
  handover: (job: string) => call<T.HandoverView>(`/handovers/${job}`),
  takeIn: async (file: File, signal: AbortSignal) => {
    const body = new FormData();
    body.append("file", file);
    const answer = await fetch("/api/archives", { method: "POST", body, signal });
    await accepted(answer);
    return (await answer.json()) as T.TakenIn;
  },
  lux: (space: string, at: T.Vec) =>
    call<T.LuxView>(`/spaces/${space}/lux` + query({ x: at.x, y: at.y, z: at.z })),
  luxLines: (space: string, height: string, unit: string) =>
    call<T.LuxLinesView>(`/spaces/${space}/lux/lines` + query({ height, unit })),
  topLux: (space: string, piece: string) => call<T.LuxView>(`/spaces/${space}/pieces/${piece}/lux`),
  stills: (space: string) => call<T.StillView[]>(`/spaces/${space}/stills`),
  askStill: (space: string, request: T.StillRequest) => call<T.StillView>(`/spaces/${space}/stills`, request),
  askAllStills: (space: string, request: T.StillRequest) =>
    call<T.StillView[]>(`/spaces/${space}/stills/all`, request),
  /** Stops one, goes on with it, or makes it anew. */
  stillDoes: (still: string, what: "stop" | "go" | "anew") =>
    call<T.StillView>(`/stills/${still}/${what}`, {}),
  nameStill: (still: string, name: string) => call<T.StillView>(`/stills/${still}/name`, { name }),
  removeStill: async (still: string) => accepted(await fetch(`/api/stills/${still}`, { method: "DELETE" })),
  stopHandover: (job: string) => fetch(`/api/handovers/${job}`, { method: "DELETE" }),
  plan: (id: string, unit: string) =>
    call<T.PlanView>(`/spaces/${id}/plan` + query({ unit })).then((a) => a.plan),
  shellSheet: (id: string, unit: string) => call<T.ShellSheet>(`/spaces/${id}/shell` + query({ unit })),
  elevation: (id: string, look: LookDraft, unit: string) =>
    call<T.ElevationView>(`/spaces/${id}/elevation` + some({ ...look, unit })).then((a) => a.elevation),
  draft: (id: string, question: DraftQuestion, outline: boolean, unit: string) =>
    call<T.DraftAnswer>(`/spaces/${id}/draft`, { question, outline, unit }).then((a) => a.answer),
  floor: (id: string, x: number, z: number) => call<T.FloorHeight>(`/spaces/${id}/floor` + query({ x, z })),
  meshUrl: (form: Form, light = false) =>
    `/api/shapes/${form.article}/mesh.glb` + some({ ...formed(form), light: light ? "true" : null }),
  materials: (text: string) => call<T.MaterialPage>("/materials" + query({ text })),
  finishAt: (id: string, request: T.SightRequest) => call<T.FinishAt>(`/spaces/${id}/finishes/at`, request),
  finishCaption: (id: string, request: T.FinishRequest) =>
    call<T.FinishView>(`/spaces/${id}/finishes/caption`, request),
  projectPalette: (project: string) => call<T.FinishCard[]>(`/projects/${project}/palette`),
  pictures: (project: string, unit: string) =>
    call<T.PictureCard[]>(`/projects/${project}/pictures` + query({ unit })),
  /** @param width as typed; empty for so wide that it fills the part it is given to */
  pictureWidth: (project: string, id: string, width: string, unit: string) =>
    call<T.PictureCard[]>(`/projects/${project}/pictures/${id}/width` + query({ width, unit }), {}),
  unlistPicture: async (project: string, id: string) => {
    await accepted(await fetch(`/api/projects/${project}/pictures/${id}`, { method: "DELETE" }));
  },
  palette: (id: string) => call<T.PaletteView>(`/spaces/${id}/finishes/palette`),
  /** The revision only keeps what was fetched before from being taken for the shell of now. */
  shellUrl: (space: string, at: number) => `/api/spaces/${space}/shell.glb?at=${at}`,
};

/** Sends model files; says how much is on its way, and can be stopped. */
export const sendModel = (
  project: string,
  files: File[],
  unit: string,
  onProgress: (share: number) => void,
) => send<T.ImportView>(`/projects/${project}/imports` + query({ unit }), files, onProgress);

/** Likewise a picture. */
export const sendPicture = (project: string, file: File, unit: string, onProgress: (share: number) => void) =>
  send<T.PictureCard>(`/projects/${project}/pictures` + query({ unit }), [file], onProgress);

function send<R>(
  path: string,
  files: File[],
  onProgress: (share: number) => void,
): { arrived: Promise<R>; stop: () => void } {
  const request = new XMLHttpRequest();
  const arrived = new Promise<R>((done, failed) => {
    const form = new FormData();
    files.forEach((f) => form.append("file", f, f.name));
    request.open("POST", "/api" + path);
    request.responseType = "json";
    request.upload.onprogress = (e) => onProgress(e.lengthComputable ? e.loaded / e.total : 0);
    request.onload = () =>
      request.status === 201
        ? done(request.response as R)
        : failed(refusal(request.response as Problem | null, request.status));
    request.onerror = () => failed(new Error("The file did not get through; try again."));
    request.onabort = () => failed(new Error("Stopped."));
    request.send(form);
  });
  return { arrived, stop: () => request.abort() };
}

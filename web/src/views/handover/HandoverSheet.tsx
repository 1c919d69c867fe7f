import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import Dialog from "@mui/material/Dialog";
import FormControlLabel from "@mui/material/FormControlLabel";
import List from "@mui/material/List";
import ListItemButton from "@mui/material/ListItemButton";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useState, type ReactNode } from "react";
import { api } from "../../api/client";
import { myName } from "../../api/who";
import type { HandoverSheet as Offered } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import { Choice, Typed } from "./blanks";
import { closeHandover, save, saveFile, useHandover, type Said } from "../../tools/handover/handover";
import { Foot } from "./Foot";
import { Preview } from "./Preview";

interface What {
  key: string;
  words: string;
  /** The file, without what says how it is written. */
  file: string;
  said?: Said;
  sort: "list" | "drawing" | "model" | "still" | "project";
  /** Whether it is of all spaces of the project. */
  whole?: boolean;
}

const whats = (offered: Offered | undefined): What[] => [
  { key: "schedule", words: "The schedule", file: "schedule", sort: "list" },
  { key: "plan", words: "The plan", file: "plan", sort: "drawing" },
  { key: "ceiling", words: "The ceiling plan", file: "ceiling", sort: "drawing" },
  ...(offered?.looks ?? []).map((l): What => ({
    key: l.words,
    words: l.words,
    file: l.file,
    said: l.said,
    sort: "drawing",
  })),
  { key: "drawings", words: "All drawings, one file", file: "drawings", sort: "drawing" },
  { key: "glb", words: "The model, GLB", file: "space.glb", sort: "model" },
  { key: "obj", words: "The model, OBJ in a zip", file: "space.obj.zip", sort: "model" },
  { key: "stl", words: "The model to make, STL", file: "space.stl", sort: "model" },
  ...(offered?.stills ?? []).map((s): What => ({
    key: s.words,
    words: s.words,
    file: "still",
    said: s.said,
    sort: "still",
  })),
  { key: "all schedule", words: "The schedule of all spaces", file: "schedule", sort: "list", whole: true },
  { key: "all plans", words: "The plans, side by side", file: "plans", sort: "drawing", whole: true },
  { key: "pack", words: "Everything in one pack", file: "pack.zip", sort: "drawing", whole: true },
  { key: "archive", words: "The project, as an archive", file: "archive.zip", sort: "project" },
];

const HEADS = {
  list: "Lists",
  drawing: "Drawings to scale",
  model: "Models",
  still: "Stills",
  project: "The project itself",
};

/** What leaves the house: what, how much of it, how; what it will be; and the file. */
export function HandoverSheet() {
  const open = useHandover((s) => s.open);
  return (
    <Dialog open={open} onClose={closeHandover} maxWidth={false} aria-label="Hand-over">
      {open && <Sheet />}
    </Dialog>
  );
}

function Sheet() {
  const { project } = useSheet((s) => s.space)!;
  const kept = useQuery({
    queryKey: ["handover-choices", project],
    queryFn: () => api.handoverChoices(project),
    retry: false,
    staleTime: 0,
    gcTime: 0,
  });
  // what was chosen last, by whoever, before anything is made
  return kept.isPending ? null : <Making kept={kept.data ?? {}} />;
}

/** What is only for the moment, or for one space. */
const PASSING = ["layers", "hidden", "piece"];

function Making({ kept }: { kept: Said }) {
  const space = useSheet((s) => s.space)!;
  const [key, setKey] = useState("schedule");
  const [said, setSaid] = useState<Said>({
    unit: useSheet.getState().unit,
    paper: "A3",
    scale: "fit",
    drawnBy: myName(),
    ...kept,
  });
  const [form, setForm] = useState<"pdf" | "svg">("pdf");
  const [picture, setPicture] = useState("png");
  const [sheet, setSheet] = useState(1);
  const offered = useQuery({
    queryKey: ["handover", space.id, space.revision],
    queryFn: () => api.handoverSheet(space.id),
    placeholderData: (before) => before,
  }).data;
  const all = whats(offered);
  const what = all.find((w) => w.key === key) ?? all[0];
  const put = (name: string, value: string) => {
    const now = { ...said, [name]: value };
    setSaid(now);
    const lasting = Object.entries(now).filter(([n, v]) => v && !PASSING.includes(n));
    void api.keepHandover(space.project, Object.fromEntries(lasting));
    setSheet(1);
  };
  const own = only(what, said);
  const drawing = what.sort === "drawing";
  const of = what.whole ? `projects/${space.project}` : `spaces/${space.id}`;
  const file = drawing
    ? what.key === "pack"
      ? what.file
      : `${what.file}.${what.key === "drawings" ? "pdf" : form}`
    : what.sort === "list"
      ? "schedule.csv"
      : what.sort === "still"
        ? `${what.file}.${picture}`
        : what.file;
  const asked = form === "svg" && drawing && sheet > 1 ? { ...own, sheet: String(sheet) } : own;
  const address =
    what.sort === "project"
      ? `/api/projects/${space.project}/archive.zip`
      : `/api/${of}/handover/${file}?${new URLSearchParams(asked).toString()}`;
  const choose = (w: What) => {
    setKey(w.key);
    setSheet(1);
  };
  return (
    <Box sx={{ width: 1140, height: 660, display: "flex", flexDirection: "column" }}>
      <Box sx={{ display: "flex", alignItems: "baseline", px: 2.5, pt: 2, pb: 1, gap: 2 }}>
        <Typography variant="h1" sx={{ flex: 1 }}>
          Hand over {space.name}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          revision {space.revision}
        </Typography>
        <Button onClick={closeHandover}>Close</Button>
      </Box>
      <Box sx={{ flex: 1, minHeight: 0, display: "flex", borderTop: 1, borderColor: "divider" }}>
        <Files all={all} chosen={what.key} choose={choose} />
        <Box sx={{ flex: 1, minWidth: 0, display: "flex", flexDirection: "column" }}>
          <Box data-testid="handover-how" sx={{ px: 2.5, py: 1.25, fontSize: 15, lineHeight: "28px" }}>
            <How
              what={what}
              said={said}
              put={put}
              form={form}
              setForm={setForm}
              picture={picture}
              setPicture={setPicture}
              offered={offered}
              pieces={useSheet.getState().selection}
            />
          </Box>
          <Preview what={what.sort} of={of} file={file} said={own} sheet={sheet} onSheet={setSheet} />
        </Box>
      </Box>
      <Foot
        key={address}
        address={address}
        does={() => (what.sort === "project" ? save(address, "") : void saveFile(of, file, asked))}
      />
    </Box>
  );
}

/** The files there are, by their sorts. */
function Files({ all, chosen, choose }: { all: What[]; chosen: string; choose: (what: What) => void }) {
  return (
    <List dense sx={{ width: 250, overflowY: "auto", py: 0.5, borderRight: 1, borderColor: "divider" }}>
      {all.map((w, i) => (
        <Box key={w.key}>
          {headOf(w) !== (all[i - 1] ? headOf(all[i - 1]) : "") && (
            <Typography variant="caption" sx={{ px: 2, pt: 0.75, display: "block" }} color="text.secondary">
              {headOf(w)}
            </Typography>
          )}
          <ListItemButton
            selected={w.key === chosen}
            onClick={() => choose(w)}
            sx={{ py: 0, minHeight: 25, fontSize: 13 }}
          >
            {w.words}
          </ListItemButton>
        </Box>
      ))}
    </List>
  );
}

/** What stands over a file among the files. */
const headOf = (w: What) => (w.whole ? "The whole project" : HEADS[w.sort]);

const OF: Record<What["sort"], string[]> = {
  list: ["unit", "layers", "hidden", "by", "decimal"],
  drawing: ["unit", "layers", "hidden", "scale", "paper", "numbers", "drawnBy"],
  model: ["layers", "hidden"],
  still: [],
  project: [],
};

/** What of all that was said is for this file. */
function only(what: What, said: Said): Said {
  const names = [...OF[what.sort]];
  if (what.whole) {
    const whole = names.filter((n) => n !== "layers");
    return Object.fromEntries(whole.filter((n) => said[n]).map((n) => [n, said[n]]));
  }
  if (what.key === "glb" || what.key === "obj") names.push("ceiling");
  const own = Object.fromEntries(names.filter((n) => said[n]).map((n) => [n, said[n]]));
  if (what.key === "stl") {
    own.scale = said.model ?? "1";
    if (said.piece) own.piece = said.piece;
  }
  return { ...own, ...what.said };
}

const UNITS = { m: "metres", cm: "centimetres", mm: "millimetres", "ft-in": "feet and inches" };

function How(p: {
  what: What;
  said: Said;
  put: (name: string, value: string) => void;
  form: "pdf" | "svg";
  setForm: (form: "pdf" | "svg") => void;
  picture: string;
  setPicture: (ending: string) => void;
  offered?: Offered;
  pieces: string[];
}) {
  const { what, said, put, offered } = p;
  const unit = (
    <>
      in <Choice label="Unit" value={said.unit} options={UNITS} onChange={(v) => put("unit", v)} />
    </>
  );
  const layers = !what.whole && (
    <>
      , with{" "}
      <Choice
        label="Layers"
        value={said.layers ?? ""}
        options={{
          "": "all layers that are shown",
          ...Object.fromEntries((offered?.layers ?? []).map((l) => [l.id, `the layer ${l.name} alone`])),
        }}
        onChange={(v) => put("layers", v)}
      />
      {(offered?.leftOut ?? 0) > 0 && (
        <Flag
          label={`also ${offered!.leftOut} hidden ${offered!.leftOut === 1 ? "piece" : "pieces"}`}
          on={said.hidden === "true"}
          set={(on) => put("hidden", on ? "true" : "")}
        />
      )}
    </>
  );
  if (what.sort === "project")
    return (
      <>
        All spaces of the project with their layers, groups, history and stills, the articles it brought in,
        and their pictures: one zip, which another Pied takes in whole.
      </>
    );
  if (what.sort === "still")
    return (
      <>
        {what.words}, as{" "}
        <Choice
          label="Form of the still"
          value={p.picture}
          options={{ png: "PNG", jpg: "JPEG", hdr: "all its light (Radiance HDR)" }}
          onChange={p.setPicture}
        />
        . Its address always has the latest that was made from there.
      </>
    );
  if (what.sort === "list")
    return (
      <>
        {what.words}, a line for{" "}
        <Choice
          label="Lines"
          value={said.by ?? "piece"}
          options={{
            piece: "every piece",
            article: "every article, summed",
            opening: "every door and window",
            built: "all else that is built in",
            look: "every channel of lamps, with its levels in each look",
          }}
          onChange={(v) => put("by", v)}
        />
        , {unit}, numbers with{" "}
        <Choice
          label="Decimal sign"
          value={said.decimal ?? "point"}
          options={{ point: "a point", comma: "a comma" }}
          onChange={(v) => put("decimal", v)}
        />
        {layers}.
      </>
    );
  if (what.sort === "drawing")
    return (
      <>
        {what.words}{" "}
        <Choice
          label="Scale"
          value={said.scale}
          options={{
            fit: "at the largest scale that fits",
            ...Object.fromEntries((offered?.scales ?? []).map((s) => [s, `at 1:${s}`])),
          }}
          onChange={(v) => put("scale", v)}
        />{" "}
        on{" "}
        <Choice
          label="Paper"
          value={said.paper}
          options={Object.fromEntries((offered?.papers ?? ["A3"]).map((n) => [n, n]))}
          onChange={(v) => put("paper", v)}
        />
        , {unit}
        {layers},{" "}
        <Choice
          label="Numbers"
          value={said.numbers ?? "true"}
          options={{ true: "numbered with a legend", false: "without numbers" }}
          onChange={(v) => put("numbers", v)}
        />
        , drawn by <Typed label="Drawn by" value={said.drawnBy} onChange={(v) => put("drawnBy", v)} />
        {what.key !== "drawings" && what.key !== "pack" && (
          <>
            , as{" "}
            <Choice
              label="Form"
              value={p.form}
              options={{ pdf: "PDF", svg: "SVG" }}
              onChange={(v) => p.setForm(v as "pdf" | "svg")}
            />
          </>
        )}
        .
      </>
    );
  return (
    <>
      {what.words}
      {what.key === "stl" ? (
        <>
          {" "}
          <Choice
            label="Scale of the model"
            value={said.model ?? "1"}
            options={{ 1: "in true size", 25: "at 1:25", 50: "at 1:50", 100: "at 1:100" }}
            onChange={(v) => put("model", v)}
          />
          , of{" "}
          <Choice
            label="Of what"
            value={said.piece ?? ""}
            options={{
              "": "all of the space, without its ceiling",
              ...Object.fromEntries(
                p.pieces.slice(-1).map((id) => [id, useSheet.getState().pieces.get(id)?.name ?? id]),
              ),
            }}
            onChange={(v) => put("piece", v)}
          />
          , millimetres, z up
        </>
      ) : (
        <>
          {" "}
          in metres,{" "}
          <Choice
            label="Ceiling"
            value={said.ceiling ?? "true"}
            options={{ true: "with the ceiling", false: "open above" }}
            onChange={(v) => put("ceiling", v)}
          />
        </>
      )}
      {layers}.
      {what.key === "stl" && (offered?.notClosed.length ?? 0) > 0 && (
        <Box component="span" sx={{ color: "warning.main" }}>
          {" "}
          Left out, since their meshes are not closed: {offered!.notClosed.slice(0, 5).join(", ")}
          {offered!.notClosed.length > 5 ? ` and ${offered!.notClosed.length - 5} more` : ""}.
        </Box>
      )}
    </>
  );
}

function Flag(p: { label: ReactNode; on: boolean; set: (on: boolean) => void }) {
  return (
    <FormControlLabel
      sx={{ ml: 1, mr: 0 }}
      control={<Checkbox size="small" checked={p.on} onChange={(e) => p.set(e.target.checked)} />}
      label={p.label}
    />
  );
}

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type NewSpaceDraft } from "../../api/client";
import type { OutlineForm } from "../../api/types.gen";
import { draw } from "../../tools/draft/draft";
import { useSheet } from "../../store/sheet";
import type { Unit } from "../../store/looking";

type Form = OutlineForm | "drawn" | "stage";

/** The forms to begin with, as they look on a plan. */
const FORMS: { form: Form; words: string; path: string }[] = [
  { form: "rectangle", words: "Rectangle", path: "M4 6H28V26H4Z" },
  { form: "l", words: "L", path: "M4 6H28V16H17V26H4Z" },
  { form: "t", words: "T", path: "M4 6H28V15H21V26H11V15H4Z" },
  { form: "u", words: "U", path: "M4 6H28V26H21V16H11V26H4Z" },
  { form: "drawn", words: "Draw it", path: "M4 8L18 5L28 12L24 26H8" },
  { form: "stage", words: "Stage", path: "M4 4H28V20H22M4 4V20H10M10 20V22H22V20M10 22Q16 27 22 22" },
];

interface Field {
  name: string;
  label: string;
  value: string;
}

const CUT: Record<string, [string, string]> = {
  l: ["Cut out, across", "Cut out, deep"],
  t: ["Stem, across", "Bar, deep"],
  u: ["Recess, across", "Recess, deep"],
};

/** The measures a form asks for, with usual ones, metres. */
function fieldsOf(form: Form): Field[] {
  if (form === "stage") {
    return [
      { name: "width", label: "Across", value: "11" },
      { name: "depth", label: "Deep", value: "8" },
      { name: "height", label: "High, to the grid", value: "7" },
      { name: "rake", label: "Rake: 1:20, 4 %, 0", value: "0" },
      { name: "level", label: "Above the house", value: "0.9" },
      { name: "openingWidth", label: "Opening wide; 0: open stage", value: "8.5" },
      { name: "openingHeight", label: "Opening high", value: "5" },
      { name: "apronDepth", label: "Apron deep", value: "1.2" },
      { name: "apronCurve", label: "Edge curved by", value: "0" },
      { name: "rows", label: "Rows of seats", value: "8" },
    ];
  }
  const cut = CUT[form];
  return [
    { name: "width", label: "Across", value: cut ? "6" : "5" },
    { name: "depth", label: "Deep", value: cut ? "5" : "4" },
    ...(cut
      ? [
          { name: "cutWidth", label: cut[0], value: form === "l" ? "2.5" : "2" },
          { name: "cutDepth", label: cut[1], value: "2" },
        ]
      : []),
    { name: "height", label: "High", value: "2.6" },
    { name: "thickness", label: "Walls thick", value: "0.2" },
    { name: "skirtingHeight", label: "Skirting; 0: none", value: "0.08" },
  ];
}

/** In whole millimetres or inches where that is the unit; typed values may name their own. */
function inUnit(field: Field, unit: Unit): string {
  if (field.name === "rows" || field.name === "rake" || unit === "m") return field.value;
  return field.value + " m";
}

/** Builds a room or a stage from its measures. */
export function NewSpace({ project }: { project: string }) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <Button onClick={() => setOpen(true)} variant="text">
        New room or stage…
      </Button>
    );
  return <Measures project={project} onClose={() => setOpen(false)} />;
}

function Measures({ project, onClose }: { project: string; onClose: () => void }) {
  const queries = useQueryClient();
  const unit = useSheet((s) => s.unit);
  const [form, setForm] = useState<Form>("rectangle");
  const [wrong, setWrong] = useState("");
  const [busy, setBusy] = useState(false);
  const make = async (data: FormData) => {
    const space = drafted(form, unit, data);
    setBusy(true);
    try {
      const made = await api.newSpace(project, space);
      await queries.invalidateQueries({ queryKey: ["projects"] });
      location.hash = "#/space/" + made.id;
      useSheet.getState().setTab("shell");
      if (form === "drawn") drawWhenOpen(made.id);
    } catch (e) {
      setWrong((e as Error).message);
    } finally {
      setBusy(false);
    }
  };
  const fields = fieldsOf(form).filter((f) => form !== "drawn" || !["width", "depth"].includes(f.name));
  return (
    <Box
      component="form"
      aria-label="New room or stage"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void make(new FormData(e.currentTarget));
      }}
      sx={{ mt: 2, pt: 2, borderTop: 1, borderColor: "divider" }}
    >
      <ToggleButtonGroup
        exclusive
        value={form}
        aria-label="Form"
        onChange={(_, v: Form | null) => {
          if (v) setForm(v);
          setWrong("");
        }}
        sx={{ mb: 2 }}
      >
        {FORMS.map((f) => (
          <ToggleButton
            key={f.form}
            value={f.form}
            sx={{ flexDirection: "column", width: 80, py: 0.5, textTransform: "none", lineHeight: "18px" }}
          >
            <svg width={32} height={30} aria-hidden>
              <path d={f.path} fill="none" stroke="currentColor" strokeWidth={2} strokeLinejoin="round" />
            </svg>
            {f.words}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Box key={form} sx={{ display: "grid", gridTemplateColumns: "repeat(3, 1fr)", gap: 1.5, mb: 1.5 }}>
        <TextField
          size="small"
          name="name"
          label="Name"
          autoFocus
          defaultValue={form === "stage" ? "Stage" : "Room"}
        />
        {fields.map((f) => (
          <TextField
            key={f.name + unit}
            size="small"
            name={f.name}
            label={f.label}
            defaultValue={inUnit(f, unit)}
          />
        ))}
      </Box>
      {form === "drawn" && (
        <Typography variant="body2" color="text.secondary" sx={{ mb: 1.5 }}>
          The plan opens, and you click its corners and type the lengths.
        </Typography>
      )}
      {wrong && (
        <Typography role="alert" color="error" variant="body2" sx={{ mb: 1.5 }}>
          {wrong}
        </Typography>
      )}
      <Box sx={{ display: "flex", gap: 1, alignItems: "center" }}>
        <Button type="submit" variant="contained" disabled={busy}>
          Build
        </Button>
        <Button onClick={onClose}>Leave it</Button>
        <Box sx={{ flex: 1 }} />
        <Typography variant="body2" color="text.secondary">
          Bare numbers are in
        </Typography>
        <Select
          variant="standard"
          disableUnderline
          value={unit}
          onChange={(e) => useSheet.getState().setUnit(e.target.value)}
          inputProps={{ "aria-label": "Unit" }}
          sx={{ fontSize: 13 }}
        >
          <MenuItem value="m">metres</MenuItem>
          <MenuItem value="cm">centimetres</MenuItem>
          <MenuItem value="mm">millimetres</MenuItem>
          <MenuItem value="ft-in">feet, inches</MenuItem>
        </Select>
      </Box>
    </Box>
  );
}

/** The space that was asked for, as it was typed. */
function drafted(form: Form, unit: Unit, data: FormData): NewSpaceDraft {
  const text = (name: string) => {
    const value = data.get(name);
    return typeof value !== "string" || value.trim() === "" ? undefined : value;
  };
  const whole = (name: string) => (text(name) === undefined ? undefined : Number(text(name)));
  const space: NewSpaceDraft = {
    name: text("name") ?? "",
    unit,
    // a drawn one begins as something that its outline replaces
    width: text("width") ?? "5 m",
    depth: text("depth") ?? "4 m",
    height: text("height"),
  };
  if (form === "stage") {
    space.stage = {
      rake: text("rake"),
      level: text("level"),
      openingWidth: text("openingWidth"),
      openingHeight: text("openingHeight"),
      apronDepth: text("apronDepth"),
      apronCurve: text("apronCurve"),
      rows: whole("rows"),
    };
  } else {
    Object.assign(space, {
      form: form === "drawn" ? "rectangle" : form,
      cutWidth: text("cutWidth"),
      cutDepth: text("cutDepth"),
      thickness: text("thickness"),
      skirtingHeight: text("skirtingHeight"),
    });
  }
  return space;
}

/** Begins to draw as soon as the space is there. */
function drawWhenOpen(id: string) {
  const stop = useSheet.subscribe((s) => {
    if (s.space?.id !== id) return;
    stop();
    s.setLarge(["plan"]);
    draw("outline");
  });
}

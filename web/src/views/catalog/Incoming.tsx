import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import Dialog from "@mui/material/Dialog";
import LinearProgress from "@mui/material/LinearProgress";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useTheme } from "@mui/material/styles";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Canvas, useThree } from "@react-three/fiber";
import { useEffect, useState, type ReactNode } from "react";
import type { OrthographicCamera } from "three";
import { api } from "../../api/client";
import type { ImportView, Size, Taken } from "../../api/types.gen";
import { modelParts, useShape } from "../paper/shapes";
import { accept, bringIn, leave, takeSo, turnAway, useIncoming } from "../../tools/bringIn/bringIn";
import { arePictures, bringPictures, useBringing } from "../../tools/finish/pictures";
import { areCurves, takeCurves } from "../../tools/light/curves";
import { sightAt } from "../../tools/finish/sights";
import { TypedField } from "../fields/TypedField";

const FIGURE: Size = { width: 0.5, depth: 0.3, height: 1.75 };

/** Takes model files that are dropped on the sheet, and shows what came of them. */
export function Incoming() {
  const { view, taken, wrong, ...model } = useIncoming();
  const picture = useBringing();
  const { sending, file } = picture.sending === null ? model : picture;
  const [over, setOver] = useState(false);
  useEffect(() => {
    const hasFiles = (e: DragEvent) => e.dataTransfer?.types.includes("Files") ?? false;
    const enter = (e: DragEvent) => {
      if (!hasFiles(e)) return;
      e.preventDefault();
      setOver(true);
    };
    const leave = (e: DragEvent) => {
      if (e.relatedTarget === null) setOver(false);
    };
    const drop = (e: DragEvent) => {
      if (!hasFiles(e)) return;
      e.preventDefault();
      setOver(false);
      const files = [...(e.dataTransfer?.files ?? [])];
      if (areCurves(files)) void takeCurves(files);
      else if (arePictures(files)) void bringPictures(files, sightAt(e));
      else void bringIn(files);
    };
    addEventListener("dragover", enter);
    addEventListener("dragleave", leave);
    addEventListener("drop", drop);
    return () => {
      removeEventListener("dragover", enter);
      removeEventListener("dragleave", leave);
      removeEventListener("drop", drop);
    };
  }, []);
  return (
    <>
      {over && (
        <Box
          sx={{
            position: "fixed",
            inset: 12,
            zIndex: 20,
            border: "3px dashed",
            borderColor: "secondary.main",
            bgcolor: "rgba(255,252,246,.8)",
            display: "grid",
            placeItems: "center",
            pointerEvents: "none",
          }}
        >
          <Typography variant="h1">
            Drop a model here (one file, several that belong together, or a zip), or a picture on the part it
            is for
          </Typography>
        </Box>
      )}
      <Dialog open={sending !== null} aria-label="Bringing in">
        <Box sx={{ p: 2.5, width: 380 }}>
          <Typography sx={{ mb: 1 }}>
            {sending !== null && sending < 1 ? "Sending" : "Reading"} <b>{file}</b>
          </Typography>
          <LinearProgress
            color="secondary"
            variant={sending !== null && sending < 1 ? "determinate" : "indeterminate"}
            value={(sending ?? 0) * 100}
            sx={{ mb: 2 }}
          />
          <Button onClick={picture.sending === null ? turnAway : picture.stop}>Stop</Button>
        </Box>
      </Dialog>
      <Dialog open={view !== null} onClose={turnAway} maxWidth={false} aria-label="A model has arrived">
        {view && taken && <Arrived view={view} taken={taken} wrong={wrong} />}
      </Dialog>
    </>
  );
}

const UNITS: [number, string][] = [
  [0.001, "millimetres"],
  [0.01, "centimetres"],
  [1, "metres"],
  [0.0254, "inches"],
  [0.3048, "feet"],
];
const UPS: [string, string][] = [
  ["y", "y of the file"],
  ["z", "z of the file"],
  ["x", "x of the file"],
  ["-y", "y, the other way round"],
  ["-z", "z, the other way round"],
  ["-x", "x, the other way round"],
];
const MOUNTINGS: [string, string][] = [
  ["stands", "stands on the floor"],
  ["tops", "stands on the floor and on tops"],
  ["wall", "is fixed to a wall"],
  ["hangs", "hangs"],
];

/** What came in beside the standing figure, what was worked out, and how to take it otherwise. */
function Arrived({ view, taken, wrong }: { view: ImportView; taken: Taken; wrong: string }) {
  const { palette } = useTheme();
  const queries = useQueryClient();
  const measure = (name: "width" | "depth" | "height", words: string) => (
    <>
      <TypedField
        text={view.sizeText.split(" × ")[["width", "depth", "height"].indexOf(name)]}
        label={"Its " + name + ", if it is known"}
        onType={(typed) => takeSo({}, { [name]: typed })}
      />{" "}
      {words}
    </>
  );
  return (
    <Box sx={{ width: 780, p: 2.5 }} data-testid="arrived">
      <Typography variant="h1" sx={{ mb: 1.5 }}>
        {view.file}
        {view.more > 0 && (
          <Typography component="span" color="text.secondary" sx={{ ml: 1.5 }}>
            {view.more === 1 ? "one more comes after it" : `${view.more} more come after it`}
          </Typography>
        )}
      </Typography>
      <Box sx={{ display: "flex", gap: 2.5 }}>
        <Box sx={{ width: 380, height: 360, border: 1, borderColor: "divider" }}>
          <Canvas frameloop="demand" flat orthographic style={{ background: palette.background.paper }}>
            <hemisphereLight args={["#FFFDF8", "#E6D9C4", 2.3]} />
            <directionalLight position={[-3, 6, 5]} intensity={1.5} color="#FFF3DF" />
            <Beside view={view} taken={taken} />
          </Canvas>
        </Box>
        <Box sx={{ flex: 1, minWidth: 0, fontSize: 13 }}>
          <TextField
            size="small"
            fullWidth
            label="Name"
            value={taken.name}
            onChange={(e) => useIncoming.setState({ taken: { ...taken, name: e.target.value } })}
            sx={{ mb: 1.5 }}
          />
          <Typography sx={{ mb: 1.5 }}>
            {measure("width", "wide ×")} {measure("depth", "deep ×")} {measure("height", "high")}
          </Typography>
          <Others view={view} taken={taken} />
          <Choices taken={taken} />
          <Box component="ul" sx={{ pl: 2, my: 1, color: "text.secondary", fontSize: 12 }}>
            <li>
              {view.format}, {view.triangles.toLocaleString("en")} triangles
              {view.materials > 1 && `, ${view.materials} materials`}
            </li>
            {view.said.map((s) => (
              <li key={s}>{s}</li>
            ))}
          </Box>
          {wrong && (
            <Typography role="alert" color="error" variant="body2" sx={{ mb: 1 }}>
              {wrong}
            </Typography>
          )}
        </Box>
      </Box>
      <Box sx={{ display: "flex", gap: 1, mt: 2, alignItems: "center" }}>
        <Typography variant="caption" color="text.secondary" sx={{ flex: 1 }}>
          Its front should look toward you.
        </Typography>
        {view.more > 0 && <Button onClick={turnAway}>Leave all</Button>}
        <Button onClick={() => void leave()}>Leave it</Button>
        <Button
          variant="contained"
          autoFocus
          onClick={async () => {
            if (await accept()) await queries.invalidateQueries({ queryKey: ["catalog"] });
          }}
        >
          Bring it in
        </Button>
      </Box>
    </Box>
  );
}

/** Other units that are likely, too: one click takes it so. */
function Others({ view, taken }: { view: ImportView; taken: Taken }) {
  const all = [
    ...view.others,
    ...(view.others.length > 0 ? [{ unit: view.taken.unit, words: "", sizeText: "" }] : []),
  ].filter((o) => Math.abs(o.unit - taken.unit) > 1e-9);
  if (all.length === 0) return null;
  return (
    <Box sx={{ mb: 1.5, display: "flex", flexWrap: "wrap", gap: 0.75, alignItems: "baseline" }}>
      Or
      {all.map((o) => (
        <Button key={o.unit} size="small" variant="outlined" onClick={() => void takeSo({ unit: o.unit })}>
          {o.words ? `${o.words}: ${o.sizeText}` : "as before"}
        </Button>
      ))}
    </Box>
  );
}

/** How it is taken: what can be read another way than was guessed. */
function Choices({ taken }: { taken: Taken }) {
  const apart = useIncoming((s) => s.apart);
  const known = UNITS.find(([m]) => Math.abs(m - taken.unit) < 1e-9);
  const mounting = taken.mounting === "stands" && taken.onTops ? "tops" : taken.mounting;
  return (
    <>
      <Choice label="Its unit">
        <Select
          size="small"
          value={known ? String(known[0]) : "other"}
          inputProps={{ "aria-label": "Its unit" }}
          onChange={(e) => e.target.value !== "other" && void takeSo({ unit: Number(e.target.value) })}
        >
          {UNITS.map(([m, words]) => (
            <MenuItem key={words} value={String(m)}>
              {words}
            </MenuItem>
          ))}
          {!known && <MenuItem value="other">one unit = {taken.unit.toPrecision(4)} m</MenuItem>}
        </Select>
      </Choice>
      <Choice label="What is up">
        <Select
          size="small"
          value={taken.up}
          inputProps={{ "aria-label": "What is up" }}
          onChange={(e) => void takeSo({ up: e.target.value })}
        >
          {UPS.map(([up, words]) => (
            <MenuItem key={up} value={up}>
              {words}
            </MenuItem>
          ))}
        </Select>
      </Choice>
      <Choice label="Its front">
        <Button variant="outlined" onClick={() => void takeSo({ turn: (taken.turn + 90) % 360 })}>
          turn a quarter ({taken.turn}°)
        </Button>
      </Choice>
      <Choice label="It">
        <Select
          size="small"
          value={mounting}
          inputProps={{ "aria-label": "Mounting" }}
          onChange={(e) =>
            void takeSo({
              mounting: e.target.value === "tops" ? "stands" : e.target.value,
              onTops: e.target.value === "tops",
            })
          }
        >
          {MOUNTINGS.map(([m, words]) => (
            <MenuItem key={m} value={m}>
              {words}
            </MenuItem>
          ))}
        </Select>
      </Choice>
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            checked={apart}
            onChange={(e) => useIncoming.setState({ apart: e.target.checked })}
          />
        }
        label="On a layer of its own, by its name"
        slotProps={{ typography: { variant: "body2" } }}
      />
    </>
  );
}

function Choice({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box
      sx={{
        display: "flex",
        justifyContent: "space-between",
        alignItems: "center",
        mb: 0.75,
        "& .MuiSelect-select": { py: 0.5, fontSize: 13 },
      }}
    >
      {label}
      {children}
    </Box>
  );
}

/** The model as it is taken, and the standing figure to judge its size by. */
function Beside({ view, taken }: { view: ImportView; taken: Taken }) {
  const url = api.importUrl(view.id, taken);
  const parts = useQuery({ queryKey: ["import", url], queryFn: () => modelParts(url), gcTime: 0 }).data;
  const figure = useShape({ article: "standing-figure", size: FIGURE })?.parts;
  const { camera, size, invalidate } = useThree();
  const { width: w, depth: d, height: h } = view.size;
  useEffect(() => {
    const eye = camera as OrthographicCamera;
    const across = w + d * 0.6 + FIGURE.width + 0.4;
    const high = Math.max(h, FIGURE.height) + (w + d) * 0.25;
    eye.zoom = 0.88 * Math.min(size.width / across, size.height / high);
    const middle = Math.max(h, FIGURE.height) / 2;
    eye.position.set(-9, middle + 8, 20);
    eye.near = 0.01;
    eye.far = 200 + high + across;
    eye.lookAt(-0.3, middle, 0);
    eye.updateProjectionMatrix();
    invalidate();
  }, [camera, size, w, d, h, parts, figure, invalidate]);
  return (
    <>
      <group>
        {parts?.map((p) => (
          <mesh key={p.name} geometry={p.geometry}>
            <meshStandardMaterial
              color={p.map ? "#FFFFFF" : "#C9B79A"}
              map={p.map}
              roughness={0.8}
              side={2}
            />
          </mesh>
        ))}
      </group>
      <group position={[-w / 2 - 0.45, 0, 0]}>
        {figure?.map((p) => (
          <mesh key={p.name} geometry={p.geometry}>
            <meshStandardMaterial color="#E4DCCB" roughness={1} />
          </mesh>
        ))}
      </group>
    </>
  );
}

import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import InputBase from "@mui/material/InputBase";
import Slider from "@mui/material/Slider";
import { useState } from "react";
import type { Sky } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import { TypedField } from "../fields/TypedField";
import { small } from "../fields/small";
import { Heading } from "../layers/LayersPanel";
import { useLight } from "../../store/useLight";
import { World } from "./World";

const SKIES: { sky: Sky; words: string }[] = [
  { sky: "clear", words: "clear" },
  { sky: "hazy", words: "hazy" },
  { sky: "overcast", words: "overcast" },
];

/** Pulled in steps of so many minutes. */
const STEP = 10;

const clock = (minutes: number) => `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, "0")}`;

const DAY_MS = 86_400_000;

const dateOf = (year: number, day: number) =>
  new Date(Date.UTC(year, 0, 1) + day * DAY_MS).toISOString().slice(0, 10);
const dayOf = (date: string) =>
  Math.round((Date.parse(date) - Date.UTC(Number(date.slice(0, 4)), 0, 1)) / DAY_MS);

/** The day: date and hour are pulled or typed, and the set view follows while they are. */
export function DayPart() {
  const day = useSheet((s) => s.space!.showing.day);
  const stage = useSheet((s) => Boolean(s.space!.shell.stage));
  const { edit, tryMoment, light } = useSheet.getState();
  const set = (what: Record<string, unknown>) => edit([{ do: "day", ...what }]);
  return (
    <>
      <Heading note={stage ? "the sun does not reach a stage" : undefined}>Day</Heading>
      <Box sx={{ px: 1.5, fontSize: 13, display: "grid", gap: 0.5 }}>
        <Pulled
          label="Hour"
          at={Math.round(day.hour * 60)}
          most={24 * 60 - STEP}
          step={STEP}
          words={clock}
          typed={(text) => set({ hour: text })}
          tried={(v) => tryMoment({ date: day.date, hour: clock(v) })}
          done={(v) => set({ hour: clock(v) })}
        />
        <Pulled
          label="Date"
          at={dayOf(day.date)}
          most={364}
          step={1}
          words={(v) => dateOf(Number(day.date.slice(0, 4)), v)}
          typed={(text) => set({ date: text })}
          tried={(v) => tryMoment({ date: dateOf(Number(day.date.slice(0, 4)), v), hour: day.clock })}
          done={(v) => set({ date: dateOf(Number(day.date.slice(0, 4)), v) })}
        />
        <Box sx={{ display: "flex", gap: 0.5 }} role="radiogroup" aria-label="Sky">
          {SKIES.map(({ sky, words }) => (
            <ButtonBase
              key={sky}
              role="radio"
              aria-checked={day.sky === sky}
              onClick={() => {
                light(true);
                void set({ sky });
              }}
              sx={{
                ...small,
                fontWeight: day.sky === sky ? 650 : 400,
                bgcolor: day.sky === sky ? "background.paper" : undefined,
              }}
            >
              {words}
            </ButtonBase>
          ))}
        </Box>
        <SunWords />
        <Place />
      </Box>
    </>
  );
}

/** Where the sun is, and how light it is within. */
function SunWords() {
  const light = useLight();
  const lit = useSheet((s) => s.lit);
  const held = useSheet((s) => s.held);
  const stage = useSheet((s) => Boolean(s.space!.shell.stage));
  const { hold } = useSheet.getState();
  if (!lit || !light) return null;
  const lux = (v: number) => (v < 10 ? v.toFixed(1) : String(Math.round(v)));
  return (
    <Box sx={{ color: "text.secondary", fontSize: 12, lineHeight: "18px" }} data-testid="sun">
      {light.altitude > 0
        ? `The sun stands ${light.altitude.toFixed(1)}° high in ${Math.round(light.azimuth)}°${light.sun || stage ? "" : ", behind clouds"}.`
        : "The sun is down."}{" "}
      {lux(light.around)} lx around.{" "}
      <ButtonBase
        aria-pressed={held !== null}
        title="The picture is exposed for this light, also where it becomes lighter or darker"
        onClick={() => hold(held === null ? light.used : null)}
        sx={{ ...small, lineHeight: "18px", verticalAlign: "baseline" }}
      >
        {held === null ? "hold the exposure" : "exposure held"}
      </ButtonBase>
    </Box>
  );
}

function Pulled(props: {
  label: string;
  at: number;
  most: number;
  step: number;
  words: (v: number) => string;
  typed: (text: string) => Promise<unknown>;
  tried: (v: number) => void;
  done: (v: number) => Promise<unknown>;
}) {
  const [pulled, setPulled] = useState<number | null>(null);
  const now = pulled ?? props.at;
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
      <Box component="span" sx={{ width: 84, flex: "none" }}>
        <TypedField
          text={props.words(now)}
          label={props.label}
          onType={async (t) => (await props.typed(t)) !== null}
        />
      </Box>
      <Slider
        size="small"
        aria-label={`Pull the ${props.label.toLowerCase()}`}
        min={0}
        max={props.most}
        step={props.step}
        value={now}
        onChange={(_, v) => {
          setPulled(v);
          props.tried(v);
        }}
        onChangeCommitted={async (_, v) => {
          await props.done(v);
          setPulled(null);
          useSheet.getState().tryMoment(null);
        }}
        sx={{ mx: 0.5 }}
      />
    </Box>
  );
}

/** Where on the earth: typed, or clicked on an outline of the world. */
function Place() {
  const day = useSheet((s) => s.space!.showing.day);
  const { edit } = useSheet.getState();
  const [open, setOpen] = useState(false);
  const set = (what: Record<string, unknown>) => edit([{ do: "day", ...what }]);
  const number = (label: string, value: number, key: string) => (
    <Box component="label" sx={{ display: "flex", alignItems: "baseline", gap: 0.5 }}>
      {label}
      <InputBase
        key={value}
        defaultValue={value}
        inputProps={{ "aria-label": label, inputMode: "decimal" }}
        onKeyDown={(e) => e.key === "Enter" && (e.target as HTMLElement).blur()}
        onBlur={(e) => {
          const v = Number(e.target.value.replace(",", "."));
          if (Number.isFinite(v) && v !== value) void set({ [key]: v });
        }}
        sx={{
          width: 44,
          fontSize: 13,
          "& input": { p: 0, height: 20, borderBottom: "1px solid", borderColor: "divider" },
        }}
      />
    </Box>
  );
  return (
    <Box>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", fontSize: 13 }}>
        {number("latitude", day.latitude, "latitude")}
        {number("longitude", day.longitude, "longitude")}
        {number("hours before UTC", day.zone, "zone")}
        <ButtonBase aria-expanded={open} onClick={() => setOpen(!open)} sx={small}>
          {open ? "fold the world away" : "on the world…"}
        </ButtonBase>
      </Box>
      {open && (
        <World
          latitude={day.latitude}
          longitude={day.longitude}
          choose={(latitude, longitude) =>
            // clocks there, as the sun has them
            void set({ latitude, longitude, zone: Math.round(longitude / 15) })
          }
        />
      )}
    </Box>
  );
}

import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import type { LampLine } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import { TypedField } from "../fields/TypedField";
import { small } from "../fields/small";
import { Heading } from "../layers/LayersPanel";
import { useLamps } from "../../store/useLamps";

const percent = (share: number | undefined) =>
  share === undefined ? "various" : `${Math.round(100 * share)} %`;

/** All lamps, those alike in one line: switched, dimmed, selected. */
export function LampsPart() {
  const space = useSheet((s) => s.space!);
  const lamps = useLamps();
  const { edit } = useSheet.getState();
  if (!lamps) return null;
  const all = lamps.lines.flatMap((l) => l.pieces);
  const circuits = space.showing.circuits;
  return (
    <>
      <Heading
        note={
          all.length > 0 ? `${Math.round(lamps.lumens)} lm, ${Math.round(lamps.watts)} W burn` : undefined
        }
      >
        Lamps
      </Heading>
      {all.length === 0 && (
        <Typography variant="caption" color="text.secondary" component="p" sx={{ px: 1.5, m: 0 }}>
          There is no lamp yet. Those of the catalog are under “lamps” and “stage lighting”.
        </Typography>
      )}
      {lamps.lines.map((l) => (
        <Line key={l.article + "~" + (l.circuit ?? "")} line={l} />
      ))}
      {circuits.map((c) => (
        <Circuit key={c} name={c} lines={lamps.lines.filter((l) => l.circuit === c)} />
      ))}
      {lamps.lines.length > 1 && (
        <Box sx={{ display: "flex", gap: 0.75, px: 1.5, pt: 0.75 }}>
          <ButtonBase onClick={() => void edit([{ do: "lamps", which: {}, on: true }])} sx={small}>
            all on
          </ButtonBase>
          <ButtonBase onClick={() => void edit([{ do: "lamps", which: {}, on: false }])} sx={small}>
            all off
          </ButtonBase>
        </Box>
      )}
    </>
  );
}

const row = {
  display: "flex",
  alignItems: "center",
  gap: 0.75,
  minHeight: 28,
  px: 1.5,
  fontSize: 13,
  "&:hover": { bgcolor: "background.paper" },
};

function Line({ line }: { line: LampLine }) {
  const { edit, select } = useSheet.getState();
  const chosen = useSheet((s) => line.pieces.some((id) => s.selection.includes(id)));
  const n = line.pieces.length;
  const on = line.on === true;
  return (
    <Box
      data-lamps={line.article}
      sx={{ ...row, boxShadow: chosen ? (t) => `inset 3px 0 ${t.palette.secondary.main}` : undefined }}
    >
      <ButtonBase
        title={`Select ${n === 1 ? "it" : "all of them"}${line.circuit ? `; on circuit ${line.circuit}` : ""}`}
        onClick={() => select(line.pieces)}
        sx={{ flex: 1, minWidth: 0, height: 26, justifyContent: "flex-start", font: "inherit" }}
      >
        <Box component="span" sx={{ overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap" }}>
          {n > 1 && `${n} × `}
          {line.name}
          {line.circuit && (
            <Box component="span" sx={{ color: "text.secondary" }}>
              {" "}
              {line.circuit}
            </Box>
          )}
        </Box>
      </ButtonBase>
      <TypedField
        text={percent(line.level)}
        label={`Level of ${line.name}`}
        onType={async (level) => (await edit([{ do: "lamps", pieces: line.pieces, level }])) !== null}
      />
      <Switch
        name={line.name}
        on={on}
        turn={() => void edit([{ do: "lamps", pieces: line.pieces, on: !on }])}
      />
    </Box>
  );
}

function Circuit({ name, lines }: { name: string; lines: LampLine[] }) {
  const { edit } = useSheet.getState();
  const on = lines.every((l) => l.on === true);
  const n = lines.reduce((sum, l) => sum + l.pieces.length, 0);
  return (
    <Box sx={row} data-circuit={name}>
      <Box component="span" sx={{ flex: 1, minWidth: 0, overflow: "hidden", textOverflow: "ellipsis" }}>
        circuit <b>{name}</b> · {n}
      </Box>
      <Switch
        name={"circuit " + name}
        on={on}
        turn={() => void edit([{ do: "lamps", which: { circuit: name }, on: !on }])}
      />
    </Box>
  );
}

function Switch({ name, on, turn }: { name: string; on: boolean; turn: () => void }) {
  return (
    <ButtonBase
      role="switch"
      aria-checked={on}
      aria-label={`${name} on`}
      onClick={turn}
      sx={{
        ...small,
        minWidth: 34,
        fontWeight: on ? 650 : 400,
        bgcolor: on ? "background.paper" : undefined,
      }}
    >
      {on ? "on" : "off"}
    </ButtonBase>
  );
}

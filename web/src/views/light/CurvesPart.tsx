import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useTheme } from "@mui/material/styles";
import type { CurveFigure } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import { lampsChosen, takeCurves } from "../../tools/light/curves";
import { small } from "../fields/small";
import { Heading } from "../layers/LayersPanel";
import { Named } from "../layers/Named";

/** Photometric files: how sorts of lamps spread their light. */
export function CurvesPart() {
  const curves = useSheet((s) => s.space!.showing.curves);
  const { edit, say } = useSheet.getState();
  return (
    <>
      <Heading note={curves.length > 0 ? "a click gives it to the lamps selected" : undefined}>
        Photometric files
      </Heading>
      {curves.map((c) => (
        <Named
          key={c.id}
          name={c.name}
          note={`${Math.round(c.lumens)} lm${c.watts > 0 ? `, ${Math.round(c.watts)} W` : ""}`}
          before={<Curve figure={c.figure} name={c.name} />}
          choose={() => {
            const pieces = lampsChosen();
            if (pieces.length > 0) void edit([{ do: "lamps", pieces, curve: c.id }]);
            else say("Select the lamps first that it is for.", "refused");
          }}
          others={[{ words: "Remove", choose: () => void edit([{ do: "removeCurve", curve: c.id }]) }]}
        />
      ))}
      <Box sx={{ px: 1.5, pt: 0.5 }}>
        <ButtonBase component="label" sx={{ ...small, cursor: "pointer" }}>
          bring in .ies or .ldt…
          <input
            type="file"
            accept=".ies,.ldt"
            multiple
            aria-label="Photometric files"
            onChange={(e) => {
              void takeCurves([...(e.target.files ?? [])]);
              e.target.value = "";
            }}
            style={{ position: "absolute", width: 1, height: 1, opacity: 0 }}
          />
        </ButtonBase>
      </Box>
    </>
  );
}

/** Its curve, straight down at the foot: along drawn out, across dashed. */
function Curve({ figure, name }: { figure: CurveFigure; name: string }) {
  const { palette } = useTheme();
  const ring = (points: { x: number; z: number }[]) => points.map((p) => `${p.x},${p.z}`).join(" ");
  return (
    <svg
      viewBox="-1.05 -1.05 2.1 2.1"
      width={40}
      height={40}
      role="img"
      aria-label={`Curve of ${name}, at most ${Math.round(figure.most)} candela`}
      style={{ flex: "none" }}
    >
      <circle r={1} fill="none" stroke={palette.divider} strokeWidth={0.04} />
      <line x1={-1} x2={1} stroke={palette.divider} strokeWidth={0.04} />
      <polygon
        points={ring(figure.along)}
        fill={palette.warning.main}
        fillOpacity={0.25}
        stroke={palette.text.primary}
        strokeWidth={0.06}
      />
      <polygon
        points={ring(figure.across)}
        fill="none"
        stroke={palette.text.primary}
        strokeWidth={0.04}
        strokeDasharray="0.12 0.08"
      />
    </svg>
  );
}

import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useSheet } from "../../store/sheet";
import { drawLuxLines, hideLuxLines, useLuxLines } from "../../tools/light/luxLines";
import { TypedField } from "../fields/TypedField";
import { small } from "../fields/small";
import { Heading } from "../layers/LayersPanel";

/** Lines of equal lux on plan, at a height that is typed. */
export function LuxPart() {
  const { height, busy, found, space } = useLuxLines();
  const id = useSheet((s) => s.space!.id);
  const revision = useSheet((s) => s.space!.revision);
  const own = space === id ? found : null;
  const old = own !== null && own.revision !== revision;
  return (
    <>
      <Heading>Lux lines</Heading>
      <Box sx={{ display: "flex", alignItems: "center", gap: 0.75, px: 1.5, fontSize: 13 }}>
        <ButtonBase disabled={busy} onClick={() => void drawLuxLines()} sx={small}>
          {busy ? "measuring…" : own ? "draw anew" : "draw on the plan"}
        </ButtonBase>
        at
        <TypedField text={height || "0.75"} label="Height of the lux lines" onType={(t) => drawLuxLines(t)} />
        {own && (
          <ButtonBase onClick={hideLuxLines} sx={small}>
            hide
          </ButtonBase>
        )}
      </Box>
      {old && (
        <Typography variant="caption" color="warning.dark" component="p" sx={{ px: 1.5, m: 0, pt: 0.5 }}>
          The space was changed since; the plan does not show them.
        </Typography>
      )}
    </>
  );
}

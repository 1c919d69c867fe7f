import Box from "@mui/material/Box";
import { CurvesPart } from "./CurvesPart";
import { DayPart } from "./DayPart";
import { LampsPart } from "./LampsPart";
import { LooksPart } from "./LooksPart";
import { LuxPart } from "./LuxPart";

/** How the space is lit: lamps, the looks they are kept in, and the day. */
export function LightLeaf() {
  return (
    <Box sx={{ flex: 1, overflowY: "auto", borderTop: 1, borderColor: "divider", pb: 2 }} data-testid="light">
      <LooksPart />
      <LampsPart />
      <DayPart />
      <LuxPart />
      <CurvesPart />
    </Box>
  );
}

import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { ElevationThumb } from "../views/drawings/ElevationSheet";
import { PlanThumb } from "../views/drawings/Plan";
import { SetView } from "../views/set/SetView";
import { useSheet } from "../store/sheet";
import { drawings, largeOf, openDrawing } from "../store/drawingNames";

const WIDTH = 104;
const HEIGHT = 62;

/** The drawings that wait, small; a click makes one large. */
export function Strip() {
  const space = useSheet((s) => s.space)!;
  const large = useSheet((s) => s.large);
  const open = useSheet((s) => s.strip);
  const { setStrip } = useSheet.getState();
  const now = largeOf(space, large);
  const waiting = drawings(space).filter((d) => !now.includes(d.name));
  return (
    <Box
      component="nav"
      aria-label="Other drawings"
      sx={{
        flex: "none",
        display: "flex",
        borderTop: 1,
        borderColor: "divider",
        bgcolor: "background.default",
        minHeight: open ? HEIGHT + 28 : 25,
      }}
    >
      <ButtonBase
        aria-label={open ? "Fold away the other drawings" : `Show the other drawings: ${waiting.length}`}
        aria-expanded={open}
        onClick={() => setStrip(!open)}
        sx={{ width: open ? 24 : "100%", fontSize: 12, color: "text.secondary", flex: "none" }}
      >
        {open ? "⌄" : `other drawings: ${waiting.length}`}
      </ButtonBase>
      {open && (
        <Box sx={{ flex: 1, minWidth: 0, display: "flex", overflowX: "auto", gap: 0.75, py: 0.5, pr: 1 }}>
          {waiting.map((d) => (
            <ButtonBase
              key={d.name}
              aria-label={"Make large: " + d.words}
              onClick={() => openDrawing(d.name)}
              sx={{
                flex: "none",
                width: WIDTH + 8,
                flexDirection: "column",
                border: 1,
                borderColor: "divider",
                bgcolor: "background.paper",
                fontSize: 12,
                color: "text.secondary",
                "&:hover, &:focus-visible": { borderColor: "primary.main", color: "text.primary" },
              }}
            >
              <Box sx={{ width: WIDTH, height: HEIGHT, overflow: "hidden", pointerEvents: "none" }}>
                {d.name === "plan" ? (
                  <PlanThumb width={WIDTH} height={HEIGHT} />
                ) : d.name === "set" ? (
                  <SetView small />
                ) : (
                  <ElevationThumb name={d.name} width={WIDTH} height={HEIGHT} />
                )}
              </Box>
              <span>{d.words}</span>
            </ButtonBase>
          ))}
        </Box>
      )}
    </Box>
  );
}

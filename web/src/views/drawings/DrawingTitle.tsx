import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { useState, type ReactNode } from "react";
import { useSheet } from "../../store/sheet";
import { alone, drawings, openDrawing, wordsOf } from "../../store/drawingNames";

/** The name of a drawing; a click offers the others. Beside it, what else can be set for this drawing. */
export function DrawingTitle({ name, children }: { name: string; children?: ReactNode }) {
  const space = useSheet((s) => s.space)!;
  const two = useSheet((s) => s.large.length > 1);
  const chosen = useSheet((s) => s.selection.length > 0 || s.part !== null);
  const [at, setAt] = useState<HTMLElement | null>(null);
  const button = {
    fontSize: 12,
    lineHeight: "24px",
    px: 0.75,
    color: "text.secondary",
    bgcolor: "background.default",
    borderRadius: 0.5,
    "&:hover, &:focus-visible": { color: "text.primary", bgcolor: "background.paper" },
  };
  return (
    <Box
      onPointerDown={(e) => e.stopPropagation()}
      onPointerUp={(e) => e.stopPropagation()}
      onPointerMove={(e) => e.stopPropagation()}
      onDoubleClick={(e) => e.stopPropagation()}
      sx={{
        position: "absolute",
        left: 6,
        right: 6,
        top: 3,
        zIndex: 3,
        display: "flex",
        whiteSpace: "nowrap",
        gap: 0.5,
        alignItems: "center",
        pointerEvents: "none",
        "& > *": { pointerEvents: "auto" },
      }}
    >
      <ButtonBase
        aria-label={"Drawing: " + wordsOf(name)}
        aria-haspopup="menu"
        onClick={(e) => setAt(e.currentTarget)}
        sx={{ ...button, fontWeight: 600 }}
      >
        {wordsOf(name)}&nbsp;<span aria-hidden>▾</span>
      </ButtonBase>
      {children}
      <Box sx={{ flex: 1, pointerEvents: "none !important" }} />
      <ButtonBase
        title="Show the whole space in every drawing (H)"
        onClick={() => useSheet.getState().look("home")}
        sx={button}
      >
        whole
      </ButtonBase>
      {chosen && (
        <ButtonBase
          title="Look at what is selected in every drawing (F)"
          onClick={() => useSheet.getState().look("selection")}
          sx={button}
        >
          look at it
        </ButtonBase>
      )}
      <ButtonBase
        aria-label={two ? wordsOf(name) + " alone" : "Two: a second drawing beside"}
        onClick={() => alone(name)}
        sx={button}
      >
        {two ? "alone" : "two"}
      </ButtonBase>
      {at && (
        <Menu open anchorEl={at} onClose={() => setAt(null)}>
          {drawings(space).map((d) => (
            <MenuItem
              key={d.name}
              dense
              selected={d.name === name}
              onClick={() => {
                setAt(null);
                openDrawing(d.name, name);
              }}
            >
              {d.words}
            </MenuItem>
          ))}
        </Menu>
      )}
    </Box>
  );
}

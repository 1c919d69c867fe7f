import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useState, type ReactNode } from "react";

/** A side of the sheet that folds away to a tab; it may have several leaves to choose from. */
export function Side(props: {
  name: string;
  width: number;
  edge: "left" | "right";
  leaves?: ReactNode;
  children: ReactNode;
}) {
  const [open, setOpen] = useState(true);
  const border = props.edge === "left" ? "borderRight" : "borderLeft";
  const toggle = (
    <ButtonBase
      aria-label={(open ? "Fold away " : "Open ") + props.name.toLowerCase()}
      aria-expanded={open}
      onClick={() => setOpen(!open)}
      sx={
        open
          ? {
              flex: props.leaves ? "none" : 1,
              justifyContent: "space-between",
              px: props.leaves ? 0.75 : 1.5,
              minWidth: 24,
              height: 32,
            }
          : { width: 26, height: "100%", writingMode: "vertical-rl" }
      }
    >
      {!(open && props.leaves) && (
        <Typography component="span" variant="h2">
          {props.name}
        </Typography>
      )}
      {open && <span aria-hidden>{props.edge === "left" ? "‹" : "›"}</span>}
    </ButtonBase>
  );
  return (
    <Box
      component="section"
      aria-label={props.name}
      sx={{
        width: open ? props.width : 26,
        flex: "none",
        [border]: 1,
        borderColor: "divider",
        bgcolor: "background.default",
        display: "flex",
        flexDirection: "column",
        minHeight: 0,
      }}
    >
      <Box sx={{ display: "flex", flex: open ? undefined : 1 }}>
        {open && props.leaves}
        {toggle}
      </Box>
      {open && props.children}
    </Box>
  );
}

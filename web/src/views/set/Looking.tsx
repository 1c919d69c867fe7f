import ButtonBase from "@mui/material/ButtonBase";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { type Theme } from "@mui/material/styles";
import { useState } from "react";
import { useSheet } from "../../store/sheet";

/** Where to look from, the ceiling, and walking. */
export function Looking() {
  const viewpoints = useSheet((s) => s.space!.viewpoints);
  const lifted = useSheet((s) => s.lifted);
  const walking = useSheet((s) => s.walking);
  const stage = useSheet((s) => Boolean(s.space!.shell.stage));
  const { goTo, lift, walk, look } = useSheet.getState();
  const [at, setAt] = useState<HTMLElement | null>(null);
  const button = (on: boolean) => ({
    fontSize: 12,
    lineHeight: "20px",
    px: 0.75,
    borderRadius: 0.5,
    color: on ? "text.primary" : "text.secondary",
    bgcolor: on ? "background.paper" : "background.default",
    boxShadow: on ? (t: Theme) => `inset 0 -2px ${t.palette.secondary.main}` : undefined,
    "&:hover, &:focus-visible": { color: "text.primary", bgcolor: "background.paper" },
  });
  const off = lifted.includes("ceiling");
  return (
    <>
      <ButtonBase aria-haspopup="menu" onClick={(e) => setAt(e.currentTarget)} sx={button(false)}>
        look from&nbsp;<span aria-hidden>▾</span>
      </ButtonBase>
      <ButtonBase aria-pressed={!off} onClick={() => lift("ceiling", !off)} sx={button(!off)}>
        {stage ? "grid on" : "ceiling on"}
      </ButtonBase>
      <ButtonBase aria-pressed={walking} onClick={() => walk(!walking)} sx={button(walking)}>
        {walking ? "walking: arrows, Esc ends" : "walk"}
      </ButtonBase>
      {at && (
        <Menu open anchorEl={at} onClose={() => setAt(null)}>
          <MenuItem
            dense
            onClick={() => {
              setAt(null);
              look("home");
            }}
          >
            Home
          </MenuItem>
          {viewpoints.map((v, i) => (
            <MenuItem
              key={v.name}
              dense
              divider={viewpoints[i + 1] !== undefined && viewpoints[i + 1].group !== v.group}
              onClick={() => {
                setAt(null);
                goTo(v);
              }}
            >
              {v.name}
            </MenuItem>
          ))}
        </Menu>
      )}
    </>
  );
}

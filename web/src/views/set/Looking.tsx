import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { type Theme } from "@mui/material/styles";
import { useState } from "react";
import { useSheet } from "../../store/sheet";
import type { Through } from "../../store/looking";
import { openStills } from "../../tools/still/still";
import { keepAnew, keepView, lookFrom } from "../../tools/viewpoint/viewpoints";

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

/** Where to look from, the ceiling, walking, and seeing through. */
export function Looking() {
  const lifted = useSheet((s) => s.lifted);
  const walking = useSheet((s) => s.walking);
  const stage = useSheet((s) => Boolean(s.space!.shell.stage));
  const { lift, walk } = useSheet.getState();
  const off = lifted.includes("ceiling");
  return (
    <>
      <FromMenu />
      <ButtonBase
        aria-pressed={!off}
        title={off ? "Lifted off, to look in" : "It is on"}
        onClick={() => lift("ceiling", !off)}
        sx={button(!off)}
      >
        {stage ? "grid" : "ceiling"}
      </ButtonBase>
      <ButtonBase aria-pressed={walking} onClick={() => walk(!walking)} sx={button(walking)}>
        {walking ? "walking: arrows, Esc ends" : "walk"}
      </ButtonBase>
      <ThroughButton />
      <ButtonBase
        aria-haspopup="dialog"
        title="A finished picture, from here or from a viewpoint"
        onClick={openStills}
        sx={button(false)}
      >
        still…
      </ButtonBase>
    </>
  );
}

/** What is seen through: everything, or with something selected all else. */
function ThroughButton() {
  const through = useSheet((s) => s.through);
  const any = useSheet((s) => s.selection.length > 0);
  const on = through !== "nothing";
  const next: Through = on ? "nothing" : any ? "others" : "everything";
  return (
    <ButtonBase
      aria-pressed={on}
      title={any ? "See through all but what is selected" : "See through everything"}
      onClick={() => useSheet.getState().seeThrough(next)}
      sx={button(on)}
    >
      see through
    </ButtonBase>
  );
}

function FromMenu() {
  const viewpoints = useSheet((s) => s.space!.showing.viewpoints);
  const shown = useSheet((s) => s.viewpoint?.view.id);
  const { look, edit } = useSheet.getState();
  const [at, setAt] = useState<HTMLElement | null>(null);
  const then = (does: () => void) => () => {
    setAt(null);
    does();
  };
  const kept = viewpoints.find((v) => v.group === "kept" && v.id === shown);
  return (
    <>
      <ButtonBase
        aria-haspopup="menu"
        onClick={(e) => setAt(e.currentTarget)}
        sx={button(kept !== undefined)}
      >
        <Box
          component="span"
          sx={{ maxWidth: 96, overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap" }}
        >
          {kept ? kept.name : "look from"}
        </Box>
        &nbsp;<span aria-hidden>▾</span>
      </ButtonBase>
      {at && (
        <Menu open anchorEl={at} onClose={() => setAt(null)}>
          <MenuItem dense onClick={then(() => void keepView())}>
            Keep this view
          </MenuItem>
          {kept && (
            <MenuItem dense onClick={then(() => keepAnew(kept.id))}>
              Keep {kept.name} as it is now
            </MenuItem>
          )}
          {kept && (
            <MenuItem dense onClick={then(() => void edit([{ do: "removeViewpoint", viewpoint: kept.id }]))}>
              Remove {kept.name}
            </MenuItem>
          )}
          <MenuItem dense divider onClick={then(() => look("home"))}>
            Home
          </MenuItem>
          {viewpoints.map((v, i) => (
            <MenuItem
              key={v.id}
              dense
              selected={v.id === shown}
              divider={viewpoints[i + 1] !== undefined && viewpoints[i + 1].group !== v.group}
              onClick={then(() => lookFrom(v))}
            >
              {v.name}
            </MenuItem>
          ))}
        </Menu>
      )}
    </>
  );
}

import ButtonBase from "@mui/material/ButtonBase";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { useState } from "react";
import { useSheet } from "../../store/sheet";
import { EFFORTS, effortOf, useEffort } from "../../store/effort";

/** How fine the picture is drawn, and how light. */
export function EffortMenu() {
  const { chosen, stops } = useEffort();
  const effort = useEffort(effortOf);
  const lit = useSheet((s) => s.lit);
  const { light } = useSheet.getState();
  const [at, setAt] = useState<HTMLElement | null>(null);
  const { choose, expose } = useEffort.getState();
  const words = EFFORTS.find((e) => e.effort === effort)!.words;
  return (
    <>
      <ButtonBase
        aria-haspopup="menu"
        title="How fine the picture is drawn, and how light"
        data-effort={effort}
        onClick={(e) => setAt(e.currentTarget)}
        sx={{
          fontSize: 12,
          lineHeight: "20px",
          px: 0.75,
          borderRadius: 0.5,
          color: "text.secondary",
          bgcolor: "background.default",
          "&:hover, &:focus-visible": { color: "text.primary", bgcolor: "background.paper" },
        }}
      >
        {lit ? "as lit" : "picture"}&nbsp;<span aria-hidden>▾</span>
      </ButtonBase>
      {at && (
        <Menu open anchorEl={at} onClose={() => setAt(null)}>
          <MenuItem dense selected={!lit} onClick={() => light(false)}>
            Evenly lit, to work in
          </MenuItem>
          <MenuItem dense divider selected={lit} onClick={() => light(true)}>
            As the day and the lamps light it
          </MenuItem>
          {EFFORTS.map((e, i) => (
            <MenuItem
              key={e.effort}
              dense
              selected={e.effort === chosen}
              divider={i === EFFORTS.length - 1}
              onClick={() => choose(e.effort)}
            >
              {e.effort === "measured" ? `Drawn ${e.words}: ${words}` : `Drawn ${e.words}`}
            </MenuItem>
          ))}
          <MenuItem dense onClick={() => expose(stops + 0.5)}>
            Lighter
          </MenuItem>
          <MenuItem dense onClick={() => expose(stops - 0.5)}>
            Darker
          </MenuItem>
          <MenuItem dense disabled={stops === 0} onClick={() => expose(0)}>
            {stops === 0
              ? "As light as it fits by itself"
              : `As light as it fits (now ${stops > 0 ? "+" : "−"}${Math.abs(stops)} stops)`}
          </MenuItem>
        </Menu>
      )}
    </>
  );
}

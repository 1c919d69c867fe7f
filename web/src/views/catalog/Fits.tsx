import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import InputBase from "@mui/material/InputBase";
import Popover from "@mui/material/Popover";
import { useState } from "react";
import { api, type Filter } from "../../api/client";
import { useSheet } from "../../store/sheet";
import { small } from "../fields/small";

export const NO_FILTER: Filter = { mounting: "", width: "", depth: "", height: "" };

const MOUNTINGS = [
  ["", "any"],
  ["stands", "stands"],
  ["wall", "on a wall"],
  ["hangs", "hangs"],
  ["opening", "in an opening"],
] as const;

/** Only what is mounted so, and no larger than that; also as large as the place of what is selected. */
export function Fits({ filter, onChange }: { filter: Filter; onChange: (filter: Filter) => void }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const space = useSheet((s) => s.space)!;
  const piece = useSheet((s) => (s.selection.length > 0 ? s.selection[s.selection.length - 1] : null));
  const part = useSheet((s) => (s.part?.startsWith("opening:") ? s.part : null));
  const { say } = useSheet.getState();
  const set = Object.values(filter).filter((v) => v !== "").length;
  const here = async () => {
    try {
      const free = await api.free(space.id, piece, part);
      const length = (v: number | undefined | null) => (v == null ? "" : v.toFixed(3) + " m");
      onChange({
        ...filter,
        width: length(free.width),
        depth: length(free.depth),
        height: length(free.height),
      });
    } catch (e) {
      say((e as Error).message, "refused");
    }
  };
  return (
    <>
      <ButtonBase
        aria-haspopup="dialog"
        aria-label="What fits"
        onClick={(e) => setAt(e.currentTarget)}
        sx={{ ...small, bgcolor: set > 0 ? "background.paper" : undefined }}
      >
        {set > 0 ? `fits: ${set}` : "fits"}&nbsp;<span aria-hidden>▾</span>
      </ButtonBase>
      {at && (
        <Popover
          open
          anchorEl={at}
          onClose={() => setAt(null)}
          anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
        >
          <Box role="dialog" aria-label="What fits" sx={{ p: 1.5, width: 240, fontSize: 13 }}>
            <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mb: 1 }}>
              {MOUNTINGS.map(([value, words]) => (
                <ButtonBase
                  key={value}
                  aria-pressed={filter.mounting === value}
                  onClick={() => onChange({ ...filter, mounting: value })}
                  sx={{ ...small, borderColor: filter.mounting === value ? "secondary.main" : "divider" }}
                >
                  {words}
                </ButtonBase>
              ))}
            </Box>
            {(["width", "depth", "height"] as const).map((name) => (
              <Box
                key={name}
                component="label"
                sx={{ display: "flex", justifyContent: "space-between", alignItems: "center", mb: 0.5 }}
              >
                {{ width: "No wider than", depth: "No deeper than", height: "No higher than" }[name]}
                <InputBase
                  value={filter[name]}
                  onChange={(e) => onChange({ ...filter, [name]: e.target.value })}
                  sx={{
                    width: 90,
                    fontSize: 13,
                    px: 0.75,
                    border: 1,
                    borderColor: "divider",
                    "& input": { p: 0.25 },
                  }}
                />
              </Box>
            ))}
            <Box sx={{ display: "flex", gap: 0.5, mt: 1, flexWrap: "wrap" }}>
              <ButtonBase
                disabled={!piece && !part}
                onClick={() => void here()}
                sx={{ ...small, opacity: piece || part ? 1 : 0.5 }}
              >
                {part ? "into the opening selected" : "the place of the piece selected"}
              </ButtonBase>
              <ButtonBase onClick={() => onChange(NO_FILTER)} sx={small}>
                no limits
              </ButtonBase>
            </Box>
          </Box>
        </Popover>
      )}
    </>
  );
}

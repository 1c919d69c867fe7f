import RedoIcon from "@mui/icons-material/RedoOutlined";
import UndoIcon from "@mui/icons-material/UndoOutlined";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import List from "@mui/material/List";
import ListItemButton from "@mui/material/ListItemButton";
import ListItemText from "@mui/material/ListItemText";
import MenuItem from "@mui/material/MenuItem";
import Popover from "@mui/material/Popover";
import Select from "@mui/material/Select";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Tooltip from "@mui/material/Tooltip";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../api/client";
import { openHandover } from "../tools/handover/handover";
import { meaning } from "../views/fields/ownWords";
import { History } from "../views/history/History";
import { useSheet } from "../store/sheet";
import type { EditUnion as Edit } from "../api/types.gen";
import { useSnags } from "../store/useSnags";
import { groupOf, hiddenCount } from "../store/kept";
import { useHelp } from "../tools/verbs/help";
import { showEverything } from "../tools/verbs/keepVerbs";
import { closeGroup } from "../tools/verbs/verbs";

/** How what was done stands, in words. */
const SAVED = {
  saved: { words: "Saved", colour: "text.secondary" },
  saving: { words: "Saving…", colour: "text.secondary" },
  waiting: { words: "No answer, trying again…", colour: "warning.main" },
  stuck: { words: "Not saved", colour: "error.main" },
};

export function Head() {
  const space = useSheet((s) => s.space)!;
  const saved = useSheet((s) => s.saved);
  const unit = useSheet((s) => s.unit);
  const large = useSheet((s) => s.large);
  const { setUnit, setLarge, step } = useSheet.getState();
  const projects = useQuery({ queryKey: ["projects"], queryFn: api.projects });
  const project = projects.data?.find((p) => p.id === space.project)?.name ?? "";
  return (
    <Box
      component="header"
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 1.25,
        px: 1.5,
        borderBottom: 1,
        borderColor: "divider",
      }}
    >
      <Tooltip title="All projects">
        <Typography
          component="a"
          href="#/"
          variant="h1"
          sx={{ color: "inherit", textDecoration: "none", mr: 0.5, lineHeight: "28px" }}
        >
          Pied
        </Typography>
      </Tooltip>
      <Typography noWrap sx={{ fontSize: 15 }}>
        <Box component="span" sx={{ color: "text.secondary" }}>
          {project} ·{" "}
        </Box>
        {space.name}
      </Typography>
      <Box sx={{ display: "flex", ml: 1 }}>
        <Tooltip title="Undo (Ctrl+Z)">
          <span>
            <Button
              color="inherit"
              startIcon={<UndoIcon />}
              disabled={!space.canUndo}
              onClick={() => void step("undo")}
            >
              Undo
            </Button>
          </span>
        </Tooltip>
        <Tooltip title="Redo (Ctrl+Shift+Z)">
          <span>
            <Button
              color="inherit"
              startIcon={<RedoIcon />}
              disabled={!space.canRedo}
              onClick={() => void step("redo")}
            >
              Redo
            </Button>
          </span>
        </Tooltip>
      </Box>
      <History />
      <Typography
        variant="body2"
        data-testid="saved"
        noWrap
        sx={{ color: SAVED[saved].colour, width: saved === "waiting" ? 150 : 60 }}
      >
        {SAVED[saved].words}
      </Typography>
      <Box sx={{ flex: 1 }} />
      <OpenGroup />
      <Hidden />
      <ToggleButtonGroup
        exclusive
        size="small"
        value={large.join()}
        aria-label="Drawings"
        onChange={(_, v: string | null) => v && setLarge(v.split(","))}
        sx={{ "& .MuiToggleButton-root": { py: 0.25, px: 1.25, textTransform: "none" } }}
      >
        <ToggleButton value="plan">Plan</ToggleButton>
        <ToggleButton value="plan,set">Both</ToggleButton>
        <ToggleButton value="set">Set view</ToggleButton>
      </ToggleButtonGroup>
      <Snags />
      <Tooltip title="Lists, drawings to scale, models and the project as files (Shift+J)">
        <Button color="inherit" onClick={openHandover} aria-haspopup="dialog">
          Hand over
        </Button>
      </Tooltip>
      <Select
        variant="standard"
        disableUnderline
        value={unit}
        onChange={(e) => setUnit(e.target.value)}
        inputProps={{ "aria-label": "Unit" }}
        sx={{ fontSize: 13 }}
      >
        <MenuItem value="m">metres</MenuItem>
        <MenuItem value="cm">centimetres</MenuItem>
        <MenuItem value="mm">millimetres</MenuItem>
        <MenuItem value="ft-in">feet, inches</MenuItem>
      </Select>
      <Tooltip title="Keys (?)">
        <Button color="inherit" onClick={() => useHelp.setState({ open: true })} aria-label="Keys">
          ?
        </Button>
      </Tooltip>
    </Box>
  );
}

/** The group in which one works; a click closes it. */
function OpenGroup() {
  const name = useSheet((s) => groupOf(s.inGroup, s.space!.filing)?.name);
  if (name === undefined) return null;
  return (
    <Tooltip title="Close the group (Esc)">
      <Button color="secondary" variant="outlined" data-testid="in-group" onClick={closeGroup} sx={NARROW}>
        in {name} ✕
      </Button>
    </Tooltip>
  );
}

/** How much is left out of the drawings; a click shows it again. */
function Hidden() {
  const n = useSheet((s) => hiddenCount(s.pieces, s.space!.filing));
  if (n === 0) return null;
  return (
    <Tooltip title="Show everything again, hidden layers too (Shift+H)">
      <Button color="inherit" variant="outlined" data-testid="hidden" onClick={showEverything} sx={NARROW}>
        {n} hidden
      </Button>
    </Tooltip>
  );
}

const NARROW = { py: 0, whiteSpace: "nowrap", maxWidth: 220, overflow: "hidden" };

/** So many snags are listed. */
const LISTED = 200;

/** What is wrong in the space, with a count; a click leads to the piece, or puts it right. */
function Snags() {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const { snags, all, stale } = useSnags();
  const mend = (edits: Edit[]) => {
    setAt(null);
    void useSheet.getState().edit(edits);
  };
  return (
    <>
      <Button
        color={snags.length > 0 ? "error" : "success"}
        // darker than the colour itself, to be read
        onClick={(e) => setAt(e.currentTarget)}
        sx={{ color: stale ? "text.secondary" : snags.length > 0 ? undefined : "success.dark" }}
        data-testid="snags"
        title={meaning("snag")!}
      >
        {all === 0 ? "No snags" : all === 1 ? "1 snag" : all + " snags"}
      </Button>
      {at && (
        <Popover
          open
          anchorEl={at}
          onClose={() => setAt(null)}
          anchorOrigin={{ vertical: "bottom", horizontal: "right" }}
          transformOrigin={{ vertical: "top", horizontal: "right" }}
        >
          {snags.length === 0 ? (
            <Typography sx={{ p: 2 }} variant="body2">
              Nothing hovers, overlaps or lies outside the room.
            </Typography>
          ) : (
            <List dense sx={{ maxWidth: 560, maxHeight: 420, overflow: "auto" }}>
              {snags.slice(0, LISTED).map((s, i) => (
                <Box key={i} sx={{ display: "flex", alignItems: "center", flexWrap: "wrap", pr: 1 }}>
                  <ListItemButton
                    sx={{ flex: "1 1 220px" }}
                    onClick={() => {
                      useSheet.getState().select([s.piece]);
                      useSheet.getState().look("selection");
                      setAt(null);
                    }}
                  >
                    <ListItemText primary={s.words} />
                  </ListItemButton>
                  {[s.remedy, s.silence].map(
                    (r) =>
                      r && (
                        <Button
                          key={r.words}
                          size="small"
                          sx={{ whiteSpace: "nowrap" }}
                          onClick={() => mend(r.edits)}
                        >
                          {r.words}
                        </Button>
                      ),
                  )}
                </Box>
              ))}
              {all > LISTED && (
                <Typography variant="body2" sx={{ px: 2, py: 1 }} color="text.secondary">
                  These are {LISTED} of {all}.
                </Typography>
              )}
            </List>
          )}
        </Popover>
      )}
    </>
  );
}

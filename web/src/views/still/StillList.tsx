import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import List from "@mui/material/List";
import ListItemButton from "@mui/material/ListItemButton";
import Typography from "@mui/material/Typography";
import type { StillView } from "../../api/types.gen";
import { save } from "../../tools/handover/handover";
import { choose } from "../../tools/still/still";

/** All pictures of the space, the latest first. */
export function StillList({ stills, shown, space }: { stills: StillView[]; shown?: string; space: string }) {
  const made = stills.filter((s) => s.state === "made").length;
  return (
    <Box
      sx={{
        width: 250,
        flex: "none",
        display: "flex",
        flexDirection: "column",
        borderRight: 1,
        borderColor: "divider",
      }}
    >
      <List dense disablePadding aria-label="Stills that were asked for" sx={{ flex: 1, overflowY: "auto" }}>
        {stills.map((s) => (
          <ListItemButton
            key={s.id}
            data-still={s.id}
            selected={s.id === shown}
            onClick={() => choose(s.id)}
            sx={{ display: "block", px: 2, py: 0.75, borderBottom: 1, borderColor: "divider" }}
          >
            <Typography noWrap sx={{ fontSize: 13, fontWeight: 600 }}>
              {s.name}
            </Typography>
            <Typography variant="caption" color="text.secondary" component="div">
              {s.width} × {s.height}, {s.progress}
            </Typography>
            {s.state === "working" && (
              <LinearProgress
                variant="determinate"
                color="secondary"
                value={100 * s.share}
                aria-label={`How far ${s.name} is`}
                sx={{ mt: 0.5 }}
              />
            )}
          </ListItemButton>
        ))}
      </List>
      {made > 1 && (
        <Button size="small" sx={{ m: 1 }} onClick={() => save(`/api/spaces/${space}/stills.zip`, "")}>
          Save all {made}
        </Button>
      )}
    </Box>
  );
}

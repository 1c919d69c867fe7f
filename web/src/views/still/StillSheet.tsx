import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import Typography from "@mui/material/Typography";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { api } from "../../api/client";
import { useSheet } from "../../store/sheet";
import { closeStills, isUnderWay, useStills } from "../../tools/still/still";
import { StillAsking } from "./StillAsking";
import { StillList } from "./StillList";
import { StillPicture } from "./StillPicture";

/** How often one looks how far pictures are, ms. */
const LOOK = 700;

/** Finished pictures: asked for in a sentence, watched as they grow, kept, compared, saved. */
export function StillSheet() {
  const open = useStills((s) => s.open);
  return (
    <Dialog open={open} onClose={closeStills} maxWidth={false} aria-label="Stills">
      {open && <Sheet />}
    </Dialog>
  );
}

function Sheet() {
  const space = useSheet((s) => s.space)!;
  const chosen = useStills((s) => s.chosen);
  const failed = useStills((s) => s.failed);
  const client = useQueryClient();
  const { data, error } = useQuery({
    queryKey: ["stills", space.id, space.revision, chosen],
    queryFn: () => api.stills(space.id),
    placeholderData: (before) => before,
    staleTime: 0,
    refetchInterval: (q) => (q.state.data?.some(isUnderWay) ? LOOK : false),
  });
  const stills = data ?? [];
  const again = () => void client.invalidateQueries({ queryKey: ["stills", space.id] });
  const shown = stills.find((s) => s.id === chosen) ?? stills.at(0);
  return (
    <Box sx={{ width: 1180, height: 700, display: "flex", flexDirection: "column" }}>
      <Box sx={{ display: "flex", alignItems: "baseline", px: 2.5, pt: 1.75, pb: 0.75, gap: 2 }}>
        <Typography variant="h1" sx={{ flex: 1 }}>
          Stills of {space.name}
        </Typography>
        <Button onClick={closeStills}>Close</Button>
      </Box>
      <StillAsking />
      {failed && (
        <Typography role="alert" color="error" variant="body2" sx={{ px: 2.5, pb: 1 }}>
          {failed}
        </Typography>
      )}
      <Box sx={{ flex: 1, minHeight: 0, display: "flex", borderTop: 1, borderColor: "divider" }}>
        <StillList stills={stills} shown={shown?.id} space={space.id} />
        {shown ? (
          <StillPicture key={shown.id} still={shown} stills={stills} again={again} />
        ) : (
          <Typography color="text.secondary" sx={{ m: "auto", maxWidth: 380, textAlign: "center" }}>
            {data
              ? "No still yet. Say above what it shall be and make it: it begins to show within a second or two."
              : (error?.message ?? "Looking for its stills…")}
          </Typography>
        )}
      </Box>
    </Box>
  );
}

import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { small } from "../fields/small";
import { useSheet } from "../../store/sheet";
import { useSnags } from "../../store/useSnags";

/** So many lie in the tray by name. */
const SEEN = 4;

/** Pieces that lie outside of the space, gathered at the edge of the plan. */
export function Tray() {
  const { snags } = useSnags();
  const lost = [...new Map(snags.filter((s) => s.kind === "outside").map((s) => [s.piece, s])).keys()];
  const pieces = useSheet((s) => s.pieces);
  const there = lost.filter((id) => pieces.has(id));
  if (there.length === 0) return null;
  const { select, edit, look } = useSheet.getState();
  return (
    <Box
      data-testid="tray"
      role="group"
      aria-label="Outside of the space"
      onPointerDown={(e) => e.stopPropagation()}
      sx={{
        position: "absolute",
        left: 12,
        right: 64,
        bottom: 34,
        display: "flex",
        flexWrap: "wrap",
        alignItems: "center",
        gap: 0.75,
        px: 1,
        py: 0.5,
        bgcolor: "background.paper",
        border: 1,
        borderColor: "error.main",
        fontSize: 13,
        cursor: "default",
      }}
    >
      <b>{there.length} outside:</b>
      {there.slice(0, SEEN).map((id) => (
        <ButtonBase
          key={id}
          title="Select it and look at it"
          onClick={() => {
            select([id]);
            look("selection");
          }}
          sx={{ ...small, maxWidth: 150, overflow: "hidden", whiteSpace: "nowrap", textOverflow: "ellipsis" }}
        >
          {pieces.get(id)?.name}
        </ButtonBase>
      ))}
      {there.length > SEEN && (
        <ButtonBase onClick={() => select(there)} sx={small}>
          {there.length - SEEN} more
        </ButtonBase>
      )}
      <Box sx={{ flex: 1 }} />
      <ButtonBase
        onClick={() => void edit([{ do: "bringIn", pieces: there }])}
        sx={{ ...small, color: "primary.main" }}
      >
        Bring in
      </ButtonBase>
    </Box>
  );
}

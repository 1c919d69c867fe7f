import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import type { Piece, SpaceView } from "../../api/types.gen";
import { following } from "../../tools/select/stack";
import { canMove } from "../../store/learned";
import { reach } from "../fields/reach";
import { isLocked } from "../../store/kept";
import { useSheet } from "../../store/sheet";

const isLockedNow = (p: Piece | undefined, space: SpaceView | null) =>
  !!p && !!space && isLocked(p, space.filing);

/** How the selection is moved, until that is known; and what else lies where the last click took it. */
export function AlsoHere() {
  const selection = useSheet((s) => s.selection);
  const parts = useSheet((s) => s.parts);
  const here = useSheet((s) => s.here);
  const pieces = useSheet((s) => s.pieces);
  const others = here.filter((id) => !selection.includes(id) && pieces.has(id));
  const next = others.length > 0 ? following(pieces, here, selection[0]) : null;
  const locked = useSheet((s) => selection.some((id) => isLockedNow(s.pieces.get(id), s.space)));
  const it = selection.length === 1 ? "it" : "them";
  return (
    <Box component="span" data-testid="also-here" sx={{ color: "text.secondary" }}>
      {others.length > 0 && (
        <>
          {" "}
          Here also:{" "}
          {others.map((id, i) => (
            <span key={id}>
              {i > 0 && ", "}
              <ButtonBase
                onClick={() => {
                  useSheet.getState().select([id]);
                  useSheet.getState().lieHere(here);
                }}
                sx={{
                  ...reach,
                  font: "inherit",
                  textDecoration: "underline dotted",
                  textUnderlineOffset: 3,
                  verticalAlign: "baseline",
                }}
              >
                {pieces.get(id)!.name}
              </ButtonBase>
              {id === next && " (one more click)"}
            </span>
          ))}
          .
        </>
      )}
      {parts.length > 0 && !canMove() && (
        <> To move {selection.length + parts.length > 1 ? "them" : "it"}, drag.</>
      )}
      {parts.length === 0 && selection.length > 0 && !locked && !canMove() && (
        <>
          {" "}
          To move {it}, {next ? "drag" : "click once more"}, or press <b>Space</b>.
        </>
      )}
    </Box>
  );
}

import Box from "@mui/material/Box";
import type { CSSProperties } from "react";
import type { ReachView } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import { TypedField } from "../fields/TypedField";

/** The number on a reach line: click it and type another. */
export function ReachLabel({ reach, style }: { reach: ReachView; style?: CSSProperties }) {
  const piece = useSheet((s) => s.selection[0]);
  const inHand = useSheet((s) => s.hand !== null);
  return (
    <Box
      style={style}
      data-testid={"reach-" + reach.side}
      onPointerDown={(e) => e.stopPropagation()}
      onPointerUp={(e) => e.stopPropagation()}
      sx={{
        transform: "translate(-50%, -50%)",
        bgcolor: "background.paper",
        px: 0.5,
        fontSize: 12,
        lineHeight: "16px",
        color: "primary.main",
        whiteSpace: "nowrap",
        zIndex: 2,
        pointerEvents: inHand ? "none" : undefined,
      }}
    >
      {inHand ? (
        <b>{reach.text}</b>
      ) : (
        <TypedField
          text={reach.text}
          label={`Distance to ${reach.toName}`}
          colour="primary.main"
          onType={async (typed) =>
            (await useSheet
              .getState()
              .edit([{ do: "setDistance", piece, side: reach.side, distance: typed }])) !== null
          }
        />
      )}
    </Box>
  );
}

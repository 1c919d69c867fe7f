import Box from "@mui/material/Box";
import type { PointerEvent } from "react";
import type { HandlesTab } from "../../api/types.gen";
import { TypedField } from "../fields/TypedField";
import { useSheet } from "../../store/sheet";
import { holdNow, togetherNow } from "../../store/handling";

/** A tab on a side of what is sized: pull it, or click its number and type another. */
export function Tab({ tab, down }: { tab: HandlesTab; down: (e: PointerEvent) => void }) {
  const piece = useSheet((s) => s.selection.at(-1))!;
  const edit = useSheet((s) => s.edit);
  return (
    <Box
      data-testid={"tab-" + tab.side}
      title={`Pull its ${tab.called}, or type`}
      onPointerDown={down}
      onPointerUp={(e) => e.stopPropagation()}
      sx={{
        transform: "translate(-50%, -50%)",
        width: "max-content",
        minWidth: 24,
        height: 24,
        display: "flex",
        alignItems: "center",
        justifyContent: "center",
        px: 0.75,
        fontSize: 12,
        fontWeight: 600,
        whiteSpace: "nowrap",
        color: "secondary.dark",
        bgcolor: "background.paper",
        border: "2px solid",
        borderColor: "secondary.main",
        borderRadius: 0.5,
        cursor: "grab",
        touchAction: "none",
        zIndex: 3,
      }}
    >
      <TypedField
        text={tab.text}
        label={`${tab.slot[0].toUpperCase()}${tab.slot.slice(1)}, by its ${tab.side} side`}
        plain
        onType={async (typed) => {
          return (
            (await edit([
              {
                do: "size",
                pieces: [piece],
                size: { [tab.slot]: typed },
                hold: holdNow() ?? tab.hold,
                together: togetherNow(),
              },
            ])) !== null
          );
        }}
      />
      <Box component="span" sx={{ fontWeight: 400, ml: 0.5 }}>
        {tab.words}
      </Box>
    </Box>
  );
}

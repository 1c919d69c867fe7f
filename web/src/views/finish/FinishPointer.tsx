import Box from "@mui/material/Box";
import { useEffect, useState } from "react";
import {
  clickFinish,
  endFinishing,
  hideFinish,
  isFinishing,
  nowhere,
  overFinish,
  useFinishing,
} from "../../tools/finish/finish";
import { useSheet } from "../../store/sheet";
import { sightAt } from "../../tools/finish/sights";
import { Sample } from "./Sample";

/** Follows the pointer while a finish is in hand, or is to be taken up: says what it is over. */
export function FinishPointer() {
  const { mode, card, dragged, over } = useFinishing();
  const shown = useFinishing((s) => s.shown !== null);
  const selection = useSheet((s) => s.selection.join());
  const part = useSheet((s) => s.part);
  const space = useSheet((s) => s.space?.id);
  const [at, setAt] = useState<{ x: number; y: number } | null>(null);

  // what is selected next has a sentence of its own
  useEffect(() => hideFinish, [selection, part]);
  useEffect(() => endFinishing, [space]);

  useEffect(() => {
    if (!shown && mode === null) return;
    const key = (e: KeyboardEvent) => {
      if (e.key !== "Escape" || (e.target as Element).closest?.("input, [role=dialog], [role=menu]")) return;
      if (isFinishing()) endFinishing();
      else hideFinish();
      e.stopPropagation();
    };
    addEventListener("keydown", key, true);
    return () => removeEventListener("keydown", key, true);
  }, [shown, mode]);

  useEffect(() => {
    if (mode === null) return;
    const move = (e: PointerEvent) => {
      if (dragged && e.buttons === 0) {
        endFinishing();
        return;
      }
      setAt({ x: e.clientX, y: e.clientY });
      if (e.buttons !== 0 && !dragged) return; // the view is turned
      const sight = sightAt(e);
      if (sight) overFinish(sight);
      else nowhere();
    };
    const up = (e: PointerEvent) => {
      if (!dragged) return;
      const sight = sightAt(e);
      if (sight) void clickFinish(sight);
      else endFinishing();
      e.stopPropagation();
    };
    addEventListener("pointermove", move, true);
    addEventListener("pointerup", up, true);
    return () => {
      removeEventListener("pointermove", move, true);
      removeEventListener("pointerup", up, true);
      setAt(null);
    };
  }, [mode, dragged]);

  if (mode === null || !at) return null;
  return (
    <Box
      data-testid="finish-hand"
      sx={{
        position: "fixed",
        left: at.x + 14,
        top: at.y + 14,
        zIndex: 10,
        pointerEvents: "none",
        bgcolor: "background.paper",
        border: 1,
        borderColor: "text.secondary",
        px: 0.75,
        py: 0.25,
        fontSize: 12,
        display: "flex",
        gap: 0.75,
        alignItems: "center",
        maxWidth: 280,
      }}
    >
      {mode === "give" && card && <Sample card={card} size={18} />}
      <span>{over?.title ? (mode === "take" ? `${over.title}: ${over.card?.words}` : over.title) : "…"}</span>
    </Box>
  );
}

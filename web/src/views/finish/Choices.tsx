import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import type { FinishCard } from "../../api/types.gen";
import { give, giveTo, useFinishing } from "../../tools/finish/finish";
import { Sample } from "./Sample";

/** It is for the part of which the caption speaks, or else in hand. */
export function chosen(card: FinishCard) {
  const { shown, mode } = useFinishing.getState();
  if (shown && mode === null) void giveTo(shown.target, card, shown.before);
  else give(card);
}

/** A click chooses it; pressed and moved it is dragged, however quickly the pointer leaves it. */
function useTaken(card: FinishCard) {
  return {
    onClick: () => chosen(card),
    onPointerDown: (e: React.PointerEvent) => {
      const { clientX: x, clientY: y } = e;
      e.currentTarget.releasePointerCapture?.(e.pointerId);
      const end = () => {
        removeEventListener("pointermove", move, true);
        removeEventListener("pointerup", end, true);
      };
      const move = (to: PointerEvent) => {
        if (to.buttons !== 1) end();
        else if (Math.hypot(to.clientX - x, to.clientY - y) > 4) {
          end();
          give(card, true);
        }
      };
      addEventListener("pointermove", move, true);
      addEventListener("pointerup", end, true);
    },
    onDragStart: (e: React.DragEvent) => e.preventDefault(),
  };
}

/** A material with its name. */
export function Choice({ card, name }: { card: FinishCard; name: string }) {
  const inHand = useFinishing((s) => s.card === card);
  return (
    <ButtonBase
      role="listitem"
      data-finish={card.finish.material}
      aria-label={name}
      title={card.words}
      {...useTaken(card)}
      sx={{
        display: "block",
        textAlign: "left",
        cursor: "grab",
        touchAction: "pan-y",
        outline: inHand ? (t) => `2px solid ${t.palette.secondary.main}` : undefined,
        outlineOffset: 1,
        contentVisibility: "auto",
      }}
    >
      <Sample card={card} height={52} />
      <Typography component="span" sx={{ display: "block", fontSize: 12, lineHeight: "14px", mt: 0.25 }}>
        {name}
      </Typography>
    </ButtonBase>
  );
}

/** Choices beside one another. */
export function Choices({ children }: { children: React.ReactNode }) {
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: "repeat(3, minmax(0, 1fr))",
        gap: 1,
        alignItems: "start",
      }}
    >
      {children}
    </Box>
  );
}

/** Finishes as small squares, their words in a hint. */
export function Chips({ cards, named = false }: { cards: FinishCard[]; named?: boolean }) {
  return (
    <Box sx={{ display: "flex", flexWrap: "wrap", gap: "3px" }}>
      {cards.map((c) => (
        <Chip key={JSON.stringify(c.finish)} card={c} named={named} />
      ))}
    </Box>
  );
}

function Chip({ card, named }: { card: FinishCard; named: boolean }) {
  return (
    <ButtonBase
      role="listitem"
      aria-label={card.words}
      title={card.words}
      {...useTaken(card)}
      sx={{
        cursor: "grab",
        gap: 0.5,
        pr: named ? 1 : 0,
        fontSize: 12,
        "&:focus-visible": { outline: "2px solid" },
      }}
    >
      <Sample card={card} size={25} />
      {named && card.words}
    </ButtonBase>
  );
}

export function Shelf({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <>
      <Typography variant="caption" color="text.secondary" sx={{ display: "block", pt: 1.25, pb: 0.5 }}>
        {title}
      </Typography>
      {children}
    </>
  );
}

import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { api, type EditDraft } from "../api/client";
import type { Phrase } from "../api/types.gen";
import { useSheet } from "../state/sheet";
import { Swatch } from "./Swatch";
import { TypedField } from "./TypedField";

/** The sentence that states what is selected, how large and where. Core writes it; it takes numbers. */
export function Caption() {
  const space = useSheet((s) => s.space)!;
  const selection = useSheet((s) => s.selection);
  const unit = useSheet((s) => s.unit);
  const placing = useSheet((s) => s.placing);
  const hand = useSheet((s) => s.hand);
  const caption = useQuery({
    queryKey: ["caption", space.id, space.revision, selection, unit],
    queryFn: () => api.caption(space.id, selection, unit),
    placeholderData: (before) => before,
    retry: false,
  });
  return (
    <Box
      component="footer"
      aria-label="Caption"
      data-testid="caption"
      sx={{
        borderTop: 1,
        borderColor: "divider",
        bgcolor: "background.paper",
        px: 2,
        display: "flex",
        alignItems: "center",
        opacity: caption.isPlaceholderData ? 0.55 : 1, // what is out of date is not shown as true
      }}
    >
      {hand ? (
        <Typography
          component="div"
          sx={{ fontSize: 15, lineHeight: "24px", maxHeight: 56, overflow: "hidden" }}
        >
          {placing && <Hint />}
          {hand.caption.map(
            (p, i) => p.kind !== "swatch" && (p.kind === "text" ? p.text : <b key={i}>{p.text}</b>),
          )}
        </Typography>
      ) : placing ? (
        <Typography>
          <b>{placing.article.name}</b>, {placing.article.sizeText}. <Hint />
        </Typography>
      ) : (
        <Typography
          component="div"
          sx={{ fontSize: 15, lineHeight: "24px", maxHeight: 56, overflowY: "auto" }}
        >
          {caption.data?.phrases.map((p, i) => (
            <Part key={p.kind + i} phrase={p} />
          ))}
        </Typography>
      )}
    </Box>
  );
}

/** What can be done with an article in hand. */
function Hint() {
  return (
    <Box component="span" sx={{ color: "text.secondary" }}>
      In hand: click to set it down, with Shift to keep more; <b>T</b> turns it, <b>Esc</b> puts it back.{" "}
    </Box>
  );
}

/** The edit with the typed text put where it belongs. */
export function filled(edit: Record<string, unknown>, slot: string, value: unknown): EditDraft {
  const copy = structuredClone(edit);
  const names = slot.split(".");
  let at = copy;
  for (const name of names.slice(0, -1)) at = (at[name] ??= {}) as Record<string, unknown>;
  at[names[names.length - 1]] = value;
  return copy as EditDraft;
}

function Part({ phrase }: { phrase: Phrase }) {
  const { edit, select } = useSheet.getState();
  switch (phrase.kind) {
    case "field":
      return (
        <TypedField
          text={phrase.text}
          label={phrase.label}
          onType={async (typed) => (await edit([filled(phrase.edit, phrase.slot, typed)])) !== null}
        />
      );
    case "swatch":
      return (
        <Swatch
          name={phrase.text}
          colour={phrase.colour}
          onChoose={(colour) => void edit([filled(phrase.edit, phrase.slot, colour)])}
        />
      );
    case "word":
      return phrase.piece ? (
        <ButtonBase
          onClick={() => select([phrase.piece])}
          sx={{
            fontWeight: 600,
            font: "inherit",
            textDecoration: "underline dotted",
            textUnderlineOffset: 3,
          }}
        >
          <b>{phrase.text}</b>
        </ButtonBase>
      ) : (
        <b>{phrase.text}</b>
      );
    default:
      return <span>{phrase.text}</span>;
  }
}

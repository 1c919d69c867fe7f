import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { api } from "../../api/client";
import type { FinishView } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import { useFinishing } from "../../tools/finish/finish";
import { Fresh } from "../fields/fresh";
import { THREE_LINES } from "../fields/threeLines";
import { Sample } from "../finish/Sample";
import { Phrases } from "./PhraseParts";

/** What is in hand, and what the part is made of that was given it: core's sentence, with blanks. */
export function FinishCaption() {
  const space = useSheet((s) => s.space)!;
  const unit = useSheet((s) => s.unit);
  const { mode, card, over, shown } = useFinishing();
  const client = useQueryClient();
  const query = {
    queryKey: ["finish", space.id, space.revision, shown, unit],
    queryFn: () => api.finishCaption(space.id, { ...shown!, unit }),
    enabled: shown !== null,
    retry: false as const,
  };
  const view = useQuery({ ...query, placeholderData: (before?: FinishView) => before });
  const fresh = async () => (await client.ensureQueryData(query)).phrases;
  return (
    <Typography component="div" data-testid="finish-caption" sx={THREE_LINES}>
      {mode === "take" && (
        <>
          <b>Take a finish up</b>: click the part that has it. {over?.title && <>Here is {over.title}. </>}
        </>
      )}
      {mode === "give" && card && (
        <>
          <Sample card={card} size={16} /> <b>{card.words}</b> in hand
          {over?.title ? <>: for {over.title.charAt(0).toLowerCase() + over.title.slice(1)}</> : ""}.{" "}
        </>
      )}
      {shown && view.data && (
        <Fresh key={JSON.stringify(shown.target)} value={fresh}>
          <Phrases phrases={view.data.phrases} />
        </Fresh>
      )}
      {view.isError && <>{view.error.message} </>}
      <Box component="span" sx={{ color: "text.secondary" }}>
        {" "}
        <b>Esc</b> {mode ? "puts it away" : "closes this"}.
      </Box>
    </Typography>
  );
}

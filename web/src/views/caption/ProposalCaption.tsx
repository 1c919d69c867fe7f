import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useMemo } from "react";
import { THREE_LINES } from "../fields/threeLines";
import { Doing } from "../fields/doing";
import { Phrases } from "./PhraseParts";
import { reach } from "../fields/reach";
import { SayField } from "./SayField";
import { drop, propose, take, takeBack, takeOffer, useProposal } from "../../tools/propose/proposal";

/** What is proposed, in words that can be typed and chosen; it is done when one says so. */
export function ProposalCaption() {
  const { answer, text, fresh, begun } = useProposal();
  const doing = useMemo(
    () => ({
      edit: (edit: Parameters<typeof propose>[0]) => {
        propose(edit);
        return Promise.resolve(true);
      },
      enter: () => void take(),
      giveUp: drop,
      live: propose,
      // a verb begins with its first number open
      first: begun,
    }),
    [begun],
  );
  const wrong = answer?.refused ?? (text === null || text.trim() === "" ? undefined : answer?.wrong);
  const ready = answer !== null && answer.edits.length > 0 && !answer.refused && !wrong;
  // a word that is not typed to its end yet is nothing wrong
  const goesOn = !answer?.refused && (answer?.next.some((n) => n.literal) ?? false);
  return (
    <Typography
      component="div"
      data-testid="proposal"
      data-fresh={fresh || undefined}
      data-ready={ready || undefined}
      sx={{ ...THREE_LINES, flex: 1 }}
    >
      {text !== null && <SayField />}
      {answer && answer.words.length > 0 && (
        <Box
          component="span"
          data-testid="proposed"
          sx={text === null || wrong ? undefined : { color: "success.dark" }}
        >
          {text === null ? (
            <Doing.Provider value={doing}>
              <Phrases phrases={answer.words} />
            </Doing.Provider>
          ) : (
            answer.words.map((p) => (p.kind === "more" ? "" : p.text)).join("")
          )}
        </Box>
      )}
      {answer && ready && (
        <Box component="span" data-testid="would" sx={{ color: "success.dark", fontWeight: 600 }}>
          {answer.said.join(" ")}{" "}
        </Box>
      )}
      {wrong && answer?.wanting && (
        <Box component="span" data-testid="wanting" sx={{ color: "secondary.main", fontWeight: 600 }}>
          {wrong}{" "}
        </Box>
      )}
      {wrong && !answer?.wanting && (
        <Box
          component="span"
          role={goesOn ? undefined : "alert"}
          sx={goesOn ? { color: "text.secondary" } : { color: "error.main", fontWeight: 600 }}
        >
          {wrong}{" "}
        </Box>
      )}
      {answer?.offers.map((o) => (
        <Press key={o.words} words={o.words} does={() => takeOffer(o)} />
      ))}
      {ready && <Press words="Do it" does={() => void take()} />}
      {answer?.pointing?.back && <Press words="Take back the point" does={takeBack} />}
      <Press words="Give up" does={drop} />
      <Box component="span" sx={{ color: "text.secondary" }}>
        <b>Enter</b> does it, <b>Esc</b> gives up.{" "}
        {text === null && !answer?.wanting && answer?.pointing?.hint}
      </Box>
    </Typography>
  );
}

function Press({ words, does }: { words: string; does: () => void }) {
  return (
    <ButtonBase
      onClick={does}
      sx={{
        ...reach,
        font: "inherit",
        color: "primary.main",
        border: 1,
        borderColor: "divider",
        borderRadius: 0.75,
        px: 0.75,
        mr: 0.5,
        lineHeight: "17px",
        verticalAlign: "baseline",
        "&:hover, &:focus-visible": { borderColor: "primary.main", bgcolor: "background.default" },
      }}
    >
      {words}
    </ButtonBase>
  );
}

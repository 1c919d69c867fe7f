import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { TypedField } from "../fields/TypedField";
import { answer, unask, useQuestion } from "../../tools/aim/question";

/** What is asked before something is done. */
export function QuestionCaption() {
  const asked = useQuestion((s) => s.asked);
  if (!asked) return null;
  return (
    <Typography component="div" data-testid="question" sx={{ fontSize: 15, lineHeight: "24px" }}>
      {asked.words}:{" "}
      <TypedField text={asked.text} label={asked.label} opened onType={answer} onClose={unask} />{" "}
      <Box component="span" sx={{ color: "text.secondary" }}>
        <b>Enter</b> does it, <b>Esc</b> gives up.
      </Box>
    </Typography>
  );
}

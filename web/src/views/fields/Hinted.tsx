import Tooltip from "@mui/material/Tooltip";
import { hinted } from "./ownWords";

/** A text in which the words of Pied's own say what they mean, on hover and on a long press. */
export function Hinted({ text }: { text: string }) {
  return hinted(text).map(({ text: part, means }, i) =>
    means === null ? (
      <span key={i}>{part}</span>
    ) : (
      <Tooltip key={i} title={means}>
        <span style={{ textDecoration: "underline dotted 1px", textUnderlineOffset: 3, cursor: "help" }}>
          {part}
        </span>
      </Tooltip>
    ),
  );
}

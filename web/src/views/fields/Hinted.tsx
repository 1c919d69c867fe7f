import Tooltip from "@mui/material/Tooltip";
import { OwnFigure } from "./ownFigures";
import { hinted } from "./ownWords";

/** A text in which the words of Pied's own say what they mean, on hover and on a long press. */
export function Hinted({ text }: { text: string }) {
  return hinted(text).map(({ text: part, means, figure }, i) =>
    means === null ? (
      <span key={i}>{part}</span>
    ) : (
      <Tooltip
        key={i}
        title={
          <>
            {figure && <OwnFigure of={figure} />}
            {means}
          </>
        }
      >
        <span style={{ textDecoration: "underline dotted 1px", textUnderlineOffset: 3, cursor: "help" }}>
          {part}
        </span>
      </Tooltip>
    ),
  );
}

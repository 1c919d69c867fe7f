/**
 * Three lines fit, with what takes clicks a little beyond them; what is longer is scrolled. Swatches and what
 * is pressed are no higher than a line.
 */
export const THREE_LINES = {
  fontSize: 15,
  lineHeight: "19px",
  maxHeight: 64,
  py: "3px",
  overflowY: "auto",
  overflowX: "hidden",
} as const;

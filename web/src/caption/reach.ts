/** A word or a number in a sentence takes clicks a little beyond its letters, at least 24 pixels high. */
export const reach = {
  position: "relative",
  "&::after": { content: '""', position: "absolute", inset: "-3px -4.5px", minWidth: 24 },
} as const;

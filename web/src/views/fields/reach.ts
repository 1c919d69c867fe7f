/** A word or a number in a sentence takes clicks a little beyond its letters, at least 24 pixels high. */
export const reach = {
  position: "relative",
  // letters of a size take 1.2 of it in height at least, and what reaches farther than it must makes lines scroll
  "&::after": { content: '""', position: "absolute", inset: "calc(0.6em - 12px) -4.5px", minWidth: 24 },
} as const;

/** How small buttons in a row look. */
export const small = {
  fontSize: 12,
  lineHeight: "22px",
  px: 0.75,
  border: 1,
  borderColor: "divider",
  borderRadius: 0.5,
  "&:hover, &:focus-visible": { borderColor: "primary.main" },
};

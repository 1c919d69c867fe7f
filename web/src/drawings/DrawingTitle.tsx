import Typography from "@mui/material/Typography";

export function DrawingTitle({ text }: { text: string }) {
  return (
    <Typography
      variant="caption"
      sx={{
        position: "absolute",
        left: 10,
        top: 6,
        zIndex: 2,
        color: "text.secondary",
        pointerEvents: "none",
      }}
    >
      {text}
    </Typography>
  );
}

import Box from "@mui/material/Box";
import type { FinishCard } from "../../api/types.gen";

/** What a finish looks like, in a small square or as wide as there is room. */
export function Sample({
  card,
  size,
  height,
}: {
  card: Pick<FinishCard, "appearance" | "sample">;
  size?: number;
  height?: number;
}) {
  const { colour, metal, roughness, clearCoat, transmission, transparency } = card.appearance;
  const shiny = Math.max(metal, clearCoat, transmission) > 0 && roughness < 0.5;
  const clear = Math.max(transparency, transmission * 0.6);
  return (
    <Box
      component="span"
      aria-hidden
      sx={{
        display: "inline-block",
        verticalAlign: "middle",
        width: size ?? "100%",
        height: height ?? size,
        border: 1,
        borderColor: "divider",
        backgroundColor: colour,
        backgroundImage: [
          shiny && "linear-gradient(125deg, rgba(255,255,255,.55) 8%, transparent 34%, rgba(0,0,0,.18) 100%)",
          clear > 0.2 &&
            `repeating-conic-gradient(rgba(255,255,255,${clear * 0.7}) 0 25%, transparent 0 50%)`,
          card.sample && `url(/api/${card.sample})`,
        ]
          .filter(Boolean)
          .join(", "),
        backgroundSize: [shiny && "100% 100%", clear > 0.2 && "10px 10px", card.sample && "cover"]
          .filter(Boolean)
          .join(", "),
      }}
    />
  );
}

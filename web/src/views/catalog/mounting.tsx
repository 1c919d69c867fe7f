import { useTheme } from "@mui/material/styles";
import type { ArticleCard, Mounting } from "../../api/types.gen";

const MOUNTING = { stands: "stands", wall: "on a wall", hangs: "hangs", opening: "in an opening" };

export function mountingWords(a: ArticleCard): string {
  return a.mounting === "stands" && a.standsOn.includes("tops") ? "stands on tops" : MOUNTING[a.mounting];
}

/** A block and what holds it: the floor, a wall, a ceiling, an opening around it. */
const SIGNS: Record<Mounting, { block: string; holds: string }> = {
  stands: { block: "M3 4H9V10H3Z", holds: "M0 10.5H12" },
  wall: { block: "M1 3H7V9H1Z", holds: "M0.5 0V12" },
  hangs: { block: "M3 5H9V11H3Z", holds: "M0 0.5H12M6 0.5V5" },
  opening: { block: "M4 3H8V12H4Z", holds: "M0.5 12V0.5H11.5V12" },
};

/** A small sign for how an article is mounted. */
export function MountingSign({ article }: { article: ArticleCard }) {
  const { palette } = useTheme();
  const sign = SIGNS[article.mounting];
  return (
    <svg width={12} height={12} style={{ flex: "none" }} role="img" aria-label={mountingWords(article)}>
      <title>{mountingWords(article)}</title>
      <path d={sign.block} fill={palette.divider} stroke={palette.text.secondary} strokeWidth={0.75} />
      <path d={sign.holds} fill="none" stroke={palette.text.primary} strokeWidth={1.25} />
    </svg>
  );
}

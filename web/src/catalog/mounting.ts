import type { ArticleCard } from "../api/types.gen";

const MOUNTING = { stands: "stands", wall: "on a wall", hangs: "hangs", opening: "in an opening" };

export function mountingWords(a: ArticleCard): string {
  return a.mounting === "stands" && a.standsOn.includes("tops") ? "stands on tops" : MOUNTING[a.mounting];
}

import Box from "@mui/material/Box";
import Chip from "@mui/material/Chip";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { api } from "../api/client";
import type { ArticleCard } from "../api/types.gen";
import { useSheet } from "../state/sheet";
import { Silhouette } from "./Silhouette";

export const SEARCH_ID = "catalog-search";

/** All one can place: search, kinds, and cards drawn to one scale. */
export function Catalog() {
  const [text, setText] = useState("");
  const [kind, setKind] = useState("");
  const unit = useSheet((s) => s.unit);
  const list = useRef<HTMLDivElement>(null);
  const page = useQuery({
    queryKey: ["catalog", text, kind, unit],
    queryFn: () => api.catalog(text, kind, unit),
    placeholderData: (before) => before,
  });
  const articles = page.data?.articles ?? [];
  const focusCard = (i: number) =>
    (list.current?.querySelectorAll("[role=option]")[i] as HTMLElement)?.focus();
  return (
    <>
      <Box sx={{ px: 1.5, pb: 1 }}>
        <InputBase
          id={SEARCH_ID}
          fullWidth
          placeholder="Search ( / )"
          inputProps={{ "aria-label": "Search the catalog" }}
          value={text}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === "ArrowDown" || e.key === "Enter") {
              e.preventDefault();
              focusCard(0);
            } else if (e.key === "Escape") {
              setText("");
              e.currentTarget.querySelector("input")?.blur();
            }
          }}
          sx={{ bgcolor: "background.paper", border: 1, borderColor: "divider", px: 1, fontSize: 13 }}
        />
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 0.75 }}>
          {page.data?.kinds.map((k) => (
            <Chip
              key={k.kind}
              size="small"
              variant={k.kind === kind ? "filled" : "outlined"}
              label={`${k.kind} ${k.count}`}
              onClick={() => setKind(k.kind === kind ? "" : k.kind)}
              sx={{ fontSize: 12, height: 20, borderRadius: 0.5, "& .MuiChip-label": { px: 0.75 } }}
            />
          ))}
        </Box>
      </Box>
      <Box
        ref={list}
        role="listbox"
        aria-label="Articles"
        sx={{ flex: 1, overflowY: "auto", borderTop: 1, borderColor: "divider" }}
      >
        {articles.map((a, i) => (
          <Card key={a.id} article={a} onNext={(step) => focusCard(i + step)} />
        ))}
        {page.isSuccess && articles.length === 0 && (
          <Typography variant="body2" color="text.secondary" sx={{ p: 2 }}>
            Nothing in the catalog goes by “{text}”{kind && ` among ${kind}`}. Try a shorter or plainer word,
            such as “lamp” or “table”.
          </Typography>
        )}
        {page.isError && (
          <Typography variant="body2" color="error" sx={{ p: 2 }}>
            The catalog could not be read: {page.error.message}
          </Typography>
        )}
      </Box>
    </>
  );
}

const MOUNTING = { stands: "stands", wall: "on a wall", hangs: "hangs" };

function Card({ article, onNext }: { article: ArticleCard; onNext: (step: number) => void }) {
  const inHand = useSheet((s) => s.placing?.article.id === article.id);
  const take = () => useSheet.getState().place({ article, turn: 0 });
  const start = useRef<{ x: number; y: number } | null>(null);
  const mounting =
    article.mounting === "stands" && article.standsOn.includes("tops")
      ? "stands on tops"
      : MOUNTING[article.mounting];
  return (
    <Box
      role="option"
      aria-selected={inHand}
      aria-label={`${article.name}, ${article.sizeText}, ${mounting}`}
      title={article.about || undefined}
      tabIndex={0}
      data-article={article.id}
      onKeyDown={(e) => {
        if (e.key === "Enter") {
          e.preventDefault();
          take();
        } else if (e.key === "ArrowDown" || e.key === "ArrowUp") {
          e.preventDefault();
          e.stopPropagation();
          onNext(e.key === "ArrowDown" ? 1 : -1);
        }
      }}
      onClick={take}
      onPointerDown={(e) => {
        // dragged out of the catalog: in hand as soon as the pointer has moved a little
        start.current = { x: e.clientX, y: e.clientY };
        e.currentTarget.releasePointerCapture?.(e.pointerId);
      }}
      onPointerMove={(e) => {
        const s = start.current;
        if (s && e.buttons === 1 && Math.hypot(e.clientX - s.x, e.clientY - s.y) > 4) {
          start.current = null;
          take();
        }
      }}
      onDragStart={(e) => e.preventDefault()}
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 0.5,
        px: 1,
        py: 0.25,
        borderBottom: 1,
        borderColor: "divider",
        cursor: "grab",
        userSelect: "none",
        touchAction: "pan-y",
        bgcolor: inHand ? "background.paper" : undefined,
        boxShadow: inHand ? (t) => `inset 3px 0 ${t.palette.secondary.main}` : undefined,
        "&:hover": { bgcolor: "background.paper" },
        "&:focus-visible": { outline: (t) => `2px solid ${t.palette.primary.main}`, outlineOffset: -2 },
      }}
    >
      <Silhouette article={article} />
      <Box sx={{ minWidth: 0 }}>
        <Typography variant="body2" sx={{ fontWeight: 600, lineHeight: 1.25 }}>
          {article.name}
        </Typography>
        <Typography variant="caption" sx={{ display: "block", lineHeight: 1.35, whiteSpace: "nowrap" }}>
          {article.sizeText}
        </Typography>
        <Typography variant="caption" color="text.secondary" sx={{ display: "block", lineHeight: 1.35 }}>
          {mounting}
        </Typography>
      </Box>
    </Box>
  );
}

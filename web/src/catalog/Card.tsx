import { mountingWords } from "./mounting";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import type { ArticleCard } from "../api/types.gen";
import { note, useShelf } from "./shelf";
import { useSheet } from "../space/sheet";
import { Preview } from "./Preview";
import { Silhouette } from "./Silhouette";

/** How long the pointer rests on a card before it is looked at closely, ms. */
const REST = 700;

export function Card({ article, onNext }: { article: ArticleCard; onNext: (step: number) => void }) {
  const inHand = useSheet((s) => s.placing?.article.id === article.id);
  const favourite = useShelf((s) => s.favourites.includes(article.id));
  const [near, setNear] = useState<HTMLElement | null>(null);
  const rest = useRef(0);
  const take = () => {
    clearTimeout(rest.current);
    setNear(null);
    note(article.id);
    useSheet.getState().place({ article, turn: 0 });
  };
  const start = useRef<{ x: number; y: number } | null>(null);
  const mounting = mountingWords(article);
  useEffect(() => () => clearTimeout(rest.current), []);
  return (
    <Box
      role="option"
      aria-selected={inHand}
      aria-label={`${article.name}, ${article.sizeText}, ${mounting}`}
      tabIndex={0}
      data-article={article.id}
      onKeyDown={(e) => {
        if (e.key === "Enter") {
          e.preventDefault();
          take();
        } else if (e.key === " ") {
          e.preventDefault();
          setNear(near ? null : e.currentTarget);
        } else if (e.key === "Escape" && near) {
          e.stopPropagation();
          setNear(null);
        } else if (e.key === "ArrowDown" || e.key === "ArrowUp") {
          e.preventDefault();
          e.stopPropagation();
          setNear(null);
          onNext(e.key === "ArrowDown" ? 1 : -1);
        }
      }}
      onBlur={() => setNear(null)}
      onClick={take}
      onPointerEnter={(e) => {
        const card = e.currentTarget;
        if (e.pointerType === "mouse" && e.buttons === 0 && !useSheet.getState().placing)
          rest.current = window.setTimeout(() => setNear(card), REST);
      }}
      onPointerLeave={() => {
        clearTimeout(rest.current);
        setNear(null);
      }}
      onPointerDown={(e) => {
        // dragged out of the catalog: in hand as soon as the pointer has moved a little
        clearTimeout(rest.current);
        setNear(null);
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
        position: "relative",
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
        contentVisibility: "auto",
        containIntrinsicHeight: "93px",
        bgcolor: inHand ? "background.paper" : undefined,
        boxShadow: inHand ? (t) => `inset 3px 0 ${t.palette.secondary.main}` : undefined,
        "&:hover": { bgcolor: "background.paper" },
        "&:hover .star, &:focus-within .star": { opacity: 1 },
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
      <ButtonBase
        className="star"
        aria-label={(favourite ? "Off the shelf: " : "Keep at hand: ") + article.name}
        aria-pressed={favourite}
        title={favourite ? "Off the shelf at hand" : "Keep at hand"}
        onClick={(e) => {
          e.stopPropagation();
          useShelf.getState().toggle(article.id);
        }}
        onPointerDown={(e) => e.stopPropagation()}
        sx={{
          position: "absolute",
          right: 6,
          top: 4,
          width: 20,
          height: 20,
          fontSize: 12,
          opacity: favourite ? 1 : 0,
          color: favourite ? "secondary.main" : "text.secondary",
          "&:focus-visible": { opacity: 1 },
        }}
      >
        {favourite ? "●" : "○"}
      </ButtonBase>
      {near && <Preview article={article} anchor={near} />}
    </Box>
  );
}

import { MountingSign } from "./mounting";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import type { ArticleCard } from "../../api/types.gen";
import { useShelf } from "../../store/shelf";
import { useSheet } from "../../store/sheet";
import { choose } from "../../tools/exchange/exchange";
import { CardMenu } from "./CardMenu";
import { Preview } from "./Preview";
import { Silhouette } from "./Silhouette";

/** How long the pointer rests on a card before it is looked at closely, ms. */
const REST = 700;

/** From card to card, two in a row. */
const STEPS: Record<string, number> = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: 2, ArrowUp: -2 };

export function Card({ article, onNext }: { article: ArticleCard; onNext: (step: number) => void }) {
  const inHand = useSheet((s) => s.placing?.article.id === article.id);
  const [near, setNear] = useState<HTMLElement | null>(null);
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const rest = useRef(0);
  const take = () => {
    clearTimeout(rest.current);
    setNear(null);
    // where it takes the place of something the next Enter does that, and does not choose it once more
    if (choose(article) && document.activeElement instanceof HTMLElement) document.activeElement.blur();
  };
  const start = useRef<{ x: number; y: number } | null>(null);
  useEffect(() => () => clearTimeout(rest.current), []);
  return (
    <Box
      role="listitem"
      aria-current={inHand || undefined}
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
        } else if (STEPS[e.key]) {
          e.preventDefault();
          e.stopPropagation();
          setNear(null);
          onNext(STEPS[e.key]);
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
      onContextMenu={(e) => {
        // the card's own verbs: what is selected stays so
        e.preventDefault();
        e.stopPropagation();
        clearTimeout(rest.current);
        setNear(null);
        setMenu(e.currentTarget);
      }}
      sx={{
        position: "relative",
        minHeight: 80,
        px: 0.5,
        minWidth: 0,
        overflow: "hidden",
        borderBottom: 1,
        borderRight: 1,
        borderColor: "divider",
        cursor: "grab",
        userSelect: "none",
        touchAction: "pan-y",
        contentVisibility: "auto",
        containIntrinsicHeight: "80px",
        bgcolor: inHand ? "background.paper" : undefined,
        boxShadow: inHand ? (t) => `inset 3px 0 ${t.palette.secondary.main}` : undefined,
        "&:hover": { bgcolor: "background.paper" },
        "&:hover .star, &:focus-within .star": { opacity: 1 },
        "&:focus-visible": { outline: (t) => `2px solid ${t.palette.primary.main}`, outlineOffset: -2 },
      }}
    >
      <Silhouette article={article} />
      <Box sx={{ display: "flex", alignItems: "center", gap: 0.5 }}>
        <Typography
          noWrap
          title={article.name}
          sx={{ flex: 1, minWidth: 0, fontSize: 12, fontWeight: 600, lineHeight: "15px" }}
        >
          {article.name}
        </Typography>
        <MountingSign article={article} />
      </Box>
      {/* sizes are never cut off: what is long, such as feet and inches, goes over two lines */}
      <Typography
        data-testid="card-size"
        color="text.secondary"
        sx={{ fontSize: 12, lineHeight: "15px", letterSpacing: "-0.01em" }}
      >
        {article.sizeText}
      </Typography>
      <Star article={article} />
      {near && <Preview article={article} anchor={near} />}
      {menu && (
        <CardMenu
          article={article}
          anchor={menu}
          onLook={() => setNear(menu)}
          onClose={() => setMenu(null)}
        />
      )}
    </Box>
  );
}

/** Keeps an article at hand, or does so no longer. */
function Star({ article }: { article: ArticleCard }) {
  const favourite = useShelf((s) => s.favourites.includes(article.id));
  return (
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
        right: 0,
        top: 0,
        width: 24,
        height: 24,
        fontSize: 12,
        opacity: favourite ? 1 : 0,
        color: favourite ? "secondary.main" : "text.secondary",
        "&:focus-visible": { opacity: 1 },
      }}
    >
      {favourite ? "●" : "○"}
    </ButtonBase>
  );
}

import { useTheme } from "@mui/material/styles";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState, type RefObject } from "react";
import { api } from "../../api/client";
import type { ArticleCard, LineDrawing, Size } from "../../api/types.gen";
import { ring } from "../paper/paths";

const WIDTH = 116;
const HEIGHT = 48;
/** One scale for all cards, pixels a metre, so that sizes can be compared. */
const SCALE = 18;
const FIGURE: Size = { width: 0.5, depth: 0.3, height: 1.75 };
/** Smaller things are drawn once more, so many times larger. */
const SMALL = 0.4;

/** Whether something has come into sight; lines are fetched only then. */
function useSeen(): [RefObject<SVGSVGElement | null>, boolean] {
  const ref = useRef<SVGSVGElement>(null);
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    const watch = new IntersectionObserver(
      ([e]) => {
        if (e.isIntersecting) {
          setSeen(true);
          watch.disconnect();
        }
      },
      { rootMargin: "200px" },
    );
    watch.observe(ref.current!);
    return () => watch.disconnect();
  }, []);
  return [ref, seen];
}

/** The lines of an article from the front, fetched once for all who draw it. */
export function useFront(article: string, size: Size, enabled: boolean) {
  return useQuery({
    enabled,
    queryKey: ["lines", article, size.width, size.depth, size.height, "front"],
    queryFn: () => api.lines({ article, size }, 0),
  }).data;
}

/** An article in line, from the front, beside the standing figure. */
export function Silhouette({ article }: { article: ArticleCard }) {
  const { palette } = useTheme();
  const [ref, seen] = useSeen();
  const lines = useFront(article.id, article.size, seen);
  const figure = useFront("standing-figure", FIGURE, seen);
  const { width, height } = article.size;
  const ground = HEIGHT - 4;
  const largest = Math.max(width, height);
  const factor = largest < SMALL ? Math.floor(26 / (largest * SCALE)) : 0;
  const up = Math.max(0, article.shownAt);
  // what has no room is drawn so many times smaller, and the figure beside it with it
  const room = Math.max((width * SCALE) / (WIDTH - 26), ((up + height) * SCALE) / (ground - 2), 1);
  const less = room > 1.02 ? Math.ceil(room) : 1;
  const scale = SCALE / less;
  const left = 12;
  const x = left + 6 / less + (width * scale) / 2;
  return (
    <svg ref={ref} width={WIDTH} height={HEIGHT} aria-hidden style={{ display: "block" }}>
      <line x1={4} x2={WIDTH - 2} y1={ground} y2={ground} stroke={palette.divider} />
      {figure && (
        <Drawn
          lines={figure}
          x={left - 4}
          y={ground}
          scale={scale}
          stroke={palette.divider}
          fill="none"
          plain
        />
      )}
      {lines && (
        <Drawn
          lines={lines}
          x={x}
          y={ground - up * scale}
          scale={scale}
          stroke={palette.text.primary}
          fill={palette.background.paper}
          plain={factor > 0}
        />
      )}
      {lines && less > 1 && (
        <text x={WIDTH - 2} y={12} fontSize={12} textAnchor="end" fill={palette.text.secondary}>
          ÷{less}
        </text>
      )}
      {lines && factor > 0 && (
        <>
          <Drawn
            lines={lines}
            x={80}
            y={ground - 6}
            scale={SCALE * factor}
            stroke={palette.text.primary}
            fill={palette.background.paper}
          />
          <text x={112} y={ground - 6} fontSize={12} textAnchor="end" fill={palette.text.secondary}>
            ×{factor}
          </text>
        </>
      )}
    </svg>
  );
}

function Drawn(props: {
  lines: LineDrawing;
  x: number;
  y: number;
  scale: number;
  stroke: string;
  fill: string;
  plain?: boolean;
}) {
  const { lines } = props;
  return (
    <g
      transform={`translate(${props.x} ${props.y}) scale(${props.scale})`}
      stroke={props.stroke}
      strokeLinejoin="round"
    >
      <path
        d={lines.outlines.map(ring).join("")}
        fill={props.fill}
        fillRule="evenodd"
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
      />
      {!props.plain && (
        <path
          d={lines.lines.map((l) => `M${l[0]} ${l[1]}L${l[2]} ${l[3]}`).join("")}
          fill="none"
          strokeWidth={0.5}
          strokeOpacity={0.6}
          vectorEffect="non-scaling-stroke"
        />
      )}
    </g>
  );
}

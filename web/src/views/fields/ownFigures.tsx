import type { ReactNode } from "react";

/** Words of Pied's own that a small drawing says quicker than a sentence. */
export type Figure = "twin" | "lead" | "datum" | "settle" | "setting line";

const box = (x: number, y: number, thick = 1.25) => (
  <rect x={x} y={y} width={20} height={16} strokeWidth={thick} />
);

const FIGURES: Record<Figure, ReactNode> = {
  twin: (
    <>
      <path d="M18 30 L18 14 L34 14 L40 30 Z M102 30 L102 14 L86 14 L80 30 Z" />
      <path d="M60 4 V40" strokeDasharray="6 3 1 3" />
    </>
  ),
  lead: (
    <>
      {box(8, 14)}
      {box(48, 14)}
      {box(88, 14, 3)}
    </>
  ),
  datum: (
    <>
      <circle cx={24} cy={14} r={6} />
      <path d="M14 14 H34 M24 4 V24 M34 14 H96 M24 24 V38" strokeDasharray="2 2" />
      {box(92, 24)}
    </>
  ),
  settle: (
    <>
      {box(50, 2)}
      <path d="M60 22 V32 M56 28 L60 32 L64 28 M20 38 H100" />
    </>
  ),
  "setting line": (
    <>
      <path d="M20 4 H100 V30 H84 M36 30 H20 V4" />
      <path d="M20 30 H100" strokeDasharray="3 3" />
      <path d="M36 40 H84" strokeWidth={0.75} />
    </>
  ),
};

/** The drawing of a word. */
export function OwnFigure({ of }: { of: Figure }) {
  return (
    <svg
      width={120}
      height={44}
      aria-hidden
      fill="none"
      stroke="currentColor"
      strokeWidth={1.25}
      style={{ display: "block", margin: "2px auto 4px" }}
    >
      {FIGURES[of]}
    </svg>
  );
}

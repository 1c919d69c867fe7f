import { useTheme, type Palette } from "@mui/material/styles";
import { memo, type SVGProps } from "react";
import type { Ink, InkStyle } from "../../api/types.gen";
import { ring, segments } from "../paper/paths";

type Look = SVGProps<SVGPathElement>;

/** How heavy and in which colour each sort of line is drawn. */
function lookOf(style: InkStyle, p: Palette): { fill: Look; line: Look } {
  const none: Look = { fill: "none", stroke: "none" };
  const pen = (stroke: string, strokeWidth: number, dash?: string): Look => ({
    fill: "none",
    stroke,
    strokeWidth,
    strokeDasharray: dash,
  });
  const ink = p.text.primary;
  const soft = p.text.secondary;
  switch (style) {
    case "floor":
      return { fill: { fill: p.background.paper, stroke: soft, strokeWidth: 0.75 }, line: none };
    case "raised":
      return { fill: { fill: p.background.default, stroke: ink, strokeWidth: 1.25 }, line: none };
    case "stair":
      return { fill: { fill: p.background.default, stroke: ink, strokeWidth: 1 }, line: pen(ink, 0.75) };
    case "cut":
      return { fill: { fill: ink, stroke: ink, strokeWidth: 0.75 }, line: none };
    case "cutPiece":
      return { fill: { fill: p.divider, stroke: ink, strokeWidth: 1.25 }, line: none };
    case "low":
      return { fill: { fill: p.divider, stroke: ink, strokeWidth: 1 }, line: none };
    case "gap":
      return { fill: { fill: "transparent", stroke: "none" }, line: none };
    case "glass":
      return { fill: none, line: pen(ink, 1) };
    case "leaf":
      return { fill: none, line: pen(ink, 1.5) };
    case "swing":
      return { fill: none, line: pen(soft, 0.75) };
    case "overhead":
      return {
        fill: { fill: "transparent", stroke: soft, strokeWidth: 1, strokeDasharray: "7 4" },
        line: pen(soft, 1, "7 4"),
      };
    case "centre":
      return { fill: none, line: pen(p.primary.main, 1, "14 4 2 4") };
    case "setting":
      return { fill: none, line: pen(p.primary.main, 1, "3 4") };
    case "seat":
      return { fill: { fill: "transparent", stroke: p.divider, strokeWidth: 1 }, line: none };
    case "hatch":
      return { fill: none, line: pen(p.divider, 0.75) };
    case "edge":
      return { fill: none, line: pen(soft, 0.75) };
    case "piece":
      return { fill: { fill: "transparent", stroke: "none" }, line: pen(ink, 1) };
  }
}

/** Lines that core drew, in the pens of this drawing; parts of the shell can be pointed at. */
export const Inks = memo(function Inks(props: {
  inks: Ink[];
  /** Bodies that are drawn faintly, since they are in hand. */
  dimmed?: Set<string>;
  /** In a thumbnail: hairlines. */
  small?: boolean;
}) {
  const { inks, dimmed, small } = props;
  const { palette } = useTheme();
  return inks.map((ink, i) => {
    const look = lookOf(ink.style, palette);
    const hair = small ? { strokeWidth: 0.4 } : {};
    const part = ink.part?.includes(":") ? ink.part : undefined;
    return (
      <g
        key={i}
        data-part={part}
        opacity={ink.part && dimmed?.has(ink.part) ? 0.25 : undefined}
        pointerEvents={part ? undefined : "none"}
      >
        {ink.rings.length > 0 && (
          <path
            d={ink.rings.map(ring).join("")}
            fillRule="evenodd"
            {...look.fill}
            {...hair}
            vectorEffect="non-scaling-stroke"
          />
        )}
        {ink.lines.length > 0 && (
          <path d={segments(ink.lines)} {...look.line} {...hair} vectorEffect="non-scaling-stroke" />
        )}
      </g>
    );
  });
});

/** A part of the shell that is selected or pointed at, in outline. */
export function PartMark({ inks, part, hovered }: { inks: Ink[]; part: string; hovered?: boolean }) {
  const { palette } = useTheme();
  const own = inks.filter((i) => i.part === part && i.rings.length > 0);
  return own.map((ink, i) => (
    <path
      key={i}
      d={ink.rings.map(ring).join("")}
      fill="none"
      stroke={hovered ? palette.primary.main : palette.secondary.main}
      strokeWidth={hovered ? 2 : 3}
      strokeLinejoin="round"
      vectorEffect="non-scaling-stroke"
      pointerEvents="none"
    />
  ));
}

import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { api } from "../../api/client";
import { draw, useDraft, type Purpose } from "../../tools/draft/draft";
import { useSheet } from "../../store/sheet";
import type { Tool } from "../../store/inHand";
import { openDrawing } from "../../store/drawingNames";
import { PhraseLine } from "../caption/PhraseParts";
import { meaning } from "../fields/ownWords";
import { Sign } from "./signs";
import { TOOL_WORDS } from "../../tools/verbs/tools";

const OPENINGS: Tool[] = ["door", "doubleDoor", "slidingDoor", "window", "opening", "niche"];
const RAISED: Tool[] = ["platform", "steps", "ramp", "column", "bar"];

/** What the space is made of: what can be built, every measure, every part. */
export function ShellPanel() {
  const space = useSheet((s) => s.space)!;
  const unit = useSheet((s) => s.unit);
  const part = useSheet((s) => s.part);
  const lifted = useSheet((s) => s.lifted);
  const { selectPart, lift } = useSheet.getState();
  const sheet = useQuery({
    queryKey: ["shellSheet", space.id, space.shellAt, unit],
    queryFn: () => api.shellSheet(space.id, unit),
    placeholderData: (before) => before,
  });
  return (
    <Box
      sx={{ flex: 1, overflowY: "auto", borderTop: 1, borderColor: "divider", pb: 2 }}
      data-testid="shell-panel"
    >
      <Heading>Draw</Heading>
      <Buttons>
        <DrawButton purpose="outline" words="Outline" />
        <DrawButton purpose="partition" words="Partition" />
        <DrawButton purpose="platform" words="Platform of any form" />
      </Buttons>
      <Heading>Set into a wall</Heading>
      <Buttons>
        {OPENINGS.map((t) => (
          <ToolButton key={t} tool={t} />
        ))}
      </Buttons>
      <Heading>Build in</Heading>
      <Buttons>
        {RAISED.map((t) => (
          <ToolButton key={t} tool={t} />
        ))}
        <ToolButton tool="datum" />
      </Buttons>
      {sheet.data?.groups.map((g) => (
        <Box key={g.title} sx={{ opacity: sheet.isPlaceholderData ? 0.6 : 1 }}>
          <Heading>{g.title}</Heading>
          {g.rows.map((r, i) => {
            const wall = r.part?.startsWith("wall:");
            const off = lifted.includes(r.part ?? "");
            return (
              <Box
                key={r.part ?? i}
                data-row={r.part ?? undefined}
                onClick={(e) => {
                  if (r.part && e.target === e.currentTarget) selectPart(r.part);
                }}
                sx={{
                  display: "flex",
                  alignItems: "baseline",
                  gap: 0.5,
                  px: 1.5,
                  py: 0.25,
                  fontSize: 13,
                  lineHeight: "18px",
                  bgcolor: r.part && part === r.part ? "background.paper" : undefined,
                  boxShadow:
                    r.part && part === r.part ? (t) => `inset 3px 0 ${t.palette.secondary.main}` : undefined,
                }}
              >
                <Box sx={{ flex: 1, minWidth: 0 }}>
                  <PhraseLine phrases={r.phrases} />
                </Box>
                {wall && (
                  <>
                    <Small label={`Look at ${r.part!.slice(5)}`} onClick={() => openDrawing(r.part!)}>
                      look at
                    </Small>
                    <Small
                      label={`${off ? "Put back" : "Lift off"} ${r.part!.slice(5)}`}
                      onClick={() => lift(r.part!, !off)}
                    >
                      {off ? "put back" : "lift off"}
                    </Small>
                  </>
                )}
              </Box>
            );
          })}
        </Box>
      ))}
    </Box>
  );
}

function Heading({ children }: { children: ReactNode }) {
  return (
    <Typography variant="body2" sx={{ fontWeight: 650, px: 1.5, pt: 1.25, pb: 0.5 }}>
      {children}
    </Typography>
  );
}

function Buttons({ children }: { children: ReactNode }) {
  return <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 0.5, px: 1.5 }}>{children}</Box>;
}

function Small(props: { label: string; onClick: () => void; children: ReactNode }) {
  return (
    <ButtonBase
      aria-label={props.label}
      title={typeof props.children === "string" ? (meaning(props.children) ?? undefined) : undefined}
      onClick={props.onClick}
      sx={{
        fontSize: 12,
        color: "text.secondary",
        px: 0.5,
        "&:hover, &:focus-visible": { color: "primary.main", textDecoration: "underline" },
      }}
    >
      {props.children}
    </ButtonBase>
  );
}

function Build(props: { sign: string; words: string; on: boolean; onClick: () => void }) {
  return (
    <ButtonBase
      aria-pressed={props.on}
      onClick={props.onClick}
      sx={{
        justifyContent: "flex-start",
        gap: 0.75,
        px: 0.75,
        py: 0.4,
        fontSize: 13,
        lineHeight: "16px",
        textAlign: "left",
        border: 1,
        borderColor: props.on ? "secondary.main" : "divider",
        bgcolor: "background.paper",
        "&:hover, &:focus-visible": { borderColor: "primary.main" },
      }}
    >
      <Sign name={props.sign} />
      {props.words}
    </ButtonBase>
  );
}

function ToolButton({ tool }: { tool: Tool }) {
  const on = useSheet((s) => s.tool === tool);
  return (
    <Build
      sign={tool}
      words={TOOL_WORDS[tool].words}
      on={on}
      onClick={() => {
        useSheet.getState().build(on ? null : tool);
        showPlan();
      }}
    />
  );
}

function DrawButton({ purpose, words }: { purpose: Purpose; words: string }) {
  const on = useDraft((s) => s.purpose === purpose);
  return (
    <Build
      sign={purpose === "platform" ? "any" : purpose}
      words={words}
      on={on}
      onClick={() => {
        draw(purpose);
        showPlan();
      }}
    />
  );
}

/** What is built is built on the plan. */
function showPlan() {
  const { large } = useSheet.getState();
  if (!large.includes("plan")) openDrawing("plan", large[0]);
}

import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { api } from "../../api/client";
import type { CaptionView, CarryTone } from "../../api/types.gen";
import { chooseNumber, chooseWay, useCarry } from "../../tools/carry/carry";
import { useDraft } from "../../tools/draft/draft";
import { useSheet } from "../../store/sheet";
import { useFinishing } from "../../tools/finish/finish";
import { AimCaption } from "./AimCaption";
import { FinishCaption } from "./FinishCaption";
import { asked as handled, useHandling } from "../../store/handling";
import { useQuestion } from "../../tools/aim/question";
import { QuestionCaption } from "./QuestionCaption";
import { THREE_LINES } from "../fields/threeLines";
import { ProposalCaption } from "./ProposalCaption";
import { useProposal } from "../../tools/propose/proposal";
import { AlsoHere } from "./AlsoHere";
import { Fresh } from "../fields/fresh";
import { reach } from "../fields/reach";
import { small } from "../fields/small";
import { Phrases } from "./PhraseParts";
import { TOOL_WORDS } from "../../tools/verbs/tools";

/** The sentence that states what is selected, how large and where. Core writes it; it takes numbers. */
export function Caption() {
  const space = useSheet((s) => s.space)!;
  const selection = useSheet((s) => s.selection);
  const parts = useSheet((s) => s.parts);
  const part = useSheet((s) => s.part);
  const tool = useSheet((s) => s.tool);
  const aiming = useSheet((s) => s.aiming);
  const carrying = useCarry((s) => s.hand !== null);
  const drafting = useDraft((s) => s.purpose !== null);
  const proposing = useProposal((s) => s.text !== null || s.answer !== null || s.edits.length > 0);
  const unit = useSheet((s) => s.unit);
  const hand = useSheet((s) => s.hand);
  const asked = useQuestion((s) => s.asked !== null);
  const finishing = useFinishing((s) => s.mode !== null || s.shown !== null);
  const handling = handled(useHandling());
  // of nothing that is selected, where one looks from
  const viewpoint = useSheet((s) =>
    s.selection.length + s.parts.length === 0 && s.viewpoint?.view.group === "kept"
      ? s.viewpoint.view.id
      : null,
  );
  const query = {
    queryKey: ["caption", space.id, space.revision, parts, selection, viewpoint, unit, handling],
    queryFn: () =>
      api.caption(
        space.id,
        { pieces: part ? [] : [...parts, ...selection], part, viewpoint },
        unit,
        handling,
      ),
    retry: false as const,
  };
  const caption = useQuery({ ...query, placeholderData: (before?: CaptionView) => before });
  const client = useQueryClient();
  // what is typed before the caption has followed is meant for what it will say
  const fresh = async () => (await client.ensureQueryData(query)).phrases;
  return (
    <Box
      component="footer"
      aria-label="Caption"
      data-testid="caption"
      sx={{
        borderTop: 1,
        borderColor: "divider",
        bgcolor: "background.paper",
        px: 2,
        display: "flex",
        alignItems: "center",
        // what is out of date is neither shown as true nor typed into
        opacity: caption.isPlaceholderData && !proposing && !finishing ? 0.55 : 1,
        pointerEvents: caption.isPlaceholderData && !proposing && !finishing ? "none" : undefined,
      }}
    >
      {drafting ? (
        <DraftCaption />
      ) : proposing ? (
        <ProposalCaption />
      ) : aiming ? (
        <AimCaption />
      ) : asked ? (
        <QuestionCaption />
      ) : finishing ? (
        <FinishCaption />
      ) : carrying ? (
        <CarryCaption />
      ) : hand ? (
        <Typography component="div" sx={THREE_LINES}>
          {tool && <ToolHint />}
          {hand.refused && <b>No place for it there. </b>}
          {hand.caption.map(
            (p, i) =>
              !["swatch", "action"].includes(p.kind) &&
              (p.kind === "text" || p.kind === "setting" ? p.text : <b key={i}>{p.text}</b>),
          )}
          {hand.said && hand.said.length > 0 && (
            <Box component="span" data-testid="hand-said" sx={{ color: "success.dark", fontWeight: 600 }}>
              {hand.said.join(" ")}
            </Box>
          )}
        </Typography>
      ) : tool ? (
        <Typography>
          <ToolHint />
        </Typography>
      ) : (
        <Typography component="div" sx={THREE_LINES}>
          {caption.data && (
            // what was typed for one piece never goes over to another
            <Fresh key={[...parts, ...selection].join()} value={fresh}>
              <Phrases phrases={caption.data.phrases} />
            </Fresh>
          )}
          {handling.at === undefined && <AlsoHere />}
        </Typography>
      )}
    </Box>
  );
}

const TONES: Partial<Record<CarryTone, object>> = {
  name: { fontWeight: 700 },
  how: { fontStyle: "italic" },
  stopped: { color: "warning.dark", fontWeight: 600 },
  snapped: { color: "success.dark", fontWeight: 600 },
};

/** What core says of what is in hand, and the keys for it. */
function CarryCaption() {
  const { hand, answer, typing, anew, focus } = useCarry();
  const placing = useSheet((s) => s.placing);
  const pieces = useSheet((s) => s.pieces);
  const refused = useSheet((s) => (s.hand?.refused ? s.hand.caption[0]?.text : ""));
  if (!hand) return null;
  const lead = pieces.get(hand.pieces[hand.pieces.length - 1]);
  return (
    <Typography
      component="div"
      data-testid="carry"
      sx={{ fontSize: 14, lineHeight: "20px", maxHeight: 60, overflow: "hidden" }}
    >
      {!answer && (
        <>
          <b>{placing?.article.name ?? lead?.name}</b>
          {placing && `, ${placing.article.sizeText}`}.{" "}
        </>
      )}
      {answer?.said.map(({ tone, text, slot }, i) => {
        const on = slot !== undefined && slot === focus;
        return tone === "number" ? (
          <ButtonBase
            key={i}
            data-slot={slot}
            data-focus={on || undefined}
            data-anew={(on && typing !== "" && anew) || undefined}
            // the keys go on being those of the carry
            tabIndex={-1}
            onPointerDown={(e) => e.preventDefault()}
            onClick={() => slot && chooseNumber(slot)}
            sx={{
              ...reach,
              font: "inherit",
              fontWeight: 650,
              lineHeight: 1.2,
              verticalAlign: "baseline",
              color: on ? "secondary.main" : "inherit",
              borderBottom: on ? "2px solid" : "1.5px solid",
              borderColor: on ? "secondary.main" : "divider",
              // what the next digit takes the place of stands as selected
              ...(on && typing && anew && { bgcolor: "secondary.main", color: "background.paper" }),
            }}
          >
            {on && typing ? typing : text}
          </ButtonBase>
        ) : (
          <Box key={i} component="span" data-testid={tone === "text" ? undefined : tone} sx={TONES[tone]}>
            {text}
            {tone === "levels" && ", PageDown"}
          </Box>
        );
      })}
      {refused && (
        <Box component="span" role="alert" sx={{ color: "error.main", fontWeight: 600 }}>
          {refused}{" "}
        </Box>
      )}
      {answer?.ways.map((w) => (
        <ButtonBase
          key={w.words}
          // the keys go on being those of the carry
          tabIndex={-1}
          onPointerDown={(e) => e.preventDefault()}
          onClick={() => chooseWay(w.way)}
          sx={{ ...small, mr: 0.75, borderColor: "divider" }}
        >
          {w.words}
        </ButtonBase>
      ))}
      {(answer?.ways.length ?? 0) > 0 && "or an arrow key."}
    </Typography>
  );
}

/** What can be done with something to build in hand. */
function ToolHint() {
  const tool = useSheet((s) => s.tool);
  if (!tool) return null;
  return (
    <Box component="span" sx={{ color: "text.secondary" }}>
      <b>{TOOL_WORDS[tool].words}</b>: {TOOL_WORDS[tool].hint}; with Shift another one follows, <b>Esc</b>{" "}
      gives up.{" "}
    </Box>
  );
}

/** What is being drawn, and what is typed. */
function DraftCaption() {
  const { purpose, corners, typed, answer, wrong } = useDraft();
  const line = purpose === "partition";
  const live = answer?.edges.at(-1);
  const what = { outline: "Outline", platform: "Platform", partition: "Partition" }[purpose!];
  return (
    <Typography component="div" sx={THREE_LINES}>
      <b>{what}</b>
      {corners.length === 0 ? (
        <>: click where {line ? "it begins" : "its first corner goes"}. </>
      ) : (
        <>
          , {line ? "its end" : "corner " + (corners.length + 1)}:{" "}
          <Box
            component="b"
            data-testid="typed"
            sx={{
              color: wrong ? "error.main" : "secondary.main",
              borderBottom: "2px solid",
              px: 0.5,
              fontVariantNumeric: "tabular-nums",
            }}
          >
            {typed || live?.length || "…"}
          </Box>
          {live?.angle && ` at ${live.angle}`}
          {answer?.area && `, ${answer.area} so far`}.{" "}
          {wrong && (
            <Box component="span" sx={{ color: "error.main" }}>
              {wrong}{" "}
            </Box>
          )}
        </>
      )}
      <Box component="span" sx={{ color: "text.secondary" }}>
        {corners.length > 0 && (
          <>
            Click, or type a length (<b>3.2</b>, or <b>3.2 at 135</b>) and Enter.{" "}
            {corners.length >= 3 && !line && "Enter alone, or a click on the first corner, closes it. "}
            With Shift any angle. Backspace: one back.{" "}
          </>
        )}
        <b>Esc</b> gives up.
      </Box>
    </Typography>
  );
}

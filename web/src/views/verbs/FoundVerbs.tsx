import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { findVerbs, maySay, notYet } from "../../tools/verbs/find";
import { useVerbs, VERBS } from "../../tools/verbs/register";
import { pressed, type Verb } from "../../tools/verbs/verb";
import { beginToSay } from "../../tools/propose/proposal";
import { ChoiceMenu } from "./VerbMenu";

/** What was typed may be a sentence that says what shall be. */
function SayIt({ text, onDone }: { text: string; onDone: () => void }) {
  const go = () => {
    onDone();
    beginToSay(text);
  };
  return (
    <Box
      role="option"
      aria-selected={false}
      tabIndex={0}
      data-verb="Say it"
      onClick={go}
      onKeyDown={(e) => e.key === "Enter" && go()}
      sx={{
        px: 1.5,
        py: 0.75,
        borderBottom: 1,
        borderColor: "divider",
        fontSize: 13,
        cursor: "default",
        "&:hover, &:focus-visible": { bgcolor: "background.paper" },
      }}
    >
      <b>Say it:</b> {text}
    </Box>
  );
}

/** What one can do that goes by what was typed; what cannot be done now is said to need something. */
export function FoundVerbs({ text, onDone }: { text: string; onDone: () => void }) {
  const now = useVerbs();
  const [choosing, setChoosing] = useState<{ verb: Verb; anchor: HTMLElement } | null>(null);
  const found = findVerbs(
    text,
    VERBS.filter((v) => v.mode === "sheet" || v.mode === "any"),
  );
  const missing = notYet(text);
  const take = (v: Verb, anchor: HTMLElement) => {
    if (!now.includes(v)) return;
    if (v.choices) {
      setChoosing({ verb: v, anchor });
      return;
    }
    onDone();
    (document.activeElement as HTMLElement | null)?.blur();
    v.does();
  };
  return (
    <>
      {missing && (
        <Typography
          variant="body2"
          data-testid="not-yet"
          sx={{ px: 1.5, py: 1, borderBottom: 1, borderColor: "divider" }}
        >
          {missing}
        </Typography>
      )}
      {found.map((v) => (
        <Box
          key={v.word}
          role="option"
          aria-selected={false}
          aria-disabled={!now.includes(v)}
          tabIndex={0}
          data-verb={v.word}
          onClick={(e) => take(v, e.currentTarget)}
          onKeyDown={(e) => {
            if (e.key === "Enter") take(v, e.currentTarget);
            const to = e.key === "ArrowDown" ? "nextElementSibling" : "previousElementSibling";
            if (/^Arrow(Up|Down)$/.test(e.key)) (e.currentTarget[to] as HTMLElement | null)?.focus();
          }}
          sx={{
            px: 1.5,
            py: 0.75,
            borderBottom: 1,
            borderColor: "divider",
            cursor: "default",
            opacity: now.includes(v) ? 1 : 0.55,
            "&:hover, &:focus-visible": { bgcolor: "background.paper" },
          }}
        >
          <Box sx={{ display: "flex", justifyContent: "space-between", fontSize: 13, fontWeight: 600 }}>
            <span>{v.word}</span>
            <Box component="kbd" sx={{ font: "inherit", fontWeight: 400, color: "text.secondary" }}>
              {pressed(v)}
            </Box>
          </Box>
          <Typography variant="caption" color="text.secondary">
            {v.help}
            {!now.includes(v) && ` Not now: ${v.needs ?? "select what it is for first."}`}
          </Typography>
        </Box>
      ))}
      {!missing && maySay(text) && <SayIt text={text.trim()} onDone={onDone} />}
      {found.length === 0 && !missing && (
        <Typography variant="body2" color="text.secondary" sx={{ p: 2 }}>
          Nothing one can do goes by “{text}”. Try a plainer word, such as “turn” or “level”.
        </Typography>
      )}
      {choosing && (
        <ChoiceMenu
          verb={choosing.verb}
          anchor={choosing.anchor}
          onClose={() => {
            setChoosing(null);
            onDone();
          }}
        />
      )}
    </>
  );
}

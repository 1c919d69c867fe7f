import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useRef } from "react";
import { drop, say, take, useProposal } from "../../tools/propose/proposal";

/** Where a sentence is typed, with what it could go on with; Tab takes the first of that. */
export function SayField() {
  const text = useProposal((s) => s.text) ?? "";
  const answer = useProposal((s) => s.answer);
  const input = useRef<HTMLInputElement | null>(null);
  const next = answer?.next ?? [];
  const put = (words: string) => {
    const begin = text.slice(0, answer?.at ?? text.length);
    say((begin.replace(/\s+$/, "") + " " + words + " ").replace(/^ /, ""));
    input.current?.focus();
  };
  return (
    <Box sx={{ display: "flex", alignItems: "baseline", gap: 1 }}>
      <Box component="label" htmlFor="say" sx={{ color: "text.secondary" }}>
        Say
      </Box>
      <Box
        component="input"
        id="say"
        ref={input}
        autoFocus
        autoComplete="off"
        spellCheck={false}
        aria-label="What shall be"
        placeholder="8 in a row, 0.2 apart · left sides level with the lead · onto the counter"
        value={text}
        onChange={(e) => say(e.target.value)}
        onKeyDown={(e) => {
          const first = next.find((n) => n.literal);
          if (e.key === "Escape") {
            e.preventDefault();
            drop();
          } else if (e.key === "Enter") {
            e.preventDefault();
            void take();
          } else if (e.key === "Tab" && !e.shiftKey && first) {
            e.preventDefault();
            put(first.text);
          }
        }}
        sx={{
          flex: "1 1 420px",
          minWidth: 0,
          font: "inherit",
          fontWeight: 600,
          p: 0,
          border: 0,
          borderBottom: "2px solid",
          borderColor: answer?.wrong && text.trim() !== "" ? "error.main" : "secondary.main",
          bgcolor: "background.default",
          color: "text.primary",
          outline: 0,
        }}
      />
      <Box
        data-testid="say-next"
        sx={{
          flex: "2 1 0",
          display: "flex",
          gap: 0.75,
          overflow: "hidden",
          whiteSpace: "nowrap",
          fontSize: 13,
        }}
      >
        {next.map((n) =>
          n.literal ? (
            <ButtonBase
              key={n.text}
              tabIndex={-1}
              onPointerDown={(e) => e.preventDefault()}
              onClick={() => put(n.text)}
              sx={{
                font: "inherit",
                px: 0.75,
                minHeight: 24,
                flexShrink: 0,
                border: 1,
                borderColor: "divider",
                borderRadius: 0.75,
              }}
            >
              {n.text}
            </ButtonBase>
          ) : (
            <Box
              key={n.text}
              component="i"
              sx={{ color: "text.secondary", flexShrink: 0, lineHeight: "24px" }}
            >
              {n.text}
            </Box>
          ),
        )}
      </Box>
    </Box>
  );
}

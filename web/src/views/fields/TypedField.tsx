import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Popper from "@mui/material/Popper";
import { reach } from "./reach";
import { useEffect, useRef, useState, type FocusEvent, type KeyboardEvent } from "react";
import { arrived, beginsNumber, isWaiting, openField, stepped, useTyping } from "../../tools/typing/typing";

/**
 * A number (or name) in a sentence or on a drawing: a click opens it, or the first digit where it has the
 * focus; Enter makes it so, and so does leaving it; Esc alone leaves it as it was. What was refused stays
 * open, as typed, so that nothing is lost.
 */
export function TypedField(props: {
  text: string;
  label: string;
  /** Takes what was typed; `whole` if no measure was chosen for it, so that all of the piece is meant. */
  onType: (typed: string, whole: boolean) => Promise<boolean>;
  colour?: string;
  /** Without a line under it, on a drawing where its own line shows that it can be typed into. */
  plain?: boolean;
  /** What may be typed; it shows as one begins to. */
  hint?: string;
  /** It is as it is, and the hint says why. */
  fixed?: boolean;
  /** It is open from the first. */
  opened?: boolean;
  /** It was closed again. */
  onClose?: () => void;
  /** What stands there while it is typed; then it stays when the field is left. */
  onChange?: (typed: string) => void;
  /** What would be is shown while it is typed; null where it is closed. It is done as any other. */
  onShow?: (typed: string | null) => void;
  /** Enter was pressed, where what is typed was told as it was. */
  onEnter?: () => void;
  /** Esc was pressed, where that gives up more than what is typed. */
  onGiveUp?: () => void;
}) {
  const [typed, setTyped] = useState<string | null>(props.opened ? props.text : null);
  const [wrong, setWrong] = useState(false);
  const [whole, setWhole] = useState(false);
  const asked = useTyping();
  // what was typed before this field was there is waited for
  const [seen, setSeen] = useState(() => (isWaiting(props.label) ? asked.at - 1 : asked.at));
  if (asked.at !== seen) {
    setSeen(asked.at);
    if (asked.label === props.label) {
      setTyped(asked.text);
      setWhole(!asked.chosen);
    }
  }
  const input = useRef<HTMLInputElement | null>(null);
  const [box, setBox] = useState<HTMLElement | null>(null);
  const open = typed !== null;
  const begun = typed !== null && typed === asked.text && asked.label === props.label;
  useEffect(() => {
    if (!open) return;
    // what was begun to be typed is gone on with
    if (begun) input.current?.setSelectionRange(99, 99);
    else input.current?.select();
    if (arrived(props.label)) void commit(typed);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [open, asked.at]);
  const change = (text: string) => {
    setTyped(text);
    setWrong(false);
    if (text.trim() !== "") props.onChange?.(text);
    props.onShow?.(text.trim() === "" ? null : text);
  };
  const busy = useRef(false);
  const commit = async (text: string) => {
    if (busy.current) return;
    if (text.trim() === props.text || text.trim() === "") return close();
    busy.current = true;
    const taken = await props.onType(text, whole);
    busy.current = false;
    if (taken) close();
    else setWrong(true);
  };
  const close = () => {
    setTyped(null);
    setWrong(false);
    props.onShow?.(null);
    props.onClose?.();
  };
  if (typed === null) {
    return (
      <ButtonBase
        aria-label={`${props.label}: ${props.text}`}
        title={props.hint ? `${props.label}: ${props.hint}` : props.label}
        data-fixed={props.fixed || undefined}
        onClick={() => {
          setWhole(false);
          setTyped(props.text);
        }}
        onKeyDown={(e) => {
          // a number that shows itself ready takes the digits
          if (!beginsNumber(e)) return;
          e.preventDefault();
          e.stopPropagation();
          openField(props.label, e.key);
        }}
        sx={{
          ...reach,
          display: "inline",
          font: "inherit",
          fontWeight: 650,
          color: props.colour ?? (props.fixed ? "text.secondary" : "inherit"),
          borderBottom: props.plain || props.fixed ? "1.5px solid transparent" : "1.5px solid",
          borderColor: props.plain || props.fixed ? "transparent" : (props.colour ?? "primary.main"),
          lineHeight: 1.2,
          verticalAlign: "baseline",
          "&:hover, &:focus-visible": {
            bgcolor: "background.default",
            borderColor: props.colour ?? "primary.main",
          },
        }}
      >
        {props.text}
      </ButtonBase>
    );
  }
  return (
    <>
      <Hint text={props.hint} at={box} />
      <Box
        component="input"
        ref={(el: HTMLInputElement | null) => {
          input.current = el;
          setBox(el);
        }}
        autoFocus
        aria-label={props.label}
        aria-invalid={wrong}
        value={typed}
        onChange={(e) => change(e.target.value)}
        onBlur={(e: FocusEvent<HTMLInputElement>) =>
          props.onChange ? close() : void commit(e.currentTarget.value)
        }
        onKeyDown={async (e: KeyboardEvent<HTMLInputElement>) => {
          e.stopPropagation();
          const by = e.key === "ArrowUp" ? 1 : e.key === "ArrowDown" ? -1 : 0;
          const more = by === 0 ? null : stepped(typed, by);
          if (e.key === "Escape") {
            busy.current = true; // nothing is done any more when it goes
            close();
            busy.current = false;
            props.onGiveUp?.();
          } else if (more !== null) {
            e.preventDefault();
            change(more);
          } else if (e.key === "Enter") {
            e.preventDefault();
            if (props.onEnter) props.onEnter();
            else await commit(e.currentTarget.value);
          }
        }}
        sx={{
          font: "inherit",
          fontWeight: 650,
          width: `${Math.max(4, typed.length + 1)}ch`,
          maxWidth: 320,
          p: 0,
          border: 0,
          borderBottom: "2px solid",
          borderColor: wrong ? "error.main" : "secondary.main",
          bgcolor: "background.default",
          color: wrong ? "error.main" : "text.primary",
          outline: 0,
          fontVariantNumeric: "tabular-nums",
        }}
      />
    </>
  );
}

/** What may be typed, over the field. */
function Hint({ text, at }: { text?: string; at: HTMLElement | null }) {
  return (
    <Popper open={at !== null && !!text} anchorEl={at} placement="top-start" sx={{ zIndex: "tooltip" }}>
      <Box
        data-testid="hint"
        sx={{
          fontSize: 12,
          px: 1,
          py: 0.25,
          mb: 0.5,
          bgcolor: "background.paper",
          border: 1,
          borderColor: "divider",
          color: "text.secondary",
        }}
      >
        {text}
      </Box>
    </Popper>
  );
}

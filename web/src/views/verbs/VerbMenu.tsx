import Box from "@mui/material/Box";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { useRef, useState, type MouseEvent, type PointerEvent } from "react";
import { look } from "../paper/picking";
import { chosenNow, pickPart } from "../../store/selecting";
import { useSheet } from "../../store/sheet";
import { underHeadings } from "../../tools/verbs/headings";
import { mode, verbsNow } from "../../tools/verbs/register";
import { letters } from "../../tools/verbs/choosing";
import { pressed, type Choice, type Verb } from "../../tools/verbs/verb";

/** Verbs one under the other, with their keys. */
export function VerbItems(props: {
  verbs: Verb[];
  anchor?: HTMLElement | null;
  at?: { left: number; top: number } | null;
  onClose: () => void;
}) {
  const [choosing, setChoosing] = useState<{ verb: Verb; anchor: HTMLElement } | null>(null);
  const close = () => {
    setChoosing(null);
    props.onClose();
  };
  if (props.verbs.length === 0 || !(props.anchor ?? props.at)) return null;
  return (
    <>
      <Menu
        open
        anchorEl={props.anchor}
        anchorReference={props.at ? "anchorPosition" : "anchorEl"}
        anchorPosition={props.at ?? undefined}
        onClose={close}
        slotProps={{
          list: { dense: true, "aria-label": "What can be done", sx: columns(props.verbs.length) },
        }}
      >
        {props.verbs.map((v) => (
          <MenuItem
            key={v.word}
            data-verb={v.heading ? undefined : v.word}
            data-heading={v.heading ? v.word : undefined}
            title={v.help}
            onClick={(e) => {
              if (v.choices) {
                setChoosing({ verb: v, anchor: e.currentTarget });
                return;
              }
              close();
              v.does();
            }}
            sx={{ fontSize: 13, gap: 3, justifyContent: "space-between", minHeight: 26, py: 0.25 }}
          >
            <span>
              {v.word} {v.now?.() && <b>{v.now()}</b>} {(v.choices || v.heading) && "▸"}
            </span>
            <Box component="kbd" sx={{ font: "inherit", fontSize: 12, color: "text.secondary" }}>
              {pressed(v)}
            </Box>
          </MenuItem>
        ))}
      </Menu>
      {choosing && <ChoiceMenu verb={choosing.verb} anchor={choosing.anchor} onClose={close} />}
    </>
  );
}

/** So many stand one under the other. */
const HIGH = 24;

/** Many verbs stand in several columns, so that all of them are seen. */
const columns = (n: number) =>
  n <= HIGH
    ? undefined
    : {
        display: "grid",
        gridAutoFlow: "column",
        gridTemplateRows: `repeat(${Math.ceil(n / Math.ceil(n / HIGH))}, auto)`,
      };

/** All that a verb can be set to; a letter chooses. */
export function ChoiceMenu(props: { verb: Verb; anchor: HTMLElement | null; onClose: () => void }) {
  if (props.anchor === null || !props.verb.choices) return null;
  const choices = props.verb.choices();
  const keys = letters(choices);
  const take = (c: Choice) => {
    props.onClose();
    c.choose();
  };
  return (
    <Menu
      open
      anchorEl={props.anchor}
      onClose={props.onClose}
      onKeyDownCapture={(e) => {
        const at = e.ctrlKey || e.metaKey || e.altKey ? -1 : keys.indexOf(e.key.toLowerCase());
        if (at < 0) return;
        e.preventDefault();
        e.stopPropagation();
        take(choices[at]);
      }}
      slotProps={{ list: { dense: true, "aria-label": props.verb.word } }}
    >
      {choices.map((c, i) => (
        <MenuItem
          key={c.words}
          selected={c.now}
          onClick={() => take(c)}
          sx={{ fontSize: 13, gap: 3, justifyContent: "space-between", minHeight: 26, py: 0.25 }}
        >
          <span>{c.words}</span>
          <Box component="kbd" aria-hidden sx={{ font: "inherit", fontSize: 12, color: "text.secondary" }}>
            {keys[i].toUpperCase()}
          </Box>
        </MenuItem>
      ))}
    </Menu>
  );
}

/** What stands behind a heading, as if it was one of the verbs. */
const behind = (words: string, does: () => void): Verb => ({
  word: words,
  mode: "any",
  keys: [],
  help: `${words}: all that can be done.`,
  does,
  heading: true,
});

/**
 * What is meant where one points: of what is selected the most wanted and the rest behind headings, else what
 * can be done with the space; all else behind "more".
 *
 * @param open shows other verbs in place of these
 */
function here(open: (verbs: Verb[]) => void): Verb[] {
  const { selection } = useSheet.getState();
  const nothing = chosenNow().length === 0;
  const all = verbsNow();
  const seen = all.filter((v) => v.seen && (nothing || !v.builds));
  const rest = all.filter((v) => !seen.includes(v));
  const more = rest.length > 0 ? [behind("More", () => open(rest))] : [];
  if (selection.length === 0 || mode() !== "sheet") return [...seen, ...more];
  const { first, headings } = underHeadings(seen);
  return [...first, ...headings.map((h) => behind(h.words, () => open(h.verbs))), ...more];
}

const NO_KEYS = { shiftKey: false, ctrlKey: false, metaKey: false };

/** A press of the right button that moves is no click. */
const STILL = 4;

const inSet = (e: MouseEvent) => (e.target as HTMLElement).closest("[data-testid=set]") !== null;

/** A menu where one points: right click, long press, or the menu key. */
export function useVerbMenu() {
  const [at, setAt] = useState<{ left: number; top: number } | null>(null);
  const [opened, setOpened] = useState<Verb[] | null>(null);
  const down = useRef({ x: 0, y: 0 }); // no state: a press draws nothing anew
  const show = (e: MouseEvent, byKey: boolean) => {
    if (mode() === "sheet") {
      const on = look(e).on;
      const row = (e.target as HTMLElement).closest("[role=row]")?.getAttribute("data-id") ?? null;
      const { selection, parts, select, hover } = useSheet.getState();
      const piece = on.piece ?? (inSet(e) ? hover : null);
      // a row of the schedule has selected what it stands for
      if (row === null) {
        if (piece && !selection.includes(piece)) select([piece]);
        else if (!piece && on.part && !parts.includes(on.part)) pickPart(on.part, NO_KEYS);
        else if (!piece && !on.part && !byKey) select([]);
      }
    }
    setOpened(null);
    setAt(byKey ? { left: innerWidth / 2, top: innerHeight / 2 } : { left: e.clientX, top: e.clientY });
  };
  const open = (e: MouseEvent) => {
    if ((e.target as HTMLElement).closest("input, textarea, [role=dialog], [role=menu]")) return;
    e.preventDefault();
    const byKey = e.clientX === 0 && e.clientY === 0;
    const byTouch = (e.nativeEvent as unknown as { pointerType?: string }).pointerType === "touch";
    // there a press of the right button may be the beginning of a pan: it opens when it is let go
    if (byKey || byTouch || !inSet(e)) show(e, byKey);
  };
  const behindIt = (verbs: Verb[]) => {
    setOpened(verbs);
    setAt(at);
  };
  const verbs = at ? (opened ?? here(behindIt)) : [];
  return {
    menu: <VerbItems verbs={verbs} at={at} onClose={() => setAt(null)} />,
    handlers: {
      onContextMenu: open,
      onPointerDownCapture: (e: PointerEvent) => {
        down.current = { x: e.clientX, y: e.clientY };
      },
      onPointerUpCapture: (e: PointerEvent) => {
        const moved = Math.hypot(e.clientX - down.current.x, e.clientY - down.current.y);
        if (e.button === 2 && inSet(e) && moved <= STILL) show(e, false);
      },
    },
  };
}

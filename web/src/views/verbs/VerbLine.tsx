import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Popover from "@mui/material/Popover";
import { useLayoutEffect, useRef, useState, useSyncExternalStore } from "react";
import { useSheet } from "../../store/sheet";
import { useChoosing } from "../../tools/verbs/choosing";
import { useVerbs } from "../../tools/verbs/register";
import { pressed, type Verb } from "../../tools/verbs/verb";
import { ChoiceMenu, VerbItems } from "./VerbMenu";

/** So many stand in the line at most; the rest is behind "more". */
const LIKELY = 10;

const resized = (changed: () => void) => {
  addEventListener("resize", changed);
  return () => removeEventListener("resize", changed);
};

/**
 * How many of the words of a line have room in it.
 *
 * @param words all of them, as they stand there
 */
function useRoom(words: string[]) {
  const strip = useRef<HTMLElement | null>(null);
  const width = useSyncExternalStore(resized, () => innerWidth);
  const key = [width, ...words].join("|");
  const [room, setRoom] = useState({ key: "", n: 0 });
  useLayoutEffect(() => {
    const { left, width: wide } = strip.current!.getBoundingClientRect();
    const all = [...strip.current!.children];
    const n = all.filter((c) => c.getBoundingClientRect().right <= left + wide + 0.5).length;
    if (n < all.length) setRoom({ key, n });
  }, [key]);
  return { strip, n: room.key === key ? room.n : words.length };
}

/** What can be done now, the likely first: a line of words with their keys, under the caption. */
export function VerbLine() {
  const verbs = useVerbs();
  const [more, setMore] = useState<HTMLElement | null>(null);
  const likely = verbs.filter((v) => v.seen).slice(0, LIKELY);
  const { strip, n } = useRoom(likely.map((v) => v.word + (v.now?.() ?? "")));
  const line = likely.slice(0, n);
  const rest = verbs.filter((v) => !line.includes(v));
  const box = useRef<HTMLElement | null>(null);
  const asked = useChoosing((s) => s.word);
  const choosing = verbs.find((v) => v.word === asked && v.choices);
  const anchor =
    choosing && (box.current?.querySelector<HTMLElement>(`[data-verb="${choosing.word}"]`) ?? box.current);
  return (
    <Box
      ref={box}
      data-testid="verbs"
      aria-label="What can be done"
      role="toolbar"
      sx={{
        borderTop: 1,
        borderColor: "divider",
        bgcolor: "background.default",
        px: 1.5,
        display: "flex",
        alignItems: "center",
        overflow: "hidden",
        whiteSpace: "nowrap",
      }}
    >
      <Box ref={strip} sx={{ display: "flex", minWidth: 0, overflow: "hidden" }}>
        {line.map((v) => (
          <One key={v.word} verb={v} />
        ))}
      </Box>
      {rest.length > 0 && (
        <ButtonBase aria-haspopup="menu" onClick={(e) => setMore(e.currentTarget)} sx={WORD}>
          more…
        </ButtonBase>
      )}
      {choosing && (
        <ChoiceMenu
          verb={choosing}
          anchor={anchor ?? null}
          onClose={() => useChoosing.setState({ word: null })}
        />
      )}
      <VerbItems verbs={rest} anchor={more} onClose={() => setMore(null)} />
      <Box sx={{ flex: 1 }} />
      <Said />
    </Box>
  );
}

/** What was said lately, to be read again. */
function Said() {
  const notices = useSheet((s) => s.notices);
  const [at, setAt] = useState<HTMLElement | null>(null);
  if (notices.length === 0) return null;
  return (
    <>
      <ButtonBase aria-haspopup="dialog" onClick={(e) => setAt(e.currentTarget)} sx={WORD}>
        said lately ▴
      </ButtonBase>
      {at && (
        <Popover
          open
          anchorEl={at}
          onClose={() => setAt(null)}
          anchorOrigin={{ vertical: "top", horizontal: "right" }}
          transformOrigin={{ vertical: "bottom", horizontal: "right" }}
        >
          <Box
            component="ul"
            aria-label="Said lately"
            sx={{ m: 0, p: 1, pl: 3, width: 420, maxHeight: 400, overflowY: "auto" }}
          >
            {notices.map((n) => (
              <Box
                component="li"
                key={n.at + n.text}
                sx={{ fontSize: 13, py: 0.4, color: n.kind === "refused" ? "error.main" : undefined }}
              >
                {n.text}
              </Box>
            ))}
          </Box>
        </Popover>
      )}
    </>
  );
}

function One({ verb }: { verb: Verb }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const now = verb.now?.();
  const key = pressed(verb);
  return (
    <>
      <ButtonBase
        data-verb={verb.word}
        title={verb.help}
        aria-haspopup={verb.choices ? "menu" : undefined}
        onClick={(e) => (verb.choices ? setAt(e.currentTarget) : verb.does())}
        sx={WORD}
      >
        {verb.word}
        {now && (
          <Box component="span" sx={{ fontWeight: 650, ml: 0.5 }}>
            {now}
          </Box>
        )}
        {verb.choices && (
          <Box component="span" aria-hidden sx={{ ml: 0.25 }}>
            ▾
          </Box>
        )}
        {key && (
          <Box component="kbd" sx={KEY}>
            {key}
          </Box>
        )}
      </ButtonBase>
      <ChoiceMenu verb={verb} anchor={at} onClose={() => setAt(null)} />
    </>
  );
}

const WORD = {
  font: "inherit",
  fontSize: 13,
  height: 26,
  px: 1,
  flex: "none",
  borderRadius: 0.75,
  "&:hover, &:focus-visible": { bgcolor: "background.paper" },
};

const KEY = {
  font: "inherit",
  fontSize: 11,
  color: "text.secondary",
  border: 1,
  borderColor: "divider",
  borderRadius: 0.5,
  px: 0.4,
  ml: 0.6,
  lineHeight: "15px",
};

import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import Popover from "@mui/material/Popover";
import { useContext, useState } from "react";
import { Fresh } from "../fields/fresh";
import type {
  EditUnion as Edit,
  PhraseChoice,
  PhraseField,
  PhraseMore,
  PhraseSetting,
  PhraseUnion as Phrase,
} from "../../api/types.gen";
import { Doing } from "../fields/doing";
import { BoxFigure } from "./BoxFigure";
import { setHandling, useHandling } from "../../store/handling";
import { selectMade } from "../../store/selecting";
import { filled } from "../../api/filled";
import { Hinted } from "../fields/Hinted";
import { meaning } from "../fields/ownWords";
import { reach } from "../fields/reach";
import { isProposing } from "../../tools/propose/proposal";
import { useSheet } from "../../store/sheet";
import { showFinish } from "../../tools/finish/finish";
import { Swatch } from "../fields/Swatch";
import { TypedField } from "../fields/TypedField";

/** What core wrote, to be read, typed into, chosen from and pressed. */
export function Phrases({ phrases }: { phrases: Phrase[] }) {
  const first = phrases.findIndex((p) => p.kind === "field");
  return phrases.map((p, i) => {
    const next = phrases[i + 1];
    const tight = next?.kind === "text" && /^[,.)]/.test(next.text);
    // what is typed into a number stays in it when the sentence about it is another
    const same = p.kind === "field" ? phrases.slice(0, i).filter((o) => isField(o, p.label)).length : 0;
    const key = p.kind === "field" ? `${p.label} ${same}` : p.kind + i;
    return <Part key={key} phrase={p} tight={tight} first={i === first} />;
  });
}

const isField = (p: Phrase, label: string) => p.kind === "field" && p.label === label;

function Part({ phrase, tight, first }: { phrase: Phrase; tight: boolean; first: boolean }) {
  const { select, selectPart } = useSheet.getState();
  const fresh = useContext(Fresh);
  const doing = useContext(Doing);
  const done = async (edit: Edit) => {
    if (doing) return doing.edit(edit);
    const changed = await useSheet.getState().edit([edit]);
    // a repetition that has grown is selected with what came to it
    if (changed && changed.made.length > 0) await selectMade(changed.made);
    return changed !== null;
  };
  /** What this field takes by now. */
  const blank = async ({ label, blank: shown }: PhraseField) => {
    const now = (await fresh?.())?.find((p) => p.kind === "field" && p.label === label);
    return now?.kind === "field" ? now.blank : shown;
  };
  switch (phrase.kind) {
    case "field":
      return (
        <TypedField
          text={phrase.text}
          label={phrase.label}
          hint={phrase.hint}
          fixed={phrase.fixed}
          key={doing && first ? doing.first : undefined}
          opened={doing !== null && first}
          onType={async (typed, whole) => {
            const taken = await blank(phrase);
            const slot = whole && taken.slot === "size.width" ? "size.whole" : taken.slot;
            return done(filled({ ...taken, slot }, typed));
          }}
          onChange={doing ? (typed) => doing.live(filled(phrase.blank, typed)) : undefined}
          onEnter={doing?.enter}
          onGiveUp={doing?.giveUp}
        />
      );
    case "swatch":
      return (
        <Swatch
          name={phrase.text}
          words={phrase.words}
          colour={phrase.colour}
          sample={phrase.sample}
          onMore={() => {
            useSheet.getState().setTab("finishes");
            showFinish({ pieces: phrase.pieces, part: phrase.part });
          }}
          onChoose={(colour) => void done(filled(phrase.blank, colour))}
        />
      );
    case "setting":
      return phrase.values.length > 0 ? <Setting phrase={phrase} /> : <MarkSetting phrase={phrase} />;
    case "choice":
    case "more":
      return <Choice phrase={phrase} done={done} />;
    case "action":
      return (
        <ButtonBase
          title={meaning(phrase.text) ?? undefined}
          onClick={async () => {
            const changed = await useSheet.getState().edit([phrase.edit]);
            if (changed?.part && !isProposing()) selectPart(changed.part);
          }}
          sx={{
            ...reach,
            font: "inherit",
            color: "primary.main",
            border: 1,
            borderColor: "divider",
            borderRadius: 0.75,
            px: 0.75,
            lineHeight: "17px",
            verticalAlign: "baseline",
            mr: tight ? 0 : 0.5,
            "&:hover, &:focus-visible": { borderColor: "primary.main", bgcolor: "background.default" },
          }}
        >
          {phrase.text}
        </ButtonBase>
      );
    case "word":
      return phrase.piece || phrase.part ? (
        <ButtonBase
          onClick={() => (phrase.piece ? select([phrase.piece]) : selectPart(phrase.part!))}
          sx={{
            ...reach,
            font: "inherit",
            fontWeight: 650,
            textDecoration: "underline dotted",
            textUnderlineOffset: 3,
            lineHeight: 1.2,
            verticalAlign: "baseline",
          }}
        >
          {phrase.text}
        </ButtonBase>
      ) : (
        <b>{phrase.text}</b>
      );
    default:
      return <Hinted text={phrase.text} />;
  }
}

/** A word with others in its place. */
function Choice({
  phrase,
  done,
}: {
  phrase: PhraseChoice | PhraseMore;
  done: (edit: Edit) => Promise<boolean>;
}) {
  return (
    <Others
      text={phrase.text}
      label={phrase.label}
      others={phrase.options.map((o) => ({
        text: o.text,
        choose: () => void done(o.edit),
      }))}
    />
  );
}

/** How one goes about with what is selected: a word with others in its place. */
function Setting({ phrase }: { phrase: PhraseSetting }) {
  return (
    <Others
      text={phrase.text}
      label={phrase.label}
      others={phrase.values.map((v) => ({ text: v.text, choose: () => setHandling(phrase.name, v.value) }))}
    />
  );
}

function Others(props: { text: string; label: string; others: { text: string; choose: () => void }[] }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  return (
    <>
      <ButtonBase
        aria-label={`${props.label}: ${props.text}`}
        aria-haspopup="menu"
        title={[props.label, meaning(props.text)].filter(Boolean).join(". ")}
        onClick={(e) => setAt(e.currentTarget)}
        sx={CHOOSABLE}
      >
        {props.text}
      </ButtonBase>
      {at && (
        <Menu open anchorEl={at} onClose={() => setAt(null)}>
          {props.others.map((o) => (
            <MenuItem
              key={o.text}
              dense
              selected={o.text === props.text}
              onClick={() => {
                setAt(null);
                o.choose();
              }}
            >
              {o.text}
            </MenuItem>
          ))}
        </Menu>
      )}
    </>
  );
}

const CHOOSABLE = {
  ...reach,
  font: "inherit",
  fontWeight: 650,
  borderBottom: "1.5px dotted",
  borderColor: "primary.main",
  lineHeight: 1.2,
  verticalAlign: "baseline",
} as const;

/** A mark of the box, chosen on a small figure of it. */
function MarkSetting({ phrase }: { phrase: PhraseSetting }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const chosen = useHandling((s) =>
    phrase.name === "hold" ? s.hold : phrase.name === "mark" ? s.mark : s.about,
  );
  return (
    <>
      <ButtonBase
        aria-label={`${phrase.label}: ${phrase.text}`}
        aria-haspopup="dialog"
        title={phrase.label}
        onClick={(e) => setAt(e.currentTarget)}
        sx={CHOOSABLE}
      >
        {phrase.text}
      </ButtonBase>
      {at && (
        <Popover
          open
          anchorEl={at}
          onClose={() => setAt(null)}
          anchorOrigin={{ vertical: "top", horizontal: "center" }}
          transformOrigin={{ vertical: "bottom", horizontal: "center" }}
        >
          <BoxFigure
            title={phrase.label}
            chosen={chosen}
            choose={(mark) => {
              setAt(null);
              setHandling(phrase.name, mark);
            }}
          />
        </Popover>
      )}
    </>
  );
}

/** A line of phrases in a list. */
export function PhraseLine({ phrases }: { phrases: Phrase[] }) {
  return (
    <Box component="span" sx={{ whiteSpace: "pre-wrap" }}>
      <Phrases phrases={phrases} />
    </Box>
  );
}

import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { useMemo, useState, type ReactNode } from "react";
import type { GroupView as Group } from "../../api/types.gen";
import { small } from "../fields/small";
import { selectMeant } from "../../store/selecting";
import { wholeGroup } from "../../store/kept";
import { useChosen } from "../../store/selecting";
import { useSheet } from "../../store/sheet";
import { LayerRow } from "./LayerRow";
import { Named } from "./Named";

/** Layers, groups and named selections: what there is, and what is on or in each. */
export function LayersPanel() {
  return (
    <Box
      sx={{ flex: 1, overflowY: "auto", borderTop: 1, borderColor: "divider", pb: 2 }}
      data-testid="layers"
    >
      <Layers />
      <Groups />
      <Selections />
    </Box>
  );
}

function Layers() {
  const layers = useSheet((s) => s.space!.filing.layers);
  const current = useSheet((s) => s.layer) ?? layers[0].id;
  const pieces = useSheet((s) => s.pieces);
  const counts = useMemo(() => {
    const all = new Map<string, number>();
    for (const p of pieces.values()) all.set(p.layer, (all.get(p.layer) ?? 0) + 1);
    return all;
  }, [pieces]);
  const { edit, makeCurrent } = useSheet.getState();
  return (
    <>
      <Heading note="● takes what comes in">Layers</Heading>
      {layers.map((l, i) => (
        <LayerRow
          key={l.id}
          layer={l}
          place={i}
          of={layers.length}
          count={counts.get(l.id) ?? 0}
          current={l.id === current}
        />
      ))}
      <New
        label="New layer"
        help="Made, and the current one from then on"
        make={async (name) => {
          const id = crypto.randomUUID();
          if (!(await edit([{ do: "newLayer", id, name }]))) return false;
          makeCurrent(id);
          return true;
        }}
      />
    </>
  );
}

/** A group with how deep it is in others. */
interface Deep {
  group: Group;
  depth: number;
}

function nested(groups: Group[]): Deep[] {
  const under = (of: string | undefined, depth: number): Deep[] =>
    groups
      .filter((g) => (g.in ?? undefined) === of)
      .sort((a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }))
      .flatMap((group) => [{ group, depth }, ...under(group.id, depth + 1)]);
  return under(undefined, 0);
}

function Groups() {
  const filing = useSheet((s) => s.space!.filing);
  const selection = useChosen();
  const pieces = useSheet((s) => s.pieces);
  const inGroup = useSheet((s) => s.inGroup);
  const all = useMemo(() => nested(filing.groups), [filing.groups]);
  const whole = useMemo(() => wholeGroup(selection, pieces, filing)?.id, [selection, pieces, filing]);
  const { edit, openGroup, select } = useSheet.getState();
  return (
    <>
      <Heading note={all.length === 0 ? undefined : "a click selects all that is in it"}>Groups</Heading>
      {all.length === 0 && <Hint>Select two pieces or more and press Shift+G: they are one then.</Hint>}
      {all.map(({ group, depth }) => (
        <Named
          key={group.id}
          name={group.name}
          depth={depth}
          selected={group.id === whole}
          note={group.id === inGroup ? "open" : undefined}
          choose={() => void selectMeant({ by: "group", value: group.id })}
          rename={async (name) => (await edit([{ do: "renameGroup", group: group.id, name }])) !== null}
          others={[
            {
              words: "Open it",
              choose: () => {
                openGroup(group.id);
                select([]);
              },
            },
            { words: "Dissolve it", choose: () => void edit([{ do: "dissolve", group: group.id }]) },
          ]}
        />
      ))}
    </>
  );
}

function Selections() {
  const selections = useSheet((s) => s.space!.filing.selections);
  const selection = useChosen();
  const { edit } = useSheet.getState();
  return (
    <>
      <Heading>Named selections</Heading>
      {selections.length === 0 && selection.length === 0 && (
        <Hint>Select something to give it a name, by which it is selected again.</Hint>
      )}
      {selections.map((s) => (
        <Named
          key={s.name}
          name={s.name}
          note={String(s.pieces)}
          choose={() => void selectMeant({ by: "named", value: s.name })}
          others={[{ words: "Forget it", choose: () => void edit([{ do: "nameSelection", name: s.name }]) }]}
        />
      ))}
      {selection.length > 0 && (
        <New
          label="Name what is selected"
          make={async (name) => (await edit([{ do: "nameSelection", name, pieces: selection }])) !== null}
        />
      )}
    </>
  );
}

export function Heading({ children, note }: { children: ReactNode; note?: string }) {
  return (
    <Box sx={{ display: "flex", alignItems: "baseline", gap: 1, px: 1.5, pt: 1.25, pb: 0.5 }}>
      <Typography variant="body2" sx={{ fontWeight: 650 }}>
        {children}
      </Typography>
      <Typography variant="caption" color="text.secondary" noWrap>
        {note}
      </Typography>
    </Box>
  );
}

function Hint({ children }: { children: ReactNode }) {
  return (
    <Typography variant="caption" color="text.secondary" component="p" sx={{ px: 1.5, m: 0 }}>
      {children}
    </Typography>
  );
}

/** A field for the name of something that is made. */
function New(props: { label: string; help?: string; make: (name: string) => Promise<boolean> }) {
  const [name, setName] = useState("");
  const make = async () => {
    if (name.trim() && (await props.make(name.trim()))) setName("");
  };
  return (
    <Box sx={{ display: "flex", gap: 0.5, px: 1.5, pt: 0.5 }} title={props.help}>
      <InputBase
        fullWidth
        placeholder={props.label}
        inputProps={{ "aria-label": props.label, maxLength: 120 }}
        value={name}
        onChange={(e) => setName(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === "Enter") void make();
          if (e.key === "Escape") setName("");
        }}
        sx={{ bgcolor: "background.paper", border: 1, borderColor: "divider", px: 0.75, fontSize: 13 }}
      />
      <ButtonBase disabled={!name.trim()} onClick={() => void make()} sx={{ ...small, px: 1 }}>
        Make
      </ButtonBase>
    </Box>
  );
}

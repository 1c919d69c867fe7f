import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useDeferredValue, useMemo, useState } from "react";
import { api } from "../../api/client";
import type { FinishCard, MaterialPage, NamedColour } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import { endFinishing, takeUp, useFinishing } from "../../tools/finish/finish";
import { useLately } from "../../tools/finish/lately";
import { small } from "../fields/small";
import { plain } from "../surface/plain";
import { Chips, Choice, Choices, chosen, Shelf } from "./Choices";
import { Pictures } from "./Pictures";

/** Everything that parts can be made of, to be dragged onto them. */
export function FinishLeaf() {
  const space = useSheet((s) => s.space!.id);
  const revision = useSheet((s) => s.space!.revision);
  const [typed, setTyped] = useState("");
  const text = useDeferredValue(typed.trim());
  const page = useQuery({
    queryKey: ["materials", text],
    queryFn: () => api.materials(text),
    staleTime: Infinity,
    placeholderData: (before?: MaterialPage) => before,
  });
  const palette = useQuery({
    queryKey: ["palette", space, revision],
    queryFn: () => api.palette(space),
    placeholderData: (before) => before,
  }).data;
  const project = useSheet((s) => s.space!.project);
  const all = useQuery({
    queryKey: ["palette of project", project, space],
    queryFn: () => api.projectPalette(project),
    staleTime: 60_000,
  }).data;
  const elsewhere = useMemo(() => {
    const here = new Set(palette?.cards.map((c) => JSON.stringify(c.finish)));
    return (all ?? []).filter((c) => !here.has(JSON.stringify(c.finish)));
  }, [all, palette]);
  const lately = useLately((s) => s.cards);
  const taking = useFinishing((s) => s.mode === "take");
  const kinds = useMemo(() => {
    const of = new Map<string, { name: string; card: FinishCard }[]>();
    for (const m of page.data?.materials ?? []) of.set(m.kind, [...(of.get(m.kind) ?? []), m]);
    return [...of.entries()];
  }, [page.data]);
  const colours = page.data?.colours ?? [];
  return (
    <>
      <Box sx={{ px: 1.5, pb: 1 }}>
        <InputBase
          fullWidth
          placeholder="Search: oak, dark green velvet"
          inputProps={{ "aria-label": "Search finishes" }}
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === "Escape") {
              setTyped("");
              (e.target as HTMLElement).blur();
            }
          }}
          sx={{ bgcolor: "background.paper", border: 1, borderColor: "divider", px: 1, fontSize: 13 }}
        />
        <Box sx={{ display: "flex", gap: 0.75, mt: 0.75, alignItems: "center" }}>
          <ButtonBase
            aria-pressed={taking}
            title="Take up the finish of a part and give it to others ( , )"
            onClick={() => (taking ? endFinishing() : takeUp())}
            sx={small}
          >
            take one up
          </ButtonBase>
          <OwnColour />
        </Box>
      </Box>
      <Box
        role="list"
        aria-label="Finishes"
        aria-busy={typed.trim() !== text || page.isPlaceholderData}
        sx={{ flex: 1, overflowY: "auto", borderTop: 1, borderColor: "divider", px: 1.5, pb: 2 }}
      >
        {text === "" && palette && palette.cards.length > 0 && (
          <Shelf title="In this space">
            <Chips cards={palette.cards} />
          </Shelf>
        )}
        {text === "" && elsewhere.length > 0 && (
          <Shelf title="Elsewhere in this project">
            <Chips cards={elsewhere} />
          </Shelf>
        )}
        {text === "" && lately.length > 0 && (
          <Shelf title="Given lately">
            <Chips cards={lately} />
          </Shelf>
        )}
        <Pictures text={text} />
        {text !== "" && colours.length > 0 && (
          <Shelf title="Colours: what it is made of stays">
            <Chips cards={colours.slice(0, 24).map(ofColour)} named />
          </Shelf>
        )}
        {kinds.map(([kind, materials]) => (
          <Shelf key={kind} title={kind.charAt(0).toUpperCase() + kind.slice(1)}>
            <Choices>
              {materials.map((m) => (
                <Choice key={m.name} card={m.card} name={m.name} />
              ))}
            </Choices>
          </Shelf>
        ))}
        {text === "" && colours.length > 0 && (
          <Shelf title="Colours: what it is made of stays">
            <Chips cards={colours.map(ofColour)} />
          </Shelf>
        )}
        {page.isSuccess && kinds.length === 0 && colours.length === 0 && (
          <Typography variant="body2" color="text.secondary" sx={{ py: 2 }}>
            No finish and no colour answers “{text}”. Try a plain word, such as “oak”, “tiles”, “cloth” or
            “sage”.
          </Typography>
        )}
        {page.isError && (
          <Typography variant="body2" color="error" sx={{ py: 2 }}>
            {page.error.message}
          </Typography>
        )}
      </Box>
    </>
  );
}

/** A colour, which leaves what a part is made of as it is. */
const ofColour = ({ name, colour }: NamedColour): FinishCard => ({
  finish: { colour },
  words: name,
  appearance: plain(colour, name),
});

/** Any colour by its hue. */
function OwnColour() {
  const [colour, setColour] = useState("#7A8C6A");
  return (
    <Box component="label" sx={{ ...small, display: "flex", alignItems: "center", gap: 0.5 }}>
      any colour
      <input
        type="color"
        aria-label="Any colour"
        value={colour}
        onChange={(e) => setColour(e.target.value)}
        onBlur={() => chosen(ofColour({ name: colour.toUpperCase(), colour: colour.toUpperCase() }))}
        style={{ width: 22, height: 18, padding: 0, border: 0 }}
      />
    </Box>
  );
}

import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useSheet } from "../../store/sheet";
import { recall } from "../../tools/light/looks";
import { TypedField } from "../fields/TypedField";
import { small } from "../fields/small";
import { Heading } from "../layers/LayersPanel";
import { Named } from "../layers/Named";

/** Looks: lamps and day as they were kept, in their order. */
export function LooksPart() {
  const looks = useSheet((s) => s.space!.showing.looks);
  const lit = useSheet((s) => s.lit);
  const { edit, light } = useSheet.getState();
  return (
    <>
      <Box sx={{ display: "flex", gap: 0.75, px: 1.5, pt: 1, flexWrap: "wrap" }}>
        <ButtonBase
          aria-pressed={lit}
          title="The set view as it is lit, or evenly, to work in"
          onClick={() => light(!lit)}
          sx={{ ...small, bgcolor: lit ? "background.paper" : undefined, fontWeight: lit ? 650 : 400 }}
        >
          {lit ? "drawn as it is lit" : "drawn evenly, to work in"}
        </ButtonBase>
      </Box>
      <Heading note={looks.length > 0 ? "a click fades to it" : undefined}>Looks</Heading>
      {looks.map((l, i) => (
        <Named
          key={l.id}
          name={l.name}
          note={`${l.burning} of ${l.lamps} burn`}
          title="Lamps and day as they were kept"
          choose={() => recall(l)}
          rename={async (name) => (await edit([{ do: "look", look: l.id, name }])) !== null}
          after={
            <Box component="span" sx={{ fontSize: 12, color: "text.secondary", whiteSpace: "nowrap" }}>
              <TypedField
                text={String(l.fade)}
                label={`Seconds until ${l.name} stands`}
                onType={async (typed) => {
                  const fade = Number(typed.replace(",", ".").replace(/\s*s$/, ""));
                  return (await edit([{ do: "look", look: l.id, fade }])) !== null;
                }}
              />{" "}
              s
            </Box>
          }
          others={[
            { words: "Keep it as all is now", choose: () => void edit([{ do: "keepLook", look: l.id }]) },
            {
              words: "Earlier",
              disabled: i === 0,
              choose: () => void edit([{ do: "look", look: l.id, to: i - 1 }]),
            },
            {
              words: "Later",
              disabled: i === looks.length - 1,
              choose: () => void edit([{ do: "look", look: l.id, to: i + 1 }]),
            },
            {
              words: l.day ? "Without the day" : "With the day of now",
              choose: () => void edit([{ do: "look", look: l.id, withDay: !l.day }]),
            },
            { words: "Remove", choose: () => void edit([{ do: "removeLook", look: l.id }]) },
          ]}
        />
      ))}
      <Box sx={{ px: 1.5, pt: 0.5 }}>
        <ButtonBase
          title="Lamps and day as they are now, to be called again"
          onClick={() => void edit([{ do: "keepLook" }])}
          sx={small}
        >
          keep all as it is now
        </ButtonBase>
      </Box>
    </>
  );
}

import LockedIcon from "@mui/icons-material/LockOutlined";
import OpenIcon from "@mui/icons-material/LockOpenOutlined";
import ShownIcon from "@mui/icons-material/VisibilityOutlined";
import HiddenIcon from "@mui/icons-material/VisibilityOffOutlined";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import type { ReactNode } from "react";
import type { Layer, SetLayer } from "../../api/types.gen";
import { Swatch } from "../fields/Swatch";
import { selectMeant } from "../../store/selecting";
import { useChosen } from "../../store/selecting";
import { useSheet } from "../../store/sheet";
import { ink } from "../theme";
import { Named } from "./Named";

/** A layer: whether it is the current one, its colour, how many pieces are on it, shown, locked. */
export function LayerRow(props: {
  layer: Layer;
  place: number;
  of: number;
  count: number;
  current: boolean;
}) {
  const { layer, place, of } = props;
  const { edit, makeCurrent } = useSheet.getState();
  const selection = useChosen();
  const set = async (change: Partial<SetLayer>) =>
    (await edit([{ do: "layer", layer: layer.id, ...change }])) !== null;
  return (
    <Named
      name={layer.name}
      note={String(props.count)}
      selected={props.current}
      title={props.current ? "The current layer of this window" : "Make it the current layer"}
      choose={() => makeCurrent(layer.id)}
      rename={(name) => set({ name })}
      before={
        <>
          <Box
            component="span"
            aria-hidden
            sx={{
              width: 10,
              height: 10,
              flex: "none",
              borderRadius: "50%",
              border: 1.5,
              borderColor: props.current ? "secondary.main" : "text.secondary",
              bgcolor: props.current ? "secondary.main" : undefined,
            }}
          />
          <Swatch
            name={`the lines on ${layer.name}`}
            colour={layer.colour ?? ink.ink}
            onChoose={(chosen) => void set({ colour: chosen })}
          />
        </>
      }
      after={
        <>
          <Sign
            label={`${layer.hidden ? "Show" : "Hide"} ${layer.name}`}
            on={layer.hidden}
            onClick={() => void set({ hidden: !layer.hidden })}
          >
            {layer.hidden ? <HiddenIcon /> : <ShownIcon />}
          </Sign>
          <Sign
            label={`${layer.locked ? "Unlock" : "Lock"} ${layer.name}`}
            on={layer.locked}
            onClick={() => void set({ locked: !layer.locked })}
          >
            {layer.locked ? <LockedIcon /> : <OpenIcon />}
          </Sign>
        </>
      }
      others={[
        {
          words: "Put what is selected on it",
          disabled: selection.length === 0,
          choose: () => void edit([{ do: "toLayer", pieces: selection, layer: layer.id }]),
        },
        {
          words: "Select what is on it",
          disabled: props.count === 0,
          choose: () => void selectMeant({ by: "layer", value: layer.id }),
        },
        { words: "Further up", disabled: place === 0, choose: () => void set({ to: place - 1 }) },
        { words: "Further down", disabled: place === of - 1, choose: () => void set({ to: place + 1 }) },
        { words: "Lines in ink", disabled: !layer.colour, choose: () => void set({ colour: "" }) },
        {
          words: "Remove the layer",
          choose: () => void edit([{ do: "removeLayer", layer: layer.id }]),
        },
      ]}
    />
  );
}

function Sign(props: { label: string; on: boolean; onClick: () => void; children: ReactNode }) {
  return (
    <ButtonBase
      aria-label={props.label}
      aria-pressed={props.on}
      title={props.label}
      onClick={props.onClick}
      sx={{
        width: 24,
        height: 24,
        flex: "none",
        color: props.on ? "secondary.main" : "text.secondary",
        "& svg": { fontSize: 16 },
      }}
    >
      {props.children}
    </ButtonBase>
  );
}

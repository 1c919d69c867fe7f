import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import Popover from "@mui/material/Popover";
import Typography from "@mui/material/Typography";
import { useState } from "react";

/** Paints, cloths and woods of the house. */
const COLOURS = [
  "#F2EFE8",
  "#E5DAC4",
  "#D9C3A0",
  "#C3A070",
  "#A97C50",
  "#8B5E3C",
  "#5B4030",
  "#3F3A34",
  "#B4674B",
  "#9A4A32",
  "#C98B7A",
  "#D9A441",
  "#7A8C6A",
  "#5C7F4A",
  "#3F5E5A",
  "#6E8B86",
  "#9DB3AE",
  "#5E7A78",
  "#4F7480",
  "#44606F",
  "#2E4057",
  "#6D5A72",
  "#8E8A83",
  "#26221E",
];

/** The colour of something, and what it is made of; a click offers others. */
export function Swatch(props: {
  name: string;
  /** What it is made of, in words; nothing where it is only a colour. */
  words?: string;
  colour: string;
  sample?: string;
  onChoose: (colour: string) => void;
  /** Goes to where materials are chosen. */
  onMore?: () => void;
}) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const choose = (colour: string) => {
    setAt(null);
    props.onChoose(colour);
  };
  return (
    <>
      <ButtonBase
        aria-label={`Colour of ${props.name}: ${props.words ?? props.colour}`}
        title={props.words ? `${props.name}: ${props.words}` : props.name}
        onClick={(e) => setAt(e.currentTarget)}
        sx={{ width: 24, height: 24, my: "-3px", verticalAlign: "middle" }}
      >
        <Chip colour={props.colour} sample={props.sample} size={16} />
      </ButtonBase>
      <Popover
        open={at !== null}
        anchorEl={at}
        onClose={() => setAt(null)}
        anchorOrigin={{ vertical: "top", horizontal: "center" }}
        transformOrigin={{ vertical: "bottom", horizontal: "center" }}
      >
        <Box sx={{ p: 1.5, width: 260 }}>
          <Typography variant="body2" sx={{ fontWeight: 600 }}>
            {props.name}
          </Typography>
          <Typography variant="body2" sx={{ mb: 1 }}>
            {props.words}
          </Typography>
          <Box sx={{ display: "grid", gridTemplateColumns: "repeat(8, 26px)", gap: 0.5 }}>
            {COLOURS.map((c) => (
              <ButtonBase key={c} aria-label={c} onClick={() => choose(c)}>
                <Chip colour={c} size={26} />
              </ButtonBase>
            ))}
          </Box>
          <Box component="label" sx={{ display: "flex", gap: 1, alignItems: "center", mt: 1, fontSize: 13 }}>
            Another
            <input
              type="color"
              defaultValue={props.colour}
              onBlur={(e) => e.target.value.toUpperCase() !== props.colour && choose(e.target.value)}
            />
          </Box>
          {props.onMore && (
            <Button
              size="small"
              sx={{ mt: 1 }}
              onClick={() => {
                setAt(null);
                props.onMore!();
              }}
            >
              Made of something else…
            </Button>
          )}
        </Box>
      </Popover>
    </>
  );
}

function Chip({ colour, sample, size }: { colour: string; sample?: string; size: number }) {
  return (
    <Box
      sx={{
        width: size,
        height: size,
        bgcolor: colour,
        backgroundImage: sample && `url(/api/${sample})`,
        backgroundSize: "cover",
        border: 1,
        borderColor: "text.secondary",
      }}
    />
  );
}

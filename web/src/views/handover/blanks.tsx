import InputBase from "@mui/material/InputBase";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import { useState } from "react";

const WORD = {
  fontSize: 15,
  fontWeight: 600,
  "& .MuiSelect-select.MuiSelect-select": { p: 0, minHeight: 24, lineHeight: "24px" },
  borderBottom: "1px dotted",
  borderColor: "text.secondary",
  verticalAlign: "baseline",
};

/** A word of a sentence in whose place another can be chosen. */
export function Choice(p: {
  label: string;
  value: string;
  options: Record<string, string>;
  onChange: (value: string) => void;
}) {
  return (
    <Select
      variant="standard"
      disableUnderline
      displayEmpty
      IconComponent={() => null}
      value={p.value in p.options ? p.value : ""}
      onChange={(e) => p.onChange(e.target.value)}
      inputProps={{ "aria-label": p.label }}
      sx={WORD}
    >
      {Object.entries(p.options).map(([value, words]) => (
        <MenuItem key={value} value={value} dense>
          {words}
        </MenuItem>
      ))}
    </Select>
  );
}

/** A place in a sentence for a text; it counts once one leaves it. */
export function Typed(p: { label: string; value: string; onChange: (value: string) => void }) {
  const [text, setText] = useState(p.value);
  return (
    <InputBase
      value={text}
      placeholder="nobody"
      onChange={(e) => setText(e.target.value)}
      onBlur={() => p.onChange(text.trim())}
      onKeyDown={(e) => e.key === "Enter" && p.onChange(text.trim())}
      inputProps={{ "aria-label": p.label, maxLength: 60 }}
      sx={{ ...WORD, width: 130, "& input": { py: 0 } }}
    />
  );
}

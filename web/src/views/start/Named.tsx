import Box from "@mui/material/Box";
import IconButton from "@mui/material/IconButton";
import InputBase from "@mui/material/InputBase";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { useState } from "react";

/** A name, and what can be done with what it names: renamed, copied, removed. */
export function Named(props: {
  name: string;
  what: string;
  onRename: (name: string) => Promise<boolean>;
  onCopy: () => void;
  onRemove: () => void;
}) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const [typed, setTyped] = useState<string | null>(null);
  const choose = (what: () => void) => () => {
    setAt(null);
    what();
  };
  const done = async () => {
    if (typed === null) return;
    if (typed.trim() === props.name || (await props.onRename(typed))) setTyped(null);
  };
  if (typed !== null) {
    return (
      <InputBase
        autoFocus
        inputProps={{ "aria-label": `Name of the ${props.what}` }}
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
        onFocus={(e) => e.target.select()}
        onBlur={() => void done()}
        onKeyDown={(e) => {
          if (e.key === "Enter") void done();
          else if (e.key === "Escape") setTyped(null);
        }}
        sx={{ font: "inherit", borderBottom: 2, borderColor: "secondary.main", "& input": { p: 0 } }}
      />
    );
  }
  return (
    <Box
      component="span"
      sx={{ display: "inline-flex", alignItems: "center", minWidth: 0, maxWidth: "100%" }}
    >
      <Box
        component="span"
        title={props.name}
        sx={{ overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap" }}
      >
        {props.name}
      </Box>
      <IconButton
        size="small"
        aria-label={`What can be done with ${props.name}`}
        aria-haspopup="menu"
        onClick={(e) => setAt(e.currentTarget)}
        sx={{ width: 26, height: 26, fontSize: 15, color: "text.secondary" }}
      >
        ⋯
      </IconButton>
      {at && (
        <Menu open anchorEl={at} onClose={() => setAt(null)}>
          <MenuItem dense onClick={choose(() => setTyped(props.name))}>
            Rename
          </MenuItem>
          <MenuItem dense onClick={choose(props.onCopy)}>
            Copy
          </MenuItem>
          <MenuItem dense onClick={choose(props.onRemove)}>
            Remove
          </MenuItem>
        </Menu>
      )}
    </Box>
  );
}

import MoreIcon from "@mui/icons-material/MoreHorizOutlined";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import InputBase from "@mui/material/InputBase";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { useState, type ReactNode } from "react";

export interface Other {
  words: string;
  choose: () => void;
  disabled?: boolean;
}

/** A line of a list by its name: a click chooses it; the rest is behind the dots. */
export function Named(props: {
  name: string;
  depth?: number;
  selected?: boolean;
  note?: string;
  title?: string;
  before?: ReactNode;
  after?: ReactNode;
  choose: () => void;
  /** Whether the name was taken; it cannot be another if left out. */
  rename?: (name: string) => Promise<boolean>;
  others: Other[];
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const [at, setAt] = useState<HTMLElement | null>(null);
  const take = async () => {
    const name = typed?.trim();
    if (!name || name === props.name || (await props.rename!(name))) setTyped(null);
  };
  const others = props.rename
    ? [{ words: "Rename…", choose: () => setTyped(props.name) }, ...props.others]
    : props.others;
  return (
    <Box
      data-named={props.name}
      aria-current={props.selected || undefined}
      sx={{
        display: "flex",
        alignItems: "center",
        minHeight: 28,
        pl: 1 + 1.5 * (props.depth ?? 0),
        pr: 0.5,
        fontSize: 13,
        bgcolor: props.selected ? "background.paper" : undefined,
        boxShadow: props.selected ? (t) => `inset 3px 0 ${t.palette.secondary.main}` : undefined,
        "&:hover": { bgcolor: "background.paper" },
      }}
    >
      {props.before}
      {typed === null ? (
        <ButtonBase
          title={props.title}
          onClick={props.choose}
          onDoubleClick={() => props.rename && setTyped(props.name)}
          sx={{ flex: 1, minWidth: 0, height: 26, justifyContent: "flex-start", font: "inherit", px: 0.5 }}
        >
          <Box component="span" sx={{ overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap" }}>
            {props.name}
          </Box>
          {props.note && (
            <Box component="span" sx={{ color: "text.secondary", fontSize: 12, pl: 0.75, flex: "none" }}>
              {props.note}
            </Box>
          )}
        </ButtonBase>
      ) : (
        <InputBase
          autoFocus
          value={typed}
          inputProps={{ "aria-label": `Name of ${props.name}`, maxLength: 120 }}
          onFocus={(e) => e.target.select()}
          onChange={(e) => setTyped(e.target.value)}
          onBlur={() => setTyped(null)}
          onKeyDown={(e) => {
            if (e.key === "Enter") void take();
            if (e.key === "Escape") setTyped(null);
          }}
          sx={{ flex: 1, fontSize: 13, px: 0.5, bgcolor: "background.paper" }}
        />
      )}
      {props.after}
      <ButtonBase
        aria-label={`More of ${props.name}`}
        aria-haspopup="menu"
        onClick={(e) => setAt(e.currentTarget)}
        sx={{ width: 24, height: 24, color: "text.secondary" }}
      >
        <MoreIcon sx={{ fontSize: 16 }} />
      </ButtonBase>
      {at && (
        <Menu open anchorEl={at} onClose={() => setAt(null)} disableRestoreFocus>
          {others.map((o) => (
            <MenuItem
              key={o.words}
              dense
              disabled={o.disabled}
              onClick={() => {
                setAt(null);
                o.choose();
              }}
            >
              {o.words}
            </MenuItem>
          ))}
        </Menu>
      )}
    </Box>
  );
}

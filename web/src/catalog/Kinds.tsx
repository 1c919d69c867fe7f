import { small } from "./small";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Popover from "@mui/material/Popover";
import { useState } from "react";
import type { KindCount } from "../api/types.gen";

/** The tree of kinds with their counts. */
export function Kinds(props: { kinds: KindCount[]; kind: string; onChoose: (kind: string) => void }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const choose = (kind: string) => {
    setAt(null);
    props.onChoose(kind);
  };
  const all = props.kinds.filter((k) => !k.kind.includes("/")).reduce((n, k) => n + k.count, 0);
  const row = (kind: string, words: string, count: number, depth: number) => (
    <ButtonBase
      key={kind}
      role="treeitem"
      aria-level={depth + 1}
      aria-selected={props.kind === kind}
      onClick={() => choose(kind)}
      sx={{
        display: "flex",
        width: "100%",
        justifyContent: "space-between",
        gap: 2,
        pl: 1.5 + depth * 1.5,
        pr: 1.5,
        py: depth === 0 ? 0.4 : 0.1,
        fontSize: 13,
        fontWeight: depth === 0 ? 600 : 400,
        bgcolor: props.kind === kind ? "background.default" : undefined,
        "&:hover, &:focus-visible": { bgcolor: "background.default" },
      }}
    >
      <span>{words}</span>
      <Box component="span" sx={{ color: "text.secondary", fontWeight: 400 }}>
        {count}
      </Box>
    </ButtonBase>
  );
  return (
    <>
      <ButtonBase
        aria-haspopup="tree"
        aria-label={"Kind: " + (props.kind || "all")}
        onClick={(e) => setAt(e.currentTarget)}
        sx={{
          ...small,
          flex: 1,
          justifyContent: "space-between",
          minWidth: 0,
          bgcolor: props.kind ? "background.paper" : undefined,
        }}
      >
        <Box component="span" sx={{ overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap" }}>
          {props.kind ? props.kind.replace("/", " · ") : `All kinds, ${all}`}
        </Box>
        <span aria-hidden>▾</span>
      </ButtonBase>
      <Popover
        open={at !== null}
        anchorEl={at}
        onClose={() => setAt(null)}
        anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
      >
        <Box role="tree" aria-label="Kinds" sx={{ width: 250, maxHeight: 520, py: 0.5 }}>
          {row("", "All kinds", all, 0)}
          {props.kinds.map((k) => {
            const names = k.kind.split("/");
            return row(k.kind, names[names.length - 1], k.count, names.length - 1);
          })}
        </Box>
      </Popover>
    </>
  );
}

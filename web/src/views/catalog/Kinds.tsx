import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Popover from "@mui/material/Popover";
import { SimpleTreeView } from "@mui/x-tree-view/SimpleTreeView";
import { TreeItem } from "@mui/x-tree-view/TreeItem";
import { useState } from "react";
import type { KindCount } from "../../api/types.gen";
import { Picture } from "./Picture";
import { small } from "../fields/small";

/** The branch all others are on. */
const ALL = "all";

/** The tree of kinds with their counts. */
export function Kinds(props: { kinds: KindCount[]; kind: string; onChoose: (kind: string) => void }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const general = props.kinds.filter((k) => !k.kind.includes("/"));
  const all = general.reduce((n, k) => n + k.count, 0);
  const label = (words: string, count: number, picture?: KindCount) => (
    <Box component="span" sx={{ display: "flex", alignItems: "center", gap: 1, fontSize: 13 }}>
      <Box component="span" sx={{ width: 30, height: 26, flex: "none" }}>
        {picture && <Picture article={picture.article} size={picture.size} />}
      </Box>
      <Box component="span" sx={{ flex: 1 }}>
        {words}
      </Box>
      <Box component="span" sx={{ color: "text.secondary" }}>
        {count}
      </Box>
    </Box>
  );
  /** A kind with those that are of it. */
  const branch = (k: KindCount) => (
    <TreeItem key={k.kind} itemId={k.kind} label={label(k.kind.split("/").at(-1)!, k.count, k)}>
      {props.kinds
        .filter((o) => o.kind.startsWith(k.kind + "/") && !o.kind.slice(k.kind.length + 1).includes("/"))
        .map(branch)}
    </TreeItem>
  );
  const shown = props.kind ? props.kind.replace("/", " · ") : `All kinds, ${all}`;
  return (
    <>
      <ButtonBase
        aria-haspopup="tree"
        aria-label={"Kind: " + shown}
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
          {shown}
        </Box>
        <span aria-hidden>▾</span>
      </ButtonBase>
      {at && (
        <Popover
          open
          anchorEl={at}
          onClose={() => setAt(null)}
          anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
        >
          <SimpleTreeView
            aria-label="Kinds"
            expansionTrigger="iconContainer"
            defaultExpandedItems={general.map((k) => k.kind)}
            selectedItems={props.kind || ALL}
            onSelectedItemsChange={(_, chosen) => {
              setAt(null);
              props.onChoose(chosen === ALL || chosen === null ? "" : chosen);
            }}
            sx={{
              width: 300,
              maxHeight: 520,
              overflowY: "auto",
              py: 0.5,
              "& .MuiTreeItem-content": { py: 0.15, borderRadius: 0 },
              "& .MuiTreeItem-iconContainer": { width: 14 },
            }}
          >
            <TreeItem itemId={ALL} label={label("All kinds", all)} />
            {general.map(branch)}
          </SimpleTreeView>
        </Popover>
      )}
    </>
  );
}

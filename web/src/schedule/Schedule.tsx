import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { DataGrid, useGridApiRef, type GridColDef } from "@mui/x-data-grid";
import { useQuery } from "@tanstack/react-query";
import { useCallback, useEffect, useMemo, useRef, useState, type MouseEvent } from "react";
import { api } from "../api/client";
import { small } from "../catalog/small";
import { useSheet } from "../space/sheet";
import { pick } from "../verbs/verbs";
import { alike, between, carriers, type Arrangement, type Line } from "./lines";

const ARRANGED = "pied.schedule";

const ARRANGEMENTS: [Arrangement, string, string][] = [
  ["alike", "alike", "What is alike is one line with its number"],
  ["carriers", "what stands on what", "What stands on a piece is under it"],
];

/** The list of all pieces, always that of the moment. */
export function Schedule() {
  const space = useSheet((s) => s.space)!;
  const unit = useSheet((s) => s.unit);
  const selection = useSheet((s) => s.selection);
  const hover = useSheet((s) => s.hover);
  const { select, point, look } = useSheet.getState();
  const [text, setText] = useState("");
  const [arranged, setArranged] = useState<Arrangement>(() =>
    localStorage.getItem(ARRANGED) === "carriers" ? "carriers" : "alike",
  );
  const [open, setOpen] = useState<Set<string>>(new Set());
  const last = useRef<string>("");
  const grid = useGridApiRef();
  const schedule = useQuery({
    queryKey: ["schedule", space.id, space.revision, unit],
    queryFn: () => api.schedule(space.id, unit),
    placeholderData: (before) => before,
  });
  const all = schedule.data?.rows;
  const words = text.toLowerCase().trim();
  const lines = useMemo(() => {
    if (!words) return (arranged === "alike" ? alike : carriers)(all ?? [], open);
    const found = (all ?? []).filter((r) => (r.name + " " + r.kind).toLowerCase().includes(words));
    // what is looked for is shown piece by piece
    return carriers(
      found.map((r) => ({ ...r, on: "" })),
      open,
    );
  }, [all, words, arranged, open]);
  const chosen = useMemo(() => {
    const picked = new Set(selection);
    const ids = lines.filter((l) => l.pieces.every((p) => picked.has(p))).map((l) => l.id);
    return { type: "include" as const, ids: new Set<string | number>(ids) };
  }, [selection, lines]);
  const lead = selection[selection.length - 1];
  useEffect(() => {
    const own = lines.findIndex((l) => l.id === lead);
    const rowIndex = own >= 0 ? own : lines.findIndex((l) => l.pieces.includes(lead));
    if (rowIndex >= 0) grid.current?.scrollToIndexes({ rowIndex });
  }, [lead, lines, grid]);
  const turnOver = useCallback(
    (id: string) =>
      setOpen((was) => {
        const now = new Set(was);
        if (!now.delete(id)) now.add(id);
        return now;
      }),
    [],
  );
  const columns = useMemo(() => columnsWith(turnOver), [turnOver]);
  const take = (line: Line, e: MouseEvent) => {
    if (e.shiftKey) select(between(lines, last.current, line.id));
    else if (line.pieces.length === 1) pick(line.id, e);
    else if (e.ctrlKey || e.metaKey) {
      const more = selection.filter((id) => !line.pieces.includes(id));
      select(chosen.ids.has(line.id) ? more : [...more, ...line.pieces]);
    } else select(line.pieces);
    if (!e.shiftKey) last.current = line.id;
  };
  return (
    <>
      <Box sx={{ px: 1.5, pb: 1 }}>
        <InputBase
          fullWidth
          placeholder="Find a piece"
          inputProps={{ "aria-label": "Find a piece" }}
          value={text}
          onChange={(e) => setText(e.target.value)}
          sx={{ bgcolor: "background.paper", border: 1, borderColor: "divider", px: 1, fontSize: 13 }}
        />
        <Box sx={{ display: "flex", gap: 0.75, mt: 0.75 }} role="group" aria-label="Arranged by">
          {ARRANGEMENTS.map(([value, name, help]) => (
            <ButtonBase
              key={value}
              title={help}
              aria-pressed={arranged === value}
              onClick={() => {
                localStorage.setItem(ARRANGED, value);
                setArranged(value);
                setOpen(new Set());
              }}
              sx={{ ...small, borderColor: arranged === value ? "secondary.main" : "divider" }}
            >
              {name}
            </ButtonBase>
          ))}
        </Box>
      </Box>
      <Box
        sx={{ flex: 1, minHeight: 0, borderTop: 1, borderColor: "divider" }}
        onPointerLeave={() => point(null)}
      >
        <DataGrid
          apiRef={grid}
          aria-label="Pieces"
          rows={lines}
          columns={columns}
          rowHeight={26}
          columnHeaderHeight={0}
          hideFooter
          disableColumnMenu
          // several can be chosen only with boxes to check, which nobody needs to see
          checkboxSelection
          columnVisibilityModel={NO_BOXES}
          disableRowSelectionOnClick
          rowSelectionModel={chosen}
          onRowClick={({ row }, e) => take(row as Line, e)}
          onRowDoubleClick={() => look("selection")}
          onCellKeyDown={({ row }, e) => {
            const line = row as Line;
            if (e.key === "Enter") select(line.pieces);
            const over = e.key === "ArrowRight" ? line.opens === false : e.key === "ArrowLeft" && line.opens;
            if (over) {
              turnOver(line.id);
              e.stopPropagation();
            }
          }}
          getRowClassName={({ row }) => {
            const line = row;
            const hovered = line.id === hover || (line.opens === false && line.pieces.includes(hover ?? ""));
            return (hovered ? "hovered" : "") + (line.id === lead ? " lead" : "");
          }}
          slots={{ noRowsOverlay: Nothing }}
          slotProps={{
            noRowsOverlay: {
              words: !schedule.isSuccess
                ? ""
                : words
                  ? `No piece here goes by “${text}”.`
                  : "The room is empty. Drag something in from the catalog.",
            },
            row: {
              onPointerEnter: (e: React.PointerEvent<HTMLElement>) => {
                const id = e.currentTarget.getAttribute("data-id");
                point(id && useSheet.getState().pieces.has(id) ? id : null);
              },
              // what the menu is for
              onContextMenu: (e: React.MouseEvent<HTMLElement>) => {
                const line = lines.find((l) => l.id === e.currentTarget.getAttribute("data-id"));
                if (line && !chosen.ids.has(line.id)) select(line.pieces);
              },
            },
          }}
          sx={GRID}
        />
      </Box>
    </>
  );
}

/** A name, and the size with as much room as it needs; what is under another is set in. */
const columnsWith = (turnOver: (id: string) => void): GridColDef<Line>[] => [
  {
    field: "words",
    headerName: "Piece and size",
    flex: 1,
    sortable: false,
    renderCell: ({ row }) => (
      <>
        {row.opens === null ? (
          <Box component="span" sx={{ width: 24, ml: row.depth * 1.5, flex: "none" }} />
        ) : (
          <ButtonBase
            tabIndex={-1}
            aria-label={(row.opens ? "Close " : "Open ") + row.words}
            aria-expanded={row.opens}
            onClick={(e) => {
              e.stopPropagation();
              turnOver(row.id);
            }}
            onDoubleClick={(e) => e.stopPropagation()}
            sx={{ width: 24, height: 24, ml: row.depth * 1.5, flex: "none", color: "text.secondary" }}
          >
            {row.opens ? "▾" : "▸"}
          </ButtonBase>
        )}
        <Box
          component="span"
          title={row.words}
          sx={{ flex: row.count > 1 ? "0 1 auto" : 1, overflow: "hidden", textOverflow: "ellipsis" }}
        >
          {row.words}
        </Box>
        {row.count > 1 && (
          <Box component="b" sx={{ flex: "1 0 auto", whiteSpace: "pre" }}>
            {" "}
            × {row.count}
          </Box>
        )}
        <Typography variant="caption" color="text.secondary" sx={{ flex: "none", pl: 1 }}>
          {row.size}
        </Typography>
      </>
    ),
  },
];

const NO_BOXES = { __check__: false };

declare module "@mui/x-data-grid" {
  interface NoRowsOverlayPropsOverrides {
    words: string;
  }
}

function Nothing({ words }: { words?: string }) {
  return (
    <Typography variant="body2" color="text.secondary" sx={{ p: 2 }}>
      {words}
    </Typography>
  );
}

const GRID = {
  border: 0,
  borderRadius: 0,
  fontSize: 13,
  "--DataGrid-t-color-background-base": "transparent",
  "& .MuiDataGrid-columnHeaders": { display: "none" },
  "& .MuiDataGrid-row": { cursor: "default" },
  "& .MuiDataGrid-cell": { border: 0, pl: 0.25, pr: 1.5, display: "flex", alignItems: "center" },
  "& .hovered, & .MuiDataGrid-row.Mui-selected, & .MuiDataGrid-row.Mui-selected:hover": {
    bgcolor: "background.paper",
  },
  "& .lead .MuiDataGrid-cell": { fontWeight: 650 },
  "& .MuiDataGrid-row.Mui-selected": {
    boxShadow: (t: { palette: { secondary: { main: string } } }) => `inset 3px 0 ${t.palette.secondary.main}`,
  },
};

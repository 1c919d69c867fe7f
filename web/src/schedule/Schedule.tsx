import Box from "@mui/material/Box";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { DataGrid, useGridApiRef, type GridColDef } from "@mui/x-data-grid";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useMemo, useState } from "react";
import { api } from "../api/client";
import type { ScheduleRow } from "../api/types.gen";
import { useSheet } from "../space/sheet";
import { pick } from "../verbs/verbs";

/** A name, and the size with as much room as it needs; what stands on another is set in. */
const ROW: GridColDef<ScheduleRow>[] = [
  {
    field: "name",
    headerName: "Piece and size",
    flex: 1,
    sortable: false,
    renderCell: ({ row }) => (
      <>
        <Box
          component="span"
          title={row.name}
          sx={{ flex: 1, pl: row.on ? 1.25 : 0, overflow: "hidden", textOverflow: "ellipsis" }}
        >
          {row.name}
        </Box>
        <Typography variant="caption" color="text.secondary" sx={{ flex: "none", pl: 1 }}>
          {row.size}
        </Typography>
      </>
    ),
  },
];

/** The list of all pieces, always that of the moment. */
export function Schedule() {
  const space = useSheet((s) => s.space)!;
  const unit = useSheet((s) => s.unit);
  const selection = useSheet((s) => s.selection);
  const hover = useSheet((s) => s.hover);
  const { select, point, look } = useSheet.getState();
  const [text, setText] = useState("");
  const grid = useGridApiRef();
  const schedule = useQuery({
    queryKey: ["schedule", space.id, space.revision, unit],
    queryFn: () => api.schedule(space.id, unit),
    placeholderData: (before) => before,
  });
  const all = schedule.data?.rows;
  const words = text.toLowerCase().trim();
  const rows = useMemo(
    () => (all ?? []).filter((r) => !words || (r.name + " " + r.kind).toLowerCase().includes(words)),
    [all, words],
  );
  const chosen = useMemo(
    () => ({ type: "include" as const, ids: new Set<string | number>(selection) }),
    [selection],
  );
  const lead = selection[selection.length - 1];
  useEffect(() => {
    const rowIndex = rows.findIndex((r) => r.id === lead);
    if (rowIndex >= 0) grid.current?.scrollToIndexes({ rowIndex });
  }, [lead, rows, grid]);
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
      </Box>
      <Box
        sx={{ flex: 1, minHeight: 0, borderTop: 1, borderColor: "divider" }}
        onPointerLeave={() => point(null)}
      >
        <DataGrid
          apiRef={grid}
          aria-label="Pieces"
          rows={rows}
          columns={ROW}
          rowHeight={26}
          columnHeaderHeight={0}
          hideFooter
          disableColumnMenu
          // several can be chosen only with boxes to check, which nobody needs to see
          checkboxSelection
          columnVisibilityModel={NO_BOXES}
          disableRowSelectionOnClick
          rowSelectionModel={chosen}
          onRowClick={({ id }, e) => pick(String(id), e)}
          onRowDoubleClick={() => look("selection")}
          onCellKeyDown={({ id }, e) => {
            if (e.key === "Enter") select([String(id)]);
          }}
          getRowClassName={({ id }) => (id === hover ? "hovered" : "") + (id === lead ? " lead" : "")}
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
              onPointerEnter: (e: React.PointerEvent<HTMLElement>) =>
                point(e.currentTarget.getAttribute("data-id")),
            },
          }}
          sx={GRID}
        />
      </Box>
    </>
  );
}

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
  "& .MuiDataGrid-cell": { border: 0, px: 1.5, display: "flex", alignItems: "center" },
  "& .hovered, & .MuiDataGrid-row.Mui-selected, & .MuiDataGrid-row.Mui-selected:hover": {
    bgcolor: "background.paper",
  },
  "& .lead .MuiDataGrid-cell": { fontWeight: 650 },
  "& .MuiDataGrid-row.Mui-selected": {
    boxShadow: (t: { palette: { secondary: { main: string } } }) => `inset 3px 0 ${t.palette.secondary.main}`,
  },
};

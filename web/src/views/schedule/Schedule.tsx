import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { DataGrid, useGridApiRef } from "@mui/x-data-grid";
import { useEffect, useMemo, useRef, useState, type MouseEvent } from "react";
import type { EditUnion as Edit } from "../../api/types.gen";
import { small } from "../fields/small";
import { pickAlone, useChosen } from "../../store/selecting";
import { useSheet } from "../../store/sheet";
import { columnsOf, totals } from "./columns";
import { between, type Arrangement, type Line } from "./lines";
import { useSchedule, type Sorted } from "./useSchedule";

const ARRANGEMENTS: [Arrangement, string, string][] = [
  ["alike", "alike", "What is alike is one line with its number"],
  ["carriers", "what stands on what", "What stands on a piece is under it"],
  ["layers", "layers", "By the layer each is on"],
  ["groups", "groups", "By the group each is in"],
  ["kinds", "kinds", "By the kind of each"],
];

/** What is looked for in the list, how it is arranged, and what it comes to. */
function ScheduleHead({ wide, schedule }: { wide: boolean; schedule: ReturnType<typeof useSchedule> }) {
  const selection = useSheet((s) => s.selection);
  const { showTable } = useSheet.getState();
  const { text, setText, how, arrange, rows } = schedule;
  return (
    <Box
      sx={{
        px: 1.5,
        pb: 1,
        display: "flex",
        flexWrap: "wrap",
        alignItems: "center",
        gap: 0.75,
        pt: wide ? 0.75 : 0,
      }}
    >
      <InputBase
        fullWidth={!wide}
        placeholder="Find a piece"
        inputProps={{ "aria-label": "Find a piece" }}
        value={text}
        onChange={(e) => setText(e.target.value)}
        sx={{ bgcolor: "background.paper", border: 1, borderColor: "divider", px: 1, fontSize: 13 }}
      />
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5 }} role="group" aria-label="Arranged by">
        {ARRANGEMENTS.map(([value, name, help]) => (
          <ButtonBase
            key={value}
            title={help}
            aria-pressed={how === value}
            onClick={() => arrange(value)}
            sx={{ ...small, borderColor: how === value ? "secondary.main" : "divider" }}
          >
            {name}
          </ButtonBase>
        ))}
        {!wide && (
          <ButtonBase title="With all there is to say of each" onClick={() => showTable(true)} sx={small}>
            as a table
          </ButtonBase>
        )}
      </Box>
      {wide && (
        <>
          <Typography
            variant="body2"
            color="text.secondary"
            data-testid="totals"
            sx={{ flex: 1, textAlign: "right", whiteSpace: "nowrap" }}
          >
            {totals(rows, selection)}
          </Typography>
          <ButtonBase title="Fold the table away" onClick={() => showTable(false)} sx={small}>
            fold away
          </ButtonBase>
        </>
      )}
    </Box>
  );
}

/**
 * The list of all pieces, always that of the moment.
 *
 * @param wide as a table with everything there is to say of each; else by names and sizes
 */
export function Schedule({ wide = false }: { wide?: boolean }) {
  const filing = useSheet((s) => s.space!.filing);
  const selection = useChosen();
  // a row that is pointed at shows so by itself
  const hover = useSheet((s) => (s.hover === pointed.row ? null : s.hover));
  const { select, look, edit } = useSheet.getState();
  const [sorted, setSorted] = useState<Sorted | null>(null);
  const schedule = useSchedule(sorted);
  const { text, lines, turnOver } = schedule;
  const last = useRef<string>("");
  const grid = useGridApiRef();
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
  const turn = useRef(turnOver);
  useEffect(() => {
    turn.current = turnOver;
  }, [turnOver]);
  const stage = useSheet((s) => s.space?.shell.stage !== undefined && s.space.shell.stage !== null);
  const columns = useMemo(
    () => columnsOf(wide, (id) => turn.current(id), filing, stage),
    [wide, filing, stage],
  );
  const take = (line: Line, e: MouseEvent) => {
    if (e.shiftKey) select(between(lines, last.current, line.id));
    else if (line.pieces.length === 1) pickAlone(line.id, e);
    else if (e.ctrlKey || e.metaKey) {
      const more = selection.filter((id) => !line.pieces.includes(id));
      select(chosen.ids.has(line.id) ? more : [...more, ...line.pieces]);
    } else select(line.pieces);
    if (!e.shiftKey) last.current = line.id;
  };
  /** What was typed into a line becomes an edit; refused, the line is as it was. */
  const typed = async (now: Line & Typed, before: Line) => {
    const made = now.typed && editOf(before, now.typed.field, now.typed.value);
    if (made) await edit([made]);
    return before;
  };
  return (
    <>
      <ScheduleHead wide={wide} schedule={schedule} />
      <Box
        sx={{ flex: 1, minHeight: 0, borderTop: 1, borderColor: "divider" }}
        onPointerLeave={() => leadTo(null)}
        onWheelCapture={() => (pointed.wheel = performance.now())}
      >
        <DataGrid
          apiRef={grid}
          aria-label={wide ? "Schedule" : "Pieces"}
          rows={lines}
          columns={columns}
          rowHeight={26}
          columnHeaderHeight={wide ? 28 : 0}
          hideFooter
          disableColumnMenu={!wide}
          disableColumnFilter
          sortingMode="server"
          onSortModelChange={([by]) => setSorted(by ? { field: by.field, down: by.sort === "desc" } : null)}
          isCellEditable={({ field, row }) => field !== "words" || (row as Line).count === 1}
          processRowUpdate={typed}
          // several can be chosen only with boxes to check, which nobody needs to see
          checkboxSelection
          columnVisibilityModel={NO_BOXES}
          disableRowSelectionOnClick
          rowSelectionModel={chosen}
          onRowClick={({ row }, e) => take(row as Line, e)}
          onCellDoubleClick={({ isEditable }) => !isEditable && look("selection")}
          onCellKeyDown={({ row, cellMode }, e) => {
            const line = row as Line;
            if (cellMode === "edit") return;
            if (e.key === "Enter" && !wide) select(line.pieces);
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
              words: !schedule.ready
                ? ""
                : text.trim()
                  ? `No piece here goes by “${text}”.`
                  : "The room is empty. Drag something in from the catalog.",
            },
            row: {
              onPointerEnter: (e: React.PointerEvent<HTMLElement>) => {
                // what passes under the pointer while one scrolls is not pointed at
                if (performance.now() - pointed.wheel < SCROLLS) return;
                const id = e.currentTarget.getAttribute("data-id");
                leadTo(id && useSheet.getState().pieces.has(id) ? id : null);
              },
              // what the menu is for
              onContextMenu: (e: React.MouseEvent<HTMLElement>) => {
                const line = lines.find((l) => l.id === e.currentTarget.getAttribute("data-id"));
                if (line && !chosen.ids.has(line.id)) select(line.pieces);
              },
            },
          }}
          sx={wide ? { ...GRID, ...WIDE } : GRID}
        />
      </Box>
    </>
  );
}

/** The row that is pointed at, and when the wheel was last turned. */
const pointed = { row: null as string | null, wheel: -Infinity };

/** So long after the wheel was turned one still scrolls, milliseconds. */
const SCROLLS = 150;

/** Leads to a piece in the drawings. */
function leadTo(row: string | null) {
  pointed.row = row;
  useSheet.getState().point(row);
}

/** What was typed into a line, by its column. */
export interface Typed {
  typed?: { field: string; value: string };
}

/** What typing into a column does. */
function editOf({ pieces, words }: Line, field: string, value: string): Edit | null {
  switch (field) {
    case "words":
      return value.trim() && value !== words ? { do: "rename", piece: pieces[0], name: value } : null;
    case "size":
      return value.trim() ? { do: "size", pieces, size: { width: value } } : null;
    case "remark":
      return { do: "remark", pieces, remark: value };
    default:
      return null;
  }
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
  "& .MuiDataGrid-cell": { border: 0, pl: 0.25, pr: 1.5, display: "flex", alignItems: "center" },
  "& .hovered, & .MuiDataGrid-row:hover, & .MuiDataGrid-row.Mui-selected, & .MuiDataGrid-row.Mui-selected:hover":
    {
      bgcolor: "background.paper",
    },
  "& .lead .MuiDataGrid-cell": { fontWeight: 650 },
  "& .MuiDataGrid-row.Mui-selected": {
    boxShadow: (t: { palette: { secondary: { main: string } } }) => `inset 3px 0 ${t.palette.secondary.main}`,
  },
};

const WIDE = {
  "& .MuiDataGrid-columnHeaders": {},
  "& .MuiDataGrid-columnHeader": { pl: 0.5, pr: 0.5, bgcolor: "background.default" },
  "& .MuiDataGrid-columnHeaderTitle": { fontWeight: 650, fontSize: 12, color: "text.secondary" },
  "& .MuiDataGrid-cell": {
    border: 0,
    px: 0.5,
    display: "flex",
    alignItems: "center",
    "&.MuiDataGrid-cell--textRight": { justifyContent: "flex-end" },
  },
  "& .MuiDataGrid-editInputCell": { fontSize: 13 },
};

import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import type { GridColDef } from "@mui/x-data-grid";
import type { FilingView, ScheduleRow } from "../../api/types.gen";
import { isPart } from "../../store/selection";
import { common, sizeOf, type Line } from "./lines";

const VARIOUS = "various";

/** What all pieces of a line have there, as text. */
const shared = (of: (row: ScheduleRow) => string) => (line: Line) => common(line.rows, of) ?? VARIOUS;

const sum = (rows: ScheduleRow[], of: (row: ScheduleRow) => number) =>
  rows.reduce((all, row) => all + of(row), 0);

const amount = (v: number, digits: number) =>
  v === 0 ? "" : v.toLocaleString("en-GB", { minimumFractionDigits: digits, maximumFractionDigits: digits });

/** How many there are and what they weigh and cost, of what is selected too. */
export function totals(all: ScheduleRow[], selection: string[]): string {
  const rows = all.filter((r) => !isPart(r.id));
  const words = (some: ScheduleRow[]) =>
    [
      `${
        amount(
          sum(some, (r) => r.weight),
          0,
        ) || "0"
      } kg`,
      `cost ${
        amount(
          sum(some, (r) => r.cost),
          0,
        ) || "0"
      }`,
    ].join(", ");
  const picked = new Set(selection);
  const some = rows.filter((r) => picked.has(r.id));
  const own = some.length > 1 ? `${some.length} selected: ${words(some)} — ` : "";
  return `${own}${rows.length} pieces: ${words(rows)}`;
}

/** The columns: by name and size only, or with all there is to say. */
export function columnsOf(
  wide: boolean,
  turnOver: (id: string) => void,
  filing: FilingView,
  stage: boolean,
): GridColDef<Line>[] {
  const name: GridColDef<Line> = {
    field: "words",
    headerName: wide ? "Name" : "Piece and size",
    flex: wide ? undefined : 1,
    width: wide ? 200 : undefined,
    sortable: wide,
    editable: wide,
    valueSetter: typed("words"),
    renderCell: ({ row }) => <Name row={row} wide={wide} turnOver={turnOver} />,
  };
  if (!wide) return [name];
  const layers = new Map(filing.layers.map((l) => [l.id, l.name]));
  const text = (
    field: string,
    headerName: string,
    width: number,
    of: (row: ScheduleRow) => string,
    editable = false,
  ): GridColDef<Line> => ({
    field,
    headerName,
    width,
    editable,
    valueGetter: (_, row) => shared(of)(row),
    valueSetter: typed(field),
    renderCell: ({ value }) => <Text value={value as string} />,
  });
  const number = (
    field: string,
    headerName: string,
    digits: number,
    of: (row: ScheduleRow) => number,
  ): GridColDef<Line> => ({
    field,
    headerName,
    width: 72,
    align: "right",
    headerAlign: "right",
    valueGetter: (_, row) => amount(sum(row.rows, of), digits),
  });
  return [
    name,
    { ...text("article", "Article", 125, (r) => r.articleName) },
    text("size", "Width × depth × height", 155, (r) => r.size, true),
    text("note", "Note", 130, (r) => r.note),
    // a stage is spoken of in words, which take more room
    text(
      "place",
      stage ? "From centre and setting line" : "Across, deep, high",
      stage ? 250 : 125,
      (r) => r.place,
    ),
    text("facing", "Facing", 58, (r) => r.facing),
    text("finish", "Finish", 95, (r) => r.finish),
    text("layer", "Layer", 85, (r) => layers.get(r.layer) ?? ""),
    number("weight", "kg", 1, (r) => r.weight),
    number("cost", "Cost", 0, (r) => r.cost),
    text("supplier", "Supplier", 120, (r) => r.supplier),
    { ...text("remark", "Remarks", 200, (r) => r.remark, true), flex: 1, minWidth: 110 },
  ];
}

const typed =
  (field: string) =>
  (value: string | null, row: Line): Line =>
    ({ ...row, typed: { field, value: value ?? "" } }) as Line;

function Text({ value }: { value: string }) {
  return (
    <Box
      component="span"
      title={value}
      sx={{
        overflow: "hidden",
        textOverflow: "ellipsis",
        color: value === VARIOUS ? "text.secondary" : undefined,
        fontStyle: value === VARIOUS ? "italic" : undefined,
      }}
    >
      {value}
    </Box>
  );
}

/** A name with what is under it set in, how many it stands for, and whether it is locked or hidden. */
function Name({ row, wide, turnOver }: { row: Line; wide: boolean; turnOver: (id: string) => void }) {
  const state = row.rows[0].hidden || row.rows[0].locked ? common(row.rows, stateOf) : null;
  return (
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
      {state && (
        <Typography variant="caption" sx={{ flex: "none", pl: 0.75, color: "secondary.main" }}>
          {state}
        </Typography>
      )}
      {!wide && (
        <Typography variant="caption" color="text.secondary" sx={{ flex: "none", pl: 1 }}>
          {common(row.rows, sizeOf) ?? ""}
        </Typography>
      )}
    </>
  );
}

const stateOf = (r: ScheduleRow) =>
  [r.locked ? "locked" : "", r.hidden ? "hidden" : ""].filter(Boolean).join(", ");

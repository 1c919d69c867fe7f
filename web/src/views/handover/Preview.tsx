import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { api } from "../../api/client";
import { useSheet } from "../../store/sheet";
import type { Said } from "../../tools/handover/handover";

/** What the file will be: a sheet of a drawing, the first lines of a list, or how much it is. */
export function Preview(p: {
  what: "list" | "drawing" | "model" | "still" | "project";
  /** "spaces/" or "projects/" and an id. */
  of: string;
  file: string;
  said: Said;
  sheet: number;
  onSheet: (n: number) => void;
}) {
  const revision = useSheet((s) => s.space!.revision);
  const many = p.file === "drawings.pdf" || p.file === "pack.zip";
  const looked = useQuery({
    queryKey: ["handover-preview", p.of, revision, p.file, p.said, p.sheet],
    queryFn: ({ signal }) =>
      api.handoverPreview(
        p.of,
        p.file,
        p.what === "drawing" && p.sheet > 1 ? { ...p.said, sheet: String(p.sheet) } : p.said,
        signal,
      ),
    enabled: p.what !== "project",
    placeholderData: (before, query) => (query?.queryKey[3] === p.file ? before : undefined),
    retry: false,
  });
  const seen = looked.data;
  if (p.what === "project") return null;
  return (
    <Box
      data-testid="handover-preview"
      data-ready={(!looked.isFetching && seen !== undefined) || undefined}
      sx={{ flex: 1, minHeight: 0, display: "flex", flexDirection: "column", px: 2.5, pb: 1.5 }}
    >
      <Box sx={{ height: 4, mb: 0.5 }}>{looked.isFetching && <LinearProgress color="secondary" />}</Box>
      {looked.isError && (
        <Typography role="alert" color="error" variant="body2">
          {looked.error.message}
        </Typography>
      )}
      {seen?.svg && (
        <Box
          component="img"
          alt={`Sheet ${p.sheet} of ${seen.sheets}`}
          src={"data:image/svg+xml;charset=utf-8," + encodeURIComponent(seen.svg)}
          sx={{ flex: 1, minHeight: 0, objectFit: "contain", boxShadow: 1, bgcolor: "#FFFFFF" }}
        />
      )}
      {seen?.still && (
        <>
          <Box
            component="img"
            alt={seen.words}
            src={`/api/stills/${seen.still}/seen.jpg`}
            sx={{ flex: 1, minHeight: 0, objectFit: "contain" }}
          />
          <Typography variant="caption" color="text.secondary" sx={{ pt: 0.5 }}>
            {seen.words}
          </Typography>
        </>
      )}
      {seen && seen.sheets > 1 && (
        <Box sx={{ display: "flex", justifyContent: "center", alignItems: "center", gap: 1, pt: 0.5 }}>
          <Button size="small" disabled={p.sheet <= 1} onClick={() => p.onSheet(p.sheet - 1)}>
            Back
          </Button>
          <Typography variant="body2">
            sheet {p.sheet} of {seen.sheets}
          </Typography>
          <Button size="small" disabled={p.sheet >= seen.sheets} onClick={() => p.onSheet(p.sheet + 1)}>
            Next
          </Button>
        </Box>
      )}
      {seen?.rows && <Rows rows={seen.rows} words={seen.words} />}
      {seen && !seen.svg && !seen.rows && !seen.still && (
        <Typography color="text.secondary" sx={{ pt: 1 }}>
          {many
            ? "The plan, the ceiling plan, and every elevation and section that is offered, a sheet each."
            : ""}{" "}
          {seen.words} will be in it.
        </Typography>
      )}
    </Box>
  );
}

function Rows({ rows, words }: { rows: string[][]; words: string }) {
  const cell = { px: 1, py: 0.25, whiteSpace: "nowrap", borderBottom: "1px solid", borderColor: "divider" };
  return (
    <>
      <Box
        tabIndex={0}
        aria-label="The first lines"
        sx={{
          flex: 1,
          minHeight: 0,
          overflow: "auto",
          bgcolor: "background.paper",
          border: 1,
          borderColor: "divider",
        }}
      >
        <Box
          component="table"
          sx={{ borderCollapse: "collapse", fontSize: 12, fontFeatureSettings: "'tnum'" }}
        >
          <thead>
            <tr>
              {rows[0].map((h) => (
                <Box
                  component="th"
                  key={h}
                  sx={{
                    ...cell,
                    textAlign: "left",
                    position: "sticky",
                    top: 0,
                    bgcolor: "background.default",
                  }}
                >
                  {h}
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.slice(1).map((r, i) => (
              <tr key={i}>
                {r.map((c, k) => (
                  <Box
                    component="td"
                    key={k}
                    sx={{ ...cell, textAlign: /^-?[\d.,]+$/.test(c) ? "right" : "left" }}
                  >
                    {c}
                  </Box>
                ))}
              </tr>
            ))}
          </tbody>
        </Box>
      </Box>
      <Typography variant="caption" color="text.secondary" sx={{ pt: 0.5 }}>
        {words}
      </Typography>
    </>
  );
}

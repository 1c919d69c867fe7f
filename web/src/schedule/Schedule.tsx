import Box from "@mui/material/Box";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { api } from "../api/client";
import { pick } from "../verbs/verbs";
import { useSheet } from "../space/sheet";

/** The list of all pieces, always that of the moment. */
export function Schedule() {
  const space = useSheet((s) => s.space)!;
  const unit = useSheet((s) => s.unit);
  const selection = useSheet((s) => s.selection);
  const hover = useSheet((s) => s.hover);
  const { select, point, look } = useSheet.getState();
  const [text, setText] = useState("");
  const list = useRef<HTMLDivElement>(null);
  const schedule = useQuery({
    queryKey: ["schedule", space.id, space.revision, unit],
    queryFn: () => api.schedule(space.id, unit),
    placeholderData: (before) => before,
  });
  const all = schedule.data?.rows ?? [];
  const words = text.toLowerCase().trim();
  const rows = words ? all.filter((r) => (r.name + " " + r.kind).toLowerCase().includes(words)) : all;
  const lead = selection[selection.length - 1];
  useEffect(() => {
    list.current?.querySelector(`[data-piece="${lead}"]`)?.scrollIntoView({ block: "nearest" });
  }, [lead, all.length]);
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
        ref={list}
        role="listbox"
        aria-label="Pieces"
        aria-multiselectable
        sx={{ flex: 1, overflowY: "auto", borderTop: 1, borderColor: "divider" }}
        onPointerLeave={() => point(null)}
      >
        {rows.map((r) => {
          const chosen = selection.includes(r.id);
          return (
            <Box
              key={r.id}
              role="option"
              aria-selected={chosen}
              tabIndex={0}
              data-piece={r.id}
              onPointerEnter={() => point(r.id)}
              onClick={(e) => pick(r.id, e)}
              onDoubleClick={() => look("selection")}
              onKeyDown={(e) => e.key === "Enter" && select([r.id])}
              sx={{
                px: 1.5,
                py: 0.4,
                cursor: "default",
                display: "flex",
                gap: 1,
                alignItems: "baseline",
                bgcolor: chosen || hover === r.id ? "background.paper" : undefined,
                boxShadow: chosen ? (t) => `inset 3px 0 ${t.palette.secondary.main}` : undefined,
                "&:focus-visible": {
                  outline: (t) => `2px solid ${t.palette.primary.main}`,
                  outlineOffset: -2,
                },
              }}
            >
              <Typography variant="body2" noWrap sx={{ flex: 1, pl: r.on ? 1.25 : 0 }} title={r.name}>
                {r.name}
              </Typography>
              <Typography variant="caption" color="text.secondary" sx={{ whiteSpace: "nowrap" }}>
                {r.size}
              </Typography>
            </Box>
          );
        })}
        {schedule.isSuccess && all.length === 0 && (
          <Typography variant="body2" color="text.secondary" sx={{ p: 2 }}>
            The room is empty. Drag something in from the catalog.
          </Typography>
        )}
        {all.length > 0 && rows.length === 0 && (
          <Typography variant="body2" color="text.secondary" sx={{ p: 2 }}>
            No piece here goes by “{text}”.
          </Typography>
        )}
      </Box>
    </>
  );
}

import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Snackbar from "@mui/material/Snackbar";
import { useEffect, useRef, useState } from "react";
import { Plan } from "../drawings/Plan";
import { SetView } from "../drawings/SetView";
import { useLive } from "../state/live";
import { useSheet } from "../state/sheet";
import { Caption } from "./Caption";
import { Catalog } from "./Catalog";
import { Head } from "./Head";
import { KeysDialog, useKeys } from "./keys";
import { Schedule } from "./Schedule";
import { Side } from "./Side";

/** The sheet: head, catalog, drawings, schedule, caption. */
export function SheetPage() {
  const space = useSheet((s) => s.space);
  const [keys, setKeys] = useState(false);
  useLive(space?.id);
  useKeys(() => setKeys(true));
  useEffect(() => {
    document.title = space ? space.name + " – Pied" : "Pied";
  }, [space]);
  return (
    <Box sx={{ height: "100vh", display: "grid", gridTemplateRows: "44px minmax(0, 1fr) 64px" }}>
      <Head onKeys={() => setKeys(true)} />
      <Box sx={{ display: "flex", minHeight: 0 }}>
        <Side name="Catalog" width={260} edge="left">
          <Catalog />
        </Side>
        <Drawings />
        <Side name="Schedule" width={280} edge="right">
          <Schedule />
        </Side>
      </Box>
      <Caption />
      <Notice />
      <KeysDialog open={keys} onClose={() => setKeys(false)} />
    </Box>
  );
}

/** One drawing large, or two; beside or above each other, whichever leaves them larger. */
function Drawings() {
  const layout = useSheet((s) => s.layout);
  const outline = useSheet((s) => s.space!.shell.outline);
  const frame = useRef<HTMLDivElement>(null);
  const [above, setAbove] = useState(false);
  useEffect(() => {
    const xs = outline.map((p) => p.x);
    const zs = outline.map((p) => p.z);
    const w = Math.max(...xs) - Math.min(...xs) + 1.4;
    const d = Math.max(...zs) - Math.min(...zs) + 1.4;
    const watch = new ResizeObserver(([e]) => {
      const { width, height } = e.contentRect;
      const beside = Math.min(width / 2 / w, height / d);
      setAbove(Math.min(width / w, height / 2 / d) > beside);
    });
    watch.observe(frame.current!);
    return () => watch.disconnect();
  }, [outline]);
  return (
    <Box
      ref={frame}
      data-testid="drawings"
      sx={{
        flex: 1,
        minWidth: 0,
        display: "flex",
        flexDirection: above ? "column" : "row",
        bgcolor: "divider",
        gap: "1px",
      }}
    >
      {layout !== "set" && <Plan />}
      {layout !== "plan" && <SetView />}
    </Box>
  );
}

/** What there is to say about what was just done, or why it was refused. */
function Notice() {
  const notice = useSheet((s) => s.notice);
  const hush = useSheet((s) => s.hush);
  return (
    <Snackbar
      key={notice?.at}
      open={notice !== null}
      onClose={(_, reason) => reason !== "clickaway" && hush()}
      autoHideDuration={notice?.kind === "refused" ? 12000 : 6000}
      anchorOrigin={{ vertical: "bottom", horizontal: "center" }}
      sx={{ mb: 7 }}
    >
      <Alert
        data-testid="notice"
        severity={notice?.kind === "refused" ? "error" : "info"}
        variant="outlined"
        onClose={hush}
        sx={{ bgcolor: "background.paper", py: 0 }}
      >
        {notice?.text}
      </Alert>
    </Snackbar>
  );
}

import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import Snackbar from "@mui/material/Snackbar";
import Typography from "@mui/material/Typography";
import useMediaQuery from "@mui/material/useMediaQuery";
import { useEffect, useRef, useState, type ReactNode } from "react";
import { ElevationSheet } from "../views/drawings/ElevationSheet";
import { Plan } from "../views/drawings/Plan";
import { SetView } from "../views/set/SetView";
import { api } from "../api/client";
import { useLive } from "../store/live";
import type { Offer } from "../api/types.gen";
import { useSheet } from "../store/sheet";
import type { Tab } from "../store/looking";
import { largeOf } from "../store/drawingNames";
import { Caption } from "../views/caption/Caption";
import { Catalog } from "../views/catalog/Catalog";
import { HandoverSheet } from "../views/handover/HandoverSheet";
import { StillSheet } from "../views/still/StillSheet";
import { FinishLeaf } from "../views/finish/FinishLeaf";
import { LightLeaf } from "../views/light/LightLeaf";
import { FinishPointer } from "../views/finish/FinishPointer";
import { Head } from "./Head";
import { Incoming } from "../views/catalog/Incoming";
import { KeysDialog } from "../views/verbs/KeysDialog";
import { useKeys } from "../views/verbs/useKeys";
import { VerbLine } from "../views/verbs/VerbLine";
import { useVerbMenu } from "../views/verbs/VerbMenu";
import { LayersPanel } from "../views/layers/LayersPanel";
import { Schedule } from "../views/schedule/Schedule";
import { ShellPanel } from "../views/shell/ShellPanel";
import { Side } from "./Side";
import { Strip } from "./Strip";

/** The sheet: head, catalog, drawings, schedule, caption. */
export function SheetPage() {
  const id = useSheet((s) => s.space?.id);
  const name = useSheet((s) => s.space?.name);
  const tab = useSheet((s) => s.tab);
  const table = useSheet((s) => s.table);
  const wide = useMediaQuery(WIDE);
  const leaves: Tab[] = [...LEFT, ...(wide ? [] : (["schedule"] as Tab[]))];
  const leaf = leaves.includes(tab) ? tab : "catalog";
  useLive(id);
  useKeys();
  const { menu, handlers } = useVerbMenu();
  useEffect(() => {
    document.title = name === undefined ? "Pied" : name + " – Pied";
  }, [name]);
  return (
    <Box
      {...handlers}
      sx={{
        height: "100vh",
        display: "grid",
        gridTemplateRows: "44px minmax(0, 1fr) 64px 30px",
        gridTemplateColumns: "minmax(0, 1fr)",
      }}
    >
      <Head />
      <Box sx={{ display: "flex", minHeight: 0 }}>
        <Side name={WORDS[leaf]} width={268} edge="left" leaves={<Leaves names={leaves} now={leaf} />}>
          {LEAVES[leaf]}
        </Side>
        <Box sx={{ flex: 1, minWidth: 0, display: "flex", flexDirection: "column" }}>
          <Drawings />
          {table ? <Table /> : <Strip />}
        </Box>
        {wide && (
          <Side name="Schedule" width={300} edge="right">
            <Schedule />
          </Side>
        )}
      </Box>
      <Caption />
      <VerbLine />
      <Notice />
      <Trouble />
      <Removed />
      <Incoming />
      <FinishPointer />
      <HandoverSheet />
      <StillSheet />
      <KeysDialog />
      {menu}
    </Box>
  );
}

/** The schedule with all there is to say of each piece, under the drawings. */
function Table() {
  return (
    <Box
      component="section"
      aria-label="Schedule as a table"
      sx={{
        height: "44%",
        minHeight: 180,
        flex: "none",
        display: "flex",
        flexDirection: "column",
        borderTop: 1,
        borderColor: "divider",
        bgcolor: "background.default",
      }}
    >
      <Schedule wide />
    </Box>
  );
}

/** Here the schedule stands on the right for itself; on less it would take the room from the drawings. */
const WIDE = "(min-width: 1440px)";

const LEFT: Tab[] = ["catalog", "finishes", "light", "shell", "layers"];

const WORDS: Record<Tab, string> = {
  catalog: "Catalog",
  finishes: "Finishes",
  light: "Light",
  shell: "Shell",
  layers: "Layers",
  schedule: "Schedule",
};

const LEAVES: Record<Tab, ReactNode> = {
  catalog: <Catalog />,
  finishes: <FinishLeaf />,
  light: <LightLeaf />,
  shell: <ShellPanel />,
  layers: <LayersPanel />,
  schedule: <Schedule />,
};

/** What one furnishes with, what one furnishes, and what is there. */
function Leaves({ names, now }: { names: Tab[]; now: Tab }) {
  return (
    <Box role="tablist" aria-label="Leaves" sx={{ flex: 1, display: "flex", pl: 0.25 }}>
      {names.map((name) => (
        <ButtonBase
          key={name}
          role="tab"
          aria-selected={now === name}
          onClick={() => useSheet.getState().setTab(name)}
          sx={{
            px: 0.15,
            height: 32,
            color: now === name ? "text.primary" : "text.secondary",
            boxShadow: now === name ? (t) => `inset 0 -2px ${t.palette.secondary.main}` : undefined,
          }}
        >
          <Typography component="span" variant="h2" sx={{ fontSize: 11 }}>
            {WORDS[name]}
          </Typography>
        </ButtonBase>
      ))}
    </Box>
  );
}

/** One drawing large, or two; beside or above each other, whichever leaves them larger. */
function Drawings() {
  const space = useSheet((s) => s.space)!;
  const large = useSheet((s) => s.large);
  const outline = space.shell.outline;
  const stage = space.shell.stage;
  const frame = useRef<HTMLDivElement>(null);
  const [above, setAbove] = useState(false);
  useEffect(() => {
    const xs = outline.map((p) => p.x);
    const zs = outline.map((p) => p.z);
    const w = Math.max(...xs) - Math.min(...xs) + 1.4;
    const d = Math.max(...zs) - Math.min(...zs) + 1.4 + (stage?.apron?.depth ?? 0);
    const watch = new ResizeObserver(([e]) => {
      const { width, height } = e.contentRect;
      const beside = Math.min(width / 2 / w, height / d);
      setAbove(Math.min(width / w, height / 2 / d) > beside);
    });
    watch.observe(frame.current!);
    return () => watch.disconnect();
  }, [outline, stage]);
  return (
    <Box
      ref={frame}
      data-testid="drawings"
      sx={{
        flex: 1,
        minWidth: 0,
        minHeight: 0,
        display: "flex",
        flexDirection: above ? "column" : "row",
        bgcolor: "divider",
        gap: "1px",
        userSelect: "none",
      }}
    >
      {largeOf(space, large).map((name) =>
        name === "plan" ? (
          <Plan key={name} />
        ) : name === "set" ? (
          <SetView key={name} />
        ) : (
          <ElevationSheet key={name} name={name} />
        ),
      )}
    </Box>
  );
}

/** Why nothing can be saved, for as long as it is so. */
function Trouble() {
  const trouble = useSheet((s) => s.trouble);
  return (
    <Snackbar
      open={trouble !== ""}
      anchorOrigin={{ vertical: "top", horizontal: "center" }}
      sx={{ mt: 5, maxWidth: 640 }}
    >
      <Alert data-testid="trouble" severity="error" variant="outlined" sx={{ bgcolor: "background.paper" }}>
        <b>What you did last is not saved.</b> {trouble} It waits here and goes out by itself; until then
        nothing else is taken.
      </Alert>
    </Snackbar>
  );
}

/** The space was removed while one works in it: one click brings it back. */
function Removed() {
  const aside = useSheet((s) => s.space?.aside);
  if (!aside) return null;
  const back = async () => {
    await api.restore(aside.what as "projects" | "spaces", aside.id);
    useSheet.getState().putAside(null);
  };
  return (
    <Snackbar open anchorOrigin={{ vertical: "top", horizontal: "center" }} sx={{ mt: 5, maxWidth: 640 }}>
      <Alert
        data-testid="removed"
        severity="warning"
        variant="outlined"
        sx={{ bgcolor: "background.paper" }}
        action={
          <Button color="inherit" size="small" onClick={() => void back()}>
            Bring it back
          </Button>
        }
      >
        {aside.words} You can look at it; nothing is done in it until it is brought back.
      </Alert>
    </Snackbar>
  );
}

/** Does what was offered. */
function take({ edits, step: how }: Offer) {
  const { edit, step } = useSheet.getState();
  if (!how) void edit(edits);
  else void step(how === "redoPossible" ? "redo" : "undo", how);
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
      anchorOrigin={{ vertical: "bottom", horizontal: "center" }}
      sx={{ mb: 10 }}
    >
      <Alert
        data-testid="notice"
        severity={notice?.kind === "refused" ? "error" : "info"}
        variant="outlined"
        onClose={hush}
        sx={{ bgcolor: "background.paper", py: 0 }}
      >
        {notice?.text}
        {notice?.offers.map((o) => (
          <Button key={o.words} size="small" variant="outlined" sx={{ ml: 1 }} onClick={() => take(o)}>
            {o.words}
          </Button>
        ))}
      </Alert>
    </Snackbar>
  );
}

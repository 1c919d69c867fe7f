import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import InputBase from "@mui/material/InputBase";
import LinearProgress from "@mui/material/LinearProgress";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState, type FormEvent } from "react";
import { api } from "../../api/client";
import type { FetchView, SupplierView, WareCard } from "../../api/types.gen";
import { note } from "../../store/shelf";
import { useSheet } from "../../store/sheet";

/** How often one looks how far fetching has come, ms. */
const LOOK = 300;

/** How often a supplier that does not answer is asked again, ms. */
const AWAY = 5000;

const isOver = (f: FetchView) => f.state === "done" || f.state === "failed" || f.state === "stopped";

/** An outside supplier's library: sign in, look, fetch; from then on it is in the catalog. */
export function Supplier({ onClose }: { onClose: () => void }) {
  const supplier = useQuery({
    queryKey: ["supplier"],
    queryFn: api.supplier,
    gcTime: 0,
    refetchInterval: (q) => (q.state.data?.answers === false ? AWAY : false),
  });
  const view = supplier.data;
  return (
    <Dialog open onClose={onClose} maxWidth={false} aria-label="Supplier">
      <Box sx={{ width: 720, p: 2.5 }}>
        <Box sx={{ display: "flex", alignItems: "baseline", gap: 1.5, mb: 1.5 }}>
          <Typography variant="h1" sx={{ flex: 1 }}>
            {view?.name ?? "The supplier"}
          </Typography>
          {view?.user && (
            <>
              <Typography variant="caption" color="text.secondary">
                signed in as {view.user}
              </Typography>
              <Button
                size="small"
                onClick={async () => {
                  await api.signOut();
                  await supplier.refetch();
                }}
              >
                Sign out
              </Button>
            </>
          )}
          <Button size="small" onClick={onClose}>
            Close
          </Button>
        </Box>
        {!view && <LinearProgress color="secondary" />}
        {view && !view.answers && (
          <Typography role="alert" variant="body2" sx={{ mb: 1.5 }}>
            {view.said} What you fetched before is in the catalog as always.{" "}
            <Button size="small" onClick={() => void supplier.refetch()}>
              Try again
            </Button>
          </Typography>
        )}
        {view?.answers && !view.user && <SignIn view={view} onSignedIn={() => void supplier.refetch()} />}
        {view?.answers && view.user && <Wares onClose={onClose} onLost={() => void supplier.refetch()} />}
      </Box>
    </Dialog>
  );
}

function SignIn({ view, onSignedIn }: { view: SupplierView; onSignedIn: () => void }) {
  const [user, setUser] = useState("");
  const [password, setPassword] = useState("");
  const [wrong, setWrong] = useState("");
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await api.signIn(user, password);
      onSignedIn();
    } catch (x) {
      setWrong((x as Error).message);
    }
  };
  return (
    <Box component="form" onSubmit={(e) => void submit(e)} sx={{ maxWidth: 320 }}>
      <TextField
        size="small"
        fullWidth
        autoFocus
        label="Name"
        value={user}
        onChange={(e) => setUser(e.target.value)}
        sx={{ mb: 1.5 }}
      />
      <TextField
        size="small"
        fullWidth
        type="password"
        label="Password"
        value={password}
        onChange={(e) => setPassword(e.target.value)}
        sx={{ mb: 1 }}
      />
      {view.demoUser && (
        <Typography variant="caption" color="text.secondary" sx={{ display: "block", mb: 1 }}>
          To try it: {view.demoUser}, password {view.demoPassword}
        </Typography>
      )}
      {wrong && (
        <Typography role="alert" color="error" variant="body2" sx={{ mb: 1 }}>
          {wrong}
        </Typography>
      )}
      <Button type="submit" variant="contained">
        Sign in
      </Button>
    </Box>
  );
}

function Wares({ onClose, onLost }: { onClose: () => void; onLost: () => void }) {
  const [text, setText] = useState("");
  const [page, setPage] = useState(1);
  const unit = useSheet((s) => s.unit);
  const project = useSheet((s) => s.space!.project);
  const queries = useQueryClient();
  const wares = useQuery({
    queryKey: ["wares", text, page, project, unit],
    queryFn: () => api.wares(text, page, project, unit),
    placeholderData: (before) => before,
    retry: false,
  });
  const fetches = useQuery({
    queryKey: ["fetches", project],
    queryFn: () => api.fetches(project),
    refetchInterval: (q) => (q.state.data?.some((f) => !isOver(f)) ? LOOK : false),
  });
  const done = fetches.data?.filter((f) => f.state === "done").length ?? 0;
  useEffect(() => {
    if (done === 0) return;
    void queries.invalidateQueries({ queryKey: ["catalog"] });
    void queries.invalidateQueries({ queryKey: ["wares"] });
  }, [done, queries]);
  useEffect(() => {
    if (wares.isError) onLost();
  }, [wares.isError, onLost]);
  const of = new Map(fetches.data?.map((f) => [f.ware, f]));
  const shown = wares.data;
  return (
    <>
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", mb: 1 }}>
        <InputBase
          autoFocus
          placeholder="Search what they have"
          inputProps={{ "aria-label": "Search the supplier" }}
          value={text}
          onChange={(e) => {
            setText(e.target.value);
            setPage(1);
          }}
          sx={{
            flex: 1,
            bgcolor: "background.paper",
            border: 1,
            borderColor: "divider",
            px: 1,
            fontSize: 13,
          }}
        />
        {shown && (
          <Typography variant="caption" color="text.secondary">
            {shown.found} found
          </Typography>
        )}
      </Box>
      <Box
        role="list"
        aria-label="Wares"
        sx={{ height: 420, overflowY: "auto", border: 1, borderColor: "divider" }}
      >
        {shown?.wares.map((w) => (
          <Ware key={w.id} ware={w} fetch={of.get(w.id)} project={project} onClose={onClose} />
        ))}
        {shown?.found === 0 && (
          <Typography variant="body2" color="text.secondary" sx={{ p: 2 }}>
            They have nothing of that name. Try a shorter word, such as “chair” or “rug”.
          </Typography>
        )}
        {wares.isError && (
          <Typography role="alert" variant="body2" color="error" sx={{ p: 2 }}>
            {wares.error.message}
          </Typography>
        )}
      </Box>
      {shown && shown.pages > 1 && (
        <Box sx={{ display: "flex", justifyContent: "center", alignItems: "center", gap: 1, mt: 1 }}>
          <Button size="small" disabled={shown.page <= 1} onClick={() => setPage(shown.page - 1)}>
            Back
          </Button>
          <Typography variant="body2">
            page {shown.page} of {shown.pages}
          </Typography>
          <Button size="small" disabled={shown.page >= shown.pages} onClick={() => setPage(shown.page + 1)}>
            Next
          </Button>
        </Box>
      )}
    </>
  );
}

const MOUNTING: Record<string, string> = {
  stands: "stands",
  tops: "stands on tops",
  wall: "on a wall",
  hangs: "hangs",
  opening: "in an opening",
};

const kilobytes = (bytes: number) => Math.max(1, Math.round(bytes / 1000)).toLocaleString("en") + " kB";

function Ware(props: { ware: WareCard; fetch?: FetchView; project: string; onClose: () => void }) {
  const { ware: w, fetch: f, project } = props;
  const queries = useQueryClient();
  const again = () => queries.invalidateQueries({ queryKey: ["fetches", project] });
  const begin = async () => {
    try {
      await api.fetchWare(project, w.id);
    } catch (e) {
      useSheet.getState().say((e as Error).message, "refused");
    }
    await again();
  };
  const place = async () => {
    const { unit, place } = useSheet.getState();
    const id = w.article ?? f?.article;
    if (!id) return;
    const article = await api.article(id, unit);
    note(article.id);
    place({ article, turn: 0 });
    props.onClose();
  };
  const running = f !== undefined && !isOver(f);
  return (
    <Box
      role="listitem"
      aria-label={w.name}
      sx={{
        display: "flex",
        gap: 2,
        alignItems: "center",
        px: 1.5,
        py: 0.75,
        borderBottom: 1,
        borderColor: "divider",
        fontSize: 13,
      }}
    >
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Typography variant="body2" sx={{ fontWeight: 600 }}>
          {w.name}
        </Typography>
        <Typography variant="caption" color="text.secondary">
          {w.kind.replaceAll("/", " · ")}, {MOUNTING[w.mounting] ?? w.mounting}
          {w.weight > 0 && `, ${w.weight} kg`}
        </Typography>
      </Box>
      <Box sx={{ width: 130 }}>{w.sizeText}</Box>
      <Box sx={{ width: 56, textAlign: "right" }}>{w.price} kr</Box>
      <Box sx={{ width: 190, display: "flex", alignItems: "center", justifyContent: "flex-end", gap: 1 }}>
        {running && (
          <>
            <Box sx={{ flex: 1 }}>
              <LinearProgress
                color="secondary"
                variant={f.state === "fetching" ? "determinate" : "indeterminate"}
                value={(100 * f.received) / f.total}
                aria-label={`Fetching ${w.name}`}
              />
              <Typography variant="caption" color="text.secondary" noWrap title={f.said}>
                {f.said || `${kilobytes(f.received)} of ${kilobytes(f.total)}`}
              </Typography>
            </Box>
            <Button
              size="small"
              onClick={async () => {
                await api.stopWare(project, w.id);
                await again();
              }}
            >
              Stop
            </Button>
          </>
        )}
        {!running && f?.state === "failed" && (
          <Typography variant="caption" color="error" role="alert">
            {f.said}
          </Typography>
        )}
        {!running && (w.article ?? f?.article) && (
          <Button size="small" variant="contained" onClick={() => void place()}>
            Place
          </Button>
        )}
        {!running && !(w.article ?? f?.article) && (
          <Button size="small" variant="outlined" onClick={() => void begin()}>
            {f ? "Try again" : `Fetch, ${kilobytes(w.bytes)}`}
          </Button>
        )}
      </Box>
    </Box>
  );
}

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Typography from "@mui/material/Typography";
import { useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { api } from "../../api/client";
import type { TakenIn } from "../../api/types.gen";

/** Takes in a project that left some Pied as an archive, and says what of it could not be. */
export function TakeIn() {
  const queries = useQueryClient();
  const input = useRef<HTMLInputElement>(null);
  const stop = useRef<AbortController | null>(null);
  const [busy, setBusy] = useState(false);
  const [taken, setTaken] = useState<TakenIn | null>(null);
  const [wrong, setWrong] = useState("");
  const take = async (file: File) => {
    stop.current = new AbortController();
    setBusy(true);
    setTaken(null);
    setWrong("");
    try {
      setTaken(await api.takeIn(file, stop.current.signal));
      await queries.invalidateQueries({ queryKey: ["projects"] });
    } catch (e) {
      if (!stop.current.signal.aborted) setWrong((e as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Box sx={{ mt: 2 }} data-testid="take-in">
      <input
        ref={input}
        type="file"
        accept=".zip,application/zip"
        aria-label="Archive of a project"
        hidden
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = "";
          if (file) void take(file);
        }}
      />
      <Button color="inherit" disabled={busy} onClick={() => input.current?.click()}>
        Take in an archive…
      </Button>
      {busy && (
        <Box sx={{ display: "flex", alignItems: "center", gap: 1, maxWidth: 320 }}>
          <LinearProgress color="secondary" sx={{ flex: 1 }} />
          <Button size="small" onClick={() => stop.current?.abort()}>
            Stop
          </Button>
        </Box>
      )}
      {wrong && (
        <Typography role="alert" color="error" variant="body2">
          {wrong}
        </Typography>
      )}
      {taken && (
        <Typography variant="body2" role="status">
          <b>{taken.project.name}</b> is here{taken.said.length > 0 ? ", but not all of it:" : ", whole."}
        </Typography>
      )}
      {taken?.said.map((s) => (
        <Typography key={s} variant="body2" sx={{ color: "warning.dark" }}>
          {s}
        </Typography>
      ))}
    </Box>
  );
}

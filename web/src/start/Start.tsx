import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../api/client";
import { NewSpace } from "./NewSpace";

/** The projects and their spaces; where one begins. */
export function Start({ failed, loading }: { failed: string | null; loading: boolean }) {
  const projects = useQuery({ queryKey: ["projects"], queryFn: api.projects, staleTime: 0 });
  if (loading || projects.isPending) return <LinearProgress color="secondary" />;
  return (
    <Box sx={{ maxWidth: 640, mx: "auto", pt: 10, px: 3 }}>
      <Typography variant="h1" sx={{ fontSize: 34, mb: 0.5 }}>
        Pied
      </Typography>
      <Typography color="text.secondary" sx={{ mb: 4 }}>
        Furnish rooms and dress stages, true to size.
      </Typography>
      {failed && (
        <Typography color="error" sx={{ mb: 2 }}>
          {failed} Choose one of these.
        </Typography>
      )}
      {projects.isError && <Typography color="error">Pied does not answer. Is it still running?</Typography>}
      {projects.data?.length === 0 && (
        <Typography sx={{ mb: 2 }}>
          There is no project yet. Name one and give its first room three measures.
        </Typography>
      )}
      {projects.data?.map((p) => (
        <Paper key={p.id} variant="outlined" sx={{ p: 2, mb: 2 }}>
          <Typography variant="h2" sx={{ mb: 1 }}>
            {p.name}
          </Typography>
          {p.spaces.map((s) => (
            <Button key={s.id} href={"#/space/" + s.id} variant="outlined" sx={{ mr: 1 }}>
              {s.name}
            </Button>
          ))}
          <NewSpace project={p.id} />
        </Paper>
      ))}
      <NewProject />
    </Box>
  );
}

function NewProject() {
  const queries = useQueryClient();
  const [name, setName] = useState("");
  const [wrong, setWrong] = useState("");
  const make = async () => {
    try {
      await api.newProject(name);
      setName("");
      setWrong("");
      await queries.invalidateQueries({ queryKey: ["projects"] });
    } catch (e) {
      setWrong((e as Error).message);
    }
  };
  return (
    <Box
      component="form"
      onSubmit={(e) => {
        e.preventDefault();
        void make();
      }}
      sx={{ display: "flex", gap: 1 }}
    >
      <TextField
        size="small"
        label="New project"
        value={name}
        error={wrong !== ""}
        helperText={wrong}
        onChange={(e) => setName(e.target.value)}
      />
      <Button type="submit" variant="contained" sx={{ height: 36 }}>
        Make it
      </Button>
    </Box>
  );
}

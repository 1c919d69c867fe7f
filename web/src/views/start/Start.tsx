import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Snackbar from "@mui/material/Snackbar";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, Refused } from "../../api/client";
import { Named } from "./Named";
import { NewSpace } from "./NewSpace";
import { SpaceCard } from "./SpaceCard";
import { TakeIn } from "./TakeIn";
import { useWhole, type Gone } from "./useWhole";

/** While Pied is being made ready it is asked again. */
const isMadeReady = (times: number, e: Error) => e instanceof Refused && e.status === 503 && times < 120;

/** The projects and their spaces; where one begins. */
export function Start({ failed, loading }: { failed: string | null; loading: boolean }) {
  const projects = useQuery({
    queryKey: ["projects"],
    queryFn: api.projects,
    staleTime: 0,
    retry: isMadeReady,
    retryDelay: 500,
  });
  const [gone, setGone] = useState<Gone | null>(null);
  const [wrong, setWrong] = useState("");
  const whole = useWhole(setGone, setWrong);
  if (loading || projects.isPending) return <LinearProgress color="secondary" />;
  return (
    <Box component="main" sx={{ height: "100vh", overflowY: "auto" }}>
      <Box sx={{ maxWidth: 960, mx: "auto", pt: 5, pb: 10, px: 3 }}>
        <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, mb: 3 }}>
          <Typography variant="h1" sx={{ fontSize: 34 }}>
            Pied
          </Typography>
          <Typography color="text.secondary">Furnish rooms and dress stages, true to size.</Typography>
        </Box>
        {failed && (
          <Typography color="error" sx={{ mb: 2 }}>
            {failed} Choose one of these.
          </Typography>
        )}
        {wrong && (
          <Typography color="error" role="alert" sx={{ mb: 2 }}>
            {wrong}
          </Typography>
        )}
        {projects.isError && (
          <Typography color="error">Pied does not answer. Is it still running?</Typography>
        )}
        {projects.data?.length === 0 && (
          <Typography sx={{ mb: 2 }}>
            There is nothing here yet. Name a project first, a client’s job or a production, then give its
            first room three measures.
          </Typography>
        )}
        {projects.data?.map((p) => (
          <Box key={p.id} component="section" aria-label={p.name} sx={{ mb: 4 }}>
            <Box
              sx={{
                display: "flex",
                alignItems: "center",
                gap: 1,
                borderBottom: 1,
                borderColor: "divider",
                mb: 1.5,
              }}
            >
              <Typography variant="h2" component="h2" sx={{ fontSize: 20 }}>
                <Named
                  name={p.name}
                  what="project"
                  onRename={(name) => whole.rename("projects", p.id, name)}
                  onCopy={() => whole.copy("projects", p.id)}
                  onRemove={() => whole.remove("projects", p.id, p.name)}
                />
              </Typography>
            </Box>
            {p.spaces.length === 0 ? (
              <Typography variant="body2" color="text.secondary">
                No room yet: make its first one.
              </Typography>
            ) : (
              <Box
                sx={{
                  display: "grid",
                  gridTemplateColumns: "repeat(auto-fill, minmax(210px, 1fr))",
                  gap: 1.5,
                }}
              >
                {p.spaces.map((s) => (
                  <SpaceCard
                    key={s.id}
                    space={s}
                    name={
                      <Named
                        name={s.name}
                        what="space"
                        onRename={(name) => whole.rename("spaces", s.id, name)}
                        onCopy={() => whole.copy("spaces", s.id)}
                        onRemove={() => whole.remove("spaces", s.id, s.name)}
                      />
                    }
                  />
                ))}
              </Box>
            )}
            <NewSpace project={p.id} />
          </Box>
        ))}
        <NewProject />
        <TakeIn />
      </Box>
      <Snackbar
        open={gone !== null}
        onClose={(_, reason) => reason !== "clickaway" && setGone(null)}
        message={gone && `${gone.name} is removed.`}
        action={
          <Button color="inherit" onClick={() => gone && whole.restore(gone)}>
            Bring it back
          </Button>
        }
      />
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

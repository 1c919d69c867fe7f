import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import InputBase from "@mui/material/InputBase";
import Slider from "@mui/material/Slider";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { api } from "../../api/client";
import type { StillView } from "../../api/types.gen";
import { save } from "../../tools/handover/handover";
import { attempt, choose, isUnderWay } from "../../tools/still/still";
import { Choice } from "../handover/blanks";
import { useLoaded } from "./useLoaded";

const seen = (s: StillView) => `/api/stills/${s.id}/seen.jpg?v=${s.state}${s.version}`;

/** One picture as it grows and when it is made, what can be done with it, and another beside it. */
export function StillPicture(p: { still: StillView; stills: StillView[]; again: () => void }) {
  const { still, stills } = p;
  const [other, setOther] = useState("");
  const [how, setHow] = useState<How>("line");
  const beside = stills.find((s) => s.id === other);
  const does = async (what: "stop" | "go" | "anew") => {
    const now = await attempt(() => api.stillDoes(still.id, what));
    if (now && now.id !== still.id) choose(now.id);
    p.again();
  };
  const remove = async () => {
    await attempt(() => api.removeStill(still.id));
    choose(null);
    p.again();
  };
  const file = (ending: string) => save(`/api/stills/${still.id}/picture.${ending}`, "");
  const others = stills.filter((s) => s.id !== still.id && s.state === "made");
  return (
    <Box sx={{ flex: 1, minWidth: 0, display: "flex", flexDirection: "column" }}>
      <Shown still={still} beside={beside} how={how} />
      <Box sx={{ px: 2, py: 1, borderTop: 1, borderColor: "divider" }}>
        <Box sx={{ display: "flex", alignItems: "baseline", gap: 1 }}>
          <Name key={still.name} still={still} again={p.again} />
          <Typography variant="body2" color="text.secondary" noWrap sx={{ flex: 1 }} title={still.said}>
            {still.said}
          </Typography>
          <Typography variant="body2" data-testid="still-state" data-state={still.state}>
            {still.progress}
          </Typography>
        </Box>
        {still.trouble && (
          <Typography role="alert" variant="body2" color="error">
            {still.trouble}
          </Typography>
        )}
        <Box sx={{ display: "flex", alignItems: "center", gap: 1, mt: 0.75 }}>
          {isUnderWay(still) && <Button onClick={() => void does("stop")}>Stop</Button>}
          {still.state === "stopped" && (
            <Button variant="contained" onClick={() => void does("go")}>
              Go on
            </Button>
          )}
          {still.state === "made" && (
            <>
              <Button variant="contained" onClick={() => file("png")}>
                Save PNG
              </Button>
              <Button onClick={() => file("jpg")}>JPEG</Button>
              {!still.drawn && (
                <Button title="Radiance HDR: linear, cd/m²" onClick={() => file("hdr")}>
                  All its light
                </Button>
              )}
            </>
          )}
          {(still.outdated || still.state === "failed") && (
            <Button color="secondary" variant="outlined" onClick={() => void does("anew")}>
              Make it anew
            </Button>
          )}
          <Box sx={{ flex: 1 }} />
          {still.state === "made" && others.length > 0 && (
            <Box sx={{ fontSize: 15 }}>
              beside{" "}
              <Choice
                label="Compare with"
                value={other}
                options={{ "": "nothing", ...Object.fromEntries(others.map((s) => [s.id, s.name])) }}
                onChange={setOther}
              />
              {beside && (
                <>
                  ,{" "}
                  <Choice
                    label="How they are compared"
                    value={how}
                    options={{ line: "across a line", both: "both whole" }}
                    onChange={(h) => setHow(h as How)}
                  />
                </>
              )}
            </Box>
          )}
          <Button color="inherit" onClick={() => void remove()}>
            Remove
          </Button>
        </Box>
      </Box>
    </Box>
  );
}

/** Its name, in whose place another can be typed. */
function Name({ still, again }: { still: StillView; again: () => void }) {
  const [text, setText] = useState(still.name);
  const put = () => {
    const name = text.trim();
    if (name && name !== still.name) void attempt(() => api.nameStill(still.id, name)).then(again);
  };
  return (
    <InputBase
      value={text}
      onChange={(e) => setText(e.target.value)}
      onBlur={put}
      onKeyDown={(e) => e.key === "Enter" && put()}
      inputProps={{ "aria-label": "Name of the still", maxLength: 120 }}
      sx={{
        fontWeight: 600,
        fontSize: 15,
        width: 240,
        borderBottom: "1px dotted",
        borderColor: "text.secondary",
      }}
    />
  );
}

/** Of two pictures: one on each side of a line, or both next to each other. */
type How = "line" | "both";

const FILL = { position: "absolute", inset: 0, width: "100%", height: "100%", objectFit: "contain" } as const;

/** The picture, and another: each on its side of a line that is pulled across, or both whole. */
function Shown({ still, beside, how }: { still: StillView; beside?: StillView; how: How }) {
  const [line, setLine] = useState(50);
  const empty = still.state === "waiting" || still.state === "failed";
  const shown = useLoaded(empty ? null : seen(still));
  const half = beside !== undefined && how === "both" ? { width: "calc(50% - 4px)" } : {};
  return (
    <Box sx={{ flex: 1, minHeight: 0, position: "relative", bgcolor: "action.hover" }}>
      {shown === null && (
        <Typography
          color="text.secondary"
          sx={{ position: "absolute", top: "46%", width: "100%", textAlign: "center" }}
        >
          {still.state === "failed"
            ? "Nothing to see."
            : "It shows here as soon as there is something to see."}
        </Typography>
      )}
      {shown !== null && (
        <Box
          component="img"
          src={shown}
          alt={still.name}
          data-testid="still-seen"
          sx={{ ...FILL, ...half }}
        />
      )}
      {beside && (
        <Box
          component="img"
          src={seen(beside)}
          alt={beside.name}
          data-testid="still-beside"
          sx={
            how === "both"
              ? { ...FILL, ...half, left: "calc(50% + 4px)" }
              : { ...FILL, clipPath: `inset(0 0 0 ${line}%)` }
          }
        />
      )}
      {beside && how === "line" && (
        <>
          <Box
            sx={{
              position: "absolute",
              top: 0,
              bottom: 0,
              left: `${line}%`,
              borderLeft: 2,
              borderColor: "secondary.main",
            }}
          />
          <Slider
            value={line}
            onChange={(_, v) => setLine(v)}
            aria-label="The line between both"
            color="secondary"
            sx={{ position: "absolute", bottom: 4, left: 0, right: 0 }}
          />
        </>
      )}
    </Box>
  );
}

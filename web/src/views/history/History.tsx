import HistoryIcon from "@mui/icons-material/HistoryOutlined";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonBase from "@mui/material/ButtonBase";
import InputBase from "@mui/material/InputBase";
import Popover from "@mui/material/Popover";
import Tooltip from "@mui/material/Tooltip";
import Typography from "@mui/material/Typography";
import { useInfiniteQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import type { Deed } from "../../api/types.gen";
import { callMe, myName, WINDOW } from "../../api/who";
import { useSheet } from "../../store/sheet";

/** What was done, the latest first; a click goes to where that was the last thing. */
export function History() {
  const [at, setAt] = useState<HTMLElement | null>(null);
  return (
    <>
      <Tooltip title="What was done, by whom and when; go to any point">
        <Button
          color="inherit"
          startIcon={<HistoryIcon />}
          aria-haspopup="dialog"
          onClick={(e) => setAt(e.currentTarget)}
        >
          History
        </Button>
      </Tooltip>
      {at && (
        <Popover
          open
          anchorEl={at}
          onClose={() => setAt(null)}
          anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
        >
          {at && <Deeds />}
        </Popover>
      )}
    </>
  );
}

function Deeds() {
  const space = useSheet((s) => s.space)!;
  const unit = useSheet((s) => s.unit);
  const { goBackTo, turnAlone } = useSheet.getState();
  const [name, setName] = useState(myName);
  const found = useInfiniteQuery({
    queryKey: ["history", space.id, space.revision, unit],
    queryFn: ({ pageParam }) => api.history(space.id, pageParam, unit),
    initialPageParam: 0,
    getNextPageParam: (last) => (last.more ? last.deeds.at(-1)?.n : undefined),
    placeholderData: (before) => before,
  });
  const deeds = found.data?.pages.flatMap((p) => p.deeds) ?? [];
  const last = deeds.find((d) => d.stands);
  return (
    <Box data-testid="history" sx={{ width: 500, maxHeight: 560, display: "flex", flexDirection: "column" }}>
      <Box
        sx={{
          display: "flex",
          alignItems: "center",
          gap: 1,
          px: 1.5,
          py: 1,
          borderBottom: 1,
          borderColor: "divider",
        }}
      >
        <Typography variant="h2" sx={{ flex: 1 }}>
          History
        </Typography>
        <Typography variant="caption" color="text.secondary">
          You are
        </Typography>
        <InputBase
          value={name}
          placeholder="your name"
          inputProps={{ "aria-label": "Your name", maxLength: 60 }}
          onChange={(e) => {
            setName(e.target.value);
            callMe(e.target.value);
          }}
          sx={{ width: 130, border: 1, borderColor: "divider", px: 0.75, fontSize: 13 }}
        />
      </Box>
      <Box
        component="ol"
        aria-label="What was done"
        sx={{ m: 0, p: 0, overflowY: "auto", listStyle: "none" }}
      >
        {deeds.map((d) => (
          <Line
            key={d.n}
            deed={d}
            now={d === last}
            go={() => void goBackTo(d.n)}
            turn={() => void turnAlone(d.n)}
          />
        ))}
        {found.isSuccess && deeds.length === 0 && (
          <Typography component="li" variant="body2" color="text.secondary" sx={{ p: 1.5 }}>
            Nothing was done here yet.
          </Typography>
        )}
        {found.hasNextPage && (
          <Box component="li" sx={{ p: 1, textAlign: "center" }}>
            <Button disabled={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
              Further back
            </Button>
          </Box>
        )}
        {found.isSuccess && !found.hasNextPage && deeds.length > 0 && (
          <Box component="li">
            <ButtonBase
              disabled={last === undefined}
              onClick={() => void goBackTo(0)}
              sx={{ ...LINE, color: last ? "text.primary" : "text.secondary" }}
            >
              As it was at the beginning
            </ButtonBase>
          </Box>
        )}
      </Box>
    </Box>
  );
}

function Line({ deed, now, go, turn }: { deed: Deed; now: boolean; go: () => void; turn: () => void }) {
  const mine = deed.window === WINDOW;
  const who = deed.who || (mine ? "this window" : deed.window ? "another window" : "");
  return (
    <Box
      component="li"
      sx={{ display: "flex", "&:hover .turn, &:focus-within .turn": { color: "primary.main" } }}
    >
      <ButtonBase
        aria-current={now || undefined}
        disabled={now}
        title={now ? "The space is as it was then" : deed.stands ? "Back to here" : "On to here"}
        onClick={go}
        sx={{
          ...LINE,
          color: deed.stands ? "text.primary" : "text.secondary",
          fontStyle: deed.stands ? undefined : "italic",
          bgcolor: now ? "background.default" : undefined,
          boxShadow: now ? (t) => `inset 3px 0 ${t.palette.secondary.main}` : undefined,
        }}
      >
        <Box component="span" sx={{ flex: 1, minWidth: 0, overflowWrap: "anywhere" }}>
          {deed.words}
        </Box>
        <Box
          component="span"
          sx={{ flex: "none", color: "text.secondary", fontSize: 12, textAlign: "right" }}
        >
          {who}
          {who && ", "}
          {time(deed.at)}
        </Box>
      </ButtonBase>
      <ButtonBase
        className="turn"
        aria-label={`${deed.stands ? "Take out" : "Put back"}: ${deed.words}`}
        title={
          deed.stands
            ? "Takes this one thing out and leaves what came after it, where that has nothing to do with it"
            : "Does this one thing again"
        }
        onClick={turn}
        sx={{ flex: "none", width: 72, fontSize: 12, color: "text.secondary" }}
      >
        {deed.stands ? "take out" : "put back"}
      </ButtonBase>
    </Box>
  );
}

const LINE = {
  width: "100%",
  display: "flex",
  justifyContent: "flex-start",
  alignItems: "baseline",
  textAlign: "left",
  gap: 1.5,
  px: 1.5,
  py: 0.5,
  fontSize: 13,
  lineHeight: "18px",
  "&:hover, &:focus-visible": { bgcolor: "background.default" },
} as const;

/** The time of today, or the day and the time. */
function time(at: string): string {
  const then = new Date(at);
  const clock = then.toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });
  const today = new Date().toDateString() === then.toDateString();
  return today ? clock : `${then.toLocaleDateString("en-GB", { day: "numeric", month: "short" })} ${clock}`;
}

import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { useTheme } from "@mui/material/styles";
import { useQuery } from "@tanstack/react-query";
import { type ReactNode } from "react";
import { api } from "../../api/client";
import type { SpaceName } from "../../api/types.gen";
import { Inks } from "../drawings/Inks";
import { ring } from "../paper/paths";

const WIDE = 200;
const HIGH = 118;

const DAY = 86_400_000;

/** When something was, as one says it: today with the time, else the day. */
function said(when: string): string {
  const then = new Date(when);
  const today = new Date().toDateString() === then.toDateString();
  const yesterday = new Date(Date.now() - DAY).toDateString() === then.toDateString();
  const time = then.toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });
  if (today || yesterday) return `${today ? "today" : "yesterday"} ${time}`;
  return then.toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" });
}

/** A space: small as core draws it, its name, how much is in it and when it was last worked on. */
export function SpaceCard({ space, name }: { space: SpaceName; name: ReactNode }) {
  const n = space.pieces;
  return (
    <Paper
      variant="outlined"
      sx={{ "&:hover, &:focus-within": { borderColor: "primary.main" }, overflow: "hidden" }}
    >
      <Box
        component="a"
        href={"#/space/" + space.id}
        aria-label={space.name}
        sx={{ display: "grid", placeItems: "center", height: HIGH + 16, bgcolor: "background.default" }}
      >
        <Drawn space={space} />
      </Box>
      <Box sx={{ px: 1.25, py: 0.75, borderTop: 1, borderColor: "divider" }}>
        <Typography component="h3" sx={{ fontSize: 15, fontWeight: 600 }}>
          {name}
        </Typography>
        <Typography
          variant="caption"
          color="text.secondary"
          sx={{ display: "flex", justifyContent: "space-between" }}
        >
          <span>{n === 0 ? "empty" : n === 1 ? "one piece" : `${n} pieces`}</span>
          <span title="Last worked on">{said(space.workedOn)}</span>
        </Typography>
      </Box>
    </Paper>
  );
}

function Drawn({ space }: { space: SpaceName }) {
  const { palette } = useTheme();
  const card = useQuery({
    queryKey: ["card", space.id, space.workedOn],
    queryFn: () => api.card(space.id),
  }).data?.card;
  if (!card) return null;
  const [x0, z0, x1, z1] = card.extent;
  return (
    <svg
      width={WIDE}
      height={HIGH}
      viewBox={`${x0} ${z0} ${x1 - x0} ${z1 - z0}`}
      data-testid="card"
      aria-hidden
    >
      <Inks inks={card.inks} small />
      {card.figures.map((f, i) => (
        <path
          key={i}
          d={ring(f)}
          fill={palette.background.paper}
          stroke={palette.text.primary}
          strokeWidth={0.6}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  );
}

import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";

const ACROSS = ["left", "", "right"];
const UPRIGHT = ["under", "", "top"];
const DEEP = ["back", "", "front"];

/** Where a corner of the figure stands, pixels: seen a little from its right and from above. */
function at(x: number, y: number, z: number) {
  return { left: 34 + x * 62 + z * 28, top: 128 - y * 50 - (2 - z) * 12 };
}

const name = (...words: string[]) => {
  const said = words.filter(Boolean);
  return said.length === 3 ? said.join(" ") : [...said, "middle"].join(" ");
};

const EDGES = [0, 1].flatMap((i) =>
  [0, 1].flatMap((k) => [
    [at(0, 2 * i, 2 * k), at(2, 2 * i, 2 * k)],
    [at(2 * i, 0, 2 * k), at(2 * i, 2, 2 * k)],
    [at(2 * i, 2 * k, 0), at(2 * i, 2 * k, 2)],
  ]),
);

const FRONT = [at(0, 0, 2), at(2, 0, 2), at(2, 2, 2), at(0, 2, 2)];

/** A small figure of a box with all its marks, to choose one; or none, for the usual. */
export function BoxFigure(props: { title: string; chosen: string | null; choose: (mark: string) => void }) {
  const { title, chosen, choose } = props;
  const marks = [0, 1, 2].flatMap((y) =>
    [0, 1, 2].flatMap((z) =>
      [0, 1, 2].map((x) => ({ mark: name(ACROSS[x], DEEP[z], UPRIGHT[y]), ...at(x, y, z) })),
    ),
  );
  return (
    <Box sx={{ p: 1.5, width: 268 }} data-testid="box-figure">
      <Typography sx={{ fontSize: 13 }}>{title}</Typography>
      <Box sx={{ position: "relative", height: 156 }}>
        <Box
          component="svg"
          sx={{ position: "absolute", inset: 0, width: 244, height: 156, color: "text.secondary" }}
          aria-hidden
        >
          {EDGES.map(([a, b], i) => (
            <line
              key={i}
              x1={a.left}
              y1={a.top}
              x2={b.left}
              y2={b.top}
              stroke="currentColor"
              strokeWidth={0.75}
            />
          ))}
          <polygon
            points={FRONT.map((p) => `${p.left},${p.top}`).join(" ")}
            fill="none"
            stroke="currentColor"
            strokeWidth={2}
          />
          <text
            x={at(1, 0, 2).left}
            y={at(1, 0, 2).top + 18}
            fontSize={12}
            textAnchor="middle"
            fill="currentColor"
          >
            front
          </text>
        </Box>
        {marks.map((m) => (
          <ButtonBase
            key={m.mark}
            aria-label={m.mark}
            aria-pressed={m.mark === chosen}
            title={m.mark}
            onClick={() => choose(m.mark)}
            style={{ left: m.left - 12, top: m.top - 12 }}
            sx={{ position: "absolute", width: 24, height: 24 }}
          >
            <Box
              sx={{
                width: 9,
                height: 9,
                border: "1.5px solid",
                borderColor: m.mark === chosen ? "secondary.main" : "primary.main",
                bgcolor: m.mark === chosen ? "secondary.main" : "background.paper",
                transform: "rotate(45deg)",
              }}
            />
          </ButtonBase>
        ))}
      </Box>
      <ButtonBase
        onClick={() => choose("")}
        sx={{ fontSize: 13, color: "primary.main", height: 24 }}
        aria-pressed={chosen === null}
      >
        as usual
      </ButtonBase>
    </Box>
  );
}

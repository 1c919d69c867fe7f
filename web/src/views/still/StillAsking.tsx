import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useSheet } from "../../store/sheet";
import { ask, askAll, say, useStills, type StillWish } from "../../tools/still/still";
import { Choice, Typed } from "../handover/blanks";

const GRADES = { draft: "draft", good: "good", fine: "fine", until: "until…" };

/** The sentence in which a picture is asked for. */
export function StillAsking() {
  const { viewpoints, looks } = useSheet((s) => s.space!.showing);
  const wish = useStills((s) => s.wish);
  const kept = viewpoints.filter((v) => v.group === "kept").length;
  const from = { "": "the set view", ...Object.fromEntries(viewpoints.map((v) => [v.id, v.name])) };
  const lit = { "": "as it is lit now", ...Object.fromEntries(looks.map((l) => [l.id, `in “${l.name}”`])) };
  return (
    <Box sx={{ px: 2.5, pb: 1.25, display: "flex", alignItems: "center", gap: 1.5 }}>
      <Box sx={{ flex: 1, fontSize: 15, lineHeight: "28px" }} data-testid="still-wish">
        A still from{" "}
        <Choice label="From where" value={wish.from} options={from} onChange={(v) => say({ from: v })} />
        {", "}
        <Typed
          key={wish.size}
          label="Width and height"
          value={wish.size}
          onChange={(v) => say({ size: v })}
        />
        {wish.ink !== "alone" && (
          <>
            {", "}
            <Choice
              label="How good"
              value={wish.grade}
              options={GRADES}
              onChange={(v) => say({ grade: v })}
            />
            {wish.grade === "until" && (
              <>
                {" "}
                <Typed label="A time or a noise" value={wish.until} onChange={(v) => say({ until: v })} />
              </>
            )}
            {", "}
            <Choice
              label="In which light"
              value={wish.look}
              options={lit}
              onChange={(v) => say({ look: v })}
            />
            {", "}
            <Choice
              label="Of what"
              value={wish.card ? "card" : ""}
              options={{ "": "in its materials", card: "in white card" }}
              onChange={(v) => say({ card: v === "card" })}
            />
          </>
        )}
        {", "}
        <Choice
          label="Ink"
          value={wish.ink}
          options={{ "": "without ink", over: "with ink lines over it", alone: "in ink lines alone" }}
          onChange={(v) => say({ ink: v as StillWish["ink"] })}
        />
        {", "}
        <Choice
          label="How much of it"
          value={wish.around ? "around" : ""}
          options={{ "": "looking ahead", around: "all around" }}
          onChange={(v) => say({ around: v === "around" })}
        />
        .
      </Box>
      {kept > 1 && (
        <Button size="small" onClick={() => void askAll()}>
          Of all {kept} viewpoints
        </Button>
      )}
      <Button variant="contained" onClick={() => void ask()}>
        Make it
      </Button>
    </Box>
  );
}

import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { reach } from "../fields/reach";
import { TypedField } from "../fields/TypedField";
import { useSheet } from "../../store/sheet";
import { aimNow, typeAim, useAim } from "../../tools/aim/aims";

/** What to click next of what is being said, and what may be typed. */
export function AimCaption() {
  const selection = useSheet((s) => s.selection);
  const pieces = useSheet((s) => s.pieces);
  const { points, over, way } = useAim();
  const aim = aimNow();
  if (!aim) return null;
  const typed = aim.typed && points.length >= aim.typed.after ? aim.typed : null;
  const ways = typed?.ways?.(points);
  const all = aim.points?.length ?? 1;
  const lead = pieces.get(selection[selection.length - 1])?.name ?? "";
  return (
    <Typography component="div" data-testid="aim" sx={{ fontSize: 15, lineHeight: "24px" }}>
      <b>{aim.about ?? (selection.length === 1 ? lead : `${selection.length} pieces`)}</b>
      {points.length < all && <>: {aim.prompt(points.length)}. </>}
      {over && points.length < all && <>Here is {over.words}. </>}
      {typed && ways && (
        <>
          : it measures <b>{typed.now(points)}</b> there; it should be{" "}
        </>
      )}
      {typed && (
        <TypedField
          key={points.length}
          text={typed.now(points) || "…"}
          label={typed.label}
          opened
          onType={(text) => typeAim(text)}
        />
      )}
      {ways && (
        <>
          {" — "}
          {ways.map((w, i) => (
            <span key={w.words}>
              {i > 0 && ", or "}
              <ButtonBase
                // the field keeps the keyboard
                onPointerDown={(e) => e.preventDefault()}
                onMouseDown={(e) => e.preventDefault()}
                aria-pressed={i === way}
                onClick={() => useAim.setState({ way: i })}
                sx={{
                  ...reach,
                  font: "inherit",
                  fontWeight: i === way ? 650 : 400,
                  textDecoration: i === way ? "none" : "underline dotted",
                  verticalAlign: "baseline",
                }}
              >
                {w.words}
              </ButtonBase>
            </span>
          ))}
          .{" "}
        </>
      )}
      <Box component="span" sx={{ color: "text.secondary" }}>
        <b>Esc</b> gives up.
      </Box>
    </Typography>
  );
}

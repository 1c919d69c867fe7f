import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import type { HandlesMarkAt } from "../../api/types.gen";
import { chooseMark } from "../../store/handling";

/** A mark of what is sized or turned: a click holds it there. */
export function Mark({ mark, chosen }: { mark: HandlesMarkAt; chosen: boolean }) {
  return (
    <ButtonBase
      data-testid="mark"
      data-mark={mark.hold}
      aria-label={mark.words}
      aria-pressed={chosen}
      title={mark.words}
      onPointerDown={(e) => e.stopPropagation()}
      onPointerUp={(e) => e.stopPropagation()}
      onClick={() => chooseMark(mark.hold)}
      sx={{ width: 24, height: 24, transform: "translate(-50%, -50%)", zIndex: 2 }}
    >
      <Box
        sx={{
          width: chosen ? 12 : 8,
          height: chosen ? 12 : 8,
          border: "1.5px solid",
          borderColor: chosen ? "background.paper" : "primary.main",
          outline: chosen ? "2px solid" : undefined,
          outlineColor: "secondary.main",
          bgcolor: chosen ? "secondary.main" : "background.paper",
          transform: "rotate(45deg)",
        }}
      />
    </ButtonBase>
  );
}

import { useQuery } from "@tanstack/react-query";
import { api } from "../../api/client";
import type { LineDrawing, Piece, Size } from "../../api/types.gen";
import { formKey, stretch } from "../../api/forms";

interface Drawn {
  lines: LineDrawing;
  size: Size;
}

/** What was drawn last of an article from somewhere; stretched it stands for another size meanwhile. */
const latest = new Map<string, Drawn>();

/**
 * The lines of a piece as core drew them, and by what they are to be stretched until those of its size
 * are there.
 *
 * @param passing whether its size is only passed through: then what there is is stretched
 */
export function useLines(piece: Piece, from: "plan" | number, turn: number, passing: boolean) {
  const { size, lean } = piece;
  const key = [piece.article, piece.mirrored, from, turn, lean.toward, lean.by].join();
  const before = latest.get(key);
  const drawn = useQuery({
    queryKey: ["lines", ...formKey(piece), from, turn, lean],
    queryFn: async () => {
      const made = { lines: await api.lines(piece, from, turn, lean), size };
      latest.set(key, made);
      return made;
    },
    placeholderData: (old?: Drawn) => old ?? before,
    enabled: !passing || before === undefined,
  }).data;
  if (!drawn) return { lines: undefined, by: undefined };
  const f = stretch(drawn.size, size);
  // from a side, what is across is its width or its depth, or both
  const across =
    from === "plan" || Math.abs(Math.cos(((from - turn) * Math.PI) / 180)) > 0.7 ? f.width : f.depth;
  const by = `scale(${across} ${from === "plan" ? f.depth : f.height})`;
  return { lines: drawn.lines, by: by === "scale(1 1)" ? undefined : by };
}

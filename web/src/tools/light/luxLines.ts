import { create } from "zustand";
import { api } from "../../api/client";
import type { LuxLinesView } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";

/** Lines of equal lux on plan: at which height, whether they are measured now, and what was found. */
interface LuxLines {
  height: string;
  busy: boolean;
  space: string | null;
  found: LuxLinesView | null;
}

export const useLuxLines = create<LuxLines>(() => ({
  height: "",
  busy: false,
  space: null,
  found: null,
}));

/** On tables, where nothing else was typed. */
const USUAL = "0.75 m";

/** Measures anew, at a height that was typed or the same as before; whether it could. */
export async function drawLuxLines(height?: string): Promise<boolean> {
  const { space, unit, say } = useSheet.getState();
  const asked = height ?? (useLuxLines.getState().height || USUAL);
  if (useLuxLines.getState().busy) return false;
  useLuxLines.setState({ busy: true });
  try {
    const found = await api.luxLines(space!.id, asked, unit);
    useLuxLines.setState({ busy: false, height: found.text, space: space!.id, found });
    say(found.said);
    return true;
  } catch (e) {
    useLuxLines.setState({ busy: false });
    say((e as Error).message, "refused");
    return false;
  }
}

export const hideLuxLines = () => useLuxLines.setState({ found: null });

import { create } from "zustand";
import { api } from "../../api/client";
import type { HandoverView } from "../../api/types.gen";
import { WINDOW } from "../../api/who";

/** What is said of a file in its address. */
export type Said = Record<string, string>;

interface Making {
  open: boolean;
  /** What is being made. */
  made: HandoverView | null;
  /** Why it could not be. */
  failed: string | null;
}

export const useHandover = create<Making>(() => ({ open: false, made: null, failed: null }));

export const openHandover = () => useHandover.setState({ open: true, failed: null });
export const closeHandover = () => useHandover.setState({ open: false });

/** How often one looks how far it has come, ms. */
const LOOK = 250;

/**
 * Makes a file and saves it where the browser saves files; it may be stopped.
 *
 * @param of "spaces/" or "projects/" and an id
 */
export async function saveFile(of: string, file: string, said: Said) {
  if (useHandover.getState().made) return;
  useHandover.setState({ failed: null });
  try {
    let made = await api.beginHandover(of, { file, said, by: WINDOW });
    useHandover.setState({ made });
    while (!made.ready && !made.failed) {
      await new Promise((r) => setTimeout(r, LOOK));
      if (useHandover.getState().made?.id !== made.id) return; // it was stopped
      made = await api.handover(made.id);
      if (useHandover.getState().made?.id !== made.id) return;
      useHandover.setState({ made });
    }
    if (made.failed) useHandover.setState({ made: null, failed: made.failed });
    else {
      save(`/api/handovers/${made.id}/file`, made.name);
      useHandover.setState({ made: null });
    }
  } catch (e) {
    useHandover.setState({ made: null, failed: (e as Error).message });
  }
}

/** What is being made is not made any further. */
export function stopMaking() {
  const { made } = useHandover.getState();
  useHandover.setState({ made: null });
  if (made) void api.stopHandover(made.id);
}

/** Saves what is at an address. */
export function save(address: string, name: string) {
  const link = document.createElement("a");
  link.href = address;
  link.download = name;
  link.click();
}

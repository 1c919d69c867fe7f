import { create } from "zustand";
import { sendPicture } from "../../api/client";
import type { PictureCard } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import { clickFinish, give, type FinishSight } from "./finish";

interface Bringing {
  /** How much has been sent, 0 to 1; 1 while it is read; null if nothing is on its way. */
  sending: number | null;
  file: string;
  stop: () => void;
  /** Of the list from which one chooses: it changes when that does. */
  at: number;
}

export const useBringing = create<Bringing>(() => ({
  sending: null,
  file: "",
  stop: () => undefined,
  at: 0,
}));

/** Whether all of these are pictures, and not of a model that comes with some. */
export const arePictures = (files: File[]) =>
  files.length > 0 && files.every((f) => /\.(png|jpe?g)$/i.test(f.name));

/** Brings pictures in, one after the other; the last is given to what was pointed at, or else in hand. */
export async function bringPictures(files: File[], onto: FinishSight | null) {
  const { space, unit, say } = useSheet.getState();
  if (!space || useBringing.getState().sending !== null) return;
  let last: PictureCard | null = null;
  let stopped = false;
  for (const file of files) {
    const { arrived, stop } = sendPicture(space.project, file, unit, (sending) =>
      useBringing.setState({ sending }),
    );
    const stopAll = () => {
      stopped = true;
      stop();
    };
    useBringing.setState({ sending: 0, file: file.name, stop: stopAll });
    try {
      last = await arrived;
    } catch (e) {
      say(`${file.name}: ${(e as Error).message}`, "refused");
    }
    useBringing.setState(({ at }) => ({ sending: null, at: at + 1 }));
    if (stopped) return;
  }
  if (!last || useSheet.getState().space?.id !== space.id) return;
  if (onto) {
    give(last.card, true);
    await clickFinish(onto);
  } else if (files.length === 1) {
    give(last.card);
    say(`In hand: ${last.card.words}. Click the part it is for; Esc ends.`);
  }
}

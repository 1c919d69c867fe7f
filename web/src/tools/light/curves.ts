import { useSheet } from "../../store/sheet";

/** Longest photometric file that is sent, characters; they have a few thousand. */
const LONGEST = 2_000_000;

const KINDS = /\.(ies|ldt)$/i;

export const areCurves = (files: File[]) => files.length > 0 && files.every((f) => KINDS.test(f.name));

/** Lamps that are selected. */
export const lampsChosen = () => {
  const { selection, pieces } = useSheet.getState();
  return selection.filter((id) => pieces.get(id)?.lamp);
};

/** Takes photometric files in, and gives the last of them to the lamps that are selected. */
export async function takeCurves(files: File[]) {
  const { edit, say } = useSheet.getState();
  for (const f of files) {
    if (f.size > LONGEST) {
      say(`“${f.name}” is no photometric file: it is too large for one.`, "refused");
      return;
    }
    const pieces = lampsChosen();
    const done = await edit([
      { do: "takeCurve", name: f.name.replace(KINDS, ""), text: await f.text(), pieces },
    ]);
    if (done && pieces.length === 0)
      say(`“${f.name}” is in the leaf “Light”. Select lamps, and click it there to give it to them.`);
  }
}

import Dialog from "@mui/material/Dialog";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import Table from "@mui/material/Table";
import TableBody from "@mui/material/TableBody";
import TableCell from "@mui/material/TableCell";
import TableRow from "@mui/material/TableRow";
import { useEffect } from "react";
import { carryKey, pickUp, toggleSnaps } from "../carry/carry";
import { aim, copy, escape, moveBy, remove, settle, takeOff, turnBy } from "./verbs";
import { draftKey, draw } from "../shell/draft";
import { FINE, STEP } from "../drawings/facing";
import { useSheet } from "../space/sheet";
import { SEARCH_ID } from "../catalog/Catalog";

const KEYS: [string, string][] = [
  ["/", "search the catalog"],
  ["Enter on a card", "take the article in hand; then click where it goes"],
  ["T, Shift+T", "turn by 45°, the other way"],
  [
    "arrows",
    "move by 5 cm as on the drawing last pointed at; with Alt by 1 cm; on an elevation up to the next surface",
  ],
  ["S, Shift+S", "settle: come to rest on what is beneath; onto what is clicked next"],
  ["A, Shift+A", "attach to what is clicked next; take off"],
  ["Shift+drag on the plan", "select all in a rectangle"],
  ["click on what is selected, or Space", "pick it up; then click where it goes"],
  ["C, Shift+C", "copy, set beside; carry a copy"],
  ["while carrying", "type a number, Tab for another distance, Enter puts it down"],
  ["T, R", "turn by 45°, by 5°; with Shift the other way"],
  ["K", "keep to a direction: along the wall, away from it, across, deep, up and down"],
  ["PageDown, PageUp", "on the plan the surface below, above"],
  [
    "M",
    "mark to mark: exactly onto the mark, edge or face pointed at; turned so that faces meet, or edges run together",
  ],
  ["U", "which side goes flat onto the face that is pointed at"],
  ["E", "several: as one, or each for itself"],
  ["J, Alt", "snaps on and off; Alt goes through things"],
  ["Delete", "remove"],
  ["O, P", "draw an outline, draw a partition"],
  ["D, W", "set a door, a window into a wall"],
  ["L, N", "build a platform (a level), steps"],
  ["B", "hang a bar"],
  ["G", "catalog and shell trade places"],
  ["Esc", "give up what is in hand; select nothing"],
  ["F", "look at the selection"],
  ["H", "show the whole room"],
  ["Ctrl+Z, Ctrl+Shift+Z", "undo, redo"],
  ["Shift+click", "select one more"],
  ["?", "these keys"],
];

/** The keys of the sheet; silent while something is being typed. */
export function useKeys(onHelp: () => void) {
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      const target = e.target as HTMLElement;
      if (target.closest("input, textarea, [role=dialog], [role=menu], [role=listbox][id]")) return;
      if (draftKey(e) || carryKey(e)) return;
      if ((e.ctrlKey || e.metaKey) && !e.altKey) {
        const key = e.key.toLowerCase();
        if (key === "z" || key === "y") {
          e.preventDefault();
          void useSheet.getState().step(key === "y" || e.shiftKey ? "redo" : "undo");
        }
        return;
      }
      const by = e.altKey ? FINE : STEP;
      const actions: Record<string, () => void> = {
        "/": () => document.getElementById(SEARCH_ID)?.focus(),
        "?": onHelp,
        Escape: escape,
        Delete: remove,
        Backspace: remove,
        ArrowLeft: () => moveBy(-by, 0),
        ArrowRight: () => moveBy(by, 0),
        ArrowUp: () => moveBy(0, by),
        ArrowDown: () => moveBy(0, -by),
        t: () => turnBy(45),
        T: () => turnBy(-45),
        s: settle,
        c: () => void copy(),
        C: () => pickUp(null, true),
        " ": () => pickUp(null),
        j: toggleSnaps,
        S: () => aim("settle"),
        a: () => aim("attach"),
        A: takeOff,
        f: () => useSheet.getState().look("selection"),
        h: () => useSheet.getState().look("home"),
        o: () => draw("outline"),
        p: () => draw("partition"),
        d: () => useSheet.getState().build("door"),
        w: () => useSheet.getState().build("window"),
        l: () => useSheet.getState().build("platform"),
        n: () => useSheet.getState().build("steps"),
        b: () => useSheet.getState().build("bar"),
        g: () => {
          const { tab, setTab } = useSheet.getState();
          setTab(tab === "shell" ? "catalog" : "shell");
        },
      };
      const action = actions[e.key];
      if (action) {
        e.preventDefault();
        action();
      }
    };
    addEventListener("keydown", press);
    return () => removeEventListener("keydown", press);
  }, [onHelp]);
}

export function KeysDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose}>
      <DialogTitle>Keys</DialogTitle>
      <DialogContent>
        <Table size="small">
          <TableBody>
            {KEYS.map(([key, what]) => (
              <TableRow key={key}>
                <TableCell sx={{ fontWeight: 600, whiteSpace: "nowrap" }}>{key}</TableCell>
                <TableCell>{what}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </DialogContent>
    </Dialog>
  );
}

import Dialog from "@mui/material/Dialog";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import Table from "@mui/material/Table";
import TableBody from "@mui/material/TableBody";
import TableCell from "@mui/material/TableCell";
import TableRow from "@mui/material/TableRow";
import { useEffect } from "react";
import { createKeybindingsHandler, type KeyBindingMap } from "tinykeys";
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

const arrows = (mod: string, by: number): KeyBindingMap => ({
  [mod + "ArrowLeft"]: () => moveBy(-by, 0),
  [mod + "ArrowRight"]: () => moveBy(by, 0),
  [mod + "ArrowUp"]: () => moveBy(0, by),
  [mod + "ArrowDown"]: () => moveBy(0, -by),
});

const sheet = useSheet.getState;

/** What each key does; letters are what is written on the key, whatever the keyboard. */
const bindings = (onHelp: () => void): KeyBindingMap => {
  const search = () => document.getElementById(SEARCH_ID)?.focus();
  return {
    "$mod+z": () => void sheet().step("undo"),
    "$mod+y": () => void sheet().step("redo"),
    "$mod+Shift+Z": () => void sheet().step("redo"),
    // on some keyboards they need Shift
    "/": search,
    "Shift+/": search,
    "?": onHelp,
    "Shift+?": onHelp,
    Escape: escape,
    Delete: remove,
    Backspace: remove,
    ...arrows("", STEP),
    ...arrows("Shift+", STEP),
    ...arrows("Alt+", FINE),
    t: () => turnBy(45),
    "Shift+T": () => turnBy(-45),
    s: settle,
    "Shift+S": () => aim("settle"),
    c: () => void copy(),
    "Shift+C": () => pickUp(null, true),
    Space: () => pickUp(null),
    j: toggleSnaps,
    a: () => aim("attach"),
    "Shift+A": takeOff,
    f: () => sheet().look("selection"),
    h: () => sheet().look("home"),
    o: () => draw("outline"),
    p: () => draw("partition"),
    d: () => sheet().build("door"),
    w: () => sheet().build("window"),
    l: () => sheet().build("platform"),
    n: () => sheet().build("steps"),
    b: () => sheet().build("bar"),
    g: () => sheet().setTab(sheet().tab === "shell" ? "catalog" : "shell"),
  };
};

/** The keys of the sheet; silent while something is being typed. */
export function useKeys(onHelp: () => void) {
  useEffect(() => {
    const keys = bindings(onHelp);
    const stopping = Object.entries(keys).map(([key, does]) => [
      key,
      (e: KeyboardEvent) => {
        e.preventDefault();
        does(e);
      },
    ]);
    const handle = createKeybindingsHandler(Object.fromEntries(stopping) as KeyBindingMap);
    const press = (e: KeyboardEvent) => {
      const target = e.target as HTMLElement;
      if (target.closest("input, textarea, [role=dialog], [role=menu], [role=tree], [role=listbox][id]"))
        return;
      if (draftKey(e) || carryKey(e)) return;
      handle(e);
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

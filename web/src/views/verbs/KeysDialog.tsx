import Box from "@mui/material/Box";
import Dialog from "@mui/material/Dialog";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import Table from "@mui/material/Table";
import TableBody from "@mui/material/TableBody";
import TableCell from "@mui/material/TableCell";
import TableRow from "@mui/material/TableRow";
import Typography from "@mui/material/Typography";
import { useHelp } from "../../tools/verbs/help";
import { VERBS } from "../../tools/verbs/register";
import { keyWords, type Mode, type Verb } from "../../tools/verbs/verb";

const PARTS: [Mode | "any", string][] = [
  ["sheet", "On the sheet"],
  ["carry", "While something is carried"],
  ["draft", "While a figure is drawn"],
  ["any", "Always"],
];

/** What the pointer does. */
const POINTER: [string, string][] = [
  ["click", "select; on what is selected, pick it up; then the next click puts it down"],
  ["Shift+click", "select one more, or one less"],
  ["drag what is selected", "carry it meanwhile"],
  ["Shift+drag on the plan", "select all in a rectangle"],
  ["right click, long press", "what can be done with what is there"],
  ["double click", "look at it; on a wall, its elevation"],
  ["wheel, two fingers", "nearer and farther"],
];

/** Everything one can do, with its keys. */
export function KeysDialog() {
  const open = useHelp((s) => s.open);
  const row = (key: string, word: string, help: string) => (
    <TableRow key={word + key}>
      <TableCell sx={{ fontWeight: 600, whiteSpace: "nowrap", width: 160 }}>{key}</TableCell>
      <TableCell sx={{ whiteSpace: "nowrap", width: 190 }}>{word}</TableCell>
      <TableCell>{help}</TableCell>
    </TableRow>
  );
  const keys = (v: Verb) =>
    v.shown ??
    v.keys
      .filter((k) => !/^Shift\+[/?]$/.test(k))
      .map(keyWords)
      .join(", ");
  return (
    <Dialog open={open} onClose={() => useHelp.setState({ open: false })} maxWidth="md" fullWidth>
      <DialogTitle>Keys</DialogTitle>
      <DialogContent tabIndex={0}>
        {PARTS.map(([mode, words]) => (
          <Box key={mode} sx={{ mb: 2 }}>
            <Typography variant="h2">{words}</Typography>
            <Table size="small">
              <TableBody>
                {VERBS.filter((v) => v.mode === mode && v.keys.length > 0).map((v) =>
                  row(keys(v), v.word, v.help),
                )}
              </TableBody>
            </Table>
          </Box>
        ))}
        <Typography variant="h2">With the pointer</Typography>
        <Table size="small">
          <TableBody>{POINTER.map(([key, help]) => row(key, "", help))}</TableBody>
        </Table>
      </DialogContent>
    </Dialog>
  );
}

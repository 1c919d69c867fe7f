import { createTheme } from "@mui/material/styles";

/** Colours of the sheet. Everything takes them from here, so that a dark sheet can replace them. */
export const ink = {
  paper: "#F4EFE6",
  card: "#FFFCF6",
  ink: "#26221E",
  graphite: "#6B645C",
  rule: "#D9D0C2",
  tape: "#D9532C",
  chalk: "#2F6690",
  moss: "#5B7F4B",
  amber: "#B87A14",
  madder: "#A8322A",
};

// What is there is there at once, and what goes takes no click more: nothing moves that is not moved.
const AT_ONCE = {
  shortest: 0,
  shorter: 0,
  short: 0,
  standard: 0,
  complex: 0,
  enteringScreen: 0,
  leavingScreen: 0,
};

export const theme = createTheme({
  palette: {
    mode: "light",
    background: { default: ink.paper, paper: ink.card },
    text: { primary: ink.ink, secondary: ink.graphite },
    primary: { main: ink.chalk },
    secondary: { main: ink.tape },
    success: { main: ink.moss },
    warning: { main: ink.amber },
    error: { main: ink.madder },
    divider: ink.rule,
  },
  shape: { borderRadius: 3 },
  transitions: { create: () => "none", duration: AT_ONCE },
  typography: {
    fontFamily: "'Figtree Variable', sans-serif",
    fontSize: 13,
    h1: { fontFamily: "'Fraunces Variable', serif", fontSize: 20, fontWeight: 560 },
    h2: { fontFamily: "'Fraunces Variable', serif", fontSize: 15, fontWeight: 560 },
    body1: { fontSize: 15 },
    body2: { fontSize: 13 },
    caption: { fontSize: 12 },
    button: { textTransform: "none", fontSize: 13, fontWeight: 560 },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontVariantNumeric: "tabular-nums", overflow: "hidden" },
        "html, body, #root": { height: "100%" },
      },
    },
    MuiButtonBase: {
      defaultProps: { disableRipple: true },
      styleOverrides: { root: { fontFamily: "inherit" } },
    },
    MuiButton: { styleOverrides: { root: { minWidth: 0, padding: "3px 10px" } } },
    MuiToggleButton: { styleOverrides: { root: { color: ink.graphite } } },
    // an open menu lies over whatever is said meanwhile
    MuiPopover: {
      defaultProps: { transitionDuration: 0 },
      styleOverrides: { root: ({ theme: t }) => ({ zIndex: t.zIndex.snackbar + 1 }) },
    },
    MuiMenu: { defaultProps: { transitionDuration: 0 } },
    MuiTooltip: {
      defaultProps: { describeChild: true, enterDelay: 500, disableInteractive: true },
      styleOverrides: { tooltip: { backgroundColor: ink.ink, fontSize: 12 } },
    },
  },
});

import { createTheme, type Theme } from "@mui/material/styles";

/** The look's tokens. Components take colours by these names only. */
const light = {
  paper: "#FAF6F0",
  sheet: "#FFFDFA",
  ink: "#2B2622",
  inkSoft: "#675D54",
  line: "#E3D9CC",
  ember: "#B4431F",
  onEmber: "#FFFDFA",
  emberWash: "#F6E1D6",
  moss: "#3C6B4E",
  clay: "#8C3B2A",
  slate: "#4C6173",
  plum: "#694A78",
  amber: "#8A5A00",
  amberWash: "#FFF0D2",
  band: "#EFE6DA",
};
const dim: typeof light = {
  paper: "#171412",
  sheet: "#211D1A",
  ink: "#F1E9DF",
  inkSoft: "#B9AD9F",
  line: "#3A342F",
  ember: "#F08A5D",
  onEmber: "#171412",
  emberWash: "#3B241B",
  moss: "#8FC2A0",
  clay: "#E39A86",
  slate: "#A9BBC9",
  plum: "#C3A5D3",
  amber: "#F2C46D",
  amberWash: "#3A2E16",
  band: "#332C26",
};

export type Tokens = typeof light;
export type TokenName = keyof Tokens;

/** Layers from the surface to the joint: never without a second cue (place on the depth axis, label). */
export const depthColours = ["#EBCDA6", "#D89E68", "#BE6E40", "#8F4A2C", "#5B2B21"] as const;

declare module "@mui/material/styles" {
  interface Theme {
    tokens: Tokens;
  }
  interface ThemeOptions {
    tokens?: Tokens;
  }
}

const heading = '"Bricolage Grotesque Variable", sans-serif';
const text = '"Atkinson Hyperlegible Next Variable", sans-serif';

function makeTheme(mode: "light" | "dim"): Theme {
  const t = mode === "dim" ? dim : light;
  const h = (size: number, weight = 650) => ({
    fontFamily: heading,
    fontWeight: weight,
    fontSize: size,
    lineHeight: 1.2,
    letterSpacing: "-0.01em",
  });
  const ring = { outline: `2px solid ${t.ember}`, outlineOffset: 2 };
  return createTheme({
    tokens: t,
    palette: {
      mode: mode === "dim" ? "dark" : "light",
      primary: { main: t.ember, contrastText: t.onEmber },
      secondary: { main: t.slate },
      error: { main: t.clay },
      warning: { main: t.amber },
      success: { main: t.moss },
      text: { primary: t.ink, secondary: t.inkSoft },
      background: { default: t.paper, paper: t.sheet },
      divider: t.line,
    },
    shape: { borderRadius: 6 },
    typography: {
      fontFamily: text,
      fontSize: 14,
      h1: h(26),
      h2: h(20),
      h3: h(16),
      button: { textTransform: "none", fontWeight: 650, fontSize: 15 },
    },
    transitions: {
      duration: {
        shortest: 120,
        shorter: 150,
        short: 180,
        standard: 200,
        enteringScreen: 180,
        leavingScreen: 150,
      },
    },
    components: {
      MuiCssBaseline: {
        styleOverrides: {
          body: { fontVariantNumeric: "tabular-nums", backgroundColor: t.paper, color: t.ink },
          "*:focus-visible": ring,
          "@media (prefers-reduced-motion: reduce)": {
            "*, *::before, *::after": {
              animationDuration: "0.01ms !important",
              transitionDuration: "0.01ms !important",
            },
          },
        },
      },
      // the library's own take the browser's ring away
      MuiButtonBase: {
        defaultProps: { disableRipple: true },
        styleOverrides: { root: { "&.Mui-focusVisible": ring } },
      },
      MuiButton: {
        defaultProps: { disableElevation: true },
        styleOverrides: {
          root: { minHeight: 40, paddingInline: 16 },
          sizeSmall: { paddingBlock: 4 },
          sizeLarge: { paddingBlock: 8 },
          outlined: { color: t.ink, borderColor: t.line },
        },
      },
      MuiToggleButton: {
        styleOverrides: {
          root: {
            padding: "5px 12px",
            color: t.inkSoft,
            borderColor: t.line,
            // what is chosen stays in its colour under a pointer
            "&.Mui-selected, &.Mui-selected:hover": { backgroundColor: t.emberWash, color: t.ink, fontWeight: 650 },
            "&.Mui-focusVisible": { zIndex: 1 },
          },
          sizeSmall: { fontSize: 13 },
        },
      },
      MuiChip: { styleOverrides: { root: { "&:focus-visible": ring } } },
      MuiMenuItem: { styleOverrides: { root: { "&.Mui-focusVisible": { outlineOffset: -2 } } } },
      MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: "none" } } },
      MuiTextField: { defaultProps: { size: "small", fullWidth: true } },
      MuiLink: {
        defaultProps: { underline: "hover" },
        styleOverrides: { root: { color: t.ink, textDecorationColor: t.ember } },
      },
    },
  });
}

/** Made once: building a theme costs more than rendering most pages with it. */
export const themes = { light: makeTheme("light"), dim: makeTheme("dim") } as const;

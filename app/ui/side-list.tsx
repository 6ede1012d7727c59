import { styled } from "@mui/material/styles";

/** A list beside what is worked on: groups with a heading, a row a press, what it said below its name. */
export const SideList = styled("nav")(({ theme: { tokens } }) => ({
  "& h3": { fontSize: 13.5, margin: "8px 8px 4px", color: tokens.inkSoft, fontWeight: 650 },
  "& button": {
    font: "inherit",
    fontSize: 14,
    color: tokens.ink,
    background: "none",
    border: 0,
    borderLeft: "3px solid transparent",
    width: "100%",
    minHeight: 36,
    padding: "4px 8px",
    textAlign: "left",
    cursor: "pointer",
    display: "block",
    "&:hover": { background: tokens.band },
    "&:focus-visible": { outline: `2px solid ${tokens.ember}`, outlineOffset: -2 },
    "&[aria-current]": { background: tokens.emberWash, borderLeftColor: tokens.ember, fontWeight: 650 },
    "& small": { display: "block", fontSize: 13, color: tokens.inkSoft, fontWeight: 400 },
    "& small.off": { color: tokens.amber },
  },
}));

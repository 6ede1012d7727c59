import { styled } from "@mui/material/styles";

/** The head of a client's pages: name and chips in a line, the series as a strip, the stages, and the parts of one. */
export const Head = styled("header")(({ theme: { breakpoints } }) => ({
  padding: "12px 24px 0",
  [breakpoints.down("sm")]: { paddingInline: 16 },
}));

export const HeadLine = styled("div")({
  display: "flex",
  flexWrap: "wrap",
  alignItems: "center",
  columnGap: 12,
  rowGap: 8,
  minHeight: 44,
});

/** Beside the name where there is room, else below it in one line that can be pushed along. */
export const ChipRow = styled("div")(({ theme: { breakpoints } }) => ({
  flex: 1,
  minWidth: 0,
  display: "flex",
  flexWrap: "wrap",
  gap: 8,
  [breakpoints.down("lg")]: { order: 1, flex: "1 0 100%", flexWrap: "nowrap", overflowX: "auto" },
}));

const row = { display: "flex", overflowX: "auto", "& a": { padding: "8px 0", whiteSpace: "nowrap" } } as const;

/** `data-chosen`: what was pressed looks chosen at once, before its page is there. */
export const StageLinks = styled("nav")(({ theme: { tokens, breakpoints } }) => ({
  ...row,
  gap: 28,
  marginTop: 4,
  "& a": {
    ...row["& a"],
    textDecoration: "none",
    color: tokens.inkSoft,
    fontSize: 15.5,
    fontWeight: 450,
    borderBottom: "3px solid transparent",
    "&:hover": { color: tokens.ink },
    "&[data-chosen=true]": { color: tokens.ink, fontWeight: 750, borderBottomColor: tokens.ember },
    [breakpoints.down("sm")]: { fontSize: 13.5 },
  },
  [breakpoints.down("sm")]: { gap: 8 },
}));

export const PartLinks = styled("nav")(({ theme: { tokens, breakpoints } }) => ({
  ...row,
  position: "relative",
  gap: 28,
  padding: "0 24px",
  borderTop: `1px solid ${tokens.line}`,
  "& a": {
    ...row["& a"],
    textDecoration: "none",
    color: tokens.inkSoft,
    fontSize: 14.5,
    fontWeight: 450,
    "&[data-chosen=true]": { color: tokens.ink, fontWeight: 750 },
    [breakpoints.down("sm")]: { fontSize: 13.5 },
  },
  [breakpoints.down("sm")]: { gap: 16, paddingInline: 16 },
}));

/** What stands below the head. */
export const Under = styled("div")(({ theme: { tokens } }) => ({ borderTop: `1px solid ${tokens.line}` }));

import GlobalStyles from "@mui/material/GlobalStyles";

/**
 * A page that is also printed: on paper everything that is pressed is left out, who it is about and what has to be known of
 * them stays at its head, and it is dark on white in the dim theme, too.
 */
export function OnPaper() {
  return (
    <GlobalStyles
      styles={{
        "@media print": {
          "nav, button, header a, a[href='#content']": { display: "none !important" },
          "html, body, main": { background: "none !important" },
          "main *": { color: "#2B2622 !important" },
          main: { paddingBottom: "0 !important" },
          "li, dl > div, tr": { breakInside: "avoid" },
        },
      }}
    />
  );
}

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";

/** What the client answers to either/or questions: a fact per technique and place, asked for again next time. */
export function Answers({
  state,
  ceiling,
  pressure,
  direction,
}: {
  state: { pressure: number | undefined; direction: string | undefined } | undefined;
  ceiling: number;
  pressure: (value: number) => void;
  direction: (towards: "head" | "feet" | "in" | "out") => void;
}) {
  const value = state?.pressure;
  const way = (towards: "head" | "feet" | "in" | "out", area: string) => (
    <Button
      variant="outlined"
      onClick={() => direction(towards)}
      aria-pressed={state?.direction === towards}
      sx={(t) => ({
        gridArea: area,
        minHeight: 68,
        fontSize: 22,
        bgcolor: state?.direction === towards ? t.tokens.emberWash : "background.paper",
        borderColor: state?.direction === towards ? t.tokens.ember : t.tokens.line,
      })}
    >
      {towards}
    </Button>
  );
  return (
    <Box>
      <Box
        sx={{
          display: "grid",
          gap: 1,
          gridTemplateColumns: "1fr 1fr 1fr",
          gridTemplateAreas: `". h ." "o p i" ". f ."`,
        }}
      >
        {way("head", "h")}
        {way("out", "o")}
        <Box
          sx={(t) => ({
            gridArea: "p",
            border: `1px solid ${t.tokens.ember}`,
            borderRadius: "6px",
            display: "grid",
            placeContent: "center",
            textAlign: "center",
            lineHeight: 1.15,
          })}
        >
          <span>{value ?? "–"}</span>
          <Box component="span" sx={{ color: "text.secondary", fontSize: 22 }}>
            of 10
          </Box>
        </Box>
        {way("in", "i")}
        {way("feet", "f")}
      </Box>
      <Box sx={{ display: "flex", gap: 1, mt: 1 }}>
        <Button
          variant="outlined"
          onClick={() => pressure(Math.max(0, (value ?? Math.min(4, ceiling)) - 1))}
          sx={{ flex: 1, minHeight: 68, fontSize: 22 }}
        >
          less
        </Button>
        <Button
          variant="outlined"
          onClick={() => pressure(Math.min(ceiling, (value ?? Math.min(4, ceiling) - 1) + 1))}
          sx={{ flex: 1, minHeight: 68, fontSize: 22 }}
        >
          more
        </Button>
      </Box>
    </Box>
  );
}

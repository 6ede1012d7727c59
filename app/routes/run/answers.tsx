import Button from "@mui/material/Button";
import type { Towards } from "~core/session/events";
import Box from "@mui/material/Box";

/** What the client answers to either/or questions: a fact per technique and place, asked for again next time. */
export function Answers({
  state,
  usual,
  ceiling,
  pressure,
  direction,
}: {
  state: { pressure: number | undefined; direction: string | undefined } | undefined;
  /** The highest pressure this step is planned at: where asking begins. */
  usual: number;
  ceiling: number;
  pressure: (value: number) => void;
  direction: (towards: Towards) => void;
}) {
  const value = state?.pressure;
  const way = (towards: Towards, area: string) => (
    <Button
      variant="outlined"
      onClick={() => direction(towards)}
      aria-label={`towards: ${towards}`}
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
          gridTemplateAreas: `"v h d" "o p i" ". f ."`,
        }}
      >
        {way("front", "v")}
        {way("head", "h")}
        {way("back", "d")}
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
          <Box component="span" sx={{ color: "text.secondary", fontSize: 15, whiteSpace: "nowrap" }}>
            {value === undefined ? "pressure up to" : "pressure asked"}
          </Box>
          <span>{value ?? usual} of 10</span>
        </Box>
        {way("in", "i")}
        {way("feet", "f")}
      </Box>
      <Box sx={{ display: "flex", gap: 1, mt: 1 }}>
        <Button
          variant="outlined"
          onClick={() => pressure(Math.max(0, (value ?? usual) - 1))}
          sx={{ flex: 1, minHeight: 68, fontSize: 22 }}
        >
          less
        </Button>
        <Button
          variant="outlined"
          onClick={() => pressure(Math.min(ceiling, (value ?? usual) + 1))}
          sx={{ flex: 1, minHeight: 68, fontSize: 22 }}
        >
          more
        </Button>
      </Box>
    </Box>
  );
}

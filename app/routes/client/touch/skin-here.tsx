import Button from "@mui/material/Button";
import { useState } from "react";
import {
  afterWords,
  asksRest,
  skinAfter,
  skinResponses,
  skinWords,
  type SkinAfter,
  type SkinResponse,
} from "~core/findings/skin";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";

/** What the skin of a place did, and under what: a press keeps it. */
export function SkinHere({ keep }: { keep: (response: SkinResponse, after: SkinAfter) => void }) {
  const [after, setAfter] = useState<SkinAfter>("hands");
  return (
    <Box
      role="group"
      aria-label="What the skin did"
      sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, mt: 1, pt: 1 })}
    >
      <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
        <Typography sx={{ fontSize: 14 }}>The skin, after</Typography>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={after}
          onChange={(_, next: SkinAfter | null) => next && setAfter(next)}
          aria-label="Skin, after"
        >
          {skinAfter.map((each) => (
            <ToggleButton key={each} value={each}>
              {afterWords[each]}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Box sx={{ display: "flex", gap: 0.5, flexWrap: "wrap" }}>
          {skinResponses.map((response) => (
            <Button
              key={response}
              variant="outlined"
              size="small"
              sx={{ minHeight: 40 }}
              onClick={() => keep(response, after)}
            >
              {skinWords[response]}
            </Button>
          ))}
        </Box>
      </Box>
      <Typography sx={{ fontSize: 13.5, color: "text.secondary", mt: 0.5 }}>
        {skinResponses
          .filter((response) => asksRest({ response, after }))
          .map((response) => skinWords[response])
          .join(", ")
          .replace(/^./, (first) => first.toUpperCase())}
        : the place rests until it is gone, 48 hours at least.
      </Typography>
    </Box>
  );
}

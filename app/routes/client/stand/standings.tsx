import Box from "@mui/material/Box";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import type { Reading } from "~core/measure/reading";
import { mostStandings, narrower } from "~core/measure/standings";
import type { Photo } from "~data/photos";

/** Which standing of this view and moment is shown, the next one, and what standing again would bring. */
export function Standings({
  taken,
  standing,
  readings,
  choose,
}: {
  taken: readonly Photo[];
  standing: number;
  readings: readonly Reading[];
  choose: (standing: number) => void;
}) {
  const most = Math.min(mostStandings, Math.max(...taken.map((photo) => photo.standing)) + 1);
  const gains = readings
    .filter(({ method, standings }) => method === "photo" && standings === 1)
    .map((reading) => narrower(reading, mostStandings))
    .sort((a, b) => a - b);
  const gain = gains[Math.floor(gains.length / 2)];
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, mb: 1.5, flexWrap: "wrap" }}>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={standing}
        onChange={(_, value: number | null) => value && choose(value)}
        aria-label="Standing"
      >
        {Array.from({ length: most }, (_, i) => i + 1).map((each) => (
          <ToggleButton key={each} value={each}>
            {taken.some((photo) => photo.standing === each) ? `Standing ${each} ✓` : "Stand again"}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {taken.length === 1 && gain !== undefined && (
        <Typography sx={{ fontSize: 14, color: "text.secondary" }}>
          Three standings instead of one, at both moments, narrow the band of a change by about {Math.round(100 * gain)}
          %.
        </Typography>
      )}
      {taken.length > 1 && (
        <Typography sx={{ fontSize: 14, color: "text.secondary" }}>
          Values are the mean of the standings that are marked.
        </Typography>
      )}
    </Box>
  );
}

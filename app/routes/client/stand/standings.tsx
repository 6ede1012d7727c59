import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { Reading } from "~core/measure/reading";
import { mostStandings, narrower } from "~core/measure/standings";
import type { Photo } from "~data/photos";

/** Which standing of this view and moment is shown, and the next one to take. */
export function Standings({
  taken,
  standing,
  choose,
}: {
  taken: readonly Photo[];
  standing: number;
  choose: (standing: number) => void;
}) {
  const most = Math.min(mostStandings, Math.max(...taken.map((photo) => photo.standing)) + 1);
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      value={standing}
      onChange={(_, value: number | null) => value && choose(value)}
      aria-label="Standing"
    >
      {Array.from({ length: most }, (_, i) => i + 1).map((each) => (
        <ToggleButton key={each} value={each}>
          {taken.some((photo) => photo.standing === each) ? `${each} ✓` : "Stand again"}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}

/** What standing again would bring. Empty where it brings little, or where it was done. */
export function standingWords(readings: readonly Reading[]): string {
  const gains = readings
    .filter(({ method, standings }) => method === "photo" && standings === 1)
    .map((reading) => narrower(reading, mostStandings))
    .sort((a, b) => a - b);
  const gain = gains[Math.floor(gains.length / 2)];
  return gain === undefined || gain < 0.1
    ? ""
    : `Three standings instead of one (they step off and stand again), at both moments, narrow the band of a change by about ${Math.round(100 * gain)}%.`;
}

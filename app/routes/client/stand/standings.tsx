import type { Reading } from "~core/measure/reading";
import { mostStandings, narrower } from "~core/measure/standings";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";

/** Which standing of this view and moment is shown, and the next one to take. */
export function Standings({
  taken,
  standing,
  choose,
}: {
  /** Those there are. */
  taken: readonly number[];
  standing: number;
  choose: (standing: number) => void;
}) {
  const most = Math.min(mostStandings, Math.max(...taken) + 1);
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
          {taken.includes(each) ? `${each} ✓` : "Stand again"}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}

/** What standing again would bring to values that were taken so. Empty where it brings little, or where it was done. */
export function standingWords(readings: readonly Reading[], by: "photo" | "hand"): string {
  const gains = readings
    .filter(({ method, standings }) => (method === "photo") === (by === "photo") && standings === 1)
    .map((reading) => narrower(reading, mostStandings))
    .sort((a, b) => a - b);
  const gain = gains[Math.floor(gains.length / 2)];
  return gain === undefined || gain < 0.1
    ? ""
    : `Three standings instead of one (they step off and stand again), at both moments, narrow the band of a change by about ${Math.round(100 * gain)}%.`;
}

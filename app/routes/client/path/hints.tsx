import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import type { CourseHint } from "~core/series/suggest-course";
import type { RhythmHint } from "~core/series/suggest-rhythm";
import { counted } from "~core/words";
import { shortDay } from "~app/ui/dates";
import { Fine } from "~app/ui/fine";
import { wide } from "./plan-alerts";

const doIt: Record<CourseHint["kind"], string> = {
  "join again": "Join one step earlier",
  "wait for the cover": "Put one session before it",
};

/** What the trade would change about sessions and days before the next visit, each with the press that does it. */
export function SeriesHints({
  hints,
  rhythm,
  wait,
  busy,
  put,
  spread,
}: {
  hints: readonly CourseHint[];
  rhythm: RhythmHint | undefined;
  wait: { day: string; days: number; titles: readonly string[] } | undefined;
  busy: boolean;
  put: (hint: CourseHint) => void;
  /** Takes another number of days between sessions. */
  spread: (change: NonNullable<RhythmHint["change"]>) => void;
}) {
  return (
    <>
      {hints.map((hint) => (
        <Alert
          key={hint.kind}
          severity="info"
          sx={wide}
          action={
            <Button color="inherit" sx={{ whiteSpace: "nowrap" }} disabled={busy} onClick={() => put(hint)}>
              {doIt[hint.kind]}
            </Button>
          }
        >
          {hint.why}
        </Alert>
      ))}
      {rhythm?.change && (
        <Alert
          severity="info"
          sx={wide}
          action={
            <Button
              color="inherit"
              sx={{ whiteSpace: "nowrap" }}
              disabled={busy}
              onClick={() => spread(rhythm.change!)}
            >
              Every {rhythm.change.to} days
            </Button>
          }
        >
          {rhythm.why} Now every {rhythm.change.from} days.
        </Alert>
      )}
      {rhythm && !rhythm.change && <Fine sx={{ mb: 1 }}>{rhythm.why}</Fine>}
      {wait && (
        <Fine sx={{ mb: 1 }}>
          {wait.titles.join(", ")}: over from {shortDay(wait.day)} on, {counted(wait.days, "day")} after the next
          session.
        </Fine>
      )}
    </>
  );
}

import Alert from "@mui/material/Alert";
import { useEffect, useRef } from "react";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { shortDay } from "~app/ui/dates";
import { Fine } from "~app/ui/fine";

export type History = readonly { number: number; by: string; at: string; what: string; differences: string[] }[];

/** Who changed what, the latest first. */
export function Versions({ history, started }: { history: History; started: boolean }) {
  if (history.length === 0) return null;
  return (
    <Box component="section" aria-label="Versions" sx={{ mt: 4, maxWidth: 860 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Versions
      </Typography>
      {history.map(({ number, what, by, at, differences }) => (
        <Box key={number} sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, py: 1 })}>
          <Typography>
            <strong>{number}</strong> · {what} by {by}, {shortDay(at.slice(0, 10))}
          </Typography>
          {differences.map((words) => (
            <Fine key={words}>{words}</Fine>
          ))}
        </Box>
      ))}
      {started && <Fine>Before: as everyone starts with it.</Fine>}
    </Box>
  );
}

/** What an answer says of what was typed: changed by somebody else, or not kept; what no field shows stands here. It is brought into view. */
export function NotKept({
  answer,
  shown,
}: {
  answer: { errors?: Record<string, string>; stale?: boolean } | undefined;
  /** Fields that say their fault themselves. */
  shown: RegExp;
}) {
  const told = useRef<HTMLDivElement>(null);
  const { errors = {}, stale } = answer ?? {};
  const fields = Object.keys(errors);
  useEffect(() => {
    if (answer?.stale || answer?.errors) told.current?.focus();
  }, [answer]);
  return (
    <Box ref={told} tabIndex={-1} sx={{ outline: "none" }}>
      {stale && (
        <Alert severity="warning" sx={{ mb: 2 }}>
          Somebody else changed this meanwhile. What you typed is still here; load the page again to see theirs.
        </Alert>
      )}
      {fields.length > 0 && (
        <Alert severity="error" sx={{ mb: 2 }}>
          Not saved: {fields.length === 1 ? "one field" : `${fields.length} fields`} below.
          {fields
            .filter((field) => !shown.test(field))
            .map((field) => (
              <div key={field}>
                {field}: {errors[field]}
              </div>
            ))}
        </Alert>
      )}
    </Box>
  );
}

import Button from "@mui/material/Button";
import { useMemo } from "react";
import { differences, differenceWords, weigh } from "~core/series/edit";
import { differenceWithReason, type Solved } from "~core/series/since";
import type { PlanInput, PlannedSession } from "~core/series/plan";
import { counted } from "~core/words";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";

const shownChanges = 12;

/** What changes by hand cost and break, before they are kept; and the ways on: back, repaired, kept, dropped. */
export function EditBar({
  input,
  force,
  sessions,
  undo,
  redo,
  drop,
  repair,
  keep,
  beside,
  solved,
  busy,
}: {
  input: PlanInput;
  force: readonly PlannedSession[];
  /** As changed; undefined: everything was undone, and can be done again. */
  sessions: readonly PlannedSession[] | undefined;
  undo: (() => void) | undefined;
  redo: (() => void) | undefined;
  drop: () => void;
  repair: () => void;
  keep: () => void;
  /** Keeps them as a plan beside the one in force. */
  beside: () => void;
  /** What the plan in force was solved for; given where a plan is offered, and each difference has a reason to be read. */
  solved: Solved | undefined;
  busy: boolean;
}) {
  const weighed = useMemo(() => sessions && weigh(input, force, sessions), [input, force, sessions]);
  const changes = useMemo(
    () => (sessions ? differences(force, sessions, input.done.length) : []),
    [force, sessions, input],
  );
  const lines = useMemo(
    () =>
      changes
        .slice(0, shownChanges)
        .map((each) =>
          solved && sessions
            ? differenceWithReason(input, solved, sessions, each)
            : { what: differenceWords(each), why: undefined },
        ),
    [changes, input, sessions, solved],
  );
  const standing = weighed?.standing ?? [];
  // what the change breaks comes first
  const broken = [...(weighed?.broken ?? []), ...standing];
  return (
    <Box
      component="section"
      aria-label="Changed by hand"
      sx={(t) => ({
        border: `1px solid ${t.tokens.line}`,
        borderRadius: "8px",
        bgcolor: "background.paper",
        p: 2,
        mb: 2,
      })}
    >
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center" }}>
        <Typography variant="h3" role="status" sx={{ flex: "1 1 240px" }}>
          {!weighed
            ? "Nothing is changed"
            : `${counted(changes.length, "step")} changed: ${pointWords(weighed.points)}${broken.length > standing.length ? `, ${counted(broken.length - standing.length, "rule")} broken` : ""}${standing.length > 0 ? `, ${counted(standing.length, "rule")} broken before` : ""}${broken.length === 0 ? ", every rule kept" : ""}`}
        </Typography>
        <Button size="small" color="inherit" disabled={!undo || busy} onClick={undo}>
          Undo
        </Button>
        <Button size="small" color="inherit" disabled={!redo || busy} onClick={redo}>
          Redo
        </Button>
        <Button size="small" color="inherit" disabled={busy} onClick={drop}>
          Drop all changes
        </Button>
        <Button size="small" variant="outlined" disabled={busy || broken.length === 0} onClick={repair}>
          Repair around it
        </Button>
        <Button size="small" variant="outlined" disabled={busy || !weighed} onClick={beside}>
          Keep beside
        </Button>
        <Button size="small" variant="contained" disabled={busy || !weighed || broken.length > 0} onClick={keep}>
          Keep this plan
        </Button>
      </Box>
      {broken.length > 0 && (
        <Box component="ul" aria-label="Rules broken" sx={(t) => ({ m: 0, mt: 1, pl: 2.5, color: t.tokens.amber })}>
          {broken.slice(0, 6).map(({ sentence }) => (
            <li key={sentence}>{sentence}</li>
          ))}
          {broken.length > 6 && <li>And {broken.length - 6} more.</li>}
        </Box>
      )}
      {changes.length > 0 && (
        <Box component="ul" aria-label="What differs from the plan in force" sx={{ m: 0, mt: 1, pl: 2.5 }}>
          {lines.map(({ what, why }) => (
            <li key={what}>
              {what}. {why && <Fine component="span">{why}</Fine>}
            </li>
          ))}
          {changes.length > shownChanges && <li>And {changes.length - shownChanges} more.</li>}
        </Box>
      )}
      {weighed && (
        <Fine sx={{ mt: 1 }}>
          Nothing is kept until you keep it. How much better any plan could be is proven again when the series is
          solved.
        </Fine>
      )}
    </Box>
  );
}

const pointWords = (points: number) =>
  Math.abs(points) < 0.05
    ? "no points lost or gained"
    : `${Math.abs(points).toFixed(1)} points ${points > 0 ? "gained" : "lost"}`;

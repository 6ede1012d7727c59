import TextField from "@mui/material/TextField";
import { useMemo, useState, type FormEvent } from "react";
import { useNavigation, useSubmit } from "react-router";
import { closingNote, spokenLength } from "~core/session/closing-note";
import { advance, elapsed, type RunState } from "~core/session/fold";
import { endAfter, likelyLength } from "~core/session/put-right";
import { stepsCounted, stepsWords } from "~core/session/worked";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import Button from "@mui/material/Button";
import { useHydrated } from "~app/ui/use-hydrated";
import { mostNote } from "./closing-form";
import { Times, timesOf, type Typed } from "./times";

/** The run as it reads once it is ended and its times are put right. */
const asPutRight = (state: RunState, end: number | undefined, times: { step: number; seconds: number }[]): RunState => {
  const ended =
    end === undefined
      ? state
      : advance(state, { id: "end", at: new Date(end).toISOString(), kind: "finished", body: {} });
  return times.reduce(
    (run, body) => advance(run, { id: "time", at: new Date(end ?? 0).toISOString(), kind: "corrected", body }),
    ended,
  );
};

/** Closes a visit: how long it took, where the clock was wrong, and the note, drafted from what the log holds until it is written by hand. */
export function Closing({
  visit,
  run,
  now,
  found,
  errors,
}: {
  visit: { id: string; ordinal: number; version: number };
  /** Null where no session was run. */
  run: RunState | null;
  /** When the page was made (ms since 1970). */
  now: number;
  /** What the table said and what light touch found, for the note. */
  found: string;
  errors: Record<string, string>;
}) {
  const open = run !== null && run.phase !== "finished";
  const [minutes, setMinutes] = useState(() => (open ? String(Math.round(likelyLength(run, now) / 60)) : ""));
  const [typed, setTyped] = useState<Typed>({});
  const [written, setWritten] = useState<string | undefined>();
  const typedMinutes = Number(minutes.replace(",", "."));
  const wrong = open && (minutes.trim() === "" || !(typedMinutes >= 0 && typedMinutes <= 600));
  const end = open && !wrong ? endAfter(run, typedMinutes * 60) : undefined;
  const state = useMemo(() => run && asPutRight(run, end, timesOf(typed, run)), [run, end, typed]);
  const counts = state && stepsCounted(state);
  const note = written ?? [state ? closingNote(state) : "", found].filter(Boolean).join("\n");
  const submit = useSubmit();
  const busy = useNavigation().state === "submitting";
  const ready = useHydrated();
  const close = (event: FormEvent) => {
    event.preventDefault();
    void submit(
      {
        intent: "close",
        visitId: visit.id,
        version: visit.version,
        note,
        minutes: open ? typedMinutes : null,
        times: run ? timesOf(typed, run) : [],
      } as never,
      { method: "post", encType: "application/json" },
    );
  };
  return (
    <Box component="form" noValidate onSubmit={close} aria-label="Close the visit">
      <Typography variant="h2" sx={{ mb: 1 }}>
        Close the visit
      </Typography>
      {run && state ? (
        <Typography sx={{ color: "text.secondary", mb: 2 }}>
          {counts && counts.of > 0 && `${stepsWords(counts)} done, ${counts.leftOut} left out, `}
          {spokenLength(elapsed(state, state.finishedAt ?? now))} at the table. The note is drafted from the run;
          correct what your hands know better.
        </Typography>
      ) : (
        <Typography sx={{ color: "text.secondary", mb: 2 }}>
          The session was not run here. Close the visit with a note of your own, or start the session.
        </Typography>
      )}
      {open && (
        <TextField
          label="Minutes at the table"
          value={minutes}
          onChange={(event) => setMinutes(event.target.value)}
          error={wrong || Boolean(errors.minutes)}
          helperText={
            errors.minutes ??
            (wrong
              ? "0 to 600 minutes."
              : `The session was not finished on the run sheet: its clock stands at ${spokenLength(elapsed(run, now))}. It is ended after these minutes.`)
          }
          slotProps={{ htmlInput: { inputMode: "decimal" } }}
          sx={{ mb: 2 }}
        />
      )}
      {run && <Times state={run} now={now} typed={typed} set={setTyped} />}
      <TextField
        name="note"
        label="Note"
        multiline
        minRows={9}
        error={note.length > mostNote || Boolean(errors.note)}
        helperText={
          errors.note ??
          (note.length > mostNote
            ? `Note: at most ${mostNote.toLocaleString("en")} characters, got ${note.length.toLocaleString("en")}. Nothing is cut: shorten it.`
            : undefined)
        }
        value={note}
        onChange={(event) => setWritten(event.target.value)}
      />
      <Button
        type="submit"
        variant={run?.phase === "finished" ? "contained" : "outlined"}
        disabled={busy || !ready || wrong || note.length > mostNote}
        sx={{ mt: 2 }}
      >
        {busy ? "Closing" : `Close visit ${visit.ordinal}`}
      </Button>
    </Box>
  );
}

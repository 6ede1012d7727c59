import TextField from "@mui/material/TextField";
import { useEffect, useState, type FormEvent } from "react";
import { useFetcher } from "react-router";
import type { RunState } from "~core/session/fold";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import Button from "@mui/material/Button";
import { shortDay } from "~app/ui/dates";
import { useOwnId } from "~app/ui/use-own-id";
import type { FieldErrors } from "~app/validation";
import type { Amendment } from "~data/visits";
import { Times, timesOf, type Typed } from "./times";

type Props = {
  visit: { id: string; closingNote: string };
  amendments: readonly Amendment[];
  run: RunState | null;
  now: number;
  today: string;
};

/** The note of a closed visit as it stands, what was written before, and the way to put it right. */
export function Closed({ visit, amendments, run, now, today }: Props) {
  const [amending, setAmending] = useState(false);
  const last = amendments.at(-1);
  const note = last?.note ?? visit.closingNote;
  return (
    <>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, mb: 1 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          Note
        </Typography>
        {!amending && (
          <Button size="small" variant="outlined" onClick={() => setAmending(true)}>
            Put right
          </Button>
        )}
      </Box>
      {amending ? (
        <Amend
          key={last?.id ?? "first"}
          visit={visit}
          note={note}
          after={last?.id ?? null}
          run={run}
          now={now}
          close={() => setAmending(false)}
        />
      ) : (
        <Typography sx={{ whiteSpace: "pre-wrap" }}>{note || "No note was written."}</Typography>
      )}
      {last && (
        <>
          <Typography sx={{ color: "text.secondary", fontSize: 14, mt: 1 }}>
            Put right {shortDay(last.at.slice(0, 10), today)} by {last.by}: {last.why}
          </Typography>
          <Box component="details" sx={{ mt: 1, fontSize: 14, color: "text.secondary" }}>
            <Box component="summary" sx={{ cursor: "pointer" }}>
              As it read before
            </Box>
            {[...amendments.slice(0, -1)].reverse().map((each) => (
              <Box key={each.id} sx={{ mt: 1 }}>
                Put right {shortDay(each.at.slice(0, 10), today)} by {each.by}: {each.why}
                <Typography sx={{ whiteSpace: "pre-wrap", fontSize: 14 }}>{each.note}</Typography>
              </Box>
            ))}
            <Box sx={{ mt: 1 }}>
              First written
              <Typography sx={{ whiteSpace: "pre-wrap", fontSize: 14 }}>
                {visit.closingNote || "No note was written."}
              </Typography>
            </Box>
          </Box>
        </>
      )}
    </>
  );
}

function Amend({
  visit,
  note: before,
  after,
  run,
  now,
  close,
}: {
  visit: { id: string };
  note: string;
  after: string | null;
  run: RunState | null;
  now: number;
  close: () => void;
}) {
  const fetcher = useFetcher<{ ok?: boolean; errors?: FieldErrors; stale?: boolean }>();
  const { data } = fetcher;
  const idFor = useOwnId();
  const [note, setNote] = useState(before);
  const [why, setWhy] = useState("");
  const [typed, setTyped] = useState<Typed>({});
  useEffect(() => {
    if (data?.ok) close();
  }, [data, close]);
  const save = (event: FormEvent) => {
    event.preventDefault();
    const said = { visitId: visit.id, after, note, why, times: run ? timesOf(typed, run) : [] };
    void fetcher.submit({ intent: "amend", id: idFor(said), ...said } as never, {
      method: "post",
      encType: "application/json",
    });
  };
  return (
    <Box component="form" noValidate onSubmit={save} aria-label="Put the visit right" sx={{ display: "grid", gap: 2 }}>
      <Typography sx={{ color: "text.secondary" }}>
        What was written first stays on record beside what you put right.
      </Typography>
      {data?.stale && (
        <Typography role="alert" sx={(t) => ({ color: t.tokens.clay })}>
          Somebody put this visit right meanwhile. Yours is not saved and still stands here: load the page again in
          another tab to see theirs.
        </Typography>
      )}
      {run && <Times state={run} now={now} typed={typed} set={setTyped} />}
      <TextField
        label="Note"
        multiline
        minRows={7}
        value={note}
        onChange={(event) => setNote(event.target.value)}
        error={Boolean(data?.errors?.note)}
        helperText={data?.errors?.note}
      />
      <TextField
        label="Why"
        value={why}
        onChange={(event) => setWhy(event.target.value)}
        error={Boolean(data?.errors?.why)}
        helperText={data?.errors?.why ?? "For whoever reads it later: “the clock ran on after the work”."}
      />
      <Box sx={{ display: "flex", gap: 1.5 }}>
        <Button type="submit" variant="contained" disabled={fetcher.state !== "idle"}>
          Save what is put right
        </Button>
        <Button color="inherit" onClick={close}>
          Cancel
        </Button>
      </Box>
    </Box>
  );
}

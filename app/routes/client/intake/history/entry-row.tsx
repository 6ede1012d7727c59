import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { useFetcher } from "react-router";
import { entryKinds } from "~core/screening/conditions";
import type { HistoryEntry } from "~core/screening/facts";
import { agoInWords } from "~core/screening/rough-date";
import { entryTitle } from "~core/screening/screen";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { shortDay } from "~app/ui/dates";
import { useOwnId } from "~app/ui/use-own-id";
import type { FieldErrors } from "~app/validation";
import type { HistoryVersion } from "~data/history";
import { EntryForm } from "./entry-form";
import { placeWords } from "./place-words";

const actWord = {
  told: "Told",
  changed: "Corrected",
  ended: "Ended",
  reopened: "Open again",
  struck: "Struck out",
} as const;

/** One entry of the history: what it is, what was recorded of it, and how it is corrected, ended or struck out. */
export function EntryRow({
  number,
  entry,
  versions,
  open,
  toggle,
  today,
  born,
}: {
  number: number;
  entry: HistoryEntry & { versionId: string };
  versions: readonly HistoryVersion[];
  open: boolean;
  toggle: () => void;
  today: string;
  born: string | null;
}) {
  const [doing, setDoing] = useState<"change" | "end" | "strike" | undefined>();
  return (
    <Box component="li" sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}` })}>
      <Box
        component="button"
        type="button"
        aria-expanded={open}
        onClick={toggle}
        sx={(t) => ({
          all: "unset",
          cursor: "pointer",
          display: "grid",
          gridTemplateColumns: { xs: "28px minmax(0,1fr) auto", sm: "28px minmax(0,1fr) 170px 110px" },
          // on a phone the words have a line of their own, and the time stands below them
          "& > :nth-of-type(2)": { gridColumn: { xs: "2 / -1", sm: "auto" } },
          "& > :nth-of-type(3)": { gridColumn: { xs: "2", sm: "auto" } },
          columnGap: 1,
          width: "100%",
          boxSizing: "border-box",
          py: 0.9,
          "&:focus-visible": { outline: `2px solid ${t.tokens.ember}` },
        })}
      >
        <Box component="span" sx={{ color: "text.secondary" }}>
          {number}
        </Box>
        <span>
          <strong>{entryTitle(entry)}</strong>
          {entry.words.toLowerCase() !== entryTitle(entry).toLowerCase() && (
            <Box component="span" sx={{ color: "text.secondary" }}>
              {" "}
              “{entry.words}”
            </Box>
          )}
        </span>
        <Box component="span" sx={{ color: "text.secondary" }}>
          {entry.when
            ? `${entry.when.onset ? "for " : ""}${agoInWords(entry.when, today)}${entry.when.latest > today || entry.when.onset ? "" : " ago"}`
            : "no date"}
        </Box>
        <Box component="span" sx={{ color: "text.secondary", textAlign: "right" }}>
          {entry.status === "ended" ? "over" : entryKinds[entry.kind].toLowerCase()}
        </Box>
      </Box>
      {open && (
        <Box sx={{ pl: 4.5, pb: 2 }}>
          {entry.when && (
            <Typography sx={{ fontSize: 14.5 }}>
              Said: “{entry.when.said}”, so {entry.when.onset ? "it began" : ""} between {shortDay(entry.when.earliest)}{" "}
              and {shortDay(entry.when.latest)}
              {entry.when.onset ? " and goes on" : ""}. Rules count from the later day
              {entry.when.onset ? ", and what is a state holds while it goes on" : ""}.
            </Typography>
          )}
          <Versions versions={versions} today={today} />
          {doing === "change" ? (
            <Box sx={{ mt: 1.5 }}>
              <EntryForm
                target={{ entryId: entry.id, after: entry.versionId, today: entry.at.slice(0, 10) === today }}
                initial={{
                  what: entry.words,
                  condition: entry.condition,
                  kind: entry.kind,
                  when: entry.when?.said ?? "",
                  where: entry.region ? placeWords(entry) : "",
                  answer: entry.answer,
                  ...(entry.stance ? { stance: entry.stance } : {}),
                }}
                today={today}
                born={born}
                done={() => setDoing(undefined)}
              />
            </Box>
          ) : doing ? (
            <EndForm entry={entry} intent={doing} today={today} close={() => setDoing(undefined)} />
          ) : (
            <Box sx={{ display: "flex", gap: 1, mt: 1 }}>
              <Button size="small" variant="outlined" onClick={() => setDoing("change")}>
                Correct
              </Button>
              {entry.status === "open" ? (
                <Button size="small" variant="outlined" onClick={() => setDoing("end")}>
                  It is over
                </Button>
              ) : (
                <Reopen entry={entry} />
              )}
              <Button size="small" color="inherit" onClick={() => setDoing("strike")}>
                Strike out
              </Button>
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
}

function useChange(entry: { id: string; versionId: string }) {
  const fetcher = useFetcher<{ ok?: boolean; errors?: FieldErrors; stale?: boolean }>();
  const idFor = useOwnId();
  const send = (change: Record<string, string>) => {
    const version = { entryId: entry.id, after: entry.versionId, ...change };
    void fetcher.submit({ versionId: idFor(version), ...version }, { method: "post", encType: "application/json" });
  };
  return { send, busy: fetcher.state !== "idle", answer: fetcher.data };
}

function Reopen({ entry }: { entry: { id: string; versionId: string } }) {
  const { send, busy } = useChange(entry);
  return (
    <Button size="small" variant="outlined" disabled={busy} onClick={() => send({ intent: "reopen" })}>
      It is back
    </Button>
  );
}

function EndForm({
  entry,
  intent,
  today,
  close,
}: {
  entry: { id: string; versionId: string };
  intent: "end" | "strike";
  today: string;
  close: () => void;
}) {
  const { send, busy, answer } = useChange(entry);
  const [endedOn, setEndedOn] = useState(today);
  const [why, setWhy] = useState("");
  return (
    <Box
      component="form"
      noValidate
      sx={{ display: "flex", gap: 1, mt: 1, alignItems: "start", flexWrap: "wrap" }}
      onSubmit={(event) => {
        event.preventDefault();
        send(intent === "end" ? { intent, endedOn, why } : { intent, why });
      }}
    >
      {intent === "end" ? (
        <TextField
          autoFocus
          type="date"
          label="Over since"
          value={endedOn}
          onChange={(event) => setEndedOn(event.target.value)}
          error={Boolean(answer?.errors?.endedOn)}
          helperText={answer?.errors?.endedOn}
          sx={{ width: 190 }}
        />
      ) : (
        <TextField
          autoFocus
          label="Why it is struck out"
          value={why}
          onChange={(event) => setWhy(event.target.value)}
          error={Boolean(answer?.errors?.why)}
          helperText={answer?.errors?.why ?? "It stays on record, and no rule follows from it any more."}
          sx={{ width: 420 }}
        />
      )}
      <Button type="submit" variant="contained" disabled={busy}>
        {intent === "end" ? "Mark as over" : "Strike out"}
      </Button>
      <Button color="inherit" onClick={close}>
        Cancel
      </Button>
      {answer?.stale && <Typography role="alert">It was changed in another tab. Load the page again.</Typography>}
    </Box>
  );
}

export function Versions({ versions, today }: { versions: readonly HistoryVersion[]; today: string }) {
  return (
    <Box
      component="ol"
      aria-label="What was recorded"
      sx={{ listStyle: "none", p: 0, m: 0, fontSize: 13.5, color: "text.secondary" }}
    >
      {versions.map((version) => (
        <li key={version.versionId}>
          {actWord[version.act]} {shortDay(version.at.slice(0, 10), today)}, {version.by}: “{version.words}”
          {version.when ? `, ${version.when.said}` : ""}
          {version.act === "ended" && version.endedOn ? `, over since ${shortDay(version.endedOn, today)}` : ""}
          {version.why ? ` (${version.why})` : ""}
        </li>
      ))}
    </Box>
  );
}

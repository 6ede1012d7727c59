import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import FormControlLabel from "@mui/material/FormControlLabel";
import Switch from "@mui/material/Switch";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { data, useFetcher } from "react-router";
import { object, string } from "yup";
import type { Route } from "./+types/history";
import { entryKinds } from "~core/screening/conditions";
import { readEntry, type TypedEntry } from "~core/screening/entry";
import { acting } from "~core/screening/outcome";
import { agoInWords } from "~core/screening/rough-date";
import { entryTitle } from "~core/screening/screen";
import { visitOf } from "~app/routes/client/workspace.server";
import { dayOfVisit, judgedOf } from "~app/screening.server";
import { inSession } from "~app/session.server";
import { today } from "~app/today.server";
import { shortDay } from "~app/ui/dates";
import { SafetyFigure } from "~app/ui/safety-figure";
import { validate, type FieldErrors } from "~app/validation";
import { getClient } from "~data/clients";
import { NotFound, Stale } from "~data/errors";
import { currentEntries, historyVersions, recordHistory, type HistoryVersion } from "~data/history";
import { WhenReady } from "~app/ui/when-ready";
import { EntryForm } from "./entry-form";
import { TimeLine } from "./time-line";

export const handle = { slim: true };

export function loader({ request, params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx, practitioner }) => {
    const client = await getClient(tx, params.clientId);
    const { visit } = await visitOf(tx, client.id, request);
    const versions = await historyVersions(tx, client.id);
    return {
      born: client.born,
      visit,
      today: today(),
      versions,
      entries: currentEntries(versions),
      cautions: acting(await judgedOf(tx, client, practitioner), dayOfVisit(visit)),
    };
  });
}

const changeSchema = object({
  intent: string<"tell" | "change" | "end" | "reopen" | "strike">()
    .oneOf(["tell", "change", "end", "reopen", "strike"])
    .required(),
  entryId: string().uuid().required(),
  versionId: string().uuid().required(),
  after: string().uuid().nullable().default(null),
  why: string()
    .trim()
    .default("")
    .max(500, "Why: at most 500 characters.")
    .when("intent", {
      is: (intent: string) => intent === "strike" || intent === "change",
      then: (schema) => schema.required("Why: say why it is changed. What was there before stays on record."),
    }),
  endedOn: string()
    .default("")
    .when("intent", {
      is: "end",
      then: (schema) =>
        schema
          .matches(/^\d{4}-\d{2}-\d{2}$/, "Over since: use year-month-day, got “${value}”.")
          .test("past", "Over since: ${value} is still to come.", (value) => !value || value <= today()),
    }),
});
const acts = { tell: "told", change: "changed", end: "ended", reopen: "reopened", strike: "struck" } as const;

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export function action({ request, params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner }) => {
    const client = await getClient(tx, params.clientId);
    const sent = (await request.json()) as Record<string, unknown>;
    const { value, errors } = await validate(changeSchema, sent);
    if (errors) return data({ errors }, { status: 400 });
    const known = currentEntries(await historyVersions(tx, client.id)).find((entry) => entry.id === value.entryId);
    let body;
    if (value.intent === "tell" || value.intent === "change") {
      const text = (name: string) => (typeof sent[name] === "string" ? sent[name] : "");
      const read = readEntry(
        {
          what: text("what"),
          condition: typeof sent.condition === "string" ? sent.condition : null,
          kind: text("kind") as TypedEntry["kind"],
          when: text("when"),
          where: text("where"),
          answer: typeof sent.answer === "string" ? (sent.answer as TypedEntry["answer"]) : null,
        },
        today(),
        client.born,
      );
      if (read.errors) return data({ errors: read.errors as FieldErrors }, { status: 400 });
      body = known ? { ...read.body, status: known.status, endedOn: known.endedOn } : read.body;
    } else {
      if (!known) throw new NotFound("history entry");
      const { id, at, versionId, changes, ...rest } = known;
      body = {
        ...rest,
        ...(value.intent === "end" ? { status: "ended" as const, endedOn: value.endedOn } : {}),
        ...(value.intent === "reopen" ? { status: "open" as const, endedOn: null } : {}),
      };
    }
    try {
      await recordHistory(tx, client.id, {
        entryId: value.entryId,
        versionId: value.versionId,
        after: value.after,
        act: acts[value.intent],
        body,
        why: value.why,
        by: practitioner.name,
      });
    } catch (error) {
      if (error instanceof Stale) return data({ stale: true }, { status: 409 });
      throw error;
    }
    return { ok: true, id: value.entryId };
  });
}

const actWord = {
  told: "Told",
  changed: "Corrected",
  ended: "Ended",
  reopened: "Open again",
  struck: "Struck out",
} as const;

export default function History({ loaderData }: Route.ComponentProps) {
  const { entries, versions, cautions, born, today, visit } = loaderData;
  const [chosen, setChosen] = useState<string | undefined>();
  const [zones, setZones] = useState(true);
  const struck = [...new Set(versions.filter((each) => each.act === "struck").map((each) => each.entryId))].filter(
    (id) => !entries.some((entry) => entry.id === id),
  );
  const ordered = [...entries].sort((a, b) => (b.when?.latest ?? "").localeCompare(a.when?.latest ?? ""));
  const title = (entry: (typeof entries)[number]) => entryTitle(entry);
  const labels = new Map(ordered.map((entry, i) => [entry.id, `${i + 1} ${title(entry)}`] as const));
  return (
    <Box
      sx={{
        p: { xs: 2, sm: 3 },
        pt: 2,
        display: "grid",
        gridTemplateColumns: { xs: "1fr", lg: "minmax(0, 1fr) 372px" },
        gap: 4,
      }}
    >
      <Box sx={{ minWidth: 0 }}>
        <EntryForm today={today} born={born} />
        {entries.length === 0 ? (
          <Typography sx={{ color: "text.secondary", maxWidth: 620, mt: 1 }}>
            Type it as it is told, in any order: “broken left wrist”, Enter, “11 weeks ago”, Enter. What it means for
            the work shows while you type.
          </Typography>
        ) : (
          <TimeLine entries={ordered} labels={labels} today={today} chosen={chosen} choose={setChosen} />
        )}
        <WhenReady>
          <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0, mt: 2 }}>
            {ordered.map((entry, i) => (
              <Row
                key={`${entry.id} ${entry.versionId}`}
                number={i + 1}
                entry={entry}
                versions={versions.filter((each) => each.entryId === entry.id)}
                open={chosen === entry.id}
                toggle={() => setChosen(chosen === entry.id ? undefined : entry.id)}
                today={today}
                born={born}
              />
            ))}
          </Box>
        </WhenReady>
        {struck.length > 0 && (
          <Box component="details" sx={{ mt: 2 }}>
            <Box component="summary" sx={{ color: "text.secondary", cursor: "pointer" }}>
              {struck.length} struck out, kept on record
            </Box>
            {struck.map((id) => (
              <Versions key={id} versions={versions.filter((each) => each.entryId === id)} today={today} />
            ))}
          </Box>
        )}
      </Box>
      <Box>
        <Box sx={{ display: "flex", alignItems: "center" }}>
          <Typography variant="h3" component="h2" sx={{ flex: 1 }}>
            On the body, visit {visit.ordinal}
          </Typography>
          <FormControlLabel
            control={<Switch size="small" checked={zones} onChange={(_, on) => setZones(on)} />}
            label="Stay-clear places"
            slotProps={{ typography: { sx: { fontSize: 13.5 } } }}
          />
        </Box>
        <SafetyFigure
          cautions={cautions}
          withZones={zones}
          chosen={chosen}
          choose={setChosen}
          marks={ordered.flatMap((entry, i) =>
            entry.region
              ? [{ id: entry.id, text: String(i + 1), region: entry.region, side: entry.side, title: title(entry) }]
              : [],
          )}
        />
        <Typography sx={{ fontSize: 13.5, color: "text.secondary" }}>
          Hatched: no work there. Tinted: lighter, or some work only. Small struck rings are never pressed, whoever lies
          there; point at one to read its rule.
        </Typography>
      </Box>
    </Box>
  );
}

function Row({
  number,
  entry,
  versions,
  open,
  toggle,
  today,
  born,
}: {
  number: number;
  entry: ReturnType<typeof currentEntries>[number];
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
          gridTemplateColumns: "28px minmax(0,1fr) 170px 110px",
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
          {entry.when ? `${agoInWords(entry.when, today)}${entry.when.latest > today ? "" : " ago"}` : "no date"}
        </Box>
        <Box component="span" sx={{ color: "text.secondary", textAlign: "right" }}>
          {entry.status === "ended" ? "over" : entryKinds[entry.kind].toLowerCase()}
        </Box>
      </Box>
      {open && (
        <Box sx={{ pl: 4.5, pb: 2 }}>
          {entry.when && (
            <Typography sx={{ fontSize: 14.5 }}>
              Said: “{entry.when.said}”, so between {shortDay(entry.when.earliest)} and {shortDay(entry.when.latest)}.
              Rules count from the later day.
            </Typography>
          )}
          <Versions versions={versions} today={today} />
          {doing === "change" ? (
            <Box sx={{ mt: 1.5 }}>
              <EntryForm
                target={{ entryId: entry.id, after: entry.versionId }}
                initial={{
                  what: entry.words,
                  condition: entry.condition,
                  kind: entry.kind,
                  when: entry.when?.said ?? "",
                  where: entry.region ? placeWords(entry) : "",
                  answer: entry.answer,
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

const sideBefore = { L: "left ", R: "right ", both: "both " } as const;
const placeWords = (entry: { region: string | null; side: "L" | "R" | "both" | null }) =>
  `${entry.side ? sideBefore[entry.side] : ""}${entry.region === "upper-back" ? "upper back" : entry.region === "low-back" ? "low back" : entry.region}`;

function useChange(entry: { id: string; versionId: string }) {
  const fetcher = useFetcher<{ ok?: boolean; errors?: FieldErrors; stale?: boolean }>();
  const [versionId] = useState(() => crypto.randomUUID());
  const send = (change: Record<string, string>) =>
    void fetcher.submit(
      { entryId: entry.id, versionId, after: entry.versionId, ...change },
      { method: "post", encType: "application/json" },
    );
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

function Versions({ versions, today }: { versions: readonly HistoryVersion[]; today: string }) {
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

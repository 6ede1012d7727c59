import FormControlLabel from "@mui/material/FormControlLabel";
import Switch from "@mui/material/Switch";
import { useState } from "react";
import { data } from "react-router";
import { object, string } from "yup";
import { cachedLoader } from "~app/server/cached-loader.server";
import type { Route } from "./+types/history";
import { readEntry, type TypedEntry } from "~core/screening/entry";
import { acting } from "~core/screening/outcome";
import type { Client } from "~core/client";
import type { Stance } from "~core/screening/told/stance";
import { entryTitle } from "~core/screening/screen";
import { visitOf } from "~app/server/client/workspace.server";
import { dayOfVisit, judgedOf } from "~app/server/client/screening.server";
import { inSession } from "~app/server/request/session.server";
import { today } from "~app/server/today.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { SafetyFigure } from "~app/ui/safety-figure";
import { validate, type FieldErrors } from "~app/validation";
import { getClient } from "~data/clients";
import type { Tx } from "~data/database";
import { NotFound, Stale } from "~data/errors";
import { currentEntries, historyVersions, recordHistory } from "~data/history";
import { WhenReady } from "~app/ui/when-ready";
import { deserialised } from "~app/serialised";
import { EntryForm } from "./entry-form";
import { mostParts } from "./told-parts";
import { EntryRow, Versions } from "./entry-row";
import { TimeLine } from "./time-line";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "history", async ({ tx, practitioner }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit } = await visitOf(tx, client.id, asked.request);
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

const whyAsked = "Why: say why it is changed. What was there before stays on record.";

const changeSchema = object({
  intent: string<"change" | "end" | "reopen" | "strike">().oneOf(["change", "end", "reopen", "strike"]).required(),
  entryId: string().uuid().required(),
  versionId: string().uuid().required(),
  after: string().uuid().nullable().default(null),
  why: string()
    .trim()
    .default("")
    .max(500, "Why: at most 500 characters.")
    .when("intent", {
      is: "strike",
      then: (schema) => schema.required(whyAsked),
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
const acts = { change: "changed", end: "ended", reopen: "reopened", strike: "struck" } as const;

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export function action({ params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner, body: { fields: sent } }) => {
    const client = await getClient(tx, params.clientId);
    if (sent.intent === "tell") return tell(tx, client, practitioner.name, sent);
    const { value, errors } = await validate(changeSchema, sent);
    if (errors) return data({ errors }, { status: 400 });
    const known = currentEntries(await historyVersions(tx, client.id)).find((entry) => entry.id === value.entryId);
    if (!known) throw new NotFound("history entry");
    let body;
    if (value.intent === "change") {
      // what was told today is still being told: setting it right needs no reason
      if (value.why === "" && known.at.slice(0, 10) !== today())
        return data({ errors: { why: whyAsked } as FieldErrors }, { status: 400 });
      const read = readEntry(typedOf(sent), today(), client.born);
      if (read.errors) return data({ errors: read.errors as FieldErrors }, { status: 400 });
      body = { ...read.body, status: known.status, endedOn: known.endedOn };
    } else {
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

const partSchema = object({ entryId: string().uuid().required(), versionId: string().uuid().required() });

/** A typed entry from what was sent; fields of another kind count as empty, and are said to be. */
function typedOf(sent: Record<string, unknown>): TypedEntry {
  const text = (name: string) => (typeof sent[name] === "string" ? sent[name] : "");
  return {
    what: text("what"),
    condition: typeof sent.condition === "string" ? sent.condition : null,
    kind: text("kind") as TypedEntry["kind"],
    when: text("when"),
    where: text("where"),
    answer: typeof sent.answer === "string" ? (sent.answer as TypedEntry["answer"]) : null,
    ...(typeof sent.stance === "string" ? { stance: sent.stance as Stance } : {}),
  };
}

/** Records what was told: one thing, or the several that a sentence named; all of them or none. */
async function tell(tx: Tx, client: Client, by: string, sent: Record<string, unknown>) {
  const parts = (Array.isArray(sent.parts) ? sent.parts : [sent]) as Record<string, unknown>[];
  if (parts.length === 0 || parts.length > mostParts)
    return data(
      { errors: { what: `What: at most ${mostParts} things at a time, got ${parts.length}.` } },
      { status: 400 },
    );
  const bodies = [];
  for (const part of parts) {
    const { value, errors } = await validate(partSchema, part);
    if (errors) return data({ errors }, { status: 400 });
    const read = readEntry(typedOf(part), today(), client.born);
    if (read.errors) return data({ errors: read.errors as FieldErrors }, { status: 400 });
    bodies.push({ ...value, body: read.body });
  }
  try {
    for (const { entryId, versionId, body } of bodies)
      await recordHistory(tx, client.id, { entryId, versionId, after: null, act: "told", body, why: "", by });
  } catch (error) {
    if (error instanceof Stale) return data({ stale: true }, { status: 409 });
    throw error;
  }
  return { ok: true, id: bodies[0]!.entryId };
}

export default function History({ loaderData: serial }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
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
        <EntryForm today={today} born={born} record={entries} />
        {entries.length === 0 ? (
          <Typography sx={{ color: "text.secondary", maxWidth: 620, mt: 1 }}>
            Type it as it is told, a sentence or a word: “broke my left wrist 11 weeks ago, no clots, I take warfarin”.
            What was read in it, and what it means for the work, shows while you type.
          </Typography>
        ) : (
          <TimeLine entries={ordered} labels={labels} today={today} chosen={chosen} choose={setChosen} />
        )}
        <WhenReady>
          <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0, mt: 2 }}>
            {ordered.map((entry, i) => (
              <EntryRow
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
            slotProps={{ typography: { variant: "body2" } }}
            control={<Switch size="small" checked={zones} onChange={(_, on) => setZones(on)} />}
            label="Stay-clear places"
          />
        </Box>
        <SafetyFigure
          cautions={cautions}
          withZones={zones}
          chosen={chosen}
          choose={setChosen}
          marks={ordered.flatMap((entry, i) =>
            entry.region && entry.stance !== "denied" && entry.stance !== "other"
              ? [
                  {
                    id: entry.id,
                    text: String(i + 1),
                    region: entry.region,
                    places: entry.places ?? [],
                    side: entry.side,
                    title: title(entry),
                  },
                ]
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

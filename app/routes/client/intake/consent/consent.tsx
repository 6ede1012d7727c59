import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import TextField from "@mui/material/TextField";
import { useEffect, useState } from "react";
import { data, useFetcher } from "react-router";
import { cachedLoader } from "~app/server/cached-loader.server";
import type { Route } from "./+types/consent";
import { sensitiveAreas, type SensitiveArea } from "~core/anatomy/sensitive";
import { ageOn } from "~core/client";
import {
  areasIn,
  contradiction,
  lawfulSignature,
  saidOf,
  stands,
  textFor,
  type ConsentRecord,
  type Stroke,
  type Subject,
} from "~core/consent/consent";
import { seenOf } from "~core/said";
import { techniqueOf } from "~core/techniques/library";
import { ownVisit, visitOf } from "~app/server/client/workspace.server";
import { agree } from "~app/server/client/consent.server";
import { inSession } from "~app/server/request/session.server";
import { today } from "~app/server/today.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { shortDay } from "~app/ui/dates";
import { WhenReady } from "~app/ui/when-ready";
import { Signature, SignaturePad } from "~app/ui/signature-pad";
import { useOwnId } from "~app/ui/use-own-id";
import { validate, type FieldErrors } from "~app/validation";
import { deserialised } from "~app/serialised";
import { getClient } from "~data/clients";
import { consentsOf } from "~data/consents";
import { seriesOf } from "~data/series";
import { consentSchema } from "./consent-form";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "consent", async ({ tx }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit } = await visitOf(tx, client.id, asked.request);
    const planned = (await seriesOf(tx, client.id))?.plan?.sessions[visit.ordinal - 1];
    return {
      name: client.name,
      minor: (ageOn(client.born, today()) ?? 18) < 18,
      visit,
      today: today(),
      records: await consentsOf(tx, client.id),
      areas: areasIn(planned?.steps.map((step) => techniqueOf(step.technique)) ?? []),
    };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export function action({ params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner, body }) => {
    const { signature: drawn, ...sent } = body.fields;
    const signature = lawfulSignature(drawn);
    if (signature === undefined)
      return data({ errors: { signature: "Signature: it is too long. Clear it and sign again." } }, { status: 400 });
    const { value, errors } = await validate(consentSchema, sent);
    if (errors) return data({ errors }, { status: 400 });
    const client = await getClient(tx, params.clientId);
    const visit = await ownVisit(tx, client.id, value.visitId);
    await agree(tx, client, { ...value, visitId: visit.id, signature }, practitioner.name);
    return { ok: true };
  });
}

export const subjectName = (subject: Subject): string =>
  subject === "general"
    ? "Hands-on work"
    : subject === "photographs"
      ? "Photographs"
      : subject === "unwinding"
        ? "Unwinding"
        : subject === "guardian"
          ? "Guardian"
          : sensitiveAreas[subject.slice(5) as SensitiveArea].name;

const without: Partial<Record<Subject, string>> = {
  general: "Without it no session starts.",
  photographs: "Without it no picture is taken; measure by hand instead.",
  unwinding: "Without it no limb or neck is followed.",
  guardian: "Under 18 no session starts without it.",
};

export default function Consent({ loaderData: serial }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  const { name, minor, visit, today, records, areas } = loaderData;
  const [asking, setAsking] = useState<Subject | undefined>();
  const lasting: Subject[] = ["general", "photographs", "unwinding", ...(minor ? (["guardian"] as const) : [])];
  const row = (subject: Subject) => (
    <Row
      key={subject}
      subject={subject}
      state={stands(records, subject, visit.id)}
      records={saidOf(records, subject, visit.id)}
      visitId={visit.id}
      today={today}
      ask={() => setAsking(subject)}
    />
  );
  return (
    <Box sx={{ p: { xs: 2, sm: 3 }, pt: 2, maxWidth: 980 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Until it is withdrawn
      </Typography>
      <WhenReady>{lasting.map(row)}</WhenReady>
      <Typography variant="h2" sx={{ mt: 4 }}>
        Sensitive areas, for visit {visit.ordinal} only
      </Typography>
      <Typography sx={{ color: "text.secondary", mb: 1 }}>
        {areas.length > 0
          ? "Today’s plan works here. Where nobody agreed, the steps are left out of the run sheet."
          : "Today’s plan works in no sensitive area."}
      </Typography>
      <WhenReady>{areas.map((area) => row(`area ${area}`))}</WhenReady>
      <Typography sx={{ mt: 3, fontSize: 13.5, color: "text.secondary" }}>
        Every consent is kept with the wording that was agreed to. Nothing here is work inside the mouth: that stays out
        without licence, gloves and local permission.
      </Typography>
      {asking && (
        <SignDialog
          subject={asking}
          name={asking === "guardian" ? "" : name}
          visitId={visit.id}
          seen={seenOf(saidOf(records, asking, visit.id))}
          close={() => setAsking(undefined)}
        />
      )}
    </Box>
  );
}

function Row({
  subject,
  state,
  records,
  visitId,
  today,
  ask,
}: {
  subject: Subject;
  state: boolean | undefined;
  records: readonly ConsentRecord[];
  visitId: string;
  today: string;
  ask: () => void;
}) {
  const fetcher = useFetcher();
  const idFor = useOwnId();
  const against = contradiction(records, subject, visitId);
  const last = state === undefined ? undefined : records.findLast(({ given }) => given === state);
  const withdraw = { visitId, subject, given: false, seen: seenOf(records) };
  return (
    <Box sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, py: 1.5 })}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 2, flexWrap: "wrap" }}>
        <Box sx={{ flex: 1, minWidth: 260 }}>
          <Typography sx={{ fontWeight: 700 }}>{subjectName(subject)}</Typography>
          <Typography
            sx={(t) => ({
              color: state === true ? t.tokens.moss : state === false ? t.tokens.amber : t.tokens.inkSoft,
            })}
          >
            {state === undefined
              ? `Not asked yet. ${without[subject] ?? ""}`
              : state
                ? `Agreed ${shortDay(last!.at.slice(0, 10), today)} by ${last!.signedBy}${last!.signature ? ", signed" : ", by word of mouth"}`
                : `${records.some((record) => record.given) ? "Withdrawn" : "Declined"} ${shortDay(last!.at.slice(0, 10), today)}. ${without[subject] ?? "Those steps are left out."}`}
          </Typography>
        </Box>
        {last?.given && last.signature && (
          <Signature strokes={last.signature} label={`Signature of ${last.signedBy}`} high={44} />
        )}
        <Button variant={state ? "text" : "outlined"} color={state ? "inherit" : "primary"} onClick={ask}>
          {state ? "Sign again" : "Ask"}
        </Button>
        {state !== false && (
          <Button
            color="inherit"
            disabled={fetcher.state !== "idle"}
            aria-label={`${state ? "Withdraw" : "Declined"}: ${subjectName(subject)}`}
            onClick={() =>
              void fetcher.submit({ id: idFor(withdraw), ...withdraw }, { method: "post", encType: "application/json" })
            }
          >
            {state ? "Withdraw" : "Declined"}
          </Button>
        )}
      </Box>
      {against && (
        <Alert severity="warning" sx={{ mt: 1 }}>
          Two answers that did not know of each other: {against.yes.by} recorded “agreed”, {against.no.by} “not agreed”
          ({shortDay(against.no.at.slice(0, 10), today)}). Not agreed holds until it is settled: ask again.
        </Alert>
      )}
      {records.length > 0 && (
        <Box component="details" sx={{ mt: 0.5, fontSize: 13.5, color: "text.secondary" }}>
          <Box component="summary" sx={{ cursor: "pointer" }}>
            {records.length} on record
          </Box>
          {[...records].reverse().map((record) => (
            <Box key={record.id} sx={{ mt: 1 }}>
              {shortDay(record.at.slice(0, 10))}: {record.given ? "agreed" : "declined or withdrawn"}, {record.signedBy}
              , recorded by {record.by}. Wording of {record.textVersion}: “{record.text}”
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}

function SignDialog({
  subject,
  name,
  visitId,
  seen: shown,
  close,
}: {
  subject: Subject;
  name: string;
  visitId: string;
  seen: number;
  close: () => void;
}) {
  const fetcher = useFetcher<{ ok?: boolean; errors?: FieldErrors }>();
  const idFor = useOwnId();
  // what comes while this is open was not seen
  const [seen] = useState(shown);
  const [signedBy, setSignedBy] = useState(name);
  const [strokes, setStrokes] = useState<Stroke[]>([]);
  const answer = fetcher.data;
  useEffect(() => {
    if (answer?.ok) close();
  }, [answer, close]);
  const send = (given: boolean, signature: Stroke[] | null) => {
    const said = { visitId, subject, given, seen, signedBy, signature };
    void fetcher.submit({ id: idFor(said), ...said } as never, { method: "post", encType: "application/json" });
  };
  const { text, version } = textFor(subject);
  const busy = fetcher.state !== "idle";
  return (
    <Dialog open onClose={close} maxWidth="sm" fullWidth slotProps={{ paper: { "aria-label": subjectName(subject) } }}>
      <Box sx={{ p: 3 }}>
        <Typography variant="h2">{subjectName(subject)}</Typography>
        <Typography sx={{ fontSize: 18, lineHeight: 1.5, my: 2 }}>{text}</Typography>
        {answer?.errors && (
          <Alert severity="error" sx={{ mb: 2 }}>
            {Object.values(answer.errors).join(" ")}
          </Alert>
        )}
        <TextField
          autoFocus
          label={subject === "guardian" ? "Name of the guardian" : "Name"}
          value={signedBy}
          onChange={(event) => setSignedBy(event.target.value)}
          sx={{ mb: 1.5 }}
        />
        <SignaturePad strokes={strokes} change={setStrokes} />
        <Box sx={{ display: "flex", gap: 1, mt: 2, flexWrap: "wrap" }}>
          <Button variant="contained" disabled={busy || strokes.length === 0} onClick={() => send(true, strokes)}>
            I agree
          </Button>
          <Button variant="outlined" disabled={busy} onClick={() => send(true, null)}>
            Agreed by word of mouth
          </Button>
          <Button variant="outlined" disabled={busy} onClick={() => send(false, null)}>
            I do not agree
          </Button>
          <Box sx={{ flex: 1 }} />
          <Button color="inherit" onClick={close}>
            Not now
          </Button>
        </Box>
        <Typography sx={{ fontSize: 13, color: "text.secondary", mt: 1.5 }}>Wording of {version}.</Typography>
      </Box>
    </Dialog>
  );
}

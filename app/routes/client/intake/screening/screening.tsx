import Button from "@mui/material/Button";
import { useEffect } from "react";
import { data, useFetcher } from "react-router";
import { array, object, string } from "yup";
import { cachedLoader } from "~app/server/cached-loader.server";
import type { Route } from "./+types/screening";
import { ageOn } from "~core/client";
import { byStrictness, isActive } from "~core/screening/outcome";
import { answers, askedKeys, questions, rescreen, type Answer } from "~core/screening/questions";
import { CautionCard } from "~app/routes/client/cautions/caution-card";
import { ownVisit, visitOf } from "~app/server/client/workspace.server";
import { dayOfVisit, judgedOf } from "~app/server/client/screening.server";
import { inSession } from "~app/server/request/session.server";
import { today } from "~app/server/today.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { shortDay } from "~app/ui/dates";
import { validate, type FieldErrors } from "~app/validation";
import { getClient } from "~data/clients";
import { seenOf } from "~core/said";
import { seenSchema } from "~app/routes/client/intake/consent/consent-form";
import { useOwnId } from "~app/ui/use-own-id";
import { handOver } from "~data/handovers";
import { answersOf, recordAnswer } from "~data/screening";
import { WhenReady } from "~app/ui/when-ready";
import { deserialised } from "~app/serialised";
import { QuickChecks } from "./quick-checks";
import { AnswerRow } from "./answer-row";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "screening", async ({ tx, practitioner }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit } = await visitOf(tx, client.id, asked.request);
    return {
      clientId: client.id,
      age: ageOn(client.born, today()),
      visit,
      day: dayOfVisit(visit),
      today: today(),
      given: await answersOf(tx, client.id),
      atVisit: await answersOf(tx, client.id, { visitId: visit.id }),
      cautions: await judgedOf(tx, client, practitioner),
    };
  });
}

const answersSchema = object({
  visitId: string().uuid().required(),
  answers: array(
    object({
      id: string().uuid().required(),
      question: string()
        .oneOf([...askedKeys], "Question: “${value}” is not asked here.")
        .required(),
      answer: string<Answer>()
        .oneOf([...answers], "Answer: “${value}” is not yes, no or don’t know.")
        .required(),
      seen: seenSchema,
    }),
  )
    .min(1)
    .max(askedKeys.length)
    .required(),
});

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export function action({ params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner, body }) => {
    const sent = body.fields;
    const client = await getClient(tx, params.clientId);
    const visit = await ownVisit(tx, client.id, sent.visitId);
    if (sent.intent === "hand-over") return { handed: await handOver(tx, practitioner.sessionId, client.id, visit.id) };
    const { value, errors } = await validate(answersSchema, sent);
    if (errors) return data({ errors }, { status: 400 });
    for (const each of value.answers)
      await recordAnswer(tx, client.id, { ...each, visitId: visit.id, by: practitioner.name });
    return { ok: true };
  });
}

export default function Screening({ loaderData: serial }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  const { clientId, age, visit, day, today, given, atVisit, cautions } = loaderData;
  const fetcher = useFetcher<{ ok?: boolean; errors?: FieldErrors; handed?: string }>();
  const { submit, data: answer } = fetcher;
  const handed = answer?.handed;
  useEffect(() => {
    // a whole new page: nothing of the record stays in this one's memory, or behind the back button
    if (handed) window.location.replace(`/handed/${handed}`);
  }, [handed]);
  const idFor = useOwnId();
  const ofVisit = new Map(atVisit.map((each) => [each.question, each]));
  const ever = new Map(given.map((each) => [each.question, each]));
  const send = (list: readonly (readonly [string, Answer])[]) => {
    const said = list.map(([question, each]) => {
      const before = ever.get(question);
      return { question, answer: each, seen: seenOf(before ? [before, ...before.against] : []) };
    });
    void submit(
      { visitId: visit.id, answers: said.map((each) => ({ id: idFor([visit.id, each]), ...each })) },
      { method: "post", encType: "application/json" },
    );
  };
  const unaskedNow = rescreen.filter((question) => !ofVisit.has(question.key));
  const unasked = questions.filter((question) => !ever.has(question.key));
  const note = (key: string, among = ever) => {
    const last = among.get(key);
    return last ? `${shortDay(last.at.slice(0, 10), today)}, ${last.by}` : "not asked yet";
  };
  const closed = visit.status === "closed";
  const now = cautions.filter((caution) => isActive(caution, day)).sort(byStrictness);
  const ahead = cautions.filter((caution) => caution.from !== undefined && caution.from > day);
  const over = cautions.filter((caution) => caution.until !== undefined && caution.until <= day);
  // who was never asked is asked everything first
  const again = (
    <Box component="section" aria-label="What changed" key="again" sx={{ mb: 4 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, flexWrap: "wrap" }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          What changed since last time?
        </Typography>
        <Button
          variant="outlined"
          disabled={closed || unaskedNow.length === 0 || fetcher.state !== "idle"}
          onClick={() => send(unaskedNow.map((question) => [question.key, "no"]))}
        >
          Nothing changed
        </Button>
      </Box>
      <Typography sx={{ color: "text.secondary", mb: 1 }}>
        Asked before visit {visit.ordinal}. A yes belongs into the history, or into an answer below.
      </Typography>
      {rescreen.map((question) => (
        <AnswerRow
          key={question.key}
          ask={question.ask}
          note={ofVisit.has(question.key) ? note(question.key, ofVisit) : "not asked for this visit"}
          value={ofVisit.get(question.key)?.answer}
          against={ofVisit.get(question.key)}
          disabled={closed}
          answer={(each) => send([[question.key, each]])}
        />
      ))}
    </Box>
  );
  const first = (
    <Box component="section" aria-label="Before any hands-on work" key="first" sx={{ mb: 4 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, flexWrap: "wrap" }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          Before any hands-on work
        </Typography>
        <Button
          variant={unasked.length > 0 ? "contained" : "outlined"}
          disabled={closed || fetcher.state !== "idle"}
          onClick={() =>
            void submit({ intent: "hand-over", visitId: visit.id }, { method: "post", encType: "application/json" })
          }
        >
          Hand over the tablet
        </Button>
        <Button
          variant="outlined"
          disabled={closed || unasked.length === 0 || fetcher.state !== "idle"}
          onClick={() => send(unasked.map((question) => [question.key, "no"]))}
        >
          No to all that are open
        </Button>
      </Box>
      <Typography sx={{ color: "text.secondary", mb: 1 }}>
        A yes means a doctor sees it first. Don’t know is never taken for no. Keys: Y, N, D.
      </Typography>
      {answer?.errors && (
        <Typography role="alert" sx={(t) => ({ color: t.tokens.clay })}>
          {Object.values(answer.errors).join(" ")}
        </Typography>
      )}
      {questions.map((question) => (
        <AnswerRow
          key={question.key}
          ask={question.ask}
          note={`${note(question.key)}${question.blocks === "cranial work" ? " · for cranial work" : ""}`}
          value={ever.get(question.key)?.answer}
          against={ever.get(question.key)}
          disabled={closed}
          answer={(each) => send([[question.key, each]])}
        />
      ))}
    </Box>
  );
  return (
    <Box
      sx={{
        p: { xs: 2, sm: 3 },
        pt: 2,
        display: "grid",
        gridTemplateColumns: { xs: "1fr", lg: "minmax(0, 1fr) 420px" },
        gap: 5,
      }}
    >
      <Box sx={{ minWidth: 0 }}>
        <WhenReady>{unasked.length > 0 ? [first, again] : [again, first]}</WhenReady>
        <QuickChecks clientId={clientId} age={age} closed={closed} />
      </Box>
      <Box component="section" aria-label="What follows">
        <Typography variant="h2" sx={{ mb: 1.5 }}>
          What follows for visit {visit.ordinal}, {shortDay(day, today)}
        </Typography>
        {now.length === 0 && (
          <Typography sx={{ color: "text.secondary", mt: 1 }}>Nothing holds the work back on this day.</Typography>
        )}
        {now.map((caution) => (
          <CautionCard key={caution.key} clientId={clientId} caution={caution} today={today} />
        ))}
        {ahead.length > 0 && (
          <Typography variant="h3" sx={{ mt: 3, mb: 1 }}>
            Later
          </Typography>
        )}
        {ahead.map((caution) => (
          <CautionCard key={caution.key} clientId={clientId} caution={caution} today={today} />
        ))}
        {over.length > 0 && (
          <Box component="details" sx={{ mt: 3 }}>
            <Box component="summary" sx={{ cursor: "pointer", color: "text.secondary" }}>
              {over.length} no longer {over.length === 1 ? "holds" : "hold"} on this day
            </Box>
            {over.map((caution) => (
              <CautionCard key={caution.key} clientId={clientId} caution={caution} today={today} />
            ))}
          </Box>
        )}
        <Typography sx={{ mt: 3, fontSize: 13.5, color: "text.secondary" }}>
          These rules are common practice. They diagnose nothing and replace no physician: check them against your local
          code and licence.
        </Typography>
      </Box>
    </Box>
  );
}

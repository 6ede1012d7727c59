import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useEffect, useState } from "react";
import { data, redirect, useFetcher, useNavigation } from "react-router";
import { object, string } from "yup";
import type { Route } from "./+types/handed";
import { answers, answerWord, askedKeys, questions, rescreen, type Answer } from "~core/screening/questions";
import { database } from "~app/server/request/database.server";
import { answering } from "~app/server/request/faults.server";
import { asking, bodyOf, inSession, signedIn } from "~app/server/request/session.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Mark } from "~app/ui/mark";
import { validate } from "~app/validation";
import { getClient } from "~data/clients";
import { NotFound } from "~data/errors";
import { handoverOfSession, takeBack } from "~data/handovers";
import { passwordIs } from "~data/practitioners";
import { answersOf, recordAnswer, type RecordedAnswer } from "~data/screening";
import { seenOf } from "~core/said";
import { seenSchema } from "~app/routes/client/intake/consent/consent-form";
import { useOwnId } from "~app/ui/use-own-id";
import { getVisit } from "~data/visits";

export const middleware: Route.MiddlewareFunction[] = [signedIn];
export const meta: Route.MetaFunction = () => [{ title: "A few questions" }];

const byClient = "the client, on the tablet";

/** What is asked: on a later visit what changed first, then everything that has to be known before hands-on work. */
const listFor = (ordinal: number) =>
  [...(ordinal > 1 ? rescreen : []), ...questions].map(({ key, ask }) => ({ key, ask }));

export function loader({ params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx, practitioner }) => {
    const handover = await handoverOfSession(tx, practitioner.sessionId);
    if (handover?.id !== params.handoverId) throw redirect("/");
    const client = await getClient(tx, handover.clientId);
    const visit = await getVisit(tx, handover.visitId);
    // only what was answered on this tablet, this time, is shown as answered; what a colleague answers meanwhile is not seen
    const own = (each: RecordedAnswer) => each.by === byClient && each.at >= handover.at;
    const given = (await answersOf(tx, client.id, { visitId: visit.id })).filter(own);
    const seen = (await answersOf(tx, client.id))
      .flatMap((each) => [each, ...each.against])
      .filter((each) => own(each) || each.at < handover.at);
    return {
      name: client.name.split(" ")[0]!,
      practitioner: practitioner.name.split(" ")[0]!,
      list: listFor(visit.ordinal),
      given: Object.fromEntries(given.map((each) => [each.question, each.answer])),
      seen: Object.fromEntries(
        seen.map(({ question }) => [question, seenOf(seen.filter((each) => each.question === question))]),
      ),
    };
  });
}

const answerSchema = object({
  id: string().uuid().required(),
  question: string()
    .oneOf([...askedKeys])
    .required(),
  answer: string<Answer>()
    .oneOf([...answers])
    .required(),
  seen: seenSchema,
});

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export async function action({ params, context }: Route.ActionArgs) {
  const form = bodyOf(context).fields;
  const takesBack = form.intent === "take-back";
  // looking at a password takes its time and a connection of its own: before the request takes one
  const right =
    takesBack &&
    (await answering(() =>
      passwordIs(database(), asking(context), typeof form.password === "string" ? form.password : ""),
    ));
  return inSession(context, async ({ tx, practitioner }) => {
    const handover = await handoverOfSession(tx, practitioner.sessionId);
    if (handover?.id !== params.handoverId) throw new NotFound("handover");
    if (takesBack) {
      if (!right) return data({ error: "That is not the password this tablet was signed in with." }, { status: 400 });
      const visit = await getVisit(tx, handover.visitId);
      await takeBack(tx, practitioner.sessionId, handover.id);
      return redirect(`/clients/${handover.clientId}/intake/screening?visit=${visit.ordinal}`);
    }
    const { value, errors } = await validate(answerSchema, form);
    if (errors) return data({ error: Object.values(errors)[0] }, { status: 400 });
    await recordAnswer(tx, handover.clientId, { ...value, visitId: handover.visitId, by: byClient });
    return { ok: true };
  });
}

/** What a client holds: one question at a time in large type, every answer kept at once. There is no way out of it. */
export default function Handed({ loaderData: { name, practitioner, list, given, seen } }: Route.ComponentProps) {
  const fetcher = useFetcher<{ ok?: boolean; error?: string }>();
  const idFor = useOwnId();
  const [back, setBack] = useState<number | undefined>();
  useEffect(() => {
    // a page kept by the browser may show what was here before: load it anew
    const fresh = (event: PageTransitionEvent) => event.persisted && window.location.reload();
    window.addEventListener("pageshow", fresh);
    return () => window.removeEventListener("pageshow", fresh);
  }, []);
  const known: Partial<Record<string, Answer>> = given;
  // the next question comes when the answer is kept: a double press answers one question, not two
  const busy = fetcher.state !== "idle";
  const chosen = fetcher.formData?.get("answer");
  const open = list.findIndex((question) => !known[question.key]);
  const at = back ?? (open < 0 ? list.length : open);
  const question = list[at];
  const give = (answer: Answer) => {
    if (busy) return;
    const said = { question: question!.key, answer, seen: (seen as Record<string, number>)[question!.key] ?? 0 };
    void fetcher.submit({ id: idFor(said), ...said }, { method: "post" }).then(() => setBack(undefined));
  };
  return (
    <Box
      component="main"
      sx={{
        minHeight: "100dvh",
        display: "flex",
        flexDirection: "column",
        p: { xs: 2, sm: 5 },
        maxWidth: 980,
        mx: "auto",
      }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
        <Mark size={40} />
        <Typography sx={{ fontSize: 22 }}>{name}</Typography>
        <Box sx={{ flex: 1 }} />
        {question && (
          <Typography sx={{ fontSize: 20, color: "text.secondary" }}>
            {at + 1} of {list.length}
          </Typography>
        )}
      </Box>
      <Box sx={{ flex: 1, display: "grid", alignContent: "center", py: 4 }}>
        {question ? (
          <>
            <Typography
              component="h1"
              aria-live="polite"
              sx={{
                fontFamily: "h1.fontFamily",
                fontWeight: 650,
                fontSize: { xs: 30, sm: 42 },
                lineHeight: 1.25,
                minHeight: "5em",
              }}
            >
              {question.ask}
            </Typography>
            <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", sm: "repeat(3, 1fr)" }, gap: 2, mt: 4 }}>
              {answers.map((answer) => (
                <Button
                  key={answer}
                  variant="outlined"
                  aria-pressed={(chosen ?? known[question.key]) === answer}
                  onClick={() => give(answer)}
                  sx={(t) => ({
                    minHeight: 96,
                    fontSize: 28,
                    bgcolor: (chosen ?? known[question.key]) === answer ? t.tokens.emberWash : "background.paper",
                    borderColor: t.tokens.inkSoft,
                  })}
                >
                  {answerWord[answer]}
                </Button>
              ))}
            </Box>
            <Box sx={{ mt: 3, minHeight: 56 }}>
              {at > 0 && (
                <Button color="inherit" sx={{ fontSize: 20, minHeight: 56 }} onClick={() => setBack(at - 1)}>
                  One question back
                </Button>
              )}
            </Box>
            {fetcher.data?.error && (
              <Typography role="alert" sx={{ fontSize: 20 }}>
                {fetcher.data.error}
              </Typography>
            )}
          </>
        ) : (
          <>
            <Typography component="h1" sx={{ fontFamily: "h1.fontFamily", fontWeight: 650, fontSize: 48 }}>
              Thank you, {name}
            </Typography>
            <Typography sx={{ fontSize: 26, mt: 2 }}>
              That is all. Please give the tablet back to {practitioner}.
            </Typography>
            <Box sx={{ mt: 3 }}>
              <Button color="inherit" sx={{ fontSize: 20, minHeight: 56 }} onClick={() => setBack(list.length - 1)}>
                One question back
              </Button>
            </Box>
          </>
        )}
      </Box>
      <TakeBack practitioner={practitioner} />
    </Box>
  );
}

function TakeBack({ practitioner }: { practitioner: string }) {
  const [asking, setAsking] = useState(false);
  const fetcher = useFetcher<{ error?: string }>();
  const busy = useNavigation().state !== "idle" || fetcher.state !== "idle";
  if (!asking)
    return (
      <Box>
        <Button color="inherit" sx={{ color: "text.secondary" }} onClick={() => setAsking(true)}>
          For {practitioner}: take the tablet back
        </Button>
      </Box>
    );
  return (
    <fetcher.Form method="post" autoComplete="off">
      <input type="hidden" name="intent" value="take-back" />
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "start", flexWrap: "wrap" }}>
        <TextField
          autoFocus
          type="password"
          name="password"
          label={`Password of ${practitioner}`}
          error={Boolean(fetcher.data?.error)}
          helperText={fetcher.data?.error}
          sx={{ width: 320 }}
        />
        <Button type="submit" variant="contained" disabled={busy}>
          Take back
        </Button>
        <Button color="inherit" onClick={() => setAsking(false)}>
          Go on with the questions
        </Button>
      </Box>
    </fetcher.Form>
  );
}

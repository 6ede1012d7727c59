import { randomUUID } from "node:crypto";
import { data, redirect } from "react-router";
import { boolean, object, string } from "yup";
import type { Route } from "./+types/run";
import { consentSchema, seenSchema } from "~app/routes/client/intake/consent/consent-form";
import type { Subject } from "~core/consent/consent";
import { usualSchool } from "~core/screening/facts";
import { ceilingUnder } from "~core/screening/advice";
import { acting } from "~core/screening/outcome";
import { placesOut } from "~core/screening/on-place";
import { rescreen } from "~core/screening/questions";
import { cuesFor } from "~core/session/cues";
import { tableList } from "~core/session/table-list";
import { ownInUse } from "~core/series/own-library";
import { startingNow } from "~core/series/starting";
import { techniqueOf } from "~core/techniques/library";
import { agree } from "~app/server/client/consent.server";
import { obstaclesOf } from "~app/server/client/may-start.server";
import { judgedOf } from "~app/server/client/screening.server";
import { ceilingOf, sessionsOfSeries } from "~app/server/client/plan-input.server";
import { inSession, signedIn } from "~app/server/request/session.server";
import { today } from "~app/server/today.server";
import { validate } from "~app/validation";
import { getClient } from "~data/clients";
import { consentsOf } from "~data/consents";
import { preferencesOf } from "~data/preferences";
import { answersOf, recordAnswer } from "~data/screening";
import { seriesOf } from "~data/series";
import { eventsOf } from "~data/session-events";
import { getVisit, listVisits } from "~data/visits";
import { shapeOf } from "~core/anatomy/shape";
import { FigureShape } from "~app/ui/figure-shape";
import { bringLibrary } from "~app/ui/library-in-use";
import { arcOfVisit } from "~app/server/client/arc.server";
import { ArcRun } from "./arc-run";
import { RunSheet } from "./run-sheet";

export const middleware: Route.MiddlewareFunction[] = [signedIn];
export const handle = { dim: true };
export const meta: Route.MetaFunction = () => [{ title: "Run sheet · Ember Path" }];

export function loader({ params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx, practitioner }) => {
    const visit = await getVisit(tx, params.visitId);
    const client = await getClient(tx, visit.clientId);
    const series = await seriesOf(tx, client.id);
    const session = series && sessionsOfSeries(series)[visit.ordinal - 1];
    const planned = series?.plan?.sessions[visit.ordinal - 1];
    const events = await eventsOf(tx, visit.id);
    if (events.length === 0 && (!planned || visit.status === "closed"))
      throw redirect(`/clients/${client.id}/sessions?visit=${visit.ordinal}`);
    const judged = await judgedOf(tx, client, practitioner);
    const cautions = acting(judged, today());
    const ceiling = ceilingUnder(ceilingOf(client, series), cautions);
    const school = { ...usualSchool, ...practitioner.settings.school };
    const list = tableList(planned ?? { steps: [] }, await consentsOf(tx, client.id), visit.id);
    const started = events.find((event) => event.kind === "started");
    const techniques = new Set([...list.steps, ...(started?.body.steps ?? [])].map((step) => step.technique));
    const answered = await answersOf(tx, client.id, { visitId: visit.id });
    return {
      practitioner: { name: practitioner.name, email: practitioner.email, settings: practitioner.settings },
      library: ownInUse(),
      visit,
      shape: shapeOf(client.build ?? "middle", client.statureMm),
      client: { id: client.id, name: client.name.split(" ")[0]!, pressureCeiling: ceiling },
      title: session?.name ?? "",
      // an arc is worked by its own log
      arc: session?.arc &&
        planned && { form: session.arc, planned, ...(await arcOfVisit(tx, client, visit, practitioner)) },
      ...list,
      events,
      // asked at every visit; without it nothing starts, unless everything was asked today
      rescreened: rescreen.every(({ key }) => answered.some(({ question }) => question === key)),
      // another day, another order, too little rest: agreed to before the clock starts
      timing: started
        ? []
        : startingNow(
            visit,
            await listVisits(tx, client.id),
            today(),
            series?.settings,
            (ordinal) => series !== undefined && (sessionsOfSeries(series)[ordinal - 1]?.light ?? false),
          ),
      obstacles: started ? [] : await obstaclesOf(tx, client, visit, judged),
      pauseWord: (await preferencesOf(tx, client.id)).pauseWord,
      cautions: [...new Set(cautions.filter((each) => each.origin !== "setting").map((each) => each.title))],
      out: placesOut(cautions),
      cues: Object.fromEntries(
        [...techniques].map((key) => [key, cuesFor(techniqueOf(key), cautions, ceiling, school)]),
      ),
    };
  });
}

const agreedSchema = object({
  id: string().uuid().required(),
  subject: string<Subject>().required(),
  given: boolean().required(),
  seen: seenSchema,
});

export { keepTyped as clientAction } from "~app/ui/keep-typed";

/** What is asked at the table before the clock starts: agreement for today, and whether anything changed. */
export function action({ params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner, body }) => {
    const visit = await getVisit(tx, params.visitId);
    const client = await getClient(tx, visit.clientId);
    const sent = body.fields;
    if (sent.intent === "nothing-changed") {
      // what was answered for this visit already stays: a yes is not undone by this
      const told = new Set((await answersOf(tx, client.id, { visitId: visit.id })).map((each) => each.question));
      for (const question of rescreen.filter((each) => !told.has(each.key)))
        await recordAnswer(tx, client.id, {
          id: randomUUID(),
          question: question.key,
          answer: "no",
          visitId: visit.id,
          by: practitioner.name,
        });
      return { ok: true };
    }
    const { value, errors } = await validate(agreedSchema, sent);
    if (errors) return data({ errors }, { status: 400 });
    const checked = await validate(consentSchema, { ...value, visitId: visit.id, signedBy: client.name });
    if (checked.errors) return data({ errors: checked.errors }, { status: 400 });
    await agree(tx, client, { ...value, visitId: visit.id, signedBy: client.name, signature: null }, practitioner.name);
    return { ok: true };
  });
}

export default function Run({ loaderData }: Route.ComponentProps) {
  const { shape, arc, library, ...sheet } = loaderData;
  bringLibrary(library);
  return (
    <FigureShape value={shape}>
      {arc ? (
        <ArcRun key={sheet.visit.id} {...sheet} form={arc.form} planned={arc.planned} arc={arc} />
      ) : (
        <RunSheet key={sheet.visit.id} {...sheet} />
      )}
    </FigureShape>
  );
}

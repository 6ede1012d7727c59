import { randomUUID } from "node:crypto";
import { data } from "react-router";
import type { Client } from "~core/client";
import { keptBetween } from "~core/change/carry-over";
import type { MomentReadings } from "~core/change/moments";
import { daysBetween } from "~core/days";
import { isActive } from "~core/screening/outcome";
import { usualSchool } from "~core/screening/facts";
import { sameSessions, sessionsOf } from "~core/series/course";
import { daysWorked, sessionDays, usualInterval } from "~core/series/dates";
import { giverOf } from "~core/series/givers";
import { sessionLoad } from "~core/series/hands";
import type { Lock, PlanInput, PlannedSession } from "~core/series/plan";
import { violations } from "~core/series/rules";
import { scoreOf } from "~core/series/score";
import { courseHints } from "~core/series/suggest-course";
import { rhythmHint, worthAWait } from "~core/series/suggest-rhythm";
import { usualTemplate, type Template } from "~core/series/template";
import { readingOf } from "./reading.server";
import { momentsOfClient } from "./readings.server";
import { judgedOf } from "./screening.server";
import { today } from "~app/server/today.server";
import { shortDay } from "~app/ui/dates";
import { validate, versionOf, type FieldErrors } from "~app/validation";
import { planInputOf, unsafeIn } from "./plan-input.server";
import { getClient } from "~data/clients";
import type { Tx } from "~data/database";
import { Stale } from "~data/errors";
import { practitionersOf, type Practitioner } from "~data/practitioners";
import { saveSeries, seriesOf, type Series, type SeriesSettings, type StoredPlan } from "~data/series";
import { listVisits, planVisits, type Visit } from "~data/visits";
import { planSchema, seriesSchema } from "~app/routes/client/path/series-form";

/** Whoever asks, as far as planning goes. */
export type Asking = Pick<Practitioner, "id" | "settings">;

const usualSettings = (template: Template, startOn: string, order: number, by: string): SeriesSettings => ({
  bookedMinutes: 90,
  thumbBudget: 40,
  startOn,
  intervalDays: template.everyDays ?? usualInterval,
  order,
  by: [by],
  locks: [],
});

/** Why nothing may be planned: cautions that refer on a day still to come. */
export const referring = (input: PlanInput): string[] =>
  input.cautions
    .filter(
      (caution) =>
        caution.kind === "refer" && input.days.slice(input.done.length).some((day) => isActive(caution, day)),
    )
    .map(
      (caution) => `${caution.title}: ${caution.reason}${caution.until ? ` Until ${shortDay(caution.until)}.` : ""}`,
    );

/** What was kept of the last visit that another one followed; undefined where either was not measured. */
function lastKept(moments: readonly MomentReadings[], visits: readonly Visit[], done: number) {
  for (const ordinal of [done, done - 1]) {
    const kept = keptBetween(moments, ordinal);
    const [visit, next] = [visits[ordinal - 1], visits[ordinal]];
    // a visit that is only planned and was measured is being held now, whatever day it is planned for
    if (kept && visit && next)
      return { kept, days: daysBetween(visit.onDate, next.status === "planned" ? today() : next.onDate) };
  }
  return undefined;
}

/** A client's series as it stands, what it is solved from, and what came since. */
export async function seriesView(tx: Tx, practitioner: Asking, clientId: string) {
  const client = await getClient(tx, clientId);
  const series = await seriesOf(tx, client.id);
  const visits = await listVisits(tx, client.id);
  const settings = series
    ? { by: [practitioner.id], ...series.settings }
    : usualSettings(
        usualTemplate(),
        visits[0]?.onDate ?? today(),
        { ...usualSchool, ...practitioner.settings.school }.order,
        practitioner.id,
      );
  const template = series?.template ?? usualTemplate().key;
  const judged = await judgedOf(tx, client, practitioner);
  const reading = await readingOf(tx, client, visits);
  const input = await planInputOf(tx, client, series, template, settings, judged, reading);
  const current = visits.find((visit) => visit.status !== "closed");
  const done = input.done.length;
  const worked = daysWorked(visits);
  // a day that has gone by is no day for the next session
  const planned = input.days[done];
  const next = planned && planned > today() ? planned : today();
  const goesOn = series?.plan && done > 0 && planned !== undefined;
  return {
    client,
    series,
    template,
    settings: { ...settings, locks: input.locks as Lock[] },
    input,
    visits,
    judged,
    reading,
    worked,
    current: (current?.ordinal ?? visits.length + 1) - 1,
    broken: unsafeIn(client, series, visits, judged).map(({ session, sentence }) => ({ session, sentence })),
    refer: referring(input),
    people: (await practitionersOf(tx)).map(({ id, name }) => ({ id, name })),
    hints: goesOn ? courseHints(input, worked, next) : [],
    rhythm: goesOn
      ? rhythmHint(lastKept(await momentsOfClient(tx, client.id), visits, done), settings, {
          done,
          sessions: input.days.length,
          light: sessionsOf(input)[done]!.arc !== undefined,
        })
      : undefined,
    wait: goesOn && worked.length === done ? worthAWait(input.cautions, planned) : undefined,
  };
}

const coursed = ({ template, settings }: Chosen) => ({ template, course: settings.course });
type Chosen = { template: string; settings: SeriesSettings };
type Refused = { refused: ReturnType<typeof data<{ errors?: FieldErrors; violations?: string[] }>> };

/**
 * A plan as it may be put in force: the server trusts no solver, but its own findings, its own rules, its own arithmetic.
 * What was worked stays as it was.
 */
export async function checkPlan(
  tx: Tx,
  practitioner: Asking,
  client: Client,
  stored: Series | undefined,
  { template, settings }: Chosen,
  sent: Pick<StoredPlan, "sessions" | "bound" | "made">,
): Promise<{ plan: StoredPlan } | Refused> {
  const judged = await judgedOf(tx, client, practitioner);
  const input = await planInputOf(tx, client, stored, template, settings, judged);
  const refer = referring(input);
  if (refer.length > 0) return { refused: data({ violations: refer }, { status: 422 }) };
  const sessions = [...input.done, ...sent.sessions.slice(input.done.length)];
  const broken = violations(input, sessions);
  if (broken.length > 0)
    return { refused: data({ violations: broken.map((violation) => violation.sentence) }, { status: 422 }) };
  return { plan: planFor(input, sessions, sent) };
}

export const planFor = (
  input: PlanInput,
  sessions: readonly PlannedSession[],
  { bound, made }: Pick<StoredPlan, "bound" | "made">,
): StoredPlan => ({
  sessions,
  score: scoreOf(input, sessions),
  ...(bound === undefined ? {} : { bound }),
  ...(made === undefined ? {} : { made }),
  targets: [...input.targets],
  solvedAt: new Date().toISOString(),
});

/** Refuses who is nobody of the practice. */
export async function unknownGiver(tx: Tx, by: readonly string[] = []) {
  const people = await practitionersOf(tx);
  return by.every((id) => people.some((each) => each.id === id))
    ? undefined
    : data({ errors: { "settings.by": "Given by: they are nobody of this practice." } }, { status: 400 });
}

/** Puts a series in force, and its visits on their days. */
export async function putInForce(
  tx: Tx,
  client: Client,
  stored: Series | undefined,
  next: Chosen & { plan: StoredPlan | null; id: string; version: number },
) {
  try {
    await saveSeries(tx, { ...next, id: stored?.id ?? next.id, clientId: client.id });
  } catch (error) {
    if (error instanceof Stale) return data({ stale: true }, { status: 409 });
    throw error;
  }
  const { plan, settings } = next;
  if (plan)
    await planVisits(
      tx,
      client.id,
      sessionDays(daysWorked(await listVisits(tx, client.id)), settings, plan.sessions.length, today()),
      plan.sessions.map((session, s) => ({ by: giverOf(settings, s) ?? null, load: sessionLoad(session) })),
    );
  return { ok: true };
}

/** What a series would be solved from, if this were chosen for it. */
export async function inputAsked(
  tx: Tx,
  practitioner: Asking,
  clientId: string,
  sent: Record<string, unknown>,
): Promise<{ input: PlanInput } | Refused> {
  const series = await validate(seriesSchema, sent);
  if (series.errors) return { refused: data({ errors: series.errors }, { status: 400 }) };
  const client = await getClient(tx, clientId);
  const judged = await judgedOf(tx, client, practitioner);
  const { template, settings } = series.value;
  const stored = await seriesOf(tx, client.id);
  return { input: await planInputOf(tx, client, stored, template, settings as SeriesSettings, judged) };
}

/**
 * Keeps what was chosen for a series, with its plan where one comes with it. What the plan in force is made for changes only
 * together with a plan.
 */
export async function keepSeries(tx: Tx, practitioner: Asking, clientId: string, sent: Record<string, unknown>) {
  const series = await validate(seriesSchema, sent);
  if (series.errors) return data({ errors: series.errors }, { status: 400 });
  const client = await getClient(tx, clientId);
  const unknown = await unknownGiver(tx, series.value.settings.by);
  if (unknown) return unknown;
  const stored = await seriesOf(tx, client.id);
  const chosen = { template: series.value.template, settings: series.value.settings as SeriesSettings };
  let plan = stored?.plan ?? null;
  if (sent.plan) {
    const checked = await validate(planSchema, sent.plan);
    if (checked.errors) return data({ errors: checked.errors }, { status: 400 });
    const found = await checkPlan(tx, practitioner, client, stored, chosen, checked.value as unknown as StoredPlan);
    if ("refused" in found) return found.refused;
    plan = found.plan;
  } else if (stored?.plan && !sameSessions(coursed(chosen), coursed(stored)))
    return data(
      { errors: { template: "Template and sessions change together with a plan: solve it." } },
      { status: 400 },
    );
  return putInForce(tx, client, stored, { ...chosen, plan, id: series.value.id, version: versionOf(sent) });
}

/** A new series' own id, made by the server. */
export const seriesId = (series: { id: string } | undefined): string => series?.id ?? randomUUID();

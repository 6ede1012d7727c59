import { randomUUID } from "node:crypto";
import { data } from "react-router";
import { sessionsOf } from "~core/series/course";
import { planFigures } from "~core/series/figures";
import type { PlanInput, PlannedSession } from "~core/series/plan";
import { isId } from "~app/event-head";
import { judgedOf } from "./screening.server";
import { today } from "~app/server/today.server";
import { shortDay } from "~app/ui/dates";
import { validate, versionOf } from "~app/validation";
import { planInputOf } from "./plan-input.server";
import { getClient } from "~data/clients";
import type { Tx } from "~data/database";
import { NotFound } from "~data/errors";
import { dropNamed, keepNamed, mostNamed, namedPlanOf, namedPlansOf, TooMany } from "~data/named-plans";
import { seriesOf, type SeriesSettings, type StoredPlan } from "~data/series";
import { namedSchema, planSchema } from "~app/routes/client/path/series-form";
import { checkPlan, planFor, putInForce, seriesView, unknownGiver, type Asking } from "./series.server";

/** What was worked as it was worked, what is to come as it is planned. */
const asWorked = ({ done }: PlanInput, sessions: readonly PlannedSession[]) => [
  ...done,
  ...sessions.slice(done.length),
];

/** The plans that are kept beside a client's own, each with what it comes to by today's findings. */
export async function plansView(tx: Tx, practitioner: Asking, clientId: string) {
  const { client, series, input, template, settings, refer, worked, judged, reading } = await seriesView(
    tx,
    practitioner,
    clientId,
  );
  const named = [];
  for (const { id, name, at, ...own } of await namedPlansOf(tx, client.id)) {
    const of = await planInputOf(tx, client, series, own.template, own.settings, judged, reading);
    const figures = planFigures(of, asWorked(of, own.plan.sessions));
    named.push({ id, name, at, template: own.template, settings: own.settings, figures });
  }
  return {
    version: series?.version ?? 0,
    input,
    template,
    settings,
    refer,
    worked,
    named,
    inForce: series?.plan
      ? { sessions: series.plan.sessions, figures: planFigures(input, asWorked(input, series.plan.sessions)) }
      : undefined,
  };
}

const full = () =>
  data({ errors: { name: `Plans: there are ${mostNamed} beside the one in force. Drop one first.` } }, { status: 409 });

/** Keeps a plan under a name, whatever rules it breaks: it is judged when it is put in force. */
export async function keepBeside(tx: Tx, practitioner: Asking, clientId: string, sent: Record<string, unknown>) {
  const named = await validate(namedSchema, sent);
  if (named.errors) return data({ errors: named.errors }, { status: 400 });
  const checked = await validate(planSchema, sent.plan);
  if (checked.errors) return data({ errors: checked.errors }, { status: 400 });
  const client = await getClient(tx, clientId);
  const stored = await seriesOf(tx, client.id);
  const unknown = await unknownGiver(tx, named.value.settings.by);
  if (unknown) return unknown;
  const { template, id, name } = named.value;
  const settings = named.value.settings as SeriesSettings;
  const { length } = sessionsOf({ template, course: settings.course });
  if (checked.value.sessions.length !== length)
    return data(
      { errors: { plan: `Plan: it has ${checked.value.sessions.length} sessions and its series ${length}.` } },
      { status: 400 },
    );
  const judged = await judgedOf(tx, client, practitioner);
  const input = await planInputOf(tx, client, stored, template, settings, judged);
  const own = checked.value as unknown as StoredPlan;
  try {
    await keepNamed(tx, client.id, { id, name, template, settings, plan: planFor(input, own.sessions, own) });
  } catch (error) {
    if (error instanceof TooMany) return full();
    throw error;
  }
  return { ok: true };
}

/** Puts a named plan in force; the one that was is kept beside under the day on which it ended. */
export async function takeNamed(tx: Tx, practitioner: Asking, clientId: string, sent: Record<string, unknown>) {
  const client = await getClient(tx, clientId);
  const stored = await seriesOf(tx, client.id);
  const { id, template, settings, plan } = await namedPlanOf(tx, client.id, idOf(sent));
  const found = await checkPlan(tx, practitioner, client, stored, { template, settings }, plan);
  if ("refused" in found) return found.refused;
  const answer = await putInForce(tx, client, stored, {
    id,
    template,
    settings,
    plan: found.plan,
    version: versionOf(sent),
  });
  if (!("ok" in answer)) return answer;
  await dropNamed(tx, client.id, id);
  if (stored?.plan)
    await keepNamed(tx, client.id, {
      id: randomUUID(),
      name: `In force until ${shortDay(today())}`,
      template: stored.template,
      settings: stored.settings,
      plan: stored.plan,
    });
  return answer;
}

export async function dropBeside(tx: Tx, clientId: string, sent: Record<string, unknown>) {
  const client = await getClient(tx, clientId);
  if ((await dropNamed(tx, client.id, idOf(sent))) === 0) throw new NotFound("plan");
  return { ok: true };
}

function idOf(sent: Record<string, unknown>): string {
  if (!isId(sent.id)) throw new NotFound("plan");
  return sent.id;
}

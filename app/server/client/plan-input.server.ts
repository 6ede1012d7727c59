import { currentKey, libraryInUse } from "~core/techniques/library";
import { tableMinutesOf, type Lock, type PlanInput, type PlannedSession } from "~core/series/plan";
import { daysWorked, sessionDays } from "~core/series/dates";
import { sessionsOf } from "~core/series/course";
import type { HandBudget } from "~core/techniques/hand-parts";
import { giverOf } from "~core/series/givers";
import { handsLeft } from "~core/series/hands-left";
import { unsafe, type Violation } from "~core/series/rules";
import { plusDays, type IsoDay } from "~core/days";
import type { Judged } from "~core/screening/outcome";
import { foldRun } from "~core/session/fold";
import { workedAt } from "~core/session/worked";
import type { Client } from "~core/client";
import { today } from "~app/server/today.server";
import { PracticeCache } from "~app/server/practice-cache.server";
import { readingOf, type ReadingOfClient } from "./reading.server";
import type { Tx } from "~data/database";
import type { Series, SeriesSettings } from "~data/series";
import { eventsOfVisits } from "~data/session-events";
import { practitionersOf } from "~data/practitioners";
import { sharedStamp } from "~data/stamps";
import { listVisits, loadsBetween, loadsStamp, type Visit } from "~data/visits";

/** What visits really gave, by their id, from the run's log and the arc's; undefined for those without either. */
export async function workedVisits(
  tx: Tx,
  visits: readonly Pick<Visit, "id">[],
): Promise<Map<string, PlannedSession | undefined>> {
  const ids = visits.map(({ id }) => id);
  const runs = await eventsOfVisits(tx, ids);
  const arcs = await eventsOfVisits(tx, ids, "table_event", ["arc"]);
  return new Map(ids.map((id) => [id, workedAt(foldRun(runs.get(id) ?? []), arcs.get(id) ?? [])]));
}

/** The sessions that were worked: from their logs, or as planned where a visit was closed without one. */
export async function workedSessions(
  tx: Tx,
  visits: readonly Visit[],
  series: Series | undefined,
): Promise<PlannedSession[]> {
  const open = visits.findIndex((visit) => visit.status !== "closed");
  const closed = open < 0 ? visits : visits.slice(0, open);
  const worked = await workedVisits(tx, closed);
  return closed.map(({ id, ordinal }) => worked.get(id) ?? series?.plan?.sessions[ordinal - 1] ?? { steps: [] });
}

/** The sessions of a stored series, as its template and its course have them. */
export const sessionsOfSeries = ({ template, settings }: Pick<Series, "template" | "settings">) =>
  sessionsOf({ template, course: settings.course });

const handsSaid = new PracticeCache<{ stamp: string; any: boolean }>(50);

/**
 * What a client's plan follows from beside their own records: what else is planned for the hands that give it. No plan
 * depends on that where nobody of the practice has said what their hands are to take.
 */
export async function handsOfOthers(tx: Tx, clientId: string): Promise<string> {
  const stamp = await sharedStamp(tx, clientId);
  const ask = async () => ({ stamp, any: (await practitionersOf(tx)).some(({ settings }) => settings.hands) });
  const { any } = await handsSaid.of(tx, "hands", ask, (known) => known.stamp === stamp);
  return any ? loadsStamp(tx, clientId, plusDays(today(), -7)) : "";
}

/** What is left of the practitioners' own budgets for each session, where any of them has set one. */
async function handsFor(
  tx: Tx,
  client: Client,
  settings: SeriesSettings,
  days: readonly IsoDay[],
  done: number,
): Promise<{ hands?: HandBudget[] }> {
  if (!settings.by?.length || days.length <= done) return {};
  const people = await practitionersOf(tx);
  const hands: HandBudget[] = days.map(() => ({}));
  for (const { id, settings: own } of people) {
    if (!own.hands || !settings.by.includes(id)) continue;
    const mine = days.map((day, s) => (s >= done && giverOf(settings, s) === id ? day : undefined));
    const others = await loadsBetween(tx, id, plusDays(days[done]!, -6), plusDays(days.at(-1)!, 6), client.id);
    handsLeft(own.hands, mine, others).forEach((left, s) => Object.assign(hands[s]!, left));
  }
  return hands.some((budget) => Object.keys(budget).length > 0) ? { hands } : {};
}

/** What the hands may press at most in a series, of 10: the client's own ceiling, or the series' lower one. */
export const ceilingOf = (client: Client, series: Pick<Series, "settings"> | undefined): number =>
  Math.min(client.pressureCeiling, series?.settings.pressureMost ?? 10);

/** What may be planned, where that is not the starting catalogue. */
function offer(): { techniques?: string[] } {
  const { versions, offered } = libraryInUse();
  return versions.length > 0 ? { techniques: offered.map(({ key }) => key) } : {};
}

/** A lock is on a technique: it follows to the version now in use; one that is retired stays where it was locked in. */
const locksNow = (locks: readonly Lock[]): Lock[] =>
  locks.map((lock) => ({ ...lock, technique: currentKey(lock.technique) }));

export async function planInputOf(
  tx: Tx,
  client: Client,
  series: Series | undefined,
  template: string,
  settings: SeriesSettings,
  judged: readonly Judged[],
  /** What the findings suggest, where it is known already. */
  reading?: ReadingOfClient,
): Promise<PlanInput> {
  const visits = await listVisits(tx, client.id);
  const done = await workedSessions(tx, visits, series);
  const days = sessionDays(
    daysWorked(visits),
    settings,
    sessionsOf({ template, course: settings.course }).length,
    today(),
  );
  return {
    template,
    ...(await handsFor(tx, client, settings, days, done.length)),
    ...(settings.course ? { course: settings.course } : {}),
    tableMinutes: tableMinutesOf(settings.bookedMinutes),
    // what was left out of the reading is no target of the plan
    targets: (reading ?? (await readingOf(tx, client, visits))).targets.filter(({ weight }) => weight > 0),
    complaintRegion: client.complaintRegion,
    pressureCeiling: client.pressureCeiling,
    ...(settings.pressureMost ? { pressureMost: settings.pressureMost } : {}),
    thumbBudget: settings.thumbBudget,
    ...(settings.order ? { order: settings.order } : {}),
    ...(settings.wishes?.length ? { wishes: settings.wishes } : {}),
    locks: locksNow(settings.locks),
    ...offer(),
    // what was decided to be set aside does not reach the plan
    cautions: judged.filter((caution) => !caution.decided),
    days,
    done,
  };
}

/** The safety rules a stored plan breaks in the sessions still to come. `session` takes place on `on` when given. */
export function unsafeIn(
  client: Client,
  series: Series | undefined,
  visits: readonly Visit[],
  judged: readonly Judged[],
  moved?: { session: number; on: IsoDay },
): Violation[] {
  if (!series?.plan) return [];
  const closed = visits.findIndex((visit) => visit.status !== "closed");
  const done = series.plan.sessions.slice(0, closed < 0 ? visits.length : closed);
  const sessions = sessionsOfSeries(series);
  const days = sessionDays(daysWorked(visits), series.settings, sessions.length, today()).map((day, s) =>
    s === moved?.session ? moved.on : day,
  );
  return unsafe(
    {
      template: series.template,
      ...(series.settings.course ? { course: series.settings.course } : {}),
      tableMinutes: tableMinutesOf(series.settings.bookedMinutes),
      targets: [],
      complaintRegion: client.complaintRegion,
      pressureCeiling: client.pressureCeiling,
      ...(series.settings.pressureMost ? { pressureMost: series.settings.pressureMost } : {}),
      thumbBudget: series.settings.thumbBudget,
      cautions: judged.filter((caution) => !caution.decided),
      days,
      locks: [],
      done,
    },
    series.plan.sessions,
  );
}

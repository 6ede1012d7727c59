import { randomUUID } from "node:crypto";
import { sessionLoad } from "~core/series/hands";
import { elapsed, foldRun } from "~core/session/fold";
import type { SessionEvent } from "~core/session/events";
import { endAfter } from "~core/session/put-right";
import { workedAt } from "~core/session/worked";
import type { Tx } from "~data/database";
import { appendEvents, eventsOf, logOf } from "~data/session-events";

/**
 * Ends a run that was left open, and puts its steps' times right: as further events of its log, which keeps what the clock
 * said. What the visit took of hands follows.
 */
export async function putRight(
  tx: Tx,
  visitId: string,
  said: { minutes: number | null; times: readonly { step: number; seconds: number }[] },
  now: number,
): Promise<void> {
  const state = foldRun(await eventsOf(tx, visitId));
  const events: SessionEvent[] = [];
  const at = new Date(now).toISOString();
  if (state.phase === "running" || state.phase === "paused") {
    const seconds = said.minutes === null ? elapsed(state, now) : said.minutes * 60;
    const ended = new Date(endAfter(state, seconds)).toISOString();
    events.push({ id: randomUUID(), at: ended, kind: "finished", body: {} });
  }
  for (const { step, seconds } of said.times) {
    if (!state.steps[step]) continue;
    events.push({ id: randomUUID(), at, kind: "corrected", body: { step, seconds } });
  }
  await appendEvents(tx, visitId, events);
}

/** What a visit took of the hands that gave it, by what was worked. */
export async function loadWorked(tx: Tx, visitId: string): Promise<ReturnType<typeof sessionLoad> | undefined> {
  const worked = workedAt(foldRun(await eventsOf(tx, visitId)), await logOf(tx, "table_event", visitId));
  return worked && sessionLoad(worked);
}

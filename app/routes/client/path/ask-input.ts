import { format } from "date-fns";
import { sessionsOf } from "~core/series/course";
import { sessionDays } from "~core/series/dates";
import { tableMinutesOf, type PlanInput } from "~core/series/plan";
import { fetchSignedIn } from "~app/ui/signed-in";
import type { SeriesSettings } from "~data/series";

export type Chosen = { template: string; settings: SeriesSettings };

/** What is known here already of a series with other settings: its findings stay, and days follow. */
function ownInput(input: PlanInput, { template, settings }: Chosen, worked: readonly string[]): PlanInput {
  const { course: _, hands: __, pressureMost: ___, wishes: ____, ...rest } = input;
  const { course, pressureMost, wishes } = settings;
  return {
    ...rest,
    template,
    ...(course ? { course } : {}),
    ...(pressureMost ? { pressureMost } : {}),
    ...(wishes?.length ? { wishes } : {}),
    thumbBudget: settings.thumbBudget,
    order: settings.order ?? 0,
    tableMinutes: tableMinutesOf(settings.bookedMinutes),
    locks: settings.locks,
    days: sessionDays(worked, settings, sessionsOf({ template, course }).length, format(new Date(), "yyyy-MM-dd")),
  };
}

/**
 * What a series is solved from with these settings. The server knows it best: findings of now, and what other clients leave of the
 * hands on its days. Without a network it is worked out here, and judged when it is kept.
 */
export async function askInput(
  clientId: string,
  id: string,
  chosen: Chosen,
  known: { input: PlanInput; worked: readonly string[] },
): Promise<PlanInput> {
  try {
    const answer = await fetchSignedIn(`/clients/${clientId}/path/input`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ id, ...chosen }),
    });
    if (answer.ok) return (await answer.json()) as PlanInput;
  } catch {
    // no network: solved from what is known here
  }
  return ownInput(known.input, chosen, known.worked);
}

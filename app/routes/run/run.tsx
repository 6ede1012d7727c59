import { redirect } from "react-router";
import type { Route } from "./+types/run";
import { runSteps } from "~core/session/events";
import { inOrder } from "~core/findings/restriction";
import { inSession, signedIn } from "~app/session.server";
import { getClient } from "~data/clients";
import { restrictionsOf } from "~data/findings";
import { seriesOf } from "~data/series";
import { eventsOf } from "~data/session-events";
import { getVisit } from "~data/visits";
import { templateOf } from "~core/series/template";
import { RunSheet } from "./run-sheet";

export const middleware: Route.MiddlewareFunction[] = [signedIn];
export const handle = { dim: true };
export const meta: Route.MetaFunction = () => [{ title: "Run sheet · Ember Path" }];

export function loader({ params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx, practitioner }) => {
    const visit = await getVisit(tx, params.visitId);
    const client = await getClient(tx, visit.clientId);
    const series = await seriesOf(tx, client.id);
    const planned = series?.plan?.sessions[visit.ordinal - 1];
    const events = await eventsOf(tx, visit.id);
    if (events.length === 0 && (!planned || visit.status === "closed"))
      throw redirect(`/clients/${client.id}/sessions?visit=${visit.ordinal}`);
    const restrictions = await restrictionsOf(tx, client.id);
    return {
      practitioner: { settings: practitioner.settings },
      visit,
      client: { id: client.id, name: client.name.split(" ")[0]!, pressureCeiling: client.pressureCeiling },
      title: series ? (templateOf(series.template).sessions[visit.ordinal - 1]?.name ?? "") : "",
      steps: planned ? runSteps(planned) : [],
      events,
      tender: restrictions.filter((each) => (inOrder(each.grades).at(-1)?.tenderness ?? 0) >= 4).length,
    };
  });
}

export default function Run({ loaderData }: Route.ComponentProps) {
  return <RunSheet key={loaderData.visit.id} {...loaderData} />;
}

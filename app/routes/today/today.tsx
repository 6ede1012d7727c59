import Button from "@mui/material/Button";
import MuiLink from "@mui/material/Link";
import { addDays, format, parseISO } from "date-fns";
import { Link } from "react-router";
import type { Route } from "./+types/today";
import { oneChangeEach } from "~core/change/compare";
import { compareMoments } from "~core/change/judge";
import { changeNames, directionWords } from "~core/change/words";
import { keptBetween, keptWords } from "~core/change/carry-over";
import { formatDifference } from "~core/measure/format";
import { tableTime } from "~core/series/table-time";
import { strain } from "~core/series/score";
import { ceilingUnder, ceilingWords } from "~core/screening/advice";
import { acting } from "~core/screening/outcome";
import { judgedOf } from "~app/server/client/screening.server";
import { momentsOfClient } from "~app/server/client/readings.server";
import { ceilingOf, sessionsOfSeries } from "~app/server/client/plan-input.server";
import { inSession } from "~app/server/request/session.server";
import { partOf } from "~app/server/cached-loader.server";
import { today } from "~app/server/today.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { weekday } from "~app/ui/dates";
import { Empty, Page } from "~app/ui/page";
import { getClient } from "~data/clients";
import { seriesOf } from "~data/series";
import type { Tx } from "~data/database";
import type { Practitioner } from "~data/practitioners";
import { unfinishedVisits, visitsOfNextDay, visitsOfOthers, type Visit } from "~data/visits";

export const meta: Route.MetaFunction = () => [{ title: "Today · Ember Path" }];

export function loader({ context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx, practitioner }) => {
    const day = today();
    const ahead = format(addDays(parseISO(day), 21), "yyyy-MM-dd");
    // all of the day: whoever is left out here is met unprepared
    const shown = await visitsOfNextDay(tx, day, ahead, practitioner.id);
    const briefs = [];
    for (const visit of shown) briefs.push(await briefOf(tx, visit, practitioner, day));
    return {
      day,
      briefs,
      name: practitioner.name.split(" ")[0]!,
      others: await visitsOfOthers(tx, day, practitioner.id),
      unfinished: (await unfinishedVisits(tx, practitioner.id)).map(({ id, clientId, clientName, ordinal }) => ({
        id,
        clientId,
        clientName,
        ordinal,
      })),
    };
  });
}

/** What whoever gives a visit wants in mind before it. */
const briefOf = (tx: Tx, visit: Visit, practitioner: Practitioner, day: string) =>
  partOf(
    tx,
    visit.clientId,
    `brief ${visit.id} ${visit.ordinal} ${visit.onDate} ${day} ${JSON.stringify(practitioner.settings.school)}`,
    async () => {
      const client = await getClient(tx, visit.clientId);
      const series = await seriesOf(tx, client.id);
      const moments = await momentsOfClient(tx, client.id);
      const planned = series?.plan?.sessions[visit.ordinal - 1];
      const [start, latest] = [moments[0], moments.at(-1)];
      const clear =
        start && latest && start !== latest
          ? oneChangeEach(compareMoments(start.readings, latest.readings))
              .filter((change) => change.verdict === "clear")
              .slice(0, 3)
          : [];
      const kept = keptBetween(moments, (latest?.ordinal ?? 1) - 1);
      const template = series && sessionsOfSeries(series)[visit.ordinal - 1];
      const cautions = acting(await judgedOf(tx, client, practitioner), visit.onDate > day ? visit.onDate : day);
      return {
        visitId: visit.id,
        clientId: client.id,
        ordinal: visit.ordinal,
        onDate: visit.onDate,
        name: client.name,
        occupation: client.occupation,
        ceiling: ceilingUnder(ceilingOf(client, series), cautions),
        cautions: [
          ...new Set(
            cautions
              .filter((caution) => caution.origin !== "setting")
              .map((caution) => (caution.kind === "refer" ? `Stop: ${caution.title}` : caution.title)),
          ),
        ],
        for: template ? `${template.name}. ${template.intent}` : client.complaint,
        minutes: planned ? tableTime(planned).all : null,
        thumbs: planned ? strain(planned, "thumb") : 0,
        fingers: planned ? strain(planned, "fingers") : 0,
        changes: clear.map(
          (change, i) =>
            `${changeNames(clear)[i]} ${formatDifference(change.first, change)}, ${directionWords(change.direction)}`,
        ),
        kept: kept ? keptWords(kept) : null,
      };
    },
  );

export default function Today({ loaderData: { day, briefs, others, unfinished, name } }: Route.ComponentProps) {
  const here = briefs.filter((brief) => brief.onDate === day);
  const thumbs = Math.round(here.reduce((sum, brief) => sum + brief.thumbs, 0));
  const fingers = Math.round(here.reduce((sum, brief) => sum + brief.fingers, 0));
  return (
    <Page
      title={weekday(day)}
      note={
        here.length > 0
          ? `${here.length} ${here.length === 1 ? "client" : "clients"} today, ${name}. Your hands: thumbs ${thumbs}, fingers ${fingers} load minutes planned.`
          : `Nobody is booked today, ${name}.`
      }
    >
      {unfinished.length > 0 && (
        <Box
          sx={(t) => ({
            bgcolor: t.tokens.amberWash,
            border: `1px solid ${t.tokens.amber}55`,
            borderRadius: "10px",
            p: 2,
            mb: 3,
          })}
        >
          <Typography variant="h2" sx={{ mb: 0.5 }}>
            Unfinished
          </Typography>
          {unfinished.map((visit) => (
            <Box key={visit.id} sx={{ display: "flex", flexWrap: "wrap", columnGap: 2, alignItems: "center" }}>
              <Typography sx={{ flex: 1, minWidth: 240 }}>
                {visit.clientName}, visit {visit.ordinal}: the session was started and the visit is not closed.
              </Typography>
              <Button component={Link} to={`/run/${visit.id}`} size="small" variant="outlined">
                Go on
              </Button>
              <Button
                component={Link}
                to={`/clients/${visit.clientId}/sessions?visit=${visit.ordinal}`}
                size="small"
                color="inherit"
              >
                Close the visit
              </Button>
            </Box>
          ))}
        </Box>
      )}
      {here.length === 0 && briefs.length > 0 && (
        <Typography variant="h2" sx={{ mb: 1 }}>
          Next: {weekday(briefs[0]!.onDate)}
        </Typography>
      )}
      {briefs.length === 0 ? (
        <Empty
          title="No visits ahead"
          action={
            <Button component={Link} to="/clients" variant="contained">
              Open a client
            </Button>
          }
        >
          Visits appear here once a series is planned.
        </Empty>
      ) : (
        <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
          {briefs.map((brief) => (
            <Box
              component="li"
              key={brief.visitId}
              sx={(t) => ({
                borderTop: `1px solid ${t.tokens.line}`,
                py: 2,
                display: "grid",
                gridTemplateColumns: { xs: "1fr", md: "280px minmax(0,1fr) 200px" },
                gap: { xs: 1, md: 3 },
              })}
            >
              <Box>
                <MuiLink
                  component={Link}
                  to={`/clients/${brief.clientId}?visit=${brief.ordinal}`}
                  sx={{ fontSize: 19, fontWeight: 700 }}
                >
                  {brief.name}
                </MuiLink>
                <Typography sx={{ color: "text.secondary" }}>
                  {brief.occupation}
                  {brief.occupation && ", "}visit {brief.ordinal}
                </Typography>
                <Typography sx={(t) => ({ color: t.tokens.amber, fontSize: 14.5 })}>
                  {[ceilingWords(brief.ceiling), ...brief.cautions].join(" · ")}
                </Typography>
              </Box>
              <Box>
                <Typography sx={{ fontSize: 16 }}>{brief.for}</Typography>
                <Typography sx={{ color: "text.secondary", fontSize: 14.5, mt: 0.5 }}>
                  {brief.changes.length > 0
                    ? `Clearly changed so far: ${brief.changes.join("; ")}.`
                    : "No clear change is on record yet."}
                  {brief.kept !== null && ` ${brief.kept}`}
                </Typography>
              </Box>
              <Box sx={{ textAlign: { md: "right" } }}>
                <Typography sx={{ color: "text.secondary", mb: 1 }}>
                  {brief.minutes === null ? "not planned" : `${brief.minutes} min at the table`}
                </Typography>
                <Button
                  component={Link}
                  to={
                    brief.minutes === null
                      ? `/clients/${brief.clientId}/path`
                      : `/clients/${brief.clientId}?visit=${brief.ordinal}`
                  }
                  variant="outlined"
                >
                  {brief.minutes === null ? "Plan" : "Prepare"}
                </Button>
              </Box>
            </Box>
          ))}
        </Box>
      )}
      {others.length > 0 && (
        <Typography sx={{ color: "text.secondary", mt: 3 }}>
          {[...new Set(others.map((each) => each.practitioner))]
            .map(
              (who) =>
                `With ${who} today: ${others
                  .filter((each) => each.practitioner === who)
                  .map((each) => each.clientName)
                  .join(", ")}.`,
            )
            .join(" ")}
        </Typography>
      )}
    </Page>
  );
}

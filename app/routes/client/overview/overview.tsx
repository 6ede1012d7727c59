import Button from "@mui/material/Button";
import { Link } from "react-router";
import type { Route } from "./+types/overview";
import { oneChangeEach } from "~core/change/compare";
import { compareMoments } from "~core/change/judge";
import { keptBetween, keptWords } from "~core/change/carry-over";
import { formatDifference } from "~core/measure/format";
import { regionName } from "~core/anatomy/regions";
import { latestGrade } from "~core/findings/restriction";
import { structureOf } from "~core/anatomy/structures";
import { shortNow, shortWords } from "~core/move/short";
import { weakStations } from "~core/reading/listening-targets";
import { leastSure } from "~core/reading/aim";
import { tableTime } from "~core/series/table-time";
import { foldRun } from "~core/session/fold";
import { offNow, wordsOf } from "~core/table/results";
import { momentsOfClient } from "~app/server/client/readings.server";
import { heardOf } from "~app/server/client/light.server";
import { movedOf, tableOf } from "~app/server/client/table.server";
import { sessionsOfSeries } from "~app/server/client/plan-input.server";
import { cachedLoader } from "~app/server/cached-loader.server";
import { today } from "~app/server/today.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { shortDay } from "~app/ui/dates";
import { visitOf } from "~app/server/client/workspace.server";
import { deserialised } from "~app/serialised";
import { amendmentsOf } from "~data/visits";
import { getClient } from "~data/clients";
import { restrictionsOf } from "~data/findings";
import { seriesOf } from "~data/series";
import { eventsOf } from "~data/session-events";
import { changeNames, directionWords } from "~core/change/words";
import { counted, sideWord } from "~core/words";

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "overview", async ({ tx }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, asked.request);
    const series = await seriesOf(tx, client.id);
    const moments = await momentsOfClient(tx, client.id);
    const restrictions = await restrictionsOf(tx, client.id);
    const planned = series?.plan?.sessions[visit.ordinal - 1];
    const first = moments[0];
    const last = moments.at(-1);
    const clear =
      first && last && first !== last
        ? oneChangeEach(compareMoments(first.readings, last.readings)).filter((change) => change.verdict === "clear")
        : [];
    const kept = keptBetween(moments, visit.ordinal - 1);
    const names = series && sessionsOfSeries(series)[visit.ordinal - 1];
    const table = await tableOf(tx, visits);
    // every check that said so; ranges and stations where it is four in five sure, as for a target
    const off = offNow(table).map(({ check, at, moment }) => ({
      what: `${check.name}: ${wordsOf(check, at.answers, moment)}`,
      when: `${moment} visit ${at.visit}`,
    }));
    const short = shortNow(await movedOf(tx, visits))
      .filter(({ sure }) => sure >= leastSure)
      .map((each) => ({ what: shortWords(each), when: `${each.moment} visit ${each.visit}` }));
    const weak = weakStations(await heardOf(tx, client.id, visits))
      .slice(0, 2)
      .map(({ name, side, visit: at, moment }) => ({
        what: `Heard weakly: ${name.toLowerCase()}, ${sideWord[side]}`,
        when: `${moment} visit ${at}`,
      }));
    const previous = visits.findLast((each) => each.ordinal < visit.ordinal && each.status === "closed");
    return {
      client,
      visit,
      today: today(),
      measured: moments.some((moment) => moment.ordinal === visit.ordinal && moment.moment === "before"),
      runPhase: foldRun(await eventsOf(tx, visit.id)).phase,
      planned: planned
        ? {
            steps: planned.steps.length,
            minutes: tableTime(planned).all,
            name: names?.name ?? "",
            intent: names?.intent ?? "",
          }
        : null,
      span:
        first && last && first !== last
          ? `${first.moment} visit ${first.ordinal} to ${last.moment} visit ${last.ordinal}`
          : "",
      clear: clear.slice(0, 5).map((change, i, shown) => ({
        id: change.id,
        name: changeNames(shown)[i]!,
        text: formatDifference(change.first, change),
        direction: change.direction,
        way: directionWords(change.direction),
      })),
      kept: kept ? keptWords(kept) : null,
      restrictions: restrictions
        .map((restriction) => ({
          id: restriction.id,
          name: structureOf(restriction.structure)?.name ?? regionName(restriction.region),
          side: restriction.side,
          grade: latestGrade(restriction)?.grade ?? 0,
        }))
        .filter((restriction) => restriction.grade >= 2)
        .sort((a, b) => b.grade - a.grade)
        .slice(0, 6),
      off: [...off, ...short, ...weak].slice(0, 8),
      offMore: Math.max(0, off.length + short.length + weak.length - 8),
      lastNote: previous
        ? {
            ordinal: previous.ordinal,
            text: (await amendmentsOf(tx, [previous.id])).at(-1)?.note ?? previous.closingNote,
          }
        : null,
    };
  });
}

export default function Overview({ loaderData }: Route.ComponentProps) {
  const d = deserialised(loaderData);
  const base = `/clients/${d.client.id}`;
  const at = `?visit=${d.visit.ordinal}`;
  const next = !d.measured
    ? {
        text: "Nothing is measured for this visit yet. Begin by looking: front and one side are enough.",
        to: `${base}/assess/stand${at}`,
        name: `Measure before visit ${d.visit.ordinal}`,
      }
    : !d.planned
      ? {
          text: "Findings are there, a plan is not. Solving takes about ten seconds.",
          to: `${base}/path${at}`,
          name: "Plan the series",
        }
      : d.visit.status === "closed"
        ? { text: "This visit is closed.", to: `${base}/change${at}`, name: "See what changed" }
        : d.runPhase === "finished"
          ? {
              text: "The session is done. Measure again in the same positions, then close the visit.",
              to: `${base}/assess/stand${at}&moment=after`,
              name: "Measure after",
            }
          : {
              text: `${counted(d.planned.steps, "step")}, ${d.planned.minutes} min. ${d.planned.intent}`,
              to: `${base}/sessions${at}`,
              name: d.runPhase === "not started" ? `Prepare visit ${d.visit.ordinal}` : "Go on with the session",
            };
  return (
    <Box
      sx={{
        p: { xs: 2, sm: 3 },
        display: "grid",
        gridTemplateColumns: { xs: "1fr", md: "minmax(0, 1.1fr) minmax(0, 1fr)" },
        gap: 5,
      }}
    >
      <Box>
        <Typography variant="h2">
          Visit {d.visit.ordinal}
          {d.planned?.name ? `, ${d.planned.name.toLowerCase()}` : ""}, {shortDay(d.visit.onDate, d.today)}
        </Typography>
        <Typography sx={{ mt: 1, mb: 2, fontSize: 17, maxWidth: 520 }}>{next.text}</Typography>
        <Button component={Link} to={next.to} variant="contained" size="large">
          {next.name}
        </Button>
        {d.client.complaint && (
          <Box sx={{ mt: 4 }}>
            <Typography variant="h3">In their words</Typography>
            <Typography sx={{ mt: 0.5 }}>“{d.client.complaint}”</Typography>
            {d.client.complaintRegion && (
              <Typography sx={{ color: "text.secondary", fontSize: 14.5, mt: 0.5 }}>
                {regionName(d.client.complaintRegion)}: gets some work every session.
              </Typography>
            )}
            {(d.client.furtherComplaints ?? []).length > 0 && (
              <Box component="ol" start={2} aria-label="What else they come for" sx={{ pl: 2.5, my: 1 }}>
                {d.client.furtherComplaints!.map(({ words, region }) => (
                  <li key={words}>
                    “{words}”{region && `, ${regionName(region).toLowerCase()}`}
                  </li>
                ))}
              </Box>
            )}
          </Box>
        )}
        {d.lastNote?.text && (
          <Box sx={{ mt: 4 }}>
            <Typography variant="h3">Note of visit {d.lastNote.ordinal}</Typography>
            <Typography sx={{ mt: 0.5, whiteSpace: "pre-wrap", fontSize: 15 }}>{d.lastNote.text}</Typography>
          </Box>
        )}
      </Box>
      <Box>
        <Typography variant="h3">What changed clearly{d.span && `, ${d.span}`}</Typography>
        {d.clear.length === 0 ? (
          <Typography sx={{ color: "text.secondary", mt: 0.5 }}>
            {d.span
              ? "Nothing: measuring and standing differ as much from one time to the next."
              : "Two measured moments are needed."}
          </Typography>
        ) : (
          <Box component="ul" sx={{ listStyle: "none", p: 0, mt: 1, mb: 0 }}>
            {d.clear.map((change) => (
              <Box
                component="li"
                key={change.id}
                sx={(t) => ({
                  display: "grid",
                  gridTemplateColumns: { xs: "minmax(0, 1fr) 112px 96px", sm: "1fr 128px 148px" },
                  borderTop: `1px solid ${t.tokens.line}`,
                  py: 0.75,
                })}
              >
                <span>{change.name}</span>
                <Box component="strong" sx={{ textAlign: "right", pr: 2 }}>
                  {change.text}
                </Box>
                <Box
                  component="span"
                  sx={(t) => ({
                    color:
                      change.direction === "away"
                        ? t.tokens.clay
                        : change.direction === "towards"
                          ? t.tokens.moss
                          : t.tokens.inkSoft,
                  })}
                >
                  {change.way}
                </Box>
              </Box>
            ))}
          </Box>
        )}
        {d.kept !== null && <Typography sx={{ mt: 1.5 }}>{d.kept}</Typography>}
        <Typography variant="h3" sx={{ mt: 4 }}>
          Still holding
        </Typography>
        {d.restrictions.length === 0 ? (
          <Typography sx={{ color: "text.secondary", mt: 0.5 }}>No restriction grades 2 or 3.</Typography>
        ) : (
          <Box component="ul" sx={{ listStyle: "none", p: 0, mt: 1, mb: 0 }}>
            {d.restrictions.map((restriction) => (
              <Box
                component="li"
                key={restriction.id}
                sx={(t) => ({ display: "flex", borderTop: `1px solid ${t.tokens.line}`, py: 0.75 })}
              >
                <Box sx={{ flex: 1 }}>
                  {restriction.name}, {sideWord[restriction.side]}
                </Box>
                <strong>grade {restriction.grade}</strong>
              </Box>
            ))}
          </Box>
        )}
        {d.off.length > 0 && (
          <>
            <Typography variant="h3" sx={{ mt: 4 }}>
              Off as it was last looked at
            </Typography>
            <Box component="ul" sx={{ listStyle: "none", p: 0, mt: 1, mb: 0 }}>
              {d.off.map(({ what, when }) => (
                <Box
                  component="li"
                  key={what}
                  sx={(t) => ({
                    display: "flex",
                    gap: 2,
                    alignItems: "baseline",
                    borderTop: `1px solid ${t.tokens.line}`,
                    py: 0.75,
                  })}
                >
                  <Box sx={{ flex: 1 }}>{what}</Box>
                  <Box component="span" sx={{ color: "text.secondary", fontSize: 14, whiteSpace: "nowrap" }}>
                    {when}
                  </Box>
                </Box>
              ))}
            </Box>
            {d.offMore > 0 && (
              <Typography sx={{ color: "text.secondary", fontSize: 14 }}>and {d.offMore} more</Typography>
            )}
          </>
        )}
      </Box>
    </Box>
  );
}

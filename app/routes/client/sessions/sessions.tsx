import { kindsWith, noteIn } from "~kinds/register";
import { recordsOf } from "~app/server/client/records.server";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import MuiLink from "@mui/material/Link";
import { validate, versionOf, type FieldErrors } from "~app/validation";
import { data, Link, redirect } from "react-router";
import type { Route } from "./+types/sessions";
import { usualSchool } from "~core/screening/facts";
import { acting } from "~core/screening/outcome";
import { heldBack } from "~core/series/explain";
import { cuesFor } from "~core/session/cues";
import { counted } from "~core/words";
import { foldRun } from "~core/session/fold";
import { techniqueOf } from "~core/techniques/library";
import { positionName } from "~core/techniques/technique";
import { minutesOf } from "~core/series/plan";
import { tableTimeWords } from "~core/series/table-time";
import { obstaclesOf } from "~app/server/client/may-start.server";
import { ceilingOf, planInputOf } from "~app/server/client/plan-input.server";
import { dayOfVisit, judgedOf } from "~app/server/client/screening.server";
import { inSession } from "~app/server/request/session.server";
import { today } from "~app/server/today.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { shortDay } from "~app/ui/dates";
import { Empty } from "~app/ui/page";
import { followDays, ownVisit, visitOf } from "~app/server/client/workspace.server";
import { getClient } from "~data/clients";
import { Stale } from "~data/errors";
import { seriesOf } from "~data/series";
import { eventsOf } from "~data/session-events";
import { amendmentsOf, amendVisit, closeVisit, listVisits, noteLoad, planVisits } from "~data/visits";
import { loadWorked, putRight } from "~app/server/client/closing.server";
import { Closed } from "./closed";
import { Closing } from "./closing";
import { amendSchema, closingSchema } from "./closing-form";

const noted = kindsWith("note");

export function loader({ request, params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx, practitioner }) => {
    const client = await getClient(tx, params.clientId);
    const { visit } = await visitOf(tx, client.id, request);
    const series = await seriesOf(tx, client.id);
    const state = foldRun(await eventsOf(tx, visit.id));
    const judged = await judgedOf(tx, client, practitioner);
    const cautions = acting(judged, dayOfVisit(visit));
    const planned = series?.plan?.sessions[visit.ordinal - 1] ?? null;
    const school = { ...usualSchool, ...practitioner.settings.school };
    return {
      clientId: client.id,
      caps: Object.fromEntries(
        (planned?.steps ?? []).map((step) => {
          const { cap, capBy, here } = cuesFor(
            techniqueOf(step.technique),
            cautions,
            ceilingOf(client, series),
            school,
          );
          return [step.technique, [...(capBy ? [`Up to ${cap} of 10: ${capBy.toLowerCase()}.`] : []), ...here]];
        }),
      ) as Record<string, string[]>,
      held:
        series?.plan && planned && visit.status !== "closed"
          ? heldBack(await planInputOf(tx, client, series, series.template, series.settings, judged), visit.ordinal - 1)
          : [],
      // what changed is asked when the session is started
      obstacles:
        planned && visit.status === "planned"
          ? (await obstaclesOf(tx, client, visit, judged)).filter(({ settle }) => settle !== "table")
          : [],
      visit,
      found: noteIn(await recordsOf(tx, client.id, [visit], noted), visit.ordinal).join("\n"),
      today: today(),
      planned,
      run: state.phase === "not started" ? null : state,
      amendments: await amendmentsOf(tx, [visit.id]),
      now: Date.now(),
    };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export function action({ params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner, body: { fields: form } }) => {
    const visit = await ownVisit(tx, params.clientId, form.visitId);
    if (form.intent === "amend") {
      const { value, errors } = await validate(amendSchema, form);
      if (errors) return data({ errors }, { status: 400 });
      const { times, visitId: _, ...amendment } = value;
      try {
        if (await amendVisit(tx, visit.id, { ...amendment, by: practitioner.name }))
          await putRight(tx, visit.id, { minutes: null, times }, Date.now());
      } catch (error) {
        if (error instanceof Stale) return data({ stale: true }, { status: 409 });
        throw error;
      }
    } else {
      const { value, errors } = await validate(closingSchema, form);
      if (errors) return data({ errors }, { status: 400 });
      try {
        await closeVisit(tx, visit.id, versionOf(form), value.note, today());
      } catch (error) {
        if (error instanceof Stale) return data({ stale: true }, { status: 409 });
        throw error;
      }
      await putRight(tx, visit.id, value, Date.now());
    }
    const load = await loadWorked(tx, visit.id);
    if (load) await noteLoad(tx, visit.id, load, practitioner.id);
    if (form.intent === "amend") return { ok: true };
    await followDays(tx, params.clientId);
    // without a series the next visit is always there to be worked towards
    const visits = await listVisits(tx, params.clientId);
    if (visits.every((each) => each.status === "closed"))
      await planVisits(tx, params.clientId, [...visits.map((each) => each.onDate), today()]);
    return redirect(`/clients/${params.clientId}/change?visit=${visit.ordinal}`);
  });
}

/** What was given for home, for the note; "" for nothing. */
export default function Sessions({ loaderData, actionData: answer }: Route.ComponentProps) {
  const actionData = answer as { stale?: boolean; errors?: FieldErrors } | undefined;
  const { clientId, visit, planned, run, amendments, now, today, caps, held, obstacles } = loaderData;
  return (
    <Box
      sx={{
        p: { xs: 2, sm: 3 },
        display: "grid",
        gridTemplateColumns: { xs: "1fr", md: "minmax(0, 1fr) 420px" },
        gap: 5,
      }}
    >
      <Box>
        <Box sx={{ display: "flex", alignItems: "center", gap: 2, flexWrap: "wrap", mb: 1.5 }}>
          <Typography variant="h2" sx={{ flex: 1 }}>
            Visit {visit.ordinal}, {shortDay(visit.onDate, today)}
            {visit.status === "closed" ? ", closed" : ""}
          </Typography>
          {planned && visit.status !== "closed" && (
            <Button
              component={Link}
              to={`/run/${visit.id}`}
              variant={run?.phase === "finished" ? "outlined" : "contained"}
              size="large"
            >
              {run
                ? run.phase === "finished"
                  ? "Look at the run sheet"
                  : "Go on with the session"
                : "Start the session"}
            </Button>
          )}
        </Box>
        {planned ? (
          <>
            <Typography sx={{ color: "text.secondary", mb: 1.5 }}>
              {counted(planned.steps.length, "step")}, {tableTimeWords(planned)}. Both sides are run one after the
              other.
            </Typography>
            {obstacles.length > 0 && (
              <Alert severity="warning" sx={{ mb: 2 }}>
                Not yet:{" "}
                {obstacles
                  .map((each) => each.sentence)
                  .slice(0, 3)
                  .join(" ")}{" "}
                {[...new Set(obstacles.map((each) => each.settle))].map((settle) => (
                  <Box component="span" key={settle} sx={{ mr: 1.5 }}>
                    <MuiLink
                      component={Link}
                      to={`/clients/${clientId}/${settle === "path" ? "path" : `intake/${settle}`}?visit=${visit.ordinal}`}
                    >
                      {settle === "path" ? "Solve again" : `Go to ${settle}`}
                    </MuiLink>
                  </Box>
                ))}
              </Alert>
            )}
            <Box component="ol" sx={{ listStyle: "none", p: 0, m: 0 }}>
              {planned.steps.map((step) => (
                <Box
                  component="li"
                  key={step.technique}
                  sx={(t) => ({ display: "flex", gap: 2, borderTop: `1px solid ${t.tokens.line}`, py: 0.9 })}
                >
                  <Box sx={{ flex: 1 }}>
                    <Typography sx={{ fontWeight: 600 }}>{techniqueOf(step.technique).name}</Typography>
                    <Typography sx={{ fontSize: 14, color: "text.secondary" }}>
                      {techniqueOf(step.technique).what}
                    </Typography>
                    {caps[step.technique]?.map((sentence) => (
                      <Typography key={sentence} sx={(t) => ({ fontSize: 14, color: t.tokens.amber })}>
                        {sentence}
                      </Typography>
                    ))}
                  </Box>
                  <Typography sx={{ color: "text.secondary", whiteSpace: "nowrap", fontSize: 14 }}>
                    {step.position ? positionName[step.position].toLowerCase() : ""}
                  </Typography>
                  <Typography sx={{ width: 60, textAlign: "right" }}>
                    {Math.round(10 * minutesOf(step.minutes)) / 10} min
                  </Typography>
                </Box>
              ))}
            </Box>
            {held.length > 0 && (
              <Box component="section" aria-label="Left out for safety" sx={{ mt: 3 }}>
                <Typography variant="h3">Left out for safety</Typography>
                {held.map(({ reason, techniques }) => (
                  <Typography key={reason} sx={{ fontSize: 14.5, mt: 0.5 }}>
                    <Box component="span" sx={(t) => ({ color: t.tokens.amber })}>
                      {reason}
                    </Box>{" "}
                    <Box component="span" sx={{ color: "text.secondary" }}>
                      {techniques.join(", ")}.
                    </Box>
                  </Typography>
                ))}
              </Box>
            )}
          </>
        ) : (
          <Empty
            title="Nothing is planned for this visit"
            action={
              <Button component={Link} to={`/clients/${clientId}/path?visit=${visit.ordinal}`} variant="contained">
                Plan the series
              </Button>
            }
          >
            A run sheet follows a plan. Solve the series first; measuring and touching work without one.
          </Empty>
        )}
      </Box>
      <Box>
        {actionData?.stale && (
          <Alert severity="warning" sx={{ mb: 2 }}>
            This visit was changed in another tab. Your note is still below; look at the other one before saving again.
          </Alert>
        )}
        {visit.status === "closed" ? (
          <Closed visit={visit} amendments={amendments} run={run} now={now} today={today} />
        ) : (
          <Closing
            key={visit.id}
            visit={visit}
            run={run}
            now={now}
            found={loaderData.found}
            errors={actionData?.errors ?? {}}
          />
        )}
      </Box>
    </Box>
  );
}

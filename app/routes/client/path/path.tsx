import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MuiLink from "@mui/material/Link";
import Typography from "@mui/material/Typography";
import { randomUUID } from "node:crypto";
import { useCallback, useMemo, useRef, useState } from "react";
import { data, Link, useFetcher } from "react-router";
import type { Route } from "./+types/path";
import { tableMinutesOf, type Lock, type Plan, type PlanInput, type PlannedSession } from "~core/series/plan";
import { repairStability, usualStability } from "~core/series/draft";
import { differences } from "~core/series/edit";
import { breaches } from "~core/series/rules";
import { scoreOf } from "~core/series/score";
import { sinceInShort, sinceSolved, sinceWords } from "~core/series/since";
import { daysWorked, sessionDays } from "~core/series/dates";
import { isActive } from "~core/screening/outcome";
import { usualSchool } from "~core/screening/facts";
import { templateOf, usualTemplate } from "~core/series/template";
import { inSession } from "~app/session.server";
import { today } from "~app/today.server";
import { judgedOf } from "~app/screening.server";
import { shortDay } from "~app/ui/dates";
import { planInputOf, unsafeIn } from "~app/routes/client/plan-input.server";
import { Empty } from "~app/ui/page";
import { validate, versionOf, type FieldErrors } from "~app/validation";
import { getClient } from "~data/clients";
import { Stale } from "~data/errors";
import { saveSeries, seriesOf, type SeriesSettings } from "~data/series";
import { listVisits, planVisits } from "~data/visits";
import { EditBar } from "./edit-bar";
import { PlanGrid } from "./plan-grid";
import { SessionPanel } from "./session-panel";
import { planSchema, seriesSchema } from "./series-form";
import { SettingsDialog } from "./settings-dialog";
import { Solving } from "./solving";
import { Sequences } from "./sequences";
import { TargetList } from "./target-list";
import { usePlanEdit } from "./use-plan-edit";
import { useSolver } from "./use-solver";

const usualSettings = (startOn: string, order: number): SeriesSettings => ({
  bookedMinutes: 90,
  thumbBudget: 40,
  startOn,
  intervalDays: 10,
  order,
  locks: [],
});

export function loader({ params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx, practitioner }) => {
    const client = await getClient(tx, params.clientId);
    const series = await seriesOf(tx, client.id);
    const visits = await listVisits(tx, client.id);
    const settings =
      series?.settings ??
      usualSettings(visits[0]?.onDate ?? today(), { ...usualSchool, ...practitioner.settings.school }.order);
    const template = series?.template ?? usualTemplate().key;
    const judged = await judgedOf(tx, client, practitioner);
    const input = await planInputOf(tx, client, series, template, settings, judged);
    const current = visits.find((visit) => visit.status !== "closed");
    return {
      seriesId: series?.id ?? randomUUID(),
      version: series?.version ?? 0,
      template,
      settings: { ...settings, locks: input.locks as Lock[] },
      plan: series?.plan ?? null,
      input,
      worked: daysWorked(visits),
      current: (current?.ordinal ?? visits.length + 1) - 1,
      broken: unsafeIn(client, series, visits, judged).map(({ session, sentence }) => ({ session, sentence })),
      refer: referring(input),
    };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

/** Why nothing may be planned: cautions that refer on a day still to come. */
const referring = (input: PlanInput): string[] =>
  input.cautions
    .filter(
      (caution) =>
        caution.kind === "refer" && input.days.slice(input.done.length).some((day) => isActive(caution, day)),
    )
    .map(
      (caution) => `${caution.title}: ${caution.reason}${caution.until ? ` Until ${shortDay(caution.until)}.` : ""}`,
    );

export function action({ params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner, body }) => {
    const sent = body.fields;
    const series = await validate(seriesSchema, sent);
    if (series.errors) return data({ errors: series.errors }, { status: 400 });
    const client = await getClient(tx, params.clientId);
    const stored = await seriesOf(tx, client.id);
    const settings = series.value.settings as SeriesSettings;
    let plan = null;
    if (sent.plan) {
      const checked = await validate(planSchema, sent.plan);
      if (checked.errors) return data({ errors: checked.errors }, { status: 400 });
      // The server trusts no solver: its own findings, its own rules, its own arithmetic.
      const input = await planInputOf(
        tx,
        client,
        stored,
        series.value.template,
        settings,
        await judgedOf(tx, client, practitioner),
      );
      const refer = referring(input);
      if (refer.length > 0) return data({ breaches: refer }, { status: 422 });
      const sessions = [...input.done, ...(checked.value.sessions as PlannedSession[]).slice(input.done.length)];
      const broken = breaches(input, sessions);
      if (broken.length > 0) return data({ breaches: broken.map((breach) => breach.sentence) }, { status: 422 });
      plan = {
        sessions,
        score: scoreOf(input, sessions),
        ...(checked.value.bound === undefined ? {} : { bound: checked.value.bound }),
        ...(checked.value.made === undefined ? {} : { made: checked.value.made }),
        targets: [...input.targets],
        solvedAt: new Date().toISOString(),
      };
    }
    try {
      await saveSeries(tx, {
        id: stored?.id ?? series.value.id,
        clientId: client.id,
        template: series.value.template,
        settings,
        plan: plan ?? stored?.plan ?? null,
        version: versionOf(sent),
      });
    } catch (error) {
      if (error instanceof Stale) return data({ stale: true }, { status: 409 });
      throw error;
    }
    if (plan)
      await planVisits(
        tx,
        client.id,
        sessionDays(daysWorked(await listVisits(tx, client.id)), settings, plan.sessions.length),
      );
    return { ok: true };
  });
}

export default function Path({ loaderData, params: { clientId } }: Route.ComponentProps) {
  const { input, settings, template, seriesId, version, current, broken, refer, worked } = loaderData;
  const [editing, setEditing] = useState(false);
  const panel = useRef<HTMLElement>(null);
  const [session, setSession] = useState(Math.min(current, templateOf(template).sessions.length - 1));
  const [step, setStep] = useState<string | undefined>();
  const saver = useFetcher<{ ok?: boolean; errors?: FieldErrors; breaches?: string[]; stale?: boolean }>();
  const { submit } = saver;
  const save = useCallback(
    (next: { template: string; settings: SeriesSettings }, plan: Plan | null) =>
      void submit({ id: seriesId, version, ...next, plan } as never, {
        method: "post",
        encType: "application/json",
      }),
    [submit, seriesId, version],
  );
  const solver = useSolver();
  /** `keeping`: the plan in force is changed as little as the new settings allow. */
  const solveWith = (next: { template: string; settings: SeriesSettings }, keeping = false) =>
    solver.start(
      {
        ...input,
        template: next.template,
        thumbBudget: next.settings.thumbBudget,
        ...(next.settings.order ? { order: next.settings.order } : { order: 0 }),
        tableMinutes: tableMinutesOf(next.settings.bookedMinutes),
        locks: next.settings.locks,
        days: sessionDays(worked, next.settings, templateOf(next.template).sessions.length),
      },
      (plan) => save(next, plan),
      keeping && loaderData.plan ? { kept: loaderData.plan.sessions, ...usualStability } : undefined,
    );
  const setLock = (technique: string, kind: Lock["kind"] | null) => {
    const locks = settings.locks.filter((lock) => !(lock.session === session && lock.technique === technique));
    if (kind) locks.push({ session, technique, kind });
    solveWith({ template, settings: { ...settings, locks } }, true);
  };

  const byHand = usePlanEdit(input, loaderData.plan?.sessions);
  const changed = byHand.sessions;
  /** Everything that was changed by hand stays; around it as few steps as can be are changed. */
  const repair = () => {
    if (!changed || !loaderData.plan) return;
    const locks: Lock[] = differences(loaderData.plan.sessions, changed, input.done.length).flatMap((each): Lock[] => {
      const { technique } = each;
      if (each.kind === "moved") return [{ session: each.to, technique, kind: "keep" }];
      return [{ session: each.session, technique, kind: each.kind === "gone" ? "leave-out" : "keep" }];
    });
    solver.start({ ...input, locks: [...input.locks, ...locks] }, (found) => byHand.replace(found.sessions), {
      kept: changed,
      ...repairStability,
    });
  };
  // what came since is worked into what is to come: most of it stays, and nothing is kept before it was read
  const since = useMemo(
    () => (loaderData.plan ? sinceSolved(loaderData.plan, input) : undefined),
    [loaderData.plan, input],
  );
  const [adapting, setAdapting] = useState(false);
  const adapt = () => {
    if (!loaderData.plan) return;
    setAdapting(true);
    solver.start(input, (found) => byHand.replace(found.sessions), {
      kept: loaderData.plan.sessions,
      ...usualStability,
    });
  };
  // While solving, the best plan so far is shown; then what was changed by hand; else the one that was saved.
  const handmade = useMemo(
    (): Plan | undefined => changed && { sessions: changed, score: scoreOf(input, changed) },
    [changed, input],
  );
  const plan = solver.state.kind === "solving" && solver.state.plan ? solver.state.plan : (handmade ?? loaderData.plan);
  const answer = saver.data;
  const brokenSessions = [...new Set(broken.map((each) => each.session))];
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 352px" },
        gridTemplateRows: { lg: "auto 1fr" },
      }}
    >
      <Box sx={{ p: { xs: 2, sm: 3 }, pt: 2, minWidth: 0 }}>
        <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 1.5, mb: 1.5 }}>
          <Typography sx={{ flex: 1, color: "text.secondary", minWidth: 260 }}>
            {templateOf(template).name}, {settings.bookedMinutes} min booked ({input.tableMinutes} at the table), every{" "}
            {settings.intervalDays} days
          </Typography>
          <Button component={Link} to={`/library?client=${clientId}`} color="inherit">
            Library for them
          </Button>
          <Button variant="outlined" onClick={() => setEditing(true)}>
            Change series
          </Button>
          <Button
            variant="contained"
            disabled={solver.state.kind === "solving" || saver.state !== "idle" || refer.length > 0}
            onClick={() => solveWith({ template, settings })}
          >
            {plan ? "Solve again" : "Solve the series"}
          </Button>
        </Box>
        {refer.length > 0 && (
          <Alert severity="error" sx={{ mb: 2 }}>
            Nothing is planned and no session starts until a clearance is recorded. {refer.join(" ")}{" "}
            <MuiLink component={Link} underline="always" to={`/clients/${clientId}/intake/screening`}>
              Go to screening
            </MuiLink>
          </Alert>
        )}
        {refer.length === 0 && broken.length > 0 && solver.state.kind !== "solving" && (
          <Alert
            severity="warning"
            sx={{ mb: 2, flexWrap: "wrap", "& .MuiAlert-message": { flex: "1 1 300px" } }}
            action={
              <Button
                color="inherit"
                sx={{ whiteSpace: "nowrap" }}
                disabled={saver.state !== "idle"}
                onClick={() => solveWith({ template, settings }, true)}
              >
                Solve again within the cautions
              </Button>
            }
          >
            {brokenSessions.length === 1 ? "Session" : "Sessions"} {brokenSessions.map((each) => each + 1).join(", ")}{" "}
            {brokenSessions.length === 1 ? "breaks" : "break"} a caution that was not there when the series was solved.
            They do not start as they are. {broken[0]!.sentence}
            {broken.length > 1 && ` And ${broken.length - 1} more.`}
          </Alert>
        )}
        {since &&
          sinceInShort(since) !== "" &&
          refer.length === 0 &&
          broken.length === 0 &&
          !changed &&
          solver.state.kind !== "solving" && (
            <Alert
              severity="info"
              sx={{ mb: 2, flexWrap: "wrap", "& .MuiAlert-message": { flex: "1 1 300px" } }}
              action={
                <Button color="inherit" sx={{ whiteSpace: "nowrap" }} disabled={saver.state !== "idle"} onClick={adapt}>
                  Adapt what is to come
                </Button>
              }
            >
              Since the series was solved: {sinceInShort(since)}.
              <details>
                <summary>Which</summary>
                {sinceWords(since).map((sentence) => (
                  <div key={sentence}>{sentence}</div>
                ))}
              </details>
            </Alert>
          )}
        <Solving state={solver.state} cancel={solver.cancel} />
        {answer?.breaches && (
          <Alert severity="error" sx={{ mb: 2 }}>
            The plan was not saved, because it breaks a rule: {answer.breaches.slice(0, 4).join(" ")} If findings
            changed meanwhile, solve again.
          </Alert>
        )}
        {answer?.errors && (
          <Alert severity="error" sx={{ mb: 2 }}>
            {Object.values(answer.errors).join(" ")}
          </Alert>
        )}
        {answer?.stale && (
          <Alert severity="warning" sx={{ mb: 2 }}>
            The series was changed in another tab. Load the page again to see it, then solve again.
          </Alert>
        )}
        {loaderData.plan && (changed ?? byHand.redo) && (
          <EditBar
            input={input}
            force={loaderData.plan.sessions}
            sessions={changed}
            undo={byHand.undo}
            redo={byHand.redo}
            drop={() => {
              setAdapting(false);
              byHand.drop();
            }}
            repair={repair}
            keep={() => save({ template, settings }, handmade!)}
            solved={adapting ? loaderData.plan : undefined}
            busy={solver.state.kind === "solving" || saver.state !== "idle"}
          />
        )}
        {plan ? (
          <PlanGrid
            input={input}
            template={template}
            sessions={plan.sessions}
            chosen={session}
            current={current}
            broken={plan === loaderData.plan ? brokenSessions : []}
            choose={(next, first) => {
              setSession(next);
              setStep(first);
              // where it lies below, a choice is not to seem to do nothing
              const top = panel.current?.getBoundingClientRect().top ?? 0;
              if (top > window.innerHeight / 2) panel.current?.scrollIntoView({ block: "nearest" });
            }}
          />
        ) : (
          solver.state.kind !== "solving" && (
            <Empty title="No plan yet">
              {input.targets.length > 0
                ? `${input.targets.length === 1 ? "One target is" : `${input.targets.length} targets are`} waiting, from restrictions and from metrics outside their usual range. Solving finds which work goes into which session, how deep, in what order, within the minutes there are.`
                : "Solving works from what you found. Mark a picture or note restrictions first for a plan that fits this person; without them it follows the template alone."}
            </Empty>
          )
        )}
      </Box>
      <Box
        component="aside"
        ref={panel}
        aria-label="Chosen session"
        sx={(t) => ({
          gridRow: { lg: "1 / 3" },
          gridColumn: { lg: "2" },
          borderTop: { xs: `1px solid ${t.tokens.line}`, lg: "none" },
          bgcolor: "background.paper",
          borderLeft: { lg: `1px solid ${t.tokens.line}` },
          p: 2.5,
        })}
      >
        {plan ? (
          <SessionPanel
            input={input}
            template={template}
            plan={plan}
            session={session}
            step={step}
            setStep={setStep}
            locks={settings.locks}
            setLock={setLock}
            edit={byHand.edit}
            busy={solver.state.kind === "solving"}
            done={session < input.done.length}
            broken={broken.filter((each) => each.session === session).map((each) => each.sentence)}
          />
        ) : (
          <Typography sx={{ color: "text.secondary" }}>
            The chosen session’s steps and their reasons appear here.
          </Typography>
        )}
      </Box>
      <Box sx={{ px: { xs: 2, sm: 3 }, pb: 3, minWidth: 0 }}>
        <TargetList input={input} sessions={plan?.sessions} />
        {plan && <Sequences input={input} sessions={plan.sessions} />}
      </Box>
      {editing && (
        <SettingsDialog
          template={template}
          settings={settings}
          input={input}
          close={() => setEditing(false)}
          apply={(next) => {
            setEditing(false);
            solveWith(next);
          }}
        />
      )}
    </Box>
  );
}

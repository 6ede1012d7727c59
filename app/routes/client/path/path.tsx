import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import MuiLink from "@mui/material/Link";
import { useCallback, useMemo, useRef, useState } from "react";
import { Link, useFetcher } from "react-router";
import { cachedLoader } from "~app/server/cached-loader.server";
import { handsOfOthers } from "~app/server/client/plan-input.server";
import type { Route } from "./+types/path";
import { sessionsOf } from "~core/series/course";
import { rhythmWords } from "~core/series/dates";
import { repairStability, usualStability } from "~core/series/draft";
import { differences } from "~core/series/edit";
import { giverOf } from "~core/series/givers";
import { changedCourse, goingOn, whyNotChange, type CourseChange, type Numbered } from "~core/series/lengthen";
import {
  wholeSession,
  type Lock,
  type Plan,
  type PlanInput,
  type PlannedSession,
  type Step,
  type StepMinutes,
} from "~core/series/plan";
import { scoreOf } from "~core/series/score";
import { sinceSolved } from "~core/series/since";
import { templateOf } from "~core/series/template";
import { techniqueOf } from "~core/techniques/library";
import { counted } from "~core/words";
import { inSession } from "~app/server/request/session.server";
import { today } from "~app/server/today.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { shortDay } from "~app/ui/dates";
import { useNotify } from "~app/ui/notices";
import { oncePer } from "~app/ui/once-per";
import { Empty } from "~app/ui/page";
import type { FieldErrors } from "~app/validation";
import type { SeriesSettings } from "~data/series";
import { askInput, type Chosen } from "./ask-input";
import { CourseButtons } from "./course-buttons";
import { DragSteps } from "./drag-step";
import { EditBar } from "./edit-bar";
import { SeriesHints } from "./hints";
import { Broken, Referred, SinceSolved } from "./plan-alerts";
import { PlanGrid } from "./plan-grid";
import { keepSeries, seriesId, seriesView } from "~app/server/client/series.server";
import { deserialised } from "~app/serialised";
import { SessionPanel } from "./session-panel";
import { SettingsDialog } from "./settings-dialog";
import { Solving } from "./solving";
import { Sequences } from "./sequences";
import { TargetList } from "./target-list";
import { usePlanEdit } from "./use-plan-edit";
import { useSolver } from "./use-solver";

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(
    asked,
    "path",
    async ({ tx, practitioner }) => {
      const {
        client: _,
        series,
        visits: __,
        judged: ___,
        reading: ____,
        ...view
      } = await seriesView(tx, practitioner, asked.params.clientId);
      return {
        ...view,
        today: today(),
        seriesId: seriesId(series),
        version: series?.version ?? 0,
        plan: series?.plan ?? null,
      };
    },
    handsOfOthers,
  );
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export function action({ params, context }: Route.ActionArgs) {
  return inSession(context, ({ tx, practitioner, body }) => keepSeries(tx, practitioner, params.clientId, body.fields));
}

const locksOn = (session: number, steps: readonly Step[]): Lock[] => [
  { session, technique: wholeSession, kind: "closed" },
  ...steps.map(({ technique, minutes }): Lock => ({ session, technique, kind: "keep", minutes })),
];

/** Who gives a session, where a practice has more than one practitioner. */
const givenBy = (settings: SeriesSettings, session: number, people: readonly { id: string; name: string }[]) =>
  people.length > 1 ? people.find(({ id }) => id === giverOf(settings, session))?.name : undefined;

const asItStands = oncePer((plan: Plan, input: PlanInput) => ({
  ...plan,
  sessions: [...input.done, ...plan.sessions.slice(input.done.length)],
}));
const changedSince = oncePer(sinceSolved);

export default function Path({ loaderData: serial, params: { clientId } }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  const { input, settings, template, seriesId: id, version, current, broken, refer, worked } = loaderData;
  const [editing, setEditing] = useState(false);
  const panel = useRef<HTMLElement>(null);
  const [session, setSession] = useState(Math.min(current, sessionsOf(input).length - 1));
  const [step, setStep] = useState<string | undefined>();
  const saver = useFetcher<{ ok?: boolean; errors?: FieldErrors; violations?: string[]; stale?: boolean }>();
  const { submit } = saver;
  const beside = useFetcher<{ ok?: boolean; errors?: FieldErrors }>();
  const save = useCallback(
    (next: Chosen, plan: Plan | null) =>
      void submit({ id, version, ...next, plan } as never, {
        method: "post",
        encType: "application/json",
      }),
    [submit, id, version],
  );
  const solver = useSolver();
  // what is being solved for, while that is something else
  const [asked, setAsked] = useState<Chosen>();
  /** `kept`: a plan that is changed as little as the new settings allow. */
  const solveWith = (next: Chosen, kept?: readonly PlannedSession[]) => {
    setAsked(next);
    solver.start(
      askInput(clientId, id, next, { input, worked }),
      (plan) => save(next, plan),
      kept && { kept, ...usualStability },
    );
  };
  // what was worked stands in it as it was worked
  const force = loaderData.plan && asItStands(loaderData.plan, input);
  const inForce = force?.sessions;
  const numbered: Numbered = {
    template,
    course: settings.course,
    locks: settings.locks,
    sessions: inForce ?? [],
  };
  /** Other sessions than before: those that stay keep their steps as far as they may. */
  const takeCourse = (own: Numbered, chosen: SeriesSettings) => {
    const { course: _, ...others } = chosen;
    const { course, locks, sessions } = own;
    solveWith(
      { template: own.template, settings: { ...others, locks: [...locks], ...(course && { course: [...course] }) } },
      inForce && own.template === template ? sessions : undefined,
    );
  };
  const changeCourse = (change: CourseChange) => inForce && takeCourse(changedCourse(numbered, change), settings);
  const withLocks = (locks: Lock[]) => solveWith({ template, settings: { ...settings, locks } }, inForce);
  const setLock = (technique: string, kind: Lock["kind"] | null, minutes?: StepMinutes) =>
    withLocks([
      ...settings.locks.filter((lock) => !(lock.session === session && lock.technique === technique)),
      ...(kind ? [{ session, technique, kind, ...(minutes && { minutes }) }] : []),
    ]);
  /** Everything in a session stays as it is, minutes and all, and nothing comes in; or all of it is free again. */
  const lockSession = (on: boolean) =>
    withLocks([
      ...settings.locks.filter((lock) => lock.session !== session || lock.kind === "leave-out"),
      ...(on ? locksOn(session, inForce?.[session]?.steps ?? []) : []),
    ]);

  const byHand = usePlanEdit(input, inForce);
  const changed = byHand.sessions;
  const notify = useNotify();
  /** What is there already cannot come a second time, and that is said. */
  const move = (technique: string, to: number) => {
    const there = (changed ?? inForce)?.[to]?.steps.some((step) => step.technique === technique);
    if (there) notify(`${techniqueOf(technique).name} is in session ${to + 1} already.`);
    else byHand.edit({ kind: "move", technique, from: session, to });
  };
  /** Everything that was changed by hand stays; around it as few steps as can be are changed. */
  const repair = () => {
    if (!changed || !inForce) return;
    const locks: Lock[] = differences(inForce, changed, input.done.length).flatMap((each): Lock[] => {
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
  const since = loaderData.plan ? changedSince(loaderData.plan, input) : undefined;
  const [adapting, setAdapting] = useState(false);
  const adapt = () => {
    if (!inForce) return;
    setAdapting(true);
    solver.start(input, (found) => byHand.replace(found.sessions), {
      kept: inForce,
      ...usualStability,
    });
  };
  // While solving, the best plan so far is shown; then what was changed by hand; else the one that was saved.
  const handmade = useMemo(
    (): Plan | undefined => changed && { sessions: changed, score: scoreOf(input, changed) },
    [changed, input],
  );
  const plan = solver.state.kind === "solving" && solver.state.plan ? solver.state.plan : (handmade ?? force);
  const shown = solver.state.kind === "solving" && asked ? asked : { template, settings };
  const names = sessionsOf({ template: shown.template, course: shown.settings.course });
  const answer = saver.data;
  const brokenSessions = [...new Set(broken.map((each) => each.session))];
  return (
    <DragSteps session={session} move={move}>
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
              {templateOf(template).name}
              {settings.course ? ` in ${counted(settings.course.length, "session")}` : ""}, {settings.bookedMinutes} min
              booked ({input.tableMinutes} at the table), {rhythmWords(settings)}
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
          {refer.length > 0 && <Referred refer={refer} clientId={clientId} />}
          {refer.length === 0 && broken.length > 0 && solver.state.kind !== "solving" && (
            <Broken
              broken={broken}
              busy={saver.state !== "idle"}
              solve={() => solveWith({ template, settings }, inForce)}
            />
          )}
          {since && refer.length === 0 && broken.length === 0 && !changed && solver.state.kind !== "solving" && (
            <SinceSolved since={since} busy={saver.state !== "idle"} adapt={adapt} />
          )}
          {refer.length === 0 && !changed && solver.state.kind !== "solving" && (
            <SeriesHints
              hints={loaderData.hints}
              rhythm={loaderData.rhythm}
              wait={loaderData.wait}
              busy={saver.state !== "idle"}
              put={({ change }) => changeCourse(change)}
              spread={({ of, to }) => save({ template, settings: { ...settings, [of]: to } }, null)}
            />
          )}
          <Solving state={solver.state} cancel={solver.cancel} />
          {answer?.violations && (
            <Alert severity="error" sx={{ mb: 2 }}>
              The plan was not saved, because it breaks a rule: {answer.violations.slice(0, 4).join(" ")} If findings
              changed meanwhile, solve again.
            </Alert>
          )}
          {answer?.errors && (
            <Alert severity="error" sx={{ mb: 2 }}>
              {Object.values(answer.errors).join(" ")}
            </Alert>
          )}
          {beside.data?.errors && <Alert severity="error">{Object.values(beside.data.errors).join(" ")}</Alert>}
          {beside.data?.ok && (
            <Alert severity="success" sx={{ mb: 2 }}>
              Kept beside the plan in force.{" "}
              <MuiLink component={Link} underline="always" to={`/clients/${clientId}/path/plans`}>
                See them side by side
              </MuiLink>
            </Alert>
          )}
          {answer?.stale && (
            <Alert severity="warning" sx={{ mb: 2 }}>
              The series was changed in another tab. Load the page again to see it, then solve again.
            </Alert>
          )}
          {inForce && (changed ?? byHand.redo) && (
            <EditBar
              input={input}
              force={inForce}
              sessions={changed}
              undo={byHand.undo}
              redo={byHand.redo}
              drop={() => {
                setAdapting(false);
                byHand.drop();
              }}
              repair={repair}
              keep={() => save({ template, settings }, handmade!)}
              beside={() =>
                void beside.submit(
                  {
                    act: "keep",
                    id: crypto.randomUUID(),
                    name: `${adapting ? "Adapted" : "By hand"}, ${shortDay(loaderData.today)}`,
                    version: 0,
                    template,
                    settings,
                    plan: handmade,
                  } as never,
                  { method: "post", action: `/clients/${clientId}/path/plans`, encType: "application/json" },
                )
              }
              solved={adapting ? (loaderData.plan ?? undefined) : undefined}
              busy={solver.state.kind === "solving" || saver.state !== "idle"}
            />
          )}
          {plan ? (
            <PlanGrid
              input={input}
              names={names}
              sessions={plan.sessions}
              chosen={session}
              current={current}
              broken={plan === force ? brokenSessions : []}
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
              named={names[Math.min(session, names.length - 1)]!}
              plan={plan}
              session={Math.min(session, plan.sessions.length - 1)}
              lockSession={lockSession}
              given={givenBy(settings, session, loaderData.people)}
              course={
                <CourseButtons
                  no={(kind) => whyNotChange(numbered, { kind, session }, input.done.length)}
                  change={(kind) => changeCourse({ kind, session })}
                  busy={solver.state.kind === "solving" || saver.state !== "idle" || changed !== undefined}
                />
              }
              step={step}
              setStep={setStep}
              locks={settings.locks}
              setLock={setLock}
              edit={(change) => (change.kind === "move" ? move(change.technique, change.to) : byHand.edit(change))}
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
            people={loaderData.people}
            close={() => setEditing(false)}
            apply={({ next, ...chosen }) => {
              setEditing(false);
              if (next === undefined) solveWith(chosen);
              else takeCourse(goingOn(numbered, input.done.length, next, chosen.template), chosen.settings);
            }}
          />
        )}
      </Box>
    </DragSteps>
  );
}

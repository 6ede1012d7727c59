import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useMemo, useState } from "react";
import { useFetcher } from "react-router";
import { cachedLoader } from "~app/server/cached-loader.server";
import { handsOfOthers } from "~app/server/client/plan-input.server";
import type { Route } from "./+types/plans";
import { sameSessions, sessionsOf } from "~core/series/course";
import { rhythmWords } from "~core/series/dates";
import type { PlanFigures } from "~core/series/figures";
import { changedCourse, type Numbered } from "~core/series/lengthen";
import type { Plan } from "~core/series/plan";
import { templateOf } from "~core/series/template";
import { wishes } from "~core/series/wish-keys";
import { variantsOf, type Variant } from "~core/series/variants";
import { counted } from "~core/words";
import { inSession } from "~app/server/request/session.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { shortDay } from "~app/ui/dates";
import { Fine } from "~app/ui/fine";
import { Empty } from "~app/ui/page";
import type { FieldErrors } from "~app/validation";
import { NotFound } from "~data/errors";
import type { SeriesSettings } from "~data/series";
import { dropBeside, keepBeside, plansView, takeNamed } from "~app/server/client/plans.server";
import { deserialised } from "~app/serialised";
import { askInput } from "./ask-input";
import { Solving } from "./solving";
import { useSolver } from "./use-solver";

export const loader = (asked: Route.LoaderArgs) =>
  cachedLoader(
    asked,
    "plans",
    ({ tx, practitioner }) => plansView(tx, practitioner, asked.params.clientId),
    handsOfOthers,
  );

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export function action({ params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner, body }) => {
    const { act, ...sent } = body.fields;
    if (act === "keep") return keepBeside(tx, practitioner, params.clientId, sent);
    if (act === "take") return takeNamed(tx, practitioner, params.clientId, sent);
    if (act === "drop") return dropBeside(tx, params.clientId, sent);
    throw new NotFound("act");
  });
}

type Answer = { ok?: boolean; errors?: FieldErrors; violations?: string[]; stale?: boolean };

/** Plans of one client side by side, one of them in force: what each gives, takes and breaks. */
export default function Plans({ loaderData: serial, params: { clientId } }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  const { inForce, named, input, template, settings, version, refer, worked } = loaderData;
  const [name, setName] = useState("");
  const sender = useFetcher<Answer>();
  const solver = useSolver();
  const variants = useMemo(
    () => (inForce ? variantsOf(input, inForce.sessions, settings.bookedMinutes) : []),
    [input, inForce, settings.bookedMinutes],
  );
  if (!inForce)
    return (
      <Box sx={{ p: { xs: 2, sm: 3 } }}>
        <Empty title="No plan yet">Solve the series first: what is tried beside it is compared with it.</Empty>
      </Box>
    );
  const send = (fields: object) => void sender.submit(fields as never, { method: "post", encType: "application/json" });
  const keep = (as: string, chosen: { template: string; settings: SeriesSettings }, plan: Pick<Plan, "sessions">) =>
    send({ act: "keep", id: crypto.randomUUID(), name: as, version: 0, ...chosen, plan: { score: 0, ...plan } });
  const tryOut = (variant: Variant) => {
    const start: Numbered = { template, course: settings.course, locks: settings.locks, sessions: inForce.sessions };
    const own = variant.skip.reduce((series, session) => changedCourse(series, { kind: "skip", session }), start);
    const { course: _, ...others } = settings;
    const chosen: SeriesSettings = {
      ...others,
      ...variant.settings,
      locks: [...own.locks],
      ...(own.course && { course: [...own.course] }),
    };
    solver.start(askInput(clientId, crypto.randomUUID(), { template, settings: chosen }, { input, worked }), (plan) =>
      keep(variant.name, { template, settings: chosen }, plan),
    );
  };
  const busy = sender.state !== "idle" || solver.state.kind === "solving";
  const answer = sender.data;
  return (
    <Box sx={{ p: { xs: 2, sm: 3 } }}>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center", mb: 1 }}>
        {variants.map((variant) => (
          <Button
            key={variant.key}
            variant="outlined"
            disabled={busy || refer.length > 0}
            aria-describedby={`what-${variant.key}`}
            onClick={() => tryOut(variant)}
          >
            {variant.name}
          </Button>
        ))}
      </Box>
      <Box component="ul" sx={{ m: 0, mb: 2, pl: 2.5 }}>
        {variants.map(({ key, name: of, what }) => (
          <Fine component="li" key={key} id={`what-${key}`}>
            {of}: {what.charAt(0).toLowerCase() + what.slice(1)}.
          </Fine>
        ))}
      </Box>
      <Solving state={solver.state} cancel={solver.cancel} />
      {answer?.errors && <Alert severity="error">{Object.values(answer.errors).join(" ")}</Alert>}
      {answer?.violations && (
        <Alert severity="error">
          It was not put in force, because it breaks a rule: {answer.violations.slice(0, 4).join(" ")}
        </Alert>
      )}
      {answer?.stale && (
        <Alert severity="warning">The series was changed in another tab. Load the page again to see it.</Alert>
      )}
      <Box
        sx={{ display: "grid", gap: 2, mt: 2, gridTemplateColumns: "repeat(auto-fill, minmax(min(100%, 270px), 1fr))" }}
      >
        <PlanCard
          title="In force"
          template={template}
          settings={settings}
          figures={inForce.figures}
          force={undefined}
          actions={
            <Box
              component="form"
              sx={{ display: "flex", gap: 1, alignItems: "start" }}
              onSubmit={(event) => {
                event.preventDefault();
                keep(name, { template, settings }, inForce);
                setName("");
              }}
            >
              <TextField
                size="small"
                label="Name of a copy"
                value={name}
                onChange={(event) => setName(event.target.value)}
              />
              <Button type="submit" variant="outlined" disabled={busy || name.trim() === ""}>
                Keep
              </Button>
            </Box>
          }
        />
        {named.map((each) => (
          <PlanCard
            key={each.id}
            title={each.name}
            template={each.template}
            settings={each.settings}
            figures={each.figures}
            force={inForce.figures}
            alike={sameSessions(
              { template: each.template, course: each.settings.course },
              { template, course: settings.course },
            )}
            actions={
              <Box sx={{ display: "flex", gap: 1 }}>
                <Button
                  variant="contained"
                  disabled={busy || each.figures.broken.length > 0 || refer.length > 0}
                  onClick={() => send({ act: "take", id: each.id, version })}
                >
                  Put in force
                </Button>
                <Button color="inherit" disabled={busy} onClick={() => send({ act: "drop", id: each.id })}>
                  Drop
                </Button>
              </Box>
            }
          />
        ))}
      </Box>
      <Fine sx={{ mt: 2 }}>
        Points and targets are by today’s findings, for all of them alike. Points say how much of what targets and a
        plan’s own sessions ask for is given, not how much better somebody will stand; between plans of other sessions
        they are not compared. Putting one in force keeps the other beside it.
      </Fine>
    </Box>
  );
}

const tenth = (value: number) => (Math.round(value * 10) / 10).toFixed(1);
const percent = (share: number) => `${Math.round(100 * share)} %`;

type Row = {
  name: string;
  said: (of: PlanFigures) => string;
  number?: (of: PlanFigures) => number;
  digits?: 1;
  /** Says nothing between plans of other sessions. */
  ofSessions?: true;
};

/** Rows of a card: how a figure is said, and its difference to that of the plan in force, where there is one to tell. */
const rows: Row[] = [
  {
    name: "Points, wishes aside",
    said: ({ points }) => tenth(points),
    number: ({ points }) => points,
    digits: 1,
    ofSessions: true,
  },
  { name: "Of what targets want", said: ({ served }) => (served === undefined ? "no targets" : percent(served)) },
  { name: "Sessions to come", said: ({ sessions }) => String(sessions), number: ({ sessions }) => sessions },
  {
    name: "Minutes of hands-on work",
    said: ({ minutes }) => tenth(minutes),
    number: ({ minutes }) => minutes,
    digits: 1,
  },
  { name: "Last session", said: ({ until }) => (until ? shortDay(until) : "none") },
  {
    name: "Pressure of 10",
    said: ({ pressure }) => `most ${pressure.most}, mean ${tenth(pressure.mean)}`,
    number: ({ pressure }) => pressure.mean,
    digits: 1,
  },
  { name: "Quiet minutes a session", said: ({ quiet }) => tenth(quiet), number: ({ quiet }) => quiet, digits: 1 },
  { name: "Minutes left, right", said: ({ sides }) => `${tenth(sides.L)}, ${tenth(sides.R)}` },
  { name: "At the complaint", said: ({ local }) => (local === undefined ? "none named" : percent(local)) },
  { name: "Turns", said: ({ turns }) => String(turns), number: ({ turns }) => turns },
  {
    name: "Thumbs, most in a session",
    said: ({ thumbs }) => String(Math.round(thumbs)),
    number: ({ thumbs }) => thumbs,
  },
  { name: "Load on all your parts", said: ({ load }) => String(Math.round(load)), number: ({ load }) => load },
];

/** "+2", "−0.4"; nothing where both are said alike. */
function difference(row: Row, own: PlanFigures, force: PlanFigures | undefined, alike: boolean): string {
  if (!force || !row.number || (row.ofSessions && !alike)) return "";
  // between the figures as they are said: what is read can be reckoned again
  const shown = (of: PlanFigures) => Number(row.number!(of).toFixed(row.digits ?? 0));
  const by = shown(own) - shown(force);
  const size = Math.abs(by).toFixed(row.digits ?? 0);
  return Number(size) === 0 ? "" : `${by > 0 ? "+" : "−"}${size}`;
}

function PlanCard({
  title,
  template,
  settings,
  figures,
  force,
  alike = true,
  actions,
}: {
  title: string;
  template: string;
  settings: SeriesSettings;
  figures: PlanFigures;
  /** Of the plan in force; undefined: this is it. */
  force: PlanFigures | undefined;
  /** Whether it has the sessions of the plan in force. */
  alike?: boolean;
  actions: React.ReactNode;
}) {
  const length = sessionsOf({ template, course: settings.course }).length;
  return (
    <Box
      component="section"
      aria-label={title}
      sx={(t) => ({
        border: `1px solid ${force ? t.tokens.line : t.tokens.ember}`,
        borderRadius: "8px",
        bgcolor: "background.paper",
        p: 2,
        display: "flex",
        flexDirection: "column",
      })}
    >
      <Typography variant="h3" component="h2">
        {title}
      </Typography>
      <Fine sx={{ mb: 1 }}>
        {templateOf(template).name}, {counted(length, "session")} in all, {settings.bookedMinutes} min booked,{" "}
        {rhythmWords(settings)}
        {settings.pressureMost ? `, pressure up to ${settings.pressureMost}` : ""}
        {wishes
          .filter(({ key }) => settings.wishes?.includes(key))
          .map(({ name }) => `, ${name.toLowerCase()}`)
          .join("")}
      </Fine>
      <Box component="dl" sx={{ m: 0, flex: 1 }}>
        {rows.map((row) => (
          <Box
            key={row.name}
            sx={(t) => ({ display: "flex", gap: 1, borderTop: `1px solid ${t.tokens.line}`, py: 0.5, fontSize: 14.5 })}
          >
            <Box component="dt" sx={{ flex: 1, color: "text.secondary" }}>
              {row.name}
            </Box>
            <Box component="dd" sx={{ m: 0, fontWeight: 600, textAlign: "right" }}>
              {row.said(figures)}{" "}
              <Box component="span" sx={{ fontWeight: 400, color: "text.secondary" }}>
                {difference(row, figures, force, alike)}
              </Box>
            </Box>
          </Box>
        ))}
      </Box>
      {figures.broken.length > 0 && (
        <Typography sx={(t) => ({ fontSize: 14.5, mt: 1, color: t.tokens.amber })}>
          Breaks {counted(figures.broken.length, "rule")} today: {figures.broken[0]}
          {figures.broken.length > 1 ? " And more." : ""}
        </Typography>
      )}
      <Box sx={{ mt: 1.5 }}>{actions}</Box>
    </Box>
  );
}

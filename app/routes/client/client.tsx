import Button from "@mui/material/Button";
import Chip from "@mui/material/Chip";
import Tooltip from "@mui/material/Tooltip";
import Typography from "@mui/material/Typography";
import { useEffect, useMemo, useRef } from "react";
import { Link, Outlet, useLocation, useMatches, useNavigation } from "react-router";
import type { Route } from "./+types/client";
import { depthOf } from "~core/anatomy/layers";
import { shapeOf } from "~core/anatomy/shape";
import { ageOn } from "~core/client";
import { keptBetween, keptRange } from "~core/change/carry-over";
import { ceilingUnder, ceilingWords } from "~core/screening/advice";
import { acting, isActive } from "~core/screening/outcome";
import { questions } from "~core/screening/questions";
import { momentsOfClient } from "~app/server/client/readings.server";
import { dayOfVisit, judgedOf } from "~app/server/client/screening.server";
import { cachedLoader } from "~app/server/cached-loader.server";
import { today } from "~app/server/today.server";
import { shortDay } from "~app/ui/dates";
import { FigureShape } from "~app/ui/figure-shape";
import { getClient } from "~data/clients";
import { answersOf } from "~data/screening";
import { seriesOf } from "~data/series";
import { ChipRow, Head, HeadLine, PartLinks, StageLinks, Under } from "./client-head";
import { CautionChip } from "./cautions/caution-chip";
import { CautionChips } from "./cautions/caution-chips";
import { PathStrip } from "./path-strip";
import type { StripVisit } from "./path-strip-layout";
import { ceilingOf, sessionsOfSeries, unsafeIn } from "~app/server/client/plan-input.server";
import { visitOf } from "~app/server/client/workspace.server";
import { homes } from "~kinds/register";
import { deserialised, type LoaderData, type Serialised } from "~app/serialised";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  {
    title: `${loaderData ? deserialised(loaderData as Serialised<LoaderData<typeof loader>>).client.name : "Client"} · Ember Path`,
  },
];

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "frame", async ({ tx, practitioner }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, asked.request);
    const series = await seriesOf(tx, client.id);
    const moments = await momentsOfClient(tx, client.id);
    const sessions = series && sessionsOfSeries(series);
    const current = visits.find((each) => each.status !== "closed");
    const judged = await judgedOf(tx, client, practitioner);
    const broken = new Set(unsafeIn(client, series, visits, judged).map((violation) => violation.session));
    const strip = visits.map((each): StripVisit => {
      const planned = sessions?.[each.ordinal - 1];
      const kept = keptBetween(moments, each.ordinal - 1);
      return {
        ordinal: each.ordinal,
        name: planned?.name ?? "Visit",
        depth: planned ? depthOf(planned.ceiling) : 1,
        light: planned?.light ?? false,
        state: each.status === "closed" ? "done" : each === current ? "current" : "planned",
        ...(broken.has(each.ordinal - 1) ? { broken: true } : {}),
        ...(kept?.told ? { kept: `kept ${keptRange(kept)}` } : {}),
      };
    });
    const day = dayOfVisit(visit);
    const answered = new Set((await answersOf(tx, client.id)).map((answer) => answer.question));
    return {
      client,
      age: ageOn(client.born, today()),
      visit,
      today: today(),
      strip,
      ceiling: ceilingUnder(ceilingOf(client, series), acting(judged, day)),
      cautions: judged.filter((caution) => caution.origin !== "setting" && isActive(caution, day)),
      screened: questions.every((question) => answered.has(question.key)),
    };
  });
}

const stages = [
  { name: "Overview", path: "" },
  { name: "Intake", path: "intake", under: "intake" },
  { name: "Assess", path: "assess/stand", under: "assess" },
  { name: "Reading", path: "reading" },
  { name: "Path", path: "path", under: "path" },
  { name: "Sessions", path: "sessions", under: "sessions" },
  { name: "Change", path: "change" },
];

const partsOf = (stage: string) =>
  homes.filter(({ path }) => path.split("/")[0] === stage).map(({ part, path }) => ({ name: part, path }));

/** Pages within a stage: those of the kinds of record, and what is made of them. */
const parts: Record<string, { name: string; path: string }[]> = {
  intake: partsOf("intake"),
  assess: [...partsOf("assess"), { name: "Summary", path: "assess/summary" }],
  path: [
    { name: "Plan", path: "path" },
    { name: "List", path: "path/list" },
    { name: "Side by side", path: "path/plans" },
  ],
  sessions: partsOf("sessions"),
};

export default function ClientFrame({ loaderData: serial }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  const { client, age, visit, today, strip, ceiling, cautions, screened } = loaderData;
  const shape = useMemo(() => shapeOf(client.build ?? "middle", client.statureMm), [client.build, client.statureMm]);
  const { pathname, search } = useLocation();
  const base = `/clients/${client.id}`;
  const stage = pathname.slice(base.length + 1);
  // what was pressed looks chosen at once, and its parts are there, before the page itself is
  const { location: next } = useNavigation();
  const shown = next && `${next.pathname}/`.startsWith(`${base}/`) ? next.pathname.slice(base.length + 1) : stage;
  const [part] = Object.keys(parts).filter((each) => shown.startsWith(each));
  // the page one is on is in sight, also where the row is longer than the screen
  const row = useRef<HTMLElement>(null);
  useEffect(() => {
    const here = row.current?.querySelector<HTMLElement>("[data-chosen=true]");
    if (row.current && here)
      row.current.scrollLeft = here.offsetLeft - (row.current.clientWidth - here.clientWidth) / 2;
  }, [shown]);
  // Stand needs the height for the picture: there the strip gives way.
  const slim = useMatches().some((match) => (match.handle as { slim?: boolean } | undefined)?.slim);
  return (
    <>
      <Head>
        <HeadLine>
          <Typography variant="h1" sx={{ fontSize: 23 }}>
            {client.name}
          </Typography>
          <Typography sx={{ color: "text.secondary" }}>
            {[age, client.occupation].filter(Boolean).join(", ")}
            {slim && ` · visit ${visit.ordinal}, ${shortDay(visit.onDate, today)}`}
          </Typography>
          <ChipRow>
            <Tooltip
              describeChild
              enterTouchDelay={0}
              title="The highest pressure for the whole body, 0 to 10 as the client reports it: the lowest of what they want, what the series is set to, how you work and what cautions leave. No step is planned above it."
            >
              <CautionChip look="acts" tabIndex={0} label={ceilingWords(ceiling)} />
            </Tooltip>
            <CautionChips clientId={client.id} cautions={cautions} screened={screened} today={today} />
            {client.archivedAt && <Chip label="Archived" />}
          </ChipRow>
          <Button component={Link} to={`${base}/edit`} color="inherit" sx={{ color: "text.secondary", ml: "auto" }}>
            Edit client
          </Button>
        </HeadLine>
        {!slim && <PathStrip visits={strip} shown={visit.ordinal} />}
        <StageLinks aria-label="Stages">
          {stages.map(({ name, path, under }) => (
            <Link
              key={name}
              to={`${base}${path && `/${path}`}${search}`}
              aria-current={(under ? stage.startsWith(under) : stage === path) ? "page" : undefined}
              data-chosen={under ? shown.startsWith(under) : shown === path}
            >
              {name}
            </Link>
          ))}
        </StageLinks>
      </Head>
      {part && (
        <PartLinks ref={row} aria-label={stages.find((each) => each.under === part)!.name}>
          {parts[part]!.map(({ name, path }) => (
            <Link
              key={name}
              to={`${base}/${path}${search}`}
              aria-current={stage === path ? "page" : undefined}
              data-chosen={shown === path}
            >
              {name}
            </Link>
          ))}
        </PartLinks>
      )}
      <Under>
        <FigureShape value={shape}>
          <Outlet />
        </FigureShape>
      </Under>
    </>
  );
}

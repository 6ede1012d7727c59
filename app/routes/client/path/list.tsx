import Button from "@mui/material/Button";
import { Link, useSearchParams } from "react-router";
import { handsOfOthers } from "~app/server/client/plan-input.server";
import type { Route } from "./+types/list";
import { sessionsOf } from "~core/series/course";
import { rhythmWords } from "~core/series/dates";
import { sessionForClient } from "~core/series/for-client";
import { minutesOf, type PlannedSession, type StepMinutes } from "~core/series/plan";
import { tableTimeWords } from "~core/series/table-time";
import type { TemplateSession } from "~core/series/template";
import { techniqueOf } from "~core/techniques/library";
import { positionName } from "~core/techniques/technique";
import { capitalised, counted } from "~core/words";
import { cachedLoader } from "~app/server/cached-loader.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { weekday } from "~app/ui/dates";
import { Fine } from "~app/ui/fine";
import { OnPaper } from "~app/ui/on-paper";
import { Empty } from "~app/ui/page";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { seriesView } from "~app/server/client/series.server";
import { deserialised } from "~app/serialised";

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(
    asked,
    "list",
    async ({ tx, practitioner }) => {
      const { client, series, template, settings, input, visits } = await seriesView(
        tx,
        practitioner,
        asked.params.clientId,
      );
      return {
        name: client.name,
        practice: practitioner.practiceName,
        template,
        settings,
        tableMinutes: input.tableMinutes,
        done: input.done.length,
        sessions: [...input.done, ...(series?.plan?.sessions.slice(input.done.length) ?? [])],
        solved: series?.plan !== undefined && series.plan !== null,
        // days of visits, which may have been moved by hand
        days: input.days.map((day, s) => visits[s]?.onDate ?? day),
      };
    },
    handsOfOthers,
  );
}

const half = (minutes: number) => String(Math.round(2 * minutes) / 2);
const sides = ["L", "R"] as const;
const minuteWords = (minutes: StepMinutes) =>
  "mid" in minutes
    ? half(minutes.mid)
    : minutes.L === minutes.R
      ? `${half(minutes.L)} + ${half(minutes.R)}`
      : sides
          .filter((side) => minutes[side] > 0)
          .map((side) => `${side} ${half(minutes[side])}`)
          .join(", ");

/** The plan as a list: for the practitioner's wall with every step, or for the client as what comes when. */
export default function PlanList({ loaderData: serial }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  const { name, practice, template, settings, sessions, days, done, solved } = loaderData;
  const [search, setSearch] = useSearchParams();
  const forClient = search.get("for") === "client";
  const names = sessionsOf({ template, course: settings.course });
  if (!solved)
    return (
      <Box sx={{ p: { xs: 2, sm: 3 } }}>
        <Empty title="No plan yet">
          Solve the series first. <Link to="../path">Go to the plan</Link>
        </Empty>
      </Box>
    );
  return (
    <Box sx={{ p: { xs: 2, sm: 3 }, maxWidth: 1100 }}>
      <OnPaper />
      <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", alignItems: "center", mb: 2 }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="Who it is for"
          value={forClient ? "client" : "wall"}
          sx={{ "@media print": { display: "none" } }}
          onChange={(_, next: string | null) => {
            if (!next) return;
            const changed = new URLSearchParams(search);
            if (next === "client") changed.set("for", "client");
            else changed.delete("for");
            setSearch(changed, { replace: true, preventScrollReset: true });
          }}
        >
          <ToggleButton value="wall">For you</ToggleButton>
          <ToggleButton value="client">For the client</ToggleButton>
        </ToggleButtonGroup>
        <Fine sx={{ flex: "1 1 180px" }}>
          {counted(sessions.length, "session")}, {rhythmWords(settings)}
        </Fine>
        <Button variant="contained" onClick={() => window.print()}>
          Print
        </Button>
      </Box>
      {forClient && (
        <Typography sx={{ mb: 2 }}>
          What comes when, for {name}, from {practice}. Every session begins with talking and looking, and ends with
          rising slowly. It can be changed or stopped at any moment; what is found on the day may change the plan. This
          replaces no medical advice.
        </Typography>
      )}
      <Box component="ol" sx={{ listStyle: "none", p: 0, m: 0 }}>
        {sessions.map((session, s) => (
          <Box
            component="li"
            key={s}
            sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, py: 1.5, breakInside: "avoid" })}
          >
            <Typography variant="h3" component="h2">
              {s + 1} {names[s]?.name}
              <Box component="span" sx={{ fontWeight: 400, color: "text.secondary", fontSize: 15 }}>
                {" "}
                {weekday(days[s]!)}
                {s < done ? ", done" : ""}
              </Box>
            </Typography>
            {forClient ? (
              <ForClient session={session} named={names[s]} booked={settings.bookedMinutes} done={s < done} />
            ) : (
              <Steps session={session} named={names[s]} />
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Steps({ session, named }: { session: PlannedSession; named: TemplateSession | undefined }) {
  return (
    <>
      <Fine>
        {named?.intent} {tableTimeWords(session)}.
      </Fine>
      <Box component="ol" sx={{ listStyle: "none", m: 0, mt: 0.5, p: 0, columns: { md: 2 }, columnGap: 4 }}>
        {session.steps.map((step, i) => {
          const before = session.steps.slice(0, i).reduce((sum, each) => sum + minutesOf(each.minutes), 0);
          const turned = step.position && step.position !== session.steps[i - 1]?.position;
          return (
            <Box
              component="li"
              key={step.technique}
              sx={{ display: "flex", gap: 1, fontSize: 15, breakInside: "avoid" }}
            >
              <Box component="span" sx={{ width: 34, color: "text.secondary", textAlign: "right" }}>
                {half(before)}
              </Box>
              <Box component="span" sx={{ flex: 1 }}>
                {techniqueOf(step.technique).name}
                {turned && (
                  <Box component="span" sx={{ color: "text.secondary" }}>
                    , {positionName[step.position!].toLowerCase()}
                  </Box>
                )}
              </Box>
              <Box component="span" sx={{ color: "text.secondary", whiteSpace: "nowrap" }}>
                {minuteWords(step.minutes)} min
              </Box>
            </Box>
          );
        })}
      </Box>
    </>
  );
}

function ForClient({
  session,
  named,
  booked,
  done,
}: {
  session: PlannedSession;
  named: TemplateSession | undefined;
  booked: number;
  done: boolean;
}) {
  const { where, lies, asked, feels } = sessionForClient(session);
  return (
    <Typography sx={{ mt: 0.5, maxWidth: 760 }}>
      {named?.intent} {where.length > 0 && `Mostly: ${where.join("; ")}. `}
      {!done && (
        <>
          {feels} {lies.length > 0 && `${capitalised(`you lie ${lies.join(", then ")}`)}. `}
          {asked.length > 0 && `We ask first before working at: ${asked.join("; ")}. `}
          {booked} min in all.
        </>
      )}
    </Typography>
  );
}

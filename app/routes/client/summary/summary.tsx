import { kindsWith, summaryIn } from "~kinds/register";
import { recordsOf } from "~app/server/client/records.server";
import Button from "@mui/material/Button";
import type { ReactNode } from "react";
import type { Route } from "./+types/summary";
import { laidOut, whole } from "~core/anatomy/sights";
import { minutesOf } from "~core/series/plan";
import { techniqueOf } from "~core/techniques/library";
import { sinceLast } from "~core/findings/since-last";
import { inWorkingOrder } from "~core/findings/working-order";
import { cachedLoader } from "~app/server/cached-loader.server";
import { workedSessions } from "~app/server/client/plan-input.server";
import { visitOf } from "~app/server/client/workspace.server";
import { findingName } from "~core/findings/finding-name";
import { marksOf } from "~app/routes/client/touch/finding-marks";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { BodyFigure } from "~app/ui/body-figure";
import { OnPaper } from "~app/ui/on-paper";
import { weekday } from "~app/ui/dates";
import { deserialised, type LoaderData } from "~app/serialised";
import { getClient } from "~data/clients";
import { seriesOf } from "~data/series";

export const handle = { slim: true };

const summed = kindsWith("summary");

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "summary", async ({ tx }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, asked.request);
    const worked = await workedSessions(tx, visits, await seriesOf(tx, client.id));
    const records = await recordsOf(tx, client.id, [visit], [...summed, "lightTouch"]);
    return {
      visit,
      restrictions: records.restriction ?? [],
      scars: records.scar ?? [],
      light: records.lightTouch?.[0]?.lines ?? [],
      sheet: summaryIn(records, visit.ordinal),
      // what is planned is not what was done
      steps: visit.status === "closed" ? (worked[visit.ordinal - 1]?.steps ?? []) : [],
    };
  });
}

const sights = [whole("front"), whole("back")];
const sheet = laidOut(sights);
const figureHeight = 300;

/** Where what was felt at a visit lies. */
function Where({ visit, restrictions, scars }: LoaderData<typeof loader>) {
  const felt = restrictions.flatMap((each) => {
    const grades = each.grades.filter((grading) => grading.visit === visit.ordinal);
    return grades.length > 0 ? [{ ...each, grades }] : [];
  });
  const lines = scars.flatMap(({ id, line, roses }) =>
    line && roses.some((rose) => rose.visit === visit.ordinal) ? [{ id, ...line }] : [],
  );
  return (
    <Box sx={{ height: figureHeight, width: (figureHeight * sheet.width) / sheet.height, mb: 1 }}>
      <BodyFigure sights={sights} label="Where it lies" marks={marksOf(felt)} lines={lines} />
    </Box>
  );
}

/** A visit on one sheet: what was felt in the order hands come to it, what is different from last time, what was worked. */
export default function Summary({ loaderData: serial }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  const { visit, restrictions, steps, sheet } = loaderData;
  const lines = sheet.flatMap(({ lines }) => lines);
  // what lies on the body comes in the order hands come to it, all else kind by kind
  const groups = inWorkingOrder(lines.flatMap(({ lying, ...line }) => (lying ? [{ ...line, ...lying }] : [])));
  const others = sheet
    .map(({ key, name, lines }) => ({ key, name, lines: lines.filter(({ lying }) => !lying) }))
    .filter(({ lines }) => lines.length > 0);
  const different = visit.ordinal > 1 ? sinceLast(restrictions, visit.ordinal) : [];
  return (
    <Box sx={{ p: { xs: 2, sm: 3 }, maxWidth: 1100 }}>
      <OnPaper />
      <Box sx={{ display: "flex", gap: 2, alignItems: "baseline", flexWrap: "wrap", mb: 2 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          Visit {visit.ordinal}, {weekday(visit.onDate)}
        </Typography>
        <Button variant="contained" onClick={() => window.print()}>
          Print
        </Button>
      </Box>
      {lines.length === 0 && loaderData.light.length === 0 && (
        <Typography color="text.secondary">Nothing was felt at this visit yet.</Typography>
      )}
      <Box
        sx={{
          display: "grid",
          columnGap: 4,
          gridTemplateColumns: { xs: "1fr", md: "minmax(0, 1fr) auto" },
          "@media print": { gridTemplateColumns: "minmax(0, 1fr) auto" },
        }}
      >
        {groups.length > 0 && <Where {...loaderData} />}
        <Box sx={{ order: { md: -1 }, "@media print": { order: -1 } }}>
          {groups.map(({ how, list }) => (
            <Part key={how} title={`Felt ${how}`}>
              {list.map(({ id, name, what }) => (
                <Entry key={id} name={name} what={what} />
              ))}
            </Part>
          ))}
          {others.map(({ key, name, lines }) => (
            <Part key={key} title={name}>
              {lines.map(({ id, name, what }) => (
                <Entry key={id} name={name} what={what} />
              ))}
            </Part>
          ))}
          {loaderData.light.length > 0 && (
            <Box component="section" aria-label="Light touch" sx={{ mb: 2 }}>
              <Typography variant="h3" sx={{ mb: 0.5 }}>
                Light touch
              </Typography>
              {loaderData.light.map((line) => (
                <Typography key={line}>{line}</Typography>
              ))}
            </Box>
          )}
          {different.length > 0 && (
            <Part title="Different from last time">
              {different.map(({ restriction, from, to, verdict }) => (
                <Entry
                  key={restriction.id}
                  name={findingName(restriction)}
                  what={`${from ? `${from.grade} at visit ${from.visit}, now ${to}` : `new, ${to}`}${verdict ? `: ${verdict}` : ""}`}
                />
              ))}
            </Part>
          )}
          {steps.length > 0 && (
            <Part title="Worked">
              {steps.map((step) => (
                <Entry
                  key={step.technique}
                  name={techniqueOf(step.technique).name}
                  what={`${Math.round(minutesOf(step.minutes) * 10) / 10} min`}
                />
              ))}
            </Part>
          )}
          {groups.length > 0 && (
            <Typography sx={{ mt: 2, fontSize: 13.5, color: "text.secondary" }}>
              Grades 0 free to 3 fixed. One step of a grade lies within the error of grading by hand.
            </Typography>
          )}
        </Box>
      </Box>
    </Box>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ mb: 2 }}>
      <Typography variant="h3" sx={{ mb: 0.5 }}>
        {title}
      </Typography>
      <Box component="dl" sx={{ m: 0 }}>
        {children}
      </Box>
    </Box>
  );
}

function Entry({ name, what }: { name: string; what: string }) {
  return (
    <Box
      sx={(t) => ({
        display: "grid",
        gridTemplateColumns: { xs: "1fr", sm: "minmax(220px, 38%) 1fr" },
        columnGap: 2,
        borderTop: `1px solid ${t.tokens.line}`,
        py: 0.6,
      })}
    >
      <Typography component="dt" sx={{ fontWeight: 650 }}>
        {name}
      </Typography>
      <Typography component="dd" sx={{ m: 0 }}>
        {what}
      </Typography>
    </Box>
  );
}

import Button from "@mui/material/Button";
import type { ReactNode } from "react";
import type { Route } from "./+types/summary";
import { placeNames } from "~core/anatomy/places";
import { laidOut, whole } from "~core/anatomy/sights";
import { minutesOf } from "~core/series/plan";
import { techniqueOf } from "~core/techniques/library";
import { roseArea } from "~core/findings/scar";
import { afterWords, asksRest, skinPlace, skinWords } from "~core/findings/skin";
import { sinceLast } from "~core/findings/since-last";
import { referralWords } from "~core/findings/trigger-point";
import { inWorkingOrder, type Lying } from "~core/findings/working-order";
import { isAnswered } from "~core/table/answers";
import { compareTable, offBefore, verdictWords, wordsOf } from "~core/table/results";
import { rangeOf } from "~core/move/ranges";
import { rangeName, rangeWords } from "~app/routes/client/move/words";
import { lightOf } from "~app/server/client/light.server";
import { movedOf, tableOf } from "~app/server/client/table.server";
import { known } from "~app/server/known.server";
import { workedSessions } from "~app/server/client/plan-input.server";
import { visitOf } from "~app/server/client/workspace.server";
import { findingName } from "~app/routes/client/touch/finding";
import { marksOf } from "~app/routes/client/touch/finding-marks";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { BodyFigure } from "~app/ui/body-figure";
import { OnPaper } from "~app/ui/on-paper";
import { weekday } from "~app/ui/dates";
import { heard, type Heard } from "~app/told";
import { getClient } from "~data/clients";
import { restrictionsOf } from "~data/findings";
import { scarsOf } from "~data/scars";
import { seriesOf } from "~data/series";
import { skinOf } from "~data/skin";
import { triggerPointsOf } from "~data/trigger-points";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return known(asked, "summary", async ({ tx }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, asked.request);
    const worked = await workedSessions(tx, visits, await seriesOf(tx, client.id));
    return {
      visit,
      restrictions: await restrictionsOf(tx, client.id),
      points: await triggerPointsOf(tx, client.id),
      scars: await scarsOf(tx, client.id),
      skin: await skinOf(tx, client.id),
      table: (await tableOf(tx, [visit]))[0]?.answers ?? [],
      light: (await lightOf(tx, client.id, [visit]))[0]?.lines ?? [],
      ranges: (await movedOf(tx, [visit]))[0]?.ranges ?? [],
      // what is planned is not what was done
      steps: visit.status === "closed" ? (worked[visit.ordinal - 1]?.steps ?? []) : [],
    };
  });
}

type Line = Lying & { id: string; name: string; what: string };
type Felt<T> = { visit: number; moment: "before" | "after" } & T;

/** "2 → 1": what stood before the work and after it, as far as it was felt. */
function beforeAfter<T>(felt: readonly Felt<T>[], visit: number, say: (one: Felt<T>) => string): string | undefined {
  const own = (["before", "after"] as const).flatMap((moment) => {
    const one = felt.find((each) => each.visit === visit && each.moment === moment);
    return one ? [`${say(one)}${moment === "after" ? " after" : ""}`] : [];
  });
  return own.length > 0 ? own.join(" → ") : undefined;
}

function linesOf({ visit, restrictions, points, scars, skin }: Heard<typeof loader>): Line[] {
  const { ordinal } = visit;
  return [
    ...restrictions.flatMap((each): Line[] => {
      const what = beforeAfter(each.grades, ordinal, ({ grade, tenderness }) =>
        tenderness > 0 ? `grade ${grade}, tender ${tenderness}` : `grade ${grade}`,
      );
      const ways = [each.bind && `binds ${each.bind}`, each.ease && `eases ${each.ease}`].filter(Boolean).join(", ");
      return what
        ? [
            {
              id: each.id,
              structure: each.structure,
              side: each.side,
              name: findingName(each),
              what: `${what}; ${each.quality}${ways ? `, ${ways}` : ""}`,
            },
          ]
        : [];
    }),
    ...points.flatMap((each): Line[] => {
      const what = beforeAfter(
        each.felt,
        ordinal,
        ({ tenderness, held }) => `tender ${tenderness}${held === null ? "" : ` (held ${held} s)`}`,
      );
      const felt = each.referral.length > 0 ? `; felt at ${referralWords(each.referral)}` : "";
      return what
        ? [
            {
              id: each.id,
              structure: each.structure,
              side: each.side,
              name: `Trigger point, ${findingName(each).toLowerCase()}`,
              what: `${what}${felt}`,
            },
          ]
        : [];
    }),
    ...scars.flatMap((each): Line[] => {
      const what = beforeAfter(each.roses, ordinal, ({ slides }) => {
        const { percent, se } = roseArea(slides);
        return `${Math.round(percent)} ±${Math.round(1.96 * se)} % of the full rose`;
      });
      return what
        ? [
            {
              id: each.id,
              places: each.places,
              side: each.side,
              name: `Scar, ${placeNames(each.places)}`,
              what,
            },
          ]
        : [];
    }),
    ...skin
      .filter((each) => each.visit === ordinal)
      .map((each): Line => ({
        id: each.id,
        places: [each.place],
        side: each.side ?? "both",
        name: `Skin, ${skinPlace(each)}`,
        what: `${skinWords[each.response]} after ${afterWords[each.after]}${asksRest(each) ? `: ${each.gone ? "gone" : "rests until it is gone, 48 hours at least"}` : ""}`,
      })),
  ];
}

const sights = [whole("front"), whole("back")];
const sheet = laidOut(sights);
const figureHeight = 300;

/** Where what was felt at a visit lies. */
function Where({ visit, restrictions, scars }: Heard<typeof loader>) {
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
export default function Summary({ loaderData: told }: Route.ComponentProps) {
  const loaderData = heard(told);
  const { visit, restrictions, steps, table } = loaderData;
  const off = offBefore(table);
  const moved = loaderData.ranges.map(rangeOf);
  const retested = compareTable({ answers: table, moment: "before" }, { answers: table, moment: "after" });
  const groups = inWorkingOrder(linesOf(loaderData));
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
      {groups.length === 0 && off.length === 0 && loaderData.light.length === 0 && (
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
          {off.length > 0 && (
            <Part title="At the table">
              {off.map((check) => (
                <Entry
                  key={check.key}
                  name={check.name}
                  what={`${wordsOf(check, table, "before")}${isAnswered(check, table, "after") ? ` → ${wordsOf(check, table, "after")} (${verdictWords(check, retested)})` : "; not looked at again"}`}
                />
              ))}
            </Part>
          )}
          {moved.length > 0 && (
            <Part title="Ranges">
              {moved.map((range) => (
                <Entry
                  key={`${rangeName(range)} ${range.taken.moment}`}
                  name={`${rangeName(range)}${range.taken.moment === "after" ? ", after" : ""}`}
                  what={rangeWords(range)}
                />
              ))}
            </Part>
          )}
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

import Button from "@mui/material/Button";
import { useTheme } from "@mui/material/styles";
import { addWeeks, format, parseISO, startOfWeek } from "date-fns";
import type { Route } from "./+types/practice";
import { data, Link } from "react-router";
import { array, boolean, number, object, string, type NumberSchema } from "yup";
import { safetyTagKeys, type SafetyTag } from "~core/techniques/safety-tags";
import { usualSchool, type School } from "~core/screening/facts";
import { outOfSchool, schoolKinds } from "~core/screening/schools";
import { saveHands, saveSchool } from "~data/practitioners";
import { validate } from "~app/validation";
import { HandsForm } from "./hands-form";
import { SchoolForm } from "./school-form";
import { landmarks, type LandmarkKey } from "~core/anatomy/landmarks";
import { figureOfPoint } from "~core/measure/own-figures";
import { ownFigures } from "~app/server/client/own-figures.server";
import { usualPrecision } from "~core/measure/propagate";
import { handPartName, handParts, noHands, type HandPart } from "~core/techniques/hand-parts";
import { sessionLoad } from "~core/series/hands";
import { workedVisits } from "~app/server/client/plan-input.server";
import { inSession, keeping } from "~app/server/request/session.server";
import { today } from "~app/server/today.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Page } from "~app/ui/page";
import { visitsBetween } from "~data/visits";

export const meta: Route.MetaFunction = () => [{ title: "Practice · Ember Path" }];
const weeks = 8;
const formatPlacing = (mm: number) => `${mm.toFixed(1)} mm`;

export function loader({ context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx, practitioner }) => {
    const start = addWeeks(startOfWeek(parseISO(today()), { weekStartsOn: 1 }), 1 - weeks);
    const visits = await visitsBetween(tx, format(start, "yyyy-MM-dd"), today());
    const load = handParts.map(() => Array.from({ length: weeks }, () => 0));
    const logs = await workedVisits(tx, visits);
    for (const visit of visits) {
      const worked = logs.get(visit.id);
      if (!worked) continue;
      const week = Math.floor((parseISO(visit.onDate).getTime() - start.getTime()) / (7 * 864e5) + 0.001);
      const taken = sessionLoad(worked);
      handParts.forEach((part, i) => {
        if (week >= 0 && week < weeks) load[i]![week]! += taken[part];
      });
    }
    const school = { ...usualSchool, ...practitioner.settings.school };
    return {
      own: (await ownFigures(tx))[practitioner.id] ?? { sem: {}, placing: {} },
      school,
      hands: practitioner.settings.hands ?? noHands,
      out: {
        now: outOfSchool(school).size,
        ...Object.fromEntries(schoolKinds.map((kind) => [kind.key, outOfSchool(kind.school).size])),
      },
      load: load.map((row) => row.map((value) => Math.round(value))),
      weeks: Array.from({ length: weeks }, (_, i) => format(addWeeks(start, i), "d MMM")),
    };
  });
}

const seconds = (name: string) =>
  number()
    .typeError(`${name}: type a number of seconds.`)
    .required(`${name}: type a number of seconds.`)
    .integer(`${name}: whole seconds, got \${value}.`)
    .min(5, `${name}: at least 5 s, got \${value}.`)
    .max(180, `${name}: at most 180 s, got \${value}.`);
const schoolShape = {
  pressureCeiling: number().integer().min(1).max(10).required(),
  hold: object({ least: seconds("Shortest hold"), most: seconds("Longest hold") })
    .required()
    .test("order", "Longest hold: it is shorter than the shortest.", (hold) => hold.least <= hold.most),
  oil: boolean().required(),
  wax: boolean().required(),
  way: string<School["way"]>().oneOf(["direct", "indirect", "both"]).required(),
  withoutElbow: boolean().required(),
  withoutThumb: boolean().required(),
  avoids: array(string<SafetyTag>().oneOf(safetyTagKeys, "Left out: “${value}” is no kind of work.").required())
    .max(safetyTagKeys.length)
    .default([]),
  order: number().oneOf([0, 0.2, 0.5], "Usual order: choose one.").default(usualSchool.order),
};
const schoolSchema = object({
  ...schoolShape,
  /** How it stood when the form was opened. */
  was: object(schoolShape).default(undefined).optional(),
});

const budgets = object(
  Object.fromEntries(
    handParts.map((part) => [
      part,
      number()
        .typeError(`${handPartName[part]}: type a number, or leave it empty.`)
        .min(0, `${handPartName[part]}: at least 0, got \${value}.`)
        .max(5000, `${handPartName[part]}: at most 5000, got \${value}.`),
    ]),
  ) as Record<HandPart, NumberSchema<number | undefined>>,
);
const handsShape = object({ session: budgets, day: budgets, week: budgets });
const handsSchema = object({ hands: handsShape.required(), was: handsShape.default(undefined).optional() });

export { keepTyped as clientAction } from "~app/ui/keep-typed";

/** Saves how the practitioner works. */
export function action({ context }: Route.ActionArgs) {
  return keeping(context, async ({ tx, practitioner, body }) => {
    if (body.fields.hands !== undefined) {
      const sent = await validate(handsSchema, body.fields);
      if (sent.errors) return data({ errors: sent.errors }, { status: 400 });
      await saveHands(tx, practitioner.id, sent.value.hands, sent.value.was);
      return { ok: true };
    }
    const { value, errors } = await validate(schoolSchema, body.fields);
    if (errors) return data({ errors }, { status: 400 });
    const { was, ...school } = value;
    await saveSchool(tx, practitioner.id, school, was);
    return { ok: true };
  });
}

/** Your own hands over the weeks, from the run sheets, and how sure your marking is taken to be. */
export default function Practice({ loaderData: { load, weeks, school, hands, out, own } }: Route.ComponentProps) {
  const { tokens } = useTheme();
  const most = Math.max(1, ...load.flat());
  const none = load.flat().every((value) => value === 0);
  return (
    <Page title="Practice">
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", lg: "minmax(0, 1fr) 400px" }, gap: 6 }}>
        <Box>
          <Typography variant="h2">What your hands took, week by week</Typography>
          <Typography sx={{ color: "text.secondary", mb: 2 }}>
            Load (0–3) times minutes, from what was run at the table.
          </Typography>
          {none ? (
            <Typography>No session was run in the last eight weeks.</Typography>
          ) : (
            <svg
              viewBox="0 0 760 330"
              width="100%"
              role="img"
              aria-label="Load on thumbs, fingers, wrists, shoulders and low back by week"
            >
              {load.map((row, i) => (
                <g key={handParts[i]} transform={`translate(0 ${i * 58})`}>
                  <text x={0} y={40} fontSize={14} fill={tokens.ink}>
                    {handPartName[handParts[i]!]}
                  </text>
                  <line x1={100} x2={760} y1={50} y2={50} stroke={tokens.line} />
                  {row.map((value, week) => {
                    const height = (42 * value) / most;
                    return (
                      <g key={week}>
                        <rect
                          x={112 + week * 81}
                          y={50 - height}
                          width={38}
                          height={height}
                          fill={value > 0.85 * most && handParts[i] === "thumb" ? tokens.ember : tokens.slate}
                        />
                        {value > 0 && (
                          <text
                            x={131 + week * 81}
                            y={46 - height}
                            fontSize={11.5}
                            textAnchor="middle"
                            fill={tokens.inkSoft}
                          >
                            {value}
                          </text>
                        )}
                      </g>
                    );
                  })}
                </g>
              ))}
              {weeks.map((week, i) => (
                <text key={week} x={131 + i * 81} y={312} fontSize={12} textAnchor="middle" fill={tokens.inkSoft}>
                  {week}
                </text>
              ))}
            </svg>
          )}
        </Box>
        <Box>
          <SchoolForm out={out} stored={school} />
          <HandsForm stored={hands} />
          <Typography variant="h2" sx={{ mt: 5 }}>
            Practice for the hands
          </Typography>
          <Typography sx={{ color: "text.secondary" }}>
            Hold a force, tell a rhythm, put the arc in order, tell two hands apart; with figures over the weeks.
          </Typography>
          <Button component={Link} to="/practice/trainer" variant="outlined" sx={{ mt: 1 }}>
            Trainer
          </Button>
          <Typography variant="h2" sx={{ mt: 5 }}>
            How sure marking is taken to be
          </Typography>
          <Button component={Link} to="/practice/repeatability" variant="outlined" sx={{ mt: 1, mb: 1.5 }}>
            {Object.keys(own.placing).length > 0 ? "Your repeatability" : "Learn your own"}
          </Button>
          <Typography sx={{ color: "text.secondary", mb: 1 }}>
            Standard deviations the errors are computed from. Pointing ±{usualPrecision.pointingPx} px; camera distance
            ±{usualPrecision.cameraDistance} mm, lens height ±{usualPrecision.cameraHeight} mm; client turned ±
            {usualPrecision.yaw}°.
          </Typography>
          <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
            {Object.entries(landmarks).map(([key, landmark]) => (
              <Box
                component="li"
                key={key}
                sx={(t) => ({ display: "flex", borderTop: `1px solid ${t.tokens.line}`, py: 0.6 })}
              >
                <Box sx={{ flex: 1 }}>{landmark.name}</Box>±
                {formatPlacing(landmark.placing * figureOfPoint(own, key as LandmarkKey))}
                <Box component="span" sx={{ color: "text.secondary", width: 64, textAlign: "right" }}>
                  {figureOfPoint(own, key as LandmarkKey) > 1 ? "own" : "model"}
                </Box>
              </Box>
            ))}
          </Box>
        </Box>
      </Box>
    </Page>
  );
}

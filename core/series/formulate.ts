import { regionKeys, regionName } from "../anatomy/regions";
import { stemOf, techniqueOf } from "../techniques/library";
import type { Position, Technique } from "../techniques/technique";
import { LinearModel } from "./linear-model";
import { minutesOf, type PlanInput, type PlannedSession } from "./plan";
import { complaintNeed, helpsComplaint } from "./complaint";
import { solvedRange } from "./arc-minutes";
import {
  candidates,
  facing,
  isClosing,
  isGiven,
  isLeftOut,
  isLightBlock,
  isOpening,
  isRising,
  mostLightBlocks,
  neededCover,
  needsOpened,
  opensRegion,
  positionsIn,
  prepares,
  proneMinutesIn,
  proneOnly,
  regionsWorked,
  repeatsAllowed,
  rulebook,
  strongIn,
  tableMinutesIn,
  verdictIn,
  liesIn,
} from "./rulebook";
import { coverageItems, counted, loadCost, positionCostIn, slopePoints, slopes, totalLoad } from "./score";
import { sessionsOf } from "./course";
import { handPartName, handParts, loadOf } from "../techniques/hand-parts";
import { budgetIn } from "./hands";
import { leftMore, unevenCost } from "./wishes";

const positions: readonly Position[] = ["prone", "supine", "side", "seated"];

type Use = {
  technique: Technique;
  session: number;
  x: number;
  minutes: { L: number; R: number } | { mid: number };
};

export type Formulation = {
  model: LinearModel;
  uses: readonly Use[];
  /** Column of position `p` in session `s`. */
  position: (session: number, position: Position) => number;
  /** Column values of an existing plan, to start from. */
  startFrom: (sessions: readonly PlannedSession[]) => Float64Array;
};

/**
 * The series as a mixed-integer linear model: which techniques in which session (0/1), with how many minutes a side
 * (flexible between least and 1.25 × ideal), so that the score of `score.ts` is highest under the rules of
 * `rulebook.ts`. Both sides of a two-sided technique share one decision, so none is ever left one-sided.
 */
export function formulate(input: PlanInput): Formulation {
  const model = new LinearModel();
  const sessions = sessionsOf(input);
  const from = input.done.length;
  const uses: Use[] = [];
  const positionColumns = new Map<string, number>();
  const columnOf = (session: number, position: Position) => positionColumns.get(`${session} ${position}`)!;
  const parts = (use: Use): number[] => ("mid" in use.minutes ? [use.minutes.mid] : [use.minutes.L, use.minutes.R]);
  const timed = (use: Use, weight = 1) => parts(use).map((column) => [column, weight] as const);
  const locked = (session: number, key: string) =>
    input.locks.find((lock) => lock.session === session && lock.technique === key)?.kind;

  for (let s = from; s < sessions.length; s++) {
    for (const position of positions) {
      const open = positionsIn(s, input).includes(position) ? 1 : 0;
      positionColumns.set(`${s} ${position}`, model.column(-positionCostIn(input), 0, open, true));
    }
    for (const technique of candidates(input, s)) {
      const lock = locked(s, technique.key);
      if (isLeftOut(technique, s, input)) continue;
      const x = model.column(0, 0, 1, true);
      if (lock === "keep") model.row(1, 1, [[x, 1]], `session ${s + 1}: ${technique.name} is locked in`, "step");
      else if (isGiven(technique, s, input) && !isRising(technique))
        model.row(1, 1, [[x, 1]], `session ${s + 1}: ${technique.name} is part of its arc`, "step");
      const { sides, positions: places } = verdictIn(technique, s, input);
      const part = (side: "L" | "R" | "mid") => {
        const { least, most } = solvedRange(technique, s, input, side);
        const column = model.column(-loadCost * totalLoad(technique), 0, most);
        model.row(0, Infinity, [
          [column, 1],
          [x, -least],
        ]);
        model.row(-Infinity, 0, [
          [column, 1],
          [x, -most],
        ]);
        return column;
      };
      const none = () => model.column(0, 0, 0);
      const minutes = technique.sided
        ? { L: sides.L ? part("L") : none(), R: sides.R ? part("R") : none() }
        : { mid: part("mid") };
      uses.push({ technique, session: s, x, minutes });
      if (places.length > 0)
        model.row(-Infinity, 0, [[x, 1], ...places.map((place) => [columnOf(s, place), -1] as const)]);
    }
  }

  const inSession = (s: number, test: (technique: Technique) => boolean = () => true) =>
    uses.filter((use) => use.session === s && test(use.technique));

  // coverage: concave pieces per item
  for (const item of coverageItems(input)) {
    if (item.session !== undefined && item.session < from) continue;
    const given = counted(item, input.done);
    const pieces = slopePoints(item).map((points, i) => {
      const width = item.wanted / slopes.length;
      // what is already given fills the steep pieces first
      const left = Math.max(0, Math.min(width, (i + 1) * width - given));
      return model.column(points, 0, left);
    });
    const entries: [number, number][] = pieces.map((column) => [column, 1]);
    for (const use of uses) {
      if (item.session !== undefined && use.session !== item.session) continue;
      const dose = item.dose(use.technique);
      const share = item.when?.(use.session) ?? 1;
      if ("mid" in use.minutes) entries.push([use.minutes.mid, -dose.mid * share]);
      else entries.push([use.minutes.L, -dose.L * share], [use.minutes.R, -dose.R * share]);
    }
    model.row(-Infinity, 0, entries);
  }

  const dear = unevenCost(input);
  if (dear > 0) {
    // left − right = more − less, and either costs; what was worked before counts
    const [more, less] = [model.column(-dear, 0, Infinity), model.column(-dear, 0, Infinity)];
    const sides = uses.flatMap(({ minutes }): [number, number][] =>
      "mid" in minutes
        ? []
        : [
            [minutes.L, 1],
            [minutes.R, -1],
          ],
    );
    const before = leftMore(input.done);
    model.row(-before, -before, [...sides, [more, -1], [less, 1]]);
  }

  for (let s = from; s < sessions.length; s++) {
    const all = inSession(s);
    const place = `session ${s + 1}`;
    const count = (test: (technique: Technique) => boolean) => inSession(s, test).map((use) => [use.x, 1] as const);
    model.row(1, 1, count(isOpening), `${place}: one opening`, "step");
    model.row(1, 1, count(isRising), `${place}: rising slowly at the end`, "step");
    model.row(rulebook.closings.least, rulebook.closings.most, count(isClosing), `${place}: closing steps`, "step");
    model.row(0, mostLightBlocks(s, input), count(isLightBlock));
    model.row(
      0,
      rulebook.mostSteps,
      count(() => true),
    );
    const turns = positions.map((position) => [columnOf(s, position), rulebook.turn * liesIn(position)] as const);
    model.row(
      1,
      rulebook.mostPositions,
      positions.map((position) => [columnOf(s, position), 1] as const),
    );
    model.row(
      0,
      tableMinutesIn(s, input) + rulebook.turn,
      [...all.flatMap((use) => timed(use)), ...turns],
      `${place}: table time`,
      "min",
    );
    if (proneMinutesIn(s, input) < Infinity)
      model.row(
        0,
        proneMinutesIn(s, input),
        all.filter((use) => proneOnly(use.technique, s, input)).flatMap((use) => timed(use)),
        `${place}: time face down`,
        "min",
      );
    for (const part of handParts) {
      const most = budgetIn(part, s, input);
      if (!Number.isFinite(most)) continue;
      const load = all.flatMap((use) => timed(use, loadOf(use.technique, part)));
      model.row(0, most, load, `${place}: load on the ${handPartName[part].toLowerCase()}`, "load minutes");
    }
    const need = complaintNeed(s, input);
    if (input.complaintRegion && need > 0) {
      const region = input.complaintRegion;
      const entries = all.filter((use) => helpsComplaint(use.technique, input)).flatMap((use) => timed(use));
      model.row(
        need,
        Infinity,
        entries,
        `${place}: time for the complaint's own region (${regionName(region).toLowerCase()})`,
        "min",
      );
    }

    for (const use of all) {
      const regions = regionsWorked(use.technique);
      if (neededCover(use.technique) > 0)
        for (const region of regions) {
          const covers = inSession(s, (cover) => prepares(cover, use.technique, region));
          model.row(
            0,
            Infinity,
            [...covers.map((cover) => [cover.x, 1] as const), [use.x, -1]],
            `${place}: preparation of ${use.technique.name} in ${regionName(region).toLowerCase()}`,
            "step",
          );
        }
    }
    // deep work asks for outer work in earlier sessions: one gate for each region, so that the rows stay few
    for (const region of regionKeys) {
      const deep = inSession(s, (technique) => needsOpened(technique) && regionsWorked(technique).includes(region));
      if (deep.length === 0) continue;
      const gate = model.column(0, 0, 1);
      for (const use of deep)
        model.row(-Infinity, 0, [
          [use.x, 1],
          [gate, -1],
        ]);
      const earlier = uses.filter((use) => use.session < s && opensRegion(use.technique, region));
      const given = input.done
        .slice(0, s)
        .flatMap((session) => session.steps)
        .filter((step) => opensRegion(techniqueOf(step.technique), region))
        .reduce((sum, step) => sum + minutesOf(step.minutes), 0);
      model.row(
        -given,
        Infinity,
        [...earlier.flatMap((use) => timed(use)), [gate, -rulebook.opened]],
        `${place}: outer work in ${regionName(region).toLowerCase()} before going deep`,
        "min",
      );
    }
    for (const region of regionKeys) {
      const strong = inSession(s, (technique) => strongIn(technique, region));
      if (strong.length === 0) continue;
      if (s === from && input.done[s - 1]?.steps.some((step) => strongIn(techniqueOf(step.technique), region))) {
        for (const use of strong)
          model.row(0, 0, [[use.x, 1]], `${place}: rest for ${regionName(region).toLowerCase()}`, "step");
        continue;
      }
      const before = s > from ? inSession(s - 1, (technique) => strongIn(technique, region)) : [];
      if (before.length === 0) continue;
      const rest = model.column(0, 0, 1);
      for (const use of strong)
        model.row(-Infinity, 0, [
          [use.x, 1],
          [rest, -1],
        ]);
      for (const use of before)
        model.row(-Infinity, 1, [
          [use.x, 1],
          [rest, 1],
        ]);
    }
    if (s > from) {
      const entries = [...all, ...inSession(s - 1)].flatMap((use) => {
        const side = facing(use.technique);
        return side ? timed(use, side === "front" ? 1 : -1) : [];
      });
      const band = rulebook.frontBack * 2 * input.tableMinutes;
      model.row(-band, band, entries);
    }
  }

  const used = new Map<string, number>();
  for (const step of input.done.flatMap((session) => session.steps))
    used.set(stemOf(step.technique), (used.get(stemOf(step.technique)) ?? 0) + 1);
  const byTechnique = new Map<string, Use[]>();
  for (const use of uses) byTechnique.set(use.technique.stem, [...(byTechnique.get(use.technique.stem) ?? []), use]);
  for (const [stem, list] of byTechnique) {
    const most = Math.max(0, repeatsAllowed(list[0]!.technique, sessions.length) - (used.get(stem) ?? 0));
    if (list.length > most)
      model.row(
        0,
        most,
        list.map((use) => [use.x, 1] as const),
      );
  }

  return {
    model,
    uses,
    position: columnOf,
    startFrom: (plan) => {
      const values = new Float64Array(model.cost.length);
      plan.forEach((session, s) => {
        for (const step of session.steps) {
          const use = uses.find((each) => each.session === s && each.technique.key === step.technique);
          if (!use) continue;
          values[use.x] = 1;
          if ("mid" in use.minutes && "mid" in step.minutes) values[use.minutes.mid] = step.minutes.mid;
          else if (!("mid" in use.minutes) && !("mid" in step.minutes)) {
            values[use.minutes.L] = step.minutes.L;
            values[use.minutes.R] = step.minutes.R;
          }
          if (step.position && s >= from) values[columnOf(s, step.position)] = 1;
        }
      });
      return values;
    },
  };
}

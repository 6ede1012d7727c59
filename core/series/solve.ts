import type { Highs } from "highs";
import { seeded } from "../random";
import { techniqueOf } from "../techniques/catalogue";
import type { Technique } from "../techniques/technique";
import { formulate } from "./formulate";
import { greedyPlan } from "./greedy";
import { LinearModel } from "./linear-model";
import { orderSteps } from "./order";
import type { Plan, PlanInput, PlannedSession } from "./plan";
import { positionsIn, verdictIn, whyNot } from "./rulebook";
import { breaches } from "./rules";
import { topUp } from "./top-up";
import { coverageItems, delivered, scoreOf, worthOf } from "./score";

export type Limits = { seconds: number; gap: number; seed: number };
export const usualLimits: Limits = { seconds: 10, gap: 0.01, seed: 1 };

/** Share of the time that goes to the whole model, and how the rest is cut up. */
const wholeShare = 0.35;
const windowSize = 3;
const windowSeconds = 1.5;
const windowGap = 2e-4;

/** A rule that cannot hold together with the others, and by how much it would have to give. */
export type Conflict = { rule: string; by: number; unit: string };

export type Solved = { kind: "plan"; plan: Plan } | { kind: "impossible"; conflicts: Conflict[] };

/** Turns column values into a plan with ordered steps; undefined when no lawful order exists. */
function planFrom(
  input: PlanInput,
  formulation: ReturnType<typeof formulate>,
  values: ArrayLike<number>,
): PlannedSession[] | undefined {
  const sessions: PlannedSession[] = [...input.done];
  for (const { steps, allowed } of formulation.sessionsFrom(values)) {
    const s = sessions.length;
    const places = (technique: Technique) => verdictIn(technique, s, input).positions;
    const ordered = orderSteps(steps, allowed, places) ?? orderSteps(steps, positionsIn(s, input), places);
    if (!ordered) return undefined;
    sessions.push({ steps: ordered });
  }
  return breaches(input, sessions).length === 0 ? topUp(input, sessions) : undefined;
}

/** Locks on techniques a session cannot hold at all: no relaxing of rows would help, so they are named first. */
export function hopelessLocks(input: PlanInput): Conflict[] {
  return input.locks.flatMap((lock) => {
    if (lock.kind !== "keep") return [];
    const technique = techniqueOf(lock.technique);
    const no = whyNot(technique, lock.session, input);
    return no
      ? [
          {
            rule: `session ${lock.session + 1}: ${technique.name} is locked in, but ${no}`,
            by: 1,
            unit: "step",
          },
        ]
      : [];
  });
}

/**
 * Solves a series. `improved` is told every better plan as it is found, the first within milliseconds; the solver
 * runs until the gap to the proven bound is small or time is up. `now` is a clock in ms. Blocks its thread: call it
 * in a worker.
 */
export function solve(
  highs: Highs,
  input: PlanInput,
  now: () => number,
  limits: Limits = usualLimits,
  improved: (plan: Plan) => void = () => undefined,
): Solved {
  const hopeless = hopelessLocks(input);
  if (hopeless.length > 0) return { kind: "impossible", conflicts: hopeless };
  let best: Plan | undefined;
  let bound: number | undefined;
  const offer = (sessions: PlannedSession[] | undefined) => {
    if (!sessions) return;
    const score = scoreOf(input, sessions);
    if (best && score <= best.score + 1e-9) return;
    best = { sessions, score, ...(bound === undefined ? {} : { bound }) };
    improved(best);
  };
  const started = now();
  const left = () => limits.seconds - (now() - started) / 1000;
  const start = greedyPlan(input);
  offer(start);

  const formulation = formulate(input);
  const { model } = formulation;
  const fixedScore = constantScore(input);
  const { callbackType, modelStatus, objectiveSense } = highs.constants;
  const run = highs.createModel({ ...model.arrays(), sense: objectiveSense.maximize });
  try {
    run.options.set({ output_flag: false, random_seed: limits.seed, mip_rel_gap: limits.gap });
    let values: Float64Array | undefined;
    let reached = -Infinity;
    /** Runs the model as it is bounded now, from the best values so far. Returns the status and the proven bound. */
    const attempt = (seconds: number) => {
      run.zeroAllClocks();
      run.options.set("time_limit", Math.max(0.1, seconds));
      if (values) run.setSolution({ colValue: values });
      const { modelStatus: status } = run.run({
        [callbackType.mipImprovingSolution](event) {
          const found = event.data.mip_solution;
          if (found && (event.data.objective_function_value ?? -Infinity) > reached) keep(found);
          return undefined;
        },
      });
      return { status, dual: Number(run.info.get("mip_dual_bound")) };
    };
    const keep = (found: Float64Array) => {
      reached = found.reduce((sum, value, i) => sum + value * model.cost[i]!, 0);
      values = found;
      offer(planFrom(input, formulation, found));
    };

    // First the whole series, for a bound that is proven …
    if (start) values = formulation.startFrom(start);
    const whole = attempt(Math.max(0.3, left() * wholeShare));
    if (whole.status === modelStatus.infeasible || whole.status === modelStatus.unboundedOrInfeasible)
      return { kind: "impossible", conflicts: conflictsOf(highs, model, limits) };
    if (Number.isFinite(whole.dual)) bound = whole.dual + fixedScore;
    // … then a few sessions at a time, the choice of steps in the others held: small models that finish.
    // A window moves little of the whole score: it must not be called finished by the gap of the whole.
    run.options.set("mip_rel_gap", windowGap);
    const open = [...new Set(formulation.uses.map((use) => use.session))];
    const random = seeded(limits.seed);
    const closeEnough = () => best && bound !== undefined && best.score >= bound * (1 - limits.gap);
    for (let round = 0; values && left() > 0.2 && !closeEnough() && open.length > windowSize; round++) {
      const held = values;
      const first = round < open.length ? (round * 2) % open.length : Math.floor(random.uniform() * open.length);
      const window = new Set(
        Array.from({ length: windowSize }, (_, i) =>
          // neighbours at first, later any sessions together
          round < open.length * 2 || i === 0
            ? open[(first + i) % open.length]!
            : open[Math.floor(random.uniform() * open.length)]!,
        ),
      );
      for (const use of formulation.uses) {
        const fixed = held[use.x]! > 0.5 ? 1 : 0;
        run.changeColBounds(use.x, window.has(use.session) ? 0 : fixed, window.has(use.session) ? 1 : fixed);
      }
      attempt(Math.min(left(), windowSeconds));
    }
    offer(values && planFrom(input, formulation, values));
  } finally {
    run.dispose();
  }
  if (!best)
    return {
      kind: "impossible",
      conflicts: [{ rule: "no plan was found in the time given", by: limits.seconds, unit: "s" }],
    };
  return {
    kind: "plan",
    plan: { ...best, ...(bound === undefined ? {} : { bound: Math.max(bound, best.score) }) },
  };
}

/** What sessions already done have earned: the model only counts what is still to come. */
function constantScore(input: PlanInput): number {
  return coverageItems(input).reduce(
    (sum, item) => sum + item.points * worthOf(delivered(item, input.done) / item.wanted),
    0,
  );
}

/**
 * Which rules contradict each other, and by how much: every named row may give way at a price relative to its size,
 * and the cheapest way out is what has to change.
 */
function conflictsOf(highs: Highs, model: LinearModel, limits: Limits): Conflict[] {
  const elastic = new LinearModel();
  for (let i = 0; i < model.cost.length; i++) elastic.column(0, model.lower[i]!, model.upper[i]!, model.integer[i]!);
  const slacks: { column: number; rule: string; unit: string }[] = [];
  for (const row of model.rows) {
    const entries: [number, number][] = [...row.entries];
    if (row.rule) {
      const size = Math.max(1, Number.isFinite(row.high) ? Math.abs(row.high) : Math.abs(row.low));
      for (const sign of [1, -1]) {
        if (!Number.isFinite(sign > 0 ? row.low : row.high)) continue;
        const column = elastic.column(-1 / size, 0, 1e4);
        entries.push([column, sign]);
        slacks.push({ column, rule: row.rule, unit: row.unit });
      }
    }
    elastic.row(row.low, row.high, entries);
  }
  const run = highs.createModel({ ...elastic.arrays(), sense: highs.constants.objectiveSense.maximize });
  try {
    run.options.set({
      output_flag: false,
      time_limit: Math.min(5, limits.seconds),
      random_seed: limits.seed,
      mip_rel_gap: 0.05,
    });
    run.run();
    const values = run.getSolution().colValue;
    return slacks
      .map(({ column, rule, unit }) => ({ rule, unit, by: Math.round((values?.[column] ?? 0) * 10) / 10 }))
      .filter((conflict) => conflict.by >= 0.1)
      .sort((a, b) => b.by - a.by);
  } finally {
    run.dispose();
  }
}

import type { Highs } from "highs";
import { techniqueOf } from "../techniques/library";
import { formulate } from "./formulate";
import { LinearModel } from "./linear-model";
import type { PlanInput } from "./plan";
import { emptyArc } from "./arc-minutes";
import { whyNot } from "./rulebook";
import { scoreOf } from "./score";
import { sessionsOf } from "./course";

/** A rule that cannot hold together with the others, and by how much it would have to give. */
export type Conflict = { rule: string; by: number; unit: string };

/** What the exact model says: no plan can score more than `bound`, or none is possible at all. */
export type Proof = { kind: "bound"; bound: number } | { kind: "impossible"; conflicts: Conflict[] } | { kind: "none" };

export type ProofLimits = { seconds: number; seed: number };
export const usualProof: ProofLimits = { seconds: 4, seed: 1 };

/**
 * What no relaxing of rows would help, so it is named first: locks on techniques a session cannot hold at all, and sessions
 * of an arc of which cautions leave nothing to be worked.
 */
export function hopeless(input: PlanInput): Conflict[] {
  const locks = input.locks.flatMap((lock) => {
    if (lock.kind !== "keep") return [];
    const technique = techniqueOf(lock.technique);
    const no = whyNot(technique, lock.session, input);
    return no
      ? [{ rule: `session ${lock.session + 1}: ${technique.name} is locked in, but ${no}`, by: 1, unit: "step" }]
      : [];
  });
  const sessions = sessionsOf(input);
  const arcs = sessions.flatMap((_, s) => {
    const no = s < input.done.length ? undefined : emptyArc(s, input);
    return no ? [{ rule: `session ${s + 1}: ${no}`, by: 1, unit: "step" }] : [];
  });
  return [...locks, ...arcs];
}

/**
 * Proves how good a plan can be at most, or names the rules that contradict each other, by the exact model
 * (`formulate.ts`) and branch and bound. `told` hears every lower bound as it is proven. The longer it may take, the
 * lower the bound; it is valid at any time. Blocks its thread: call it in a worker.
 */
export function prove(
  highs: Highs,
  input: PlanInput,
  limits: ProofLimits = usualProof,
  told: (bound: number) => void = () => undefined,
): Proof {
  const conflicts = hopeless(input);
  if (conflicts.length > 0) return { kind: "impossible", conflicts };
  const { model } = formulate(input);
  // the model only counts what is still to come
  const fixed = scoreOf(input, input.done);
  const { callbackType, modelStatus, objectiveSense } = highs.constants;
  const run = highs.createModel({ ...model.arrays(), sense: objectiveSense.maximize });
  try {
    run.options.set({ output_flag: false, random_seed: limits.seed, mip_rel_gap: 1e-3, time_limit: limits.seconds });
    let lowest = Infinity;
    const { modelStatus: status } = run.run({
      [callbackType.mipLogging](event) {
        const dual = Number(event.data.mip_dual_bound);
        if (Number.isFinite(dual) && dual < lowest - 1e-6) told((lowest = dual) + fixed);
        return undefined;
      },
    });
    if (status === modelStatus.infeasible || status === modelStatus.unboundedOrInfeasible)
      return { kind: "impossible", conflicts: conflictsOf(highs, model, limits) };
    const dual = Number(run.info.get("mip_dual_bound"));
    return Number.isFinite(dual) ? { kind: "bound", bound: dual + fixed } : { kind: "none" };
  } finally {
    run.dispose();
  }
}

/**
 * Which rules contradict each other, and by how much: every named row may give way at a price relative to its size,
 * and the cheapest way out is what has to change.
 */
function conflictsOf(highs: Highs, model: LinearModel, limits: ProofLimits): Conflict[] {
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

import glpkFactory from "glpk.js/node";
import loadHighs, { type Highs } from "highs";
import { exampleInput, smallInput } from "../test/plan-inputs";
import { explainable } from "../test/explainable";
import { techniqueOf } from "../techniques/catalogue";
import { formulate } from "./formulate";
import { greedyPlan } from "./greedy";
import { LinearModel } from "./linear-model";
import { minutesOf, sessionMinutes, type PlanInput } from "./plan";
import { breaches } from "./rules";
import { scoreOf, worthOf } from "./score";
import { topUp } from "./top-up";
import { hopelessLocks, solve, type Solved } from "./solve";
import { targetsServed, whyStep, withoutStep } from "./explain";

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});
const clock = () => performance.now();
const planOf = (solved: Solved) => {
  if (solved.kind !== "plan") throw new Error(JSON.stringify(solved.conflicts));
  return solved.plan;
};

/** Maximises a model with HiGHS. */
function withHighs(model: LinearModel) {
  const run = highs.createModel({ ...model.arrays(), sense: highs.constants.objectiveSense.maximize });
  run.options.set({ output_flag: false, mip_rel_gap: 1e-7 });
  run.run();
  const result = { objective: run.getObjectiveValue(), values: [...run.getSolution().colValue] };
  run.dispose();
  return result;
}

/** The same with GLPK, an unrelated solver. */
async function withGlpk(model: LinearModel): Promise<number> {
  const glpk = await glpkFactory();
  const bound = (low: number, high: number) =>
    low === high
      ? { type: glpk.GLP_FX, lb: low, ub: high }
      : Number.isFinite(low)
        ? Number.isFinite(high)
          ? { type: glpk.GLP_DB, lb: low, ub: high }
          : { type: glpk.GLP_LO, lb: low, ub: 0 }
        : { type: glpk.GLP_UP, lb: 0, ub: high };
  const name = (i: number) => `x${i}`;
  const solved = glpk.solve(
    {
      name: "model",
      objective: {
        direction: glpk.GLP_MAX,
        name: "score",
        vars: model.cost.map((coef, i) => ({ name: name(i), coef })),
      },
      subjectTo: model.rows
        .filter((row) => row.entries.length > 0)
        .map((row, i) => ({
          name: `r${i}`,
          vars: row.entries.map(([column, coef]) => ({ name: name(column), coef })),
          bnds: bound(row.low, row.high),
        })),
      bounds: model.cost.map((_, i) => ({ name: name(i), ...bound(model.lower[i]!, model.upper[i]!) })),
      generals: model.integer.flatMap((is, i) => (is ? [name(i)] : [])),
    },
    { msglev: glpk.GLP_MSG_OFF, tmlim: 60, mipgap: 1e-6 },
  );
  return solved.result.z;
}

describe("the solver against the outside", () => {
  /** 0/1 knapsack from Kreher & Stinson, Combinatorial Algorithms (1999), from memory: capacity 165, optimum 309. */
  it("finds the optimum of Kreher & Stinson's knapsack, items 1–4 and 6", async () => {
    const weights = [23, 31, 29, 44, 53, 38, 63, 85, 89, 82];
    const profits = [92, 57, 49, 68, 60, 43, 67, 84, 87, 72];
    const model = new LinearModel();
    const items = profits.map((profit) => model.column(profit, 0, 1, true));
    model.row(
      0,
      165,
      items.map((item, i) => [item, weights[i]!] as const),
    );
    const { objective, values } = withHighs(model);
    expect(objective).toBeCloseTo(309, 6);
    expect(values.map((value) => Math.round(Math.abs(value)))).toEqual([1, 1, 1, 1, 0, 1, 0, 0, 0, 0]);
    expect(await withGlpk(model)).toBeCloseTo(309, 6);
  });

  it("agrees with a second solver on the relaxed plan of three sessions", async () => {
    const { model } = formulate(smallInput);
    const relaxed = new LinearModel();
    model.cost.forEach((cost, i) => relaxed.column(cost, model.lower[i]!, model.upper[i]!));
    for (const row of model.rows) relaxed.row(row.low, row.high, row.entries);
    const [one, two] = [withHighs(relaxed).objective, await withGlpk(relaxed)];
    expect(one).toBeGreaterThan(10);
    expect(two).toBeCloseTo(one, 4);
  });

  it("agrees with a second solver on a small integer plan", async () => {
    const tight: PlanInput = {
      ...smallInput,
      targets: smallInput.targets.slice(0, 1),
      tableMinutes: 14,
      complaintRegion: null,
    };
    const formulation = formulate(tight);
    // only the first session's choices stay open: small enough for both solvers to finish
    for (const use of formulation.uses)
      if (use.session > 0 && !/rise|settle|head-cradle/.test(use.technique.key)) formulation.model.upper[use.x] = 0;
    const one = withHighs(formulation.model).objective;
    expect(await withGlpk(formulation.model)).toBeCloseTo(one, 3);
  });
});

describe("solving a series", () => {
  it("offers a usable plan at once, then better ones, and keeps every rule", () => {
    const offered: number[] = [];
    const plan = planOf(
      // long enough for a first bound on a busy machine; what it finds by then is not what is tested
      solve(highs, exampleInput, clock, { seconds: 12, gap: 0.02, seed: 1 }, (better) => offered.push(better.score)),
    );
    expect(breaches(exampleInput, plan.sessions)).toEqual([]);
    expect([...offered].sort((a, b) => a - b)).toEqual(offered);
    expect(plan.score).toBeCloseTo(scoreOf(exampleInput, plan.sessions), 9);
    expect(plan.score).toBeGreaterThan(scoreOf(exampleInput, greedyPlan(exampleInput)!) - 1e-9);
    expect(plan.bound!).toBeGreaterThanOrEqual(plan.score);
    for (const session of plan.sessions) expect(sessionMinutes(session)).toBeLessThanOrEqual(70);
  });

  it("gives the same plan for the same input when it finishes by gap", () => {
    const run = () => planOf(solve(highs, smallInput, clock, { seconds: 60, gap: 0.06, seed: 3 }));
    expect(run().sessions).toEqual(run().sessions);
  });

  it("respects what is locked in, left out and already done", () => {
    const first = planOf(solve(highs, smallInput, clock, { seconds: 4, gap: 0.05, seed: 1 }));
    const dropped = first.sessions[1]!.steps.find((step) => techniqueOf(step.technique).phase === "work")!.technique;
    const locked: PlanInput = {
      ...smallInput,
      done: [first.sessions[0]!],
      locks: [
        { session: 2, technique: "node-sweep", kind: "keep" },
        { session: 1, technique: dropped, kind: "leave-out" },
      ],
    };
    const plan = planOf(solve(highs, locked, clock, { seconds: 4, gap: 0.05, seed: 1 }));
    expect(plan.sessions[0]).toEqual(first.sessions[0]);
    expect(plan.sessions[2]!.steps.map((step) => step.technique)).toContain("node-sweep");
    expect(plan.sessions[1]!.steps.map((step) => step.technique)).not.toContain(dropped);
    expect(breaches(locked, plan.sessions)).toEqual([]);
  });

  it("says which rule cannot hold and by how much", () => {
    const solved = solve(highs, { ...smallInput, tableMinutes: 6 }, clock, {
      seconds: 5,
      gap: 0.05,
      seed: 1,
    });
    expect(solved.kind).toBe("impossible");
    if (solved.kind !== "impossible") return;
    expect(solved.conflicts.map((conflict) => conflict.rule).join()).toMatch(/table time|complaint|closing|opening/);
    expect(solved.conflicts[0]!.by).toBeGreaterThan(0);
  });

  it("names a lock that no relaxing would help", () => {
    const input: PlanInput = {
      ...exampleInput,
      locks: [{ session: 0, technique: "rotator-sink", kind: "keep" }],
    };
    expect(hopelessLocks(input)[0]!.rule).toMatch(/Hip rotators is locked in, but it works deeper than session 1/);
    expect(solve(highs, input, clock).kind).toBe("impossible");
  });
});

describe("score and explanation", () => {
  it("is worth less and less the more is given, and nothing beyond what is wanted", () => {
    expect(worthOf(0)).toBe(0);
    expect(worthOf(1)).toBeCloseTo(1, 12);
    expect(worthOf(3)).toBeCloseTo(1, 12);
    expect(worthOf(1 / 3) - worthOf(0)).toBeGreaterThan(worthOf(2 / 3) - worthOf(1 / 3));
  });

  it("says for every step why it is there, and what leaving it out costs", () => {
    const plan = greedyPlan(exampleInput)!;
    plan.forEach((session, s) =>
      session.steps.forEach((step) => {
        const reasons = whyStep(exampleInput, plan, s, step);
        expect({ step: step.technique, reasons, ok: explainable(reasons) }).toMatchObject({ ok: true });
        expect(withoutStep(exampleInput, plan, s, step).points).toBeGreaterThan(-1);
      }),
    );
    const served = targetsServed(exampleInput, plan);
    expect(served).toHaveLength(exampleInput.targets.length);
    expect(served.every(({ given, share }) => given >= 0 && share <= 1)).toBe(true);
  });

  it("gives spare half minutes to where they are worth most, and breaks no rule by it", () => {
    const short = greedyPlan(exampleInput)!.map((session) => ({
      steps: session.steps.map((step) => {
        const { least } = techniqueOf(step.technique).minutes;
        const less = (minutes: number) => Math.max(least, minutes - 0.5);
        const { minutes } = step;
        return {
          ...step,
          minutes: "mid" in minutes ? { mid: less(minutes.mid) } : { L: less(minutes.L), R: less(minutes.R) },
        };
      }),
    }));
    const lawful = topUp(exampleInput, short);
    expect(scoreOf(exampleInput, lawful)).toBeGreaterThan(scoreOf(exampleInput, short));
    for (const session of lawful) expect(sessionMinutes(session)).toBeLessThanOrEqual(exampleInput.tableMinutes);
    expect(topUp(exampleInput, lawful)).toEqual(lawful);
  });

  it("counts every minute of a session once", () => {
    const session = greedyPlan(smallInput)![0]!;
    expect(sessionMinutes(session)).toBe(session.steps.reduce((sum, step) => sum + minutesOf(step.minutes), 0));
  });
});

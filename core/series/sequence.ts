import type { Target } from "../reading/target";
import type { PlanInput, PlannedSession } from "./plan";
import { coverageItems, doseOfStep, worthOf } from "./score";

/** How the usual order of one pattern fares in a plan. */
export type SequenceKept = {
  pattern: string;
  name: string;
  /** As it is said: "Front of the thigh before low back." */
  order: string;
  /** Sessions (from 1) around which work on the first and on the others lies, weighed by minutes that serve. */
  first: number;
  then: number;
  kept: boolean;
};

/** Points that the plan is worth less because work lies earlier or later than the wish would have it. */
export function sequencePrice(input: PlanInput, sessions: readonly PlannedSession[]): number {
  let price = 0;
  for (const item of coverageItems(input)) {
    if (!item.when) continue;
    let [plain, wished] = [0, 0];
    sessions.forEach(({ steps }, s) => {
      const dose = steps.reduce((sum, step) => sum + doseOfStep(step, item), 0);
      plain += dose;
      wished += dose * item.when!(s);
    });
    price += item.points * (worthOf(plain / item.wanted) - worthOf(wished / item.wanted));
  }
  return price;
}

/** For each order that the targets speak of, whether the plan follows it; orders that nothing is planned for are left out. */
export function sequencesIn(input: PlanInput, sessions: readonly PlannedSession[]): SequenceKept[] {
  const items = new Map(coverageItems(input).map((item) => [item.id, item]));
  const around = (targets: readonly Target[]): number => {
    let [minutes, weighed] = [0, 0];
    for (const { id } of targets) {
      const item = items.get(`target ${id}`);
      if (!item) continue;
      sessions.forEach(({ steps }, s) => {
        const dose = steps.reduce((sum, step) => sum + doseOfStep(step, item), 0);
        minutes += dose;
        weighed += dose * (s + 1);
      });
    }
    return minutes > 0 ? weighed / minutes : NaN;
  };
  const orders = new Map(
    input.targets.flatMap(({ sequence = [] }) => sequence.map((placed) => [placed.pattern, placed] as const)),
  );
  return [...orders.values()].flatMap(({ pattern, name, order }): SequenceKept[] => {
    const of = (when: "first" | "then") =>
      around(
        input.targets.filter(({ sequence }) =>
          sequence?.some((each) => each.pattern === pattern && each.when === when),
        ),
      );
    const [first, then] = [of("first"), of("then")];
    return Number.isNaN(first) || Number.isNaN(then)
      ? []
      : [{ pattern, name, order, first, then, kept: first <= then }];
  });
}

import { screen } from "../core/screening/screen";
import { sessionDays } from "../core/series/dates";
import type { PlanInput } from "../core/series/plan";
import { solve } from "../core/series/solve";
import { structures } from "../core/anatomy/structures";
import { seeded } from "../core/random";
import { entryOf, factsOf } from "../core/test/facts";
import { exampleInput, smallInput } from "../core/test/plan-inputs";

const days = sessionDays([], { startOn: "2026-11-25", intervalDays: 10 }, 10);
const cautionsFrom = (...entries: Parameters<typeof entryOf>[]) =>
  screen(factsOf({ history: entries.map((each) => entryOf(...each)) }));

/** Targets drawn by chance among the structures hands can reach. */
function manyTargets(count: number): PlanInput["targets"] {
  const random = seeded(18);
  const soft = structures.filter(({ layer }) => layer !== "AR");
  return Array.from({ length: count }, (_, i) => {
    const structure = soft[Math.floor(random.uniform() * soft.length)]!;
    return {
      id: `t${i}`,
      name: structure.name,
      structures: [structure.key],
      region: structure.region,
      layer: structure.layer,
      side: (["L", "R", "both"] as const)[Math.floor(random.uniform() * 3)]!,
      weight: 1 + Math.round(4 * random.uniform()) / 2,
      wanted: 8 + Math.round(12 * random.uniform()),
      because: `${structure.name}.`,
    };
  });
}

/** Series as unlike each other as practice brings them, for the bench and for nothing else. */
export function planInstances(): [string, PlanInput][] {
  const half = solve(exampleInput, { seed: 1, moves: 20_000 })!.sessions.slice(0, 5);
  return [
    ["the example: ten sessions, eight targets", exampleInput],
    [
      "18 targets, thumb budget 15, 55 minutes",
      { ...exampleInput, targets: manyTargets(18), thumbBudget: 15, tableMinutes: 55 },
    ],
    [
      "osteoporosis and pregnancy",
      { ...exampleInput, days, cautions: cautionsFrom(["osteoporosis"], ["pregnancy", { on: "2027-03-14" }]) },
    ],
    [
      "five of ten done, three locks",
      {
        ...exampleInput,
        done: half,
        locks: [
          { session: 5, technique: "rotator-sink", kind: "keep" },
          { session: 6, technique: "neck-fold", kind: "leave-out" },
          { session: 8, technique: "crest-follow", kind: "keep" },
        ],
      },
    ],
    ["30 minutes at the table", { ...exampleInput, tableMinutes: 30 }],
    ["160 minutes at the table", { ...exampleInput, tableMinutes: 160 }],
    ["three sessions", smallInput],
    ["three sessions, 18 targets, 45 minutes", { ...smallInput, targets: manyTargets(18), tableMinutes: 45 }],
    [
      "blood thinner, new left knee, reflux; pressure up to 3",
      {
        ...exampleInput,
        days,
        pressureCeiling: 3,
        cautions: cautionsFrom(["anticoagulant"], ["joint-replacement", { region: "leg", side: "L" }], ["reflux"]),
      },
    ],
  ];
}

import { conditions } from "./screening/conditions";
import { screen } from "./screening/screen";
import { usualPreferences, usualSchool } from "./screening/facts";
import { greedyPlan } from "./series/greedy";
import { regionKeys } from "./anatomy/regions";
import { exampleInput } from "./test/plan-inputs";
import { sessionDays } from "./series/dates";
const today = "2026-11-25";
let n = 0,
  bad = 0;
const list: string[] = [];
for (const condition of conditions) {
  const entry = (region: any) => ({
    id: "e",
    kind: condition.kind,
    condition: condition.key,
    words: "x",
    when: { said: "", earliest: "2026-11-10", latest: "2026-11-10" },
    region,
    side: "L" as const,
    answer: null,
    status: "open" as const,
    endedOn: null,
    at: "",
  });
  for (const place of condition.place === "ask" ? ["low-back", "chest"] : [condition.place ?? null]) {
    const cautions = screen({
      born: null,
      history: [entry(place)],
      answers: [],
      preferences: usualPreferences,
      school: usualSchool,
    });
    if (cautions.some((c) => c.kind === "refer")) continue;
    for (const complaintRegion of ["chest", "low-back", "neck"] as const)
      for (const pressureCeiling of [3]) {
        n++;
        if (n % 20 === 0) console.log(n);
        const input = {
          ...exampleInput,
          cautions,
          complaintRegion,
          pressureCeiling,
          days: sessionDays([], { startOn: today, intervalDays: 10 }, 10),
        };
        if (!greedyPlan(input)) {
          bad++;
          console.log(`${condition.key}@${place} / ${complaintRegion} / ${pressureCeiling}`);
        }
      }
  }
}
console.log(n, bad);
console.log(list.join("\n"));

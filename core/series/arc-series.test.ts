import loadHighs, { type Highs } from "highs";
import { arcSteps, listeningAgain, listeningFirst, partsOfForm } from "../light-touch/arc-steps";
import type { Outcome } from "../screening/outcome";
import { exampleInput } from "../test/plan-inputs";
import { arcMinutes } from "./arc-minutes";
import { edited } from "./edit";
import { sessionMinutes, type PlanInput, type PlannedSession } from "./plan";
import { prove } from "./prove";
import { violations } from "./rules";
import { solve } from "./solve";
import { templateOf, templates } from "./template";

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

const effort = { seed: 1, moves: 500 };
const arcs = templates.filter(({ sessions }) => sessions.every(({ arc }) => arc));
const inputFor = (template: string, change: Partial<PlanInput> = {}): PlanInput => ({
  ...exampleInput,
  template,
  days: [],
  locks: [],
  done: [],
  ...change,
});
const keys = (session: PlannedSession) => session.steps.map(({ technique }) => technique);
/** After a needle in the spine last week. */
const puncture: Outcome = {
  key: "lumbar-puncture cranial",
  kind: "exclude",
  title: "Lumbar puncture",
  reason: "It waits for the doctor's clearance.",
  scope: { tags: ["cranial"] },
  origin: "history",
};

describe("a series that is the light-touch arc", () => {
  it.each(arcs.map(({ key }) => key))("%s keeps the arc's order, listens first and again, and every rule", (key) => {
    const input = inputFor(key);
    const plan = solve(input, effort)!;
    expect(violations(input, plan.sessions)).toEqual([]);
    plan.sessions.forEach((session, s) => {
      const own = partsOfForm(templateOf(key).sessions[s]!.arc!).map(({ technique }) => technique);
      expect(keys(session)).toEqual([...own, "rise-slowly"]);
      expect(own[0]).toBe(listeningFirst);
      expect(own.at(-1)).toBe(listeningAgain);
      expect(new Set(session.steps.map(({ position }) => position))).toEqual(new Set(["supine"]));
      // all of the time there is, or all that the holds usually take
      const most = partsOfForm(templateOf(key).sessions[s]!.arc!).reduce((sum, { minutes }) => sum + minutes.most, 2);
      expect(sessionMinutes(session)).toBe(Math.min(input.tableMinutes, most));
    });
    // over its visits nothing of the arc is missing, and its work is in the arc's order
    const techniques = arcSteps.flatMap(({ holds }) => holds.map(({ technique }) => technique));
    const work = plan.sessions.flatMap(keys).filter((technique) => techniques.includes(technique));
    const once = [...new Set(techniques)];
    expect([...new Set(work)].filter((each) => each !== "lt-occiput-still")).toEqual(
      once.filter((each) => each !== "lt-occiput-still"),
    );
  });

  it("shares its time in proportion to what each hold may take, to the half minute", () => {
    // 40 min less 3 + 2 + 5 + 3 + 3 + 2 at least: 22 of the 24 min that the holds may take more
    const dealt = arcMinutes(2, inputFor("arc-3", { tableMinutes: 40 }))!;
    expect(Object.fromEntries(dealt)).toEqual({
      "lt-listen": 3,
      "lt-sphenoid": 5.5,
      "lt-temporals": 19,
      "lt-occiput-still": 7.5,
      "lt-listen-again": 3,
      "rise-slowly": 2,
    });
  });

  it("is no plan without the last comparison, nor in another order", () => {
    const input = inputFor("arc-3");
    const { sessions } = solve(input, effort)!;
    const without = edited(input, sessions, { kind: "remove", technique: listeningAgain, session: 1 });
    expect(violations(input, without).map(({ sentence }) => sentence)).toContain(
      "Session 2: listening again is missing: without it nothing can be compared.",
    );
    const turned = sessions.map((session, s) => (s === 1 ? { steps: [...session.steps].reverse() } : session));
    expect(violations(input, turned).some(({ rule }) => rule === "arc")).toBe(true);
    const foreign = edited(input, sessions, { kind: "add", technique: "lt-sphenoid", session: 0 });
    expect(violations(input, foreign).map(({ sentence }) => sentence)).toContain(
      "Session 1: Sphenoid back and forward cannot be used: it is no part of the arc in session 1 (Sheets).",
    );
    // listening cannot be left out by a lock either; a hold can
    const locked = inputFor("arc-3", {
      locks: [
        { session: 0, technique: listeningAgain, kind: "leave-out" },
        { session: 1, technique: "lt-parietals", kind: "leave-out" },
      ],
    });
    const plan = solve(locked, effort)!;
    expect(keys(plan.sessions[0]!)).toContain(listeningAgain);
    expect(keys(plan.sessions[1]!)).not.toContain("lt-parietals");
  });

  it("plans no cranial work after a lumbar puncture: what is left is planned, and where nothing is, it is said why", async () => {
    const two = inputFor("arc-1", { cautions: [puncture] });
    const plan = solve(two, effort)!;
    expect(keys(plan.sessions[0]!)).toEqual([listeningFirst, "lt-sheets", "lt-sacrum", listeningAgain, "rise-slowly"]);
    expect(violations(two, plan.sessions)).toEqual([]);
    const three = inputFor("arc-3", { cautions: [puncture] });
    expect(solve(three, effort)).toBeUndefined();
    expect(prove(highs, three)).toMatchObject({
      kind: "impossible",
      conflicts: [{ rule: expect.stringMatching(/^session 3: nothing of its arc is left.*lumbar puncture/) }],
    });
  });

  it("proves its own bound, and nothing it plans passes it", () => {
    const input = inputFor("arc-3");
    const proof = prove(highs, input, { seconds: 3, seed: 1 });
    const plan = solve(input, effort)!;
    if (proof.kind !== "bound") throw new Error(proof.kind);
    expect(plan.score).toBeLessThanOrEqual(proof.bound + 1e-6);
    expect(plan.score).toBeGreaterThan(0.98 * proof.bound);
  });

  it("names the table's time where the least of its holds does not fit", () => {
    const proof = prove(highs, inputFor("arc-1", { tableMinutes: 20 }), { seconds: 3, seed: 1 });
    expect(proof).toMatchObject({ kind: "impossible" });
    expect(JSON.stringify(proof)).toMatch(/table time/);
  });
});

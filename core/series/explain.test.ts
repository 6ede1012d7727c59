import { structureOf } from "../anatomy/structures";
import { techniqueOf } from "../techniques/library";
import { cautionsOn, entryOf } from "../test/facts";
import { exampleInput, smallInput } from "../test/plan-inputs";
import { cautionsOnStep, heldBack, targetsServed, whyStep, withoutStep } from "./explain";
import { quickPlan } from "../test/quick-plan";
import type { Lock, PlanInput, Step } from "./plan";
import { isClosing, isOpening, isRising } from "./rulebook";
import { violations } from "./rules";
import { scoreOf } from "./score";

const plan = quickPlan(exampleInput)!;
const every = plan.flatMap((session, s) => session.steps.map((step) => ({ s, step })));

describe("why a step is there", () => {
  it("has an answer for every step of every session, in whole sentences", () => {
    for (const { s, step } of every) {
      const reasons = whyStep(exampleInput, plan, s, step);
      expect(reasons.length).toBeGreaterThan(0);
      for (const reason of reasons) expect(reason).toMatch(/^[A-Z].*\.$/);
      expect(new Set(reasons).size).toBe(reasons.length);
    }
  });

  it("names what opens, closes and lets the client rise", () => {
    for (const { s, step } of every) {
      const technique = techniqueOf(step.technique);
      const [first] = whyStep(exampleInput, plan, s, step);
      if (isOpening(technique)) expect(first).toMatch(/opens the session/);
      else if (isRising(technique)) expect(first).toMatch(/ends with rising slowly/);
      else if (isClosing(technique)) expect(first).toMatch(/closes the session/);
    }
  });

  it("puts the practitioner's own lock first", () => {
    const { s, step } = every[3]!;
    const locks: Lock[] = [{ session: s, technique: step.technique, kind: "keep" }];
    expect(whyStep({ ...exampleInput, locks }, plan, s, step)[0]).toBe("You locked it in.");
  });

  it("says for which target, how many minutes here, and how many of those wanted in all", () => {
    const said = every.flatMap(({ s, step }) => whyStep(exampleInput, plan, s, step));
    for (const target of exampleInput.targets)
      expect(
        said.some(
          (reason) =>
            reason.startsWith(`${target.because} It gets `) && reason.includes(`of the ${target.wanted} min wanted`),
        ),
      ).toBe(true);
  });

  it("says that the complaint is touched every session, and only where there is one", () => {
    const of = (input: PlanInput) => every.flatMap(({ s, step }) => whyStep(input, plan, s, step));
    expect(of(exampleInput)).toContain("The complaint's own region, low back, gets some work every session.");
    expect(of({ ...exampleInput, complaintRegion: null }).some((reason) => reason.includes("complaint"))).toBe(false);
  });
});

describe("what leaving a step out would cost", () => {
  it("is the difference of the two scores", () => {
    for (const { s, step } of every.slice(0, 40)) {
      const without = plan.map((session, i) =>
        i === s ? { steps: session.steps.filter((other) => other.technique !== step.technique) } : session,
      );
      expect(withoutStep(exampleInput, plan, s, step).points).toBeCloseTo(
        scoreOf(exampleInput, plan) - scoreOf(exampleInput, without),
        9,
      );
    }
  });

  it("names what would stand unprepared, and nothing that something else prepares", () => {
    const session = {
      steps: ["settle-touch", "belly-skin-lift", "oblique-slide", "rise-slowly"].flatMap((key): Step[] => {
        try {
          const technique = techniqueOf(key);
          return [{ technique: key, position: "supine", minutes: technique.sided ? { L: 3, R: 3 } : { mid: 3 } }];
        } catch {
          return [];
        }
      }),
    };
    const sessions = plan.map((each, i) => (i === 4 ? session : each));
    for (const step of session.steps) {
      const { unprepared } = withoutStep(exampleInput, sessions, 4, step);
      for (const name of unprepared)
        expect(session.steps.map((each) => techniqueOf(each.technique).name)).toContain(name);
      expect(unprepared).not.toContain(techniqueOf(step.technique).name);
    }
    for (const { s, step } of every)
      if (isRising(techniqueOf(step.technique)))
        expect(withoutStep(exampleInput, plan, s, step).unprepared).toEqual([]);
  });
});

describe("how far targets are served", () => {
  it("is nothing without a plan, and never over all", () => {
    for (const { given, share, worth } of targetsServed(exampleInput, []))
      expect([given, share, worth]).toEqual([0, 0, 0]);
    const served = targetsServed(exampleInput, plan);
    expect(served).toHaveLength(exampleInput.targets.length);
    for (const { given, share, worth, target } of served) {
      expect(share).toBeCloseTo(Math.min(1, given / target.wanted), 12);
      expect(worth).toBeGreaterThanOrEqual(share - 1e-9);
      expect(worth).toBeLessThanOrEqual(1);
    }
    expect(served.filter(({ share }) => share > 0.5).length).toBeGreaterThan(4);
  });
});

describe("what cautions change and hold back", () => {
  const day = "2026-11-25";
  const withCautions = (...entries: Parameters<typeof entryOf>[]): PlanInput => ({
    ...exampleInput,
    days: Array(10).fill(day) as string[],
    cautions: cautionsOn(day, { history: entries.map((each) => entryOf(...each)) }),
  });
  const step = (technique: string): Step => ({ technique, position: null, minutes: { L: 3, R: 3 } });

  it("is said on a step in the order cap, side, medium", () => {
    const input = withCautions(["osteoporosis"], ["nut-allergy"], ["skin", { region: "low-back", side: "L" }]);
    expect(cautionsOnStep(input, 0, step("side-back-glide"))).toEqual([
      "Up to 3 of 10 instead of 5. Osteoporosis: thin bones can break under compression and leverage.",
      expect.stringMatching(/^Not on the left\. Skin open, inflamed or sunburnt: low back, left: /),
      "Use nut-free oil and wax. Allergy to nuts.",
      "Skin open, inflamed or sunburnt: low back, left. Out: low back, left.",
    ]);
    expect(cautionsOnStep(exampleInput, 0, step("side-back-glide"))).toEqual([]);
  });

  it("is grouped by reason, what holds back most first, and never counts what a session could not hold anyway", () => {
    const held = heldBack(withCautions(["hernia"], ["reflux"]), 5);
    expect(held.length).toBeGreaterThanOrEqual(2);
    const sizes = held.map((each) => each.techniques.length);
    expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
    const names = held.flatMap((each) => each.techniques);
    expect(new Set(names).size).toBe(names.length);
    const first = heldBack(withCautions(["hernia"]), 0).flatMap((each) => each.techniques);
    expect(first).not.toContain(techniqueOf("psoas-wait").name);
  });
});

describe("what lies over a structure", () => {
  it("is softened first where the structure lies, and the step that softens says so", () => {
    const { region, layer } = structureOf("quadratus-lumborum")!;
    const target = {
      id: "ql",
      name: "Quadratus lumborum, left",
      structures: ["quadratus-lumborum"],
      region,
      layer,
      side: "L" as const,
      weight: 3,
      wanted: 20,
      because: "Quadratus lumborum, left, graded 3 of 3 at visit 1, tender 4 of 10.",
    };
    // what else lies under the same layer, and would be named in its stead, is left out
    const others = ["tilt-glide", "groove-strip", "low-rib-sink"];
    const locks = [0, 1, 2].flatMap((session) =>
      others.map((technique) => ({ session, technique, kind: "leave-out" as const })),
    );
    const input = { ...smallInput, targets: [target], locks };
    const sessions = quickPlan(input)!;
    const at = sessions.findIndex(({ steps }) => steps.some((step) => step.technique === "loin-sink"));
    expect(at).toBeGreaterThanOrEqual(0);
    const { steps } = sessions[at]!;
    const sink = steps.findIndex((step) => step.technique === "loin-sink");
    expect(whyStep(input, sessions, at, steps[sink]!).join(" ")).toContain("Quadratus lumborum, left, graded 3");
    const said = steps.slice(0, sink).flatMap((step) => whyStep(input, sessions, at, step));
    expect(said.join(" ")).toMatch(
      /It softens .*(lumbar erectors|latissimus).* over .*quadratus lumborum.*, at the .*(flank|lumbar).*, before Loin sink goes there\./,
    );
    // left alone is not prepared
    const bare = sessions.map((session, i) =>
      i === at ? { steps: [steps[0]!, steps[sink]!, ...steps.slice(-2)] } : session,
    );
    expect(violations(input, bare).find(({ rule }) => rule === "preparation")?.sentence).toMatch(
      /Loin sink is not prepared: nothing softens the layer above it at the flank/,
    );
  });
});

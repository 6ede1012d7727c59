import { handError } from "../statistics/hand-errors";
import fc from "fast-check";
import { seeded } from "../random";
import { answersAfter, type Answer, type Pressed } from "../table/answers";
import { checkOf, checks } from "../table/checks";
import { lookError, type OwnLooks } from "../table/own-looks";
import { compareTable, verdictWords } from "../table/results";
import { drawnAgain, gradedTruths, isLayGrade, layFigures, layOrder, sights, toldFrom } from "./lay-figures";
import { lookedAgain, roundsOf, type LookedAgain } from "./table-rounds";

const said = (moment: Answer["moment"], check: string, value: number, by = "odile"): Answer => ({
  moment,
  check,
  side: null,
  way: "hand",
  value,
  by,
});
/** Second looks at hip height that scatter by `sd` grades or millimetres. */
const looks = (n: number, sd: number, way: LookedAgain["way"], seed = 3): LookedAgain[] => {
  const random = seeded(seed);
  const near = (value: number) => {
    const seen = value + sd * random.normal();
    return way === "hand" ? Math.max(-3, Math.min(3, Math.round(seen))) : seen;
  };
  return Array.from({ length: n }, () => {
    const truth = (way === "hand" ? 1.2 : 8) * random.normal();
    return { check: checkOf("hip-height"), way, first: near(truth), second: near(truth) };
  });
};

describe("a second round at the table", () => {
  it("pairs what the same hands looked at twice, the same side and way, and nothing else", () => {
    const answers = [
      said("before", "hip-height", -2),
      said("again", "hip-height", -1),
      said("before", "high-t-mid", 1),
      said("after", "high-t-mid", 0),
      said("before", "shoulder-height", 1, "tomas"),
      said("again", "shoulder-height", 2),
    ];
    expect(lookedAgain(answers)).toEqual([
      { check: checkOf("hip-height"), way: "hand", first: -2, second: -1, by: "odile" },
    ]);
  });

  it("finds the error that the hands really had, of measured values", () => {
    const [found] = roundsOf(looks(400, 3, "measured")).looks;
    expect(found).toMatchObject({ family: "Hip height", pairs: 400, unit: " mm" });
    expect(found!.error!.own).toBeGreaterThan(2.7);
    expect(found!.error!.own).toBeLessThan(3.3);
    expect(found!.error!.mdc).toBeCloseTo(1.96 * Math.SQRT2 * found!.error!.used, 2);
  });

  it("leaves the usual error below five pairs, pools from there on, and tells no grade finer than its step", () => {
    const check = checkOf("hip-height");
    expect(lookError(check, "hand", roundsOf(looks(4, 2, "hand")).own)).toEqual({
      se: handError.grade,
      basis: "usual",
    });
    const loose = lookError(check, "hand", roundsOf(looks(60, 1, "hand")).own);
    expect(loose.se).toBeGreaterThan(0.8);
    expect(loose).toMatchObject({ basis: "clients", pairs: 60 });
    const equal = looks(500, 0, "hand").map((each) => ({ ...each, second: each.first }));
    expect(lookError(check, "hand", roundsOf(equal).own).se).toBeCloseTo(1 / Math.sqrt(12), 10);
    expect(roundsOf(equal).looks[0]!.kappa!.kappa).toBeCloseTo(1, 10);
  });

  it("shares an error within a family of checks, and with no other", () => {
    const strip = looks(12, 0.2, "hand").map((each) => ({ ...each, check: checkOf("high-neck") }));
    const { own } = roundsOf(strip);
    expect(lookError(checkOf("high-l-upper"), "hand", own)).toMatchObject({ basis: "clients", pairs: 12 });
    expect(lookError(checkOf("hip-height"), "hand", own)).toMatchObject({ basis: "usual" });
    expect(lookError(checkOf("high-l-upper"), "measured", own)).toMatchObject({ basis: "usual" });
  });

  it("counts words without an order as the same or not, and gives them no error", () => {
    const [found] = roundsOf(
      [0, 1, 2, 3, 2].map((first, i) => ({
        check: checkOf("breath-path"),
        way: "hand" as const,
        first,
        second: i === 4 ? 0 : first,
      })),
    ).looks;
    expect(found).toMatchObject({ pairs: 5, equal: 4 });
    expect(found!.error).toBeUndefined();
    // 4 of 5 the same, by chance 6 of 25: (0.8 − 0.24) / (1 − 0.24)
    expect(found!.kappa!.kappa).toBeCloseTo(0.56 / 0.76, 10);
  });

  it("turns a step that cannot be told into one that can, where the hands are steady, and says whose hands they were", () => {
    const event = (moment: Pressed["moment"], value: number, by: string) => ({
      id: `${moment}${value}`,
      at: "2026-03-02T10:00:00Z",
      kind: "answer" as const,
      by,
      body: { moment, check: "high-l-upper", side: null, way: "hand" as const, value },
    });
    const judged = (own: OwnLooks, after = "odile") => {
      const answers = answersAfter([event("before", -2, "odile"), event("after", 0, after)], { by: { odile: own } });
      return compareTable({ answers, moment: "before" }, { answers, moment: "after" });
    };
    const strip = (sd: number) =>
      roundsOf(looks(40, sd, "hand").map((each) => ({ ...each, check: checkOf("high-neck") }))).own;
    expect(judged(strip(0.2))[0]!.verdict).toBe("clear");
    expect(judged(strip(1.2))[0]!.verdict).toBe("cannot be told");
    expect(verdictWords(checkOf("high-l-upper"), judged({}, "tomas"))).toMatch(/in other hands/);
  });

  it("never lets drawings make an error less, and lets them count only until clients do", () => {
    const check = checkOf("hip-height");
    const at = (clients: LookedAgain[], drawn: LookedAgain[]) => lookError(check, "hand", roundsOf(clients, drawn).own);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), fc.double({ min: 0, max: 2, noNaN: true }), (n, sd) => {
        expect(at([], looks(n, sd, "hand")).se).toBeGreaterThanOrEqual(handError.grade);
      }),
    );
    expect(at([], looks(40, 1.5, "hand"))).toMatchObject({ basis: "drawings", pairs: 40 });
    expect(at(looks(9, 0.2, "hand"), looks(40, 1.5, "hand")).se).toBe(at(looks(9, 0.2, "hand"), []).se);
  });

  it("has families whose checks are looked at in the same unit", () => {
    const usual = new Map<string, number | undefined>();
    for (const { family, measure } of checks)
      if (family) {
        if (usual.has(family)) expect(measure?.se).toBe(usual.get(family));
        usual.set(family, measure?.se);
      }
    expect(usual.size).toBeGreaterThanOrEqual(6);
  });
});

describe("the ten lay figures", () => {
  it("come up twice each in an order that the study's id alone makes, with sides that differ as people's do", () => {
    const order = layOrder("a");
    expect(order).toHaveLength(2 * 10 * sights.length);
    for (const item of layFigures) expect(order.filter((each) => each === item)).toHaveLength(2);
    expect(layOrder("a")).toEqual(order);
    expect(layOrder("b")).not.toEqual(order);
    for (const sight of sights) {
      const truths = layFigures.filter((item) => item.sight === sight).map(({ truth }) => truth);
      expect(truths.some((truth) => truth > 0)).toBe(true);
      expect(truths.some((truth) => truth < 0)).toBe(true);
    }
  });

  it("pair the two grades of a drawing, and only drawings that were graded twice", () => {
    const order = layOrder("a");
    const grades = new Map(order.map((_, i) => [i, i % 3] as const));
    const pairs = drawnAgain("a", grades);
    expect(pairs).toHaveLength(10 * sights.length);
    grades.delete(0);
    expect(drawnAgain("a", grades)).toHaveLength(10 * sights.length - 1);
    expect([-3, 0, 3].every(isLayGrade)).toBe(true);
    expect([4, 0.5, "1", null].some(isLayGrade)).toBe(false);
  });

  it("say from how many millimetres a side is told: of an eye that sees five, five or a little more", () => {
    const order = layOrder("c");
    const eye = new Map(order.map(({ truth }, i) => [i, Math.abs(truth) < 5 ? 0 : Math.sign(truth)] as const));
    const from = toldFrom(gradedTruths("c", eye))!;
    expect(from).toBeGreaterThanOrEqual(4);
    expect(from).toBeLessThan(6.5);
    expect(toldFrom(gradedTruths("c", new Map([...eye].map(([i]) => [i, 0] as const))))).toBeUndefined();
  });
});

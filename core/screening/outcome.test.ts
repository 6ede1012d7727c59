import { cautionsOn, entryOf, factsOf } from "../test/facts";
import { usualPreferences } from "./facts";
import { obstacles } from "./may-start";
import { decisionFor, isActive, judge, type Decision } from "./outcome";
import { questions } from "./questions";
import { screen } from "./screen";

const day = "2026-11-25";
const at = "2026-11-25T08:00:00.000Z";
const later = "2026-11-25T09:00:00.000Z";
const decision = (outcomeKey: string, change: Partial<Decision> = {}): Decision => ({
  outcomeKey,
  kind: "clearance",
  who: "Dr Amund",
  on: day,
  what: "seen and cleared",
  at: later,
  by: "Odile Marrow",
  ...change,
});
const answered = { answers: [{ question: "hot-calf", answer: "yes" as const, visitId: null, at }] };
const key = "answer hot-calf";

describe("decisions about cautions", () => {
  it("sets a referral or an exclusion aside by clearance, a limit or an information by override", () => {
    const found = screen(factsOf({ history: [entryOf("osteoporosis"), entryOf("whiplash", { on: "2026-11-20" })] }));
    expect(found.map((each) => [each.kind, decisionFor(each)])).toEqual([
      ["exclude", "clearance"],
      ["limit", "override"],
      ["refer", "clearance"],
      ["inform", "override"],
    ]);
  });

  it("lets nobody decide about a wish or a setting: it is changed where it was made", () => {
    const found = screen(factsOf({ preferences: { ...usualPreferences, positionsOut: ["prone"] } }));
    expect(found.map(decisionFor)).toEqual([undefined]);
    expect(judge(found, [decision(found[0]!.key, { kind: "override" })])[0]!.decided).toBeUndefined();
  });

  it("counts the latest decision of the right kind that is newer than the fact", () => {
    expect(cautionsOn(day, answered)).toHaveLength(1);
    expect(cautionsOn(day, answered, [decision(key)])).toHaveLength(0);
    expect(cautionsOn(day, answered, [decision(key, { kind: "override" })])).toHaveLength(1);
    expect(cautionsOn(day, answered, [decision("answer weakness")])).toHaveLength(1);
    expect(cautionsOn(day, answered, [decision(key, { at: "2026-11-24T09:00:00.000Z" })])).toHaveLength(1);
    const withdrawn = decision(key, { kind: "withdrawn", at: "2026-11-25T10:00:00.000Z" });
    expect(cautionsOn(day, answered, [withdrawn, decision(key)])).toHaveLength(1);
    const again = decision(key, { at: "2026-11-25T11:00:00.000Z" });
    expect(cautionsOn(day, answered, [again, withdrawn, decision(key)])).toHaveLength(0);
  });

  it("keeps a decision visible beside the caution it sets aside", () => {
    const [judged] = judge(screen(factsOf(answered)), [decision(key)]);
    expect(judged).toMatchObject({ kind: "refer", decided: { who: "Dr Amund", by: "Odile Marrow" } });
  });

  it("needs a new clearance for what is told anew", () => {
    const again = { answers: [{ ...answered.answers[0]!, at: "2026-12-01T08:00:00.000Z" }] };
    expect(cautionsOn("2026-12-01", again, [decision(key)])).toHaveLength(1);
  });
});

it("acts from its first day up to the day before its last", () => {
  const span = { from: "2026-11-25", until: "2026-11-27" };
  expect(["2026-11-24", "2026-11-25", "2026-11-26", "2026-11-27"].map((each) => isActive(span, each))).toEqual([
    false,
    true,
    true,
    false,
  ]);
  expect(isActive({}, day)).toBe(true);
});

describe("what stands before a session", () => {
  const all = new Set(questions.map((question) => question.key));
  const clear = { cautions: [], answered: all, askedAgain: true, general: true, guardian: undefined, broken: [] };
  const settle = (change: Partial<Parameters<typeof obstacles>[0]>) =>
    obstacles({ ...clear, ...change }).map((each) => each.settle);

  it("is nothing when everything is settled", () => expect(settle({})).toEqual([]));

  it("is a referral, by name", () => {
    const found = obstacles({ ...clear, cautions: cautionsOn(day, answered), broken: ["Session 1: all is out."] });
    expect(found).toEqual([
      {
        settle: "screening",
        sentence: "Hot, swollen calf: A hot, swollen calf can be a clot. A clearance has to be recorded.",
      },
    ]);
  });

  it("is a question that was never asked: silence is not a no", () => {
    expect(obstacles({ ...clear, answered: new Set() })[0]!.sentence).toBe(
      "The screening questions were not asked yet.",
    );
    expect(obstacles({ ...clear, answered: new Set([...all].slice(2)) })[0]!.sentence).toBe(
      `2 of ${questions.length} screening questions were not asked yet.`,
    );
  });

  it("is what changed, which is asked for at every visit", () => {
    expect(settle({ askedAgain: false })).toEqual(["table"]);
    // while the first questions are open, those come first
    expect(settle({ askedAgain: false, answered: new Set() })).toEqual(["screening"]);
  });

  it("is consent that is missing or withdrawn", () => {
    expect(settle({ general: undefined })).toEqual(["consent"]);
    expect(obstacles({ ...clear, general: false })[0]!.sentence).toMatch(/withdrawn/);
  });

  it("is a guardian's consent, for the young only", () => {
    const young = cautionsOn(day, { born: "2012-05-05" });
    expect(settle({ cautions: young })).toEqual(["consent"]);
    expect(settle({ cautions: young, guardian: false })).toEqual(["consent"]);
    expect(settle({ cautions: young, guardian: true })).toEqual([]);
    expect(settle({ guardian: false })).toEqual([]);
  });

  it("is a plan that breaks a caution, but not an exclusion by itself", () => {
    expect(settle({ broken: ["Session 2: x."] })).toEqual(["path"]);
    expect(settle({ cautions: cautionsOn(day, { history: [entryOf("osteoporosis")] }) })).toEqual([]);
  });
});

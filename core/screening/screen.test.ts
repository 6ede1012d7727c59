import { plusDays } from "../days";
import { cautionsOn, entryOf, factsOf } from "../test/facts";
import { conditions } from "./conditions";
import { usualPreferences, usualSchool, type HistoryEntry } from "./facts";
import type { Outcome } from "./outcome";
import { questions, rescreen } from "./questions";
import { screen } from "./screen";

const day = "2026-11-25";
const short = ({ kind, pressure, scope, without, proneMost, tableMost, withoutMedia, instead }: Outcome) =>
  [
    kind,
    pressure === undefined ? "" : `≤${pressure}`,
    scope?.tags?.join("+") ?? "",
    scope?.regions?.join("+") ?? "",
    scope?.places ? `at ${scope.places.join("+")}` : "",
    scope?.joints ? `across ${scope.joints.join("+")}` : "",
    scope?.side ?? "",
    scope?.fromDepth ? `below ${scope.fromDepth - 1}` : "",
    without ? `not ${without.join("+")}` : "",
    withoutMedia ? `no ${withoutMedia.join("+")}` : "",
    proneMost === undefined ? "" : `prone ≤${proneMost}`,
    tableMost === undefined ? "" : `table ≤${tableMost}`,
    instead ?? "",
  ]
    .filter(Boolean)
    .join(" ");
const said = (entry: HistoryEntry, on = day) => cautionsOn(on, { history: [entry] }).map(short);

describe("the table of conditions (common practice)", () => {
  const here = { region: "leg", side: "L" } as const;
  const knee = { ...here, places: ["knee"] };
  const knees = "knee-joint+kneecap-joint";
  // what the trade's table says, condition by condition, for something told this spring that still holds
  it.each<[string, Partial<HistoryEntry> & { on?: string | null }, string[]]>([
    ["osteoporosis", {}, ["exclude rib compression+lever+neck lever", "limit ≤3"]],
    ["steroids", {}, ["exclude rib compression+lever+neck lever", "exclude instrument", "limit ≤3"]],
    [
      "fracture",
      { on: "2026-10-01", region: "arm", places: ["wrist"], side: "L" },
      [
        "exclude at wrist+hand+palm+thumb+forearm-front+forearm-back+fingers L",
        "exclude lever+end range+rib compression across elbow-joint+forearm-turn+wrist-joint+thumb-base+knuckles+finger-joints L",
      ],
    ],
    ["fracture", { on: "2026-08-01", ...here }, []],
    ["operation", { on: "2026-11-01", ...here, answer: "yes" }, ["exclude leg L"]],
    ["operation", { on: "2026-08-01", ...here, answer: "yes" }, ["limit ≤3 leg L"]],
    ["operation", { on: "2026-08-01", ...here, answer: "no" }, ["exclude leg L", "limit ≤3 leg L"]],
    ["operation", { on: "2020-01-01", ...here, answer: "yes" }, []],
    ["anticoagulant", {}, ["exclude sustained point+instrument", "limit ≤3"]],
    ["bleeding", {}, ["exclude sustained point+instrument", "limit ≤3"]],
    ["clot", here, ["exclude leg L below 1"]],
    ["varicose", here, ["exclude leg L below 1"]],
    ["cancer", { region: "chest", side: "R" }, ["exclude chest R", "limit ≤2"]],
    ["lymph-nodes", { region: "arm", side: "R" }, ["exclude arm R", "limit ≤2"]],
    ["blood-pressure", { answer: "no" }, ["limit prone ≤15 table ≤45", "inform"]],
    ["blood-pressure", { answer: "unsure" }, ["limit prone ≤15 table ≤45", "inform"]],
    ["blood-pressure", { answer: "yes" }, []],
    ["heart-failure", {}, ["limit prone ≤15 table ≤45", "inform"]],
    ["device", {}, ["exclude chest"]],
    ["joint-replacement", knee, [`exclude lever+end range across ${knees} L`]],
    ["hypermobility", {}, ["exclude end range"]],
    ["trunk-rotation", {}, ["inform"]],
    ["arthritis", {}, ["exclude neck lever+skull-base pressure"]],
    ["down-syndrome", {}, ["exclude neck lever+skull-base pressure"]],
    ["multiple-sclerosis", {}, ["inform"]],
    ["neuropathy", {}, ["inform", "limit ≤3 leg"]],
    ["neuropathy", { answer: "yes" }, []],
    ["dislocation", knee, [`exclude lever+end range across ${knees} L`]],
    ["skin", knee, ["exclude at knee L"]],
    [
      "operation",
      { on: "2026-11-01", region: "leg", places: ["big-toe"], answer: "yes" },
      ["exclude at big-toe+toes+instep+sole"],
    ],
    ["dizzy", {}, ["exclude neck lever", "inform"]],
    ["belly-tender", {}, ["exclude deep belly"]],
    ["nerve-disease", {}, ["limit ≤3"]],
    ["sign-hot-calf", { on: "2026-11-20" }, ["refer"]],
    // when it began ends nothing
    ["sign-hot-calf", { on: "2026-01-20" }, ["refer"]],
    ["sign-infection", { on: "2026-11-01" }, ["inform"]],
    ["epilepsy", {}, ["exclude cranial", "inform", "inform"]],
    ["whiplash", { on: "2026-11-01" }, ["refer"]],
    ["whiplash", { on: "2019-07-01" }, ["inform"]],
    ["eye", {}, ["limit prone ≤10"]],
    ["sinus", {}, ["limit prone ≤10"]],
    ["reflux", {}, ["limit not supine"]],
    ["breathless", {}, ["inform", "limit not supine"]],
    ["aneurysm", {}, ["exclude belly", "exclude deep belly", "exclude cranial"]],
    ["hernia", {}, ["exclude belly", "exclude deep belly"]],
    ["skin", here, ["exclude leg L"]],
    ["marked", { on: day, ...here }, ["exclude leg L"]],
    ["nut-allergy", {}, ["limit nut-free oil and wax"]],
    ["scent-allergy", {}, ["limit unscented oil and wax"]],
    ["latex-allergy", {}, ["limit latex-free gloves"]],
  ])("%s %j", (key, change, expected) => expect(said(entryOf(key, change)).sort()).toEqual([...expected].sort()));

  it("gives every caution a reason, a title, a kind and a key of its own", () => {
    for (const condition of conditions)
      for (const status of ["open", "ended"] as const) {
        const found = screen(factsOf({ history: [entryOf(condition.key, { status, endedOn: "2026-10-01" })] }));
        expect(new Set(found.map((each) => each.key)).size).toBe(found.length);
        for (const outcome of found) {
          expect(outcome.reason).toMatch(/^[A-Z].*\.$/);
          expect(outcome.title).not.toBe("");
          expect(outcome.key.startsWith(condition.key)).toBe(true);
        }
      }
  });

  it("holds everywhere where the place was not told", () => {
    expect(said(entryOf("fracture", { on: "2026-11-01" }))).toEqual([
      "exclude",
      "exclude lever+end range+rib compression",
    ]);
  });

  it("asks about what it does not know, and takes no answer, or a doubt, for caution", () => {
    expect(said(entryOf("sprain", { region: "leg" }))).toEqual([]);
    const unknown = { ...entryOf("sprain"), condition: null, words: "porphyria" };
    expect(said({ ...unknown, answer: null })).toEqual(["inform"]);
    expect(said({ ...unknown, answer: "unsure" })).toEqual(["limit ≤3"]);
    expect(said({ ...unknown, answer: "yes" })).toEqual(["limit ≤3"]);
    expect(said({ ...unknown, answer: "no" })).toEqual([]);
  });

  it("lets what is not theirs change nothing, and what is suspected no less than what is known", () => {
    for (const condition of conditions) {
      const entry = entryOf(condition.key, { on: null });
      expect(said({ ...entry, stance: "denied" })).toEqual([]);
      expect(said({ ...entry, stance: "other" })).toEqual([]);
      expect(said({ ...entry, stance: "suspected" })).toEqual(expect.arrayContaining(said(entry)));
    }
    expect(said({ ...entryOf("clot"), stance: "suspected" })).toContain("refer");
    expect(said({ ...entryOf("clot"), stance: "suspected", status: "ended", endedOn: "2026-11-20" })).toEqual([]);
  });
});

describe("rules that turn on a date", () => {
  const acts = (entry: HistoryEntry, on: string) => said(entry, on).length > 0;
  // worked out by hand on a calendar; 2024 has a leap day, 2023 has none
  it.each<[string, string, string, string]>([
    ["fracture", "2026-09-09", "2026-12-01", "2026-12-02"],
    ["fracture", "2024-01-10", "2024-04-02", "2024-04-03"],
    ["fracture", "2023-01-10", "2023-04-03", "2023-04-04"],
    ["fracture", "2023-12-10", "2024-03-02", "2024-03-03"],
  ])("%s of %s is out up to %s and not on %s", (key, on, last, free) => {
    expect(acts(entryOf(key, { on, region: "leg" }), last)).toBe(true);
    expect(acts(entryOf(key, { on, region: "leg" }), free)).toBe(false);
  });

  it.each<[string, string[]]>([
    // due 2027-03-14: begun 2026-06-07; 14 weeks end the first trimester on 2026-09-13
    ["2026-06-06", []],
    ["2026-06-07", ["inform"]],
    ["2026-09-12", ["inform"]],
    ["2026-09-13", []],
  ])("a pregnancy due on 14 March 2027 asks for special care on %s: %j", (on, expected) => {
    expect(said(entryOf("pregnancy", { on: "2027-03-14" }), on).filter((each) => each === "inform")).toEqual(expected);
  });

  it("puts a pregnancy on the side and off the belly until six weeks after, and at once while no date is known", () => {
    const during = said(entryOf("pregnancy", { on: "2027-03-14" }), "2026-12-01").join("; ");
    expect(during).toContain("limit not prone");
    expect(during).toContain("deep belly");
    expect(said(entryOf("pregnancy", { on: null }), "2026-12-01").join("; ")).toContain("not prone+supine");
    // ten weeks are not thirty-two: both positions are open at first, then the back, then neither (common practice)
    const inWeek = (week: number) =>
      said(entryOf("pregnancy", { on: "2027-03-14" }), plusDays("2026-06-07", 7 * week)).filter((each) =>
        each.includes("limit not"),
      );
    expect(inWeek(10)).toEqual([]);
    expect(inWeek(16)).toEqual(["limit not prone"]);
    expect(inWeek(32).sort()).toEqual(["limit not prone", "limit not prone+supine"]);
    expect(said(entryOf("pregnancy", { on: "2027-03-14" }), "2027-04-24")).not.toEqual([]);
    expect(said(entryOf("pregnancy", { on: "2027-03-14" }), "2027-04-25")).toEqual([]);
  });

  it("counts from the latest day a rough date can mean", () => {
    const when = { said: "about 12 weeks ago", earliest: "2026-08-20", latest: "2026-09-12" };
    expect(acts(entryOf("fracture", { when, region: "leg" } as never), day)).toBe(true);
  });

  it("is as careful as it can be while nothing is known of the date", () => {
    expect(said(entryOf("fracture", { on: null, region: "leg", side: "R" }))).toContain("exclude leg R");
    expect(said(entryOf("whiplash", { on: null }))).toContain("refer");
  });

  it("runs healing on the calendar, whether or not it is said to be over", () => {
    const early = entryOf("fracture", { on: "2026-10-20", region: "leg", status: "ended", endedOn: "2026-11-10" });
    expect(acts(early, day)).toBe(true);
  });

  it("ends what lasts with the entry, and marked skin after two days at the earliest", () => {
    expect(acts(entryOf("reflux", { status: "ended", endedOn: "2026-11-20" }), "2026-11-19")).toBe(true);
    expect(acts(entryOf("reflux", { status: "ended", endedOn: "2026-11-20" }), "2026-11-20")).toBe(false);
    const marked = (endedOn: string) =>
      entryOf("marked", { on: "2026-11-24", region: "leg", status: "ended", endedOn });
    expect(acts(marked("2026-11-24"), "2026-11-25")).toBe(true);
    expect(acts(marked("2026-11-24"), "2026-11-26")).toBe(false);
    expect(acts(marked("2026-11-28"), "2026-11-27")).toBe(true);
  });
});

describe("answers", () => {
  const at = "2026-11-25T08:00:00.000Z";
  const given = (question: string, answer: "yes" | "no" | "unsure") =>
    cautionsOn(day, { answers: [{ question, answer, visitId: null, at }] });

  it("refers on a yes, works lightly on a don’t know, and is silent on a no, for every question", () => {
    for (const question of questions) {
      expect(given(question.key, "no")).toEqual([]);
      const [yes] = given(question.key, "yes");
      const [unsure] = given(question.key, "unsure");
      expect(yes!.kind).toBe(question.blocks === "all work" ? "refer" : "exclude");
      if (question.blocks === "all work") expect(short(unsure!)).toBe("limit ≤3");
      else expect([short(yes!), short(unsure!)]).toEqual(Array(2).fill("exclude cranial+neck lever"));
      expect(unsure!.reason).toMatch(/^Not sure is not no\./);
      expect(unsure!.key).not.toBe(yes!.key);
    }
  });

  it("asks to look again when something changed, for that visit", () => {
    const [outcome] = given(rescreen[0]!.key, "unsure");
    expect(outcome).toMatchObject({ kind: "inform", title: "Something changed", until: "2026-11-27" });
    expect(
      cautionsOn(plusDays(day, 2), { answers: [{ question: rescreen[0]!.key, answer: "yes", visitId: null, at }] }),
    ).toEqual([]);
    expect(given(rescreen[0]!.key, "no")).toEqual([]);
    expect(given("shoe size", "yes")).toEqual([]);
  });
});

describe("wishes, age and school", () => {
  it("turns every wish into what it changes", () => {
    const wishes = {
      ...usualPreferences,
      positionsOut: ["prone" as const],
      wax: false,
      scentFree: true,
      talk: "quiet" as const,
      areasOut: [{ region: "leg" as const, side: "L" as const }],
      pauseWord: "harbour",
      chaperone: true,
    };
    const found = cautionsOn(day, { preferences: wishes });
    expect(found.map(short).sort()).toEqual(
      [
        "exclude leg L",
        "inform",
        "inform",
        "inform",
        "inform unscented oil and wax",
        "limit no wax",
        "limit not prone",
      ].sort(),
    );
    expect(found.map((each) => each.title)).toContain("Pause word: harbour");
    expect(cautionsOn(day, { preferences: { ...usualPreferences, covering: "clothed" } }).map(short)).toEqual([
      "limit no oil+wax",
    ]);
    expect(cautionsOn(day, {})).toEqual([]);
  });

  it("asks for a guardian up to the day before the eighteenth birthday", () => {
    expect(cautionsOn("2026-11-24", { born: "2008-11-25" }).map((each) => each.key)).toEqual(["age minor"]);
    expect(cautionsOn("2026-11-25", { born: "2008-11-25" })).toEqual([]);
    // born on a leap day: of age on 28 February at the earliest
    expect(cautionsOn("2026-02-27", { born: "2008-02-29" })).toHaveLength(1);
    expect(cautionsOn("2026-02-28", { born: "2008-02-29" })).toHaveLength(0);
  });

  it("holds the practitioner's own school, which nobody can set aside", () => {
    const school = { ...usualSchool, pressureCeiling: 4, oil: false, withoutElbow: true, withoutThumb: true };
    const found = cautionsOn(day, { school });
    expect(found.map(short).sort()).toEqual(["exclude elbow", "exclude thumb", "limit no oil", "limit ≤4"]);
    expect(new Set(found.map((each) => each.origin))).toEqual(new Set(["setting"]));
  });
});

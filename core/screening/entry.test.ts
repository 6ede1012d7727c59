import { conditionOf, conditions } from "./conditions";
import { readEntry, type TypedEntry } from "./entry";
import { findConditions, suggest } from "./find-condition";

const today = "2026-11-25";
const typed = (change: Partial<TypedEntry>): TypedEntry => ({
  what: "broken left wrist",
  condition: "fracture",
  kind: "condition",
  when: "11 weeks ago",
  where: "",
  answer: null,
  ...change,
});

describe("the catalogue of conditions", () => {
  it("has a key, a name and words of its own for each", () => {
    expect(new Set(conditions.map((each) => each.key)).size).toBe(conditions.length);
    for (const condition of conditions) {
      expect(conditionOf(condition.key)).toBe(condition);
      const keys = condition.rules.map((rule) => rule.key);
      expect(new Set(keys).size).toBe(keys.length);
      // a rule that asks a question has one to ask, and one that turns on a place has one
      if (condition.rules.some((rule) => rule.unless)) expect(condition.question).toBeDefined();
      if (condition.rules.some((rule) => rule.scope?.at)) expect(condition.place).toBeDefined();
    }
  });

  it("finds every condition by its name and by each of its words", () => {
    for (const condition of conditions)
      for (const word of [condition.name, ...condition.synonyms])
        expect(
          findConditions(word)
            .slice(0, 4)
            .map((each) => each.key),
        ).toContain(condition.key);
  });

  it.each([
    ["broken left wrist", "fracture"],
    ["new right hip", "joint-replacement"],
    ["blood thinners", "anticoagulant"],
    ["thin bones", "osteoporosis"],
    ["rear-end collision", "whiplash"],
    ["pregnant", "pregnancy"],
    ["c-section", "operation"],
    ["slipped discs", "disc"],
    ["diabetes", "neuropathy"],
    ["sunburn on the back", "skin"],
  ])("takes “%s” for %s", (what, key) => expect(suggest(what)[0]?.key).toBe(key));
});

describe("reading a typed entry", () => {
  it("reads place and side out of the words, and the rough date", () => {
    expect(readEntry(typed({}), today, null).body).toMatchObject({
      kind: "injury",
      condition: "fracture",
      words: "broken left wrist",
      region: "arm",
      side: "L",
      when: { said: "11 weeks ago", earliest: "2026-09-06", latest: "2026-09-12" },
      answer: null,
      status: "open",
    });
  });

  it("lets the place that was typed win over the words", () => {
    expect(readEntry(typed({ where: "right elbow" }), today, null).body).toMatchObject({ region: "arm", side: "R" });
  });

  it("keeps the catalogue's own place, and the answer only where a question is asked", () => {
    expect(readEntry(typed({ what: "pacemaker", condition: "device", answer: "yes" }), today, null).body).toMatchObject(
      {
        region: "chest",
        answer: null,
      },
    );
    expect(
      readEntry(typed({ what: "appendix", condition: "operation", answer: "unsure" }), today, null).body,
    ).toMatchObject({ answer: "unsure", region: "belly" });
  });

  it("keeps what no catalogue knows, under the kind that was chosen", () => {
    expect(readEntry(typed({ what: "bad dreams", condition: null, kind: "trauma" }), today, null).body).toMatchObject({
      kind: "trauma",
      condition: null,
      words: "bad dreams",
    });
  });

  it.each<[Partial<TypedEntry>, keyof TypedEntry, RegExp]>([
    [{ what: "  " }, "what", /What: type what it was/],
    [{ what: "x".repeat(301) }, "what", /at most 300/],
    [{ when: "flood day" }, "when", /“flood day” is not understood/],
    [{ when: "2027-05-01" }, "when", /still to come/],
    [{ when: "2030" }, "when", /“2030” is still to come/],
    [{ where: "garage" }, "where", /“garage” is no place/],
    [{ condition: "rabies" }, "condition", /“rabies” is not in the catalogue/],
    [{ kind: "mood" as never }, "kind", /“mood”/],
    [{ answer: "perhaps" as never }, "answer", /“perhaps”/],
  ])("names field, rule and value for %j", (change, field, message) => {
    const { errors, body } = readEntry(typed(change), today, null);
    expect(body).toBeUndefined();
    expect(errors?.[field]).toMatch(message);
  });

  it("takes a due date that is still to come", () => {
    expect(
      readEntry(typed({ what: "pregnant", condition: "pregnancy", when: "2027-03-14" }), today, null).errors,
    ).toBeUndefined();
  });
});

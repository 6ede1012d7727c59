import { catalogue } from "../techniques/catalogue";
import { areasOf } from "../techniques/follows";
import { techniqueOf } from "../techniques/library";
import { areasIn, lawfulSignature, consentTexts, stands, textFor, type ConsentRecord } from "./consent";

let count = 0;
const record = (subject: ConsentRecord["subject"], given: boolean, visitId = "v1"): ConsentRecord => ({
  id: String(++count),
  subject,
  visitId,
  given,
  textVersion: "1",
  text: "",
  signedBy: "Somebody",
  signature: null,
  by: "Odile Marrow",
  at: "2026-11-25T08:00:00.000Z",
  seq: count,
  seen: count - 1,
});

describe("consent", () => {
  it("is what was said last, and nothing before anybody asked", () => {
    expect(stands([], "general", "v1")).toBeUndefined();
    expect(stands([record("general", true)], "general", "v2")).toBe(true);
    expect(stands([record("general", true), record("general", false)], "general", "v1")).toBe(false);
    expect(stands([record("general", false), record("general", true)], "general", "v1")).toBe(true);
  });

  it("to one thing is none to another", () => {
    const said = [record("general", true)];
    expect(stands(said, "photographs", "v1")).toBeUndefined();
    expect(stands(said, "area chest", "v1")).toBeUndefined();
  });

  it("for a sensitive area holds for its visit only", () => {
    const said = [record("area chest", true, "v1")];
    expect(stands(said, "area chest", "v1")).toBe(true);
    expect(stands(said, "area chest", "v2")).toBeUndefined();
    expect(stands([...said, record("area chest", false, "v1")], "area chest", "v1")).toBe(false);
  });

  it("has a wording and a version for everything that is asked", () => {
    for (const { version, text } of Object.values(consentTexts)) {
      expect(version).toMatch(/^\d{4}-\d{2}$/);
      expect(text.length).toBeGreaterThan(40);
    }
    expect(textFor("area belly")).toBe(consentTexts.area);
    expect(textFor("photographs")).toBe(consentTexts.photographs);
  });

  it("is asked for every technique that works in a sensitive area", () => {
    for (const technique of catalogue)
      expect([technique.key, areasOf(technique).length > 0]).toEqual([technique.key, Boolean(technique.consent)]);
    const some = ["psoas-wait", "pec-major-sink", "rib-space-glide", "settle-touch"].map(techniqueOf);
    expect(areasIn(some)).toEqual(["belly", "chest"]);
  });
});

describe("a signature", () => {
  const stroke = (points: number) => Array.from({ length: points }, (_, i) => [i % 1000, 150]);

  it("is taken as the pad makes it, or left out", () => {
    expect(lawfulSignature(null)).toBeNull();
    expect(lawfulSignature(undefined)).toBeNull();
    expect(lawfulSignature([stroke(3), []])).toEqual([stroke(3), []]);
    expect(lawfulSignature([stroke(4000)])).toHaveLength(1);
  });

  it.each([
    ["text"],
    [[[[1, "x"]]]],
    [[[[1, 2, 3]]]],
    [[[[1, 1201]]]],
    [[[[0.5, 1]]]],
    [["stroke"]],
    [[stroke(2000), stroke(2001)]],
    [Array.from({ length: 61 }, () => stroke(1))],
  ])("is refused when no pad made it: %#", (sent) => expect(lawfulSignature(sent)).toBeUndefined());
});

import type { ConsentRecord } from "../consent/consent";
import { usualSchool } from "../screening/facts";
import type { PlannedSession, Step } from "../series/plan";
import { techniqueOf } from "../techniques/library";
import { cautionsOn, entryOf } from "../test/facts";
import { cuesFor } from "./cues";
import { consentsFor, consentName, tableList } from "./table-list";

const step = (technique: string, minutes = 3): Step => {
  const { sided, positions } = techniqueOf(technique);
  return {
    technique,
    position: positions[0] ?? "supine",
    minutes: sided ? { L: minutes, R: minutes } : { mid: minutes },
  };
};
const session: PlannedSession = {
  steps: ["settle-touch", "psoas-wait", "pec-major-sink", "lt-unwind-neck", "rise-slowly"].map((key) => step(key)),
};
const consent = (subject: ConsentRecord["subject"], given: boolean, visitId = "v1"): ConsentRecord => ({
  id: `${subject} ${given}`,
  subject,
  visitId,
  given,
  textVersion: "1",
  text: "",
  signedBy: "Somebody",
  signature: null,
  by: "Odile Marrow",
  at: "",
  seq: 1,
  seen: 0,
});

describe("the table's list", () => {
  it("asks for each sensitive area once, and for unwinding", () => {
    const { asked } = tableList(session, [], "v1");
    expect(asked.map((each) => [each.subject, each.stands])).toEqual([
      ["area belly", undefined],
      ["area chest", undefined],
      ["unwinding", undefined],
    ]);
    expect(asked.map((each) => consentName(each.subject))).toEqual([
      "Abdomen, groin",
      "Chest near the breast",
      "Unwinding",
    ]);
    expect(consentsFor(techniqueOf("settle-touch"))).toEqual([]);
    // hands that come to two areas ask for both
    expect(consentsFor(techniqueOf("node-sweep"))).toEqual(["area belly", "area armpit"]);
  });

  it("leaves out what nobody agreed to, and says what", () => {
    const { steps, leftOut } = tableList(session, [], "v1");
    expect(new Set(steps.map((each) => each.technique))).toEqual(new Set(["settle-touch", "rise-slowly"]));
    expect(leftOut).toEqual(["psoas-wait", "pec-major-sink", "lt-unwind-neck"].map((key) => techniqueOf(key).name));
  });

  it("takes in what was agreed to at this visit, and not what was at another or was taken back", () => {
    const works = (records: ConsentRecord[]) =>
      new Set(tableList(session, records, "v1").steps.map((each) => each.technique));
    expect(works([consent("area belly", true)])).toContain("psoas-wait");
    expect(works([consent("area belly", true, "v2")])).not.toContain("psoas-wait");
    expect(works([consent("area belly", true), consent("area belly", false)])).not.toContain("psoas-wait");
    // unwinding is agreed to until it is withdrawn
    expect(works([consent("unwinding", true, "v0")])).toContain("lt-unwind-neck");
  });

  it("leaves out a side that has no minutes", () => {
    const oneSided = { steps: [{ ...step("side-leg-wring"), minutes: { L: 0, R: 4 } }] };
    expect(tableList(oneSided, [], "v1").steps.map((each) => [each.side, each.planned])).toEqual([["R", 240]]);
  });
});

describe("cues at the table", () => {
  const day = "2026-11-25";
  const cues = (key: string, entries: Parameters<typeof entryOf>[], ceiling = 6, school = usualSchool) =>
    cuesFor(techniqueOf(key), cautionsOn(day, { history: entries.map((each) => entryOf(...each)) }), ceiling, school);

  it("say the cap and what lowered it, the client's own ceiling winning where it is lower", () => {
    expect(cues("pin-turn", [])).toMatchObject({ cap: 6, capBy: undefined });
    expect(cues("arm-spread", [["osteoporosis"]])).toMatchObject({ cap: 3, capBy: "Osteoporosis" });
    expect(cues("arm-spread", [["osteoporosis"]], 2)).toMatchObject({ cap: 2, capBy: undefined });
    expect(cues("arm-spread", [], 3)).toMatchObject({ cap: 3, capBy: undefined });
  });

  it("say what to use instead where something goes on the skin", () => {
    const oiled = cues("side-back-glide", [["nut-allergy"], ["latex-allergy"]]);
    expect(oiled.mind).toEqual(["Use nut-free oil and wax"]);
    const dry = techniqueOf("arm-spread");
    expect(dry.medium).toBe("dry");
    expect(cues("arm-spread", [["nut-allergy"]]).mind).toEqual([]);
  });

  it("say what to stay clear of, and how long a point is held in this school", () => {
    expect(cues("psoas-wait", []).clear).toEqual(["pulse in the middle of the belly", "groin triangle"]);
    expect(cues("psoas-wait", []).hold).toBe("Hold 20–60 s, to the barrier or with ease");
    const slow = { ...usualSchool, hold: { least: 60, most: 90 }, way: "indirect" as const };
    expect(cues("psoas-wait", [], 6, slow).hold).toBe("Hold 60–90 s, follow ease");
    expect(cues("arm-spread", []).hold).toBeUndefined();
  });
});

import { randomUUID } from "node:crypto";
import { parsePressed } from "./parse-pressed";

const sent = (kind: string, body: unknown) =>
  parsePressed({ id: randomUUID(), at: "2026-03-02T10:00:00Z", kind, body });
const bone = { moment: "before", segment: "sphenoid", test: "torsion", range: [3, null], eased: [false, true] };
const run = randomUUID();

describe("what light touch presses", () => {
  it("is taken as it is meant, and nothing else of what was sent along", () => {
    expect(sent("bone", { ...bone, name: "x" })).toMatchObject({ body: { ...bone, side: null, step: null } });
    expect(sent("bone", { ...bone, name: "x" })).not.toHaveProperty("body.name");
    expect(sent("still", { point: run, press: "on", place: "sacrum" })).toMatchObject({ body: { rate: null } });
    expect(sent("still", { point: run, press: "back" })).toMatchObject({ body: { how: null, rate: null } });
    expect(sent("unwind", { run, press: "path", points: [[1, 2, 3]] })).toMatchObject({ kind: "unwind" });
    expect(sent("unwind", { run, press: "ended", by: "client", emotion: true })).toMatchObject({ kind: "unwind" });
    expect(sent("arc", { press: "form", form: "2 of 3", hold: "jaw" })).toMatchObject({ body: { form: "2 of 3" } });
    expect(sent("arc", { press: "loop", hold: "jaw" })).toMatchObject({ kind: "arc" });
  });

  it.each<[string, unknown, RegExp]>([
    ["bone", { ...bone, moment: "later" }, /before, again or after/],
    ["bone", { ...bone, segment: 3 }, /Segment and test/],
    ["bone", { ...bone, range: [1] }, /one figure at each of two ends/],
    ["bone", { ...bone, range: [1, 7] }, /from 0 to 3/],
    ["bone", { ...bone, eased: "yes" }, /yes or no at each/],
    ["bone", { ...bone, step: "together" }, /not one of the words/],
    ["still", { point: "one", press: "still" }, /id is not valid/],
    ["still", { point: run, press: "on", place: "knee" }, /Place: choose one/],
    ["still", { point: run, press: "on", place: "feet", rate: -4 }, /above 0 and up to 200 a minute, got -4/],
    ["still", { point: run, press: "back", how: "fine" }, /“fine” is not one of the words/],
    ["still", { point: run, press: "gone" }, /press is not known/],
    ["unwind", { run: 4, press: "still" }, /id is not valid/],
    ["unwind", { run, press: "begun", part: "tail" }, /Part: choose one/],
    ["unwind", { run, press: "path", points: [[1, 2]] }, /list of points in time/],
    ["unwind", { run, press: "path", points: [[1, 2000, 3]] }, /within a box/],
    ["unwind", { run, press: "ended", by: "me", emotion: false }, /say who ended it/],
    ["unwind", { run, press: "flew" }, /press is not known/],
    ["arc", { press: "dance" }, /press is not known/],
    ["arc", { press: "phase", hold: "jaw", phase: 99 }, /got 99/],
    ["arc", null, /press is not known/],
  ])("%s %j is refused by field, rule and value", (kind, body, says) => {
    expect(sent(kind, body)).toMatchObject({ reason: expect.stringMatching(says) as string });
  });
});

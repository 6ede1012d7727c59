import { takingBack } from "./routes/client/touch/use-undo";
import { sendingOf, type Finding } from "./routes/client/touch/finding";
import type { Grading, Restriction } from "~core/findings/restriction";

const finding: Finding = {
  structure: "quadratus-lumborum",
  side: "L",
  grade: 2,
  quality: "band",
  tenderness: 4,
  bind: "head",
  ease: "",
};
const at = { visit: { id: "b1a7c1ce-0000-4000-8000-000000000001", ordinal: 3 }, moment: "before" as const };
const line = (...grades: Grading[]): Restriction => ({
  ...finding,
  id: "b1a7c1ce-0000-4000-8000-000000000002",
  region: "low-back",
  layer: "DM",
  grades,
});

describe("taking back what was sent", () => {
  it("takes a new line off the list", () => {
    const sending = sendingOf(finding, at, []);
    expect(sending.body).toMatchObject({ intent: "add", structure: "quadratus-lumborum" });
    expect(takingBack(sending)).toEqual({ intent: "remove", id: sending.body.id, ifThere: true });
  });

  it("takes back a first grading of a known line", () => {
    const known = line({ visit: 2, moment: "before", grade: 3, tenderness: 1 });
    const sending = sendingOf(finding, at, [known]);
    expect(sending.body).toMatchObject({ intent: "grade", id: known.id, was: null });
    expect(takingBack(sending)).toEqual({
      intent: "ungrade",
      id: known.id,
      visitId: at.visit.id,
      moment: "before",
      was: { grade: 2, tenderness: 4 },
    });
  });

  it("puts back what a second grading replaced", () => {
    const known = line({ visit: 3, moment: "before", grade: 1, tenderness: 0 });
    const back = takingBack(sendingOf(finding, at, [known]));
    expect(back).toMatchObject({ intent: "grade", grade: 1, tenderness: 0, was: { grade: 2, tenderness: 4 } });
    // and what took it back can itself be taken back
    expect(takingBack({ body: back })).toMatchObject({ grade: 2, tenderness: 4, was: { grade: 1, tenderness: 0 } });
  });
});

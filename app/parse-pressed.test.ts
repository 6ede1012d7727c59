import { randomUUID } from "node:crypto";
import { parsePressed } from "./routes/client/table/parse-pressed";

const head = { id: randomUUID(), at: "2026-03-02T10:00:00Z" };
const answer = (body: object) => ({ ...head, kind: "answer", body });
const range = (body: object) => ({
  ...head,
  kind: "range",
  body: { moment: "before", movement: "neck-rotation", side: "L", drive: "active", values: [60], ...body },
});
const edge = (angles: object | null, body: object = {}) => ({
  ...head,
  kind: "edge",
  body: { moment: "before", side: "L", angles, ...body },
});
const good = { moment: "before", check: "hip-height", side: null, way: "hand", value: 1 };

describe("what was pressed at the table or moved", () => {
  it.each([
    ["an answer", answer(good), good],
    ["an answer taken back", answer({ ...good, value: null }), { ...good, value: null }],
    [
      "an answer without a side",
      answer({ moment: "after", check: "malleoli", way: "measured", value: -12 }),
      { side: null, value: -12 },
    ],
    ["one side of a check", answer({ ...good, check: "rock-sacrum", side: "R", value: 2 }), { side: "R", value: 2 }],
    ["a range", range({}), { movement: "neck-rotation", values: [60], endFeel: null, pain: null }],
    ["a range with how it ended", range({ endFeel: "hard", pain: 4 }), { endFeel: "hard", pain: 4 }],
    ["a range taken back", range({ values: [] }), { values: [] }],
    [
      "a range without sides",
      range({ movement: "jaw-opening", side: null, values: [38, 40] }),
      { side: null, values: [38, 40] },
    ],
    ["three angles of a leg", edge({ thigh: 10, knee: 70, drift: 5 }), { angles: { thigh: 10, knee: 70, drift: 5 } }],
    [
      "four angles of a leg",
      edge({ thigh: 10, knee: 70, drift: 5, thighStraight: 0 }),
      { angles: { thighStraight: 0 } },
    ],
    ["a leg taken back", edge(null), { angles: null }],
  ])("takes %s", (_, sent, body) => {
    expect(parsePressed(sent)).toMatchObject({ id: head.id, at: head.at, kind: sent.kind, body });
  });

  it("keeps nothing that was sent beside it", () => {
    const read = parsePressed(answer({ ...good, practice: "other", visit_id: "another" }));
    expect(read).toEqual({ ...head, kind: "answer", body: good });
    expect(parsePressed(edge({ thigh: 1, knee: 80, drift: 0, hidden: 1 }))).toMatchObject({
      body: { angles: { thigh: 1, knee: 80, drift: 0 } },
    });
  });

  it.each([
    ["nothing", null, /its id is not valid/],
    ["a number", 7, /its id is not valid/],
    ["an id that is none", { ...answer(good), id: "1" }, /its id is not valid/],
    ["a time that is none", { ...answer(good), at: "noon" }, /its time is not valid/],
    ["a kind that is not known", { ...answer(good), kind: "song" }, /its kind is not known/],
    ["a body that is none", { ...head, kind: "answer", body: 5 }, /Moment: before, again or after/],
    ["a moment", answer({ ...good, moment: "noon" }), /Moment: before, again or after/],
    ["no check", answer({ ...good, check: 3 }), /Check: choose one/],
    ["a check of another place", answer({ ...good, check: "aura" }), /“aura” is not made here/],
    ["a side", answer({ ...good, side: "middle" }), /Side: left, right or none/],
    ["a side of what has none", answer({ ...good, side: "L" }), /Side of hip height: none is taken/],
    ["a way", answer({ ...good, way: "guess" }), /Way: by hand or measured/],
    ["a text for a value", answer({ ...good, value: "1" }), /Value: a number/],
    ["a value beyond", answer({ ...good, value: 9 }), /from -3 to 3, got 9/],
    ["a movement", range({ movement: "wing" }), /“wing” is not measured here/],
    ["no movement", range({ movement: null }), /Movement: choose one/],
    ["a drive", range({ drive: "pushed" }), /Active or passive/],
    ["values that are none", range({ values: "60" }), /Values: a list of numbers/],
    ["a value that is none", range({ values: [60, null] }), /Values: a list of numbers/],
    ["a value no neck reaches", range({ values: [60, 300] }), /from -40 to 220, got 300/],
    ["too many", range({ values: Array<number>(11).fill(60) }), /at most 10 repeats, got 11/],
    ["an end-feel", range({ endFeel: "springy" }), /“springy” is not one of the words/],
    ["pain beyond", range({ pain: 12 }), /from 0 to 10, got 12/],
    ["pain in words", range({ pain: "much" }), /Pain: a number/],
    ["a leg without a side", edge({ thigh: 1, knee: 80, drift: 0 }, { side: null }), /Side: left or right/],
    ["an angle that is missing", edge({ thigh: 1, knee: 80 }), /Thigh drifts outward: type a number/],
    ["an angle beyond", edge({ thigh: 90, knee: 80, drift: 0 }), /Thigh above the table: from -40 to 70°, got 90/],
    [
      "a fourth angle beyond",
      edge({ thigh: 1, knee: 80, drift: 0, thighStraight: 99 }),
      /knee held straight: from -40 to 70/,
    ],
  ])("refuses %s, by field, rule and value", (_, sent, says) => {
    const read = parsePressed(sent);
    expect("reason" in read && read.reason).toMatch(says);
  });

  it("names the event it refuses, so that the sender lets go of that one alone", () => {
    expect(parsePressed(answer({ ...good, value: 9 }))).toMatchObject({ id: head.id });
    expect(parsePressed({ ...answer(good), id: 5 })).toMatchObject({ id: null });
  });
});

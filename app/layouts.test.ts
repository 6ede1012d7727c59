import { testReading } from "~core/test/reading";
import { compare } from "~core/change/compare";
import { metrics } from "~core/measure/metrics";
import type { Reading } from "~core/measure/reading";
import { changeBar } from "./routes/client/change/change-layout";
import { planCells } from "./routes/client/path/plan-grid-layout";
import { stripLayout, type StripVisit } from "./routes/client/path-strip-layout";
import { readOutBar } from "./routes/client/stand/read-out-layout";
import { clientSchema, toDraft } from "./routes/clients/client-form";
import { restrictionSchema } from "./routes/client/touch/restriction-form";
import { parseEvent } from "./routes/run/parse-events";
import { seriesSchema } from "./routes/client/path/series-form";
import { validate } from "./validation";

const metric = metrics.find((each) => each.key === "shoulder-level")!;
const reading = (value: number, se: number): Reading => testReading(metric, value, { se, id: "shoulder-level.front" });

describe("layouts", () => {
  it("places a reading, its band and the usual range on one line", () => {
    const bar = readOutBar(reading(4, 1), reading(6, 1), 200);
    expect(bar.now.from).toBeLessThan(bar.now.at);
    expect(bar.earlier!.at).toBeGreaterThan(bar.now.at);
    expect(bar.usual.to).toBeLessThan(bar.now.at);
    for (const x of [bar.now.from, bar.earlier!.to, bar.usual.from]) expect(x >= 0 && x <= 200).toBe(true);
  });

  it("ends the arrow outside the pale band exactly when something can be told of a change", () => {
    for (const by of [0.5, 1.5, 2.5, 3.5, 5]) {
      const change = compare(reading(6, 1), reading(6 - by, 1));
      const bar = changeBar(change, 200);
      expect(bar.end < bar.band.from).toBe(change.verdict !== "cannot be told");
    }
  });

  it("draws what was walked up to the current visit and the rest as ahead", () => {
    const visit = (ordinal: number, state: StripVisit["state"], depth: number): StripVisit => ({
      ordinal,
      name: "x",
      depth,
      light: false,
      state,
    });
    const strip = stripLayout([visit(1, "done", 2), visit(2, "current", 3), visit(3, "planned", 5)], 1000);
    expect(strip.nodes.map((node) => node.y)).toEqual([...strip.nodes.map((node) => node.y)].sort((a, b) => a - b));
    expect(strip.walked).toContain(String(strip.nodes[0]!.x));
    expect(strip.walked).not.toContain(String(strip.nodes[2]!.x));
    expect(stripLayout([], 1000).walked).toBe("");
  });

  it("hangs a plan's bars as deep as the work goes, and no deeper for gentle joint movement or light touch", () => {
    const mid = (technique: string, minutes: number) => ({
      technique,
      position: null,
      minutes: { mid: minutes },
    });
    const cells = planCells(
      [
        { steps: [mid("neck-sway", 4), mid("lt-skull-base", 6)] },
        { steps: [{ technique: "rotator-sink", position: null, minutes: { L: 5, R: 5 } }] },
      ],
      40,
    );
    const depth = (session: number, region: string) =>
      cells.find((cell) => cell.session === session && cell.region === region)?.depth;
    expect(depth(0, "neck")).toBe(2);
    expect(depth(0, "head")).toBe(1);
    expect(depth(1, "pelvis")).toBe(4);
    expect(Math.max(...cells.map((cell) => cell.width))).toBeLessThanOrEqual(40);
  });
});

describe("validation at the border", () => {
  const client = { name: "Una", pressureCeiling: "5", born: "", statureCm: "", complaintRegion: "" };
  it("takes a form's texts and leaves empty ones out", async () => {
    const { value } = await validate(clientSchema, client);
    expect(toDraft(value!)).toEqual({
      build: "middle",
      name: "Una",
      born: null,
      occupation: "",
      complaint: "",
      complaintRegion: null,
      furtherComplaints: [],
      statureMm: null,
      pressureCeiling: 5,
    });
  });
  it.each([
    [{ name: " " }, "name", /Name: type a name/],
    [{ born: "2099-01-01" }, "born", /2099-01-01 is not a day between 1900 and today/],
    [{ born: "1.2.1980" }, "born", /use year-month-day, got “1\.2\.1980”/],
    [{ statureCm: "400" }, "statureCm", /400 cm is over 230/],
    [{ statureCm: "tall" }, "statureCm", /type a number/],
    [{ pressureCeiling: "11" }, "pressureCeiling", /at most 10, got 11/],
    [{ complaintRegion: "tail" }, "complaintRegion", /“tail” is not one of the regions/],
  ])("names field, rule and value: %j", async (change, field, message) => {
    const { errors } = await validate(clientSchema, { ...client, ...change });
    expect(errors?.[field]).toMatch(message);
  });
  it("refuses a structure of another region", async () => {
    const { errors } = await validate(restrictionSchema, {
      id: "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e01",
      region: "neck",
      structure: "calf",
      side: "L",
      layer: "SM",
      quality: "band",
    });
    expect(errors?.structure).toMatch(/“calf” is not a structure of this region/);
  });
  it("refuses a series under two days apart, and locks on techniques nobody knows", async () => {
    const settings = {
      bookedMinutes: 90,
      thumbBudget: 40,
      startOn: "2026-11-24",
      intervalDays: 1,
      locks: [{ session: 0, technique: "magic", kind: "keep" }],
    };
    const { errors } = await validate(seriesSchema, { template: "ten-step", settings });
    expect(errors?.["settings.intervalDays"]).toMatch(/at least 2, got 1/);
    expect(Object.values(errors ?? {}).join()).toMatch(/“magic” is not in the catalogue/);
  });
  it("takes each event on its own, and says of each that is none why", () => {
    const id = "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e01";
    const good = { id, at: "2026-11-24T10:00:00.000Z", kind: "next", body: { step: 2 } };
    expect(parseEvent(good)).toEqual(good);
    const step = { technique: "neck-sway", side: "mid", position: null, planned: 60, passes: 1 };
    for (const [bad, reason] of [
      [{ ...good, kind: "erase" }, /kind/],
      [{ ...good, id: "7" }, /id/],
      [{ ...good, at: "yesterday" }, /time/],
      [{ ...good, at: "2026-13-24T10:00:00.000Z" }, /time/],
      [{ ...good, body: { step: -1 } }, /step/],
      [{ ...good, body: null }, /step/],
      [{ ...good, kind: "note", body: { step: 1, text: "" } }, /text/],
      [{ ...good, kind: "started", body: { steps: Array(201).fill(step) } }, /at most 200/],
      [null, /id/],
      ["event", /id/],
    ] as const)
      expect(parseEvent(bad)).toMatchObject({ reason: expect.stringMatching(reason) });
  });
  it("counts values before it looks at them: what no form of ours sends is refused at once", async () => {
    const settings = { locks: Array.from({ length: 5000 }, () => ({})) };
    expect((await validate(seriesSchema, { settings })).errors).toEqual({
      "": "At most 4000 values are taken at once.",
    });
  });
});

import { pointSchema, pressedSchema } from "./routes/client/points/point-form";
import { roseSchema, scarSchema } from "./routes/client/scars/scar-form";
import { consentSchema, subjects } from "./routes/client/intake/consent/consent-form";
import { wishesSchema } from "./routes/client/intake/wishes/wishes-form";
import { gradingSchema, restrictionSchema } from "./routes/client/touch/restriction-form";
import { lockSchema, planSchema, seriesSchema } from "./routes/client/path/series-form";
import { setupSchema, uploadSchema } from "./routes/client/stand/setup-form";
import { changeColour } from "./ui/change-colour";
import { shortDay, weekday } from "./ui/dates";
import { themes } from "./ui/theme";
import { validate } from "./validation";

const id = "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e01";
type Schema = Parameters<typeof validate>[0];
const errorsOf = async (schema: Schema, value: unknown) => (await validate(schema, value)).errors;

const good = {
  consent: {
    id,
    visitId: id,
    subject: "general",
    given: true,
    seen: 0,
    signedBy: "Una",
  },
  wishes: {
    version: 0,
    covering: "draped",
    positionsOut: ["prone"],
    oil: true,
    wax: false,
    scentFree: true,
    talk: "quiet",
    areasOut: [{ region: "leg", side: "L" }],
    pauseWord: " harbour ",
    chaperone: false,
  },
  grading: { id, moment: "before", grade: 3, tenderness: 10 },
  restriction: {
    id,
    region: "leg",
    structure: "calf",
    side: "both",
    layer: "SM",
    quality: "band",
    bind: "",
    ease: "feet",
  },
  series: {
    id: "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e05",
    template: "three-step",
    settings: { bookedMinutes: 60, thumbBudget: 0, startOn: "2026-12-01", intervalDays: 42, locks: [] },
  },
  setup: { stickLength: 1000, cameraDistance: 3000, cameraHeight: 950 },
  upload: {
    stickLength: "1000",
    cameraDistance: "3000",
    cameraHeight: "950",
    id,
    visit: id,
    moment: "after",
    view: "left",
  },
  lock: { session: 0, technique: "rise-slowly", kind: "keep" },
  scar: {
    id,
    places: ["lower-belly", "groin"],
    side: "R",
    line: {
      view: "front",
      points: [
        [80, 220],
        [84, 236],
      ],
    },
    lengthMm: 90,
    closed: true,
    words: " appendix ",
  },
  point: {
    id,
    structure: "upper-trapezius",
    side: "R",
    at: { view: "back", point: [120, 90] },
    area: {
      view: "right",
      points: [
        [90, 30],
        [100, 30],
        [100, 60],
      ],
    },
    referral: [
      { place: "temple", side: "R" },
      { place: "sacrum", side: null },
    ],
  },
  pressed: { id, moment: "after", tenderness: 3, reproduced: true, held: 40, was: null },
  rose: { id, moment: "before", slides: [3, 3, 1, 0, 2, 3, 3, 3], lift: 2, was: null },
};
const schemas: Record<keyof typeof good, Schema> = {
  consent: consentSchema,
  wishes: wishesSchema,
  grading: gradingSchema,
  restriction: restrictionSchema,
  series: seriesSchema,
  setup: setupSchema,
  upload: uploadSchema,
  lock: lockSchema,
  scar: scarSchema,
  point: pointSchema,
  pressed: pressedSchema,
  rose: roseSchema,
};

describe("what forms take", () => {
  it.each(Object.keys(good) as (keyof typeof good)[])("takes a well-filled %s", async (name) =>
    expect(await errorsOf(schemas[name], good[name])).toBeUndefined(),
  );

  it("trims texts, turns typed numbers into numbers, and drops what was not asked for", async () => {
    expect((await validate(wishesSchema, { ...good.wishes, admin: true })).value).toEqual({
      ...good.wishes,
      pauseWord: "harbour",
    });
    expect((await validate(uploadSchema, good.upload)).value).toMatchObject({ stickLength: 1000, cameraHeight: 950 });
  });

  it("asks who agrees only where somebody does", async () => {
    const declined = { ...good.consent, given: false, signedBy: "" };
    expect(await errorsOf(consentSchema, declined)).toBeUndefined();
    expect(await errorsOf(consentSchema, { ...declined, given: true })).toHaveProperty("signedBy");
    for (const subject of subjects) expect(await errorsOf(consentSchema, { ...good.consent, subject })).toBeUndefined();
  });

  it.each<[keyof typeof good, object, string, RegExp]>([
    ["consent", { id: "7" }, "id", /UUID/],
    ["consent", { signedBy: "n".repeat(121) }, "signedBy", /at most 120/],
    ["wishes", { covering: "wrapped" }, "covering", /choose one/],
    ["wishes", { positionsOut: ["prone", "supine", "side", "seated"] }, "positionsOut", /at least one has to be left/],
    ["grading", { grade: 4 }, "grade", /at most 3, got 4/],
    ["grading", { tenderness: 2.5 }, "tenderness", /whole numbers only, got 2.5/],
    ["grading", { moment: "during" }, "moment", /before or after/],
    ["restriction", { region: "tail" }, "region", /“tail” is not one of the regions/],
    ["restriction", { layer: "XX" }, "layer", /“XX” is not a layer/],
    ["restriction", { quality: "odd" }, "quality", /“odd” is not one of the words/],
    ["restriction", { bind: "sideways" }, "bind", /“sideways” is not a direction/],
    ["series", { template: "endless" }, "template", /“endless” is not known/],
    ["setup", { stickLength: 100 }, "stickLength", /100 mm is under 200/],
    ["setup", { cameraDistance: 20_000 }, "cameraDistance", /20000 mm is over 10000/],
    ["setup", { cameraHeight: "high" }, "cameraHeight", /type a number of millimetres/],
    ["setup", { stature: 100 }, "stature", /100 mm is under 900/],
    ["upload", { view: "above" }, "view", /front, back, left or right/],
    [
      "wishes",
      { areasOut: [{ region: "leg", places: ["tail"], side: "L" }] },
      "areasOut[0].places[0]",
      /“tail” is not one/,
    ],
    ["point", { structure: "unicorn" }, "structure", /“unicorn” is not one of the structures/],
    ["point", { at: { view: "back", point: [1, 2000] } }, "at.point[1]", /520/],
    ["point", { area: { view: "back", points: Array(81).fill([1, 1]) } }, "area.points", /more than 80/],
    ["point", { referral: [{ place: "moon", side: null }] }, "referral[0].place", /“moon” is not one of the places/],
    ["pressed", { tenderness: 11 }, "tenderness", /at most 10, got 11/],
    ["pressed", { held: 3601 }, "held", /at most an hour, got 3601/],
    ["scar", { places: [] }, "places", /name the place, or draw/],
    ["scar", { places: ["moon"] }, "places[0]", /“moon” is not one of the places/],
    ["scar", { lengthMm: 0 }, "lengthMm", /at least 1 mm, got 0/],
    ["scar", { lengthMm: "long" }, "lengthMm", /type millimetres/],
    ["scar", { closed: undefined }, "closed", /yes or no/],
    ["scar", { line: { view: "front", points: Array(61).fill([1, 1]) } }, "line.points", /more than 60/],
    ["rose", { slides: [1, 2, 3] }, "slides", /eight ways/],
    ["rose", { lift: 4 }, "lift", /0 to 3, got 4/],
    ["lock", { kind: "perhaps" }, "kind", /keep, leave-out/],
    ["lock", { session: -1 }, "session", /at least 0/],
  ])("names field, rule and value: %s %j", async (name, change, field, message) => {
    const errors = await errorsOf(schemas[name], { ...good[name], ...change });
    expect(errors?.[field]).toMatch(message);
  });

  it("takes a plan as the browser sends it, whatever the rules will say to it", async () => {
    const step = { technique: "rise-slowly", position: null, minutes: { mid: 2 } };
    const sided = { technique: "arm-spread", position: "supine", minutes: { L: 0, R: 3 } };
    const { value } = await validate(planSchema, { sessions: [{ steps: [step, sided] }], score: 12.5, bound: 20 });
    expect(value).toMatchObject({ score: 12.5, bound: 20 });
    expect(
      await errorsOf(planSchema, { sessions: [{ steps: [{ ...step, minutes: { mid: -1 } }] }], score: 1 }),
    ).toBeDefined();
    expect(
      await errorsOf(planSchema, { sessions: [{ steps: [{ ...step, position: "upside down" }] }], score: 1 }),
    ).toBeDefined();
  });
});

describe("dates and colours", () => {
  it("leaves out the year that goes without saying", () => {
    expect(shortDay("2026-02-03", "2026-11-25")).toBe("3 Feb");
    expect(shortDay("2025-12-31", "2026-01-01")).toBe("31 Dec 2025");
    expect(shortDay("2024-02-29")).toBe("29 Feb 2024");
    expect(weekday("2026-11-25")).toBe("Wednesday 25 November");
  });

  it("gives a change its colour only when something can be told", () => {
    const { tokens } = themes.light;
    expect(changeColour(tokens, undefined)).toBe(tokens.slate);
    expect(changeColour(tokens, { verdict: "cannot be told", direction: undefined })).toBe(tokens.slate);
    expect(changeColour(tokens, { verdict: "possible", direction: "towards" })).toBe(tokens.moss);
    expect(changeColour(tokens, { verdict: "clear", direction: "away" })).toBe(tokens.clay);
    expect(changeColour(tokens, { verdict: "clear", direction: undefined })).toBe(tokens.ink);
  });
});

import { randomUUID } from "node:crypto";
import { expect, test } from "@playwright/test";
import { firstVisit, inKiln, newClient, send, signIn } from "./before";

/** Rows that hang on a client, in every table that could have been written to. */
const rowsOf = (clientId: string) =>
  inKiln(async (tx) => {
    const counts: Record<string, number> = {};
    for (const table of [
      "history_version",
      "screening_answer",
      "caution_decision",
      "consent",
      "own_measure",
      "restriction",
    ])
      counts[table] = (await tx(table).where({ client_id: clientId })).length;
    for (const table of ["measurement", "own_score", "own_words", "session_event", "photo", "listening"])
      counts[table] = (
        await tx(table).whereIn("visit_id", tx("visit").where({ client_id: clientId }).select("id"))
      ).length;
    return counts;
  });

test("every form answers a bad value with the field, the rule and the value, and stores nothing", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Bad Input");
  const clientId = home.split("/").at(-1)!;
  const visitId = await firstVisit(clientId);
  const before = await rowsOf(clientId);
  const id = () => randomUUID();
  const entry = {
    intent: "tell",
    entryId: id(),
    versionId: id(),
    after: null,
    what: "broken wrist",
    condition: "fracture",
    kind: "injury",
    when: "2019",
    where: "left wrist",
    answer: null,
    why: "",
  };
  const restriction = {
    intent: "add",
    visitId,
    moment: "before",
    id: id(),
    region: "neck",
    structure: "upper-trapezius",
    layer: "SM",
    side: "L",
    quality: "drag",
    grade: 2,
    tenderness: 0,
    bind: "",
    ease: "",
  };
  const scar = { intent: "add", id: id(), places: ["knee"], side: "L", line: null, lengthMm: 40, closed: true };
  const consent = {
    id: id(),
    visitId,
    subject: "general",
    given: true,
    seen: 0,
    signedBy: "Somebody",
    signature: null,
  };
  const hand = { visitId, moment: "before", readingId: "head-tilt.front", method: "inclinometer", value: 3 };
  const wishes = {
    version: 0,
    covering: "draped",
    positionsOut: [],
    oil: true,
    wax: true,
    scentFree: false,
    talk: "either",
    areasOut: [],
    pauseWord: "",
    chaperone: false,
  };
  const school = {
    pressureCeiling: 7,
    hold: { least: 20, most: 60 },
    oil: true,
    wax: true,
    way: "both",
    withoutElbow: false,
    withoutThumb: false,
  };
  const client = {
    id: clientId,
    version: 1,
    name: "Bad Input",
    born: null,
    occupation: "",
    complaint: "",
    complaintRegion: null,
    statureCm: 172,
    pressureCeiling: 5,
  };
  const answer = (change: object) => ({
    visitId,
    answers: [{ id: id(), question: "hot-calf", answer: "no", seen: 0, ...change }],
  });
  const series = {
    id: id(),
    version: 0,
    template: "ten-step",
    settings: { bookedMinutes: 90, thumbBudget: 40, startOn: "2026-12-01", intervalDays: 7, locks: [] },
    plan: null,
  };
  const point = {
    intent: "add",
    id: id(),
    visitId,
    moment: "before",
    structure: "upper-trapezius",
    side: "R",
    referral: [],
    tenderness: 6,
  };
  const skin = { intent: "skin-add", id: id(), visitId, place: "blade", side: "L", response: "spots", after: "edge" };
  const cases: [address: string, body: object, says: RegExp][] = [
    ["/edit", { ...client, name: " " }, /Name: type a name/],
    ["/edit", { ...client, name: "n".repeat(121) }, /Name: at most 120/],
    ["/edit", { ...client, born: "1850-01-01" }, /1850-01-01 is not a day between 1900 and today/],
    ["/edit", { ...client, born: "12 May" }, /use year-month-day, got “12 May”/],
    ["/edit", { ...client, statureCm: 20 }, /20 cm is under 90/],
    ["/edit", { ...client, statureCm: "tall" }, /type a number of centimetres/],
    ["/edit", { ...client, build: "square" }, /slender, middle or broad, got “square”/],
    ["/edit", { ...client, pressureCeiling: 11 }, /at most 10, got 11/],
    ["/edit", { ...client, pressureCeiling: 4.5 }, /whole numbers only, got 4.5/],
    ["/edit", { ...client, complaintRegion: "soul" }, /“soul” is not one of the regions/],
    ["/intake", { ...entry, what: "" }, /What: type what it was/],
    ["/intake", { ...entry, when: "the flood" }, /“the flood” is not understood/],
    ["/intake", { ...entry, when: "2030" }, /“2030” is still to come/],
    ["/intake", { ...entry, where: "attic" }, /“attic” is no place we know/],
    ["/intake", { ...entry, condition: "rabies" }, /“rabies” is not in the catalogue/],
    ["/intake", { ...entry, intent: "strike" }, /say why it is changed/],
    ["/intake", { ...entry, intent: "end", endedOn: "2999-01-01" }, /2999-01-01 is still to come/],
    ["/intake/screening", answer({ question: "shoe-size" }), /“shoe-size” is not asked here/],
    ["/intake/screening", answer({ answer: "perhaps" }), /“perhaps” is not yes, no or don’t know/],
    ["/intake/consent", { ...consent, signedBy: "  " }, /Name: type the name of who agrees/],
    ["/intake/consent", { ...consent, subject: "everything" }, /“everything” is not one we ask for/],
    ["/intake/consent", { ...consent, signature: Array(61).fill([[1, 2]]) }, /it is too long. Clear it and sign again/],
    [
      "/intake/wishes",
      { ...wishes, positionsOut: ["prone", "supine", "side", "seated"] },
      /at least one has to be left/,
    ],
    ["/intake/wishes", { ...wishes, areasOut: [{ region: "aura", side: "L" }] }, /“aura” is not one of the regions/],
    ["/intake/wishes", { ...wishes, pauseWord: "w".repeat(41) }, /Pause word: at most 40/],
    ["/intake/scales", { intent: "add", id: id(), kind: "activity", name: " " }, /Name: type what it is/],
    ["/intake/scales", { intent: "score", id: id(), visitId, score: 11 }, /Score: at most 10, got 11/],
    ["/intake/scales", { intent: "score", id: id(), visitId, score: "much" }, /type a number from 0 to 10/],
    ["/intake/scales", { intent: "words", visitId, words: "w".repeat(4001) }, /at most 4000/],
    ["/assess/stand", { ...hand, value: 400 }, /From -60 to 120°, got 400/],
    ["/assess/stand", { ...hand, readingId: "mood.front" }, /“mood.front” is not measured here/],
    ["/assess/stand", { ...hand, method: "guess" }, /“guess” is not known/],
    ["/assess/stand", { ...hand, method: "tape" }, /it does not take this metric/],
    ["/assess/stand", { ...hand, method: "eye", value: 7 }, /Whole grades from -3 to 3, got 7/],
    ["/assess/touch", { ...restriction, grade: 4 }, /Grade/],
    ["/assess/touch", { ...restriction, tenderness: -1 }, /Tender/],
    ["/assess/touch", { ...restriction, structure: "unicorn" }, /unicorn/],
    ["/assess/touch", { ...skin, place: "moon" }, /“moon” is not one of the places/],
    ["/assess/touch", { ...skin, side: null }, /every other has left or right/],
    ["/assess/touch", { ...skin, response: "purple" }, /“purple” is not one of the words/],
    ["/assess/touch", { ...skin, after: "luck" }, /got “luck”/],
    ["/assess/touch", { intent: "skin-gone", id: id(), gone: "2999-01-01" }, /2999-01-01 is still to come/],
    ["/assess/touch", { intent: "skin-gone", id: id(), gone: "soon" }, /use year-month-day, got “soon”/],
    ["/assess/points", { ...point, structure: "unicorn" }, /unicorn/],
    ["/assess/points", { ...point, tenderness: 11 }, /at most 10, got 11/],
    ["/assess/scars", { ...scar, lengthMm: "long" }, /Length: type millimetres/],
    ["/assess/scars", { ...scar, places: ["moon"] }, /“moon” is not one of the places/],
    ["/assess/scars", { ...scar, sinceSaid: "the day of the flood" }, /“the day of the flood” is not understood/],
    ["/assess/scars", { ...scar, sinceSaid: "2999" }, /“2999” is still to come/],
    ["/assess/scars", { intent: "feel", id: id(), visitId, moment: "before", slides: [1, 2], lift: 1 }, /eight ways/],
    ["/reading", { key: "nobody", body: { kind: "pattern", as: "out" } }, /Pattern: “nobody” is not known/],
    ["/reading", { key: "t", body: { kind: "target", weight: 9 } }, /Weight: at most 3, got 9/],
    [
      "/reading",
      { key: "o", body: { kind: "own", structure: "tail", side: "L", weight: 1, minutes: 5 } },
      /“tail” is not known/,
    ],
    ["/path", { ...series, template: "eleven-step" }, /“eleven-step” is not known/],
    ["/path", { ...series, settings: { ...series.settings, bookedMinutes: 20 } }, /at least 40, got 20/],
    ["/path", { ...series, settings: { ...series.settings, intervalDays: 1 } }, /at least 2, got 1/],
    ["/path", { ...series, settings: { ...series.settings, startOn: "soon" } }, /use year-month-day, got “soon”/],
    ["/path", { ...series, plan: { sessions: [], score: 99 } }, /The series has 10 sessions and the plan 0/],
    ["/practice", { ...school, hold: { least: 90, most: 60 } }, /shorter than the shortest/],
    ["/practice", { ...school, hold: { least: 2, most: 60 } }, /at least 5 s, got 2/],
    ["/practice", { ...school, hold: { least: "long", most: 60 } }, /type a number of seconds/],
  ];
  for (const [address, body, says] of cases) {
    const { status, text } = await send(page, address === "/practice" ? address : `${home}${address}`, body);
    expect({
      address,
      body,
      refused: status >= 400,
      says: says.test(text) ? "as it should" : text.slice(0, 300),
    }).toEqual({
      address,
      body,
      refused: true,
      says: "as it should",
    });
  }
  expect(await rowsOf(clientId)).toEqual(before);
  expect(await inKiln((tx) => tx("client").where({ id: clientId }).first("name", "version"))).toEqual({
    name: "Bad Input",
    version: 1,
  });
});

test("what is sent twice is stored once, and what came from an older page is refused", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Sent Twice");
  const clientId = home.split("/").at(-1)!;
  const visitId = await firstVisit(clientId);
  const [entryId, versionId] = [randomUUID(), randomUUID()];
  const tell = {
    intent: "tell",
    entryId,
    versionId,
    after: null,
    what: "reflux",
    condition: "reflux",
    kind: "condition",
  };
  for (let i = 0; i < 2; i++) expect((await send(page, `${home}/intake`, tell)).status).toBe(200);
  const answers = [{ id: randomUUID(), question: "hot-calf", answer: "no", seen: 0 }];
  for (let i = 0; i < 2; i++)
    expect((await send(page, `${home}/intake/screening`, { visitId, answers })).status).toBe(200);
  const consent = { id: randomUUID(), visitId, subject: "general", given: true, seen: 0, signedBy: "Sent Twice" };
  for (let i = 0; i < 2; i++) expect((await send(page, `${home}/intake/consent`, consent)).status).toBe(200);
  const changed = { id: randomUUID(), intent: "nothing-changed" };
  for (let i = 0; i < 2; i++) expect((await send(page, `/run/${visitId}`, changed)).status).toBe(200);
  expect(await rowsOf(clientId)).toMatchObject({ history_version: 1, consent: 1, screening_answer: 6 });

  const old = { ...tell, intent: "change", versionId: randomUUID(), after: randomUUID(), why: "second tab" };
  expect((await send(page, `${home}/intake`, old)).status).toBe(409);
  const wishes = {
    covering: "clothed",
    positionsOut: [],
    oil: true,
    wax: true,
    scentFree: false,
    talk: "either",
    areasOut: [],
    pauseWord: "",
    chaperone: false,
  };
  expect((await send(page, `${home}/intake/wishes`, { ...wishes, version: 0 })).status).toBe(200);
  expect((await send(page, `${home}/intake/wishes`, { ...wishes, version: 0 })).status).toBe(409);
});

test("a caution can only be decided about in the way its kind allows", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Decided Wrongly");
  const clientId = home.split("/").at(-1)!;
  const entryId = randomUUID();
  const tell = {
    intent: "tell",
    entryId,
    versionId: randomUUID(),
    after: null,
    what: "osteoporosis",
    condition: "osteoporosis",
    kind: "condition",
  };
  await send(page, `${home}/intake`, tell);
  const day = new Date().toISOString().slice(0, 10);
  const told = await inKiln((tx) => tx("history_version").where({ entry_id: entryId }).first("created_at"));
  const seen = `${(told.created_at as Date).toISOString()} `;
  const decide = (outcomeKey: string, change: object) =>
    send(page, `${home}/cautions`, {
      id: randomUUID(),
      outcomeKey: `${entryId} ${outcomeKey}`,
      kind: "override",
      seen,
      who: "",
      on: day,
      what: "we agreed on it",
      ...change,
    });
  const cases: [string, object, number, RegExp][] = [
    ["compression", {}, 400, /to exclude cannot be set aside by override/],
    ["compression", { kind: "clearance" }, 400, /Who cleared it: type a name or a role/],
    ["compression", { kind: "clearance", who: "Dr A", on: "2999-01-01" }, 400, /2999-01-01 is still to come/],
    ["compression", { kind: "clearance", who: "Dr A", what: "ok" }, 400, /“ok” says too little/],
    ["compression", { kind: "withdrawn" }, 400, /cannot be set aside by withdrawn/],
    ["pressure", { kind: "clearance", who: "Dr A" }, 400, /to limit cannot be set aside by clearance/],
    ["nothing", {}, 409, /no longer there/],
    // what was told again meanwhile, or decided about, was not what they decided about
    ["pressure", { seen: "2026-01-01T00:00:00.000Z " }, 409, /changed or decided meanwhile/],
  ];
  for (const [key, change, status, says] of cases) {
    const answer = await decide(key, change);
    expect({ key, change, status: answer.status }).toEqual({ key, change, status });
    expect(answer.text).toMatch(says);
  }
  expect((await rowsOf(clientId)).caution_decision).toBe(0);
  expect((await decide("pressure", {})).status).toBe(200);
  expect((await decide("compression", { kind: "clearance", who: "Dr A, by letter" })).status).toBe(200);
  await page.goto(home);
  await page.getByRole("button", { name: "Osteoporosis, set aside" }).click();
  const dialog = page.getByRole("dialog", { name: "Cautions" });
  await expect(dialog.getByText(/Worked against by Odile Marrow/)).toBeVisible();
  await dialog.getByRole("button", { name: "Withdraw the clearance" }).click();
  await dialog.getByLabel("Why it no longer holds").fill("new scan, worse");
  await dialog.getByRole("button", { name: "Record it" }).click();
  await expect(dialog.getByRole("button", { name: "Record a clearance" })).toBeVisible();
  await dialog.getByRole("button", { name: "Close" }).click();
  await expect(page.getByRole("button", { name: "Osteoporosis", exact: true })).toBeVisible();
});

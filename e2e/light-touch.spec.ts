import { randomUUID } from "node:crypto";
import { expect, test, type Page } from "@playwright/test";
import { firstVisit, inKiln, newClient, readyToWork, send, signIn, solveBy } from "./before";
import { accessible } from "./helpers";

/** The hold that is worked, and its one big button. */
const hold = (page: Page, name: string) => page.getByRole("region", { name, exact: true });

test("the arc is run by one key through a lost network; the still point is timed, the stations listened at again", async ({
  page,
  context,
}) => {
  await signIn(page);
  const home = await newClient(page, "Quiet Arc");
  const visitId = await firstVisit(home.split("/").at(-1)!);
  await page.goto(`${home}/assess/arc`);
  // nobody is worked on before the questions and the consent
  await expect(page.getByRole("alert")).toBeVisible();
  const early = {
    id: randomUUID(),
    at: new Date().toISOString(),
    kind: "arc",
    body: { press: "phase", hold: "jaw", phase: 0 },
  };
  expect((await send(page, `${home}/table/${visitId}`, [early])).status).toBe(422);
  await readyToWork(page, home);
  await page.goto(`${home}/assess/arc`);
  await expect(page.getByRole("alert")).toHaveCount(0);
  await page.getByRole("button", { name: /^Short form/ }).click();
  await expect(hold(page, "Pelvic sheet")).toBeVisible();
  await accessible(page);
  await page.locator("body").click({ position: { x: 900, y: 30 } });
  await page.keyboard.press("Space");
  await expect(hold(page, "Pelvic sheet")).toContainText("Melt in: nothing but contact");
  await context.setOffline(true);
  await page.keyboard.press("Space");
  await expect(hold(page, "Pelvic sheet")).toContainText("Wait, and follow");
  await hold(page, "Pelvic sheet").getByRole("button", { name: "warmth" }).click();
  await hold(page, "Pelvic sheet")
    .getByRole("button", { name: /^It loops/ })
    .click();
  await page.locator("body").click({ position: { x: 900, y: 30 } });
  await page.keyboard.press("Space");
  await page.keyboard.press("Space");
  await expect(hold(page, "Respiratory sheet")).toBeVisible();
  await expect(page.getByText(/not sent yet: kept here/)).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText(/not sent yet|Being kept/)).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole("navigation", { name: "Steps of the arc" })).toContainText(
    /Pelvic sheet0:0\d, warmth 1 loop/,
  );
  await expect(page.getByRole("button", { name: "Hands on: melt in" })).toBeEnabled();
  for (let i = 0; i < 40 && !(await page.getByRole("heading", { name: /Listen again/ }).isVisible()); i++)
    await page.keyboard.press("Space");

  // one press each: hands on, it stands still, it is back
  const still = page.getByRole("region", { name: "Still point" });
  await still.getByLabel("Rate before, a minute").fill("900");
  await expect(still.getByText("Rate: above 0 and up to 200 a minute, got “900”.")).toBeVisible();
  await still.getByLabel("Rate before, a minute").fill("9");
  await still.getByRole("button", { name: "Hands on" }).click();
  await still.getByRole("button", { name: "It stands still" }).click();
  await still.getByRole("button", { name: "It is back" }).click();
  await still.getByLabel("Rate before, a minute").fill("7.5");
  await still.getByLabel("How it came back").click();
  await page.getByRole("option", { name: "full and even" }).click();
  await expect(still).toContainText(
    /At the occiput: still after 0:0\d min, for 0:0\d min; full and even; 9\.0 → 7\.5 a minute/,
  );
  await accessible(page);
  await expect(page.getByText("Being kept …")).toHaveCount(0);
  await page.getByRole("link", { name: "Listen again" }).click();
  await expect(page.getByRole("button", { name: "After" })).toHaveAttribute("aria-pressed", "true");
  await page.goto(`${home}/assess/summary`);
  await expect(page.getByRole("region", { name: "Light touch" })).toContainText(
    /the short form of the arc, 6 holds in .*; the stations were not listened at again/,
  );
});

test("an arc is planned over three visits, run by one key, and what was held enters the plan", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Planned Arc");
  await firstVisit(home.split("/").at(-1)!);
  await readyToWork(page, home);
  await solveBy(page, home, "Light-touch arc over three visits", 60);
  const panel = page.getByRole("complementary", { name: "Chosen session" });
  await expect(panel).toContainText("Listening at the stations", { timeout: 30_000 });
  await expect(panel).toContainText("Listening again");
  await expect(page.getByText(/it is proven that no plan/)).toBeVisible({ timeout: 30_000 });
  await accessible(page);

  await page.goto(`${home}/sessions?visit=1`);
  await page.locator('a[href^="/run/"]').first().click();
  const start = page.getByRole("button", { name: "Start the clock" });
  await expect(start).toBeVisible();
  await expect(async () => {
    const same = page.getByRole("button", { name: "Nothing changed" });
    if (await same.isVisible()) await same.click({ timeout: 1000 });
    await expect(same).toHaveCount(0, { timeout: 1000 });
  }).toPass();
  await start.click();
  await expect(hold(page, "Pelvic sheet")).toContainText(/The plan has [\d.]+ min for cross-wise sheets in all/);
  await accessible(page);
  // a pedal turns pages
  await page.keyboard.press("PageDown");
  await expect(hold(page, "Pelvic sheet")).toContainText("Melt in: nothing but contact");
  for (let i = 0; i < 40 && !(await page.getByRole("heading", { name: /Listen again/ }).isVisible()); i++)
    await page.keyboard.press("PageDown");
  await page.getByRole("button", { name: "Finish the session" }).click();
  await expect(page.getByText("The stations were not listened at again")).toBeVisible();
  await expect(page.getByText(/saving|no connection/)).toHaveCount(0);
  await page.getByRole("link", { name: "Close the visit" }).click();
  await expect(page.getByLabel("Note")).toHaveValue(/the arc, first of three visits, 9 holds/);
});

test("how the bones move is felt before and after, drawn, judged end by end, and reaches the report", async ({
  page,
}) => {
  await signIn(page);
  const home = await newClient(page, "Turned Wing");
  await page.goto(`${home}/assess/bones`);
  const torsion = page.getByRole("region", { name: "Sphenoid, torsion" });
  const felt = async (left: string, right: string) => {
    await torsion.getByRole("group", { name: "left: how far" }).getByRole("button", { name: left }).click();
    await torsion.getByRole("group", { name: "right: how far" }).getByRole("button", { name: right }).click();
  };
  await felt("3, free", "0, stuck");
  await expect(torsion).toContainText("balance 1.00 ±0.65 towards left");
  // a second round shows nothing of the first, and says nothing of the client
  await page.getByRole("button", { name: "Second round, blind" }).click();
  await expect(torsion.getByRole("button", { pressed: true })).toHaveCount(0);
  await felt("2, some", "0, stuck");
  await page.getByRole("button", { name: "Back to the first round" }).click();
  await expect(torsion).toContainText("balance 1.00 ±0.65 towards left");
  await torsion.getByRole("button", { name: "5 g here" }).nth(1).click();
  await page.getByRole("button", { name: "After", exact: true }).click();
  await felt("3, free", "3, free");
  const found = page.getByRole("region", { name: "Before and after" });
  await expect(found).toContainText("Sphenoid, torsion, right: 0 → 3 (clear, freer)");
  await accessible(page);
  await page.getByRole("button", { name: "Temporals, left" }).press("Enter");
  await expect(page.getByRole("heading", { name: "Temporals", level: 2 })).toBeVisible();
  await expect(page.getByText("Being kept …")).toHaveCount(0);
  await page.goto(`${home}/assess/summary`);
  await expect(page.getByRole("region", { name: "Light touch" })).toContainText("right: 0 → 3 of 3 (clear, freer)");
  await page.goto(`${home}/change`);
  await expect(page.getByRole("region", { name: "Light touch" })).toContainText("right: 0 → 3 of 3 (clear)");
});

test("nobody is unwound without an explicit yes; then its path is drawn, read, and stopped at once on their word", async ({
  page,
}) => {
  await signIn(page);
  const home = await newClient(page, "Own Way");
  const visitId = await firstVisit(home.split("/").at(-1)!);
  await readyToWork(page, home);
  await page.goto(`${home}/assess/unwinding`);
  await expect(page.getByRole("alert")).toContainText("explicit consent");
  await expect(page.getByRole("button", { name: "Hands on" })).toBeDisabled();
  const begun = { press: "begun", run: randomUUID(), part: "neck" };
  const refused = await send(page, `${home}/table/${visitId}`, [
    { id: randomUUID(), at: new Date().toISOString(), kind: "unwind", body: begun },
  ]);
  expect(refused).toMatchObject({ status: 422, text: expect.stringContaining("explicit consent") });
  const consent = { id: randomUUID(), visitId, subject: "unwinding", given: true, seen: 0, signedBy: "the client" };
  expect((await send(page, `${home}/intake/consent`, consent)).status).toBe(200);

  await page.reload();
  await page.getByLabel("What is followed").click();
  await page.getByRole("option", { name: "right arm" }).click();
  await page.getByRole("button", { name: "Hands on" }).click();
  const pad = page.getByRole("img", { name: "Draw the path with one finger" });
  const box = (await pad.boundingBox())!;
  const [cx, cy, r] = [box.x + box.width / 2, box.y + box.height / 2, Math.min(box.width, box.height) / 4];
  await page.mouse.move(cx + r, cy);
  await page.mouse.down();
  for (let i = 1; i <= 50; i++)
    await page.mouse.move(cx + r * Math.cos((2 * Math.PI * i) / 24), cy + r * Math.sin((2 * Math.PI * i) / 24));
  await page.mouse.up();
  await page.getByRole("button", { name: "It stands still" }).click();
  await page.getByRole("button", { name: /^It loops/ }).click();
  await accessible(page);
  await page.getByRole("button", { name: "Their word: stop at once" }).click();
  await expect(page.getByRole("button", { name: "It stands still" })).toHaveCount(0);
  const over = page.getByRole("region", { name: "Over the sessions" });
  await expect(over).toContainText("right arm: 2 loops");
  await expect(over).toContainText("A trend needs four times or more");
  await expect(page.getByText("Being kept …")).toHaveCount(0);
  await page.reload();
  await expect(over).toContainText("right arm: 2 loops");
  await expect(page.getByText(/1 barrier; ended by the client/)).toBeVisible();
  expect(await inKiln((tx) => tx("table_event").where({ visit_id: visitId, kind: "unwind" }).pluck("id"))).not.toEqual(
    [],
  );
});

test("after a lumbar puncture last week no hold of cranial work is begun, and the arc says why", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Needle Week");
  const visitId = await firstVisit(home.split("/").at(-1)!);
  await readyToWork(page, home);
  await page.goto(`${home}/intake`);
  await page.getByLabel("What", { exact: true }).fill("lumbar puncture last week");
  await expect(page.getByRole("status", { name: "What was read" })).toContainText("Lumbar puncture");
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(
    page
      .getByRole("listitem")
      .filter({ hasText: /lumbar puncture/i })
      .first(),
  ).toBeVisible();
  await page.goto(`${home}/assess/arc`);
  await expect(page.getByRole("alert")).toContainText(
    /Lumbar puncture or spinal fluid leak: low back: after a lumbar puncture or a leak cranial work waits/,
  );
  const begun = { press: "phase", hold: "sphenoid-lift", phase: 0 };
  const refused = await send(page, `${home}/table/${visitId}`, [
    { id: randomUUID(), at: new Date().toISOString(), kind: "arc", body: begun },
  ]);
  expect(refused).toMatchObject({ status: 422, text: expect.stringContaining("cranial work waits") });

  // nor is it planned: of the third visit nothing would be left, and that is said
  await solveBy(page, home, "Light-touch arc over three visits");
  await expect(page.getByRole("alert")).toContainText(
    /session 3: nothing of its arc is left to be worked: lumbar puncture.*cranial work waits/,
    { timeout: 20_000 },
  );
});

test("the trainer says when the scale is gone and loses no round; the arc is put in order, and kept once", async ({
  page,
}) => {
  await signIn(page, "tamsin@kiln.example");
  await page.goto("/practice/trainer?of=order");
  const rounds = page.getByRole("region", { name: "Rounds so far" });
  await page.getByRole("button", { name: "That is the order" }).click();
  await expect(page.getByText(/^\d+ of 45 pairs stand the wrong way round/)).toBeVisible();
  await expect(rounds.getByRole("listitem")).toHaveCount(1);
  await accessible(page);
  await rounds.getByRole("button", { name: /^Take back/ }).click();
  await expect(rounds.getByRole("listitem")).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(rounds.getByRole("listitem")).toHaveCount(1);

  await page.getByRole("button", { name: "Force" }).click();
  await page.getByRole("button", { name: "blind" }).click();
  await page.getByRole("button", { name: "Begin" }).click();
  await expect(page.getByRole("status").filter({ hasText: "its zero is weighed" })).toBeVisible();
  await expect(page.getByRole("status").filter({ hasText: /Hands on, and hold 5 g/ })).toBeVisible();
  await expect(page.getByRole("img", { name: /hidden until the round is over/ })).toBeVisible();
  const force = page.getByRole("slider", { name: "Force on the stand-in" });
  for (let i = 0; i < 50; i++) await force.press("ArrowUp");
  await expect(page.getByRole("status").filter({ hasText: /hold 5 g: 2\d s/ })).toBeVisible();
  await page.getByRole("button", { name: "Pull the stand-in’s plug" }).click();
  await expect(page.getByText(/The scale is gone, after less than ten seconds of holding/)).toBeVisible();
  await expect(page.getByRole("button", { name: "Begin" })).toBeEnabled();
  await accessible(page);
  const bad = await send(page, "/practice/trainer", { id: randomUUID(), kind: "dance", score: 1, body: {} });
  expect(bad).toMatchObject({ status: 400, text: expect.stringContaining("“dance” is no kind of it") });
});

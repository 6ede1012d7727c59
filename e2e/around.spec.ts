import { expect, test } from "@playwright/test";
import { accessible, noConsoleErrors, ruben } from "./helpers";
import { solve, tell } from "./intake-steps";
import { newClient, readyToWork, signIn } from "./before";

const petra = "/clients/5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e03";
const maribel = "/clients/5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e05";

test("Today says what has to be known before hands touch anyone, on a phone too", async ({ page }) => {
  const clean = noConsoleErrors(page);
  await signIn(page);
  await page.goto("/");
  const row = page.getByRole("listitem").filter({ hasText: "Ines Okafor-Lind" });
  await expect(row).toContainText("Allergy to nuts");
  await expect(row).toContainText("Pressure up to 5");
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(row).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
  await accessible(page);
  await row.getByRole("link", { name: "Ines Okafor-Lind" }).click();
  await expect(page.getByRole("button", { name: "Allergy to nuts" })).toBeVisible();
  clean();
});

test("the intake fits a tablet held upright, by touch", async ({ browser }) => {
  const context = await browser.newContext({
    viewport: { width: 820, height: 1180 },
    hasTouch: true,
    baseURL: process.env.BASE_URL!,
  });
  const page = await context.newPage();
  await signIn(page);
  const home = await newClient(page, "Held Upright");
  await page.goto(`${home}/intake`);
  await tell(page, "sprained right ankle", "summer 2024");
  for (const part of ["", "/screening", "/consent", "/wishes", "/scales"]) {
    await page.goto(`${home}/intake${part}`);
    await expect(page.getByRole("navigation", { name: "Intake" })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(820);
    await accessible(page);
  }
  await page.goto(`${home}/intake/screening`);
  const calf = page.getByRole("group", { name: /calves hot/ });
  await calf.getByRole("button", { name: "Don’t know" }).tap();
  await expect(calf.getByRole("button", { name: "Don’t know" })).toHaveAttribute("aria-pressed", "true");
  await page.goto(`${home}/intake/consent`);
  await page.getByRole("button", { name: "Ask" }).first().tap();
  const pad = (await page.getByRole("img", { name: "Sign here" }).boundingBox())!;
  await page.touchscreen.tap(pad.x + 80, pad.y + 40);
  await expect(page.getByRole("button", { name: "I agree" })).toBeEnabled();
  await page.getByRole("button", { name: "Clear" }).tap();
  await expect(page.getByRole("button", { name: "I agree" })).toBeDisabled();
  await page.getByRole("button", { name: "I do not agree" }).tap();
  await expect(page.getByText(/^Declined .* Without it no session starts/)).toBeVisible();
  await context.close();
});

test("the command box reaches every part of a client, and ? lists the keys", async ({ page }) => {
  await signIn(page);
  await page.goto(petra);
  await expect(page.getByRole("button", { name: "Osteoporosis" })).toBeVisible();
  for (const [typed, option, address] of [
    ["screen", "Screening: may I work", /intake\/screening/],
    ["wish", "Wishes: covering, positions, pause word", /intake\/wishes/],
    ["hist", "History: what was and what is", /\/intake$/],
    ["own sc", "Own scales: activities and pain", /intake\/scales/],
  ] as const) {
    await page.keyboard.press("Control+k");
    await page.getByRole("combobox", { name: /Jump to/ }).fill(typed);
    await expect(page.getByRole("option", { name: option })).toBeVisible();
    await page.keyboard.press("Enter");
    await expect(page).toHaveURL(address);
    await expect(page.getByRole("dialog")).toHaveCount(0);
  }
  await page.keyboard.press("?");
  await expect(page.getByText("Screening: yes, no, don’t know, and on to the next question")).toBeVisible();
});

test("what they wish filters the plan, and the run sheet knows the pause word", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Clothed Always");
  await readyToWork(page, home);
  await page.goto(`${home}/intake/wishes`);
  await page.getByRole("button", { name: "Stays clothed" }).click();
  await page.getByRole("group", { name: "Positions not possible" }).getByRole("button", { name: "Prone" }).click();
  await page.getByLabel("Add an area").fill("left foot");
  await page.getByRole("button", { name: "Add foot, left" }).click();
  await page.getByLabel("Pause word").fill("anchor");
  await page.getByLabel("A third person is to be there").check();
  await page.getByRole("button", { name: "Save wishes" }).click();
  await expect(page.getByText("Saved. The plan follows.")).toBeVisible();
  for (const chip of ["Not touched: foot, left", "Stays clothed"])
    await expect(page.locator("header").getByRole("button", { name: chip, exact: true })).toBeVisible();
  await page.getByRole("button", { name: /^\d more$/ }).click();
  await expect(page.getByRole("dialog", { name: "Cautions" })).toContainText("On “anchor” everything stops at once.");
  // a wish is changed where it was made: nobody decides against it
  await expect(page.getByRole("dialog").getByRole("button", { name: /Work against|clearance/ })).toHaveCount(0);
  await page.getByRole("dialog").getByRole("button", { name: "Close" }).click();
  await solve(page, home);
  await page.goto(`${home}/sessions`);
  await expect(page.getByRole("listitem").filter({ hasText: "prone" })).toHaveCount(0);
  await expect(page.getByRole("region", { name: "Left out for safety" })).toContainText("Stays clothed");
  await page.getByRole("link", { name: "Start the session" }).click();
  await expect(page.getByText("pause word “anchor”")).toBeVisible();
  await page.goto(`${home}/path`);
  await expect(page.getByText(/break.? a caution/)).toHaveCount(0);
});

test("the practitioner's own school holds in every plan of theirs and in nobody else's", async ({ page }) => {
  await signIn(page, "tamsin@kiln.example");
  const home = await newClient(page, "Two Schools");
  await readyToWork(page, home);
  await solve(page, home);
  await page.goto("/practice");
  const form = page.getByRole("form", { name: "How you work" });
  // a school to start from says what it changes, and is taken back as long as it is not saved
  await form.getByLabel("Start from a school").selectOption({ label: "Light touch" });
  await expect(form.getByRole("list", { name: "What it changes" })).toContainText(
    "Pressure up to 2 of 10 instead of 7.",
  );
  await expect(form.getByRole("list", { name: "What it changes" })).toContainText(/\d\d techniques left out/);
  await expect(form.getByLabel("Hold from (s)")).toHaveValue("60");
  await form.getByLabel("Start from a school").selectOption({ label: "as you work now" });
  await expect(form.getByLabel("Hold from (s)")).toHaveValue("20");
  await form.getByLabel("Hold from (s)").fill("60");
  await form.getByLabel("to (s)", { exact: true }).fill("30");
  await form.getByRole("button", { name: "Save how you work" }).click();
  await expect(form.getByText("Longest hold: it is shorter than the shortest.")).toBeVisible();
  await expect(form.getByLabel("Hold from (s)")).toHaveValue("60");
  await form.getByLabel("to (s)", { exact: true }).fill("90");
  await form.getByLabel("Pressure up to").selectOption("3");
  await form.getByRole("button", { name: "Follow ease" }).click();
  await form.getByRole("button", { name: "Save how you work" }).click();
  await expect(page.getByText(/Plans heed it/)).toBeVisible();
  await page.goto(`${home}/path`);
  await expect(page.getByText(/break.? a caution that was not there/)).toBeVisible();
  await page.goto(`${home}/intake/screening`);
  await expect(page.getByRole("region", { name: "What follows" })).toContainText("You work up to 3 of 10.");
  // it stands on no chip: it says nothing about the client
  await expect(page.getByRole("button", { name: "Your own ceiling" })).toHaveCount(0);
  await page.goto("/practice");
  await form.getByLabel("Pressure up to").selectOption("7");
  await form.getByRole("button", { name: "Save how you work" }).click();
  await expect(page.getByText(/Plans heed it/)).toBeVisible();
  await page.goto(`${home}/path`);
  await expect(page.getByText(/break.? a caution that was not there/)).toHaveCount(0);
});

test("own scales are judged by what counts, over the visits of the series", async ({ page }) => {
  await signIn(page);
  await page.goto(`/clients/${ruben}/intake/scales?visit=4`);
  const bench = page.getByRole("group", { name: "Bend over the bench for an hour, 0 to 10" });
  await expect(bench.getByRole("button", { name: "6", exact: true })).toHaveAttribute("aria-pressed", "true");
  await expect(page.getByText("Clearly better: +4 points since the first visit; 4 points count.")).toBeVisible();
  await expect(page.getByText(/Cannot be told: \+2 is less than the 4 points that count/)).toBeVisible();
  await expect(page.getByText(/Mean of the activities: Clearly better/)).toBeVisible();

  const home = await newClient(page, "Own Words");
  await page.goto(`${home}/intake/scales`);
  const name = page.getByLabel("What they want to do again, or where it hurts");
  for (const activity of ["Row", "Mend nets", "Climb the mast"]) {
    await name.fill(activity);
    await page.getByRole("button", { name: "Add as activity" }).click();
    await expect(page.getByRole("group", { name: `${activity}, 0 to 10` })).toBeVisible();
  }
  await name.fill("Sleep");
  await expect(page.getByRole("button", { name: "Add as activity" })).toBeDisabled();
  await page.getByRole("button", { name: "Retire" }).first().click();
  await expect(page.getByText("1 no longer asked")).toBeVisible();
  await page.getByRole("button", { name: "Add as activity" }).click();
  await expect(page.getByRole("group", { name: "Sleep, 0 to 10" })).toBeVisible();
  await page.getByLabel("In their own words").fill("the left oar feels longer");
  await page.getByRole("button", { name: "Keep" }).click();
  await expect(page.getByText("Saved", { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel("In their own words")).toHaveValue("the left oar feels longer");
});

test("a change since last time is told before the visit, and again for the next", async ({ page }) => {
  await signIn(page);
  await page.goto(`${maribel}/intake/screening?visit=3`);
  const changed = page.getByRole("region", { name: "What changed" });
  await expect(changed.getByText("not asked for this visit")).toHaveCount(5);
  await changed
    .getByRole("group", { name: /new medication/ })
    .getByRole("button", { name: "Yes" })
    .click();
  await expect(page.getByRole("region", { name: "What follows" })).toContainText(
    "put it into the history before you work",
  );
  await changed.getByRole("button", { name: "Nothing changed" }).click();
  await expect(changed.getByText("not asked for this visit")).toHaveCount(0);
  await expect(
    changed.getByRole("group", { name: /new medication/ }).getByRole("button", { name: "Yes" }),
  ).toHaveAttribute("aria-pressed", "true");
  await expect(changed.getByText(/Odile Marrow/)).toHaveCount(5);
  await page.goto(`${maribel}/intake/screening?visit=1`);
  await expect(
    page.getByRole("region", { name: "What changed" }).getByRole("button", { name: "Yes" }).first(),
  ).toBeDisabled();
});

test("a lost network in the middle of the intake says so and keeps what was typed", async ({ page, context }) => {
  await signIn(page);
  const home = await newClient(page, "Lost Network");
  await page.goto(`${home}/intake`);
  await page.getByLabel("What", { exact: true }).fill("osteoporosis");
  await page.getByLabel("When", { exact: true }).fill("2022");
  await context.setOffline(true);
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await page.waitForTimeout(800);
  await context.setOffline(false);
  await expect(page.getByLabel("What", { exact: true })).toHaveValue("osteoporosis");
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(page.getByRole("button", { name: "Osteoporosis", exact: true })).toBeVisible();
  await expect(page.getByRole("listitem").filter({ hasText: "Osteoporosis" })).toHaveCount(1);
});

test("loose joints are counted by nine signs and told to the history", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Loose Joints");
  await page.goto(`${home}/intake/screening`);
  const checks = page.getByRole("region", { name: "Quick checks" });
  const tellIt = checks.getByRole("button", { name: "Tell it to the history" });
  for (const sign of ["Little finger bends back to 90° or more", "Thumb reaches the forearm"])
    for (const side of ["Left", "Right"])
      await checks.getByRole("group", { name: sign }).getByRole("button", { name: side }).click();
  await expect(checks.getByRole("status")).toContainText("4 of 9. Hypermobile from 5.");
  await expect(tellIt).toBeDisabled();
  await checks
    .getByRole("group", { name: /Palms flat/ })
    .getByRole("button", { name: "Yes" })
    .click();
  await expect(checks.getByRole("status")).toContainText("5 of 9. Hypermobile: no end-range stretch.");
  await tellIt.click();
  await expect(page.locator("header").getByRole("button", { name: "Hypermobility" })).toBeVisible();
  await checks.getByLabel("Trunk rotation (°)").fill("5,5");
  await expect(checks.getByText(/Look again in some weeks/)).toBeVisible();
  await expect(checks.getByRole("button", { name: "Tell the rotation" })).toBeDisabled();
  await checks.getByLabel("Trunk rotation (°)").fill("8");
  await checks.getByRole("button", { name: "Tell the rotation" }).click();
  await expect(page.getByRole("region", { name: "What follows" })).toContainText(
    "A doctor sees a trunk rotation of seven degrees or more.",
  );
  await accessible(page);
  await page.goto(`${home}/intake`);
  await expect(page.getByRole("listitem").filter({ hasText: "Beighton score 5 of 9" })).toBeVisible();
});

test("the calendar goes to and fro, and the library finds work by word and place", async ({ page }) => {
  const clean = noConsoleErrors(page);
  await signIn(page);
  await page.goto("/calendar");
  const title = page.getByRole("heading", { level: 1 });
  const now = await title.innerText();
  await expect(page.getByRole("link", { name: /Ruben Asplund/ }).first()).toBeVisible();
  await page.getByRole("link", { name: "Later" }).click();
  await expect(title).not.toHaveText(now);
  await page.getByRole("link", { name: "Earlier" }).click();
  await expect(title).toHaveText(now);
  await page.getByRole("link", { name: "Earlier" }).click();
  await page.getByRole("link", { name: "This week" }).click();
  await expect(title).toHaveText(now);
  // a day that is none is said to be none
  const none = await page.request.get("/calendar?from=9999-99-99");
  expect(none.status()).toBe(400);

  await page.goto("/library");
  const count = () => page.getByRole("row").or(page.getByRole("listitem")).count();
  const all = await count();
  await page.getByLabel("Find a technique").fill("fold");
  await expect(page).toHaveURL(/q=fold/);
  await expect.poll(count).toBeLessThan(all);
  for (const [client, status] of [
    ["nobody", 400],
    ["5c1d0a3e-7f41-4c55-9a3c-0d1f6b0affff", 404],
  ] as const)
    expect((await page.request.get(`/library?client=${client}`)).status()).toBe(status);
  // as one speaks: by structure, by what it spares, by position and medium; two side by side
  const find = page.getByLabel("Find a technique");
  await find.fill("psoas");
  await page.getByRole("button", { name: /^Hip-flexor wait Knee bent/ }).click();
  await expect(page.getByText(/Reaches psoas major 100 %/)).toBeVisible();
  await find.fill("easy on thumbs, prone, dry");
  await expect(page.getByRole("status")).toContainText("read as");
  await expect(page.getByText("easy on thumbs", { exact: true })).toBeVisible();
  await page
    .getByRole("button", { name: /^Compare / })
    .first()
    .click();
  await expect(page.getByRole("region", { name: "Compared" })).toContainText("Hip-flexor wait");
  await accessible(page);
  await page.getByLabel("Find a technique").fill("no such word at all");
  await expect(page.getByText(/Nothing|No technique/i).first()).toBeVisible();
  clean();
});

test("a tablet handed over before a later visit asks first what changed", async ({ page }) => {
  await signIn(page, "tamsin@kiln.example");
  await page.goto(`${maribel}/intake/screening?visit=3`);
  await page.getByRole("button", { name: "Hand over the tablet" }).click();
  const asked = page.getByRole("heading", { level: 1 });
  await expect(asked).toContainText("Any new injury");
  await expect(page.getByText("1 of 21")).toBeVisible();
  await page.keyboard.press("Tab");
  await page.getByRole("button", { name: "No", exact: true }).focus();
  await page.keyboard.press("Enter");
  await expect(asked).toContainText("Any new illness");
  // a double press answers one question, not two
  await page.getByRole("button", { name: "No", exact: true }).dblclick();
  await expect(page.getByText("3 of 21")).toBeVisible();
  // a second tab of the same sign-in is as locked as the first
  const other = await page.context().newPage();
  await other.goto(maribel);
  await expect(other).toHaveURL(/\/handed\//);
  await expect(other.getByRole("heading", { level: 1 })).toBeVisible();
  await other.close();
  await page.getByRole("button", { name: /take the tablet back/ }).click();
  await page.getByRole("button", { name: "Go on with the questions" }).click();
  await page.getByRole("button", { name: /take the tablet back/ }).click();
  await page.getByLabel("Password of Tamsin").fill("slow warm hands");
  await page.getByRole("button", { name: "Take back" }).click();
  await expect(page).toHaveURL(/intake\/screening\?visit=3/);
  await expect(page.getByRole("navigation", { name: "Places" })).toBeVisible();
});

test("a yes given for this visit is not undone by “nothing changed” on the run sheet", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Told Before");
  await readyToWork(page, home);
  await solve(page, home);
  await page.goto(`${home}/intake/screening`);
  const medication = page.getByRole("group", { name: /new medication/ });
  await medication.getByRole("button", { name: "Yes" }).click();
  await expect(page.locator("header").getByRole("button", { name: "Something changed" })).toBeVisible();
  await page.goto(`${home}/sessions`);
  await page.getByRole("link", { name: "Start the session" }).click();
  await page.getByRole("button", { name: "Nothing changed" }).click();
  await expect(page.getByRole("button", { name: "Nothing changed" })).toHaveCount(0);
  await expect(page.getByText(/Something changed · pressure up to/)).toBeVisible();
  await page.goto(`${home}/intake/screening`);
  await expect(medication.getByRole("button", { name: "Yes" })).toHaveAttribute("aria-pressed", "true");
});

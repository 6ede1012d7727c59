import { expect, test, type Page } from "@playwright/test";
import { accessible, noConsoleErrors } from "./helpers";
import { agree, solve, tell } from "./intake-steps";
import { newClient, readyToWork, signIn } from "./before";

test("the whole intake of a complicated client, by keyboard alone, within four minutes", async ({ page }) => {
  const clean = noConsoleErrors(page);
  await signIn(page);
  const home = await newClient(page, "Wilma Karst");
  await page.goto(`${home}/intake`);
  await page.waitForLoadState("networkidle");
  const began = Date.now();
  let keys = 0;
  const press = async (key: string) => {
    keys += 1;
    await page.keyboard.press(key);
  };
  const type = async (text: string) => {
    keys += text.length;
    await page.keyboard.type(text);
  };
  const focused = (name: RegExp) =>
    expect
      .poll(() =>
        page.evaluate(
          () =>
            (document.activeElement as HTMLInputElement | null)?.labels?.[0]?.textContent ??
            document.activeElement?.getAttribute("aria-label") ??
            document.activeElement?.textContent,
        ),
      )
      .toMatch(name);
  await expect(page.getByLabel("What", { exact: true })).toBeEnabled();
  await page.getByLabel("What", { exact: true }).focus();
  const told: [string, string, string?][] = [
    ["broken left wrist", "11 weeks ago"],
    ["thin bones", "spring 2024"],
    ["new right hip", "about 3 years"],
    ["blood thinners", "2021"],
    ["rear-end collision", "summer 2019"],
    ["reflux", "about 10 years"],
    ["nut allergy", "2003"],
    ["hernia", "last year"],
    ["a scar from a burn on the left thigh", "1988", "is asked whether it is closed"],
    ["sore between the shoulder blades", "3 months ago"],
  ];
  for (const [i, [what, when, asked]] of told.entries()) {
    await focused(/^What/);
    await type(what);
    await press("Tab");
    await focused(/^(When|Due date)/);
    await type(when);
    await press("Enter");
    if (asked) {
      // what a rule turns on is asked before anything is kept: yes, and on
      await focused(/^Yes/);
      await press("Space");
      await focused(/^Add/);
      await press("Enter");
    }
    await expect(page.getByRole("list").first().getByRole("listitem")).toHaveCount(i + 1);
  }
  for (const words of ["Fracture: wrist, left", "Osteoporosis", "Whiplash or head injury", "Allergy to nuts"])
    await expect(page.getByRole("listitem").filter({ hasText: words })).toBeVisible();
  await accessible(page);

  // screening: three answers by letter, the rest with one press
  await page.getByRole("link", { name: "Screening", exact: true }).focus();
  await press("Enter");
  await page.getByRole("button", { name: "Yes" }).first().focus();
  for (const key of ["n", "n", "n"]) await press(key);
  const rest = page.getByRole("button", { name: "No to all that are open" });
  await expect(rest).toBeEnabled();
  await rest.focus();
  await press("Enter");
  await expect(rest).toBeDisabled();
  const follows = page.getByRole("region", { name: "What follows" });
  await expect(follows).toContainText("Thin bones can break under compression and leverage.");
  await expect(follows).toContainText("Up to 3 of 10.");
  await expect(follows).toContainText("Use nut-free oil and wax.");
  await accessible(page);

  // consent, signed in words
  await page.getByRole("link", { name: "Consent", exact: true }).focus();
  await press("Enter");
  for (const subject of ["Hands-on work", "Photographs"]) {
    await page
      .getByText(subject, { exact: true })
      .locator("xpath=ancestor::*[.//button][1]")
      .getByRole("button", { name: "Ask" })
      .focus();
    await press("Enter");
    await focused(/^Name/);
    const agreed = page.getByRole("button", { name: "Agreed by word of mouth" });
    for (let i = 0; i < 4 && !(await agreed.evaluate((each) => each === document.activeElement)); i++)
      await press("Tab");
    await press("Enter");
    await expect(page.getByRole("dialog")).toHaveCount(0);
  }
  await expect(page.getByText(/^Agreed .* by Wilma Karst, by word of mouth$/)).toHaveCount(2);
  await accessible(page);

  // wishes
  await page.getByRole("link", { name: "Wishes", exact: true }).focus();
  await press("Enter");
  await page.getByLabel("Pause word").focus();
  await type("lantern");
  await press("Enter");
  await expect(page.getByText("Saved. The plan follows.")).toBeVisible();
  await accessible(page);

  // own scales
  await page.getByRole("link", { name: "Own scales", exact: true }).focus();
  await press("Enter");
  await page.getByLabel("What they want to do again, or where it hurts").focus();
  await type("Lift the net over the side");
  await press("Enter");
  await page
    .getByRole("group", { name: "Lift the net over the side, 0 to 10" })
    .getByRole("button", { name: "4", exact: true })
    .focus();
  await press("Enter");
  await expect(page.getByRole("img", { name: "Lift the net over the side: visit 1 4" })).toBeVisible();
  await accessible(page);

  // a practised typist makes about five strokes a second; moving focus is counted as three
  const strokes = keys + 3 * 12;
  const minutes = strokes / 5 / 60 + (Date.now() - began) / 60_000;
  console.log(`  ${strokes} strokes, ${minutes.toFixed(1)} min with the time the pages took`);
  expect(minutes).toBeLessThan(4);
  clean();
});

test("a handed-over tablet cannot be left: not by the back button, not by an edited address", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Anton Reed");
  await page.goto(`${home}/intake/screening`);
  await page.getByRole("button", { name: "Hand over the tablet" }).click();
  await expect(page).toHaveURL(/\/handed\//);
  const locked = page.url();
  const asked = page.getByRole("heading", { level: 1 });
  await expect(asked).toContainText("bladder or bowel");
  await accessible(page);
  await page.getByRole("button", { name: "No", exact: true }).click();
  await expect(asked).toContainText("weaker or more numb");
  await page.getByRole("button", { name: "Don’t know" }).click();
  await expect(asked).toContainText("fever together");

  // it goes on where it stopped
  await page.reload();
  await expect(asked).toContainText("fever together");
  await expect(page.getByText("3 of 16")).toBeVisible();

  // every way out leads back, and nothing of the record is told
  for (const address of [
    "/",
    "/clients",
    home,
    `${home}/intake`,
    "/practice",
    "/clients/new",
    "/sign-in",
    locked + "x",
  ]) {
    await page.goto(address);
    await expect(page).toHaveURL(locked);
  }
  for (let i = 0; i < 3; i++) {
    await page.goBack().catch(() => null);
    await page.waitForTimeout(300);
    await expect(page.getByRole("navigation", { name: "Places" })).toHaveCount(0);
    await expect(page.getByText("Edit client")).toHaveCount(0);
  }
  await page.goto("/");
  for (const address of [`${home}.data`, "/clients.data", `${home}/intake.data`]) {
    const answer = await page.request.get(address, { maxRedirects: 0 });
    expect(await answer.text()).not.toContain("Reed");
  }
  const same = { "Sec-Fetch-Site": "same-origin", "Content-Type": "application/json" };
  const refused = await page.request.post(`${home}/edit`, {
    data: { name: "Changed" },
    headers: same,
    maxRedirects: 0,
  });
  expect(refused.status()).not.toBe(200);

  // one can go back a question, and change it
  await page.getByRole("button", { name: "One question back" }).click();
  await expect(asked).toContainText("weaker or more numb");
  await page.getByRole("button", { name: "No", exact: true }).click();
  for (let i = 0; i < 14; i++) {
    await expect(page.getByText(`${i + 3} of 16`)).toBeVisible();
    await page.getByRole("button", { name: "No", exact: true }).click();
  }
  await expect(asked).toContainText("Thank you, Anton");
  await accessible(page);

  // only the password it was signed in with takes it back
  await page.getByRole("button", { name: /take the tablet back/ }).click();
  await page.getByLabel("Password of Odile").fill("quick cold hands");
  await page.getByRole("button", { name: "Take back" }).click();
  await expect(page.getByText("That is not the password")).toBeVisible();
  await page.goto("/clients");
  await expect(page).toHaveURL(locked);
  await page.getByRole("button", { name: /take the tablet back/ }).click();
  await page.getByLabel("Password of Odile").fill("slow warm hands");
  await page.getByRole("button", { name: "Take back" }).click();
  await expect(page).toHaveURL(/intake\/screening/);
  await expect(page.getByText(/the client, on the tablet/)).toHaveCount(16);
  await page.goto("/clients");
  await expect(page.getByRole("heading", { level: 1, name: "Clients" })).toBeVisible();
});

test("a yes stops planning and starting until a clearance is recorded; don’t know is caution, not no", async ({
  page,
}) => {
  await signIn(page);
  const home = await newClient(page, "Greta Fell");
  await readyToWork(page, home);
  await solve(page, home);
  await page.goto(`${home}/intake/screening`);
  const row = (ask: RegExp) => page.getByRole("group", { name: ask });
  await row(/calves hot/)
    .getByRole("button", { name: "Yes" })
    .click();
  await expect(page.getByRole("button", { name: "Stop: Hot, swollen calf" })).toBeVisible();

  // neither planned nor started, whichever door is tried
  await page.goto(`${home}/path`);
  await expect(page.getByText(/no session starts until a clearance/)).toBeVisible();
  await expect(page.getByRole("button", { name: "Solve again" })).toBeDisabled();
  await accessible(page);
  await page.goto(`${home}/sessions`);
  await expect(page.getByText(/Not yet: Hot, swollen calf/)).toBeVisible();
  await page.getByRole("link", { name: "Start the session" }).click();
  await expect(page.getByText("Not yet", { exact: true }).first()).toBeVisible();
  await expect(page.getByRole("button", { name: "Start the clock" })).toBeDisabled();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("button", { name: "Start the clock" })).toBeVisible();
  await accessible(page);
  const run = new URL(page.url()).pathname;
  const start = {
    id: "7d0b1f4e-2a65-4f0e-9a3b-3f8f6f0c1a11",
    at: new Date().toISOString(),
    kind: "started",
    body: { steps: [{ technique: "settle-touch", side: "mid", position: "prone", planned: 60, passes: 1 }] },
  };
  const same = { "Sec-Fetch-Site": "same-origin", "Content-Type": "application/json" };
  const refused = await page.request.post(`${run}/events`, { data: [start], headers: same });
  expect(refused.status()).toBe(409);
  expect(await refused.json()).toMatchObject({ stored: [], refused: [{ id: start.id }] });

  // a clearance has a name, a day and what it is about
  await page.goto(home);
  await page.getByRole("button", { name: "Stop: Hot, swollen calf" }).click();
  const dialog = page.getByRole("dialog", { name: "Cautions" });
  await dialog.getByRole("button", { name: "Record a clearance" }).click();
  await dialog.getByRole("button", { name: "Record the clearance" }).click();
  await expect(dialog.getByText("Who cleared it: type a name or a role.")).toBeVisible();
  await dialog.getByLabel("Who cleared it").fill("Dr Amund, by letter");
  await dialog.getByLabel("What was cleared").fill("no clot on the scan of Monday");
  await dialog.getByRole("button", { name: "Record the clearance" }).click();
  await expect(dialog.getByText(/Cleared by Dr Amund, by letter/)).toBeVisible();
  await expect(dialog.getByText("Recorded by Odile Marrow.")).toBeVisible();
  await accessible(page);
  await dialog.getByRole("button", { name: "Close" }).click();
  await expect(page.getByRole("button", { name: "Hot, swollen calf, set aside" })).toBeVisible();
  await page.goto(run);
  await expect(page.getByRole("button", { name: "Start the clock" })).toBeEnabled();

  // the same question not known: lighter work, and said so
  await page.goto(`${home}/intake/screening`);
  await row(/calves hot/)
    .getByRole("button", { name: "Don’t know" })
    .click();
  await expect(page.getByRole("region", { name: "What follows" })).toContainText("Not sure is not no.");
  await expect(page.getByRole("button", { name: "Hot, swollen calf", exact: true })).toBeVisible();
  await page.goto(`${home}/path`);
  await expect(page.getByText(/break.? a caution that was not there/)).toBeVisible();
});

test("a condition told in mid-series marks the sessions it breaks, and one press solves them again", async ({
  page,
}) => {
  await signIn(page);
  const home = await newClient(page, "Ilse Brandt");
  await page.goto(`${home}/edit`);
  await page.getByLabel("Pressure up to (1–10)").fill("7");
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page).toHaveURL(home);
  await readyToWork(page, home);
  await solve(page, home);
  await page.goto(`${home}/sessions?visit=1`);
  await page.getByLabel("Note", { exact: true }).fill("worked by hand");
  await page.getByRole("button", { name: "Close visit 1" }).click();
  await expect(page).toHaveURL(/change/);

  await page.goto(`${home}/intake`);
  await tell(page, "osteoporosis", "2024");
  await expect(page.getByRole("button", { name: "Osteoporosis", exact: true })).toBeVisible();
  // said again it is on record, and is not stored twice
  await page.getByLabel("What", { exact: true }).fill("brittle bones");
  await expect(page.getByText(/On record already, as “osteoporosis”/)).toBeVisible();
  await expect(page.getByRole("button", { name: "Add", exact: true })).toBeDisabled();
  await page.goto(`${home}/path`);
  await expect(page.getByRole("link", { name: /Visit 1, .*done$/ })).toBeVisible();
  await expect.poll(() => page.getByRole("link", { name: /breaks a caution/ }).count()).toBeGreaterThan(2);
  await expect(page.getByText(/They do not start as they are/)).toBeVisible();
  await page.goto(`${home}/sessions?visit=3`);
  await page.getByRole("link", { name: "Solve again" }).first().click();

  await page.getByRole("button", { name: "Solve again within the cautions" }).click();
  await page.getByRole("button", { name: "Take this one" }).click();
  await expect(page.getByRole("link", { name: /breaks a caution/ })).toHaveCount(0);
  await expect(page.getByText("Left out for safety")).toBeVisible();
  await expect(page.getByText(/thin bones can break under compression and leverage/i).first()).toBeVisible();
  await accessible(page);

  // the step list and the run sheet say so too
  await page.goto(`${home}/sessions?visit=2`);
  await expect(page.getByText("Up to 3 of 10: osteoporosis").first()).toBeVisible();
  await expect(page.getByRole("region", { name: "Left out for safety" })).toContainText("Osteoporosis");
  await accessible(page);
  await page.getByRole("link", { name: "Start the session" }).click();
  // it is planned for another day: that is asked before the clock starts
  await expect(page.getByRole("button", { name: "Start the clock" })).toBeDisabled();
  await expect(page.getByText(/Visit 1 was today: at least 2 days of rest lie between/)).toBeVisible();
  await page.getByRole("button", { name: "Work it today" }).click();
  await page.getByRole("button", { name: "Start the clock" }).click();
  // a space meant for the start holds the clock, and does not go on
  await page.keyboard.press("Space");
  await expect(page.getByRole("button", { name: "Go on with the clock" })).toBeVisible();
  await page.keyboard.press("p");
  await expect(page.getByRole("button", { name: "Hold the clock" })).toBeVisible();
  await expect(page.getByText(/Osteoporosis · pressure up to 3/)).toBeVisible();
  const only = page.getByText("Only up to 3 of 10: osteoporosis.");
  for (let i = 0; i < 40 && !(await only.isVisible()); i++) await page.keyboard.press("s");
  await expect(only).toBeVisible();
  const more = page.getByRole("button", { name: "more" });
  for (let i = 0; i < 6; i++) await more.click();
  await expect(page.getByText("3 of 10", { exact: true })).toBeVisible();
  await expect(page.getByText("pressure asked")).toBeVisible();
  await accessible(page);
});

test("a fracture of eleven weeks is out today and not in three weeks; it is corrected, ended and struck with a trace", async ({
  page,
}) => {
  await signIn(page);
  const home = await newClient(page, "Tove Hagen");
  await readyToWork(page, home);
  await solve(page, home);
  await page.goto(`${home}/intake`);
  await page.getByLabel("What", { exact: true }).fill("broken left ankle");
  await page.getByLabel("When", { exact: true }).fill("11 weeks ago");
  await expect(page.getByRole("status")).toContainText(/Out: ankle; .*toes, left\./);
  await page.getByRole("button", { name: "Add", exact: true }).click();
  const chip = page.getByRole("button", { name: "Fracture: ankle, left", exact: true });
  await expect(chip).toBeVisible();
  await page.goto(`${home}/intake?visit=4`);
  await expect(page.getByRole("heading", { name: "On the body, visit 4" })).toBeVisible();
  await expect(chip).toHaveCount(0);
  await page.goto(`${home}/intake`);

  const entry = page.getByRole("listitem").filter({ hasText: "broken left ankle" }).first();
  await entry.getByRole("button", { expanded: false }).click();
  await entry.getByRole("button", { name: "Correct" }).click();
  const form = page.getByRole("form", { name: "Correct the entry" });
  await form.getByLabel("When", { exact: true }).fill("the day of the flood");
  await form.getByRole("button", { name: "Save" }).click();
  await expect(form.getByText(/“the day of the flood” is not understood/)).toBeVisible();
  await expect(form.getByLabel("When", { exact: true })).toHaveValue("the day of the flood");
  await form.getByLabel("When", { exact: true }).fill("5 months ago");
  await form.getByRole("button", { name: "Save" }).click();
  await expect(form).toHaveCount(0);
  await expect(chip).toHaveCount(0);
  await expect(entry.getByText(/Told .* 11 weeks ago/)).toBeVisible();
  await expect(entry.getByText(/Corrected/)).toBeVisible();
  await accessible(page);
  await entry.getByRole("button", { name: "Strike out" }).click();
  await entry.getByLabel("Why it is struck out").fill("it was her sister");
  await entry.getByRole("button", { name: "Strike out" }).click();
  await expect(page.getByText("1 struck out, kept on record")).toBeVisible();
});

test("without photographs everything is measured by hand, with the method’s own error", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Per Quist");
  await page.goto(`${home}/intake/consent`);
  await page.getByRole("button", { name: "Declined: Photographs" }).click();
  await expect(page.getByText(/^Declined .* measure by hand instead/)).toBeVisible();
  await page.goto(`${home}/assess/stand?view=front`);
  await expect(page.getByText("Photographs were declined: no picture is taken.")).toBeVisible();
  await expect(page.getByRole("button", { name: /Take or choose a picture/ })).toHaveCount(0);
  const measure = async (moment: "before" | "after", value: string) => {
    await page.goto(`${home}/assess/stand?view=front&moment=${moment}`);
    await page.getByRole("textbox", { name: "Shoulder level" }).fill(value);
    await page.keyboard.press("Enter");
    await expect(page.getByRole("listitem").filter({ hasText: "Shoulder level" })).toContainText("±3°");
  };
  await page.getByRole("textbox", { name: "Shoulder level" }).fill("400");
  await page.keyboard.press("Enter");
  await expect(page.getByText("From -60 to 120°, got 400.")).toBeVisible();
  await measure("before", "-6,5");
  // they step off and stand again: the mean of both counts, with a narrower band
  await page.getByRole("button", { name: "Stand again" }).click();
  await expect(page.getByText(/what you take now is averaged/)).toBeVisible();
  await page.getByRole("textbox", { name: "Shoulder level" }).fill("-7.5");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("listitem").filter({ hasText: "Shoulder level" })).toContainText(/−7.*±2/);
  await page.reload();
  await expect(page.getByRole("textbox", { name: "Shoulder level" })).toHaveValue("-7.5");
  await page.getByRole("group", { name: "Standing" }).getByRole("button", { name: "1 ✓" }).click();
  await expect(page.getByRole("textbox", { name: "Shoulder level" })).toHaveValue("-6.5");
  await accessible(page);
  await measure("after", "-1");
  await expect(page.getByRole("listitem").filter({ hasText: "Shoulder level" })).toContainText("clear");
  await page.goto(`${home}/change`);
  await expect(page.getByRole("listitem").filter({ hasText: "Shoulder level" })).toContainText(/clear, towards/);

  const client = home.split("/").at(-1)!;
  const visit = "00000000-0000-4000-8000-000000000000";
  const answer = await page.request.post(
    `/clients/${client}/photos/upload?id=${visit}&visit=${await visitId(page, home)}&moment=before&view=front&stickLength=1000&cameraDistance=3000&cameraHeight=950`,
    { data: "x", headers: { "Sec-Fetch-Site": "same-origin", "Content-Type": "application/octet-stream" } },
  );
  expect(answer.status()).toBe(403);
  expect(await answer.json()).toEqual({ error: "Photographs need the client's consent first. Nothing was stored." });
});

/** The id of a client's first visit, as its scales page sends it. */
async function visitId(page: Page, home: string): Promise<string> {
  await page.goto(`${home}/intake/scales`);
  const sent = page.waitForRequest((request) => request.method() === "POST" && request.url().includes("scales"));
  await page.getByLabel("In their own words").fill("fine");
  await page.getByRole("button", { name: "Keep" }).click();
  return (JSON.parse((await sent).postData()!) as { visitId: string }).visitId;
}

test("under 18 a guardian consents; a signature is drawn, kept with its wording, and can be withdrawn", async ({
  page,
}) => {
  await signIn(page);
  const home = await newClient(page, "Nils Ober");
  await page.goto(`${home}/edit`);
  const year = new Date().getFullYear() - 15;
  await page.getByLabel("Date of birth").fill(`${year}-03-04`);
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page).toHaveURL(home);
  await readyToWork(page, home);
  await solve(page, home);
  await page.goto(`${home}/sessions`);
  await expect(page.getByText(/Under 18: a guardian has to consent/)).toBeVisible();
  await page.goto(`${home}/intake/consent`);
  await agree(page, "Photographs");
  await page
    .getByText("Guardian", { exact: true })
    .locator("xpath=ancestor::*[.//button][1]")
    .getByRole("button", { name: "Ask" })
    .click();
  const dialog = page.getByRole("dialog", { name: "Guardian" });
  await dialog.getByRole("button", { name: "Agreed by word of mouth" }).click();
  await expect(dialog.getByText("Name: type the name of who agrees.")).toBeVisible();
  await dialog.getByLabel("Name of the guardian").fill("Maren Ober");
  const pad = (await dialog.getByRole("img", { name: "Sign here" }).boundingBox())!;
  await page.mouse.move(pad.x + 60, pad.y + 60);
  await page.mouse.down();
  await page.mouse.move(pad.x + 160, pad.y + 90, { steps: 6 });
  await page.mouse.move(pad.x + 240, pad.y + 40, { steps: 6 });
  await page.mouse.up();
  await accessible(page);
  await dialog.getByRole("button", { name: "I agree" }).click();
  await expect(page.getByRole("img", { name: "Signature of Maren Ober" })).toBeVisible();
  await page.goto(`${home}/sessions`);
  await expect(page.getByText(/guardian has to consent/)).toHaveCount(0);
  await page.goto(`${home}/intake/consent`);
  await page.getByRole("button", { name: "Withdraw: Guardian" }).click();
  await expect(page.getByText(/^Withdrawn .* no session starts without it/)).toBeVisible();
  await page.getByText("2 on record").last().click();
  await expect(page.getByText(/Wording of 2026-11: “I am the guardian/).first()).toBeVisible();
  await page.goto(`${home}/sessions`);
  await expect(page.getByText(/Under 18: a guardian has to consent/)).toBeVisible();
});

test("sensitive areas are asked at every visit; what nobody agreed to is left out of the run", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Dora Lindt");
  await page.goto(`${home}/assess/touch`);
  await page.getByLabel("What you feel, in one line").fill("l pec minor 3");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "1 restriction" })).toBeVisible();
  await readyToWork(page, home);
  await solve(page, home);
  // which session works the chest is the solver's to say
  const unasked = page.getByText("Chest near the breast: not asked, left out until agreed");
  for (let visit = 1; visit <= 10; visit++) {
    await page.goto(`${home}/sessions?visit=${visit}`);
    await page.getByRole("link", { name: "Start the session" }).click();
    await expect(page.getByText(/things to do/)).toBeVisible();
    if (await unasked.isVisible()) break;
  }
  await expect(unasked).toBeVisible();
  const before = await page.getByText(/things to do/).innerText();
  await page.getByRole("button", { name: "Agreed: Chest near the breast" }).click();
  await expect(page.getByText("Chest near the breast: agreed today")).toBeVisible();
  await expect(page.getByText(/things to do/)).not.toHaveText(before);
  await page.getByRole("button", { name: "Nothing changed" }).click();
  await expect(page.getByRole("button", { name: "Nothing changed" })).toHaveCount(0);
  await accessible(page);
  await page.getByRole("button", { name: "Not today: Chest near the breast" }).click();
  await expect(page.getByText(/Left out without consent:/)).toBeVisible();
  await expect(page.getByText(/things to do/)).toHaveText(before);
});

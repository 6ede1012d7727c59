import { expect, test, type Page } from "@playwright/test";
import { newClient, readyToWork, send, signIn, solveBy, firstVisit } from "./before";
import { randomUUID } from "node:crypto";

/** Sign-in ends as it does by the clock: what this browser carries is good for nothing any more. */
const signInEnds = (page: Page) => page.context().clearCookies({ name: "ember_session" });
const again = async (page: Page) => {
  const dialog = page.getByRole("dialog", { name: "Sign in again" });
  await dialog.getByLabel("Password").fill("slow warm hands");
  await dialog.getByRole("button", { name: "Sign in" }).click();
  await expect(dialog).toHaveCount(0);
};

test("what changed is asked before the clock starts, two tabs follow each other, and a sign-in that ended loses nothing", async ({
  page,
}) => {
  await signIn(page);
  const home = await newClient(page, "Stored Or Not");
  const clientId = home.split("/").at(-1)!;
  await readyToWork(page, home);
  await solveBy(page, home, /^Three-step/);
  await expect(page.getByText(/better is possible|it is proven/).first()).toBeVisible({ timeout: 60_000 });
  const visitId = await firstVisit(clientId);
  // everything was asked today: nothing has to be asked again before the first start
  await page.goto(`/run/${visitId}`);
  await page.getByRole("button", { name: "Start the clock" }).click();
  await expect(page.getByRole("button", { name: /It let go/ })).toBeVisible();

  const other = await page.context().newPage();
  await other.goto(`/run/${visitId}`);
  const title = (of: Page) => of.getByRole("heading", { level: 2 });
  await expect(title(other)).toHaveText(await title(page).innerText());
  const first = await title(page).innerText();
  for (let i = 0; i < 8 && (await title(page).innerText()) === first; i++) {
    await page.keyboard.press("ArrowRight");
    await page.waitForTimeout(150);
  }
  await expect(title(other)).toHaveText(await title(page).innerText());
  await other.close();

  // a space meant for the clock does not press again what a finger pressed
  await page.getByRole("button", { name: "less", exact: true }).click();
  const asked = page.getByText(/pressure asked/);
  await expect(asked).toBeVisible();
  const before = await asked.locator("..").innerText();
  await page.keyboard.press("Space");
  expect(await asked.locator("..").innerText()).toBe(before);
  await page.keyboard.press("Space");

  await page.keyboard.press("n");
  await page.getByLabel("Note to this step").fill("left heel warm");
  await page.keyboard.press("Escape");
  await page.keyboard.press("n");
  await expect(page.getByLabel("Note to this step")).toHaveValue("left heel warm");
  await signInEnds(page);
  await page.keyboard.press("Enter");
  await expect(page.getByText(/your sign-in has ended, 1 kept here/)).toBeVisible();
  await page.getByRole("button", { name: "Sign in again" }).click();
  await again(page);
  await expect(page.getByText(/kept here/)).toHaveCount(0);

  // the run was not finished: it is ended by the minutes that hands say, and the note that was typed survives
  await page.goto(`${home}/sessions?visit=1`);
  await expect(page.getByLabel("Note", { exact: true })).toHaveValue(/left heel warm/);
  // a page that is not alive yet would put its draft beside what is typed
  await page.waitForLoadState("networkidle");
  await page.getByLabel("Note", { exact: true }).fill("Written with care.");
  await signInEnds(page);
  await page.getByRole("button", { name: "Close visit 1" }).click();
  await again(page);
  await expect(page.getByLabel("Note", { exact: true })).toHaveValue("Written with care.");
  await page.getByLabel("Minutes at the table").fill("12");
  await page.getByRole("button", { name: "Close visit 1" }).click();
  await page.waitForURL(/change/);

  await page.goto(`${home}/sessions?visit=1`);
  await page.getByRole("button", { name: "Put right" }).click();
  await page.getByLabel("Note", { exact: true }).fill("Twelve minutes, all of it at the feet.");
  await page.getByLabel("Why").fill("the clock ran on");
  await page.getByRole("button", { name: "Save what is put right" }).click();
  await expect(page.getByText("the clock ran on")).toBeVisible();
  await page.getByText("As it read before").click();
  await expect(page.getByText("Written with care.")).toBeVisible();
});

test("an answer that was lost, and a colleague's answer, are never overruled unseen", async ({ page, browser }) => {
  await signIn(page);
  const home = await newClient(page, "Asked Twice");
  await page.goto(`${home}/intake/consent`);
  let lost = true;
  await page.route(/consent\.data/, async (route) => {
    if (route.request().method() !== "POST" || !lost) return route.continue();
    lost = false;
    await route.fetch();
    await route.abort();
  });
  await page.getByRole("button", { name: "Ask" }).first().click();
  await page.getByRole("button", { name: "Agreed by word of mouth" }).click();
  await expect(page.getByText(/whether this was saved is not known/)).toBeVisible();
  await page.getByRole("button", { name: "I do not agree" }).click();
  await expect(page.getByText(/Not agreed holds until it is settled/)).toBeVisible();

  // a colleague's yes while this page still shows nothing
  await page.goto(`${home}/intake/screening`);
  const tamsin = await (await browser.newContext({ baseURL: test.info().project.use.baseURL })).newPage();
  await signIn(tamsin, "tamsin@kiln.example");
  const visitId = await firstVisit(home.split("/").at(-1)!);
  const yes = { visitId, answers: [{ id: randomUUID(), question: "hot-calf", answer: "yes", seen: 0 }] };
  expect((await send(tamsin, `${home}/intake/screening`, yes)).status).toBe(200);
  await tamsin.context().close();
  await page.getByRole("button", { name: "No to all that are open" }).click();
  await expect(page.getByText(/“Yes” holds until one of you settles it/)).toBeVisible();
  const calf = page.getByRole("group", { name: /calves hot/ });
  await calf.getByRole("button", { name: "No", exact: true }).click();
  await expect(page.getByText(/holds until one of you settles it/)).toHaveCount(0);
});

import { expect, test } from "@playwright/test";
import { accessible, noConsoleErrors } from "./helpers";
import { newClient, signIn } from "./before";

test("finding, correcting, archiving and bringing back a client", async ({ page }) => {
  const clean = noConsoleErrors(page);
  await signIn(page);
  const home = await newClient(page, "Bo Quill");
  await page.goto("/clients");
  await page.keyboard.press("b");
  await page.getByLabel("Find by name, work or complaint").fill("bo q");
  await expect(page.getByRole("listitem")).toHaveCount(1);
  await accessible(page);

  await page.goto(`${home}/edit`);
  await page.getByLabel("Pressure up to (1–10)").fill("12");
  await page.getByRole("button", { name: "Save changes" }).click();
  await expect(page.getByText("Pressure ceiling: at most 10, got 12.")).toBeVisible();
  await expect(page.getByLabel("Occupation")).toHaveValue("net mender");
  await page.getByLabel("Pressure up to (1–10)").fill("4");
  await page.getByRole("button", { name: "Save changes" }).click();
  await expect(page.getByText("Pressure up to 4")).toBeVisible();

  // several complaints, in the order that matters to them: the first is what every session works on
  await page.goto(`${home}/edit`);
  for (const [n, words] of [
    [2, "the knee clicks"],
    [3, "grinds at night"],
  ] as const) {
    await page.getByRole("button", { name: "They come for something else, too" }).click();
    await page.getByLabel(`What else, ${n}`).fill(words);
  }
  await page.getByRole("button", { name: "Move complaint 3 up" }).click();
  await page.getByRole("button", { name: "Move complaint 2 up" }).click();
  await expect(page.getByLabel("What they come for, in their words")).toHaveValue("grinds at night");
  await accessible(page);
  await page.getByRole("button", { name: "Save changes" }).click();
  await expect(page.getByText("“grinds at night”")).toBeVisible();
  await expect(page.getByRole("list", { name: "What else they come for" }).getByRole("listitem")).toHaveText([
    "“The left side feels shorter.”, low back",
    "“the knee clicks”",
  ]);

  await page.goto("/clients?q=bo+q");
  await page.getByRole("button", { name: "Archive Bo Quill" }).click();
  await expect(page.getByRole("heading", { name: "Nobody matches" })).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("link", { name: "Bo Quill" })).toBeVisible();
  clean();
});

test("a change made in another tab is not overwritten, and nothing typed is lost", async ({ page, context }) => {
  await signIn(page);
  const home = await newClient(page, "Two Tabs");
  const other = await context.newPage();
  await page.goto(`${home}/edit`);
  await other.goto(`${home}/edit`);
  await other.getByLabel("Occupation").fill("keeper of the newer version");
  await other.getByRole("button", { name: "Save changes" }).click();
  await expect(other.getByRole("heading", { level: 1, name: "Two Tabs" })).toBeVisible();
  await page.getByLabel("What they come for, in their words").fill("typed in the older tab");
  await page.getByRole("button", { name: "Save changes" }).click();
  await expect(page.getByText(/Someone changed this client meanwhile/)).toBeVisible();
  await expect(page.getByLabel("What they come for, in their words")).toHaveValue("typed in the older tab");
});

test("every place and stage opens without faults, in light and dim, by keyboard", async ({ page }) => {
  const clean = noConsoleErrors(page);
  await signIn(page);
  for (const place of ["/", "/calendar", "/library?q=fold", "/practice", "/clients?archived=1"]) {
    await page.goto(place);
    await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
    await accessible(page);
  }
  await page.getByRole("button", { name: "Odile" }).click();
  await page.getByRole("menuitem", { name: "Dim theme" }).click();
  await expect(page.locator("body")).toHaveCSS("background-color", "rgb(23, 20, 18)");
  await accessible(page);
  await page.getByRole("button", { name: "Odile" }).click();
  await page.getByRole("menuitem", { name: "Light theme" }).click();
  await page.keyboard.press("Control+k");
  await page.getByRole("combobox", { name: "Jump to a client, stage or place" }).fill("Ruben");
  await expect(page.getByRole("option", { name: "Ruben Asplund" })).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { level: 1, name: "Ruben Asplund" })).toBeVisible();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "Keyboard shortcuts" })).toBeVisible();
  clean();
});

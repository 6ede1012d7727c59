import { expect, test } from "@playwright/test";
import { accessible } from "./helpers";
import { tell } from "./intake-steps";
import { newClient, signIn } from "./before";

test("an operation asks whether its scar is closed; not knowing keeps it out, a yes lets it in", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Closed Scar");
  await page.goto(`${home}/intake`);
  await page.getByLabel("What", { exact: true }).fill("knee operation");
  await page.getByLabel("When", { exact: true }).fill("3 months ago");
  await expect(page.getByText("Operation: Operation")).toBeVisible();
  await page
    .getByRole("group", { name: "Is the scar fully closed?" })
    .getByRole("button", { name: "Don’t know" })
    .click();
  await expect(page.getByRole("status")).toContainText("A scar that is not closed, or may not be, is left alone.");
  await page.getByRole("button", { name: "Add", exact: true }).click();
  const entry = page.getByRole("listitem").filter({ hasText: "knee operation" }).first();
  await expect(entry).toContainText("Operation: knee");
  await accessible(page);
  await entry.getByRole("button", { expanded: false }).click();
  await entry.getByRole("button", { name: "Correct" }).click();
  const form = page.getByRole("form", { name: "Correct the entry" });
  await form.getByRole("group", { name: "Is the scar fully closed?" }).getByRole("button", { name: "Yes" }).click();
  // what was told today is still being told: no reason is asked for
  await expect(form.getByLabel("Why it is corrected")).toHaveCount(0);
  await form.getByRole("button", { name: "Save" }).click();
  await expect(form).toHaveCount(0);
  await page.goto(`${home}/intake/screening`);
  const follows = page.getByRole("region", { name: "What follows" });
  await expect(follows).toContainText(
    "After an operation the place and what is near it starts with gentle scar slide.",
  );
  await expect(follows).not.toContainText("may not be, is left alone");
});

test("what lasts is ended and comes back; what the catalogue does not know is kept in their words", async ({
  page,
}) => {
  await signIn(page);
  const home = await newClient(page, "Comes Back");
  await page.goto(`${home}/intake`);
  await tell(page, "reflux", "about 5 years");
  const chip = page.locator("header").getByRole("button", { name: "Reflux", exact: true });
  await expect(chip).toBeVisible();
  const entry = page.getByRole("listitem").filter({ hasText: "Reflux" }).first();
  await entry.getByRole("button", { expanded: false }).click();
  await entry.getByRole("button", { name: "It is over" }).click();
  await entry.getByLabel("Over since").fill("2999-01-01");
  await entry.getByRole("button", { name: "Mark as over" }).click();
  await expect(entry.getByText("Over since: 2999-01-01 is still to come.")).toBeVisible();
  await entry.getByLabel("Over since").fill("2026-01-15");
  await entry.getByRole("button", { name: "Mark as over" }).click();
  await expect(chip).toHaveCount(0);
  await expect(entry).toContainText("over since 15 Jan");
  await entry.getByRole("button", { name: "It is back" }).click();
  await expect(chip).toBeVisible();
  await expect(entry).toContainText("Open again");

  await page.getByLabel("What", { exact: true }).fill("bad dreams since the storm");
  await expect(page.getByText(/The catalogue does not know it/)).toBeVisible();
  await page.getByRole("combobox", { name: /^Kind/ }).click();
  await page.getByRole("option", { name: "Head or neck trauma" }).click();
  // what is not understood is never silent: nothing is kept before it was asked about
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(page.getByRole("alert")).toContainText("Answer this first");
  await page
    .getByRole("group", { name: "Does it change what may be done?" })
    .getByRole("button", { name: "No", exact: true })
    .click();
  await page.getByRole("button", { name: "Add", exact: true }).click();
  const own = page.getByRole("listitem").filter({ hasText: "bad dreams since the storm" });
  await expect(own).toContainText("no date");
  await expect(own).toContainText("head or neck trauma");
});

test("the catalogue's guess can be refused, and another entry of it chosen by keyboard", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Other Words");
  await page.goto(`${home}/intake`);
  const what = page.getByLabel("What", { exact: true });
  await what.fill("broken toe");
  const read = page.getByRole("status", { name: "What was read" });
  await expect(read).toContainText("Injury: Fracture");
  await read.getByRole("button", { name: "Not that" }).click();
  await expect(read).toContainText("In their words: “broken toe”");
  await what.fill("skull");
  const option = page.getByRole("option", { name: /^Skull fracture/ });
  await option.waitFor();
  // the list may still be growing: the key goes to it when it stands
  await expect(async () => {
    await page.keyboard.press("ArrowDown");
    await expect(option).toHaveClass(/Mui-focused/, { timeout: 500 });
  }).toPass();
  await page.keyboard.press("Enter");
  await expect(read).toContainText("Head or neck trauma: Skull fracture");
  await expect(what).toHaveValue("skull");
  await what.fill("broken heart");
  await expect(read).toContainText("Trauma, panic or recent loss");
  await read.getByRole("button", { name: "Not that" }).click();
  await expect(page.getByText(/The catalogue does not know it/)).toBeVisible();
  await read.getByRole("button", { name: "No", exact: true }).click();
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(page.getByRole("listitem").filter({ hasText: "broken heart" })).toBeVisible();
  await expect(page.locator("header").getByRole("button", { name: /Fracture/ })).toHaveCount(0);
});

test("a sentence is read thing by thing, each with its rule, and a refused one is asked about", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Many Things");
  await page.goto(`${home}/intake`);
  const what = page.getByLabel("What", { exact: true });
  await what.fill(
    "broke my left wrist last week, warfarin every evening, no clots, my mother had osteoporosis, zolvamib",
  );
  const read = page.getByRole("status", { name: "What was read" });
  for (const each of [
    "Injury: Fracture",
    "wrist, left",
    "Medication: Blood thinner",
    "not theirs",
    "somebody else’s",
    "zolvamib",
  ])
    await expect(read).toContainText(each);
  await accessible(page);
  await page.keyboard.press("Escape");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert")).toContainText("Answer this first");
  await expect(what).toHaveValue(/zolvamib/);
  await read.getByRole("button", { name: "Don’t know" }).click();
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(what).toHaveValue("");
  const rows = page.getByRole("listitem").filter({ has: page.getByRole("button", { expanded: false }) });
  await expect(rows).toHaveCount(5);
  const chips = page.locator("header").getByRole("button");
  for (const each of [/^Fracture: wrist, left/, /^Blood thinner/, /zolvamib/])
    await expect(chips.filter({ hasText: each })).toBeVisible();
  await expect(chips.filter({ hasText: /clot|Osteoporosis/ })).toHaveCount(0);
  await page.goto(`${home}/intake/screening`);
  await expect(page.getByRole("region", { name: "What follows" })).toContainText("Not sure is not no");
});

test("the life line and the figure open the entry that is chosen on them", async ({ page }) => {
  await signIn(page);
  await page.goto("/clients/5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e03/intake");
  await page.waitForLoadState("networkidle");
  const line = page.getByRole("group", { name: "Time line of the history" });
  await line.getByText(/Osteoporosis/).click();
  const entry = page.getByRole("listitem").filter({ hasText: "thin bones, seen on a scan" }).first();
  await expect(entry.getByText(/Said: “spring 2024”/)).toBeVisible();
  await page.getByRole("group", { name: "Cautions on the body" }).getByText("1", { exact: true }).first().click();
  await expect(page.getByRole("listitem").filter({ hasText: "broke the right wrist" }).first()).toContainText(
    "Said: “last winter”",
  );
  await page.getByLabel("Stay-clear places").click();
  await expect(page.getByLabel("Stay-clear places")).not.toBeChecked();
});

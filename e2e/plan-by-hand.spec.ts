import { randomUUID } from "node:crypto";
import { expect, test } from "@playwright/test";
import { newClient, readyToWork, send, signIn, solveBy } from "./before";
import { accessible } from "./helpers";

test("a plan is bent by hand: what a change breaks is read, repaired around, undone, and kept", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Own Series");
  await readyToWork(page, home);
  await solveBy(page, home, /^Three-step/);
  await expect(page.getByText(/better is possible/)).toBeVisible({ timeout: 60_000 });

  const panel = page.getByRole("complementary", { name: "Chosen session" });
  const steps = panel.getByRole("list").first().getByRole("button", { expanded: false });
  const count = await steps.count();
  const bar = page.getByRole("region", { name: "Changed by hand" });
  await expect(bar).toHaveCount(0);
  // what a minute is worth here, and what making room for something else would bring
  await expect(
    panel.getByText(
      /(One more minute would buy [\d.]+ points, at .*|No step here gains by one more minute); a minute serves least at/,
    ),
  ).toBeVisible();
  // a bar is found by its place: it says what it is, and a press shows its session and the step it is mostly of
  const bars = page.getByRole("group", { name: "The plan: sessions by territory" }).locator("rect:has(title)");
  const { width, height } = (await bars.boundingBox())!;
  const inSecond = (n: number) => ({ position: { x: width / 2, y: ((n + 0.3) / 13) * height } });
  let territory = 0;
  do await bars.hover(inSecond(territory++));
  while (!(await bars.locator("title").textContent()) && territory < 13);
  await expect(bars.locator("title")).toHaveText(/^.+, session 2: \d+ min, down to /);
  await bars.click(inSecond(territory - 1));
  await expect(page.getByRole("button", { name: /^Session 2, / })).toHaveAttribute("aria-pressed", "true");
  await expect(panel).toContainText("Session 2");
  await page.getByRole("button", { name: /^Session 1, / }).click();
  await panel.getByRole("button", { name: "Add from the library" }).click();
  await expect(page.getByRole("option").first()).toContainText(/[+−]\d\.\d\d points|no room/);
  // deep work from the library, nothing opened before it: it says which rule that breaks
  await panel.getByLabel("Add from the library").fill("psoas");
  await page.getByRole("option", { name: /^Hip-flexor wait:/ }).click();
  await expect(bar.getByRole("status")).toContainText(/1 step changed: .* broken/);
  await expect(bar.getByRole("list", { name: "Rules broken" })).toContainText(/deeper than session 1/);
  await expect(bar.getByRole("button", { name: "Keep this plan" })).toBeDisabled();
  await accessible(page);
  await bar.getByRole("button", { name: "Undo" }).click();
  await expect(steps).toHaveCount(count);
  await bar.getByRole("button", { name: "Redo" }).click();
  await expect(steps).toHaveCount(count + 1);
  await bar.getByRole("button", { name: "Undo" }).click();

  // dragged to another session, and with the keys to the one beside: both are the same change, and both are undone
  const namesIn = async (session: RegExp) => {
    await page.getByRole("button", { name: session }).click();
    return (await steps.allInnerTexts()).map((text) => text.split("\n")[0]!);
  };
  const second = await namesIn(/^Session 2, /);
  const chosen = (await namesIn(/^Session 1, /)).slice(1, -2).find((each) => !second.includes(each))!;
  const row = panel.getByRole("button", { name: chosen });
  await row.scrollIntoViewIfNeeded();
  const from = (await row.boundingBox())!;
  await page.mouse.move(from.x + 30, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(from.x, from.y - 10, { steps: 4 });
  const to = (await page.getByRole("button", { name: /^Session 2, / }).boundingBox())!;
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 8 });
  await page.mouse.up();
  const moved = bar.getByRole("list", { name: "What differs from the plan in force" });
  await expect(moved).toContainText(`${chosen}: from session 1 to session 2`);
  await bar.getByRole("button", { name: "Undo" }).click();
  await expect(bar.getByRole("status")).toContainText("Nothing is changed");
  await row.press("Alt+ArrowRight");
  await expect(moved).toContainText(`${chosen}: from session 1 to session 2`);
  await bar.getByRole("button", { name: "Undo" }).click();

  // a little longer: either it is free, or the table is full and it says so
  const middle = steps.nth(3);
  const name = (await middle.innerText()).split("\n")[0]!;
  await middle.click();
  const longer = panel.getByRole("button", { name: "Half a minute more" });
  const less = panel.getByRole("button", { name: "Half a minute less" });
  await ((await less.isEnabled()) ? less : longer).click();
  await expect(bar.getByRole("list", { name: "What differs from the plan in force" })).toContainText(
    `${name}, session 1:`,
  );
  if (await bar.getByRole("button", { name: "Repair around it" }).isEnabled()) {
    await bar.getByRole("button", { name: "Repair around it" }).click();
    await expect(bar.getByRole("status")).toContainText("every rule kept", { timeout: 60_000 });
  }
  await bar.getByRole("button", { name: "Keep this plan" }).click();
  await expect(bar).toHaveCount(0);
  await page.reload();
  await expect(panel).toContainText(name);
  await expect(bar).toHaveCount(0);

  // what comes after is worked into what is to come, each difference with its reason, and kept when it was read
  const own = { kind: "own", structure: "quadratus-lumborum", side: "both", weight: 3, minutes: 20 };
  expect(
    (await send(page, `${home}/reading`, { key: `own-${randomUUID()}`, body: own, was: null })).status,
  ).toBeLessThan(300);
  await page.reload();
  const since = page.getByRole("alert").filter({ hasText: "Since the series was solved" });
  await expect(since).toContainText("1 target is new");
  await since.getByText("Which").click();
  await expect(since.getByText("1 target is new: quadratus lumborum")).toBeVisible();
  await since.getByRole("button", { name: "Adapt what is to come" }).click();
  await expect(bar.getByRole("status")).toContainText(/changed: .*gained, every rule kept/, { timeout: 60_000 });
  await expect(bar.getByRole("list", { name: "What differs from the plan in force" })).toContainText("You added it.");
  await accessible(page);
  await bar.getByRole("button", { name: "Keep this plan" }).click();
  await expect(bar).toHaveCount(0);
  await expect(since).toHaveCount(0);

  // what sparing the thumbs would cost, as a curve to choose from
  await page.getByRole("button", { name: "Change series" }).click();
  const cost = page.getByRole("region", { name: "What sparing the thumbs costs" });
  await cost.getByRole("button", { name: /sparing my thumbs/ }).click();
  await expect(cost.getByRole("status")).toContainText("Each solved briefly", { timeout: 60_000 });
  // the budget as it is, and half of what the thumbs take of it
  const budgets = cost.getByRole("listitem");
  await expect(budgets.first()).toContainText(/Budget 40: [\d.]+ points; at most \d+ in a session/);
  const half = budgets.nth(2);
  const budget = /^Budget (\d+):/.exec(await half.innerText())![1]!;
  await half.getByRole("button", { name: "Take it" }).click();
  await expect(page.getByLabel("Thumb budget per session")).toHaveValue(budget);
});

import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import { newClient, signIn } from "./before";
import { accessible } from "./helpers";

test("a kind of record that names itself is in the row, behind Ctrl+K, in Change, sheet, note and file", async ({
  page,
}) => {
  await signIn(page);
  const home = await newClient(page, "Arch Walker");
  await page.goto(home);
  await expect(async () => {
    await page.keyboard.press("Control+k");
    await expect(page.getByRole("dialog", { name: "Jump to" })).toBeVisible({ timeout: 1000 });
  }).toPass();
  await page.keyboard.type("navicular");
  await page.getByRole("option", { name: "Arches: navicular drop" }).click();
  await expect(page.getByRole("link", { name: "Arches", exact: true })).toHaveAttribute("aria-current", "page");

  const height = async (name: string, mm: string) => {
    const field = page.getByRole("spinbutton", { name });
    await field.fill(mm);
    await field.press("Tab");
  };
  const foot = (name: string) => page.getByRole("region", { name });
  await height("Left, sitting", "50");
  await expect(foot("Left foot")).toContainText("The other height is missing.");
  await height("Left, standing", "7");
  // refused by field, rule and value; what was typed stands there
  await expect(foot("Left foot")).toContainText("Standing: at least 10 mm, got 7.");
  await expect(page.getByRole("spinbutton", { name: "Left, standing" })).toHaveValue("7");
  await height("Left, standing", "36");
  await expect(foot("Left foot")).toContainText("14 ±3.9 mm, further down than most");
  await page.getByRole("button", { name: "After" }).click();
  await height("Left, sitting", "50");
  await height("Left, standing", "45");
  await expect(page.getByRole("region", { name: "Before and after" })).toContainText(
    "Left foot: 14 → 5 mm, −9 ±5.5 mm (clear)",
  );
  await accessible(page);
  await page.reload();
  await expect(foot("Left foot")).toContainText("14 ±3.9 mm");

  await page.getByRole("link", { name: "Change", exact: true }).click();
  await expect(page.getByRole("region", { name: "Navicular drop" })).toContainText("14 → 5 mm, −9 ±5.5 mm (clear)");
  await accessible(page);
  await page.goto(`${home}/assess/summary`);
  await expect(page.getByRole("region", { name: "Navicular drop" })).toContainText("14 ±3.9 mm");
  await page.goto(`${home}/sessions`);
  await expect(page.getByLabel("Note")).toHaveValue(/Navicular drop: left foot 14 ±3.9 mm → 5 ±3.9 mm after\./);

  await page.goto(`${home}/edit`);
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "Download the record" }).click(),
  ]);
  const { records } = JSON.parse(readFileSync(await download.path(), "utf8")) as {
    records: { navicularDrop: { rows: object[] } };
  };
  expect(records.navicularDrop.rows).toEqual([
    { visit: 1, moment: "before", side: "L", sitting: 50, standing: 36, unit: "mm", drop: 14, standardError: 2 },
    { visit: 1, moment: "after", side: "L", sitting: 50, standing: 45, unit: "mm", drop: 5, standardError: 2 },
  ]);
});

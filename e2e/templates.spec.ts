import { expect, test } from "@playwright/test";
import { newClient, readyToWork, signIn, solveBy } from "./before";
import { accessible } from "./helpers";

test("a template of one's own is made from another, solved by, changed, and the series keeps the one it was made by", async ({
  page,
}) => {
  await signIn(page);
  await page.goto("/library");
  await page.getByRole("link", { name: "Series templates" }).click();
  await page.getByRole("link", { name: /^New from Three-step/ }).click();
  await page.getByLabel("Name", { exact: true }).fill("");
  await page.getByRole("button", { name: "Take out session 1" }).click();
  // what the rules will not let it do is said while it is made
  await expect(page.getByRole("status", { name: "Mind" })).toContainText(
    /Session 1 goes to .* nothing comes before it/,
  );
  await page.getByRole("button", { name: "Add a session" }).click();
  await page.getByLabel("Days between sessions").fill("60");
  await page.getByRole("button", { name: "Save template" }).click();
  await expect(page.getByText("Name: type what the template is called.").first()).toBeVisible();
  await expect(page.getByText("Territory: choose at least one.")).toBeVisible();
  await expect(page.getByText("Days between sessions: at most 42, got 60.")).toBeVisible();
  await page.getByLabel("Days between sessions").fill("21");
  await page.getByLabel("Name", { exact: true }).fill("Kiln three");
  const last = page.getByRole("listitem", { name: "Session 3" });
  await last.getByLabel("Name of the session").fill("Ground");
  await last.getByLabel("What it is for").fill("Feet and hips under the rest.");
  await last.getByRole("button", { name: "Lower legs, feet: none" }).press("Enter");
  await last.getByRole("button", { name: "Low back: none" }).click();
  await last.getByRole("button", { name: "Session 3 earlier" }).click();
  await page.getByRole("button", { name: "Session 2 earlier" }).click();
  await expect(page.getByRole("listitem", { name: "Session 1" }).getByLabel("Name of the session")).toHaveValue(
    "Ground",
  );
  await accessible(page);
  await page.getByRole("button", { name: "Save template" }).dblclick();
  await expect(page).toHaveURL(/\/library\/templates$/);
  await expect(page.getByRole("heading", { name: "Kiln three" })).toHaveCount(1);

  const home = await newClient(page, "Own Template");
  await readyToWork(page, home);
  await solveBy(page, home, "Kiln three");
  await expect(page.getByText(/better is possible/)).toBeVisible({ timeout: 60_000 });
  const strip = page.getByRole("navigation", { name: "Visits of the series" });
  await expect(strip.getByRole("link")).toHaveCount(3);
  await expect(strip).toContainText("Ground");
  // days nobody chose follow the template
  await expect(page.getByText(/^Kiln three, .*every 21 days/)).toBeVisible();

  await page.goto("/library/templates");
  await page.getByRole("link", { name: "Adapt or retire Kiln three" }).click();
  await page.getByRole("listitem", { name: "Session 1" }).getByLabel("Name of the session").fill("Roots");
  await page.getByRole("button", { name: "Save as a new version" }).click();
  await expect(page).toHaveURL(/\/library\/templates$/);
  await page.goto(`${home}/path`);
  await expect(strip).toContainText("Ground");
  await page.getByRole("button", { name: "Change series" }).click();
  await page.getByLabel("Template").click();
  await expect(page.getByRole("option", { name: "Kiln three (as this series was made)" })).toBeVisible();
  await page.keyboard.press("Escape");

  await page.goto("/library/template/kiln-three");
  await expect(page.getByRole("region", { name: "Versions" })).toContainText(/Session 1: Ground, .* → Roots/);
  await page.getByRole("button", { name: "Retire" }).click();
  await expect(page.getByText("Retired: no new series is made by it.")).toBeVisible();
});

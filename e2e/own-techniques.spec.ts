import { readFile } from "node:fs/promises";
import { expect, test, type Page } from "@playwright/test";
import type { Definition } from "../core/techniques/definition";
import { newClient, readyToWork, signIn, solveBy } from "./before";
import { accessible, noConsoleErrors } from "./helpers";

/** Fills the form of a new technique with what it needs, from the keyboard. */
async function type(page: Page, name: string, what: string) {
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByLabel("What is done, as it is read at the table").fill(what);
  await page.getByLabel("Add a structure or a group").fill("skin of the low");
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("combobox", { name: "Structure 1" })).toHaveValue("Skin of the low back");
}

test("a technique of one's own is made, planned, run and reported; changed, the plan keeps the version it was made with", async ({
  page,
}) => {
  await signIn(page);
  await page.goto("/library");
  await page.getByRole("link", { name: "New technique" }).click();
  await type(page, "Kiln warmth", "Seated: warm palms rest on the low back until the skin glows.");
  await page.getByLabel("In the session, it").selectOption({ label: "warms" });
  await page.getByLabel("Deepest layer").selectOption({ label: "surface fascia" });
  await page.getByRole("button", { name: "Save technique" }).click();
  // a text that says otherwise than what is planned is not kept, and nothing typed is lost
  await expect(page.getByText("Position: the text says “Seated”, and prone is planned.")).toBeVisible();
  await expect(page.getByLabel("Name", { exact: true })).toHaveValue("Kiln warmth");
  await page
    .getByLabel("What is done, as it is read at the table")
    .fill("Warm palms rest on the low back, unwind a little, until the skin glows.");
  // what cautions would rule out is asked for, and one press says it
  await page.getByRole("button", { name: "Yes, unwinding" }).click();
  await expect(page.getByRole("button", { name: "unwinding", pressed: true })).toBeVisible();
  await page.getByRole("button", { name: "unwinding", pressed: true }).click();
  await page
    .getByLabel("What is done, as it is read at the table")
    .fill("Warm palms rest on the low back until the skin glows.");
  await expect(page.getByRole("region", { name: "What it makes" })).toContainText("Reaches skin of the low back 100 %");
  await accessible(page);
  await page.getByRole("button", { name: "Save technique" }).dblclick();
  await expect(page).toHaveURL(/open=kiln-warmth/);
  await page.getByLabel("Find a technique").fill("kiln");
  await expect(page.getByRole("listitem").filter({ hasText: "Kiln warmth" })).toHaveCount(1);

  const home = await newClient(page, "Own Technique");
  await readyToWork(page, home);
  await solveBy(page, home, /^Three-step/);
  await expect(page.getByText(/better is possible/)).toBeVisible({ timeout: 60_000 });
  const panel = page.getByRole("complementary", { name: "Chosen session" });
  const bar = page.getByRole("region", { name: "Changed by hand" });
  if (!(await panel.innerText()).includes("Kiln warmth")) {
    await panel.getByRole("button", { name: "Add from the library" }).click();
    await panel.getByLabel("Add from the library").fill("kiln");
    await page.getByRole("option", { name: "Kiln warmth" }).click();
    if (await bar.getByRole("button", { name: "Repair around it" }).isEnabled())
      await bar.getByRole("button", { name: "Repair around it" }).click();
    await expect(bar.getByRole("status")).toContainText("every rule kept", { timeout: 60_000 });
    await bar.getByRole("button", { name: "Keep this plan" }).click();
    await expect(bar).toHaveCount(0);
  }
  await expect(panel).toContainText("Kiln warmth");

  // another version: the plan in force keeps its own, and says so
  await page.goto("/library?q=kiln&own=1");
  await page.getByRole("button", { name: /^Kiln warmth/ }).click();
  await page.getByRole("link", { name: "Adapt or retire" }).click();
  await page.getByLabel("Name", { exact: true }).fill("Kiln glow");
  await page.getByRole("button", { name: "Save as a new version" }).click();
  await expect(page).toHaveURL(/open=kiln-warmth/);
  await page.goto(`${home}/path`);
  await expect(panel).toContainText("Kiln warmth");
  await expect(page.getByRole("alert").filter({ hasText: "Since the series was solved" })).toContainText(
    /\d techniques? (was|were) changed or retired/,
  );

  // run: the sheet knows it, and the note names it
  await page.goto(`${home}/sessions`);
  await page.getByRole("link", { name: "Start the session" }).click();
  await page.getByRole("button", { name: "Start the clock" }).click();
  const finish = page.getByRole("button", { name: "Finish the session" });
  let read = false;
  for (let i = 0; i < 90 && !(await finish.isVisible()); i++) {
    read ||= (await page.getByText("Warm palms rest on the low back until the skin glows.").count()) > 0;
    await page.keyboard.press("ArrowRight");
  }
  expect(read).toBe(true);
  await finish.click();
  await expect(page.getByText("Done", { exact: true })).toBeVisible();
  await page.goto(`${home}/sessions?visit=1`);
  await expect(page.getByLabel("Note", { exact: true })).toHaveValue(/Kiln warmth/);

  // retired, it is offered no more, and is found among the retired
  await page.goto("/library/technique/kiln-warmth");
  await expect(page.getByRole("region", { name: "Versions" })).toContainText("Name: Kiln warmth → Kiln glow");
  await page.getByRole("button", { name: "Retire" }).click();
  await expect(page.getByText("Retired: nothing new is planned with it.")).toBeVisible();
  await page.goto("/library?q=kiln");
  await expect(page.getByText("Nothing is all of that")).toBeVisible();
  await page.goto("/library?own=retired");
  await expect(page.getByRole("button", { name: /^Kiln glow/ })).toBeVisible();
});

test("a broken file names every bad line and changes nothing; a good one shows what it would do first", async ({
  page,
}) => {
  const quiet = noConsoleErrors(page);
  await signIn(page);
  await page.goto("/library");
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: /^Export all but the arc/ }).click(),
  ]);
  const all = JSON.parse(await readFile(await download.path(), "utf8")) as { techniques: Definition[] };
  const base = all.techniques.find(({ key }) => key === "ham-iron")!;
  const own = (i: number, part: object = {}) => ({ ...base, key: `sent-${i}`, name: `Sent ${i}`, ...part });
  const file = (techniques: object[]) => ({
    name: "techniques.json",
    mimeType: "application/json",
    buffer: Buffer.from(JSON.stringify({ ...all, techniques }, null, 1)),
  });
  const many = Array.from({ length: 200 }, (_, i) => own(i));
  const broken = many.map((each, i) => (i % 50 === 7 ? own(i, { reach: [{ structure: `nothing-${i}` }] }) : each));
  await page.getByRole("link", { name: "Import" }).click();
  const choose = page.getByLabel("File of techniques");
  quiet();
  await choose.setInputFiles(file(broken));
  await expect(page.getByRole("heading", { name: "4 faults; nothing was kept" })).toBeVisible();
  for (const i of [7, 57, 107, 157])
    await expect(page.getByRole("row").filter({ hasText: `Sent ${i}` })).toContainText(
      `Structure: “nothing-${i}” is not in the anatomy.`,
    );
  await accessible(page);
  await page.goto("/library?q=sent");
  await expect(page.getByText("Nothing is all of that")).toBeVisible();

  await page.goto("/library/import");
  await choose.setInputFiles(file([own(1), own(2), { ...base, pressure: 3 }, all.techniques[0]!]));
  await expect(page.getByRole("region", { name: "Different here" })).toContainText("Pressure: 6 of 10 → 3 of 10");
  await expect(page.getByText("1 technique the same here: nothing to do.")).toBeVisible();
  await page.getByRole("group", { name: "What to do with Sent 2" }).getByRole("button", { name: "Leave out" }).click();
  await page
    .getByRole("group", { name: `What to do with ${base.name}` })
    .getByRole("button", { name: "Keep both" })
    .click();
  await accessible(page);
  await page.getByRole("button", { name: "Keep 2 techniques" }).click();
  await expect(page).toHaveURL(/library\?own=1/);
  await expect(page.getByRole("button", { name: /^Sent 1/ })).toBeVisible();
  await expect(page.getByRole("button", { name: new RegExp(`^${base.name} \\(2\\)`) })).toBeVisible();
  await expect(page.getByRole("button", { name: /^Sent 2/ })).toHaveCount(0);
  // as they were found
  for (const stem of ["sent-1", "ham-iron-2"]) {
    await page.goto(`/library/technique/${stem}`);
    await page.getByRole("button", { name: "Retire" }).click();
    await expect(page.getByRole("button", { name: "Take back" })).toBeVisible();
  }
});

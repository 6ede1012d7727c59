import { randomUUID } from "node:crypto";
import { expect, test } from "@playwright/test";
import { accessible } from "./helpers";
import { firstVisit, inKiln, newClient, send, signIn } from "./before";

test("two tabs on one value: each is told of the other, and its user chooses", async ({ page, context }) => {
  await signIn(page);
  const home = await newClient(page, "Both Tabs");
  const visitId = await firstVisit(home.split("/").at(-1)!);
  const restriction = {
    intent: "add",
    id: randomUUID(),
    visitId,
    moment: "before",
    region: "neck",
    structure: "upper-trapezius",
    side: "R",
    layer: "SM",
    quality: "band",
    bind: "",
    ease: "",
    grade: 2,
    tenderness: 0,
  };
  expect((await send(page, `${home}/assess/touch`, restriction)).status).toBe(200);
  await page.goto(`${home}/assess/touch`);
  const other = await context.newPage();
  await other.goto(`${home}/assess/touch`);
  const grade = (which: typeof page, value: string) =>
    which.getByRole("group", { name: /^Grade of/ }).getByRole("button", { name: value, exact: true });

  await grade(other, "3").click();
  await expect(grade(other, "3")).toHaveAttribute("aria-pressed", "true");
  // the tab that was left open hears of it, and what it still shows does not win unseen
  await expect(page.getByText("Changed in another tab. What you see here is from before.")).toBeVisible();
  await grade(page, "1").click();
  const said = page.getByRole("alert").filter({ hasText: "was changed elsewhere meanwhile" });
  await expect(said).toContainText("Theirs: grade 3, tender 0. Yours, not saved: grade 1, tender 0.");
  await accessible(page);
  const kept = page.waitForResponse((answer) => answer.request().method() === "POST" && answer.ok());
  await said.getByRole("button", { name: "Keep mine" }).click();
  await kept;
  await expect(said).toHaveCount(0);
  await other.reload();
  await expect(grade(other, "1")).toHaveAttribute("aria-pressed", "true");

  // the other way round, and with words: theirs stays
  await page.goto(`${home}/intake/scales`);
  await other.goto(`${home}/intake/scales`);
  const words = (which: typeof page) => which.getByLabel("In their own words");
  await words(other).fill("better since Monday");
  await other.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(other.getByText("Saved", { exact: true })).toBeVisible();
  await words(page).fill("worse since Monday");
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(page.getByRole("alert").filter({ hasText: "Theirs: “better since Monday”" })).toBeVisible();
  await expect(words(page)).toHaveValue("worse since Monday");
  await page.getByRole("button", { name: "Take theirs" }).click();
  await expect(words(page)).toHaveValue("better since Monday");
  // what is too long is refused where it is typed, and nothing of it is cut
  await words(page).fill("w".repeat(4001));
  await expect(page.getByText("In their words: at most 4000 characters, got 4001.")).toBeVisible();
  await expect(page.getByRole("button", { name: "Keep", exact: true })).toBeDisabled();
});

test("two tablets on one check at the table: neither overwrites the other unseen", async ({ page, browser }) => {
  await signIn(page);
  const home = await newClient(page, "Both Tablets");
  const visitId = await firstVisit(home.split("/").at(-1)!);
  const kept = () =>
    inKiln(async (tx) => Number((await tx("table_event").where({ visit_id: visitId }).count("* as n"))[0]!.n));
  const other = await (await browser.newContext()).newPage();
  await signIn(other, "tamsin@kiln.example");
  for (const each of [page, other]) {
    await each.goto(`${home}/assess/table`);
    await expect(each.getByRole("button", { name: "Even, next" })).toBeEnabled();
  }
  // one is without a network while the other looks
  await page.context().setOffline(true);
  await page.keyboard.press("ArrowLeft");
  await other.keyboard.press("ArrowRight");
  await other.keyboard.press("ArrowRight");
  await expect.poll(kept).toBe(2);
  await page.context().setOffline(false);
  await expect.poll(kept).toBe(3);
  await other.reload();
  const said = other.getByRole("alert").filter({ hasText: "pressed on two devices" });
  await expect(said).toContainText(
    "“a little right short” counts until it is settled; “clearly left short” was pressed, too.",
  );
  await accessible(other);
  // whoever looks again, blind, reads nothing of what the two found
  await page.reload();
  const here = page.getByRole("alert").filter({ hasText: "pressed on two devices" });
  await expect(here).toBeVisible();
  await page.getByRole("button", { name: "Second round, blind" }).click();
  await expect(here).toHaveCount(0);
  await page.getByRole("button", { name: "Back to the first round" }).click();
  await expect(here).toBeVisible();
  await said.getByRole("button", { name: "It is “clearly left short”" }).click();
  await expect(said).toHaveCount(0);
  await expect.poll(kept).toBe(4);
  await page.reload();
  await expect(page.getByRole("region", { name: "Off before the work" })).toContainText("clearly left short");
  await expect(page.getByText("pressed on two devices")).toHaveCount(0);
  await other.context().close();
});

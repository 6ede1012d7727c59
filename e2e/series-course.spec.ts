import { expect, test } from "@playwright/test";
import { addDays, format, subDays } from "date-fns";
import { measurable } from "../core/measure/by-hand";
import { methodsFor } from "../core/measure/methods";
import { techniqueOf } from "../core/techniques/library";
import { saveMeasurement } from "../data/measurements";
import { seriesOf } from "../data/series";
import { inKiln, newClient, readyToWork, send, signIn, solveBy } from "./before";
import { accessible } from "./helpers";

const day = (date: Date) => format(date, "EEEE d MMMM");

/** The first visit was `ago` days ago, and of what it changed little was left when the next one began. */
const littleKept = (clientId: string, ago: number) =>
  inKiln(async (tx) => {
    const visits = (await tx("visit").where({ client_id: clientId }).orderBy("ordinal")) as { id: string }[];
    for (const { id, metric } of measurable) {
      const [method] = methodsFor(metric);
      if (!method || method.unit === "grade") continue;
      const at = (visit: number, moment: "before" | "after", value: number) =>
        saveMeasurement(tx, visits[visit]!.id, { moment, readingId: id, method: method.key, value });
      await at(0, "before", metric.usual[1] + 40 * method.se);
      await at(0, "after", metric.usual[1]);
      await at(1, "before", metric.usual[1] + 38 * method.se);
    }
    await tx("visit")
      .where({ id: visits[0]!.id })
      .update({ status: "closed", on_date: format(subDays(new Date(), ago), "yyyy-MM-dd") });
  });

test("a series is lengthened, held closer together, laid beside another, and told to the client", async ({ page }) => {
  await signIn(page);
  const home = await newClient(page, "Long Series");
  const clientId = home.split("/").at(-1)!;
  await readyToWork(page, home);
  await solveBy(page, home, /^Three-step/);
  await expect(page.getByText(/better is possible/)).toBeVisible({ timeout: 60_000 });

  // one more of the second session: the others move, and so do their days
  const grid = page.getByRole("group", { name: "The plan: sessions by territory" });
  await grid.getByRole("button", { name: /^Session 2, Core/ }).click();
  await page.getByRole("button", { name: "Once more after it" }).click();
  await expect(grid.getByRole("button", { name: /^Session 4, Join/ })).toBeVisible();
  await expect(grid.getByRole("button", { name: /^Session 3, Core 2/ })).toBeVisible();
  // what is kept says so, and only that outlives a reload
  const kept = page.getByText("Three-step: sleeve, core, join in 4 sessions");
  await expect(kept).toBeVisible({ timeout: 60_000 });
  await page.reload();
  await expect(kept).toBeVisible();
  await accessible(page);

  // little was kept of the first visit: closer together, by one press, and the calendar follows
  await littleKept(clientId, 9);
  await page.reload();
  const hint = page.getByRole("alert").filter({ hasText: "less than half: closer together" });
  await expect(hint).toContainText("Now every 10 days");
  await hint.getByRole("button", { name: "Every 6 days" }).click();
  await expect(hint).toHaveCount(0);
  await page.getByRole("link", { name: "List", exact: true }).click();
  const sessions = page.getByRole("listitem").filter({ has: page.getByRole("heading", { level: 2 }) });
  await expect(sessions.nth(0)).toContainText(", done");
  await expect(sessions.nth(1)).toContainText(day(new Date()));
  await expect(sessions.nth(2)).toContainText(day(addDays(new Date(), 6)));
  const { plan } = (await inKiln((tx) => seriesOf(tx, clientId)))!;
  const names = plan!.sessions.map(({ steps }) => techniqueOf(steps[1]!.technique).name);
  await expect(sessions.nth(2)).toContainText(names[2]!);
  await accessible(page);
  // what the client takes home names no technique, and says what is asked first
  await page.getByRole("button", { name: "For the client" }).click();
  await expect(page.getByText(/^What comes when, for Long Series/)).toBeVisible();
  await expect(sessions.nth(2)).toContainText("90 min in all");
  for (const name of names) await expect(page.getByRole("main")).not.toContainText(name);
  await accessible(page);

  // a session that is locked as it stands stays so when the rest is solved anew
  await page.getByRole("link", { name: "Plan", exact: true }).click();
  await grid.getByRole("button", { name: /^Session 2, Core/ }).click();
  await page.getByRole("button", { name: "Lock the session as it is" }).click();
  await expect(page.getByRole("button", { name: "Free the session" })).toBeEnabled({ timeout: 60_000 });
  const locked = (await inKiln((tx) => seriesOf(tx, clientId)))!;
  expect(locked.plan!.sessions[1]).toEqual(plan!.sessions[1]);
  expect(locked.settings.locks.filter(({ session }) => session === 1)).toHaveLength(
    plan!.sessions[1]!.steps.length + 1,
  );

  await page.getByRole("button", { name: "Free the session" }).click();
  await expect(page.getByRole("button", { name: "Lock the session as it is" })).toBeEnabled({ timeout: 60_000 });

  // another way to go about it, side by side; one press puts it in force and keeps the other
  await page.getByRole("link", { name: "Side by side" }).click();
  await page.getByRole("button", { name: "Shorter sessions" }).click();
  const shorter = page.getByRole("region", { name: "Shorter sessions" });
  await expect(shorter).toContainText("60 min booked", { timeout: 60_000 });
  await expect(shorter.getByRole("definition").nth(3)).toContainText(/\d+ −\d+/);
  await accessible(page);
  await shorter.getByRole("button", { name: "Put in force" }).click();
  await expect(page.getByRole("region", { name: "In force", exact: true })).toContainText("60 min booked");
  await expect(page.getByRole("region", { name: /^In force until/ })).toContainText("90 min booked");
  await page
    .getByRole("region", { name: /^In force until/ })
    .getByRole("button", { name: "Drop" })
    .click();
  await expect(page.getByRole("region", { name: /^In force until/ })).toHaveCount(0);

  // nobody else's plan is put in force, and no sessions that the template has not
  const id = "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8eff";
  expect((await send(page, `${home}/path/plans`, { act: "take", id, version: 1 })).status).toBe(404);
  expect((await send(page, `${home}/path/plans`, { act: "burn", id })).status).toBe(404);
});

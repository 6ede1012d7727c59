import { expect, test } from "@playwright/test";
import { firstVisit, newClient, readyToWork, send, signIn } from "./before";
import { accessible } from "./helpers";

test("home care follows the findings, is given with a dose, heeds cautions, and goes with the visit", async ({
  page,
}) => {
  await signIn(page);
  const home = await newClient(page, "Home Care");
  await readyToWork(page, home);
  const visitId = await firstVisit(home.split("/").at(-1)!);
  const stiff = { kind: "own", structure: "gastrocnemius", side: "L", weight: 3, minutes: 20 };
  expect((await send(page, `${home}/reading`, { key: "own-calf", body: stiff, was: null })).status).toBeLessThan(300);

  await page.goto(`${home}/sessions/home`);
  const calf = page.getByRole("form", { name: "Calf lunge" });
  await expect(page.getByRole("listitem").first()).toContainText("Calf lunge");
  await expect(page.getByRole("listitem").first()).toContainText("You added it.");
  await expect(calf.getByLabel("Side")).toHaveValue("L");
  await calf.getByLabel("Minutes").fill("much");
  await calf.getByRole("button", { name: "Give" }).click();
  await expect(page.getByText("Minutes: type a number.")).toBeVisible();
  await expect(calf.getByLabel("Minutes")).toHaveValue("much");
  await calf.getByLabel("Minutes").fill("2");
  await calf.getByRole("button", { name: "Give" }).dblclick();
  await expect(page.getByRole("status")).toContainText("One thing, about 4 min a day.");
  await accessible(page);
  await page.reload();
  await expect(page.getByText("Twice a day, 2 min on the left. Stop when it hurts more than it eases.")).toBeVisible();
  // on paper: what is given, and nothing else
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("heading", { level: 3, includeHidden: false })).toHaveText(["Calf lunge"]);
  await page.emulateMedia({ media: "screen" });
  // it is in the note that is drafted for the visit
  await page.goto(`${home}/sessions`);
  await expect(page.getByLabel("Note", { exact: true })).toHaveValue(
    /Home care: Calf lunge, twice a day, 2 min on the left\./,
  );
  // what a caution rules out is not offered, and not taken by the server either
  await page.goto(`${home}/intake`);
  await page.getByLabel("What", { exact: true }).fill("osteoporosis");
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(page.getByRole("listitem").filter({ hasText: "steoporosis" }).first()).toBeVisible();
  await page.goto(`${home}/sessions/home`);
  await expect(page.getByRole("region", { name: "Not for them now" })).toContainText("Towel roll under the upper back");
  const refused = await send(page, `${home}/sessions/home`, {
    visitId,
    exercise: "towel-roll",
    body: { times: 1, minutes: 3, side: null },
    was: null,
  });
  expect([refused.status, refused.text]).toEqual([422, expect.stringContaining("Not for them")]);
});
